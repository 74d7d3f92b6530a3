import { FORM_NAMES, type NitrogenForm } from '../nutrient/index.js';
import {
  coatedIsOwnPart,
  massFraction,
  materialHolds,
  midFraction,
  readIngredients,
  typicalNitrogen,
  type Material,
  type OrganicMaterial,
  type Product,
} from '../shelf/index.js';
import type { Range } from '../quantity/index.js';
import { ownCurve, type OwnCurve } from './calibrate.js';
import type { CoatedForms } from './state.js';

/** Shares of a product's total nitrogen by pool; they add to 1. */
export interface NitrogenPools {
  readonly nitrate: number;
  readonly ammonium: number;
  readonly urea: number;
  readonly coated: number;
  readonly organic: number;
  /** All of it, where the bag has a curve of its own. */
  readonly measured?: number;
  /** What comes out of the coated share, as shares of it. */
  readonly coatedForms: CoatedForms;
  /** How much of its nitrogen is not organic, where the label gives no forms and its ingredients leave room; the shares above are at its middle. */
  readonly notOrganic?: Range | undefined;
}

export type PoolReading =
  | {
      readonly kind: 'pools';
      readonly pools: NitrogenPools;
      /** The organic materials behind the organic share, in the order they are listed; empty when there is none. */
      readonly materials: readonly OrganicMaterial[];
      readonly nitrogenFraction: number;
      /** The bag's own curve, where an incubation gave one. */
      readonly own?: OwnCurve | undefined;
      /** What had to be supposed, in words. */
      readonly supposed: readonly string[];
    }
  | { readonly kind: 'unknown'; readonly why: string };

/** A bag with a curve of its own: what it is made of no longer matters. */
const measuredPools = (own: OwnCurve, nitrogenFraction: number): PoolReading => ({
  kind: 'pools',
  pools: { nitrate: 0, ammonium: 0, urea: 0, coated: 0, organic: 0, measured: 1, coatedForms: AS_UREA },
  materials: [],
  nitrogenFraction,
  own,
  supposed: [
    `its course is ${own.source}, and goes faster or slower with warmth, water and the life of another medium`,
  ],
});

const SOLUBLE: readonly NitrogenForm[] = ['nitrate', 'ammoniacal', 'urea'];

interface Supposed {
  readonly forms: Partial<Record<NitrogenForm, number>>;
  readonly notOrganic?: Range | undefined;
}
/** How far the first listed ingredient may outweigh the others, from equal to nearly all of it. */
const OUTWEIGHS = [0, 0.5, 0.9] as const;

/** What several ingredients bring of each form, weighed by mass in the order they are listed. */
function mixedForms(sources: readonly Material[], total: number): Supposed | undefined {
  const brings = sources.map((m) => (m.organic ? [] : m.nitrogen.filter((form) => SOLUBLE.includes(form))));
  if (sources.some((m, i) => !m.organic && brings[i]?.length === 0)) return undefined;
  const at = (listing: number): readonly number[] => {
    const brought = sources.map(
      (m, i) => typicalNitrogen(m).mid * ((1 - listing) / sources.length + (i === 0 ? listing : 0)),
    );
    const whole = brought.reduce((a, b) => a + b, 0);
    return brought.map((n) => n / whole);
  };
  const notOrganicAt = (listing: number): number =>
    at(listing).reduce((sum, share, i) => sum + (sources[i]?.organic ? 0 : share), 0);
  const [low = 0, mid = 0, high = 0] = OUTWEIGHS.map(notOrganicAt).sort((a, b) => a - b);
  const forms: Partial<Record<NitrogenForm, number>> = {};
  at(OUTWEIGHS[1]).forEach((share, i) => {
    const own: readonly NitrogenForm[] = sources[i]?.organic ? ['waterInsoluble'] : (brings[i] ?? []);
    for (const form of own) forms[form] = (forms[form] ?? 0) + (total * share) / own.length;
    if (sources[i]?.nitrogen.includes('coated') && !sources[i]?.organic)
      forms.coated = (forms.coated ?? 0) + total * share;
  });
  const someOrganic = sources.some((m) => m.organic);
  return { forms, notOrganic: someOrganic && low < high ? { low, mid, high } : undefined };
}

const NO_LONGEVITY = 'its rated longevity is not entered; typical ones of two to nine months are drawn';
const supposedWords = (sources: readonly Material[], notOrganic: Range | undefined): string =>
  `nitrogen forms are not declared; taken from its ingredients (${sources.map((m) => m.name).join(', ')})${notOrganic ? ', weighed by mass in the order they are listed, as a range' : ''}`;

/** Nitrogen forms supposed from the ingredient list when the label gives none. */
function supposeForms(sources: readonly Material[], total: number): Supposed | undefined {
  if (sources.length > 1 && sources.some((m) => !m.organic)) return mixedForms(sources, total);
  const forms = formsOfOne(sources, total);
  return forms && { forms };
}
function formsOfOne(sources: readonly Material[], total: number): Partial<Record<NitrogenForm, number>> | undefined {
  if (sources.length === 0) return undefined;
  if (sources.every((m) => m.organic)) return { waterInsoluble: total };
  const [only] = sources;
  const soluble = only?.nitrogen.filter((form) => SOLUBLE.includes(form)) ?? [];
  const [form] = soluble;
  if (!form) return undefined;
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
  const own = ownCurve(product.incubation);
  if (own) return measuredPools(own, total);
  const { known } = readIngredients(product.derivedFrom);
  const sources = known.filter((m) => materialHolds(m, 'N').kind !== 'none');
  const supposed: string[] = [];

  const declared = Object.fromEntries(
    (Object.keys(FORM_NAMES) as NitrogenForm[])
      .map((form) => [form, midFraction(product, `N.${form}`)] as const)
      .filter(([, v]) => v > 0),
  ) as Partial<Record<NitrogenForm, number>>;
  let forms = declared;
  let notOrganic: Range | undefined;
  if (Object.keys(declared).length === 0) {
    const guess = supposeForms(sources, total);
    if (!guess)
      return { kind: 'unknown', why: 'the label gives no nitrogen forms, and its ingredients do not settle them' };
    ({ forms, notOrganic } = guess);
    supposed.push(supposedWords(sources, notOrganic));
  }

  const { free, coatedForms } = splitCoated(product, forms, sources);
  const coated = forms.coated ?? 0;
  const organicDeclared = (forms.waterInsoluble ?? 0) + (forms.waterSolubleOrganic ?? 0);
  const undeclared = Math.max(0, total - free.urea - free.ammonium - free.nitrate - coated - organicDeclared);
  // Labels round to 0.05 %; what is missing beyond that, or beyond a fiftieth of a weak liquid's total, is nitrogen nobody named.
  const unnamed = undeclared > Math.min(0.0005, total / 50) ? undeclared : 0;
  const organic = organicDeclared + unnamed;
  if (unnamed > 0) supposed.push('nitrogen beyond the declared forms is taken as organic');

  const materials = sources.filter((m): m is OrganicMaterial => m.organic !== undefined);
  if (organic > 0 && materials.length === 0)
    return { kind: 'unknown', why: 'it holds organic nitrogen, but no listed ingredient says from what' };
  if (organic > 0) supposed.push(...weighedWords(product, materials));
  if (coated > 0 && !product.longevity) supposed.push(NO_LONGEVITY);

  const whole = free.urea + free.ammonium + free.nitrate + coated + organic;
  return {
    kind: 'pools',
    pools: {
      nitrate: free.nitrate / whole,
      ammonium: free.ammonium / whole,
      urea: free.urea / whole,
      coated: coated / whole,
      organic: organic / whole,
      coatedForms,
      notOrganic,
    },
    materials: organic > 0 ? materials : [],
    nitrogenFraction: total,
    supposed,
  };
}

/** How several organic ingredients without shares are weighed. */
function weighedWords({ inside: bounds }: Product, materials: readonly OrganicMaterial[]): readonly string[] {
  if (materials.length < 2) return [];
  const inside = materials.map((m) => bounds?.find((b) => b.name === m.name));
  if (inside.some((b) => b === undefined))
    return [
      'several organic ingredients are listed without shares; they are weighed by mass, the first listed as the most',
    ];
  return inside.some((b) => b && b.low < b.high)
    ? ['its ingredients weigh what its analysis and their order leave room for']
    : [];
}

const AS_UREA: CoatedForms = { urea: 1, ammonium: 0, nitrate: 0 };

/**
 * What of the soluble forms lies free, and what comes out of the coating. Where the coated figure is a footnote on the forms above it, it is
 * taken out of urea first, then ammoniacal, then nitrate; where it is a part of its own, the ingredients say what is inside.
 */
function splitCoated(
  product: Product,
  forms: Partial<Record<NitrogenForm, number>>,
  sources: readonly Material[],
): { readonly free: { urea: number; ammonium: number; nitrate: number }; readonly coatedForms: CoatedForms } {
  const free = { urea: forms.urea ?? 0, ammonium: forms.ammoniacal ?? 0, nitrate: forms.nitrate ?? 0 };
  const coated = forms.coated ?? 0;
  if (coated <= 0) return { free, coatedForms: AS_UREA };
  if (coatedIsOwnPart(product)) {
    const brought = new Set(sources.flatMap((m) => m.nitrogen));
    if (brought.has('urea') || !(brought.has('ammoniacal') || brought.has('nitrate')))
      return { free, coatedForms: AS_UREA };
    const ammonium = brought.has('ammoniacal') ? (brought.has('nitrate') ? 0.5 : 1) : 0;
    return { free, coatedForms: { urea: 0, ammonium, nitrate: 1 - ammonium } };
  }
  let left = coated;
  const inside = { urea: 0, ammonium: 0, nitrate: 0 };
  for (const form of ['urea', 'ammonium', 'nitrate'] as const) {
    const taken = Math.min(free[form], left);
    free[form] -= taken;
    inside[form] = taken / coated;
    left -= taken;
  }
  inside.urea += left / coated;
  return { free, coatedForms: inside };
}
