import quantile from '@stdlib/stats-base-dists-t-quantile';

/**
 * The t that a share of Student's distribution lies below.
 * @param share between 0 and 1
 * @throws RangeError below one degree of freedom
 * @example tQuantile(0.975, 10) // 2.228
 */
export function tQuantile(share: number, degreesOfFreedom: number): number {
  if (!(degreesOfFreedom >= 1))
    throw new RangeError(`Read ${degreesOfFreedom} degrees of freedom, expected 1 or more.`);
  return quantile(share, degreesOfFreedom);
}
