import { analyteName, compoundPerElement } from '../nutrient/index.js';
import { densityMid, midSupply, type Product } from '../shelf/index.js';
import { mixture, type Mixture, type MixNutrient } from './mixture.js';

/** So many level scoops of each material. */
export interface ScoopRecipe {
  /** Litres. */
  readonly scoopL: number;
  readonly counts: readonly { readonly product: Product; readonly count: number }[];
  readonly scoops: number;
  /** What really results. */
  readonly mixture: Mixture;
  /** For each nutrient that is compared, how far it is from the ideal, as a share of that. */
  readonly errors: readonly { readonly nutrient: MixNutrient['nutrient']; readonly error: number }[];
  /** The largest of them, without its sign. */
  readonly error: number;
}

export type Scooping =
  | {
      readonly kind: 'scoops';
      /** The nearest to the ideal there is. */
      readonly nearest: ScoopRecipe;
      /** The fewest scoops that are near enough; undefined where none is. */
      readonly fewest: ScoopRecipe | undefined;
    }
  | { readonly kind: 'needsDensity'; readonly products: readonly string[] }
  /** More materials than scoops are counted. */
  | { readonly kind: 'tooMany' };

/** More scoops than this nobody counts without losing count. */
const MOST_SCOOPS = 40;
/** How far off is near enough, for the fewest scoops, as a share. */
export const NEAR_ENOUGH = 0.05;
/** A nutrient below this in the ideal mix, in %, is not compared: a trace is never hit with a scoop. */
const TRACE = 0.1;

/** Whole numbers that add to a total, as near to the wanted shares as can be, none below one. */
function rounded(shares: readonly number[], total: number): readonly number[] {
  const counts = shares.map((s) => Math.max(1, Math.floor(s * total)));
  const left = (): number => total - counts.reduce((a, b) => a + b, 0);
  const rest = shares.map((s, i) => ({ i, rest: s * total - (counts[i] ?? 0) })).sort((a, b) => b.rest - a.rest);
  for (const { i } of rest) if (left() > 0) counts[i] = (counts[i] ?? 0) + 1;
  return counts;
}

/** What is compared: nutrients of the ideal with their content in each material, in per cent. */
interface Compared {
  readonly nutrient: MixNutrient['nutrient'];
  readonly wanted: number;
  readonly held: readonly number[];
}
const comparedIn = ({ analysis, components }: Mixture): readonly Compared[] =>
  analysis.flatMap(({ nutrient, basis, percent: { value } }) =>
    value.mid < TRACE
      ? []
      : [
          {
            nutrient,
            wanted: value.mid,
            held: components.map(({ product }) => midSupply(product, nutrient) * compoundPerElement(basis) * 100),
          },
        ],
  );

const total = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);
/** How far the nutrients of weights are from what is wanted. */
function errorsOf(kg: readonly number[], compared: readonly Compared[]): ScoopRecipe['errors'] {
  const all = total(kg);
  return compared.map(({ nutrient, wanted, held }) => ({
    nutrient,
    error: total(kg.map((m, i) => m * (held[i] ?? 0))) / all / wanted - 1,
  }));
}
const largest = (errors: ScoopRecipe['errors']): number => Math.max(0, ...errors.map((e) => Math.abs(e.error)));

/**
 * A mix in whole level scoops: for each number of scoops in all, the counts nearest to the wanted volumes are tried, and what really results is compared
 * with the ideal, filler left out. Which scoop it is only decides how much is made.
 * @param mix the ideal, by weight
 * @param scoopL litres
 * @example inScoops(mix, 0.25) // nearest: 3 of meal and 1 of potash, 2.1 % off
 */
export function inScoops(mix: Mixture, scoopL: number): Scooping {
  const used = mix.components;
  const densities = used.map(({ product }) => densityMid(product));
  const lacking = used.filter((_, i) => densities[i] === undefined).map(({ product }) => product.name);
  if (lacking.length > 0) return { kind: 'needsDensity', products: lacking };
  const weighs = densities.map((d) => (d ?? 0) * scoopL);
  const compared = comparedIn(mixture(used));
  const volumes = used.map(({ kg }, i) => kg / (densities[i] ?? 1));
  const shares = volumes.map((v) => v / total(volumes));
  const tried = Array.from({ length: Math.max(0, MOST_SCOOPS - used.length + 1) }, (_, k) => {
    const counts = rounded(shares, used.length + k);
    const errors = errorsOf(
      counts.map((n, i) => n * (weighs[i] ?? 0)),
      compared,
    );
    return { counts, errors, error: largest(errors) };
  });
  const recipe = ({ counts, errors, error }: (typeof tried)[number]): ScoopRecipe => ({
    scoopL,
    counts: used.map(({ product }, i) => ({ product, count: counts[i] ?? 0 })),
    scoops: total(counts),
    mixture: mixture(used.map(({ product }, i) => ({ product, kg: (counts[i] ?? 0) * (weighs[i] ?? 0) }))),
    errors,
    error,
  });
  const [first] = tried;
  if (!first) return { kind: 'tooMany' };
  const nearest = tried.reduce((best, t) => (t.error < best.error - 1e-9 ? t : best), first);
  const fewest = tried.find((t) => t.error <= NEAR_ENOUGH);
  return { kind: 'scoops', nearest: recipe(nearest), fewest: fewest && recipe(fewest) };
}

/** A scoop recipe with another scoop: the same counts, and so much more or less of it. */
export function withScoop(recipe: ScoopRecipe, scoopL: number): ScoopRecipe {
  const densities = recipe.counts.map(({ product }) => densityMid(product) ?? 0);
  return {
    ...recipe,
    scoopL,
    mixture: mixture(
      recipe.counts.map(({ product, count }, i) => ({ product, kg: count * scoopL * (densities[i] ?? 0) })),
    ),
  };
}

/** An error in words. @example errorWords([{ nutrient: 'K', error: 0.031 }]) // 'potassium 3.1 % too much' */
export const errorWords = (errors: ScoopRecipe['errors']): readonly string[] =>
  errors
    .filter((e) => Math.abs(e.error) >= 0.005)
    .map(
      ({ nutrient, error }) =>
        `${analyteName(nutrient)} ${(Math.abs(error) * 100).toFixed(1)} % too ${error > 0 ? 'much' : 'little'}`,
    );
