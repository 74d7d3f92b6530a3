import { readIngredients, type Product, type Trait } from '../shelf/index.js';

/** Two kinds of material that do not belong in one heap or can, and why. */
interface Pair {
  readonly a: readonly Trait[];
  readonly b: readonly Trait[];
  readonly reason: string;
  /** Only when dissolved together. */
  readonly inSolution: boolean;
}

/** Pairs with the reason; a material meets itself in none of them. */
export const INCOMPATIBLE_PAIRS: readonly Pair[] = [
  { a: ['ammonium', 'urea'], b: ['lime'], reason: 'lime or ash drives off ammonia', inSolution: false },
  { a: ['manure'], b: ['lime'], reason: 'lime or ash drives ammonia out of manure', inSolution: false },
  {
    a: ['urea'],
    b: ['ammoniumNitrate'],
    reason: 'urea with ammonium nitrate draws water and turns liquid',
    inSolution: false,
  },
  {
    a: ['urea'],
    b: ['calciumAmmoniumNitrate'],
    reason: 'urea with calcium ammonium nitrate draws water and turns wet',
    inSolution: false,
  },
  { a: ['urea'], b: ['superphosphate'], reason: 'urea with superphosphate turns sticky', inSolution: false },
  {
    a: ['superphosphate'],
    b: ['lime'],
    reason: 'lime turns the phosphate back into a form plants hardly get at',
    inSolution: false,
  },
  { a: ['calciumSalt'], b: ['sulfate'], reason: 'calcium and sulfate precipitate as gypsum', inSolution: true },
  { a: ['calciumSalt'], b: ['phosphate'], reason: 'calcium and phosphate precipitate', inSolution: true },
  {
    a: ['magnesium'],
    b: ['ammoniumPhosphate'],
    reason: 'magnesium and ammonium phosphate precipitate as struvite',
    inSolution: true,
  },
];

export interface Conflict {
  readonly between: readonly [string, string];
  readonly reason: string;
  readonly inSolution: boolean;
}

const traitsOf = (product: Product): ReadonlySet<Trait> =>
  new Set(readIngredients(product.derivedFrom).known.flatMap((m) => m.traits));

/** Two bags of a list, by their places, that must not meet, and why. */
export interface Apart {
  readonly first: number;
  readonly second: number;
  readonly reason: string;
  readonly inSolution: boolean;
}
/** Pairs of different products that should not be mixed or stored together. */
export function apartIn(products: readonly Product[]): readonly Apart[] {
  const traits = products.map(traitsOf);
  const has = (i: number, wanted: readonly Trait[]): boolean => wanted.some((t) => traits[i]?.has(t));
  return products.flatMap((_, first) =>
    products.slice(first + 1).flatMap((__, k) => {
      const second = first + 1 + k;
      return INCOMPATIBLE_PAIRS.filter(
        (p) => (has(first, p.a) && has(second, p.b)) || (has(first, p.b) && has(second, p.a)),
      ).map(({ reason, inSolution }): Apart => ({ first, second, reason, inSolution }));
    }),
  );
}

/** Pairs of different products in a mix that should not be mixed or stored together, each with its reason. */
export const conflictsIn = (products: readonly Product[]): readonly Conflict[] =>
  apartIn(products).map(({ first, second, reason, inSolution }) => ({
    between: [products[first]?.name ?? '', products[second]?.name ?? ''],
    reason,
    inSolution,
  }));
