import { cheapestPurchase, commonestCurrency, packagesOf, pricePerKg, type Purchase } from '../price/index.js';
import type { Product } from '../shelf/index.js';
import type { Column, Row } from '../solve/index.js';
import type { Component } from './mixture.js';
import type { BlendRule } from './rules.js';

/** How much is made, and what of each bag is there already. */
export interface Batch {
  readonly kg: number;
  /** kg on hand by the id of the bag; none where it is missing. */
  readonly stockKg: Readonly<Record<string, number>>;
}

/** Whether rules ask for what is really bought: whole packages, or what is at hand before anything else. */
export const minds = (rules: readonly BlendRule[]): { readonly stock: boolean; readonly packages: boolean } => ({
  stock: rules.some((r) => r.kind === 'stock'),
  packages: rules.some((r) => r.kind === 'packages'),
});

/** Unknowns for what is bought, behind all others, and the rows that let no more be used than there is. */
export interface Buying {
  readonly columns: readonly Column[];
  /** Coefficients of the products first, then of what is bought. */
  readonly rows: readonly {
    readonly own: readonly number[];
    readonly bought: readonly number[];
    readonly high: number;
  }[];
}
/**
 * What may be bought for a batch: whole packages of each size that has a price, or any amount at the price of a kg. What is used of a bag is at most what
 * is at hand, where that counts, and what is bought of it.
 * @param per kg of the batch that one unit of the model stands for
 * @param priceOf the price of a kg; undefined where there is none
 */
export function buying(
  products: readonly Product[],
  rules: readonly BlendRule[],
  { kg, stockKg }: Batch,
  per: number,
  priceOf: (product: Product) => number | undefined,
): Buying {
  const { stock, packages } = minds(rules);
  const currency = commonestCurrency(products);
  const offers = products.map((product) => {
    const sizes = packages && currency !== undefined ? packagesOf(product, currency) : [];
    if (sizes.length > 0) return sizes.map((size) => ({ kg: size.kg, cost: size.price, integer: true }));
    const cost = priceOf(product);
    // What has no price is used up and not bought.
    return cost === undefined ? [] : [{ kg: 1, cost, integer: false }];
  });
  const flat = offers.flatMap((of, j) => of.map((o) => ({ ...o, j })));
  return {
    columns: flat.map(({ cost, integer, j }) => ({
      name: `${products[j]?.name ?? ''} bought`,
      cost: cost / kg,
      ...(integer ? { integer } : {}),
    })),
    rows: products.map(({ id }, j) => ({
      own: products.map((_, i) => (i === j ? per : 0)),
      bought: flat.map((o) => (o.j === j ? -o.kg : 0)),
      high: stock ? Math.max(0, stockKg[id] ?? 0) : 0,
    })),
  };
}
/** The rows of a model with so many unknowns before those of what is bought. */
export const buyingRows = ({ rows }: Buying, before: number): readonly Row[] =>
  rows.map(({ own, bought, high }) => ({
    name: '',
    coefficients: [...own, ...Array.from({ length: before - own.length }, () => 0), ...bought],
    high,
  }));

/** What of a bag goes into a batch, and where it comes from. */
export interface ShoppingLine {
  readonly product: Product;
  readonly needKg: number;
  readonly fromStockKg: number;
  /** What has to be bought, kg. */
  readonly shortKg: number;
  /** Undefined where nothing of it is on sale in the currency by whole packages. */
  readonly purchase: Purchase | undefined;
  /** What of it is there afterwards: the rest of the packages, and of what was at hand. */
  readonly leftKg: number;
}
/** What is fetched for a batch. */
export interface Shopping {
  readonly lines: readonly ShoppingLine[];
  readonly currency: string | undefined;
  /** For all of it; undefined where something has no price. */
  readonly paid: number | undefined;
}

/** A share of the batch that the solver's answer may be off by: so little is neither taken for short nor bought a package for. */
const SOLVED_TO = 1e-6;

/**
 * What a batch takes from the shelf and what has to be bought for it, in the cheapest whole packages.
 * @param components the mix, its kg in any scale
 * @param batch how much is made of it, and what is at hand
 * @example shoppingFor([{ product: urea, kg: 1 }], { kg: 10, stockKg: { urea: 4 } }).lines[0].fromStockKg // 4
 */
export function shoppingFor(components: readonly Component[], { kg, stockKg }: Batch, wholeKg: number): Shopping {
  const currency = commonestCurrency(components.map((c) => c.product));
  const lines = components.map(({ product, kg: part }): ShoppingLine => {
    const needKg = (part / wholeKg) * kg;
    const onHand = Math.max(0, stockKg[product.id] ?? 0);
    const fromStockKg = Math.min(onHand, needKg);
    const shortKg = Math.max(0, needKg - fromStockKg - SOLVED_TO * kg);
    const purchase = currency === undefined ? undefined : cheapestPurchase(packagesOf(product, currency), shortKg);
    const bought = purchase?.kg ?? shortKg;
    return { product, needKg, fromStockKg, shortKg, purchase, leftKg: Math.max(0, onHand + bought - needKg) };
  });
  const paid = lines.map((l) => (l.shortKg > 0 ? l.purchase?.paid : 0));
  return {
    lines,
    currency,
    paid: paid.every((p) => p !== undefined) ? paid.reduce((sum, p) => sum + p, 0) : undefined,
  };
}

/** The price of a kg in the commonest currency of some bags; undefined where there is none. */
export const pricesOf = (products: readonly Product[]): ((product: Product) => number | undefined) => {
  const currency = commonestCurrency(products);
  return (product) => (currency === undefined ? undefined : pricePerKg(product, currency)?.figure.value.mid);
};
