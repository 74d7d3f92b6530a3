import gammainc from '@stdlib/math-base-special-gammainc';
import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import tCdf from '@stdlib/stats-base-dists-t-cdf';

/** The share of the standard normal distribution below z. @example normalShare(1.96) // 0.975 */
export const normalShare = (z: number): number => normalCdf(z, 0, 1);
/** The z that a share of the standard normal distribution lies below. @example zQuantile(0.975) // 1.96 */
export const zQuantile = (share: number): number => normalQuantile(share, 0, 1);
/** The share of Student's distribution below t. @example tShare(2.228, 10) // 0.975 */
export const tShare = (t: number, degreesOfFreedom: number): number => tCdf(t, degreesOfFreedom);
/** The chance of a χ² as large or larger, by the upper incomplete gamma function. @example chiSquareBeyond(3.841, 1) // 0.05 */
export const chiSquareBeyond = (x: number, degreesOfFreedom: number): number =>
  x > 0 ? gammainc(x / 2, degreesOfFreedom / 2, true, true) : 1;
/** The chance of a t as large or larger; where it is small it stays exact. @example tBeyond(2.228, 10) // 0.025 */
export const tBeyond = (t: number, degreesOfFreedom: number): number => tCdf(-t, degreesOfFreedom);
