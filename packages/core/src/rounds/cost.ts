import { product as times, sum, type Figure } from '../figure/index.js';
import { pricePerKg } from '../price/index.js';
import { inCurrency } from '../quantity/index.js';
import { standing, wentOn, type LogEntry } from './went.js';

/** What the material of some entries cost. */
export interface MaterialCost {
  /** Undefined where nothing of it has a price. */
  readonly figure: Figure | undefined;
  /** Bags without a price, or of which the weight cannot be told: the cost is without them. */
  readonly unpriced: readonly string[];
}

/**
 * What the material that went on would cost at the prices last seen, each bag at its cheapest by weight.
 * @example materialCost(entriesOf2026, 'EUR').figure?.value.mid
 */
export function materialCost(entries: readonly LogEntry[], currency: string): MaterialCost {
  const unpriced = new Set<string>();
  const costs = standing(entries)
    .flatMap(wentOn)
    .flatMap(({ product, kg }): Figure[] => {
      const price = pricePerKg(product, currency);
      if (price && kg) return [times(product.name, inCurrency(currency), [kg, price.figure])];
      unpriced.add(product.name);
      return [];
    });
  const [only] = costs;
  const figure = costs.length <= 1 ? only : sum('Material that went on', inCurrency(currency), costs);
  return { figure, unpriced: [...unpriced] };
}
