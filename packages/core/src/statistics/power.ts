import jStat from 'jstat';
import { tQuantile } from './studentT.js';

/** Degrees of freedom of the error of a layout. @example errorDf('blocks', 2, 6) // 5 */
export function errorDf(layout: 'random' | 'blocks' | 'latin', arms: number, replicates: number): number {
  if (layout === 'random') return arms * (replicates - 1);
  if (layout === 'blocks') return (arms - 1) * (replicates - 1);
  return (arms - 1) * (arms - 2);
}

/**
 * The chance to find a difference between two arms by a two-sided t test, by the noncentral t.
 * @param difference as a share of the mean
 * @param cv spread of a unit as a share of the mean
 * @param replicates of each arm
 * @param df of the error
 * @example power(0.5, 1, 64, 126) // 0.80
 */
export function power(difference: number, cv: number, replicates: number, df: number, alpha = 0.05): number {
  if (!(df >= 1) || !(cv > 0) || !(replicates >= 1)) return 0;
  const shift = Math.abs(difference) / (cv * Math.sqrt(2 / replicates));
  const beyond = tQuantile(1 - alpha / 2, df);
  const { cdf } = jStat.noncentralt;
  return Math.min(1, Math.max(0, 1 - cdf(beyond, df, shift) + cdf(-beyond, df, shift)));
}

/** The least difference that is found with a given chance; undefined where the layout leaves nothing to judge by. @example leastDifference(0.12, 2, 2) // about 0.70 */
export function leastDifference(
  cv: number,
  replicates: number,
  df: number,
  wanted = 0.8,
  alpha = 0.05,
): number | undefined {
  if (!(df >= 1) || !(replicates >= 1)) return undefined;
  let [low, high] = [0, cv];
  while (power(high, cv, replicates, df, alpha) < wanted) {
    high *= 2;
    if (high > 1e6 * cv) return undefined;
  }
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (power(middle, cv, replicates, df, alpha) < wanted) low = middle;
    else high = middle;
  }
  return high;
}
