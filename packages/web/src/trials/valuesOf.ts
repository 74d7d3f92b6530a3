import type { TrialInput } from '@wheat-ledger/contract';
import { valueOf, type CourseSummary, type TrialOutcome, type TrialReading, type TrialUnit } from '@wheat-ledger/core';

/** What each unit came to in one outcome up to the trial's day, by its number; NaN where it is left out. */
export const valuesOf = (
  { until }: Pick<TrialInput, 'until'>,
  outcome: TrialOutcome,
  units: readonly TrialUnit[],
  readings: readonly TrialReading[],
  left: ReadonlySet<number>,
  summary: CourseSummary,
): ReadonlyMap<number, number> =>
  new Map(
    units.map((u) => {
      const own = readings.filter((r) => r.unit === u.number);
      return [u.number, left.has(u.number) ? Number.NaN : valueOf(outcome, own, summary, until)];
    }),
  );

/** Units whose last time was not over when watching stopped. */
export function notOverOf(readings: readonly TrialReading[]): ReadonlySet<number> {
  const last = new Map([...readings].sort((a, b) => a.on.localeCompare(b.on)).map((r) => [r.unit, r.notOver === true]));
  return new Set([...last].flatMap(([unit, open]) => (open ? [unit] : [])));
}
