import { useMemo, useState } from 'react';
import {
  asDone,
  computeProgramme,
  datesOf,
  type ComputedProgramme,
  type Doing,
  type DosedPlot,
  type Season,
} from '@wheat-ledger/core';
import type { ChosenSeason } from '../app/seasons';
import { today } from '../app/today';
import { useLogged } from '../app/useLogged';

/** What was logged in a season. */
export function useSeasonLog(seasonId: string) {
  const { logged } = useLogged();
  return useMemo(
    () => logged.filter((l) => l.record.seasonId === seasonId && l.entry.items.length > 0).map((l) => l.entry),
    [logged, seasonId],
  );
}

/** The day a crop's fruit sets, where its course is known. */
export const fruitSetOf = (season: Season, warmth: readonly number[]): string | undefined =>
  datesOf({ kind: 'stage', stage: 'half' }, season, warmth)?.[0];

/**
 * A programme as it is planned or, where something of its season is logged, as it really goes: the log up to today, the plan from then on. While the plan
 * is being changed, or while nothing of it was ticked off, it is drawn as planned, unless it is chosen otherwise.
 */
export function useFollowed(
  plan: ComputedProgramme,
  doings: readonly Doing[],
  programmeId: string | undefined,
  open: ChosenSeason,
  plot: DosedPlot,
  warmth: readonly number[],
  changing: boolean,
) {
  const [chosen, setChosen] = useState<boolean>();
  const entries = useSeasonLog(open.record.id);
  const can = programmeId !== undefined && entries.length > 0;
  const ticked = entries.some((e) => e.task?.startsWith(`${programmeId ?? ''}/`));
  const follows = can && (chosen ?? (ticked && !changing));
  const followed = useMemo(() => {
    if (!follows) return { doings, inNumbers: plan };
    const done = asDone(plan.rows, programmeId, entries, today(), plot.areaM2 * open.season.share);
    return { doings: done, inNumbers: computeProgramme([...done], plot, open.season, [...warmth]) };
  }, [follows, doings, plan, programmeId, entries, plot, open, warmth]);
  return { ...followed, can, follows, setFollows: setChosen };
}
