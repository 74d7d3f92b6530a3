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

/** Pairs of different products in a mix that should not be mixed or stored together, each with its reason. */
export function conflictsIn(products: readonly Product[]): readonly Conflict[] {
  const traits = products.map(traitsOf);
  const has = (i: number, wanted: readonly Trait[]): boolean => wanted.some((t) => traits[i]?.has(t));
  return products.flatMap((first, i) =>
    products.slice(i + 1).flatMap((second, k) => {
      const j = i + 1 + k;
      return INCOMPATIBLE_PAIRS.filter((p) => (has(i, p.a) && has(j, p.b)) || (has(i, p.b) && has(j, p.a))).map(
        ({ reason, inSolution }): Conflict => ({ between: [first.name, second.name], reason, inSolution }),
      );
    }),
  );
}
