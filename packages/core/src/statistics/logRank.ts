import { chiSquareBeyond } from './distributions.js';

/** How long something took, or at least how long where it was not over by then. */
export interface Timed {
  readonly minutes: number;
  readonly over: boolean;
}
/**
 * The log-rank test of two arms of times, some of which were not over by the end of watching.
 * @returns χ² on one degree of freedom with its p; undefined where nothing was over while both were watched
 * @example logRank(remission6mp, remissionPlacebo)?.chiSquare // 16.79
 */
export function logRank(
  a: readonly Timed[],
  b: readonly Timed[],
): { readonly chiSquare: number; readonly p: number } | undefined {
  const times = [...new Set([...a, ...b].filter((t) => t.over).map((t) => t.minutes))].sort((x, y) => x - y);
  let [observed, expected, variance] = [0, 0, 0];
  for (const at of times) {
    const atRisk = (arm: readonly Timed[]): number => arm.filter((t) => t.minutes >= at).length;
    const ends = (arm: readonly Timed[]): number => arm.filter((t) => t.over && t.minutes === at).length;
    const [na, nb] = [atRisk(a), atRisk(b)];
    const n = na + nb;
    const d = ends(a) + ends(b);
    observed += ends(a);
    expected += (d * na) / n;
    if (n > 1) variance += (d * (na / n) * (nb / n) * (n - d)) / (n - 1);
  }
  if (variance <= 0) return undefined;
  const chiSquare = (observed - expected) ** 2 / variance;
  return { chiSquare, p: chiSquareBeyond(chiSquare, 1) };
}

/**
 * Each time as its log-rank score: what was to be expected by then (Nelson–Aalen) less whether it was over. Scores of all times add up to 0, and those of
 * an arm to expected less observed of the log-rank test, so that permuting them within blocks is that test with blocks. More is longer.
 * @example logRankScores([{ minutes: 3, over: true }, { minutes: 5, over: false }]) // [-0.5, 0.5]
 */
export function logRankScores(times: readonly Timed[]): readonly number[] {
  const ends = [...new Set(times.filter((t) => t.over).map((t) => t.minutes))].sort((x, y) => x - y);
  let risen = 0;
  const hazard = ends.map((at) => {
    const atRisk = times.filter((t) => t.minutes >= at).length;
    risen += times.filter((t) => t.over && t.minutes === at).length / atRisk;
    return { at, risen };
  });
  return times.map((t) => (hazard.filter((h) => h.at <= t.minutes).at(-1)?.risen ?? 0) - (t.over ? 1 : 0));
}

/** Between what and what the mean of times lies where some were not over: at least as long as watched, and no upper end. */
export function meanTime(times: readonly Timed[]): { readonly low: number; readonly high: number | undefined } {
  const low = times.reduce((all, t) => all + t.minutes, 0) / times.length;
  return { low, high: times.every((t) => t.over) ? low : undefined };
}
