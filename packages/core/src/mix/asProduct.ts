import type { Figure } from '../figure/index.js';
import { FORM_NAMES, type NitrogenForm } from '../nutrient/index.js';
import { addRanges, exact, plainAmount, scaleRange, type DeclaredValue, type Range } from '../quantity/index.js';
import {
  massFraction,
  readIngredients,
  type AnalysisFigure,
  type InsideBound,
  type Offer,
  type Product,
} from '../shelf/index.js';
import type { Mixture } from './mixture.js';

/** As many digits as a label could ever stand for. */
const written = (percent: number): number => Number(percent.toPrecision(6));
const asValue = ({ low, mid, high }: Range): DeclaredValue =>
  low === high
    ? { kind: 'number', value: written(mid) }
    : { kind: 'range', low: written(low), mid: written(mid), high: written(high) };

const line = (analyte: AnalysisFigure['analyte'], basis: AnalysisFigure['basis'], percent: Range): AnalysisFigure => ({
  analyte,
  basis,
  value: asValue(percent),
  unit: '%',
  provenance: 'typical',
  source: 'worked out from its parts',
});

/** kg of it per kg of a product; none where it is not declared. */
const shareOf = (product: Product, analyte: AnalysisFigure['analyte']): Range => {
  const reading = massFraction(product, analyte);
  return reading.kind === 'figure' ? reading.figure.value : exact(0);
};

const FORMS = Object.keys(FORM_NAMES) as readonly NitrogenForm[];

/** The mix's nitrogen by form, when every part that brings nitrogen says its forms; otherwise none: a form nobody names is not zero. */
function formsOf({ components, totalKg }: Mixture): readonly AnalysisFigure[] {
  const withNitrogen = components.filter(({ product }) => shareOf(product, 'N').mid > 0);
  const saysForms = (product: Product): boolean => FORMS.some((form) => shareOf(product, `N.${form}`).mid > 0);
  if (!withNitrogen.every(({ product }) => saysForms(product))) return [];
  return FORMS.flatMap((form) => {
    const percent = withNitrogen
      .map(({ product, kg }) => scaleRange(shareOf(product, `N.${form}`), (kg / totalKg) * 100))
      .reduce(addRanges, exact(0));
    return percent.mid > 0 ? [line(`N.${form}`, 'element', percent)] : [];
  });
}

const offerOf = (cost: Figure | undefined, currency: string | undefined): readonly Offer[] =>
  cost && currency
    ? [{ size: 1, unit: 'kg', price: { amount: plainAmount(cost.value.mid.toFixed(4)), currency }, seenOn: undefined }]
    : [];

/** What a bag's ingredients weigh in it: all of it where there is one, else what was worked out; undefined where that is not known. */
function insideOf({ derivedFrom, inside }: Product): readonly InsideBound[] | undefined {
  if (inside) return inside;
  const { known, complete } = readIngredients(derivedFrom);
  const [only, other] = known;
  return complete && only && !other ? [{ name: only.name, low: 1, high: 1 }] : undefined;
}

/** What the ingredients of all parts weigh in a mix; undefined where one part's are not known. */
function insideMix({ components, totalKg }: Mixture): readonly InsideBound[] | undefined {
  const shares = new Map<string, InsideBound>();
  for (const { product, kg } of components) {
    const inside = insideOf(product);
    if (!inside) return undefined;
    for (const { name, low, high } of inside) {
      const before = shares.get(name) ?? { name, low: 0, high: 0 };
      const share = kg / totalKg;
      shares.set(name, { name, low: before.low + low * share, high: before.high + high * share });
    }
  }
  return [...shares.values()];
}

/**
 * A mix as a bag among bags: its analysis, what its parts cost, and what it is made of, the most first. Its price is per kg of mix, bought as its
 * parts are.
 * @param id under which it is compared
 * @example mixAsProduct('r1', 'Spring feed', mixture([{ product: urea, kg: 1 }, { product: gypsum, kg: 1 }])) // 23 % N, …
 */
export function mixAsProduct(id: string, name: string, mix: Mixture): Product {
  const byMass = [...mix.components].sort((a, b) => b.kg - a.kg).map(({ product }) => product);
  const coated = byMass.flatMap((p) => p.longevity ?? []);
  return {
    id,
    name,
    form: 'bulk',
    densityKgPerL: undefined,
    grade: undefined,
    analysis: [...mix.analysis.map((n) => line(n.nutrient, n.basis, n.percent.value)), ...formsOf(mix)],
    derivedFrom: [...new Set(byMass.flatMap((p) => p.derivedFrom))],
    inside: insideMix(mix),
    offers: offerOf(mix.costPerKg, mix.currency),
    directions: [],
    longevity: coated.length === 1 ? coated[0] : undefined,
    carbonToNitrogen: byMass.length === 1 ? byMass[0]?.carbonToNitrogen : undefined,
  };
}
