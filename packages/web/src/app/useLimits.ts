import { useMemo } from 'react';
import type { PlotRecord } from '@wheat-ledger/contract';
import { againstLimits, tasksBetween, type LimitUse, type Planned } from '@wheat-ledger/core';
import { today } from './today';
import type { Logged } from './useLogged';

/** What is done and still planned on a plot in a year, against the limits that were entered for it. */
export function limitsOf(
  plot: PlotRecord,
  year: number,
  logged: readonly Logged[],
  plans: readonly Planned[],
): readonly LimitUse[] {
  if (!plot.limits?.length) return [];
  const own = logged.filter((l) => l.record.plotId === plot.id && l.entry.on.startsWith(String(year)));
  const done = new Set(logged.flatMap((l) => l.record.task ?? []));
  const here = plans.filter((p) => p.plotId === plot.id);
  const open = tasksBetween(here, `${year}-01-01`, `${year}-12-31`, done, today(), 0).filter(
    (t) => t.state === 'due' || t.state === 'coming',
  );
  const doses = open.flatMap(({ row }) => (row.applied.kind === 'applied' ? [row.applied] : []));
  return againstLimits(
    own.map((l) => l.entry),
    doses,
    plot.areaM2,
    plot.limits,
  );
}

/** Limits that are passed, or will be by what is planned, on some plots this year. */
export function useLimitsPassed(
  plots: readonly PlotRecord[],
  logged: readonly Logged[],
  plans: readonly Planned[],
): readonly { readonly plot: PlotRecord; readonly use: LimitUse }[] {
  const year = Number(today().slice(0, 4));
  return useMemo(
    () =>
      plots.flatMap((plot) =>
        limitsOf(plot, year, logged, plans)
          .filter((use) => use.over !== 'no')
          .map((use) => ({ plot, use })),
      ),
    [plots, logged, plans, year],
  );
}
