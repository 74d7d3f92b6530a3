import { identified, literal, quotient, type Figure } from '../figure/index.js';
import { inCurrency, measure, moneyValue, per, printDay, type Money } from '../quantity/index.js';
import { packageMass, type Offer, type Product } from '../shelf/index.js';
import { currentOffers } from './currentOffers.js';

export interface PricePerKg {
  readonly figure: Figure;
  readonly currency: string;
}

/** What one package of a bag costs: the same quantity wherever it is asked for. */
export const priceFigure = (
  { id }: Pick<Product, 'id'>,
  { size, unit, seller, seenOn, madeOf }: Offer,
  price: Money,
): Figure =>
  madeOf ??
  identified(
    literal(
      'price of the package',
      moneyValue(price),
      inCurrency(price.currency),
      'label',
      seenOn ? `seen ${printDay(seenOn)}` : 'product record',
    ),
    id && `${id} price ${size} ${unit} ${seller ?? ''} ${seenOn ?? ''}`,
  );

/** What a kilogram costs in one package; undefined without a price, or when a volume has no density. */
export function offerPerKg(product: Product, offer: Offer): PricePerKg | undefined {
  const mass = packageMass(product, offer);
  if (!offer.price || mass.kind === 'needsDensity') return undefined;
  const { currency } = offer.price;
  const price = priceFigure(product, offer, offer.price);
  const figure = quotient(`Price of ${product.name}`, per(inCurrency(currency), measure('kg')), price, mass.figure);
  return figure && { figure, currency };
}

/** What a kilogram of the product costs at its cheapest current package, once in each currency. */
export function pricesPerKg(product: Product): readonly PricePerKg[] {
  const best = new Map<string, PricePerKg>();
  for (const offer of currentOffers(product)) {
    const found = offerPerKg(product, offer);
    const held = found && best.get(found.currency);
    if (found && (!held || found.figure.value.mid < held.figure.value.mid)) best.set(found.currency, found);
  }
  return [...best.values()];
}

/** The same in one currency; undefined when no package has both a price in it and a mass. */
export const pricePerKg = (product: Product, currency: string): PricePerKg | undefined =>
  pricesPerKg(product).find((p) => p.currency === currency);

/** A price as it was seen, and whether none of its currency was ever lower. */
export interface SeenPrice extends PricePerKg {
  readonly offer: Offer;
  readonly cheapest: boolean;
}

/**
 * Every price that was seen for a product, per kilogram, the newest first and those without a date last.
 * @example priceHistory(bag).find((p) => p.cheapest)?.offer.seenOn
 */
export function priceHistory(product: Product): readonly SeenPrice[] {
  const seen = product.offers.flatMap((offer) => {
    const found = offerPerKg(product, offer);
    return found ? [{ ...found, offer }] : [];
  });
  const lowest = (currency: string): number =>
    Math.min(...seen.filter((s) => s.currency === currency).map((s) => s.figure.value.mid));
  return seen
    .map((s) => ({ ...s, cheapest: s.figure.value.mid === lowest(s.currency) }))
    .sort((a, b) => (b.offer.seenOn ?? '').localeCompare(a.offer.seenOn ?? ''));
}
