import type { Product } from '../shelf/index.js';
import type { Purchase } from './wholePackages.js';

/** What a seller asks for bringing an order, and from which sum on nothing. */
export interface CarriageTerms {
  readonly amount: number;
  /** An order of so much or more is brought free; never where it is not said. */
  readonly freeFrom?: number | undefined;
}
/** What each seller asks; `other` of those that are not named. */
export interface Carriage {
  readonly other?: CarriageTerms | undefined;
  readonly sellers?: Readonly<Record<string, CarriageTerms>> | undefined;
}
/** What is bought of a product. */
export interface Ordered {
  readonly product: Product;
  readonly purchase: Purchase;
}
/** What is bought of one seller at once. */
export interface Order {
  /** Undefined where nobody says who sells it: such a product is an order of its own. */
  readonly seller: string | undefined;
  readonly paid: number;
  readonly carriage: number;
}

/**
 * Orders by seller with what each pays for carriage: once an order, nothing from the seller's limit on. What is on hand and is not bought pays nothing.
 * @param bought purchases in one currency, that of the terms
 * @example ordersOf([urea, meal], { other: { amount: 6, freeFrom: 100 } }) // both of one seller for 72: one order, 6 of carriage
 */
export function ordersOf(bought: readonly Ordered[], { other, sellers = {} }: Carriage): readonly Order[] {
  const orders = new Map<string, { seller: string | undefined; paid: number }>();
  for (const { product, purchase } of bought)
    for (const { package: pack, count } of purchase.bought) {
      const seller = pack.offer.seller ?? product.seller;
      const key = seller === undefined ? `product ${product.id}` : `seller ${seller}`;
      const order = orders.get(key) ?? { seller, paid: 0 };
      order.paid += pack.price * count;
      orders.set(key, order);
    }
  return [...orders.values()].map(({ seller, paid }): Order => {
    const terms = (seller !== undefined && Object.hasOwn(sellers, seller) ? sellers[seller] : undefined) ?? other;
    const free = terms?.freeFrom !== undefined && paid >= terms.freeFrom;
    return { seller, paid, carriage: paid > 0 && terms && !free ? terms.amount : 0 };
  });
}
/** What the carriage of all orders comes to. */
export const carriageOf = (bought: readonly Ordered[], carriage: Carriage): number =>
  ordersOf(bought, carriage).reduce((sum, o) => sum + o.carriage, 0);
