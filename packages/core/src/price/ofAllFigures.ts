import { literal, product, solved, sum, type Figure } from '../figure/index.js';
import { formatTrimmed, inCurrency, measure, per } from '../quantity/index.js';
import type { CatalogueColumn } from './cheapestOfAll.js';

/** What a kg of a product of a list costs, as its list says. */
export const listedPrice = ({ name, pricePerKg }: CatalogueColumn, currency: string): Figure =>
  literal(`price of a kg of ${name}`, pricePerKg, per(inCurrency(currency), measure('kg')), 'label', 'a seller’s list');

/** A part of a recipe of everything: so much of a product, by the kg or in whole packages. */
export interface PartOfAll {
  readonly product: CatalogueColumn;
  readonly kg: number;
  readonly bought?: readonly { readonly kg: number; readonly price: number; readonly count: number }[];
}
/** What a part costs: its kg at the price of a kg, or its packages at theirs. */
function partCost({ product: of, kg, bought = [] }: PartOfAll, currency: string): Figure {
  const money = inCurrency(currency);
  if (bought.length === 0) {
    const chosen = solved(`kg of ${of.name}`, kg, measure('kg'), {
      solver: 'HiGHS',
      objective: 'least cost',
      binds: [],
    });
    return product(`Cost of ${of.name}`, money, [chosen, listedPrice(of, currency)]);
  }
  const packages = bought.map(({ kg: size, price, count }) => {
    const words = `${formatTrimmed(size, 4)} kg of ${of.name}`;
    const counted = solved(`packages of ${words}`, count, '', { solver: 'HiGHS', objective: 'least cost', binds: [] });
    return product(`Cost of ${words}`, money, [
      counted,
      literal(`price of ${words}`, price, money, 'label', 'a seller’s list'),
    ]);
  });
  return packages.length === 1 && packages[0] ? packages[0] : sum(`Cost of ${of.name}`, money, packages);
}

/**
 * What a recipe of everything costs, with the cost of each part as its working.
 * @example costOfAll(found.parts, 'EUR').value.mid // 75.57
 */
export const costOfAll = (parts: readonly PartOfAll[], currency: string): Figure =>
  sum(
    'Cost of the cheapest recipe',
    inCurrency(currency),
    parts.map((p) => partCost(p, currency)),
  );
