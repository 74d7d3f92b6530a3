import { densityMid, type Offer, type Product } from '../shelf/index.js';
import { unitOf } from '../quantity/index.js';
import { currentOffers } from './currentOffers.js';

/** A package on sale, in plain numbers. */
export interface Package {
  readonly offer: Offer;
  readonly kg: number;
  readonly price: number;
}
/** The packages of a bag that have a price in a currency and a weight, the smallest first. */
export function packagesOf(product: Product, currency: string): readonly Package[] {
  const density = densityMid(product);
  return currentOffers(product)
    .flatMap((offer): Package[] => {
      const unit = unitOf(offer.unit);
      const perUnit = unit.dimension === 'mass' ? 1 : density;
      if (offer.price?.currency !== currency || perUnit === undefined) return [];
      return [{ offer, kg: offer.size * unit.factor * perUnit, price: Number(offer.price.amount) }];
    })
    .sort((a, b) => a.kg - b.kg || a.price - b.price);
}

/** What is bought for a need, in whole packages. */
export interface Purchase {
  readonly bought: readonly { readonly package: Package; readonly count: number }[];
  readonly paid: number;
  readonly kg: number;
  /** What is not needed. */
  readonly leftKg: number;
}

/** More packages than this of one size are bought before smaller ones are tried for the rest. */
const MOST_TRIED = 400;
/** A need that is a hair over a package, by rounding, is that package. */
const HAIR = 1e-9;

/**
 * The cheapest whole packages that hold at least so much: every way of topping up the best value by weight with the other sizes is tried, and of two that
 * cost the same the one that leaves more.
 * @param needKg how much is needed, kg
 * @returns undefined where there is no package to buy
 * @example cheapestPurchase([{ kg: 5, price: 10, … }, { kg: 25, price: 30, … }], 9)?.paid // 20
 */
export function cheapestPurchase(packages: readonly Package[], needKg: number): Purchase | undefined {
  if (packages.length === 0) return undefined;
  if (needKg <= 0) return { bought: [], paid: 0, kg: 0, leftKg: 0 };
  const byValue = [...packages].sort((a, b) => a.price / a.kg - b.price / b.kg || b.kg - a.kg);
  let best: Purchase | undefined;
  const better = (p: Purchase): boolean =>
    !best || p.paid < best.paid - HAIR || (p.paid <= best.paid + HAIR && p.kg > best.kg + HAIR);
  const tryFrom = (at: number, left: number, bought: Purchase['bought'], paid: number, kg: number): void => {
    const size = byValue[at];
    if (left <= HAIR * needKg) {
      const purchase = { bought, paid, kg, leftKg: Math.max(0, kg - needKg) };
      if (better(purchase)) best = purchase;
      return;
    }
    if (!size || (best && paid + (left * size.price) / size.kg > best.paid + HAIR)) return;
    const most = Math.ceil(left / size.kg - HAIR);
    for (let count = most; count >= Math.max(0, most - MOST_TRIED); count--)
      tryFrom(
        at + 1,
        left - count * size.kg,
        count > 0 ? [...bought, { package: size, count }] : bought,
        paid + count * size.price,
        kg + count * size.kg,
      );
  };
  tryFrom(0, needKg, [], 0, 0);
  return best;
}

/** From which need on one package of a larger size costs no more than enough of a smaller one. */
export interface PaysFrom {
  readonly small: Package;
  readonly large: Package;
  /** kg of need in a season; undefined where the larger one never pays. */
  readonly fromKg: number | undefined;
}
/**
 * "Buying 25 kg pays from 9 kg on": for each size and the next larger one, the least need at which one of the large is no dearer than as many of the
 * small as it takes.
 * @example paysFrom([{ kg: 5, price: 12 }, { kg: 25, price: 30 }])[0].fromKg // 10: from the third small one on
 */
export const paysFrom = (packages: readonly Package[]): readonly PaysFrom[] =>
  packages.slice(1).flatMap((large, i): PaysFrom[] => {
    const small = packages[i];
    if (!small || small.kg >= large.kg) return [];
    const count = Math.ceil(large.price / small.price - HAIR);
    const fromKg = (count - 1) * small.kg;
    return [{ small, large, fromKg: fromKg < large.kg ? Math.max(0, fromKg) : undefined }];
  });

/** Where one cost passes another as something grows. */
export interface Crossing {
  readonly at: number;
  /** Which of the two is cheaper beyond it. */
  readonly cheaper: 'first' | 'second';
}
const CUTS = 400;
/**
 * Break-even: where the dearer of two costs becomes the cheaper one as an input moves, looked for on an even grid and found by halving.
 * @param first and @param second cost at a value of the input; undefined where there is none
 */
export function crossings(
  first: (x: number) => number | undefined,
  second: (x: number) => number | undefined,
  [from, to]: readonly [number, number],
): readonly Crossing[] {
  const off = (x: number): number | undefined => {
    const [a, b] = [first(x), second(x)];
    return a === undefined || b === undefined ? undefined : a - b;
  };
  const found: Crossing[] = [];
  let [before, beforeX]: [number | undefined, number] = [undefined, from];
  for (let i = 0; i <= CUTS; i++) {
    const x = from + ((to - from) * i) / CUTS;
    const now = off(x);
    if (now === undefined || now === 0) continue;
    if (before !== undefined && Math.sign(before) !== Math.sign(now)) {
      let [low, high] = [beforeX, x];
      for (let cut = 0; cut < 60; cut++) {
        const middle = (low + high) / 2;
        if (Math.sign(off(middle) ?? now) === Math.sign(now)) high = middle;
        else low = middle;
      }
      found.push({ at: high, cheaper: now < 0 ? 'first' : 'second' });
    }
    [before, beforeX] = [now, x];
  }
  return found;
}
