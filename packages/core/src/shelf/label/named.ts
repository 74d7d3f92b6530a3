import type { Analyte, Basis } from '../../nutrient/index.js';

/** What a name on a label stands for. `partOnly` names a share of a nutrient that is already counted in its total, where that stands. */
export type NamedAnalyte =
  | { readonly kind: 'analyte'; readonly analyte: Analyte; readonly basis: Basis; readonly partOnly?: true }
  /** A salt by its name: what of it is the element depends on its formula and its water. */
  | { readonly kind: 'salt' }
  /** A word for the oxide beside the symbol of the element: it could be either, more than twice apart for P. */
  | { readonly kind: 'either'; readonly of: string }
  | { readonly kind: 'protein' }
  /** What an acid test finds of lime: CaCO₃ equivalent, no calcium. */
  | { readonly kind: 'liming' }
  | { readonly kind: 'moisture' }
  | { readonly kind: 'dryMatter' };

/** A nutrient in its basis. */
export const is = (analyte: Analyte, basis: Basis = 'element'): NamedAnalyte => ({ kind: 'analyte', analyte, basis });
