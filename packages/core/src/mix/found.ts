import type { Grade, GradePart, Product } from '../shelf/index.js';
import type { Solution } from '../solve/index.js';
import type { Breach } from './breach.js';
import type { Shopping } from './buying.js';
import { mixture, type Chosen, type Component, type Mixture } from './mixture.js';
import type { Aim, BlendTarget } from './model.js';

export interface Shortfall {
  readonly part: GradePart;
  readonly symbol: string;
  /** Reached against wanted, in the target's own numbers. */
  readonly reached: number;
  readonly kind: 'short' | 'over';
  readonly message: string;
}

export type Blend =
  | {
      readonly kind: 'recipe';
      readonly mixture: Mixture;
      readonly fillerKg: number;
      /** What amounts of nutrients weigh as a mix; undefined for a grade or a ratio, of which any batch can be made. */
      readonly batchKg: number | undefined;
      /** What is fetched for the batch, where the brief says how much is made. */
      readonly shopping: Shopping | undefined;
      /** What the solver made small where packages or what is at hand count: money per kg of mix, of amounts in all. */
      readonly spent: number | undefined;
      /** Of a ratio: kg of its first nutrient, in its basis, that a kg of mix counts for; mixes of one ratio differ in strength. */
      readonly wantedPerKg: number | undefined;
      /** What was made small: the mass, where nothing has a price. */
      readonly minimised: Aim;
      /** Products left out because what is made small is not known of them: no price, another currency, no salt index. */
      readonly leftOut: readonly string[];
      /** By what share a better one could undercut it at most: 0 when it is known to be the best; more when the time was up. */
      readonly gap: number;
    }
  | {
      readonly kind: 'tooStrong';
      readonly needsPercent: number;
      readonly strongest: Mixture;
      readonly strongestGrade: Grade;
      readonly message: string;
    }
  | {
      readonly kind: 'unreachable';
      readonly shortfalls: readonly Shortfall[];
      readonly closest: Mixture | undefined;
      readonly message: string;
    }
  | {
      /** It can be made, but only with products that the aim knows nothing of: no price in the currency of the others, or no salt index. */
      readonly kind: 'needsPrices';
      readonly mixture: Mixture;
      readonly fillerKg: number;
      readonly without: readonly string[];
      readonly message: string;
    }
  | ({
      /** The materials could make it, but not with all the rules. */ readonly kind: 'ruledOut';
      readonly message: string;
    } & Breach)
  | { readonly kind: 'failed'; readonly message: string };

/** What a bound is worth, in the objective, below which it is round-off. */
const WORTH_NOTHING = 1e-9;
const SIDES = { low: 'at its least', high: 'at its most' } as const;
/** What a solution was chosen by, in words for the working. */
export const chosenBy = (objective: string, { rows }: Pick<Solution, 'rows'>): Chosen => ({
  solver: 'HiGHS',
  objective,
  // A row that stands at its bound but is worth nothing holds nothing; one without a name is no rule of anybody.
  binds: rows.flatMap((r) =>
    r.binds && r.name !== '' && Math.abs(r.dual ?? 1) > WORTH_NOTHING ? [`${r.name} ${SIDES[r.binds]}`] : [],
  ),
});

export const toComponents = (products: readonly Product[], x: readonly number[]): readonly Component[] =>
  products.map((product, j) => ({ product, kg: x[j] ?? 0 })).filter((c) => c.kg > 0);

export const total = (x: readonly number[]): number => x.reduce((a, b) => a + b, 0);

/** The same recipe scaled to 1 kg. */
export function perKg(products: readonly Product[], x: readonly number[]): readonly Component[] {
  const mass = total(x);
  return toComponents(
    products,
    x.map((v) => v / mass),
  );
}

/** A solution as 1 kg of mix: a grade is filled up, a ratio scaled. */
export function asKilogram(
  products: readonly Product[],
  target: BlendTarget,
  solution: Solution,
  objective: string,
): { readonly mixture: Mixture; readonly fillerKg: number } {
  const x = solution.x.slice(0, products.length);
  const room = target.kind === 'grade' ? 1 - total(x) : 0;
  const fillerKg = room > 1e-9 ? room : 0;
  const components = target.kind === 'grade' ? toComponents(products, x) : perKg(products, x);
  return { mixture: mixture(components, fillerKg, chosenBy(objective, solution)), fillerKg };
}
