import { FORM_NAMES, type NitrogenForm } from '../nutrient/index.js';
import {
  massFraction,
  midFraction,
  readIngredients,
  type Material,
  type OrganicClass,
  type Product,
} from '../shelf/index.js';

/** Shares of a product's total nitrogen by pool; they add to 1. */
export interface NitrogenPools {
  readonly nitrate: number;
  readonly ammonium: number;
  readonly urea: number;
  readonly coated: number;
  readonly organic: number;
}

export type PoolReading =
  | {
      readonly kind: 'pools';
      readonly pools: NitrogenPools;
      /** Classes of organic material behind the organic share; empty when there is none. */
      readonly classes: readonly OrganicClass[];
      readonly nitrogenFraction: number;
      /** What had to be supposed, in words. */
      readonly supposed: readonly string[];
    }
  | { readonly kind: 'unknown'; readonly why: string };

const SOLUBLE: readonly NitrogenForm[] = ['nitrate', 'ammoniacal', 'urea'];

/** Nitrogen forms supposed from the ingredient list when the label gives none. */
function supposeForms(sources: readonly Material[], total: number): Partial<Record<NitrogenForm, number>> | undefined {
  if (sources.length === 0) return undefined;
  if (sources.every((m) => m.organic)) return { waterInsoluble: total };
  const [only] = sources;
  const soluble = only?.nitrogen.filter((form) => SOLUBLE.includes(form)) ?? [];
  const [form] = soluble;
  if (sources.length !== 1 || !form) return undefined;
  if (only?.nitrogen.includes('coated')) return { [form]: total, coated: total };
  if (soluble.length === 1) return { [form]: total };
  return only?.key === 'ammonium-nitrate' ? { nitrate: total / 2, ammoniacal: total / 2 } : undefined;
}

/**
 * Sorts a product's nitrogen into the pools of the release model, from its declared forms and its ingredient list.
 * The coated footnote is taken out of urea first, then ammoniacal, then nitrate.
 * @returns shares of total N, or why they cannot be known
 */
export function nitrogenPools(product: Product): PoolReading {
  const reading = massFraction(product, 'N');
  if (reading.kind !== 'figure' || reading.figure.value.mid <= 0)
    return { kind: 'unknown', why: 'no nitrogen is declared' };
  const total = reading.figure.value.mid;
  const { known } = readIngredients(product.derivedFrom);
  const sources = known.filter((m) => m.contains.includes('N'));
  const supposed: string[] = [];

  const declared = Object.fromEntries(
    (Object.keys(FORM_NAMES) as NitrogenForm[])
      .map((form) => [form, midFraction(product, `N.${form}`)] as const)
      .filter(([, v]) => v > 0),
  ) as Partial<Record<NitrogenForm, number>>;
  let forms = declared;
  if (Object.keys(declared).length === 0) {
    const guess = supposeForms(sources, total);
    if (!guess)
      return { kind: 'unknown', why: 'the label gives no nitrogen forms, and its ingredients do not settle them' };
    forms = guess;
    supposed.push(
      `nitrogen forms are not declared; taken from its ingredients (${sources.map((m) => m.name).join(', ')})`,
    );
  }

  let coatedLeft = forms.coated ?? 0;
  const uncoated = (form: NitrogenForm): number => {
    const amount = forms[form] ?? 0;
    const taken = Math.min(amount, coatedLeft);
    coatedLeft -= taken;
    return amount - taken;
  };
  const urea = uncoated('urea');
  const ammonium = uncoated('ammoniacal');
  const nitrate = uncoated('nitrate');
  const coated = forms.coated ?? 0;
  const organicDeclared = (forms.waterInsoluble ?? 0) + (forms.waterSolubleOrganic ?? 0);
  const undeclared = Math.max(0, total - urea - ammonium - nitrate - coated - organicDeclared);
  // Labels round to 0.05 %; what is missing beyond that, or beyond a fiftieth of a weak liquid's total, is nitrogen nobody named.
  const unnamed = undeclared > Math.min(0.0005, total / 50) ? undeclared : 0;
  const organic = organicDeclared + unnamed;
  if (unnamed > 0) supposed.push('nitrogen beyond the declared forms is taken as organic');

  const classes = [...new Set(sources.map((m) => m.organic).filter((c): c is OrganicClass => c !== undefined))];
  if (organic > 0 && classes.length === 0)
    return { kind: 'unknown', why: 'it holds organic nitrogen, but no listed ingredient says from what' };
  if (organic > 0 && classes.length > 1)
    supposed.push('several organic ingredients are listed without shares; their class averages are weighed equally');
  if (coated > 0 && !product.longevity)
    return { kind: 'unknown', why: 'it is coated, but the rated longevity is not entered' };

  const whole = urea + ammonium + nitrate + coated + organic;
  return {
    kind: 'pools',
    pools: {
      nitrate: nitrate / whole,
      ammonium: ammonium / whole,
      urea: urea / whole,
      coated: coated / whole,
      organic: organic / whole,
    },
    classes: organic > 0 ? classes : [],
    nitrogenFraction: total,
    supposed,
  };
}
