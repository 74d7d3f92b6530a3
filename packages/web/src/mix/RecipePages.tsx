import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { RecipeRecord } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { weighRecipe, type RecipeReading } from '../app/recipes';
import { useShelfWith, type ShelfProduct } from '../app/workspace';
import { Pages, type PageList } from '../ui/Pages';
import { Empty, Loading, Sheet } from '../ui/Sheet';

const PAGES: PageList = [
  ['', 'Recipe'],
  ['/card', 'Card'],
  ['/weigh', 'Weigh out'],
  ['/versions', 'Versions'],
];

/** The pages of one recipe. */
export const RecipePages = ({ id }: { id: string }) => (
  <Pages label="Pages of this recipe" base={`/mix/${id}`} pages={PAGES} />
);

/** A recipe that a page is about, with the shelf it is made from and what its parts weigh. */
export interface OpenRecipe {
  readonly recipe: RecipeRecord;
  readonly shelf: readonly ShelfProduct[];
  readonly reading: RecipeReading;
}
/** The recipe of the address, or what to show instead of the page. */
export function useRecipePage(): OpenRecipe | { readonly instead: ReactNode } {
  const { id } = useParams();
  const { records, isLoading } = useRecords('recipe');
  const recipe = records.find((r) => r.id === id);
  const { shelf, isLoading: shelfLoading } = useShelfWith(recipe?.parts.map((p) => p.productId) ?? []);
  if (isLoading || shelfLoading) return { instead: <Loading what="the recipe" /> };
  if (!recipe)
    return {
      instead: (
        <Sheet title="Not among the recipes" question="This recipe was taken out, or was never here.">
          <Empty>What was taken out can be restored from the book.</Empty>
        </Sheet>
      ),
    };
  return { recipe, shelf, reading: weighRecipe(recipe, shelf) };
}
