import { assumption, identified, literal, type Figure } from '../figure/index.js';
import { exact, type Range } from '../quantity/index.js';
import type { Product } from './product.js';

/** What a density is read from; with an id it is the same quantity wherever it is read. */
type Dense = Pick<Product, 'densityKgPerL'> & { readonly id?: string };

/** A product's bulk density as a figure in kg/L; undefined when it is not known. */
export function densityFigure({ id = '', densityKgPerL }: Dense): Figure | undefined {
  if (densityKgPerL === undefined) return undefined;
  return typeof densityKgPerL === 'number'
    ? literal('density', densityKgPerL, 'kg/L', 'label', 'product record')
    : identified(assumption('density', densityKgPerL, 'kg/L', 'typical of the material'), id && `${id} density`);
}

/** The same as a plain range. */
export const densityRange = ({ densityKgPerL }: Pick<Product, 'densityKgPerL'>): Range | undefined =>
  typeof densityKgPerL === 'number' ? exact(densityKgPerL) : densityKgPerL;

/** The middle of it, for plain sums; undefined when it is not known. */
export const densityMid = (product: Pick<Product, 'densityKgPerL'>): number | undefined => densityRange(product)?.mid;
