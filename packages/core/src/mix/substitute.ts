import type { Nutrient } from '../nutrient/index.js';
import type { Range } from '../quantity/index.js';
import { midSupply, type Product } from '../shelf/index.js';
import { mixture, type Component, type Mixture } from './mixture.js';
import { saltOf } from './rules.js';

/** By what two materials are made equal: all of a nutrient, or what of it is set free in the crop's window. */
export type EqualBy = 'total' | 'released';
/** What else a swap changes, each of the whole batch: before, and after. */
export interface SwapChange {
  readonly nutrient: Nutrient;
  readonly before: number;
  readonly after: number;
}
export type Substitution =
  | {
      readonly kind: 'swapped';
      readonly by: EqualBy;
      /** kg of the new material for what there was of the old. */
      readonly kg: number;
      readonly components: readonly Component[];
      /** kg of each nutrient in its label's basis that differ; the one that was held equal is not among them where all of it counts. */
      readonly changes: readonly SwapChange[];
      /** Money in the currency of the parts; undefined where one side has no price. */
      readonly cost: { readonly before: number; readonly after: number } | undefined;
      /** Salt index of the mix; undefined where that of a part is not known. */
      readonly salt: { readonly before: number; readonly after: number } | undefined;
    }
  | { readonly kind: 'cannot'; readonly why: string };

const brought = (mix: Mixture, nutrient: Nutrient): number =>
  ((mix.analysis.find((n) => n.nutrient === nutrient)?.percent.value.mid ?? 0) / 100) * mix.totalKg;
const both = (before: number | undefined, after: number | undefined) =>
  before === undefined || after === undefined ? undefined : { before, after };
const costOf = ({ costPerKg, totalKg }: Mixture): number | undefined => costPerKg && costPerKg.value.mid * totalKg;
/** Less than this share of a nutrient is no change. */
const SAME = 1e-6;

/**
 * Swaps one material of a mix for another at equal nutrient: mass_B = mass_A × frac_A ÷ frac_B. Where of both is known what is set free in the crop's
 * window, and its low end is above zero, that is what is made equal.
 * @param components the mix, in kg
 * @param fromId the material that goes
 * @param to the material that comes instead
 * @param nutrient what is held equal
 * @param released share of a material's nutrient that is set free in the window, where that is known
 * @example substitute([{ product: urea, kg: 1 }], 'urea', featherMeal, 'N') // 3.5 kg of feather meal
 */
export function substitute(
  components: readonly Component[],
  fromId: string,
  to: Product,
  nutrient: Nutrient,
  released: (product: Product) => Range | undefined = () => undefined,
): Substitution {
  const old = components.find((c) => c.product.id === fromId);
  if (!old) return { kind: 'cannot', why: 'That material is not in the mix.' };
  const shares = [old.product, to].map(released);
  const by: EqualBy = shares.every((s) => s !== undefined && s.low > 0) ? 'released' : 'total';
  const [had = 0, has = 0] = [old.product, to].map(
    (p, i) => midSupply(p, nutrient) * (by === 'released' ? (shares[i]?.mid ?? 0) : 1),
  );
  if (had <= 0) return { kind: 'cannot', why: `${old.product.name} brings no ${nutrient} that is known.` };
  if (has <= 0) return { kind: 'cannot', why: `${to.name} brings no ${nutrient} that is known.` };
  const kg = (old.kg * had) / has;
  const rest = components.filter((c) => c !== old);
  const there = rest.find((c) => c.product.id === to.id);
  const swapped = there
    ? rest.map((c) => (c === there ? { ...c, kg: c.kg + kg } : c))
    : components.map((c) => (c === old ? { product: to, kg } : c));
  const [before, after] = [mixture(components), mixture(swapped)];
  const nutrients = new Set([...before.analysis, ...after.analysis].map((n) => n.nutrient));
  const changes = [...nutrients].flatMap((n): readonly SwapChange[] => {
    const [was, is] = [brought(before, n), brought(after, n)];
    return Math.abs(is - was) > SAME * Math.max(was, is) ? [{ nutrient: n, before: was, after: is }] : [];
  });
  return {
    kind: 'swapped',
    by,
    kg,
    components: swapped,
    changes,
    cost: before.currency === after.currency ? both(costOf(before), costOf(after)) : undefined,
    salt: both(saltOf(before), saltOf(after)),
  };
}
