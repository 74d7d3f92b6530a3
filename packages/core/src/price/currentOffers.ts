import { unitOf } from '../quantity/index.js';
import type { Offer, Product } from '../shelf/index.js';

/**
 * The prices that count now: of each package size and seller the one seen last, in each currency; older ones are history. A price without a date
 * counts where no dated one stands beside it.
 * @example currentOffers(bag) // last week's 28.00 for 20 kg, not last year's 19.90
 */
export function currentOffers(product: Pick<Product, 'offers'>): readonly Offer[] {
  if (product.offers.length < 2) return product.offers;
  const newest = new Map<string, Offer>();
  for (const offer of product.offers) {
    const unit = unitOf(offer.unit);
    const size = Number((offer.size * unit.factor).toPrecision(9));
    const key = [unit.dimension, size, offer.seller ?? '', offer.price?.currency ?? ''].join('|');
    const held = newest.get(key);
    if (!held || (offer.seenOn ?? '') >= (held.seenOn ?? '')) newest.set(key, offer);
  }
  return [...newest.values()];
}
