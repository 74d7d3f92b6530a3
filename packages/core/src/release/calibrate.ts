import { MEDIUM_NAMES, type Medium } from '../ground/index.js';
import type { Range } from '../quantity/index.js';
import type { Incubation } from '../shelf/index.js';
import { fitCurve, profileIntervals, type Fit, type FitProblem } from '../statistics/index.js';

/** What one sampling of an incubation says: the share of the nitrogen applied that is mineral beyond the untreated jar's. */
export interface NetShare {
  readonly day: number;
  readonly share: number;
}
/** A fitted number with its profile-likelihood interval; an end that the samplings do not settle is undefined. */
export interface FittedNumber {
  readonly value: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/** A bag's own curve: share released by day t = N0·(1 − e^(−k·t)), as it was in the jar; or why there is none. */
export type Calibration =
  | {
      readonly kind: 'fitted';
      readonly points: readonly NetShare[];
      /** Share of the nitrogen applied that is released in the end. */
      readonly n0: FittedNumber;
      /** Rate at the incubation's temperature. */
      readonly kPerDay: FittedNumber;
      readonly degreesOfFreedom: number;
      /** Spread of the samplings about the curve, as a share of the nitrogen applied. */
      readonly residualDeviation: number;
      readonly remarks: readonly string[];
    }
  | { readonly kind: 'cannotFit'; readonly points: readonly NetShare[]; readonly why: string };

/** Net mineralization: (treated − untreated) ÷ applied. @example netShares({ applied: 200, points: [{ day: 14, treated: 90, untreated: 10 }], … }) // 0.4 by day 14 */
export const netShares = ({ applied, points }: Pick<Incubation, 'applied' | 'points'>): readonly NetShare[] =>
  points.map(({ day, treated, untreated }) => ({ day, share: (treated - untreated) / applied }));

const firstOrder: FitProblem['curve'] = (t, [n0 = 0, k = 0]) => n0 * -Math.expm1(-k * t);
const byParameter: NonNullable<FitProblem['gradient']> = (t, [n0 = 0, k = 0]) => [
  -Math.expm1(-k * t),
  n0 * t * Math.exp(-k * t),
];
/** Rates that fits are begun from: the same jar can hold something quick or slow. */
const STARTS_PER_DAY = [0.003, 0.02, 0.1, 0.5];
const FEWEST_TIMES = 3;
/** More than is in the bag, and faster than any sampling could follow. */
const MOST_SHARE = 1.5;
const MOST_PER_DAY = 20;

function bestFit(problem: Omit<FitProblem, 'start'>, highest: number): Fit | undefined {
  const fits = STARTS_PER_DAY.map((k) => fitCurve({ ...problem, start: [highest, k], goodStart: true })).filter(
    (f) => f.kind === 'fitted',
  );
  return fits.sort((a, b) => a.residualSumOfSquares - b.residualSumOfSquares)[0];
}

const NO_RISE = 'No first-order curve goes through these samplings: they do not rise and level off.';
/** Why a fit is none, though it may go through the points. */
function whyNot(fit: Fit | undefined, later: readonly NetShare[]): string | undefined {
  const [value = 0, rate = 0] = fit?.parameters ?? [];
  const rising = (later.at(-1)?.share ?? 0) > (later[0]?.share ?? 0);
  if (rising && (value > MOST_SHARE || rate <= 0))
    return 'The samplings still rise in a straight line: they do not say how much is released in the end. Go on sampling.';
  if (value <= 0 || rate <= 0) return NO_RISE;
  return rate > MOST_PER_DAY
    ? 'All of it was there at the first sampling: sample earlier to see how fast it goes.'
    : undefined;
}

const remarksOn = (fit: Fit, n0: FittedNumber, k: FittedNumber): readonly string[] => [
  ...(fit.degreesOfFreedom === 1
    ? ['With three samplings one degree of freedom is left: the intervals are wide. Five samplings are worth having.']
    : []),
  ...(n0.high === undefined
    ? ['How much is released in the end is not settled from above: the last samplings still rise.']
    : []),
  ...(k.high === undefined ? ['How fast it goes is not settled from above: no sampling is early enough.'] : []),
  ...(n0.value > 1
    ? ['More nitrogen came than was applied: check the amount applied, or whether the soil gave more because of it.']
    : []),
];

/**
 * Fits a first-order release to an incubation (Stanford & Smith 1972): N0 and k by least squares, each with its 95 % profile-likelihood interval.
 * @param incubation treated and untreated mineral nitrogen by day, and what was applied, all in one unit
 * @example calibrate(incubation) // { kind: 'fitted', n0: { value: 0.62, low: 0.57, high: 0.69 }, … }
 */
export function calibrate(incubation: Incubation): Calibration {
  const points = netShares(incubation);
  const later = points.filter((p) => p.day > 0);
  const cannot = (why: string): Calibration => ({ kind: 'cannotFit', points, why });
  const times = new Set(later.map((p) => p.day)).size;
  if (times < FEWEST_TIMES)
    return cannot(
      `A curve needs samplings on ${FEWEST_TIMES} days or more after the start; there ${times === 1 ? 'is' : 'are'} ${times}.`,
    );
  const highest = Math.max(...later.map((p) => p.share));
  if (highest <= 0)
    return cannot(
      'The treated jars never hold more mineral nitrogen than the untreated ones: it is tied up, and no first-order release is there to fit.',
    );
  const problem = {
    curve: firstOrder,
    gradient: byParameter,
    x: later.map((p) => p.day),
    y: later.map((p) => p.share),
  };
  const fit = bestFit(problem, highest);
  const refusal = whyNot(fit, later);
  if (!fit || refusal !== undefined) return cannot(refusal ?? NO_RISE);
  const [value = 0, rate = 0] = fit.parameters;
  const bounds = [[0, MOST_SHARE], [1e-6, MOST_PER_DAY]] as const; // prettier-ignore
  const [n0 = OPEN, k = OPEN] = profileIntervals({ ...problem, start: fit.parameters }, fit, 0.95, bounds);
  const found = { n0: { value, ...n0 }, kPerDay: { value: rate, ...k } };
  return {
    kind: 'fitted',
    points,
    ...found,
    degreesOfFreedom: fit.degreesOfFreedom,
    residualDeviation: fit.residualDeviation,
    remarks: remarksOn(fit, found.n0, found.kPerDay),
  };
}
const OPEN = { low: undefined, high: undefined };

/** What a bag's own curve is worth to the release model: ranges with an end wherever one is open. */
export interface OwnCurve {
  readonly n0: Range;
  readonly kPerDay: Range;
  readonly temperatureC: number;
  readonly medium: Medium;
  readonly source: string;
}
const known = new WeakMap<Incubation, OwnCurve | undefined>();
/** The curve of a bag that has an incubation of its own; undefined where none can be fitted. An open end is taken as far as it can be at all. */
export function ownCurve(incubation: Incubation | undefined): OwnCurve | undefined {
  if (!incubation) return undefined;
  if (known.has(incubation)) return known.get(incubation);
  const fit = calibrate(incubation);
  const curve =
    fit.kind === 'fitted'
      ? {
          n0: rangeOf(fit.n0, [0, 1]),
          kPerDay: rangeOf(fit.kPerDay, [fit.kPerDay.value / 5, fit.kPerDay.value * 5]),
          temperatureC: incubation.temperatureC,
          medium: incubation.medium,
          source: `fitted to its own incubation of ${incubation.points.length} samplings at ${incubation.temperatureC} °C in ${MEDIUM_NAMES[incubation.medium]}`,
        }
      : undefined;
  known.set(incubation, curve);
  return curve;
}
/** An interval as a range; an open end is as far as it may be at all. */
const rangeOf = ({ value, low, high }: FittedNumber, [least, most]: readonly [number, number]): Range => {
  const mid = Math.min(value, most);
  return { low: Math.min(mid, low ?? least), mid, high: Math.max(mid, Math.min(most, high ?? most)) };
};
