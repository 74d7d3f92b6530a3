import { assumption, product as times } from '../figure/index.js';
import { analyteName, compoundPerElement, type Nutrient } from '../nutrient/index.js';
import type { Range } from '../quantity/index.js';
import { entryOf } from './library/entries.js';
import { materialHolds } from './library/contents.js';
import { massFraction, type Reading } from './massFraction.js';
import { readIngredients, type Material } from './materials.js';
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

type Source = Pick<Product, 'analysis' | 'densityKgPerL' | 'derivedFrom'>;

/** A material's available share of its total of P or K; undefined where all of it is available or the library does not say. */
function sparingShare(material: Material, nutrient: Nutrient): (Range & { readonly available: Range }) | undefined {
  const lines = entryOf(material)?.analysis.filter((f) => f.analyte === nutrient) ?? [];
  const total = lines.find((f) => !f.extract)?.percent;
  const available = lines.find((f) => f.extract)?.percent;
  if (!total || !available || total.mid <= 0) return undefined;
  const share = (part: number): number => Math.min(1, part / total.mid);
  return { low: share(available.low), mid: share(available.mid), high: share(available.high), available };
}

const AS_OXIDE: Readonly<Partial<Record<Nutrient, number>>> = {
  P: compoundPerElement('P2O5'),
  K: compoundPerElement('K2O'),
};

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
  const extract = bestExtract(product.analysis, nutrient);
  if (extract && extract.value.kind !== 'below') {
    const reading = massFraction({ ...product, analysis: [extract] }, nutrient);
    return reading.kind === 'figure' ? { ...reading, counted: 'available' } : reading;
  }
  const reading = massFraction(product, nutrient);
  const perOxide = AS_OXIDE[nutrient];
  if (reading.kind !== 'figure' || perOxide === undefined) return withCounted(reading, 'declared');
  const provenance = reading.declared?.provenance ?? 'label';
  const { known, complete } = readIngredients(product.derivedFrom);
  const carriers = known.filter((m) => materialHolds(m, nutrient).kind === 'typical');
  const shares = carriers.flatMap((m) => sparingShare(m, nutrient) ?? []);
  if (!complete || carriers.length === 0) return withCounted(reading, provenance === 'measured' ? 'total' : 'declared');
  if (shares.length < carriers.length) return withCounted(reading, 'declared');
  const most = Math.max(...shares.map((s) => s.available.high));
  if (provenance === 'label' && reading.figure.value.mid * perOxide * 100 <= most)
    return withCounted(reading, 'declared');
  const share: Range = {
    low: Math.min(...shares.map((s) => s.low)),
    mid: shares.reduce((sum, s) => sum + s.mid, 0) / shares.length,
    high: Math.max(...shares.map((s) => s.high)),
  };
  const name = analyteName(nutrient);
  const usual = assumption(
    `share of its ${name} that is available`,
    share,
    'kg/kg',
    `typical of ${carriers.map((m) => m.name).join(' and ')}`,
  );
  const figure = times(`available ${name}, as ${nutrient}`, 'kg/kg', [reading.figure, usual]);
  return { kind: 'figure', figure, declared: reading.declared, counted: 'estimated' };
}

const withCounted = (reading: Reading, counted: Counted): Supply =>
  reading.kind === 'figure' ? { ...reading, counted } : reading;

const bestExtract = (analysis: readonly AnalysisFigure[], nutrient: Nutrient): AnalysisFigure | undefined =>
  nutrient === 'P' || nutrient === 'K' ? analysis.find((l) => l.analyte === nutrient && l.extract) : undefined;

/** The middle of the supply as a plain number for solvers: 0 where nothing is declared or it is below detection. Never shown as a figure of its own. */
export function midSupply(product: Source, nutrient: Nutrient): number {
  const supply = supplyFraction(product, nutrient);
  return supply.kind === 'figure' ? supply.figure.value.mid : 0;
}
