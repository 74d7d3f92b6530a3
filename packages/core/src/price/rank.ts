import { overlap } from '../quantity/index.js';
import type { Product } from '../shelf/index.js';
import { costPerUnit, type Cost, type CostQuestion } from './costPerUnit.js';

export interface RankedCost {
  readonly product: Product;
  readonly cost: Extract<Cost, { kind: 'cost' }>;
  /** 1 for the cheapest; products whose ranges overlap share a rank. */
  readonly rank: number;
  readonly tied: boolean;
}
export interface UnrankedCost {
  readonly product: Product;
  readonly why: Exclude<Cost['kind'], 'cost'>;
}
/** One list per currency, since nothing is converted silently, and the products that cannot be ranked. */
export interface Ranking {
  readonly byCurrency: Readonly<Record<string, readonly RankedCost[]>>;
  readonly unranked: readonly UnrankedCost[];
}

/** Costs this close, relatively, are one price: labels are rounded, so a half per cent decides nothing. */
export const TIE_TOLERANCE = 0.005;

const tie = (a: RankedCost['cost'], b: RankedCost['cost']): boolean =>
  overlap(a.figure.value, b.figure.value) ||
  Math.abs(a.figure.value.mid - b.figure.value.mid) <= TIE_TOLERANCE * Math.min(a.figure.value.mid, b.figure.value.mid);

function withRanks(entries: { product: Product; cost: RankedCost['cost'] }[]): readonly RankedCost[] {
  entries.sort(
    (a, b) => a.cost.figure.value.mid - b.cost.figure.value.mid || a.product.name.localeCompare(b.product.name),
  );
  const ranked: RankedCost[] = [];
  let first = 0;
  entries.forEach((entry, i) => {
    const leader = entries[first];
    if (i > 0 && leader && !tie(leader.cost, entry.cost)) first = i;
    ranked.push({ ...entry, rank: first + 1, tied: false });
  });
  const sharing = new Map<number, number>();
  for (const r of ranked) sharing.set(r.rank, (sharing.get(r.rank) ?? 0) + 1);
  return ranked.map((r) => ((sharing.get(r.rank) ?? 0) > 1 ? { ...r, tied: true } : r));
}

/**
 * Ranks products by what a unit of a nutrient costs, each at its cheapest package. Products tied with the leader of
 * their group share its rank; those without a price or figure are listed apart with the reason.
 */
export function rankByCost(products: readonly Product[], question: CostQuestion): Ranking {
  const groups: Record<string, { product: Product; cost: RankedCost['cost'] }[]> = {};
  const unranked: UnrankedCost[] = [];
  for (const product of products) {
    const cost = costPerUnit(product, question);
    if (cost.kind === 'cost') (groups[cost.currency] ??= []).push({ product, cost });
    else unranked.push({ product, why: cost.kind });
  }
  return {
    byCurrency: Object.fromEntries(Object.entries(groups).map(([currency, list]) => [currency, withRanks(list)])),
    unranked,
  };
}
