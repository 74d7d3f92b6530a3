import { dayOfYear, MONTH_LENGTHS, YEAR_DAYS } from '../ground/index.js';
import type { Crop, UptakeCourse } from './crop.js';

/**
 * Share of the season's nitrogen that is in by the end of each day, index 0 the first day's start. By warmth it is logistic, so that an
 * autumn-planted bulb does not feed in January: L(τ) = 1 / (1 + exp(−g (τ − τ_half))), g = ln 19 ÷ (τ_end − τ_half), set to 0 at planting and to 1
 * at τ_end, and no more after. A perennial or a lawn follows the months; a potted plant feeds evenly over the days given.
 * @param from ISO date of the first day
 * @param temperatureC daily mean soil temperature from that day on
 */
function wholeShares(course: UptakeCourse, from: string, temperatureC: readonly number[]): readonly number[] {
  const shares = [0];
  if (course.kind === 'warmth') {
    const { baseC, halfDegreeDays, endDegreeDays } = course;
    const growth = Math.log(19) / (endDegreeDays - halfDegreeDays);
    const raw = (warmth: number): number => 1 / (1 + Math.exp(-growth * (warmth - halfDegreeDays)));
    const start = raw(0);
    const span = raw(endDegreeDays) - start;
    let warmth = 0;
    for (const t of temperatureC) {
      warmth += Math.max(0, t - baseC);
      shares.push((raw(Math.min(warmth, endDegreeDays)) - start) / span);
    }
    return shares;
  }
  const first = dayOfYear(from);
  const byDay = MONTH_LENGTHS.flatMap((length, m) =>
    Array.from({ length }, () => (course.kind === 'yearly' ? (course.months[m] ?? 0) / length : 1 / YEAR_DAYS)),
  );
  let total = 0;
  temperatureC.forEach((_, i) => {
    total += byDay[(first + i) % YEAR_DAYS] ?? 0;
    shares.push(total);
  });
  return shares;
}

/** The same of what it is fed for: all of it, or what is in when feeding stops. */
function uptakeShares(
  course: UptakeCourse,
  fedTo = 1,
  from: string,
  temperatureC: readonly number[],
): readonly number[] {
  const shares = wholeShares(course, from, temperatureC);
  return fedTo === 1 ? shares : shares.map((share) => Math.min(share, fedTo) / fedTo);
}

/**
 * Cumulative nitrogen uptake of a crop.
 * @returns kg N/ha at the end of each day, index 0 the first day's start; length days + 1; undefined when its uptake or its course is not known
 * @example nitrogenDemand(wheat, '2026-03-15', siteDays(…).temperatureC)
 */
export function nitrogenDemand(
  crop: Crop,
  from: string,
  temperatureC: readonly number[],
): readonly number[] | undefined {
  const total = crop.uptakeKgPerHa.N?.mid;
  if (total === undefined || !crop.course) return undefined;
  return uptakeShares(crop.course, crop.fedTo, from, temperatureC).map((share) => total * share);
}

/** Growth stages told by how much of the nitrogen is in. */
export const GROWTH_STAGES = ['planting', 'quarter', 'half', 'threeQuarters', 'end'] as const;
export type GrowthStage = (typeof GROWTH_STAGES)[number];
const SHARE_AT: Readonly<Record<GrowthStage, number>> = {
  planting: 0,
  quarter: 0.25,
  half: 0.5,
  threeQuarters: 0.75,
  end: 1,
};

/** Days after the first until a stage is reached; undefined when it is not within the days given, or the course is not known. */
export function daysToStage(
  crop: Crop,
  stage: GrowthStage,
  from: string,
  temperatureC: readonly number[],
): number | undefined {
  if (stage === 'planting') return 0;
  if (!crop.course) return undefined;
  const found = uptakeShares(crop.course, crop.fedTo, from, temperatureC).findIndex(
    (share) => share >= SHARE_AT[stage] - 1e-9,
  );
  return found < 0 ? undefined : found;
}
