import type { RecipeRecord } from '@wheat-ledger/contract';
import { readParts, type Component } from '@wheat-ledger/core';
import type { ShelfProduct } from './workspace';

/** What a recipe weighs of which bag, or why that cannot be told. */
export type RecipeReading =
  | { readonly kind: 'components'; readonly components: readonly Component[] }
  | { readonly kind: 'unknown'; readonly why: string };

const notKnown = (why: string): RecipeReading => ({ kind: 'unknown', why });

/** The bags of a recipe with their weights; one that is not here, or whose parts have no weight, makes the whole not known. */
export function weighRecipe(recipe: RecipeRecord, shelf: readonly ShelfProduct[]): RecipeReading {
  const parts = recipe.parts.map(({ productId, parts: count }) => ({
    product: shelf.find((s) => s.record.id === productId)?.product,
    parts: count,
  }));
  const here = parts.flatMap(({ product, parts: count }) => (product ? [{ product, parts: count }] : []));
  if (here.length < parts.length) return notKnown(`A bag of ${recipe.name} is not here.`);
  const read = readParts(here, recipe.by);
  if (read.kind === 'needsDensity')
    return notKnown(`${recipe.name} is by volume, and ${read.products.join(' and ')} has no density.`);
  const components = read.components.filter((c) => c.kg > 0);
  return components.length > 0 ? { kind: 'components', components } : notKnown(`${recipe.name} has no parts yet.`);
}
