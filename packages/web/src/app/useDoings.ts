import { useMemo } from 'react';
import {
  recipeAs,
  toApplication,
  type ApplicationInput,
  type PlotRecord,
  type ProgrammeRecord,
  type RecipeRecord,
  toDosedPlot,
} from '@wheat-ledger/contract';
import {
  bagAs,
  computeProgramme,
  PLAIN_WATER,
  siteSoilTemperature,
  type ComputedProgramme,
  type Doing,
  type Given,
} from '@wheat-ledger/core';
import { useRecords } from './api';
import { weighRecipe } from './recipes';
import { useSiteIn, type ChosenSeason } from './seasons';
import { useInside } from './useInside';
import { useShelfWith, type ShelfProduct } from './workspace';

const notKnown = (name: string, unknown: string): Given => ({ name, parts: [], unknown });

/** The bags of a recipe by their shares. */
function recipeGiven(recipe: RecipeRecord, shelf: readonly ShelfProduct[]): Given {
  const read = weighRecipe(recipe, shelf);
  return read.kind === 'unknown' ? notKnown(recipe.name, read.why) : recipeAs(recipe.name, read.components);
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

/** Applications as the core works with them, with the bags and recipes they give. */
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
  const { shelf: kept, isLoading } = useShelfWith(used);
  const given = useInside(
    useMemo(() => kept.filter((s) => used.includes(s.record.id)).map((s) => s.product), [kept, used]),
  );
  const shelf = useMemo(
    () =>
      kept.map((s) => {
        const product = given.find((p) => p.id === s.record.id);
        return product && product !== s.product ? { ...s, product } : s;
      }),
    [kept, given],
  );
  const doings = useMemo(
    () => applications.map((a): Doing => ({ application: toApplication(a), given: givenBy(a, shelf, recipes) })),
    [applications, shelf, recipes],
  );
  return { doings, shelf, recipes, isLoading: isLoading || recipesLoading };
}

const YEAR = 366;
/** A programme in numbers on its plot and season: each row, its days, and what all of it brings. */
export function useProgrammeNumbers(
  plot: PlotRecord,
  open: ChosenSeason,
  programme: ProgrammeRecord,
): ComputedProgramme {
  const { doings } = useDoings(programme.applications);
  const site = useSiteIn(plot, open);
  return useMemo(() => {
    const warmth = siteSoilTemperature(site, open.season.from, YEAR);
    return computeProgramme(doings, toDosedPlot(plot), open.season, warmth);
  }, [doings, plot, site, open]);
}
