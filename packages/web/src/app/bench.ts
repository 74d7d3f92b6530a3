import { useMemo } from 'react';
import { MOST_ON_BENCH, type BenchKind, type BenchPlace, type RecipeRecord } from '@wheat-ledger/contract';
import { mixAsProduct, mixture, type Product } from '@wheat-ledger/core';
import { api, problemOf, useAgain, useRecords } from './api';
import { weighRecipe } from './recipes';
import { deskSlice } from './slices';
import { useAppDispatch, type AppThunk } from './store';
import { useShelf, useShelfWith, type ShelfProduct } from './workspace';

/** A bag or a recipe on the bench, as it is compared; `unknown` says why a recipe cannot be. */
export interface BenchItem extends BenchPlace {
  readonly name: string;
  readonly product: Product | undefined;
  readonly unknown: string | undefined;
}

const NONE: readonly never[] = [];
const NO_IDS: readonly string[] = [];

function recipeItem(place: BenchPlace, recipe: RecipeRecord, shelf: readonly ShelfProduct[]): BenchItem {
  const { id, name } = recipe;
  const read = weighRecipe(recipe, shelf);
  return read.kind === 'unknown'
    ? { ...place, name, product: undefined, unknown: read.why }
    : { ...place, name, product: mixAsProduct(id, name, mixture(read.components)), unknown: undefined };
}

/** What lies on the bench, in its order; `compared` are the products of what is not set aside. */
export function useBench() {
  const { pollingInterval, hear } = useAgain();
  const {
    data,
    isLoading: benchLoading,
    error,
  } = api.useBenchQuery(undefined, { refetchOnFocus: true, pollingInterval });
  hear(error);
  const places = data?.places ?? NONE;
  const holdsRecipes = places.some((p) => p.kind === 'recipe');
  const { records: recipes, isLoading: recipesLoading } = useRecords('recipe', { skip: !holdsRecipes });
  const { isLoading: shelfLoading } = useShelf();
  const inRecipes = useMemo(
    () => (holdsRecipes ? recipes.flatMap((r) => r.parts.map((p) => p.productId)) : NO_IDS),
    [holdsRecipes, recipes],
  );
  const { shelf } = useShelfWith(inRecipes);
  const isLoading = (benchLoading && error === undefined) || recipesLoading || shelfLoading;
  return useMemo(() => {
    const items = places.flatMap((place): BenchItem[] => {
      if (place.kind === 'recipe') {
        const recipe = recipes.find((r) => r.id === place.id);
        return recipe ? [recipeItem(place, recipe, shelf)] : [];
      }
      const bag = shelf.find((s) => s.record.id === place.id && s.record.deletedAt === null);
      return bag ? [{ ...place, name: bag.record.name, product: bag.product, unknown: undefined }] : [];
    });
    const compared = items.flatMap((item) => (item.aside || !item.product ? [] : [item.product]));
    return { items, compared, isLoading };
  }, [places, recipes, shelf, isLoading]);
}

/** One is sent after the other, each with the bench as it is by then. */
let sent: Promise<unknown> = Promise.resolve();

/** Changes the bench on screen at once, and lays it in the ledger. */
const layBench =
  (change: (places: readonly BenchPlace[]) => readonly BenchPlace[]): AppThunk =>
  (dispatch, getState) => {
    const read = api.endpoints.bench.select();
    dispatch(api.util.updateQueryData('bench', undefined, ({ places }) => ({ places: [...change(places)] })));
    sent = sent.then(async () => {
      const bench = read(getState()).data;
      if (!bench) return;
      const answer = await dispatch(api.endpoints.layBench.initiate(bench));
      if (answer.error)
        dispatch(
          deskSlice.actions.noticed({
            text: `The bench is not kept. ${problemOf(answer.error).detail}`,
            recordId: undefined,
          }),
        );
    });
  };

const without = (places: readonly BenchPlace[], id: string): readonly BenchPlace[] => places.filter((p) => p.id !== id);

/** What can be done to the bench. */
export function useBenchChanges(): {
  readonly toggle: (kind: BenchKind, id: string) => void;
  readonly setAside: (id: string) => void;
  readonly lay: (places: readonly BenchPlace[]) => void;
} {
  const dispatch = useAppDispatch();
  return useMemo(
    () => ({
      toggle: (kind, id) =>
        dispatch(
          layBench((places) => {
            const others = without(places, id);
            if (others.length < places.length || places.length >= MOST_ON_BENCH) return others;
            return [...places, { kind, id, aside: false }];
          }),
        ),
      setAside: (id) =>
        dispatch(layBench((places) => places.map((p) => (p.id === id ? { ...p, aside: !p.aside } : p)))),
      lay: (places) => dispatch(layBench(() => places)),
    }),
    [dispatch],
  );
}
