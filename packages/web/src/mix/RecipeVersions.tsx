import { useMemo, useState } from 'react';
import { inputOf, ofToday, type RecipeInput, type RecipeRecord } from '@wheat-ledger/contract';
import { compareLabels, formatFixed, mixAsProduct, mixture } from '@wheat-ledger/core';
import { useRecordHistoryQuery } from '../app/api';
import { weighRecipe } from '../app/recipes';
import { useShelfWith } from '../app/workspace';
import { ComparedFigures, ComparedWords, differWords } from '../ui/ComparedFigures';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { VersionPicker, versionsOf, type Version } from '../ui/VersionPicker';
import { RecipePages, useRecipePage } from './RecipePages';
import { recipeChanges } from './recipeChanges';

interface Kept extends Version {
  readonly input: RecipeInput;
}

/** How the recipe stood after each change; as it is now, where the book does not tell. */
function useVersions(recipe: RecipeRecord): { readonly versions: readonly Kept[]; readonly isLoading: boolean } {
  const { data, isLoading } = useRecordHistoryQuery({ recordId: recipe.id });
  const versions = useMemo(() => {
    const found = versionsOf(data?.items ?? []).map(({ key, words, after }): Kept => ({
      key,
      words,
      input: ofToday('recipe', after) as RecipeInput,
    }));
    return found.length > 0 ? found : [{ key: 'today', words: 'today’s', input: inputOf(recipe) }];
  }, [data, recipe]);
  return { versions, isLoading };
}

function Compared({ recipe, before, after }: { recipe: RecipeRecord; before: Kept; after: Kept }) {
  const used = useMemo(() => [before, after].flatMap((v) => v.input.parts.map((p) => p.productId)), [before, after]);
  const { shelf, isLoading } = useShelfWith(used);
  const { keep, saving } = useKeep('recipe');
  const compared = useMemo(() => {
    const of = ({ input }: Kept) => {
      const reading = weighRecipe({ ...recipe, ...input, onePart: input.onePart }, shelf);
      const components = reading.kind === 'components' ? reading.components : undefined;
      return { input, components, mix: components && mixture(components) };
    };
    const [was, is] = [of(before), of(after)];
    const nameOf = (id: string): string => shelf.find((s) => s.record.id === id)?.record.name ?? 'a bag';
    return {
      words: recipeChanges(was, is, nameOf),
      figures:
        was.mix && is.mix
          ? compareLabels(mixAsProduct('before', 'before', was.mix), mixAsProduct('after', 'after', is.mix)).figures
          : [],
      costs: [was.mix?.costPerKg, is.mix?.costPerKg] as const,
    };
  }, [recipe, before, after, shelf]);
  if (isLoading) return <Loading what="the bags" />;
  const { words, figures, costs } = compared;
  const [cost, costNow] = costs;
  const changes = words.length + figures.filter((f) => f.change !== 'same' && f.change !== 'tie').length;
  return (
    <>
      <p className="mb-3 text-[1.0625rem]" data-testid="version-summary">
        {differWords(changes)}
        {cost && costNow && cost.value.mid !== costNow.value.mid && (
          <>
            {' '}
            A kg cost <FigureButton figure={cost}>{formatFixed(cost.value.mid, 2)}</FigureButton> and costs{' '}
            <FigureButton figure={costNow}>{formatFixed(costNow.value.mid, 2)}</FigureButton> {costNow.unit.text}, at
            today’s prices.
          </>
        )}
      </p>
      <ComparedWords words={words} caption="What was changed: before, after" />
      {figures.length > 0 && (
        <div className="mt-5">
          <ComparedFigures figures={figures} caption="What that does to the mix, each nutrient by its element" />
        </div>
      )}
      <p className="no-print mt-4">
        <button
          type="button"
          className="action"
          disabled={saving || words.length === 0}
          onClick={() => void keep(before.input, recipe, `“${recipe.name}” is again as it was.`)}
        >
          Make it again as it was before
        </button>
      </p>
    </>
  );
}

/** Two versions of a recipe side by side, and a way back to the older one. */
export function RecipeVersions() {
  const page = useRecipePage();
  if ('instead' in page) return page.instead;
  return <Versions key={page.recipe.id} recipe={page.recipe} />;
}

function Versions({ recipe }: { recipe: RecipeRecord }) {
  const { versions, isLoading } = useVersions(recipe);
  const [picked, setPicked] = useState<{ before?: string; after?: string }>({});
  const after = versions.find((v) => v.key === picked.after) ?? versions[0];
  const before = versions.find((v) => v.key === picked.before) ?? versions[1];
  const groups = [['This recipe', versions]] as const;
  return (
    <Sheet title={recipe.name} question="What was changed in this recipe, and what did that do?">
      <RecipePages id={recipe.id} />
      {isLoading ? (
        <Loading what="the versions" />
      ) : !before || !after ? (
        <Empty>This recipe has one version so far. When it is changed and saved, both are compared here.</Empty>
      ) : (
        <>
          <div className="mb-4 grid gap-3 sm:grid-cols-2">
            <VersionPicker
              label="Before"
              value={before.key}
              groups={groups}
              hint="choose a version"
              onPick={(key) => setPicked({ ...picked, before: key })}
            />
            <VersionPicker
              label="After"
              value={after.key}
              groups={groups}
              hint="choose a version"
              onPick={(key) => setPicked({ ...picked, after: key })}
            />
          </div>
          <Compared recipe={recipe} before={before} after={after} />
        </>
      )}
      <MarginNotes>
        <MarginNote title="Where versions come from">
          <p>
            Every time this recipe is saved, the book keeps how it stood. Going back is one more change: nothing is
            lost.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
