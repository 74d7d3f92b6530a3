import {
  analyteName,
  ANALYTES,
  NITROGEN_FORMS,
  symbolIn,
  type Analyte,
  type NitrogenForm,
  type Nutrient,
} from '../nutrient/index.js';
import { formatGiven, type Range } from '../quantity/index.js';
import { saltIndexOf } from '../season/index.js';
import {
  freeOfForm,
  keepingWords,
  keeps,
  massFraction,
  readIngredients,
  materialHolds,
  perProduct,
  inBasis,
  type Keeping,
  type Product,
} from '../shelf/index.js';
import { limingFigure } from './liming.js';
import { labelBasis, type Mixture } from './mixture.js';

/** What a rule can hold between bounds: the salt index, the liming effect, a nutrient, or a form of nitrogen. */
export type Limited = 'salt' | 'liming' | Analyte;
export const LIMITED: readonly Limited[] = ['salt', 'liming', ...ANALYTES];
/** The form of nitrogen that a rule bounds; undefined where it bounds something else. */
const formIn = (of: Analyte): NitrogenForm | undefined => NITROGEN_FORMS.find((form) => of === `N.${form}`);

export const RULE_KINDS = ['keep', 'leaveOut', 'limit', 'share', 'kinds', 'apart', 'stock', 'packages'] as const;

/** A rule that a grower keeps for a mix. */
export type BlendRule =
  | { readonly kind: 'keep'; readonly what: Keeping; readonly km?: number | undefined }
  | { readonly kind: 'leaveOut'; readonly productId: string }
  | {
      readonly kind: 'limit';
      readonly of: Limited;
      readonly low?: number | undefined;
      readonly high?: number | undefined;
    }
  | {
      readonly kind: 'share';
      readonly productId: string;
      readonly low?: number | undefined;
      readonly high?: number | undefined;
    }
  | { readonly kind: 'kinds'; readonly most: number }
  | { readonly kind: 'apart' }
  /** What is at hand costs nothing more. */
  | { readonly kind: 'stock' }
  /** Packages are bought whole. */
  | { readonly kind: 'packages' };

/** Elements that a rule tells in mg/kg. */
const TRACES: readonly Nutrient[] = ['Cd', 'Pb', 'Hg', 'Ni', 'Cr', 'As', 'Co', 'Mo', 'Se', 'Cu', 'Zn'];
/** The unit a rule's bounds are in. */
export function limitUnit(of: Limited): string {
  if (of === 'salt') return '';
  if (of === 'liming') return 'kg CaCO₃ per 100 kg';
  if (formIn(of)) return '% N';
  const nutrient = of as Nutrient;
  return TRACES.includes(nutrient) ? 'mg/kg' : `% ${symbolIn(nutrient, labelBasis(nutrient))}`;
}
/** What a rule bounds, in words. @example limitName('salt') // 'salt index' */
export const limitName = (of: Limited): string =>
  of === 'salt' ? 'salt index' : of === 'liming' ? 'liming effect' : analyteName(of);

const bounds = (low: number | undefined, high: number | undefined, unit: string): string => {
  const shown = (n: number): string => `${formatGiven(n)}${unit ? ` ${unit}` : ''}`;
  if (low !== undefined && high !== undefined) return `${formatGiven(low)} to ${shown(high)}`;
  return low !== undefined ? `at least ${shown(low)}` : `at most ${shown(high ?? 0)}`;
};

/**
 * A rule as a person says it.
 * @param nameOf the name of a bag
 * @example ruleWords({ kind: 'limit', of: 'salt', high: 40 }, nameOf) // 'salt index at most 40'
 */
export function ruleWords(rule: BlendRule, nameOf: (productId: string) => string): string {
  switch (rule.kind) {
    case 'keep':
      return keepingWords(rule.what, rule.km);
    case 'leaveOut':
      return `without ${nameOf(rule.productId)}`;
    case 'limit':
      return `${limitName(rule.of)} ${bounds(rule.low, rule.high, limitUnit(rule.of))}`;
    case 'share':
      return `${nameOf(rule.productId)} ${bounds(rule.low, rule.high, '% of the mix')}`;
    case 'kinds':
      return rule.most === 1 ? 'one material' : `at most ${formatGiven(rule.most)} materials`;
    case 'apart':
      return 'nothing that must not meet';
    case 'stock':
      return 'what is at hand first';
    case 'packages':
      return 'packages bought whole';
  }
}

const NONE: Range = { low: 0, mid: 0, high: 0 };
/** What a bag holds of a nutrient, in the unit of a rule; none, where nothing it is made of holds any. */
function nutrientOf(product: Product, nutrient: Nutrient): Range | undefined {
  const reading = massFraction(product, nutrient);
  const factor = TRACES.includes(nutrient) ? 1e6 : 100;
  if (reading.kind === 'figure') {
    const { low, mid, high } = inBasis(
      reading.figure,
      nutrient,
      TRACES.includes(nutrient) ? 'element' : labelBasis(nutrient),
    ).value;
    return { low: low * factor, mid: mid * factor, high: high * factor };
  }
  if (reading.kind === 'below') return { low: 0, mid: 0, high: reading.limit.value.high * factor };
  const { known, complete } = readIngredients(product.derivedFrom);
  const free = complete && known.length > 0 && known.every((m) => materialHolds(m, nutrient).kind === 'none');
  return free ? NONE : undefined;
}

/** What a bag holds of a form of nitrogen, %: as declared; none, where its label or what it is made of rules it out. */
function formOf(product: Product, form: NitrogenForm): Range | undefined {
  const reading = massFraction(product, `N.${form}`);
  if (reading.kind === 'figure') {
    const { low, mid, high } = reading.figure.value;
    return { low: low * 100, mid: mid * 100, high: high * 100 };
  }
  return freeOfForm(product, form) ? NONE : undefined;
}

/** What a bag brings of something that a rule bounds, in the unit of that rule; undefined where nobody said. */
export const contentOf = perProduct((product, of: Limited): Range | undefined => {
  if (of === 'salt') return saltIndexOf(product)?.value;
  if (of === 'liming') return limingFigure(product)?.value;
  const form = formIn(of);
  return form ? formOf(product, form) : nutrientOf(product, of as Nutrient);
});

/** A rule about bags as it was answered for a bag; the distance stands behind the word. */
const keepsFor = perProduct((product, asked: `${Keeping} ${number}` | Keeping): boolean | undefined => {
  const [what, km] = asked.split(' ');
  return keeps(product, what as Keeping, km === undefined ? undefined : Number(km));
});

/** Whether a rule allows a bag at all; undefined where nobody said what it needs to know, which counts against it. */
export function allows(rule: BlendRule, product: Product): boolean | undefined {
  switch (rule.kind) {
    case 'keep':
      return keepsFor(product, rule.km === undefined ? rule.what : `${rule.what} ${rule.km}`);
    case 'leaveOut':
      return product.id !== rule.productId;
    case 'limit':
      return contentOf(product, rule.of) === undefined ? undefined : true;
    case 'share':
    case 'kinds':
    case 'apart':
    case 'stock':
    case 'packages':
      return true;
  }
}

/** Something so small beside the bounds that it tells nothing. */
const ROUND_OFF = 1e-6;
/**
 * What a mix has of what a rule bounds; undefined where the rule bounds nothing in numbers.
 * @param kg kg of each bag
 * @param totalKg kg of the mix, filler too
 */
export function reached(
  rule: BlendRule,
  products: readonly Product[],
  kg: readonly number[],
  totalKg: number,
): number | undefined {
  const share = (j: number): number => (kg[j] ?? 0) / totalKg;
  switch (rule.kind) {
    case 'limit':
      return products.reduce((sum, p, j) => sum + (contentOf(p, rule.of)?.mid ?? 0) * share(j), 0);
    case 'share':
      return products.reduce((sum, p, j) => sum + (p.id === rule.productId ? 100 * share(j) : 0), 0);
    case 'kinds':
      return kg.filter((x) => x > ROUND_OFF * totalKg).length;
    case 'keep':
    case 'leaveOut':
    case 'apart':
    case 'stock':
    case 'packages':
      return undefined;
  }
}

/** The salt index of a mix, filler counted; undefined where that of a part is not known. */
export function saltOf({ components, totalKg }: Pick<Mixture, 'components' | 'totalKg'>): number | undefined {
  const products = components.map((c) => c.product);
  if (products.some((p) => saltIndexOf(p) === undefined)) return undefined;
  return reached(
    { kind: 'limit', of: 'salt' },
    products,
    components.map((c) => c.kg),
    totalKg,
  );
}
