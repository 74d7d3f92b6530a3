import { useMemo } from 'react';
import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import {
  answerWords,
  leastOf,
  logRankScores,
  lossesOf,
  lossWords,
  rankedUnits,
  readOutcome,
  type CourseSummary,
  type TrialOutcome,
  type TrialPlan,
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

/** What losses mean, in sentences: survival as an outcome of its own, and the reading with what was lost as 0. */
function useLosses(
  trial: TrialRecord,
  units: readonly TrialUnit[],
  outcome: TrialOutcome,
  values: ReadonlyMap<number, number>,
  plan: TrialPlan,
): readonly string[] {
  const lost = useMemo(() => new Set(trial.odd.filter((o) => o.state === 'lost').map((o) => o.unit)), [trial.odd]);
  // A lost plant gives nothing: that is a value where more is better and something is measured, not of a time or a score.
  const asNothing = outcome.better === 'more' && outcome.kind !== 'timed' && outcome.kind !== 'score';
  const valueOrNothing = useMemo(
    () => (u: TrialUnit) => (lost.has(u.number) ? 0 : (values.get(u.number) ?? Number.NaN)),
    [lost, values],
  );
  const questionOf = useMemo(
    () =>
      (valueOfUnit: (u: TrialUnit) => number): TrialQuestion | undefined =>
        lost.size === 0
          ? undefined
          : {
              units: units.map((u) => ({ ...u, values: [valueOfUnit(u)] })),
              options: { layout: trial.layout, control: trial.control, seed: trial.seed },
            },
    [lost, units, trial.layout, trial.control, trial.seed],
  );
  const survivalQuestion = useMemo(() => questionOf((u) => (lost.has(u.number) ? 0 : 1)), [questionOf, lost]);
  const nothingQuestion = useMemo(
    () => (asNothing ? questionOf(valueOrNothing) : undefined),
    [asNothing, questionOf, valueOrNothing],
  );
  const survival = useTask(PERMUTE, survivalQuestion);
  const withNothing = useTask(PERMUTE, nothingQuestion);
  if (lost.size === 0 || !survival.settled || !withNothing.settled) return [];
  const told = lossWords(plan, lossesOf(plan.arms.length, units, lost), survival.result);
  if (!asNothing) return told;
  const reading = readOutcome(plan, units, valueOrNothing);
  return [...told, `With what was lost as 0: ${answerWords(plan, outcome, reading, withNothing.result)}`];
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
    () =>
      readOutcome(
        plan,
        units,
        (u) => values.get(u.number) ?? Number.NaN,
        notOver,
        summary === 'slope' ? undefined : leastOf(outcome),
      ),
    [plan, units, values, notOver, outcome, summary],
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
  const losses = useLosses(trial, units, outcome, values, plan);
  const present = useMemo(
    () => units.filter((u) => !Number.isNaN(values.get(u.number) ?? Number.NaN)),
    [units, values],
  );
  return { all, plan, present, reading, task, values, notOver, losses };
}
