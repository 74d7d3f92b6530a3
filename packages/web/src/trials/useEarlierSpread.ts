import { useMemo } from 'react';
import { readOutcome } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { planOf, readingsOf, unitsOf } from './useTrial';
import { valuesOf } from './valuesOf';

/** How far like units lay apart in earlier trials of the grower's own, for an outcome of a name, per cent of the mean; the newest first. */
export function useEarlierSpread(
  outcome: string,
  except: string | undefined,
): readonly { readonly name: string; readonly cvPercent: number }[] {
  const { records: trials } = useRecords('trial');
  const { records: sheets } = useRecords('sheet');
  return useMemo(() => {
    const wanted = outcome.trim().toLowerCase();
    if (wanted === '') return [];
    return trials
      .filter((t) => t.id !== except && t.startedOn)
      .sort((a, b) => b.until.localeCompare(a.until))
      .flatMap((t) => {
        const found = t.outcomes.find((o) => o.name.trim().toLowerCase() === wanted);
        const own = readingsOf(sheets.filter((s) => s.trialId === t.id && s.outcome === found?.key));
        if (!found || own.length === 0) return [];
        const units = unitsOf(t);
        const lost = new Set(t.odd.filter((o) => o.state === 'lost').map((o) => o.unit));
        const values = valuesOf(t, found, units, own, lost, 'last');
        const cv = readOutcome(planOf(t), units, (u) => values.get(u.number) ?? Number.NaN).anova?.cv;
        return cv === undefined ? [] : [{ name: t.name, cvPercent: cv * 100 }];
      });
  }, [trials, sheets, outcome, except]);
}
