import { daysBetween } from '../quantity/index.js';
import type { Season, SiteInSeason } from './dates.js';
import { nitrogenDemand } from './demand.js';

/** What is taken up on one piece of ground, by one crop after another or several among each other. */
export interface GroundDemand {
  /** kg N/ha at the end of each day, index 0 the first day's start; undefined when that of the season's own crop is not known. */
  readonly kgPerHa: readonly number[] | undefined;
  /** Crops on the same ground whose uptake is not known and not in it. */
  readonly without: readonly string[];
}

/** Room for rounding in typed shares. */
const SLACK = 1e-6;
/**
 * Of a plot's other seasons those on the same ground: with this one they take more than all of the plot, so they cannot lie side by side.
 * @example sharingGround({ ...wheat, share: 1 }, [{ ...clover, share: 1 }]) // the clover
 */
export const sharingGround = (season: Season, others: readonly Season[]): readonly Season[] =>
  others.filter((other) => season.share + other.share > 1 + SLACK);

/**
 * Adds up what the crops on a season's ground take up, from its first day on. A crop that was cleared takes up no more, one on a part of the ground
 * counts for that part, and what stood before the first day has its earlier share behind it.
 * @param warmth daily mean soil temperature from a day on, for so many days
 */
export function groundDemand(
  { season, also = [] }: Pick<SiteInSeason, 'season' | 'also'>,
  days: number,
  warmth: (from: string, days: number) => readonly number[],
): GroundDemand {
  const without: string[] = [];
  const courseOf = ({ crop, from, to, share }: Season): ((day: number) => number) | undefined => {
    const start = daysBetween(season.from, from);
    const end = Math.min(days, to === undefined ? days : daysBetween(season.from, to));
    // Cleared before the first day, or not there within the days.
    if (end <= Math.max(0, start)) return () => 0;
    const last = end - start;
    const course = nitrogenDemand(crop, from, warmth(from, last));
    if (!course) return undefined;
    const before = course[Math.max(0, -start)] ?? 0;
    const weight = Math.min(1, share / season.share);
    return (day) => weight * Math.max(0, (course[Math.min(last, Math.max(0, day - start))] ?? 0) - before);
  };
  const own = courseOf(season);
  const others = also.flatMap((other): ((day: number) => number)[] => {
    const course = courseOf(other);
    if (!course) without.push(other.crop.name);
    return course ? [course] : [];
  });
  const all = own ? [own, ...others] : [];
  return {
    kgPerHa: own && Array.from({ length: days + 1 }, (_, day) => all.reduce((sum, course) => sum + course(day), 0)),
    without,
  };
}
