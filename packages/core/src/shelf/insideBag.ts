import { analyteName, compoundPerElement, FORM_NAMES, type NitrogenForm, type Nutrient } from '../nutrient/index.js';
import { formatTrimmed, type Range } from '../quantity/index.js';
import { conflictSets, solve, type LinearModel, type LpSolver, type Row } from '../solve/index.js';
import { libraryEntry, materialHolds } from './library/index.js';
import { readIngredients, type Material } from './materials.js';
import { massFraction } from './massFraction.js';
import type { Product } from './product.js';

/** The least and the most of a listed ingredient that a label leaves room for, by mass. */
export interface InsideShare {
  readonly material: Material;
  readonly low: number;
  readonly high: number;
}
export type InsideBag =
  | {
      readonly kind: 'shares';
      readonly shares: readonly InsideShare[];
      /** All that is listed is known by name. */
      readonly complete: boolean;
      /** What is usual of lists and does not hold of this one, in words. */
      readonly givenUp: readonly string[];
    }
  /** No mix of the listed ingredients is this label: what cannot hold together, in words. */
  | { readonly kind: 'impossible'; readonly conflict: readonly string[] }
  | { readonly kind: 'unknown'; readonly why: string };

const ELEMENTS: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];
const FORMS: readonly NitrogenForm[] = ['nitrate', 'ammoniacal', 'urea'];
/** Labels round, and guarantee no more than there is. */
const ROOM = 0.1;
const HALF_A_PLACE = 0.0005;
/** What was alive may hold so much of a major element that its analysis does not list. */
const MOST_UNLISTED = 0.03;
const BY_ORDER = 'the most is listed first';
const THE_WHOLE = 'all ingredients together are the bag';

/** What a kg of a material holds of an element, kg: what a grade means at its least, the total at its most. */
function contentOf(material: Material, element: Nutrient): Range {
  const holds = materialHolds(material, element);
  if (holds.kind === 'none') return { low: 0, mid: 0, high: 0 };
  if (holds.kind === 'amountUnknown') return { low: 0, mid: 0, high: MOST_UNLISTED };
  const { basis, percent } = holds.figure;
  const share = (n: number): number => n / 100 / compoundPerElement(basis);
  const available = libraryEntry(material.name)?.analysis.find((f) => f.analyte === element && f.extract);
  const least = available ? available.percent.low / 100 / compoundPerElement(available.basis) : share(percent.low);
  return { low: Math.min(least, share(percent.low)), mid: share(percent.mid), high: share(percent.high) };
}

const percentText = (share: number): string => `${formatTrimmed(share * 100, 3)} %`;
/** Rows that a declared share makes: the ingredients can reach it, and do not all exceed it. */
function declaredRows(name: string, declared: Range, contents: readonly Range[], reachable: boolean): readonly Row[] {
  const words = `${name}, declared ${percentText(declared.mid)}`;
  const most = declared.high * (1 + ROOM) + HALF_A_PLACE;
  const least = declared.low * (1 - ROOM) - HALF_A_PLACE;
  return [
    { name: words, coefficients: contents.map((c) => c.low), high: most },
    ...(reachable && least > 0 ? [{ name: words, coefficients: contents.map((c) => c.high), low: least }] : []),
  ];
}

/** Rows for the forms of nitrogen: only materials that bring a form can be behind it. */
function formRows(product: Product, materials: readonly Material[], complete: boolean): readonly Row[] {
  return FORMS.flatMap((form): readonly Row[] => {
    const reading = massFraction(product, `N.${form}`);
    if (reading.kind !== 'figure') return [];
    const contents = materials.map((m): Range => {
      const all = contentOf(m, 'N');
      if (!m.nitrogen.includes(form)) return { low: 0, mid: 0, high: 0 };
      return { ...all, low: m.nitrogen.length === 1 ? all.low : 0 };
    });
    return declaredRows(FORM_NAMES[form], reading.figure.value, contents, complete);
  });
}

/** What is usual of lists: the most stands first, and nothing is left out, such as water or a coating. */
interface Custom {
  readonly ordered: boolean;
  readonly whole: boolean;
}

function modelOf(product: Product, materials: readonly Material[], complete: boolean, custom: Custom): LinearModel {
  const elements = ELEMENTS.flatMap((element): readonly Row[] => {
    const reading = massFraction(product, element);
    if (reading.kind !== 'figure') return [];
    const contents = materials.map((m) => contentOf(m, element));
    return declaredRows(analyteName(element), reading.figure.value, contents, complete);
  });
  const order = materials.slice(1).map((_, i): Row => ({
    name: BY_ORDER,
    coefficients: materials.map((__, j) => (j === i ? 1 : j === i + 1 ? -1 : 0)),
    low: 0,
  }));
  const whole: Row = {
    name: THE_WHOLE,
    coefficients: materials.map(() => 1),
    high: 1,
    // What is not known by name may fill any part of the bag.
    ...(complete && custom.whole ? { low: 1 } : {}),
  };
  return {
    goal: 'least',
    columns: materials.map((m) => ({ name: m.name, cost: 0 })),
    rows: [...elements, ...formRows(product, materials, complete), ...(custom.ordered ? order : []), whole],
  };
}

/**
 * What is really in a bag that lists ingredients without shares: the least and the most of each that its analysis, its forms of nitrogen, the order of
 * listing and what each ingredient usually holds leave room for, each by a linear programme. Where nothing fits, what cannot hold together is told.
 * @example insideBag(bag of 5-3-4 from feather meal, bone meal and sulfate of potash, highs) // feather meal 18–38 %, …
 */
export function insideBag(product: Product, solver: LpSolver): InsideBag {
  const { known, complete } = readIngredients(product.derivedFrom);
  if (known.length < 2)
    return { kind: 'unknown', why: 'It takes two listed ingredients or more that are known by name.' };
  for (const custom of customsOf(product)) {
    const shares = boundsOf(modelOf(product, known, complete, custom), known, solver);
    if (!shares) continue;
    const givenUp = [...(custom.ordered ? [] : [BY_ORDER]), ...(custom.whole || isLiquid(product) ? [] : [THE_WHOLE])];
    return { kind: 'shares', shares, complete, givenUp };
  }
  const conflict = conflictSets(modelOf(product, known, complete, { ordered: false, whole: false }), solver, 1)[0];
  return conflict
    ? { kind: 'impossible', conflict: [...new Set(conflict)] }
    : { kind: 'unknown', why: 'The solver gave no answer.' };
}

/** Whether a bag lists several ingredients that are known by name, and nothing says yet what they weigh. */
export const leavesRoom = ({ inside, derivedFrom }: Product): boolean =>
  !inside && derivedFrom.length > 1 && readIngredients(derivedFrom).known.length > 1;

/**
 * A product with what its label leaves room for of each ingredient, for those that reckon with it; as it is where nothing can be told.
 * @example withInside(bag of feather and bone meal, highs).inside // [{ name: 'feather meal', low: 0.3, high: 0.45 }, …]
 */
export function withInside(product: Product, solver: LpSolver): Product {
  if (!leavesRoom(product)) return product;
  const found = insideBag(product, solver);
  return found.kind === 'shares'
    ? { ...product, inside: found.shares.map(({ material, low, high }) => ({ name: material.name, low, high })) }
    : product;
}

/** The water of a liquid is seldom listed. */
const isLiquid = ({ form }: Product): boolean => form === 'liquid';
/** Customs to hold a list to, the strictest first: the order by weight is no law everywhere, and a coating or a carrier may be left out. */
const customsOf = (product: Product): readonly Custom[] => {
  const whole = !isLiquid(product);
  return [
    { ordered: true, whole },
    { ordered: false, whole },
    { ordered: false, whole: false },
  ];
};

/** The least and the most of each ingredient; undefined where nothing fits. */
function boundsOf(
  model: LinearModel,
  materials: readonly Material[],
  solver: LpSolver,
): readonly InsideShare[] | undefined {
  const shares: InsideShare[] = [];
  for (const [at, material] of materials.entries()) {
    const [low, high] = (['least', 'most'] as const).map((goal) => {
      const columns = model.columns.map((c, j) => ({ ...c, cost: j === at ? 1 : 0 }));
      const found = solve({ ...model, goal, columns }, solver);
      return found.kind === 'optimal' ? (found.x[at] ?? 0) : undefined;
    });
    if (low === undefined || high === undefined) return undefined;
    shares.push({ material, low, high });
  }
  return shares;
}
