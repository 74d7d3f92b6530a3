import { inPercent, literal, product as times, quotient, solved, sum, type Figure } from '../figure/index.js';
import { inCurrency, measure, ofWhat, per, unitOf } from '../quantity/index.js';
import { analyteName, NUTRIENTS, symbolIn, type Basis, type Nutrient } from '../nutrient/index.js';
import { commonestCurrency, pricePerKg } from '../price/index.js';
import { densityMid, inBasis, supplyFraction, type Product } from '../shelf/index.js';
import { MixError } from '../errors.js';

/** So much of one product in a mix. */
export interface Component {
  readonly product: Product;
  readonly kg: number;
}

/** A component with its weight as a figure. */
type Weighed = Component & { readonly weight: Figure };

export interface MixNutrient {
  readonly nutrient: Nutrient;
  readonly basis: Basis;
  /** Share of the mix by mass, in per cent of the basis. */
  readonly percent: Figure;
  /** Components that say nothing of this nutrient; it may hold more than shown. */
  readonly silent: readonly string[];
}

/** Everything a mix of weighed components is. */
export interface Mixture {
  readonly components: readonly Component[];
  readonly totalKg: number;
  /** The same components with what their weights are made of, and the weight of it all. */
  readonly weights: readonly Weighed[];
  readonly total: Figure;
  readonly analysis: readonly MixNutrient[];
  /** What most of its parts are priced in. */
  readonly currency: string | undefined;
  /** Per kg of mix; undefined when a component has no price or the currencies differ, with the names of those that lack one. */
  readonly costPerKg: Figure | undefined;
  readonly unpriced: readonly string[];
}

const SHOWN_BASIS: Readonly<Partial<Record<Nutrient, Basis>>> = { P: 'P2O5', K: 'K2O' };
/** The basis a label states a nutrient in: oxides for P and K, the element otherwise. */
export const labelBasis = (nutrient: Nutrient): Basis => SHOWN_BASIS[nutrient] ?? 'element';

/** What a solver chose weights by; missing when a person typed them. */
export interface Chosen {
  readonly solver: string;
  readonly objective: string;
  readonly binds: readonly string[];
}

const weight = (label: string, kg: number, chosen: Chosen | undefined): Figure =>
  chosen ? solved(label, kg, 'kg', chosen) : literal(label, kg, 'kg', 'chosen', 'the recipe');

function nutrientOf(nutrient: Nutrient, components: readonly Weighed[], total: Figure): MixNutrient | undefined {
  const basis = labelBasis(nutrient);
  const symbol = symbolIn(nutrient, basis);
  const silent: string[] = [];
  const brought: Figure[] = [];
  for (const component of components) {
    const reading = supplyFraction(component.product, nutrient);
    if (reading.kind === 'figure')
      brought.push(
        times(`${symbol} from ${component.product.name}`, ofWhat(measure('kg'), symbol), [
          component.weight,
          inBasis(reading.figure, nutrient, basis),
        ]),
      );
    else silent.push(component.product.name);
  }
  if (brought.length === 0) return undefined;
  const fraction = quotient(
    `${symbol} in the mix`,
    'kg/kg',
    sum(`${symbol} brought`, ofWhat(measure('kg'), symbol), brought),
    total,
  );
  if (!fraction || fraction.value.high <= 0) return undefined;
  const percent = inPercent(
    `${analyteName(nutrient)} in the mix, as ${symbol}`,
    ofWhat(measure('%'), symbol),
    'as per cent of the mix by mass',
    fraction,
  );
  return { nutrient, basis, percent, silent };
}

/**
 * The true analysis and cost of a mix of weighed components: every nutrient any of them declares, also those nobody
 * asked for.
 * @param components products with masses in kg; zero masses are left out
 * @param fillerKg inert and free
 * @param chosen what a solver chose the weights by
 * @throws MixError when nothing weighs anything
 * @example mixture([{ product: urea, kg: 1 }, { product: gypsum, kg: 1 }]) // 23 % N, …
 */
export function mixture(components: readonly Component[], fillerKg = 0, chosen?: Chosen): Mixture {
  const used = components.filter((c) => c.kg > 0);
  if (used.length === 0)
    throw new MixError('mix.empty', 'No part weighs anything, expected at least one part above zero.', 'parts');
  const weighed = used.map((c): Weighed => ({ ...c, weight: weight(`weight of ${c.product.name}`, c.kg, chosen) }));
  const filler = fillerKg > 0 ? [weight('weight of inert filler', fillerKg, chosen)] : [];
  const total = sum('weight of the mix', 'kg', [...weighed.map((c) => c.weight), ...filler]);
  const analysis = NUTRIENTS.map((n) => nutrientOf(n, weighed, total)).filter((n): n is MixNutrient => n !== undefined);

  const currency = commonestCurrency(used.map((c) => c.product));
  const prices = weighed.map((component) => ({
    component,
    price: currency === undefined ? undefined : pricePerKg(component.product, currency),
  }));
  const unpriced = prices.filter((p) => !p.price).map((p) => p.component.product.name);
  const costs = prices.flatMap(({ component, price }) =>
    price
      ? [times(`cost of ${component.product.name}`, inCurrency(price.currency), [component.weight, price.figure])]
      : [],
  );
  const costPerKg =
    currency && unpriced.length === 0
      ? quotient(
          'Cost of the mix',
          per(inCurrency(currency), measure('kg')),
          sum('cost of all parts', inCurrency(currency), costs),
          total,
        )
      : undefined;
  return {
    components: used,
    totalKg: total.value.mid,
    weights: weighed,
    total,
    analysis,
    currency,
    costPerKg,
    unpriced,
  };
}

/** One line of a recipe as a person typed it: so many parts, or so much in a unit of weight or volume. */
export interface TypedPart {
  readonly product: Product;
  readonly parts: number;
  /** Symbol of a unit; parts where it is missing. */
  readonly unit?: string | undefined;
}
/** What one part is, where parts stand beside weights and volumes. */
export interface OnePart {
  readonly amount: number;
  readonly unit: string;
}

export type PartsReading =
  | { readonly kind: 'components'; readonly components: readonly Component[] }
  | { readonly kind: 'needsDensity'; readonly products: readonly string[] }
  /** Parts and amounts stand side by side, and nobody said what a part is. */
  | { readonly kind: 'needsPart' };

/** So much of it in kg; undefined where it is a volume and the density is not known. */
function inKilograms(product: Product, amount: number, unit: string): number | undefined {
  const { factor, dimension } = unitOf(unit);
  if (dimension === 'mass') return amount * factor;
  const density = densityMid(product);
  return density === undefined ? undefined : amount * factor * density;
}

/**
 * Parts and amounts as masses. By volume each part weighs its bulk density; the same recipe read the other way can be 40 % off, so the caller always says
 * which is meant. Amounts in units of their own stand beside parts only where it is said what a part is.
 * @param by how parts without a unit are measured
 * @param onePart what one of them is
 * @example readParts([{ product: meal, parts: 2 }], 'volume') // 2 L × 0.6 kg/L = 1.2 kg
 */
export function readParts(parts: readonly TypedPart[], by: 'weight' | 'volume', onePart?: OnePart): PartsReading {
  const bare = parts.some((p) => p.parts > 0 && p.unit === undefined);
  if (bare && !onePart && parts.some((p) => p.parts > 0 && p.unit !== undefined)) return { kind: 'needsPart' };
  const one = onePart ?? { amount: 1, unit: by === 'weight' ? 'kg' : 'L' };
  const weighed = parts.map(({ product, parts: n, unit }) => ({
    product,
    kg:
      n <= 0 ? 0 : unit === undefined ? inKilograms(product, n * one.amount, one.unit) : inKilograms(product, n, unit),
  }));
  const lacking = weighed.filter((w) => w.kg === undefined).map((w) => w.product.name);
  if (lacking.length > 0) return { kind: 'needsDensity', products: lacking };
  return { kind: 'components', components: weighed.map(({ product, kg }) => ({ product, kg: kg ?? 0 })) };
}
