import { basesOf, type Analyte, type Basis } from '../../nutrient/index.js';
import type { AnalysisUnit } from '../product.js';
import { subjectOf, tokenize, printedLine, type NutrientSubject, type Subject } from '../../reading/index.js';

/** A nutrient that a label can declare, in its basis. */
export interface NamedAnalyte {
  readonly analyte: Analyte;
  readonly basis: Basis;
}

/** The analyte that a name of a nutrient stands for. @example analyteOf(nitrate) // { analyte: 'N.nitrate', basis: 'element' } */
export function analyteOf({ element, form, basis }: NutrientSubject): NamedAnalyte {
  const analyte: Analyte = form === undefined ? element : `N.${form}`;
  return { analyte, basis: basesOf(analyte).includes(basis) ? basis : 'element' };
}

const isNutrient = (subject: Subject | undefined): subject is NutrientSubject => subject?.kind === 'nutrient';

/** The analyte that words name, or undefined. @example analyteNamed('Available Phosphate (P2O5)') // P as P2O5 */
export function analyteNamed(text: string): NamedAnalyte | undefined {
  const subject = subjectOf(tokenize(printedLine(text)));
  return isNutrient(subject) ? analyteOf(subject) : undefined;
}

const CELL_UNITS: readonly AnalysisUnit[] = ['%', 'g/kg', 'mg/kg', '% w/v', 'g/L'];
/**
 * A figure of a table's cell with the unit that stands in it; a cell without one is given back as it is.
 * @example figureInCell('12 %') // { value: '12', unit: '%' }
 */
export function figureInCell(cell: string): { readonly value: string; readonly unit: AnalysisUnit | undefined } {
  const text = printedLine(cell).trim();
  const last = tokenize(text).at(-1);
  const unit = last?.kind === 'content' && last.factor === 1 ? CELL_UNITS.find((u) => u === last.unit) : undefined;
  const value = unit === undefined ? '' : text.slice(0, last?.start).trim();
  return /[\d)]$/.test(value) ? { value, unit } : { value: cell.trim(), unit: undefined };
}
