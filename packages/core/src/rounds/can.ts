import { constant, literal, product as times, quotient, type Figure } from '../figure/index.js';
import { conflictsIn, feedStrength, type Component, type Conflict, type FeedStrength } from '../mix/index.js';
import { printRate, rateFactor, rateRange, unitOf } from '../quantity/index.js';
import { densityFigure, densityMid, directionsBy, massFraction, type Product } from '../shelf/index.js';

/** What is put into a can of one product. */
export interface Poured {
  readonly product: Product;
  readonly amount: number;
  /** A unit of weight or volume. */
  readonly unit: string;
}
/** A can with all that goes into it. */
export interface CanFill {
  /** In the order in which they go in. */
  readonly steps: readonly string[];
  /** What a litre of it holds; undefined where nothing in it can be reckoned. */
  readonly strength: FeedStrength | undefined;
  /** g of product in all that could be weighed. */
  readonly grams: number;
  readonly apart: readonly Conflict[];
  /** What is not counted, and why. */
  readonly refused: readonly { readonly name: string; readonly why: string }[];
}

const POWDERS: ReadonlySet<string> = new Set(['powder', 'crystal', 'granule', 'prill']);
export const isPowder = ({ form }: Pick<Product, 'form'>): boolean => POWDERS.has(form);

/** Why a powder that caked or got wet is not dosed from. */
export const CAKED = 'it is caked: its salts have come apart, and no spoon of it is like the next';

/** Grams of what is poured; undefined where a volume has no density to weigh it by. */
function gramsOf({ product, amount, unit }: Poured): number | undefined {
  const { dimension, factor } = unitOf(unit);
  if (dimension === 'mass') return amount * factor * 1000;
  const density = densityMid(product);
  return density === undefined ? undefined : amount * factor * density * 1000;
}

/** Dry things first, one by one until they are dissolved; what is liquid after them; thick and oily last. */
const turn = ({ form }: Product): number => (form === 'liquid' ? 1 : 0);
function steps(products: readonly Product[], litres: number): readonly string[] {
  const sorted = [...products].sort((a, b) => turn(a) - turn(b));
  return [
    `Fill half of the can: ${litres / 2} L of water.`,
    ...sorted.map(({ name, form }) =>
      form === 'liquid' ? `Shake ${name} and stir it in.` : `Stir in ${name} until it is dissolved.`,
    ),
    `Fill up to ${litres} L and stir again.`,
  ];
}

/**
 * What several products make of a can: the order they go in, what a litre then holds with the EC it adds, and which must not meet in it.
 * @param litres that the can holds when full
 * @param caked ids of powders that are caked or wet: they are not dosed from
 * @example canOf(10, [{ product: feed, amount: 50, unit: 'mL' }, { product: epsom, amount: 5, unit: 'g' }]).strength?.ec
 * @throws RangeError for a can of nothing
 */
export function canOf(litres: number, poured: readonly Poured[], caked: ReadonlySet<string> = new Set()): CanFill {
  if (!(litres > 0)) throw new RangeError(`Read a can of ${litres} L, expected one above zero.`);
  const weighed = poured.map((p) => {
    if (isPowder(p.product) && caked.has(p.product.id)) return { product: p.product, why: CAKED };
    const grams = gramsOf(p);
    return grams === undefined
      ? { product: p.product, why: 'its density is not entered, so its weight cannot be told' }
      : { product: p.product, grams };
  });
  const counted = weighed.flatMap((w): Component[] => (w.grams ? [{ product: w.product, kg: w.grams / 1000 }] : []));
  const grams = counted.reduce((all, c) => all + c.kg * 1000, 0);
  const used = poured.map((p) => p.product).filter((p) => !(isPowder(p) && caked.has(p.id)));
  return {
    steps: steps(used, litres),
    strength: counted.length > 0 ? feedStrength(counted, { gPerL: grams / litres }) : undefined,
    grams,
    apart: conflictsIn(used),
    refused: weighed.flatMap(({ product, why }) => (why === undefined ? [] : [{ name: product.name, why }])),
  };
}

/** What a product's label says of a litre of water, or what can be offered where it says nothing. */
export type CanRate =
  | {
      readonly kind: 'label';
      readonly words: string;
      /** In the product's own unit, in each litre. */
      readonly perL: number;
      readonly unit: 'mL' | 'g';
    }
  /** No rate on the label, so none is given: the reason, and what the analysis would come to for a strength that a person names. */
  | { readonly kind: 'offer'; readonly why: string; readonly perL: Figure | undefined; readonly unit: 'mL' | 'g' };

/**
 * How much of a product goes into each litre: by its label, on leaves by the lowest of what the label allows. A label without a dilution gives no
 * number; what the analysis comes to for a wanted strength is told beside it, with what it assumes.
 * @param wantedMgPerL nitrogen the feed is wanted to hold, for the offer
 * @example canRate(unlabelledFeed, 100) // { kind: 'offer', why: 'its label gives no dilution', … }
 */
export function canRate(product: Product, wantedMgPerL: number, foliar = false): CanRate {
  const unit = product.form === 'liquid' ? 'mL' : 'g';
  const told = directionsBy(product, 'water').map((rate) => {
    const { low, high } = rateRange(rate);
    return { rate, perL: (foliar ? low : high) * rateFactor(rate) * 1000 };
  });
  const [best] = told.sort((a, b) => (foliar ? a.perL - b.perL : b.perL - a.perL));
  if (best) {
    const byWeight = unitOf(best.rate.unit).dimension === 'mass';
    return { kind: 'label', words: printRate(best.rate), perL: best.perL, unit: byWeight ? 'g' : 'mL' };
  }
  const why = 'its label gives no dilution';
  const reading = massFraction(product, 'N');
  const density = densityFigure(product);
  if (reading.kind !== 'figure' || (unit === 'mL' && !density)) return { kind: 'offer', why, perL: undefined, unit };
  const wanted = times('nitrogen that is wanted', 'g/L', [
    literal('wanted strength', wantedMgPerL, 'mg/L', 'chosen', 'typed beside it'),
    constant('g per mg', 0.001, 'g/mg', 'by definition'),
  ]);
  const grams = quotient(`${product.name} in a litre`, 'g/L', wanted, reading.figure);
  if (!grams || unit === 'g' || !density) return { kind: 'offer', why, perL: grams, unit };
  return { kind: 'offer', why, perL: quotient(`${product.name} in a litre`, 'mL/L', grams, density), unit };
}

/** How many cans a round takes, and what is left in the last. @example cansFor(25, 10) // { cans: 3, lastL: 5 } */
export function cansFor(waterL: number, canL: number): { readonly cans: number; readonly lastL: number } {
  if (!(waterL > 0 && canL > 0)) throw new RangeError('Expected water and a can above zero.');
  const cans = Math.ceil(waterL / canL - 1e-9);
  return { cans, lastL: waterL - (cans - 1) * canL };
}
