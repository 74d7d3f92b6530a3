import { daysBetween } from '../quantity/index.js';
import type { Incubation } from '../shelf/index.js';
import type { TrialReading } from './course.js';
import type { TrialUnit } from './layout.js';

/** Weeks in which jars are sampled: early ones say how fast it goes, late ones how much comes in the end. */
export const JAR_WEEKS = [1, 2, 4, 6, 8] as const;
/** A sampling counts for a week up to so many days from it. */
const NEAR_DAYS = 3;

/** Mineral N on one day, of the jars with a bag and of those without. */
export type JarPoint = Incubation['points'][number];

/**
 * Samplings of an incubation: for each day on which both were sampled, the mean of the jars of an arm and of the control.
 * @param readings of mineral N, all in one unit
 * @param from the day the jars were filled
 * @example jarPoints(units, readings, 1, 0, '2026-03-01')[0] // { day: 7, treated: 62, untreated: 14 }
 */
export function jarPoints(
  units: readonly TrialUnit[],
  readings: readonly TrialReading[],
  arm: number,
  control: number,
  from: string,
): readonly JarPoint[] {
  const armOf = new Map(units.map((u) => [u.number, u.arm]));
  const mean = (of: number, on: string): number | undefined => {
    const own = readings.filter((r) => r.on === on && armOf.get(r.unit) === of);
    return own.length === 0 ? undefined : own.reduce((sum, r) => sum + r.value, 0) / own.length;
  };
  const days = [...new Set(readings.map((r) => r.on))].filter((on) => on >= from).sort();
  return days.flatMap((on): JarPoint[] => {
    const [treated, untreated] = [mean(arm, on), mean(control, on)];
    return treated === undefined || untreated === undefined ? [] : [{ day: daysBetween(from, on), treated, untreated }];
  });
}

/** The weeks in which nothing was sampled. @example missedWeeks([7, 14, 28]) // [6, 8] */
export const missedWeeks = (days: readonly number[]): readonly number[] =>
  JAR_WEEKS.filter((week) => !days.some((day) => Math.abs(day - week * 7) <= NEAR_DAYS));

/** What missed weeks cost, in a sentence; undefined where none was missed. */
export function missedWords(missed: readonly number[]): string | undefined {
  if (missed.length === 0) return undefined;
  const early = missed.some((week) => week <= 2);
  const late = missed.some((week) => week >= 6);
  const cost = [
    ...(early ? ['how fast it begins'] : []),
    ...(late ? ['how much comes in the end'] : []),
    ...(!early && !late ? ['where the curve bends'] : []),
  ].join(' and ');
  return `Nothing was sampled in week ${missed.join(', ')}: ${cost} rests on the other samplings.`;
}
