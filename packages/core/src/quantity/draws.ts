import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Range } from './range.js';

/** A stream of numbers between 0 and 1, the same for a seed every time. */
export function uniformDraws(seed: number): () => number {
  const random = xoroshiro128plus(seed);
  return () => ((random.next() >>> 0) + 0.5) / 2 ** 32;
}

/** A draw from the triangle low–mid–high at a probability 0–1. */
export function triangular({ low, mid, high }: Range, probability: number): number {
  if (low === high) return mid;
  const peak = (mid - low) / (high - low);
  return probability < peak
    ? low + Math.sqrt(probability * (high - low) * (mid - low))
    : high - Math.sqrt((1 - probability) * (high - low) * (high - mid));
}

/** A percentile of numbers sorted from low to high. @param share 0–1 */
export const percentileOf = (sorted: ArrayLike<number>, share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
