import { literal, quotient, type Figure } from '../figure/index.js';
import { moneyValue } from '../quantity/index.js';
import { packageMass, type Product } from '../shelf/index.js';

/** What a kilogram of the product costs at its cheapest package; undefined when no package has both a price and a mass. */
export function pricePerKg(product: Product): { readonly figure: Figure; readonly currency: string } | undefined {
  let best: { figure: Figure; currency: string } | undefined;
  for (const offer of product.offers) {
    const mass = packageMass(product, offer);
    if (!offer.price || mass.kind === 'needsDensity') continue;
    const { currency } = offer.price;
    const price = literal('price of the package', moneyValue(offer.price), currency, 'label', offer.seenOn ? `seen ${offer.seenOn}` : 'product record');
    const figure = quotient(`Price of ${product.name}`, `${currency}/kg`, price, mass.figure);
    if (figure && (!best || figure.value.mid < best.figure.value.mid)) best = { figure, currency };
  }
  return best;
}
