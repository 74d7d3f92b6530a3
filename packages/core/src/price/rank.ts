import { overlap, ROUNDING } from '../quantity/index.js';
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
/** One list per currency, since nothing is converted silently, and the products that cannot be ranked. */
export interface Ranking {
  readonly byCurrency: Readonly<Record<string, readonly RankedCost[]>>;
  readonly unranked: readonly UnrankedCost[];
}

const tiesWith = (best: Cheapest, other: Cheapest): boolean =>
  overlap(best.value, other.value) || other.value.mid - best.value.mid <= ROUNDING * best.value.mid;

type Entry = Cheapest & { readonly product: Product };

/** Each row against the best, since overlapping is not handed on from row to row. */
function withRanks(entries: readonly Entry[]): readonly RankedCost[] {
  const cost = Float64Array.from(entries, (entry) => entry.value.mid);
  const byName = (a: number, b: number): number =>
    (entries[a]?.product.name ?? '') < (entries[b]?.product.name ?? '') ? -1 : 1;
  const order = Uint32Array.from(entries.keys()).sort((a, b) => (cost[a] ?? 0) - (cost[b] ?? 0) || byName(a, b));
  const sorted = Array.from(order, (at) => entries[at]).filter((entry) => entry !== undefined);
  const [best] = sorted;
  if (!best) return [];
  const ties = sorted.map((entry) => tiesWith(best, entry));
  const several = ties.indexOf(true, 1) > 0;
  return sorted.map(({ product, offer, currency, value, counted }, i) => {
    const tied = ties[i] === true;
    return { product, offer, currency, value, counted, rank: tied ? 1 : i + 1, tied: several && tied };
  });
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
    byCurrency: Object.fromEntries(Object.entries(groups).map(([currency, list]) => [currency, withRanks(list)])),
    unranked,
  };
}
