import {
  computed,
  constant,
  identified,
  literal,
  product as times,
  PROVENANCES,
  sum,
  type Figure,
} from '../figure/index.js';
import {
  analyteName,
  compoundPerElement,
  elementOf,
  formulaText,
  NITROGEN_FORMS,
  symbolIn,
  type Analyte,
  type Basis,
  type Nutrient,
} from '../nutrient/index.js';
import { declaredRange, divideRanges, measure, ofWhat, per, scaleRange, type Range } from '../quantity/index.js';
import { densityFigure, densityRange } from './density.js';
import { coatedIsOwnPart } from './nitrogenForms.js';
import type { AnalysisFigure, AnalysisUnit, Product } from './product.js';

/** What a product says of an analyte, as mass of the element per mass of product. */
export type Reading =
  | { readonly kind: 'figure'; readonly figure: Figure; readonly declared: AnalysisFigure | undefined }
  | { readonly kind: 'below'; readonly limit: Figure; readonly declared: AnalysisFigure }
  | { readonly kind: 'needsDensity'; readonly declared: AnalysisFigure }
  | { readonly kind: 'notDeclared' };

type Source = Pick<Product, 'analysis' | 'densityKgPerL'> & { readonly id?: string };

/** How much of the whole one of each unit is; kg/L for those per volume. */
export const UNIT_FACTOR: Readonly<Record<AnalysisUnit, number>> = {
  '%': 0.01,
  'g/kg': 1e-3,
  'mg/kg': 1e-6,
  '% w/v': 0.01,
  'g/L': 1e-3,
};
export const isPerVolume = (unit: AnalysisUnit): boolean => unit === '% w/v' || unit === 'g/L';

/** The most trusted line for an analyte: a total before what only an extract holds, then measured before label before published before typical before guess. */
export function bestLine(analysis: readonly AnalysisFigure[], analyte: Analyte): AnalysisFigure | undefined {
  let best: AnalysisFigure | undefined;
  for (const line of analysis) if (line.analyte === analyte && (!best || rankOf(line) < rankOf(best))) best = line;
  return best;
}

const rankOf = ({ extract, provenance }: AnalysisFigure): number =>
  (extract ? PROVENANCES.length : 0) + PROVENANCES.indexOf(provenance);

const perElement = (line: AnalysisFigure): number => UNIT_FACTOR[line.unit] / compoundPerElement(line.basis);

/** A line as mass of its element per mass of product, as a plain range; a volume without a density is taken as water. */
export function elementRange(line: AnalysisFigure, product: Pick<Product, 'densityKgPerL'>): Range {
  const perUnit = scaleRange(declaredRange(line.value), perElement(line));
  const density = isPerVolume(line.unit) ? densityRange(product) : undefined;
  return (density && divideRanges(perUnit, density)) ?? perUnit;
}

/** A line as mass of its element per mass of product. */
export function elementFigure(line: AnalysisFigure, product: Omit<Source, 'analysis'>): Figure {
  const element = elementOf(line.analyte);
  const name = analyteName(line.analyte);
  const id = product.id ? `${product.id} ${line.analyte} ${line.basis} ${line.extract ?? ''}` : '';
  const declared = identified(
    literal(
      `declared ${line.extract ? 'available (extract) ' : ''}${name}${line.basis === 'element' ? '' : ` as ${formulaText(line.basis)}`}`,
      declaredRange(line.value),
      line.unit,
      line.provenance,
      line.source,
    ),
    id,
  );
  const each = perElement(line);
  const basisWords =
    line.basis === 'element'
      ? ''
      : `; ${element} is 1/${compoundPerElement(line.basis).toFixed(4)} of ${formulaText(line.basis)} (atomic weights)`;
  if (!isPerVolume(line.unit))
    return computed(
      `${name}, as ${element}`,
      elementRange(line, product),
      'kg/kg',
      'toFraction',
      `${line.unit} as a fraction by mass${basisWords}`,
      [declared],
      { scale: each, of: [1] },
    );
  const density = densityFigure(product) ?? constant('density', 1, 'kg/L', 'not entered: taken as water');
  return computed(
    `${name}, as ${element}`,
    elementRange(line, product),
    'kg/kg',
    'perVolumeToFraction',
    `mass per litre ÷ density${basisWords}`,
    [declared, density],
    { scale: each, of: [1, -1] },
  );
}

/** Total N when only its forms are declared. A coated footnote is part of the forms; a coated part of its own counts with them. */
function nitrogenFromForms(product: Source): Reading {
  const parts = NITROGEN_FORMS.filter((form) => form !== 'coated' || coatedIsOwnPart(product))
    .map((form) => massFraction(product, `N.${form}`))
    .filter((reading) => reading.kind === 'figure')
    .map((reading) => reading.figure);
  return parts.length === 0
    ? { kind: 'notDeclared' }
    : { kind: 'figure', figure: sum('nitrogen, sum of its declared forms', 'kg/kg', parts), declared: undefined };
}

/**
 * The one door through which everything downstream reads an analysis: the mass fraction of an analyte, as its
 * element, with its range, whatever unit and basis it was declared in.
 *
 * @param product its analysis lines and density
 * @param analyte an element's total, or a form of nitrogen
 * @param line the line to read; the most trusted unless said
 * @returns a figure in kg of element per kg of product; or that it is below detection, not declared, or needs a density
 * @example massFraction(bag, 'P') // 8 % P2O5 → figure 0.0349 kg/kg
 */
export function massFraction(
  product: Source,
  analyte: Analyte,
  line: AnalysisFigure | undefined = bestLine(product.analysis, analyte),
): Reading {
  if (!line) return analyte === 'N' ? nitrogenFromForms(product) : { kind: 'notDeclared' };
  if (isPerVolume(line.unit) && product.densityKgPerL === undefined) return { kind: 'needsDensity', declared: line };
  const figure = elementFigure(line, product);
  return line.value.kind === 'below'
    ? { kind: 'below', limit: figure, declared: line }
    : { kind: 'figure', figure, declared: line };
}

/** A fraction of element restated in a basis. @example inBasis(fractionP, 'P', 'P2O5') */
export const inBasis = (fraction: Figure, nutrient: Nutrient, basis: Basis): Figure =>
  basis === 'element'
    ? fraction
    : times(`${analyteName(nutrient)} as ${symbolIn(nutrient, basis)}`, 'kg/kg', [
        fraction,
        constant(
          `${formulaText(basis)} per ${nutrient}`,
          compoundPerElement(basis),
          per(ofWhat(measure('kg'), formulaText(basis)), ofWhat(measure('kg'), nutrient)),
          'standard atomic weights',
        ),
      ]);

/**
 * The middle of a fraction as a plain number for solvers and plots: 0 where nothing is declared or it is below detection.
 * Never shown as a figure of its own.
 */
export function midFraction(product: Source, analyte: Analyte): number {
  const reading = massFraction(product, analyte);
  return reading.kind === 'figure' ? reading.figure.value.mid : 0;
}

/** The elements a product declares a usable amount of, as declared. */
export function declaredNutrients(product: Source): readonly Nutrient[] {
  const found = new Set<Nutrient>();
  for (const line of product.analysis)
    if (line.value.kind !== 'below' && declaredRange(line.value).high > 0) found.add(elementOf(line.analyte));
  return [...found];
}
