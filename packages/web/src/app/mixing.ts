import type { RecipeRecord } from '@wheat-ledger/contract';
import { mixAsProduct, mixture, type Product } from '@wheat-ledger/core';
import { weighRecipe } from './recipes';
import type { ShelfProduct } from './workspace';

interface Mixed {
  readonly product: Product | undefined;
  /** Why there is none. */
  readonly unknown: string | undefined;
}

/** Made once for all that show a recipe, and again where it or the shelf changed. */
const made = new WeakMap<RecipeRecord, { readonly shelf: readonly ShelfProduct[]; readonly mixed: Mixed }>();

function mix(recipe: RecipeRecord, shelf: readonly ShelfProduct[]): Mixed {
  const read = weighRecipe(recipe, shelf);
  return read.kind === 'unknown'
    ? { product: undefined, unknown: read.why }
    : { product: mixAsProduct(recipe.id, recipe.name, mixture(read.components)), unknown: undefined };
}

/** A recipe as a bag among bags, or why it cannot be one. */
export function asMix(recipe: RecipeRecord, shelf: readonly ShelfProduct[]): Mixed {
  const known = made.get(recipe);
  if (known?.shelf === shelf) return known.mixed;
  const mixed = mix(recipe, shelf);
  made.set(recipe, { shelf, mixed });
  return mixed;
}
