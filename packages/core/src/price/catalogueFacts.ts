import { compoundPerElement, type Nutrient } from '../nutrient/index.js';
import { supplyRange, type Product } from '../shelf/index.js';
import { pricesPerKg } from './pricePerKg.js';
import { packagesOf } from './wholePackages.js';

/** What a catalogue ranks by: available phosphate and soluble potash as their oxides, the rest as elements. */
export const RANKED_NUTRIENTS = ['N', 'P2O5', 'K2O', 'Ca', 'Mg', 'S'] as const;
export type RankedNutrient = (typeof RANKED_NUTRIENTS)[number];
/** The nutrient that each stands for. */
export const RANKED_AS = { N: 'N', P2O5: 'P', K2O: 'K', Ca: 'Ca', Mg: 'Mg', S: 'S' } as const satisfies Readonly<
  Record<RankedNutrient, Nutrient>
>;

/** kg per kg of product. */
export interface FractionBounds {
  readonly low: number;
  readonly high: number;
}
/** What a list of very many products is searched and ranked by; what nobody knows is missing, and never 0. */
export interface CatalogueFacts {
  /** Money for a kg at its cheapest current package, and the day that price was seen. */
  readonly price?: { readonly perKg: number; readonly currency: string; readonly seenOn?: string };
  /** What is on sale in that money, the smallest first. */
  readonly packages: readonly { readonly kg: number; readonly price: number }[];
  readonly fractions: Readonly<Partial<Record<RankedNutrient, FractionBounds>>>;
  /** The most chloride it may hold, kg/kg. */
  readonly chlorideHigh?: number;
}

/** Bounds of what is supplied; below detection is anything from nothing to the limit, and is left out of a ranking. */
function bounds(product: Product, nutrient: RankedNutrient): FractionBounds | undefined {
  const supply = supplyRange(product, RANKED_AS[nutrient]);
  if (supply.kind !== 'range' || !(supply.value.high > 0)) return undefined;
  const factor = nutrient === 'P2O5' || nutrient === 'K2O' ? compoundPerElement(nutrient) : 1;
  return { low: Math.max(0, supply.value.low) * factor, high: supply.value.high * factor };
}

/**
 * The narrow row of a product in a catalogue.
 * @param currency the money it is asked in; the first it is priced in otherwise
 * @example catalogueFacts(urea).fractions.N // { low: 0.46, high: 0.46 }
 */
export function catalogueFacts(product: Product, currency?: string): CatalogueFacts {
  const prices = pricesPerKg(product);
  const price = prices.find((p) => p.currency === currency) ?? prices[0];
  const seenOn = product.offers
    .filter((o) => o.price?.currency === price?.currency)
    .flatMap((o) => o.seenOn ?? [])
    .sort()
    .at(-1);
  const chloride = supplyRange(product, 'Cl');
  return {
    ...(price
      ? { price: { perKg: price.figure.value.mid, currency: price.currency, ...(seenOn ? { seenOn } : {}) } }
      : {}),
    packages: price ? packagesOf(product, price.currency).map((p) => ({ kg: p.kg, price: p.price })) : [],
    fractions: Object.fromEntries(
      RANKED_NUTRIENTS.flatMap((nutrient) => {
        const found = bounds(product, nutrient);
        return found ? [[nutrient, found]] : [];
      }),
    ),
    ...(chloride.kind === 'range' ? { chlorideHigh: chloride.value.high } : {}),
  };
}
