import type { Analyte, Nutrient } from '../nutrient/index.js';
import { addRanges, exact, scaleRange, stockStrength, type Range } from '../quantity/index.js';
import { libraryEntry, massFraction, readIngredients, type Product } from '../shelf/index.js';
import { apartIn } from './incompatible.js';
import type { Component } from './mixture.js';

/** A feed: so many grams of a mix in each litre of water. */
export interface Feed {
  readonly gPerL: number;
}
/** What a litre of feed holds of an element, and which parts say nothing of it. */
export interface FeedContent {
  readonly nutrient: Nutrient;
  readonly mgPerL: Range;
  readonly silent: readonly string[];
}
export interface FeedStrength {
  readonly contents: readonly FeedContent[];
  /** Conductivity that the feed adds to the water, mS/cm. */
  readonly ec: Range;
  /** Parts whose cations are not told: it is at least so much. */
  readonly ecWithout: readonly string[];
}

const FED: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Na', 'Cl', 'Fe', 'Mn', 'Zn', 'Cu', 'B', 'Mo'];
/** mg of each cation's element in a milliequivalent: its atomic mass over its charge. */
const MG_PER_MEQ: readonly (readonly [Analyte, number])[] = [
  ['K', 39.098],
  ['Ca', 40.078 / 2],
  ['Mg', 24.305 / 2],
  ['Na', 22.99],
  ['N.ammoniacal', 14.007],
];
const MEQ_PER_EC = 10;

const shareOf = (product: Product, analyte: Analyte): Range | undefined => {
  const reading = massFraction(product, analyte);
  return reading.kind === 'figure' ? reading.figure.value : undefined;
};

/** Meals, composts and rocks do not dissolve; a liquid is dissolved already. */
function dissolves({ form, derivedFrom }: Product): boolean {
  if (form === 'liquid') return true;
  return readIngredients(derivedFrom).known.every(
    (m) => m.organic === undefined && libraryEntry(m.name)?.group !== 'mineral',
  );
}

/** What of a mix dissolves. */
export interface Dissolving {
  readonly components: readonly Component[];
  /** As a share of the mix. */
  readonly share: number;
  /** The parts that do not. */
  readonly not: readonly string[];
}
/**
 * The parts of a mix that dissolve in water, by what they are made of; of what nobody knows it is taken that it does.
 * @example dissolving([{ product: urea, kg: 1 }, { product: featherMeal, kg: 1 }]) // { components: [urea], share: 0.5, not: ['Feather meal'] }
 */
export function dissolving(components: readonly Component[]): Dissolving {
  const soluble = components.filter((c) => dissolves(c.product));
  const kgOf = (all: readonly Component[]): number => all.reduce((sum, c) => sum + c.kg, 0);
  return {
    components: soluble,
    share: kgOf(soluble) / kgOf(components),
    not: components.flatMap(({ product }) => (dissolves(product) ? [] : [product.name])),
  };
}

/**
 * What a feed of a mix holds: mg of each element in a litre, and the conductivity it adds, EC ≈ Σ cation meq/L ÷ 10. All of
 * it is taken to dissolve: see `dissolving`.
 * @param components the mix, in any scale
 * @example feedStrength([{ product: calciumNitrate, kg: 1 }], { gPerL: 1 }).ec // about 0.9 mS/cm
 */
export function feedStrength(components: readonly Component[], { gPerL }: Feed): FeedStrength {
  const whole = components.reduce((sum, c) => sum + c.kg, 0);
  const mg = (kg: number): number => (kg / whole) * gPerL * 1000;
  const contents = FED.flatMap((nutrient): readonly FeedContent[] => {
    const told = components.map(({ product, kg }) => ({ product, kg, share: shareOf(product, nutrient) }));
    const held = told.flatMap(({ kg, share }) => (share ? [scaleRange(share, mg(kg))] : []));
    const mgPerL = held.reduce(addRanges, exact(0));
    const silent = told.flatMap(({ product, share }) => (share ? [] : [product.name]));
    return mgPerL.high > 0 ? [{ nutrient, mgPerL, silent }] : [];
  });
  const meq = components.flatMap(({ product, kg }) =>
    MG_PER_MEQ.flatMap(([analyte, per]) => {
      const share = shareOf(product, analyte);
      return share ? [scaleRange(share, mg(kg) / per)] : [];
    }),
  );
  const ecWithout = components
    .filter(({ product }) => MG_PER_MEQ.every(([analyte]) => !((shareOf(product, analyte)?.mid ?? 0) > 0)))
    .map(({ product }) => product.name);
  return { contents, ec: scaleRange(meq.reduce(addRanges, exact(0)), 1 / MEQ_PER_EC), ecWithout };
}

/** A stock tank with what goes into it. */
export interface StockTank {
  /** A, B, and C where two do not do. */
  readonly name: string;
  readonly lines: readonly { readonly product: Product; readonly kg: number }[];
}
export interface StockTanks {
  readonly tanks: readonly StockTank[];
  /** Why they are apart. */
  readonly reasons: readonly { readonly between: readonly [string, string]; readonly reason: string }[];
}

/** Which tank each of some products goes to, in as few as can be, none with another it must not meet. */
function tankOf(products: readonly Product[], pairs: readonly (readonly [number, number])[]): readonly number[] {
  const meets = (i: number, j: number): boolean => pairs.some(([a, b]) => (a === i && b === j) || (a === j && b === i));
  const place = (at: number, into: readonly number[], most: number): readonly number[] | undefined => {
    if (at === products.length) return into;
    const used = Math.max(-1, ...into);
    for (let tank = 0; tank <= Math.min(used + 1, most - 1); tank++) {
      if (into.some((other, i) => other === tank && meets(i, at))) continue;
      const found = place(at + 1, [...into, tank], most);
      if (found) return found;
    }
    return undefined;
  };
  for (let most = 1; most < products.length; most++) {
    const found = place(0, [], most);
    if (found) return found;
  }
  return products.map((_, i) => i);
}

/**
 * A mix as stock solutions: those that precipitate together are kept in tanks of their own, as few as can be.
 * @param feed what a litre of feed shall hold
 * @param ratio of the injector, litres of water to a litre of stock: 100 for 1 : 100, whose stock is 101 times as strong as the feed
 * @param tankL litres in each tank
 * @example stockTanks([{ product: calciumNitrate, kg: 1 }, { product: epsomSalt, kg: 1 }], { gPerL: 1 }, 100, 20).tanks.length // 2
 */
export function stockTanks(
  components: readonly Component[],
  { gPerL }: Feed,
  ratio: number,
  tankL: number,
): StockTanks {
  const products = components.map((c) => c.product);
  const apart = apartIn(products);
  const tanks = tankOf(
    products,
    apart.map(({ first, second }) => [first, second] as const),
  );
  const whole = components.reduce((sum, c) => sum + c.kg, 0);
  const names = [...new Set(tanks)].sort((a, b) => a - b);
  return {
    tanks: names.map((tank) => ({
      name: String.fromCharCode('A'.charCodeAt(0) + tank),
      lines: components.flatMap(({ product, kg }, i) =>
        tanks[i] === tank ? [{ product, kg: ((kg / whole) * gPerL * stockStrength(ratio) * tankL) / 1000 }] : [],
      ),
    })),
    reasons: apart.map(({ first, second, reason }) => ({
      between: [products[first]?.name ?? '', products[second]?.name ?? ''],
      reason,
    })),
  };
}
