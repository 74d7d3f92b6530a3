import {
  reducedCost,
  type CatalogueColumn,
  type CheapestOfAll,
  type HeldEnd,
  type NutrientPrices,
  type OfAll,
} from '../src/price/cheapestOfAll.js';
import type { RankedNutrient } from '../src/price/catalogueFacts.js';
import { beyondWorth, type CataloguePackage, type MoreOfAll } from '../src/price/wholeOfAll.js';

/** A product of a catalogue; a share is a number, or a low and a high one. */
export const listed = (
  id: string,
  pricePerKg: number,
  shares: Partial<Record<RankedNutrient, number | [number, number]>>,
): CatalogueColumn => ({
  id,
  name: id,
  pricePerKg,
  fractions: Object.fromEntries(
    Object.entries(shares).map(([n, s]) => [n, Array.isArray(s) ? { low: s[0], high: s[1] } : { low: s, high: s }]),
  ),
});
/** What was found; fails where nothing was. */
export function cheapest(all: OfAll): CheapestOfAll {
  if (all.kind !== 'found') throw new Error(`nothing brings ${all.missing.join()}`);
  return all;
}
/** A catalogue that answers with the few best, as the database does. */
export const asking =
  (all: readonly CatalogueColumn[], few = 3) =>
  (prices: NutrientPrices, held?: HeldEnd) =>
    Promise.resolve(
      [...all]
        .sort((a, b) => reducedCost(a, prices, held) - reducedCost(b, prices, held) || a.id.localeCompare(b.id))
        .slice(0, few),
    );

/** Packages of a catalogue, asked as the database is. */
export const packed = (packages: readonly CataloguePackage[], few = Infinity): MoreOfAll => ({
  packages: (prices, most, within = Infinity) =>
    Promise.resolve(
      packages
        .filter((p) => beyondWorth(p, prices) <= within)
        .sort((a, b) => beyondWorth(a, prices) - beyondWorth(b, prices))
        .slice(0, Math.min(few, most)),
    ),
  alone: () => Promise.resolve([]),
});
export const urea = listed('urea', 0.9, { N: 0.46 });
export const potash = listed('potash', 1.4, { K2O: 0.5, S: 0.18 });
export const compound = listed('compound', 1.1, { N: 0.12, P2O5: 0.06, K2O: 0.1 });
export const meal = listed('meal', 1.3, { N: [0.12, 0.14] });
