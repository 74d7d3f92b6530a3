import type { Product } from '../shelf/index.js';

/** What is given: a bag, or the bags of a recipe by their shares of its mass, which add to 1. Plain water has no parts. */
export interface Given {
  readonly name: string;
  readonly parts: readonly { readonly product: Product; readonly share: number }[];
}
export const bagAs = (product: Product): Given => ({ name: product.name, parts: [{ product, share: 1 }] });
export const PLAIN_WATER: Given = { name: 'Plain water', parts: [] };
