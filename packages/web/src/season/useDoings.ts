import { useMemo } from 'react';
import { recipeAs, toApplication, type ApplicationInput, type RecipeRecord } from '@wheat-ledger/contract';
import { bagAs, PLAIN_WATER, readParts, type Doing, type Given } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useShelfWith, type ShelfProduct } from '../app/workspace';

const notKnown = (name: string, unknown: string): Given => ({ name, parts: [], unknown });

/** The bags of a recipe by their shares; one that is not here, or whose parts have no weight, makes the whole not known. */
function recipeGiven(recipe: RecipeRecord, shelf: readonly ShelfProduct[]): Given {
  const parts = recipe.parts.map(({ productId, parts: count }) => ({
    product: shelf.find((s) => s.record.id === productId)?.product,
    parts: count,
  }));
  const here = parts.flatMap(({ product, parts: count }) => (product ? [{ product, parts: count }] : []));
  if (here.length < parts.length) return notKnown(recipe.name, `A bag of ${recipe.name} is not here.`);
  const read = readParts(here, recipe.by);
  if (read.kind === 'needsDensity')
    return notKnown(recipe.name, `${recipe.name} is by volume, and ${read.products.join(' and ')} has no density.`);
  const given = recipeAs(recipe.name, read.components);
  return given.parts.length > 0 ? given : notKnown(recipe.name, `${recipe.name} has no parts yet.`);
}

/** What an application gives: its bag, the bags of its recipe, or water. */
function givenBy(
  { what, productId, recipeId }: ApplicationInput,
  shelf: readonly ShelfProduct[],
  recipes: readonly RecipeRecord[],
): Given {
  if (what === 'water') return PLAIN_WATER;
  if (what === 'product') {
    const product = shelf.find((s) => s.record.id === productId)?.product;
    return product ? bagAs(product) : notKnown('A bag that is not here', 'The bag is not here.');
  }
  const recipe = recipes.find((r) => r.id === recipeId);
  return recipe ? recipeGiven(recipe, shelf) : notKnown('A recipe that is not here', 'The recipe is not here.');
}

/** Applications as the core reckons them, with the bags and recipes they give. */
export function useDoings(applications: readonly ApplicationInput[]): {
  readonly doings: readonly Doing[];
  readonly shelf: readonly ShelfProduct[];
  readonly recipes: readonly RecipeRecord[];
  readonly isLoading: boolean;
} {
  const { records: recipes, isLoading: recipesLoading } = useRecords('recipe');
  const used = useMemo(
    () => [
      ...applications.flatMap((a) => a.productId ?? []),
      ...applications.flatMap((a) => recipes.find((r) => r.id === a.recipeId)?.parts.map((p) => p.productId) ?? []),
    ],
    [applications, recipes],
  );
  const { shelf, isLoading } = useShelfWith(used);
  const doings = useMemo(
    () => applications.map((a): Doing => ({ application: toApplication(a), given: givenBy(a, shelf, recipes) })),
    [applications, shelf, recipes],
  );
  return { doings, shelf, recipes, isLoading: isLoading || recipesLoading };
}
