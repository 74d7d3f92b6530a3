import { computed, difference, solved, type Figure } from '../figure/index.js';
import { formatTrimmed, inCurrency, measure, per } from '../quantity/index.js';
import type { LpSolver } from '../solve/index.js';
import { RANKED_NUTRIENTS, type RankedNutrient } from './catalogueFacts.js';
import {
  cheapestOfAll,
  heldShare,
  OTHER_END,
  type CatalogueColumn,
  type CheapestOfAll,
  type HeldEnd,
  type NutrientPrices,
} from './cheapestOfAll.js';
import { listedPrice } from './ofAllFigures.js';
import { nameOf } from './priceList.js';

/** What a kg of a product is worth by what else a catalogue holds. */
export type ReplacementOfAll =
  | {
      readonly kind: 'value';
      /** The least that all it brings costs from the others, money per kg. */
      readonly value: Figure;
      /** Price less value: above 0 it is dearer than what replaces it. */
      readonly premium: Figure;
      readonly bundle: CheapestOfAll['parts'];
      readonly prices: NutrientPrices['worth'];
      /** What nothing else in the catalogue brings: it is not counted in the value. */
      readonly notReplaceable: readonly RankedNutrient[];
    }
  | { readonly kind: 'none'; readonly why: 'bringsNothing' | 'nobodyElse' | 'stopped' };

/** A product, with those who sell it where it stands on a shelf too. */
export interface ToReplace extends CatalogueColumn {
  readonly sellers?: readonly string[];
}
/** Whether a product of a list is the one that is to be replaced: the same entry, or one of its name by one of its sellers. */
const isItself = (product: ToReplace, { id, name, seller }: CatalogueColumn): boolean =>
  id === product.id ||
  (nameOf(name) === nameOf(product.name) &&
    (product.sellers ?? [product.seller]).some((s) => s !== undefined && nameOf(s) === nameOf(seller ?? '')));

/**
 * The replacement value of a product against a whole catalogue: the cheapest way to bring all that a kg of it brings of the nutrients that count from
 * everything else. The range runs from the least it can hold, replaced by products at their most, to the other way round.
 * @param nutrients those that count
 * @param ask the products with the least cost beyond their worth, by an end of what they hold
 * @example await replacementOfAll(compound, 'EUR', ['N', 'P2O5', 'K2O'], highs, ask) // value 0.92 EUR/kg, premium 0.31 EUR/kg
 */
export async function replacementOfAll(
  product: ToReplace,
  currency: string,
  nutrients: readonly RankedNutrient[],
  solver: LpSolver,
  ask: (prices: NutrientPrices, held: HeldEnd) => Promise<readonly CatalogueColumn[]>,
): Promise<ReplacementOfAll> {
  const brings = RANKED_NUTRIENTS.filter((n) => nutrients.includes(n) && heldShare(product, n, 'mid') > 0);
  if (brings.length === 0) return { kind: 'none', why: 'bringsNothing' };
  const costAt = (end: HeldEnd, counted: readonly RankedNutrient[]) =>
    cheapestOfAll(
      { atLeast: Object.fromEntries(counted.map((n) => [n, heldShare(product, n, end)])), held: OTHER_END[end] },
      solver,
      async (prices) => (await ask(prices, OTHER_END[end])).filter((c) => !isItself(product, c)),
    );
  let counted = brings;
  let mid = await costAt('mid', counted);
  if (mid.kind === 'none') {
    const { missing } = mid;
    counted = brings.filter((n) => !missing.includes(n));
    if (counted.length === 0) return { kind: 'none', why: 'nobodyElse' };
    mid = await costAt('mid', counted);
  }
  if (mid.kind === 'none' || !mid.proven) return { kind: 'none', why: 'stopped' };
  const ends: number[] = [];
  for (const end of ['low', 'high'] as const) {
    const found = await costAt(end, counted);
    ends.push(found.kind === 'found' ? found.cost : mid.cost);
  }
  const perKg = per(inCurrency(currency), measure('kg'));
  const priceOf = (c: CatalogueColumn): Figure => listedPrice(c, currency);
  const chosen = solved(
    `Cheapest stand-in for a kg of ${product.name}: ${mid.parts.map((p) => `${formatTrimmed(p.kg, 3)} kg ${p.product.name}`).join(' + ')}`,
    mid.cost,
    perKg,
    { solver: 'HiGHS', objective: 'least cost', binds: counted.filter((n) => (mid.prices.worth[n] ?? 0) > 0) },
    mid.parts.map((p) => priceOf(p.product)),
  );
  const value = computed(
    `Replacement value of ${product.name}`,
    { low: Math.min(mid.cost, ...ends), mid: mid.cost, high: Math.max(mid.cost, ...ends) },
    perKg,
    'range',
    'from the least it can hold to the most, replaced by products at their most and least',
    [chosen],
  );
  return {
    kind: 'value',
    value,
    premium: difference(`Premium of ${product.name}`, perKg, priceOf(product), value),
    bundle: mid.parts,
    prices: mid.prices.worth,
    notReplaceable: brings.filter((n) => !counted.includes(n)),
  };
}
