import { NITROGEN_FORMS } from '../nutrient/index.js';
import { declaredRange } from '../quantity/index.js';
import type { Product } from './product.js';

/**
 * Whether coated nitrogen stands beside the other forms as a part of its own, as in "urea N 4 %, coated urea N 12 %", or is a footnote on them,
 * as in "urea N 12 %*; *10 % slowly available". The declared total decides; without one, a footnote cannot be more than what it is about.
 * @example coatedIsOwnPart({ analysis: [total16, urea4, coated12] }) // true
 */
export function coatedIsOwnPart({ analysis }: Pick<Product, 'analysis'>): boolean {
  const amount = (analyte: string): number => {
    const line = analysis.find((l) => l.analyte === analyte && l.value.kind !== 'below');
    return line ? declaredRange(line.value).mid : 0;
  };
  const coated = amount('N.coated');
  if (coated <= 0) return false;
  const others = NITROGEN_FORMS.filter((form) => form !== 'coated').reduce((s, form) => s + amount(`N.${form}`), 0);
  const total = amount('N');
  if (total > 0) return Math.abs(others + coated - total) < Math.abs(others - total);
  return coated > others;
}
