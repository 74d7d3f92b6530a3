import { useMemo } from 'react';
import { MOST_ON_BENCH, type BenchKind, type BenchPlace } from '@wheat-ledger/contract';
import type { Product } from '@wheat-ledger/core';
import { useFetched } from '../ui/useFetched';
import { api, problemOf, useAgain, useRecords } from './api';
import { deskSlice } from './slices';
import { useAppDispatch, type AppThunk } from './store';
import { useShelf, useShelfWith } from './workspace';

/** A bag or a recipe on the bench, as it is compared; `unknown` says why a recipe cannot be. */
export interface BenchItem extends BenchPlace {
  readonly name: string;
  readonly product: Product | undefined;
  readonly unknown: string | undefined;
}

const NONE: readonly never[] = [];
const NO_IDS: readonly string[] = [];

/** How a recipe becomes a mix, fetched once a bench holds one: the first page has no room for it. */
const loadMixing = async () => (await import('./mixing')).asMix;

/** The places of the bench alone, for those who only ask whether something lies there. */
export function useBenchPlaces(): { readonly places: readonly BenchPlace[]; readonly isLoading: boolean } {
  const { pollingInterval, hear } = useAgain();
  const { data, isLoading, error } = api.useBenchQuery(undefined, { pollingInterval });
  hear(error);
  return { places: data?.places ?? NONE, isLoading: isLoading && error === undefined };
}

/** What lies on the bench, in its order; `compared` are the products of what is not set aside. */
export function useBench() {
  const { places, isLoading: benchLoading } = useBenchPlaces();
  const holdsRecipes = places.some((p) => p.kind === 'recipe');
  const { records: recipes, isLoading: recipesLoading } = useRecords('recipe', { skip: !holdsRecipes });
  const { isLoading: shelfLoading } = useShelf();
  const inRecipes = useMemo(
    () => (holdsRecipes ? recipes.flatMap((r) => r.parts.map((p) => p.productId)) : NO_IDS),
    [holdsRecipes, recipes],
  );
  const { shelf } = useShelfWith(inRecipes);
  const asMix = useFetched(loadMixing, holdsRecipes);
  const isLoading = benchLoading || recipesLoading || shelfLoading || (holdsRecipes && !asMix);
  // What is compared stays the same thing while the rest is still on its way: it may be followed by hard work.
  const laid = useMemo(() => {
    const items = places.flatMap((place): BenchItem[] => {
      if (place.kind === 'recipe') {
        const recipe = recipes.find((r) => r.id === place.id);
        return recipe && asMix ? [{ ...place, name: recipe.name, ...asMix(recipe, shelf) }] : [];
      }
      const bag = shelf.find((s) => s.record.id === place.id && s.record.deletedAt === null);
      return bag ? [{ ...place, name: bag.record.name, product: bag.product, unknown: undefined }] : [];
    });
    const compared = items.flatMap((item) => (item.aside || !item.product ? [] : [item.product]));
    return { items, compared };
  }, [places, recipes, shelf, asMix]);
  return { ...laid, isLoading };
}

/** One is sent after the other. */
let sent: Promise<unknown> = Promise.resolve();
/** What the bench shall be while something of it is on its way: what the ledger is asked for meanwhile may be older. */
let latest: readonly BenchPlace[] | undefined;

/** Changes the bench on screen at once, and lays it in the ledger. */
const layBench =
  (change: (places: readonly BenchPlace[]) => readonly BenchPlace[]): AppThunk =>
  (dispatch, getState) => {
    const before = latest ?? api.endpoints.bench.select()(getState()).data?.places;
    if (!before) return;
    const show = (places: readonly BenchPlace[]): void =>
      void dispatch(api.util.updateQueryData('bench', undefined, () => ({ places: [...places] })));
    const places = change(before);
    latest = places;
    show(places);
    sent = sent.then(async () => {
      const answer = await dispatch(api.endpoints.layBench.initiate({ places: [...places] }));
      if (latest === places) latest = undefined;
      if (!answer.error) return show(latest ?? places);
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
