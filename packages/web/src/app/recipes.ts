import { toOnePart, type RecipeRecord } from '@wheat-ledger/contract';
import { readParts, type Component } from '@wheat-ledger/core';
import type { ShelfProduct } from './workspace';

/** What a recipe weighs of which bag, or why that cannot be told. */
export type RecipeReading =
  | { readonly kind: 'components'; readonly components: readonly Component[] }
  | { readonly kind: 'unknown'; readonly why: string };

const notKnown = (why: string): RecipeReading => ({ kind: 'unknown', why });

/** The bags of a recipe with their weights; one that is not here, or whose parts have no weight, makes the whole not known. */
export function weighRecipe(recipe: RecipeRecord, shelf: readonly ShelfProduct[]): RecipeReading {
  const parts = recipe.parts.map(({ productId, parts: count, unit }) => ({
    product: shelf.find((s) => s.record.id === productId)?.product,
    parts: count,
    unit,
  }));
  const here = parts.flatMap(({ product, ...part }) => (product ? [{ product, ...part }] : []));
  if (here.length < parts.length) return notKnown(`A bag of ${recipe.name} is not here.`);
  const read = readParts(here, recipe.by, toOnePart(recipe.onePart));
  if (read.kind === 'needsPart') return notKnown(`Nobody said what one part of ${recipe.name} is.`);
  if (read.kind === 'needsDensity')
    return notKnown(`A part of ${recipe.name} is by volume, and ${read.products.join(' and ')} has no density.`);
  const components = read.components.filter((c) => c.kg > 0);
  return components.length > 0 ? { kind: 'components', components } : notKnown(`${recipe.name} has no parts yet.`);
}
