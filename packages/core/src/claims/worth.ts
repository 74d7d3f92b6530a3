import { computed, literal, product as times, quotient, type Figure } from '../figure/index.js';
import { pricePerKg, pricesPerKg } from '../price/index.js';
import { inCurrency, measure, per, scaleRange, type Range } from '../quantity/index.js';
import { normalShare, tBeyond, tShare } from '../statistics/index.js';
import type { Product } from '../shelf/index.js';
import type { Evidence } from './evidence.js';
import { yearlyRate } from './dose.js';

/** What a square metre of the crop is worth to the one who grows it. */
export interface AtStake {
  /** Usual yield without the product, kg/m²; of a loss, what is usually lost. */
  readonly baseKgPerM2: Range;
  /** What a kg of it brings, in `currency`. */
  readonly valuePerKg: Range;
  readonly currency: string;
}

/** Break-even, with what it is made of. */
export type BreakEven =
  | { readonly kind: 'figure'; readonly share: Figure; readonly costPerM2: Figure; readonly stakePerM2: Figure }
  | { readonly kind: 'unknown'; readonly why: string };

/**
 * The gain of yield that pays for a product at its label rate: its cost ÷ (base yield × crop value).
 * @returns why there is none: no rate, no price in that money, nothing at stake
 * @example breakEven(bag, { baseKgPerM2: exact(0.5), valuePerKg: exact(2), currency: 'EUR' })
 */
export function breakEven(product: Product, { baseKgPerM2, valuePerKg, currency }: AtStake): BreakEven {
  const rate = yearlyRate(product);
  if (rate.kind === 'unknown') return { kind: 'unknown', why: rate.why };
  const price = pricePerKg(product, currency);
  if (!price) {
    const [other] = pricesPerKg(product);
    const why = other
      ? `Its price is in ${other.currency}, and the crop’s in ${currency}.`
      : 'It has no price that comes to a kg.';
    return { kind: 'unknown', why };
  }
  const money = inCurrency(currency);
  const perM2 = per(money, measure('m²'));
  const costPerM2 = times('Cost of the product a year', perM2, [rate.figure, price.figure]);
  const stakePerM2 = times('Value of the crop', perM2, [
    literal('usual yield', baseKgPerM2, 'kg/m²', 'chosen', 'typed beside it'),
    literal('value of the crop', valuePerKg, per(money, measure('kg')), 'chosen', 'typed beside it'),
  ]);
  const share = quotient('Gain that pays for it', '', costPerM2, stakePerM2);
  if (!share) return { kind: 'unknown', why: 'Yield and value have to be above zero.' };
  return { kind: 'figure', share, costPerM2, stakePerM2 };
}

/** What is believed of an effect on the scale of log ratios: Student’s distribution around a mean. */
interface Belief {
  readonly mean: number;
  readonly scale: number;
  readonly degreesOfFreedom: number;
}
type Believed = { readonly kind: 'belief'; readonly belief: Belief } | { readonly kind: 'none'; readonly why: string };

/** The belief that a pool gives of the mean of all places like these, and of one more place. */
function beliefs({ pooled, scale }: Evidence): { readonly mean: Believed; readonly place: Believed } {
  const none = (why: string): { mean: Believed; place: Believed } => ({
    mean: { kind: 'none', why },
    place: { kind: 'none', why },
  });
  if (scale === 'g') return none('The studies give no ratio, so no gain in per cent can be told.');
  if (!pooled) return none('Fewer than two studies count, and one is not pooled.');
  const { effect, se, factor, tau2, studies } = pooled;
  const mean: Believed = {
    kind: 'belief',
    belief: { mean: effect, scale: se * factor, degreesOfFreedom: studies - 1 },
  };
  if (studies < 3) return { mean, place: { kind: 'none', why: 'For one more place three studies are needed.' } };
  const place = { mean: effect, scale: Math.sqrt(tau2 + se ** 2), degreesOfFreedom: studies - 2 };
  return { mean, place: { kind: 'belief', belief: place } };
}

/** The log ratio at which it just pays; undefined where no effect could. */
const threshold = (breakEvenShare: number, less: boolean): number | undefined =>
  less ? (breakEvenShare < 1 ? Math.log(1 - breakEvenShare) : undefined) : Math.log(1 + breakEvenShare);

function chance({ mean, scale, degreesOfFreedom }: Belief, share: number, less: boolean): number {
  const at = threshold(share, less);
  if (at === undefined) return 0;
  const t = (at - mean) / scale;
  return less ? tShare(t, degreesOfFreedom) : tBeyond(t, degreesOfFreedom);
}

/** A chance with its range, or why there is none. */
export type Chance =
  { readonly kind: 'chance'; readonly value: Range } | { readonly kind: 'none'; readonly why: string };

/** The chance that it pays: on average over places like those of the studies, and in one more such place. */
export interface ChanceThatItPays {
  readonly onAverage: Chance;
  readonly here: Chance;
}
/**
 * The chance that the true effect exceeds what pays for the product, over the range of the break-even.
 * On average by the pooled estimate with k − 1 degrees of freedom, its interval stretched as Hartung & Knapp’s; in one more place by the prediction interval
 * with k − 2 (Higgins, Thompson & Spiegelhalter 2009).
 * @param share gain that pays, as a share
 * @param less whether less is better: the share is then of the loss that is spared
 * @example chanceThatItPays(evidence, exact(0.05), false).here
 */
export function chanceThatItPays(evidence: Evidence, share: Range, less: boolean): ChanceThatItPays {
  const of = (believed: Believed): Chance => {
    if (believed.kind === 'none') return believed;
    const at = (s: number): number => chance(believed.belief, s, less);
    // The dearer it is, the less likely it pays.
    return { kind: 'chance', value: { low: at(share.high), mid: at(share.mid), high: at(share.low) } };
  };
  const { mean, place } = beliefs(evidence);
  return { onAverage: of(mean), here: of(place) };
}

/** A trial of one’s own that is thought of. */
export interface ThoughtTrial {
  /** Units of each arm. */
  readonly n: number;
  /** Standard deviation between like units as a share of their mean. */
  readonly cv: number;
}
/** What a trial would be worth, as shares of what is at stake on the same ground. */
export interface ValueOfTesting {
  /** Gain expected of the better of using and leaving it, as it is known now. */
  readonly now: number;
  /** The same when the trial has been read first. */
  readonly after: number;
  /** What the trial adds: never below zero. */
  readonly gain: number;
  readonly decision: 'use it' | 'leave it';
}

/**
 * The expected gain of deciding after a trial of n units an arm instead of now, with what is believed of one more place taken as normal.
 * The trial’s log ratio has variance 2 CV² ÷ n; what will then be believed is normal around today’s mean, and its expected gain has a closed form.
 * @param share gain that pays, as a share of what is at stake
 * @returns undefined where no belief about one more place can be had
 * @throws RangeError for fewer than one unit an arm, or a CV that is not above zero
 * @example valueOfTesting(evidence, 0.05, false, { n: 4, cv: 0.12 })?.gain
 */
export function valueOfTesting(
  evidence: Evidence,
  share: number,
  less: boolean,
  { n, cv }: ThoughtTrial,
): ValueOfTesting | undefined {
  if (!(n >= 1)) throw new RangeError(`Read ${n} units an arm, expected at least one.`);
  if (!(cv > 0)) throw new RangeError(`Read a CV of ${cv}, expected one above zero.`);
  const { place } = beliefs(evidence);
  if (place.kind === 'none') return undefined;
  const { mean, scale } = place.belief;
  const variance = scale ** 2;
  // How far the mean can still move by the trial.
  const moves = Math.sqrt(variance ** 2 / (variance + (2 * cv ** 2) / n));
  const forward = Math.exp(mean + variance / 2);
  const strike = less ? 1 - share : 1 + share;
  const sign = less ? -1 : 1;
  const outright = sign * (forward - strike);
  const now = Math.max(0, outright);
  const after = strike <= 0 ? now : expectedExcess(forward, strike, moves, sign);
  return { now, after, gain: Math.max(0, after - now), decision: outright > 0 ? 'use it' : 'leave it' };
}
/** E max(0, ±(X − strike)) of a lognormal X with that mean and that spread of its logarithm. */
function expectedExcess(mean: number, strike: number, spread: number, sign: 1 | -1): number {
  const up = (Math.log(mean / strike) + spread ** 2 / 2) / spread;
  return sign * (mean * normalShare(sign * up) - strike * normalShare(sign * (up - spread)));
}

const BELIEVED: Readonly<Record<keyof ChanceThatItPays, string>> = {
  onAverage:
    'the pooled effect with its stretched standard error, at one degree of freedom less than there are studies',
  here: 'the pooled effect with √(τ² + SE²), at two degrees of freedom less than there are studies',
};
/** A chance as a figure that opens to what pays. @param share gain that pays */
export const chanceFigure = (value: Range, share: Figure, where: keyof ChanceThatItPays): Figure =>
  computed(
    where === 'onAverage' ? 'Chance that it pays, on average' : 'Chance that it pays in one more place',
    scaleRange(value, 100),
    '%',
    'chance',
    `the share of Student’s distribution beyond what pays, around ${BELIEVED[where]}`,
    [share],
  );

/** What testing first is worth in money. @param stakePerM2 value of the crop, as `breakEven` gives it @param currency its money */
export const testingFigure = (
  { gain }: ValueOfTesting,
  stakePerM2: Figure,
  currency: string,
  { areaM2, seasons }: { readonly areaM2: number; readonly seasons: number },
): Figure =>
  times('What testing first is worth', inCurrency(currency), [
    computed(
      'gain of deciding after a trial',
      gain,
      '',
      'testing',
      'expected gain of the better choice once the trial is read, less that of the better choice now, as a share of the crop’s value',
      [],
    ),
    stakePerM2,
    literal('ground it is used on', areaM2, 'm²', 'chosen', 'typed beside it'),
    literal('seasons', seasons, 'applications', 'chosen', 'typed beside it'),
  ]);
