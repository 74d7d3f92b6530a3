import { computed, constant, difference, product as times, quotient, sum, type Figure } from '../figure/index.js';
import { symbolIn, type Nutrient } from '../nutrient/index.js';
import { inCurrency, measure, ofWhat, per } from '../quantity/index.js';
import { inBasis, supplyFraction, type Product } from '../shelf/index.js';
import { costsPerUnit, type CostQuestion } from './costPerUnit.js';
import { POUNDS_PER_KG } from './costRange.js';
import { pricesPerKg } from './pricePerKg.js';

/** What a kg of each nutrient costs where it is bought alone: the element, in one currency. */
export type ReferencePrices = Readonly<Partial<Record<Nutrient, Figure>>>;

/**
 * Reference prices: each nutrient at the cheapest of the bags, all of its price on that nutrient.
 * @example referencePrices(products, ['N', 'P', 'K'], 'EUR').N // cost of N in urea
 */
export function referencePrices(
  products: readonly Product[],
  nutrients: readonly Nutrient[],
  currency: string,
): ReferencePrices {
  const cheapestOf = (nutrient: Nutrient): Figure | undefined => {
    const question: CostQuestion = { nutrient, basis: 'element', perUnit: 'kg' };
    const costs = products
      .flatMap((p) => costsPerUnit(p, question))
      .flatMap((c) => (c.kind === 'cost' && c.currency === currency ? [c.figure] : []));
    return costs.reduce<Figure | undefined>((best, f) => (best && best.value.mid <= f.value.mid ? best : f), undefined);
  };
  return Object.fromEntries(
    nutrients.flatMap((n) => {
      const price = cheapestOf(n);
      return price ? [[n, price] as const] : [];
    }),
  );
}

/** What is left of a price for one nutrient once the others are paid for at reference prices. */
export interface Residual {
  /** Money per unit of the nutrient, never below zero. */
  readonly figure: Figure;
  /** The others alone are worth more than the bag costs: the nutrient comes for nothing. */
  readonly belowZero: boolean;
  /** What the others in a kg of the bag are worth. */
  readonly others: Figure | undefined;
}

/**
 * The residual cost of a nutrient: (price − Σ others × reference price) ÷ nutrient, per kg of the bag. Below zero it is 0, and says so.
 * @returns undefined where the bag has no price in the currency, or nothing of the nutrient
 * @example residualCost(bag, { nutrient: 'N', basis: 'element', perUnit: 'kg' }, references, 'EUR')
 */
export function residualCost(
  product: Product,
  { nutrient, basis, perUnit }: CostQuestion,
  references: ReferencePrices,
  currency: string,
): Residual | undefined {
  const price = pricesPerKg(product).find((p) => p.currency === currency);
  const own = supplyFraction(product, nutrient);
  if (!price || own.kind !== 'figure' || own.figure.value.mid <= 0) return undefined;
  const perKg = per(inCurrency(currency), measure('kg'));
  const worth = Object.entries(references).flatMap(([n, reference]): Figure[] => {
    const other = n === nutrient ? undefined : supplyFraction(product, n as Nutrient);
    if (other?.kind !== 'figure' || other.figure.value.mid <= 0 || !reference) return [];
    return [times(`${n} in a kg of ${product.name}`, perKg, [other.figure, reference])];
  });
  const [only] = worth;
  const others = worth.length > 1 ? sum(`The other nutrients in a kg of ${product.name}`, perKg, worth) : only;
  const left = others ? difference(`Left of the price of ${product.name}`, perKg, price.figure, others) : price.figure;
  const belowZero = left.value.mid < 0;
  const held = left.value.low < 0 ? atLeastZero(left) : left;
  const symbol = symbolIn(nutrient, basis);
  const inUnit =
    perUnit === 'kg' ? inBasis(own.figure, nutrient, basis) : inPounds(inBasis(own.figure, nutrient, basis), symbol);
  const figure = quotient(
    `Residual cost of ${symbol} in ${product.name}`,
    per(inCurrency(currency), ofWhat(measure(perUnit), symbol)),
    held,
    inUnit,
  );
  return figure && { figure, belowZero, others };
}
const inPounds = (fraction: Figure, symbol: string): Figure =>
  times(`${symbol} in a kg, in lb`, per(ofWhat(measure('lb'), symbol), measure('kg')), [
    fraction,
    constant('lb per kg', POUNDS_PER_KG, 'lb/kg', 'by definition'),
  ]);
const atLeastZero = (figure: Figure): Figure =>
  computed(
    `${figure.label}, not below zero`,
    { low: Math.max(0, figure.value.low), mid: Math.max(0, figure.value.mid), high: Math.max(0, figure.value.high) },
    figure.unit,
    'max',
    'the other nutrients alone may be worth more than the price: a cost below zero is shown as 0',
    [figure],
  );
