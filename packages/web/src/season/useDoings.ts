import { useMemo } from 'react';
import { recipeAs, toApplication, type ApplicationInput, type RecipeRecord } from '@wheat-ledger/contract';
import { bagAs, PLAIN_WATER, readParts, type Doing, type Given } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useShelfWith, type ShelfProduct } from '../app/workspace';

/** What an application gives: its bag, the bags of its recipe, or water. What is not here any more gives nothing that is known. */
function givenBy(
  { what, productId, recipeId }: ApplicationInput,
  shelf: readonly ShelfProduct[],
  recipes: readonly RecipeRecord[],
): Given {
  if (what === 'water') return PLAIN_WATER;
  const bag = (id: string | undefined) => shelf.find((s) => s.record.id === id)?.product;
  if (what === 'product') {
    const product = bag(productId);
    return product ? bagAs(product) : { name: 'A bag that is not here', parts: [] };
  }
  const recipe = recipes.find((r) => r.id === recipeId);
  if (!recipe) return { name: 'A recipe that is not here', parts: [] };
  const parts = recipe.parts.flatMap((p) => {
    const product = bag(p.productId);
    return product ? [{ product, parts: p.parts }] : [];
  });
  const read = readParts(parts, recipe.by);
  return recipeAs(recipe.name, read.kind === 'components' ? read.components : []);
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
