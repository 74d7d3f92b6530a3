import { overlap } from '../quantity/index.js';
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

/** Costs this close, relatively, are one price: labels are rounded, so a half per cent decides nothing. */
export const TIE_TOLERANCE = 0.005;

const tiesWith = (best: Cheapest, other: Cheapest): boolean =>
  overlap(best.value, other.value) || other.value.mid - best.value.mid <= TIE_TOLERANCE * best.value.mid;

type Entry = Cheapest & { readonly product: Product };

/** Each row against the best, since overlapping is not handed on from row to row. */
function withRanks(entries: Entry[]): readonly RankedCost[] {
  entries.sort((a, b) => a.value.mid - b.value.mid || (a.product.name < b.product.name ? -1 : 1));
  const [best] = entries;
  if (!best) return [];
  const ties = entries.map((entry) => tiesWith(best, entry));
  const several = ties.filter(Boolean).length > 1;
  return entries.map((entry, i) => ({ ...entry, rank: ties[i] ? 1 : i + 1, tied: several && ties[i] === true }));
}

/**
 * Ranks products by what a unit of a nutrient costs, each at its cheapest current package, once in every currency it is priced in. All that are
 * tied with the best share its rank; those without a price or figure are listed apart with the reason. Plain numbers throughout: figures are made
 * by `costAtOffer` for the rows that are shown.
 */
export function rankByCost(products: readonly Product[], question: CostQuestion): Ranking {
  const groups: Record<string, Entry[]> = {};
  const unranked: UnrankedCost[] = [];
  for (const product of products) {
    const cheapest = cheapestPackages(product, question, currentOffers(product));
    if (typeof cheapest === 'string') unranked.push({ product, why: cheapest });
    else for (const entry of cheapest) (groups[entry.currency] ??= []).push({ ...entry, product });
  }
  return {
    byCurrency: Object.fromEntries(Object.entries(groups).map(([currency, list]) => [currency, withRanks(list)])),
    unranked,
  };
}
