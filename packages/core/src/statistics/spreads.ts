import { tQuantile } from './studentT.js';

/** The standard deviation between units from the standard error of their mean. @example sdFromSe(2, 16) // 8 */
export const sdFromSe = (se: number, n: number): number => se * Math.sqrt(n);
/** The standard error of a mean from the standard deviation between units. @example seFromSd(8, 16) // 2 */
export const seFromSd = (sd: number, n: number): number => sd / Math.sqrt(n);

const twoSided = (level: number): number => 1 - (1 - level) / 2;
/**
 * The standard error of a mean from its confidence interval, taken as mean ± t × SE.
 * @param level the share the interval is said to hold, such as 0.95
 * @example seFromInterval(8, 12, 9) // 2 ÷ 2.262 = 0.884
 */
export const seFromInterval = (low: number, high: number, degreesOfFreedom: number, level = 0.95): number =>
  (high - low) / 2 / tQuantile(twoSided(level), degreesOfFreedom);
/** The confidence interval of a mean from its standard error. @example intervalFromSe(10, 0.884, 9) // [8, 12] */
export function intervalFromSe(
  mean: number,
  se: number,
  degreesOfFreedom: number,
  level = 0.95,
): readonly [low: number, high: number] {
  const half = tQuantile(twoSided(level), degreesOfFreedom) * se;
  return [mean - half, mean + half];
}
/**
 * The standard error of a difference from its two-sided p: the t that belongs to p is the difference over its standard error. Where a paper says only
 * "p < 0.05", what comes out at 0.05 is the largest it can be.
 * @throws RangeError where p is not between 0 and 1, or the difference is zero, which tells nothing of its error
 * @example seFromP(2, 0.05, 18) // 2 ÷ 2.101 = 0.952
 */
export function seFromP(difference: number, p: number, degreesOfFreedom: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`Read p of ${p}, expected a number between 0 and 1.`);
  if (difference === 0) throw new RangeError('Read a difference of zero, expected one that tells its error by its p.');
  return Math.abs(difference) / tQuantile(1 - p / 2, degreesOfFreedom);
}
/** The standard error of a difference of two means from a least significant difference. @example seFromLsd(3, 20) // 3 ÷ 2.086 = 1.438 */
export const seFromLsd = (lsd: number, degreesOfFreedom: number, level = 0.95): number =>
  lsd / tQuantile(twoSided(level), degreesOfFreedom);
/**
 * The standard deviation between units, the same in both arms, from the standard error of the difference of their means.
 * @example sdFromDifference(1, 8, 8) // 2
 */
export const sdFromDifference = (se: number, nTreated: number, nControl: number): number =>
  se / Math.sqrt(1 / nTreated + 1 / nControl);
