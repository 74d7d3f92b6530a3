import { useMemo } from 'react';
import { Link } from 'react-router';
import { Plus } from 'lucide-react';
import { toHeapLog, type RecipeRecord } from '@wheat-ledger/contract';
import { heapCourse, mixAsProduct, mixture, printDay } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { weighRecipe } from '../app/recipes';
import { useAppSelector } from '../app/store';
import { useShelfWith, type ShelfProduct } from '../app/workspace';
import { Bag } from '../ui/Bag';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { OnBench } from '../ui/OnBench';
import { NoBags } from './NoBags';
import { OpenRecipe } from './RecipeFiles';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';

/** A recipe as a bag: what it holds, what it costs, or why that cannot be told yet. */
function Recipe({ recipe, shelf }: { recipe: RecipeRecord; shelf: readonly ShelfProduct[] }) {
  const basis = useAppSelector((s) => s.settings.basis);
  const read = weighRecipe(recipe, shelf);
  const mix = read.kind === 'components' ? mixture(read.components) : undefined;
  return (
    <li className="flex gap-4 border-b border-rule py-4" data-testid="recipe">
      <Link to={`/mix/${recipe.id}`} className="flex w-36 shrink-0 justify-center" title={`Open ${recipe.name}`}>
        {mix ? (
          <Bag product={mixAsProduct(recipe.id, recipe.name, mix)} basis={basis} width={76} />
        ) : (
          <span className="grid h-24 w-20 place-items-center border border-dashed border-line-strong text-3xl text-faint">
            ?
          </span>
        )}
      </Link>
      <div className="min-w-0">
        <h2 className="text-lg">
          <Link to={`/mix/${recipe.id}`} className="hover:underline">
            {recipe.name}
          </Link>
        </h2>
        {recipe.target && <p>Meant to be {recipe.target}.</p>}
        {mix ? (
          <>
            <p className="text-faint">Made from {mix.components.map((c) => c.product.name).join(', ')}.</p>
            {mix.costPerKg && (
              <p>
                <FigureButton figure={mix.costPerKg} /> {mix.costPerKg.unit.text}
              </p>
            )}
            <OnBench kind="recipe" id={recipe.id} name={recipe.name} />
          </>
        ) : recipe.parts.length === 0 && recipe.target ? (
          <p className="text-faint">Its parts are worked out when it is opened; keep them there to see it here.</p>
        ) : (
          <p className="text-beet">{read.kind === 'unknown' && read.why}</p>
        )}
      </div>
    </li>
  );
}

/** Compost heaps, which are mixes too. */
function Heaps() {
  const { records } = useRecords('heap');
  if (records.length === 0) return null;
  return (
    <section className="mt-6" aria-label="Heaps">
      <h2 className="border-b border-line-strong pb-1 text-lg">Compost heaps</h2>
      <ul>
        {records.map((heap) => {
          const course = heapCourse(toHeapLog(heap.log));
          return (
            <li key={heap.id} className="border-b border-rule py-3" data-testid="heap">
              <Link to={`/mix/heap/${heap.id}`} className="font-slab text-lg hover:underline">
                {heap.name}
              </Link>
              <p className="text-faint">
                {heap.begunOn ? `Piled on ${printDay(heap.begunOn)}. ${course.advice}` : 'Planned, not piled yet.'}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Every recipe that is kept, drawn as the bag it would fill. */
export function RecipesView() {
  const { records, isLoading, error } = useRecords('recipe');
  const { shelf, isLoading: shelfLoading } = useShelfWith(records.flatMap((r) => r.parts.map((p) => p.productId)));
  const bags = useMemo(() => shelf.map(({ record: { id, name } }) => ({ id, name })), [shelf]);
  if (isLoading || shelfLoading) return <Loading what="the recipes" />;
  return (
    <Sheet
      title="Mix"
      question="What could be mixed instead, and what is a mix really?"
      actions={
        <>
          <OpenRecipe shelf={bags} />
          <Link to="/mix/heap/new" className="action">
            <Plus size={17} aria-hidden="true" />A heap
          </Link>
          <Link to="/mix/new" className="action main">
            <Plus size={17} aria-hidden="true" />A new mix
          </Link>
        </>
      }
    >
      {error !== undefined && <Failed error={error} />}
      {error === undefined && shelf.length === 0 && <NoBags />}
      {error === undefined && shelf.length > 0 && records.length === 0 && (
        <Empty>
          No recipe is kept yet.{' '}
          <Link to="/mix/new" className="plain">
            Make one from a target
          </Link>
          , or check the parts of one you have.
        </Empty>
      )}
      <ul>
        {records.map((recipe) => (
          <Recipe key={recipe.id} recipe={recipe} shelf={shelf} />
        ))}
      </ul>
      <Heaps />
      <MarginNotes>
        <MarginNote title="What to do here">
          <p>
            Say the grade you want, and the cheapest way to it from your bags is worked out. Or type the parts of a
            recipe somebody gave you, and see what it really is.
          </p>
          <p>A recipe on the bench is compared like a bag.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
