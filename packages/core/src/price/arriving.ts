import { product as times, quotient, type Figure } from '../figure/index.js';
import { inCurrency, measure, ofWhat, per } from '../quantity/index.js';
import { supplyFraction, type Product } from '../shelf/index.js';
import { pricesPerKg } from './pricePerKg.js';

/** What a kg of nitrogen that comes in time costs; or that none comes, or why it cannot be told. */
export type ArrivingCost =
  { readonly kind: 'cost'; readonly figure: Figure } | { readonly kind: 'noneArrives' } | { readonly kind: 'unknown' };

/**
 * Cost of the nitrogen that arrives in time = price ÷ (nitrogen × share released inside the crop's window). Where the share is zero or below, since the
 * material ties nitrogen up, none arrives: never a negative or endless cost.
 * @param share of the bag's nitrogen that is available by the end of the window, kg/kg
 * @example costArriving(featherMeal, share, 'EUR') // { kind: 'cost', figure: 15.8 EUR/kg N }
 */
export function costArriving(product: Product, share: Figure, currency: string): ArrivingCost {
  const price = pricesPerKg(product).find((p) => p.currency === currency);
  const nitrogen = supplyFraction(product, 'N');
  if (!price || nitrogen.kind !== 'figure' || nitrogen.figure.value.mid <= 0) return { kind: 'unknown' };
  if (share.value.mid <= 0) return { kind: 'noneArrives' };
  const arriving = times(`N of ${product.name} in time`, per(ofWhat(measure('kg'), 'N'), measure('kg')), [
    nitrogen.figure,
    share,
  ]);
  const figure = quotient(
    `Cost of N of ${product.name} that arrives in time`,
    per(inCurrency(currency), ofWhat(measure('kg'), 'N')),
    price.figure,
    arriving,
  );
  return figure ? { kind: 'cost', figure } : { kind: 'noneArrives' };
}
