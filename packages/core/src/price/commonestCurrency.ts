import { perProduct, type Product } from '../shelf/index.js';
import { pricesPerKg } from './pricePerKg.js';

const currenciesOf = perProduct((product) => pricesPerKg(product).map((p) => p.currency));

/** The currency most of some products are priced in; of several alike, the first in the alphabet. Undefined when none is priced. */
export function commonestCurrency(products: readonly Product[]): string | undefined {
  const count = new Map<string, number>();
  for (const product of products)
    for (const currency of currenciesOf(product, '')) count.set(currency, (count.get(currency) ?? 0) + 1);
  const [most] = [...count].sort(([a, m], [b, n]) => n - m || (a < b ? -1 : 1));
  return most?.[0];
}
