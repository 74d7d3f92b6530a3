import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { leastOf, type TrialOutcome } from '@wheat-ledger/core';
import { keptReading } from './keptReading';

/** What one arm did against the control in what decides, per cent of the control. */
export interface Gain {
  readonly arm: string;
  readonly percent: number;
  /** 95 % of the difference by the error of the trial; undefined where there is nothing to judge by. */
  readonly interval: { readonly low: number; readonly high: number } | undefined;
  readonly units: number;
}
export interface TrialGains {
  readonly trial: TrialRecord;
  readonly outcome: TrialOutcome | undefined;
  readonly gains: readonly Gain[];
}

/** What every arm of a trial did against its control; none where nothing is measured, where a time was not over, or where the control is 0. */
export function gainsOf(trial: TrialRecord, sheets: readonly TrialSheetRecord[]): TrialGains {
  const outcome = trial.outcomes.find((o) => o.key === trial.decides);
  const reading = keptReading(trial, outcome, sheets);
  const control = reading?.arms[trial.control];
  if (!reading || !control || control.atLeast || !(Math.abs(control.mean) > 0)) return { trial, outcome, gains: [] };
  const values = reading.arms.flatMap((a) => a.values.map((v) => v.value));
  const lossesEnd = outcome && leastOf(outcome) !== undefined && values.every((v) => v >= 0) ? -100 : -Infinity;
  const percentOf = (difference: number): number => (difference / control.mean) * 100;
  const gains = reading.arms.flatMap((a): Gain[] => {
    if (!a.against || a.atLeast) return [];
    const { difference, interval } = a.against;
    const ends = interval && [percentOf(interval.low), percentOf(interval.high)];
    return [
      {
        arm: trial.arms[a.arm]?.name ?? '',
        percent: percentOf(difference),
        // What cannot be below zero cannot lose more than all of it.
        interval: ends && { low: Math.max(lossesEnd, Math.min(...ends)), high: Math.max(...ends) },
        units: a.values.length,
      },
    ];
  });
  return { trial, outcome, gains };
}
