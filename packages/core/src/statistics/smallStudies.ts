import { tBeyond } from './distributions.js';
import type { Effect } from './effects.js';

/** A look for effects that grow as studies shrink. */
export interface SmallStudies {
  /** Of effect over its standard error on one over the standard error: zero where small and large studies agree. */
  readonly intercept: number;
  readonly se: number;
  readonly p: number;
  /** Below ten studies the look can hardly tell, and that is said beside it. */
  readonly enough: boolean;
}
const ENOUGH = 10;

/**
 * Egger's regression: whether small studies find more than large ones. It can have other reasons than studies that were not published.
 * Egger, Davey Smith, Schneider & Minder 1997.
 * @returns undefined below three studies, or where all are equally large
 */
export function smallStudies(effects: readonly Effect[]): SmallStudies | undefined {
  const n = effects.length;
  if (n < 3) return undefined;
  const x = effects.map((e) => 1 / Math.sqrt(e.variance));
  const y = effects.map((e) => e.effect / Math.sqrt(e.variance));
  const mean = (v: readonly number[]): number => v.reduce((a, b) => a + b, 0) / n;
  const [mx, my] = [mean(x), mean(y)];
  const sxx = x.reduce((s, v) => s + (v - mx) ** 2, 0);
  if (sxx < 1e-12 * mx ** 2) return undefined;
  const slope = x.reduce((s, v, i) => s + (v - mx) * ((y[i] ?? 0) - my), 0) / sxx;
  const intercept = my - slope * mx;
  const residual = x.reduce((s, v, i) => s + ((y[i] ?? 0) - intercept - slope * v) ** 2, 0) / (n - 2);
  const se = Math.sqrt(residual * (1 / n + mx ** 2 / sxx));
  const p = se > 0 ? 2 * tBeyond(Math.abs(intercept / se), n - 2) : 1;
  return { intercept, se, p, enough: n >= ENOUGH };
}
