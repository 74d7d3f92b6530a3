import { tQuantile } from '../statistics/index.js';

/** What one garden found of one arm against the control, mean of its blocks. */
export interface GardenResult {
  readonly garden: string;
  readonly differences: readonly number[];
}
/** What several gardens come to together. */
export interface Gardens {
  readonly gardens: number;
  readonly mean: number;
  /** 95 %, of the mean over gardens like these; undefined for one garden. */
  readonly interval: { readonly low: number; readonly high: number } | undefined;
  /** Of one more garden. */
  readonly next: { readonly low: number; readonly high: number } | undefined;
}
/**
 * Several gardens with a block or two each: the garden is the random unit, so each counts by the mean of its blocks, and the spread between gardens judges
 * the mean. Two blocks of one garden are not two gardens.
 * @example mergeGardens([{ garden: 'A', differences: [2, 3] }, { garden: 'B', differences: [1] }]).gardens // 2
 */
export function mergeGardens(results: readonly GardenResult[]): Gardens | undefined {
  const byGarden = new Map<string, number[]>();
  for (const { garden, differences } of results)
    byGarden.set(garden, [...(byGarden.get(garden) ?? []), ...differences]);
  const means = [...byGarden.values()].filter((d) => d.length > 0).map((d) => d.reduce((a, b) => a + b, 0) / d.length);
  const n = means.length;
  if (n === 0) return undefined;
  const mean = means.reduce((a, b) => a + b, 0) / n;
  if (n === 1) return { gardens: 1, mean, interval: undefined, next: undefined };
  const sd = Math.sqrt(means.reduce((sum, m) => sum + (m - mean) ** 2, 0) / (n - 1));
  const t = tQuantile(0.975, n - 1);
  const around = (half: number): { low: number; high: number } => ({ low: mean - half, high: mean + half });
  return { gardens: n, mean, interval: around((t * sd) / Math.sqrt(n)), next: around(t * sd * Math.sqrt(1 + 1 / n)) };
}
