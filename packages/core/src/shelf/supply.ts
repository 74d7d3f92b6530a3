import { assumption, identified, product as times } from '../figure/index.js';
import { analyteName, compoundPerElement, NITROGEN_FORMS, type Nutrient } from '../nutrient/index.js';
import { addRanges, multiplyRanges, type Range } from '../quantity/index.js';
import { materialHolds } from './library/contents.js';
import { entryOf } from './library/entries.js';
import { bestLine, elementRange, isPerVolume, massFraction, type Reading } from './massFraction.js';
import { readIngredients, type Material } from './materials.js';
import { coatedIsOwnPart } from './nitrogenForms.js';
import type { AnalysisFigure, Product } from './product.js';

/**
 * What a supply counts: the declared figure, which in a grade is available phosphate and soluble potash; an extract's figure; a share of a total
 * estimated from what the material usually gives; or a total, since nobody says what of it is available.
 */
export type Counted = 'declared' | 'available' | 'estimated' | 'total';
export type Supply =
  (Extract<Reading, { kind: 'figure' }> & { readonly counted: Counted }) | Exclude<Reading, { kind: 'figure' }>;

export const COUNTED_WORDS: Readonly<Record<Counted, string>> = {
  declared: '',
  available: 'available, by extract',
  estimated: 'available share, typical of the material',
  total: 'total, not what is available',
};

type Source = Pick<Product, 'analysis' | 'densityKgPerL' | 'derivedFrom'> & { readonly id?: string };

/** Which line of an analysis supplies an element, what of it counts, and the share of it that is available where it is a total. */
interface Choice {
  readonly line: AnalysisFigure | undefined;
  readonly counted: Counted;
  readonly share?: Range;
  readonly from?: readonly Material[];
}

/** A material's available share of its total of P or K; undefined where all of it is available or the library does not say. */
function sparingShare(material: Material, nutrient: Nutrient): (Range & { readonly available: Range }) | undefined {
  const lines = entryOf(material)?.analysis.filter((f) => f.analyte === nutrient) ?? [];
  const total = lines.find((f) => !f.extract)?.percent;
  const available = lines.find((f) => f.extract)?.percent;
  if (!total || !available || total.mid <= 0) return undefined;
  const share = (part: number): number => Math.min(1, part / total.mid);
  return { low: share(available.low), mid: share(available.mid), high: share(available.high), available };
}

const OXIDE = { P: 'P2O5', K: 'K2O' } as const;

function choose(product: Source, nutrient: Nutrient): Choice {
  const line = bestLine(product.analysis, nutrient);
  if ((nutrient !== 'P' && nutrient !== 'K') || !line) return { line, counted: 'declared' };
  const extract = product.analysis.find((l) => l.analyte === nutrient && l.extract);
  if (extract) return { line: extract, counted: 'available' };
  if (line.value.kind === 'below') return { line, counted: 'declared' };
  const { known, complete } = readIngredients(product.derivedFrom);
  const carriers = known.filter((m) => materialHolds(m, nutrient).kind === 'typical');
  if (!complete || carriers.length === 0)
    return { line, counted: line.provenance === 'measured' ? 'total' : 'declared' };
  const shares = carriers.flatMap((m) => sparingShare(m, nutrient) ?? []);
  if (shares.length < carriers.length) return { line, counted: 'declared' };
  const most = Math.max(...shares.map((s) => s.available.high));
  const percent = 100 * elementRange(line, product).mid * compoundPerElement(OXIDE[nutrient]);
  if (line.provenance === 'label' && percent <= most) return { line, counted: 'declared' };
  const share: Range = {
    low: Math.min(...shares.map((s) => s.low)),
    mid: shares.reduce((sum, s) => sum + s.mid, 0) / shares.length,
    high: Math.max(...shares.map((s) => s.high)),
  };
  return { line, counted: 'estimated', share, from: carriers };
}

/**
 * The fraction of a product that supplies an element: what price, mix, dose and claims count. Of phosphorus and potassium it is the available
 * part, as a grade means it; a total far above what is available never passes for it.
 *
 * An extract's figure comes first. A label's figure is available as it stands, unless it can only be the total of a sparingly soluble material;
 * then, and for typical figures, the material's usual available share is taken of it. A measured total of nobody knows what stays a total, and says so.
 * @returns kg of element per kg of product, with what was counted
 * @example supplyFraction(rockPhosphate, 'P') // 28 % P2O5 total, about a tenth of it counted: 'estimated'
 */
export function supplyFraction(product: Source, nutrient: Nutrient): Supply {
  const { line, counted, share, from = [] } = choose(product, nutrient);
  const reading = massFraction(product, nutrient, line);
  if (reading.kind !== 'figure') return reading;
  if (!share) return { ...reading, counted };
  const name = analyteName(nutrient);
  const usual = identified(
    assumption(
      `share of its ${name} that is available`,
      share,
      'kg/kg',
      `typical of ${from.map((m) => m.name).join(' and ')}`,
    ),
    product.id ? `${product.id} available ${nutrient}` : '',
  );
  const figure = times(`available ${name}, as ${nutrient}`, 'kg/kg', [reading.figure, usual]);
  return { kind: 'figure', figure, declared: reading.declared, counted };
}

export type SupplyRange =
  | { readonly kind: 'range'; readonly value: Range; readonly counted: Counted }
  | { readonly kind: 'notDeclared' | 'belowDetection' | 'needsDensity' };

/** The same as plain numbers, for lists and searches. */
export function supplyRange(product: Source, nutrient: Nutrient): SupplyRange {
  const { line, counted, share } = choose(product, nutrient);
  if (!line) return nutrient === 'N' ? nitrogenOfForms(product) : { kind: 'notDeclared' };
  if (isPerVolume(line.unit) && product.densityKgPerL === undefined) return { kind: 'needsDensity' };
  if (line.value.kind === 'below') return { kind: 'belowDetection' };
  const value = elementRange(line, product);
  return { kind: 'range', value: share ? multiplyRanges(value, share) : value, counted };
}

function nitrogenOfForms(product: Source): SupplyRange {
  const forms = NITROGEN_FORMS.filter((form) => form !== 'coated' || coatedIsOwnPart(product));
  const values = forms.flatMap((form): Range[] => {
    const line = bestLine(product.analysis, `N.${form}`);
    const readable =
      line && line.value.kind !== 'below' && !(isPerVolume(line.unit) && product.densityKgPerL === undefined);
    return readable ? [elementRange(line, product)] : [];
  });
  const [first, ...rest] = values;
  return first ? { kind: 'range', value: rest.reduce(addRanges, first), counted: 'declared' } : { kind: 'notDeclared' };
}

/** The middle of the supply as a plain number for solvers: 0 where nothing is declared or it is below detection. Never shown as a figure of its own. */
export function midSupply(product: Source, nutrient: Nutrient): number {
  const supply = supplyRange(product, nutrient);
  return supply.kind === 'range' ? supply.value.mid : 0;
}
