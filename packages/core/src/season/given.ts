import type { Product } from '../shelf/index.js';

/** What is given: a bag, or the bags of a recipe by their shares of its mass, which add to 1. Plain water has no parts. */
export interface Given {
  readonly name: string;
  readonly parts: readonly { readonly product: Product; readonly share: number }[];
  /** Why it is not known what is in it; its parts are then none, which is not the same as nothing. */
  readonly unknown?: string | undefined;
}
export const bagAs = (product: Product): Given => ({ name: product.name, parts: [{ product, share: 1 }] });
export const PLAIN_WATER: Given = { name: 'Plain water', parts: [] };
