import type { TrialOutcome, TrialReading } from './course.js';
import type { TrialUnit } from './layout.js';
import { readOutcome, type TrialPlan } from './read.js';

/** Which arm led on which day of a harvest, by what was added up so far; of a tie the first. */
export interface Leader {
  readonly on: string;
  readonly arm: number;
  /** Adjusted means of what each unit gave so far; NaN for an arm without units. */
  readonly totals: readonly number[];
}
/**
 * Who led on each day of a harvest.
 * @param units those that count: lost ones left out. One without a harvest yet has given 0
 */
export function leaders(
  plan: Pick<TrialPlan, 'layout' | 'arms' | 'control'>,
  readings: readonly TrialReading[],
  units: readonly TrialUnit[],
  better: TrialOutcome['better'],
): readonly Leader[] {
  const days = [...new Set(readings.map((r) => r.on))].sort();
  return days.map((on) => {
    const given = new Map<number, number>();
    for (const r of readings) if (r.on <= on) given.set(r.unit, (given.get(r.unit) ?? 0) + r.value);
    const totals = readOutcome(plan, units, (u) => given.get(u.number) ?? 0).arms.map((a) => a.mean);
    const measured = totals.filter((t) => !Number.isNaN(t));
    return { on, arm: totals.indexOf(better === 'more' ? Math.max(...measured) : Math.min(...measured)), totals };
  });
}
