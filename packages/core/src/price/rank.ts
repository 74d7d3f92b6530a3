import { ROUNDING } from '../quantity/index.js';
import type { Product } from '../shelf/index.js';
import { cheapestPackages, type Cheapest, type CostReason } from './costRange.js';
import type { CostQuestion } from './costPerUnit.js';
import { currentOffers } from './currentOffers.js';

export interface RankedCost extends Cheapest {
  readonly product: Product;
  /** 1 for the best and all that are tied with it; below them the place in the list. */
  readonly rank: number;
  /** Tied with the best, wherever in the list it stands. */
  readonly tied: boolean;
}
export interface UnrankedCost {
  readonly product: Product;
  readonly why: CostReason;
}
/** Products in one currency from cheap to dear. Rows are made for those that are asked for, since a list can be long and a screen is not. */
export interface RankedList {
  readonly length: number;
  /** Rows from a place in the list up to, not including, another: all when neither is given. */
  readonly rows: (from?: number, to?: number) => readonly RankedCost[];
}
/** One list per currency, since nothing is converted silently, and the products that cannot be ranked. */
export interface Ranking {
  readonly byCurrency: Readonly<Record<string, RankedList>>;
  readonly unranked: readonly UnrankedCost[];
}

type Entry = Cheapest & { readonly product: Product };

const NONE = Number.POSITIVE_INFINITY;

/** Sorted by cost, by name where they cost the same; each against the best, since overlapping is not handed on from row to row. */
function rankedList(entries: readonly Entry[]): RankedList {
  const cost = new Float64Array(entries.length);
  const low = new Float64Array(entries.length);
  const order = new Uint32Array(entries.length);
  entries.forEach(({ value }, at) => {
    cost[at] = value.mid;
    low[at] = value.low;
    order[at] = at;
  });
  const nameAt = (at: number): string => entries[at]?.product.name ?? '';
  order.sort((a, b) => {
    const dearer = (cost[a] ?? NONE) - (cost[b] ?? NONE);
    if (dearer !== 0) return dearer;
    return nameAt(a) < nameAt(b) ? -1 : 1;
  });
  const best = entries[order[0] ?? 0]?.value;
  // No other one's high end lies below the best one's low end, so its own low end decides.
  const ties = (at: number): boolean =>
    best !== undefined && ((low[at] ?? NONE) <= best.high || (cost[at] ?? NONE) - best.mid <= ROUNDING * best.mid);
  const several = order.subarray(1).some(ties);
  const rowAt = (at: number, place: number): RankedCost[] => {
    const entry = entries[at];
    return entry ? [{ ...entry, rank: ties(at) ? 1 : place, tied: several && ties(at) }] : [];
  };
  return {
    length: order.length,
    rows: (from = 0, to = order.length) =>
      Array.from(order.subarray(from, to)).flatMap((at, i) => rowAt(at, from + i + 1)),
  };
}

type Entries = readonly Entry[] | CostReason;
/** Products' entries by question: records never change in place, so what was worked out for one holds as long as it is there. */
const worked = new Map<string, WeakMap<Product, Entries>>();

/** Reads a product's entries for one question, worked out once. */
function entriesFor(question: CostQuestion): (product: Product) => Entries {
  const key = `${question.nutrient} ${question.basis} ${question.perUnit}`;
  const known = worked.get(key) ?? new WeakMap<Product, Entries>();
  worked.set(key, known);
  return (product) => {
    const held = known.get(product);
    if (held !== undefined) return held;
    const cheapest = cheapestPackages(product, question, currentOffers(product));
    const entries = typeof cheapest === 'string' ? cheapest : cheapest.map((entry) => ({ ...entry, product }));
    known.set(product, entries);
    return entries;
  };
}

/**
 * Ranks products by what a unit of a nutrient costs, each at its cheapest current package, once in every currency it is priced in. All that are
 * tied with the best share its rank; those without a price or figure are listed apart with the reason. Plain numbers throughout: figures are made
 * by `costAtOffer` for the rows that are shown.
 */
export function rankByCost(products: readonly Product[], question: CostQuestion): Ranking {
  const groups: Record<string, Entry[]> = {};
  const unranked: UnrankedCost[] = [];
  const entriesOf = entriesFor(question);
  for (const product of products) {
    const entries = entriesOf(product);
    if (typeof entries === 'string') unranked.push({ product, why: entries });
    else for (const entry of entries) (groups[entry.currency] ??= []).push(entry);
  }
  return {
    byCurrency: Object.fromEntries(Object.entries(groups).map(([currency, list]) => [currency, rankedList(list)])),
    unranked,
  };
}
