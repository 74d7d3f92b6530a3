import type { Nutrient } from '../nutrient/index.js';
import type { Range } from '../quantity/index.js';
import { supplyRange, type Counted, type Product } from '../shelf/index.js';
import { solve, type LinearModel, type LpSolver, type Solution } from '../solve/index.js';
import { pricesPerKg, type PricePerKg } from './pricePerKg.js';

/** One bag of a shelf as linear programmes read it. */
export interface PricedBag {
  readonly product: Product;
  /** What a kg costs at its cheapest current package, in the shelf's currency. */
  readonly price: PricePerKg;
  /** What a kg brings of each counted nutrient, kg of the element; undefined where nothing is declared. */
  readonly supply: Readonly<Partial<Record<Nutrient, { readonly value: Range; readonly counted: Counted }>>>;
}
/** The bags that have a price in one currency and a weight, with what they bring. */
export interface PricedShelf {
  readonly currency: string;
  readonly nutrients: readonly Nutrient[];
  readonly bags: readonly PricedBag[];
}

/** Reads a shelf once for any number of questions. @param nutrients those that count */
export function pricedShelf(
  products: readonly Product[],
  currency: string,
  nutrients: readonly Nutrient[],
): PricedShelf {
  const bags = products.flatMap((product): PricedBag[] => {
    const price = pricesPerKg(product).find((p) => p.currency === currency);
    if (!price) return [];
    const supply = Object.fromEntries(
      nutrients.flatMap((n) => {
        const { ...found } = supplyRange(product, n);
        return found.kind === 'range' && found.value.mid > 0 ? [[n, found] as const] : [];
      }),
    );
    return [{ product, price, supply }];
  });
  return { currency, nutrients, bags };
}

/** Amounts of nutrients that are wanted, kg of the element. */
export type Wanted = Readonly<Partial<Record<Nutrient, number>>>;

/** The cheapest way to bring what is wanted. */
export type Cheapest =
  | {
      readonly kind: 'supply';
      readonly cost: number;
      readonly bundle: readonly { readonly bag: PricedBag; readonly kg: number }[];
      /** What one more kg of each nutrient would cost: 0 of what comes along anyway. */
      readonly prices: Readonly<Partial<Record<Nutrient, number>>>;
    }
  /** No bag brings these. */
  | { readonly kind: 'lacking'; readonly nutrients: readonly Nutrient[] }
  | { readonly kind: 'failed'; readonly status: string };

type End = keyof Range;
/** Amounts below this share of the bundle are round-off. */
const ROUND_OFF = 1e-9;

function readSupply(shelf: PricedShelf, asked: readonly Nutrient[], found: Solution): Cheapest {
  const all = found.x.reduce((a, b) => a + b, 0);
  const bundle = shelf.bags.flatMap((bag, j) => {
    const kg = found.x[j] ?? 0;
    return kg > ROUND_OFF * all ? [{ bag, kg }] : [];
  });
  const prices = Object.fromEntries(asked.map((n, i) => [n, found.rows[i]?.dual ?? 0]));
  return { kind: 'supply', cost: found.objective, bundle, prices };
}

/**
 * The cheapest bags that bring at least what is wanted, by linear programme: least Σ price·x with Σ supply·x ≥ wanted and x ≥ 0. The dual of each row is
 * the price of its nutrient.
 * @param without bags that may not be used
 * @param end which end of the bags' ranges counts
 * @example cheapestSupply(shelf, { N: 8, K: 5 }, solver) // { kind: 'supply', cost: 41.2, … }
 */
export function cheapestSupply(
  shelf: PricedShelf,
  wanted: Wanted,
  solver: LpSolver,
  { without, end = 'mid' }: { readonly without?: (bag: PricedBag) => boolean; readonly end?: End } = {},
): Cheapest {
  const asked = shelf.nutrients.filter((n) => (wanted[n] ?? 0) > 0);
  const used = shelf.bags.map((bag) => !without?.(bag));
  const content = asked.map((n) => shelf.bags.map((bag, j) => (used[j] ? (bag.supply[n]?.value[end] ?? 0) : 0)));
  const lacking = asked.filter((_, i) => !content[i]?.some((c) => c > 0));
  if (lacking.length > 0) return { kind: 'lacking', nutrients: lacking };
  const model: LinearModel = {
    goal: 'least',
    columns: shelf.bags.map(({ product, price }, j) => ({
      name: product.name,
      cost: price.figure.value.mid,
      ...(used[j] ? {} : { high: 0 }),
    })),
    rows: asked.map((n, i) => ({ name: n, coefficients: content[i] ?? [], low: wanted[n] ?? 0 })),
  };
  const found = solve(model, solver);
  if (found.kind !== 'optimal') return { kind: 'failed', status: found.kind === 'failed' ? found.status : found.kind };
  return readSupply(shelf, asked, found);
}
