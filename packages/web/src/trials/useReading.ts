import { useMemo } from 'react';
import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import {
  logRankScores,
  rankedUnits,
  readOutcome,
  type CourseSummary,
  type TrialOutcome,
  type TrialUnit,
} from '@wheat-ledger/core';
import { useTask } from '../ui/useTask';
import type { TrialQuestion } from '../workers/trial.worker';
import { PERMUTE } from './readingJobs';
import { planOf, readingsOf } from './useTrial';
import { notOverOf, valuesOf } from './valuesOf';

/** Units with their times as log-rank scores, where some were not over. */
function scoredTimes(placed: TrialQuestion['units'], isNotOver: (at: number) => boolean): TrialQuestion['units'] {
  const measured = placed.flatMap(({ values: [minutes = Number.NaN] }, at) =>
    Number.isNaN(minutes) ? [] : [{ at, minutes }],
  );
  const scores = logRankScores(measured.map(({ at, minutes }) => ({ minutes, over: !isNotOver(at) })));
  const scoreAt = new Map(measured.map(({ at }, i) => [at, scores[i] ?? Number.NaN]));
  return placed.map((u, at) => ({ ...u, values: [scoreAt.get(at) ?? Number.NaN] }));
}

/** What one outcome of a trial found, and how likely it is chance; the latter in a worker. @param withOdd whether units that were odd count */
export function useReading(
  trial: TrialRecord,
  units: readonly TrialUnit[],
  sheets: readonly TrialSheetRecord[],
  outcome: TrialOutcome,
  summary: CourseSummary,
  withOdd: boolean,
) {
  // What is measured after the day the trial is read on does not count.
  const all = useMemo(
    () => readingsOf(sheets).filter((r) => r.measure === outcome.key && r.on <= trial.until),
    [sheets, outcome, trial.until],
  );
  const left = useMemo(
    () => new Set(trial.odd.filter((o) => o.state === 'lost' || !withOdd).map((o) => o.unit)),
    [trial.odd, withOdd],
  );
  const values = useMemo(
    () => valuesOf(trial, outcome, units, all, left, summary),
    [trial, outcome, units, all, left, summary],
  );
  const plan = useMemo(() => planOf(trial), [trial]);
  const notOver = useMemo(() => notOverOf(all), [all]);
  const reading = useMemo(
    () => readOutcome(plan, units, (u) => values.get(u.number) ?? Number.NaN, notOver),
    [plan, units, values, notOver],
  );
  const question = useMemo((): TrialQuestion | undefined => {
    const placed = units.map(({ arm, block, row, column, number }) => ({
      ...{ arm, row, column, values: [values.get(number) ?? Number.NaN] },
      ...(block === undefined ? {} : { block }),
    }));
    if (placed.every((u) => Number.isNaN(u.values[0] ?? Number.NaN))) return undefined;
    return {
      units:
        outcome.kind === 'score'
          ? rankedUnits(placed, trial.layout)
          : notOver.size > 0
            ? scoredTimes(placed, (at) => notOver.has(units[at]?.number ?? 0))
            : placed,
      options: { layout: trial.layout, control: trial.control, seed: trial.seed },
    };
  }, [units, values, outcome, trial, notOver]);
  const task = useTask(PERMUTE, question);
  const present = useMemo(
    () => units.filter((u) => !Number.isNaN(values.get(u.number) ?? Number.NaN)),
    [units, values],
  );
  return { all, plan, present, reading, task, values, notOver };
}
