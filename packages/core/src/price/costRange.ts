import { compoundPerElement } from '../nutrient/index.js';
import { divideRanges, multiplyRanges, scaleRange, unitOf, type Range } from '../quantity/index.js';
import { densityRange, supplyRange, type Counted, type Offer, type Product } from '../shelf/index.js';
import type { CostQuestion } from './costPerUnit.js';

export const POUNDS_PER_KG = 1 / unitOf('lb').factor;

/** What costs cannot be told for, and why. */
export type CostReason = 'noPrice' | 'notDeclared' | 'belowDetection' | 'needsDensity' | 'none';
export type CostRange =
  { readonly kind: 'range'; readonly value: Range; readonly counted: Counted } | { readonly kind: CostReason };

/**
 * Cost per unit of nutrient at one package, as a plain range: what lists of thousands are ranked by. `costAtOffer` makes the figure with the
 * same value for the rows that are shown.
 */
export function costRange(product: Product, offer: Offer, { nutrient, basis, perUnit }: CostQuestion): CostRange {
  const supply = supplyRange(product, nutrient);
  if (supply.kind !== 'range') return { kind: supply.kind };
  if (supply.value.mid <= 0) return { kind: 'none' };
  if (!offer.price) return { kind: 'noPrice' };
  const unit = unitOf(offer.unit);
  const density = unit.dimension === 'mass' ? undefined : densityRange(product);
  if (unit.dimension !== 'mass' && !density) return { kind: 'needsDensity' };
  const perUnitKg = perUnit === 'kg' ? 1 : POUNDS_PER_KG;
  const factor = offer.size * unit.factor * compoundPerElement(basis) * perUnitKg;
  const held = density ? multiplyRanges(supply.value, density) : supply.value;
  const price = Number(offer.price.amount);
  const value = divideRanges({ low: price, mid: price, high: price }, scaleRange(held, factor));
  return value ? { kind: 'range', value, counted: supply.counted } : { kind: 'none' };
}

/** The cheapest current package of a product in each currency. */
export interface Cheapest {
  readonly offer: Offer;
  readonly currency: string;
  readonly value: Range;
  readonly counted: Counted;
}

/**
 * A product's cheapest current package for a nutrient, once in each currency it is priced in; or why it has none.
 * @example cheapestPackages(bag, { nutrient: 'N', basis: 'element', perUnit: 'kg' }, currentOffers(bag))
 */
export function cheapestPackages(
  product: Product,
  question: CostQuestion,
  offers: readonly Offer[],
): readonly Cheapest[] | CostReason {
  const best = new Map<string, Cheapest>();
  let why: CostReason | undefined;
  for (const offer of offers) {
    const cost = costRange(product, offer, question);
    if (cost.kind !== 'range') {
      why ??= cost.kind;
      continue;
    }
    const currency = offer.price?.currency ?? '';
    const held = best.get(currency);
    if (!held || cost.value.mid < held.value.mid)
      best.set(currency, { offer, currency, value: cost.value, counted: cost.counted });
  }
  if (best.size > 0) return [...best.values()];
  if (why) return why;
  const supply = supplyRange(product, question.nutrient);
  return supply.kind === 'notDeclared' ? 'notDeclared' : 'noPrice';
}
