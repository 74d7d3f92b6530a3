import { chiSquareBeyond, zQuantile } from './distributions.js';
import type { Effect } from './effects.js';
import { tQuantile } from './studentT.js';

/** How the variance between studies is estimated: DerSimonian & Laird 1986, restricted maximum likelihood, or Paule & Mandel 1982. */
export const TAU_METHODS = ['DL', 'REML', 'PM'] as const;
export type TauMethod = (typeof TAU_METHODS)[number];
/** How the interval is made: Hartung & Knapp with its factor not below 1, the same without that floor, or the plain normal one. */
export const INTERVAL_METHODS = ['hartungKnapp', 'hartungKnappUnbounded', 'normal'] as const;
export type IntervalMethod = (typeof INTERVAL_METHODS)[number];

export interface PoolOptions {
  readonly tau?: TauMethod;
  readonly interval?: IntervalMethod;
  /** The share that intervals hold; 0.95 unless said. */
  readonly level?: number;
}
export interface Interval {
  readonly low: number;
  readonly high: number;
}
/** What several studies come to together. */
export interface Pooled {
  readonly studies: number;
  readonly effect: number;
  /** By the plain formula, 1 / √Σ weights. */
  readonly se: number;
  readonly interval: Interval;
  /** What the interval's standard error is times the plain one: Hartung & Knapp's factor. */
  readonly factor: number;
  readonly tau2: number;
  /** Cochran's Q with its degrees of freedom and p. */
  readonly q: number;
  readonly degreesOfFreedom: number;
  readonly p: number;
  /** The share of the variation that is between studies, 0 to 1. */
  readonly i2: number;
  /** Where the effect of one more study would lie; undefined below three studies. */
  readonly prediction: Interval | undefined;
  /** Each study's share of the weight, in their order. */
  readonly weights: readonly number[];
}

/** Weighted sums of effects at a variance between studies, in one pass. */
interface Sums {
  readonly w: number;
  readonly w2: number;
  readonly mean: number;
  /** Weighted squares around that mean: Q at no variance between studies. */
  readonly squares: number;
}
function sumsAt(effects: readonly Effect[], tau2: number): Sums {
  // Effects are taken from the first one on, so that equal ones differ by nothing at all.
  const from = effects[0]?.effect ?? 0;
  let [w, w2, wy, wyy] = [0, 0, 0, 0];
  for (const e of effects) {
    const weight = 1 / (e.variance + tau2);
    const y = e.effect - from;
    w += weight;
    w2 += weight * weight;
    wy += weight * y;
    wyy += weight * y * y;
  }
  return { w, w2, mean: from + wy / w, squares: Math.max(0, wyy - (wy * wy) / w) };
}
const squares = (effects: readonly Effect[], tau2: number): number => sumsAt(effects, tau2).squares;

const MOST_STEPS = 200;
const NEAR = 1e-12;

/** DerSimonian & Laird 1986: what Q exceeds its degrees of freedom by. */
function derSimonianLaird(effects: readonly Effect[]): number {
  const { w, w2, squares: q } = sumsAt(effects, 0);
  return Math.max(0, (q - (effects.length - 1)) / (w - w2 / w));
}
/** Restricted maximum likelihood by Fisher scoring, begun where DerSimonian & Laird end. */
function restricted(effects: readonly Effect[]): number {
  let tau2 = derSimonianLaird(effects);
  for (let step = 0; step < MOST_STEPS; step++) {
    const { w, w2, mean } = sumsAt(effects, tau2);
    let [around, w3] = [0, 0];
    for (const e of effects) {
      const weight = 1 / (e.variance + tau2);
      around += (weight * (e.effect - mean)) ** 2;
      w3 += weight ** 3;
    }
    const score = around - (w - w2 / w);
    const information = w2 - (2 * w3) / w + (w2 / w) ** 2;
    const next = Math.max(0, tau2 + score / information);
    const done = Math.abs(next - tau2) <= NEAR * tau2;
    tau2 = next;
    if (done) break;
  }
  return tau2;
}
/** Paule & Mandel 1982: the variance at which the weighted squares are their degrees of freedom. */
function pauleMandel(effects: readonly Effect[]): number {
  const df = effects.length - 1;
  if (squares(effects, 0) <= df) return 0;
  // Begun at the size of the variances themselves, whatever unit effects are in.
  let [low, high] = [0, Math.max(...effects.map((e) => e.variance))];
  while (squares(effects, high) > df) high *= 2;
  for (let step = 0; step < MOST_STEPS && high - low > NEAR * high; step++) {
    const mid = (low + high) / 2;
    if (squares(effects, mid) > df) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
const BETWEEN: Readonly<Record<TauMethod, (effects: readonly Effect[]) => number>> = {
  DL: derSimonianLaird,
  REML: restricted,
  PM: pauleMandel,
};

/** What the plain standard error is stretched by, from the weighted mean square (Hartung & Knapp; IntHout, Ioannidis & Borm 2014). */
function stretch(meanSquare: number, method: IntervalMethod): number {
  if (method === 'normal') return 1;
  const factor = Math.sqrt(meanSquare);
  // Not below 1: Röver, Knapp & Friede 2015.
  return method === 'hartungKnapp' ? Math.max(1, factor) : factor;
}

/** How many standard errors the intervals reach, of the estimate and of one more study. */
interface Reach {
  readonly estimate: number;
  readonly prediction: number | undefined;
}
function reachOf(k: number, method: IntervalMethod, level: number): Reach {
  const share = 1 - (1 - level) / 2;
  return {
    estimate: method === 'normal' ? zQuantile(share) : tQuantile(share, k - 1),
    prediction: k >= 3 ? tQuantile(share, k - 2) : undefined,
  };
}

/**
 * Pools the effects of several studies by random effects. One study is never pooled.
 *
 * τ² by DerSimonian & Laird 1986 unless said; the interval by Hartung & Knapp with k − 1 degrees of freedom (IntHout, Ioannidis & Borm 2014), its factor
 * not below 1 (Röver, Knapp & Friede 2015); the prediction interval with k − 2 degrees of freedom (Higgins, Thompson & Spiegelhalter 2009).
 * @param effects on one scale, each with the variance of its estimate, above zero
 * @throws RangeError for fewer than two studies, or a variance that is not above zero
 * @example pool([{ effect: 0.1, variance: 0.01 }, { effect: 0.3, variance: 0.02 }]).effect // 0.167 to 0.2
 */
export function pool(effects: readonly Effect[], options: PoolOptions = {}): Pooled {
  fitToPool(effects);
  return pooledWithin(
    effects,
    options,
    reachOf(effects.length, options.interval ?? 'hartungKnapp', options.level ?? 0.95),
  );
}
function fitToPool(effects: readonly Effect[]): void {
  const k = effects.length;
  if (k < 2) throw new RangeError(`Read ${k} ${k === 1 ? 'study' : 'studies'}, expected two or more to pool.`);
  for (const { effect, variance } of effects)
    if (!(variance > 0 && Number.isFinite(variance) && Number.isFinite(effect)))
      throw new RangeError(
        `Read an effect of ${effect} with variance ${variance}, expected numbers, the variance above zero.`,
      );
}
/** The pool of effects that are known to be fit, with how far its intervals reach. */
function pooledWithin(
  effects: readonly Effect[],
  { tau = 'DL', interval = 'hartungKnapp' }: PoolOptions,
  reach: Reach,
): Pooled {
  const k = effects.length;
  const tau2 = BETWEEN[tau](effects);
  const { w: all, mean: effect, squares: weighted } = sumsAt(effects, tau2);
  const se = Math.sqrt(1 / all);
  const df = k - 1;
  const q = squares(effects, 0);
  const factor = stretch(weighted / df, interval);
  const around = (half: number): Interval => ({ low: effect - half, high: effect + half });
  return {
    studies: k,
    effect,
    se,
    interval: around(reach.estimate * se * factor),
    factor,
    tau2,
    q,
    degreesOfFreedom: df,
    p: chiSquareBeyond(q, df),
    i2: q > 0 ? Math.max(0, (q - df) / q) : 0,
    prediction: reach.prediction === undefined ? undefined : around(reach.prediction * Math.sqrt(tau2 + se ** 2)),
    weights: effects.map((e) => 1 / (e.variance + tau2) / all),
  };
}

/**
 * The pool without each study in turn, in their order.
 * @returns empty below three studies: what is left of two is one, which is not pooled
 * @example leaveOneOut(effects)[0].effect // without the first
 */
export function leaveOneOut(effects: readonly Effect[], options: PoolOptions = {}): readonly Pooled[] {
  if (effects.length < 3) return [];
  fitToPool(effects);
  const reach = reachOf(effects.length - 1, options.interval ?? 'hartungKnapp', options.level ?? 0.95);
  return effects.map((_, i) =>
    pooledWithin(
      effects.filter((__, j) => j !== i),
      options,
      reach,
    ),
  );
}

/** A pool of those studies that share a group; undefined where there is only one of them. */
export interface Subgroup {
  readonly group: string;
  readonly studies: number;
  readonly pooled: Pooled | undefined;
}
/**
 * Pools by group, in the order in which the groups come.
 * @param groups of each effect
 * @example subgroups(effects, ['field', 'pot', 'field'])[0].studies // 2
 */
export const subgroups = (
  effects: readonly Effect[],
  groups: readonly string[],
  options: PoolOptions = {},
): readonly Subgroup[] =>
  [...new Set(groups)].map((group) => {
    const own = effects.filter((_, i) => groups[i] === group);
    return { group, studies: own.length, pooled: own.length > 1 ? pool(own, options) : undefined };
  });
