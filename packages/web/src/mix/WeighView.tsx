import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { batchOperation, type RecipeRecord } from '@wheat-ledger/contract';
import { mixture, parseQuantity, weighedWords, type Component, type WeighRoom } from '@wheat-ledger/core';
import { problemOf } from '../app/api';
import { useChangeMutation } from '../app/changeApi';
import { deskSlice } from '../app/slices';
import { useStockKg } from '../app/stock';
import { useAppDispatch } from '../app/store';
import { today } from '../app/today';
import type { ShelfProduct } from '../app/workspace';
import { Empty, Sheet } from '../ui/Sheet';
import { MixCautions } from './MixCautions';
import { RecipePages, useRecipePage } from './RecipePages';
import { useScale } from '../ui/useScale';
import { WeighDone } from './WeighDone';
import { WeighStep } from './WeighStep';
import { begin, grown, inTub, mended, nextStep, withTaken, type Weighing } from './weighSteps';

const KEPT = 'wheat-ledger.weighing';
/** What was weighed so far, kept while the page is away; each step before it, to go back to. */
function useWeighing(recipe: RecipeRecord) {
  const key = `${KEPT}.${recipe.id}`;
  const [steps, setSteps] = useState<readonly Weighing[]>(() => {
    try {
      const kept: unknown = JSON.parse(sessionStorage.getItem(key) ?? 'null');
      return Array.isArray(kept) && kept.length > 0 ? (kept as Weighing[]) : [begin(recipe.batchKg)];
    } catch {
      return [begin(recipe.batchKg)];
    }
  });
  useEffect(() => sessionStorage.setItem(key, JSON.stringify(steps)), [key, steps]);
  const now = steps.at(-1) ?? begin(recipe.batchKg);
  return {
    now,
    put: (next: Weighing): void => setSteps([...steps, next]),
    back: steps.length > 1 ? (): void => setSteps(steps.slice(0, -1)) : undefined,
    again: (batchKg: number): void => setSteps([begin(batchKg)]),
    forget: (): void => sessionStorage.removeItem(key),
  };
}

/** The parts of the batch with what is in the tub, the one that is weighed now marked. */
function Parts({
  components,
  totalKg,
  weighing,
  at,
}: {
  components: readonly Component[];
  totalKg: number;
  weighing: Weighing;
  at: number | undefined;
}) {
  const there = inTub(
    components.map(({ product, kg }) => ({ name: product.name, share: kg / totalKg })),
    weighing,
  );
  return (
    <table className="ledger mt-6" data-testid="weighed">
      <caption className="pb-1 text-left text-sm text-faint">A batch of {weighedWords(weighing.batchKg, 'kg')}</caption>
      <thead>
        <tr>
          <th scope="col">Material</th>
          <th scope="col" className="num">
            asked
          </th>
          <th scope="col" className="num">
            in the tub
          </th>
        </tr>
      </thead>
      <tbody>
        {components.map(({ product, kg }, i) => (
          <tr key={product.id} aria-current={i === at ? 'step' : undefined} className={i === at ? 'font-semibold' : ''}>
            <th scope="row">{product.name}</th>
            <td className="num">{weighedWords((kg / totalKg) * weighing.batchKg, 'kg')}</td>
            <td className="num">{(there[i] ?? 0) > 0 ? weighedWords(there[i] ?? 0, 'kg') : '–'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Bench({
  recipe,
  components,
  shelf,
}: {
  recipe: RecipeRecord;
  components: readonly Component[];
  shelf: readonly ShelfProduct[];
}) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [change, { isLoading: saving }] = useChangeMutation();
  const scale = useScale();
  const stockKg = useStockKg(shelf);
  const { now, put, back, again, forget } = useWeighing(recipe);
  const [tub, setTub] = useState('');
  const totalKg = components.reduce((sum, c) => sum + c.kg, 0);
  const parts = useMemo(
    () => components.map(({ product, kg }) => ({ name: product.name, share: kg / totalKg })),
    [components, totalKg],
  );
  const read = tub.trim() === '' ? undefined : parseQuantity(tub, 'mass', 'kg');
  const room: WeighRoom = {
    tubKg: read?.ok && read.value > 0 ? read.value * read.unit.factor : undefined,
    stockKg: components.map(({ product }) => stockKg[product.id]),
  };
  const step = nextStep(parts, now);
  const take = (kg: number, grow: boolean): void => {
    const next = withTaken(parts, now, kg);
    put(grow ? grown(next, mended(parts, next, room, 'kg')) : next);
    if (scale.shown.kind === 'reading') void scale.order('tare');
  };
  const there = inTub(parts, now);
  const weighed = components.map(({ product }, i) => ({ product, kg: there[i] ?? 0 })).filter((c) => c.kg > 0);
  const keep = async (name: string, lot: string): Promise<void> => {
    const id = crypto.randomUUID();
    const batch = {
      name,
      lot,
      id,
      on: today(),
      note: `Mixed from the recipe “${recipe.name}”.`,
      mix: mixture(weighed),
    };
    const done = await change(batchOperation(batch));
    if (done.error)
      return void dispatch(deskSlice.actions.noticed({ text: problemOf(done.error).detail, recordId: undefined }));
    forget();
    await navigate(`/shelf/${id}`, { flushSync: true });
    dispatch(deskSlice.actions.noticed({ text: `“${name}” is on the shelf; its materials went down.`, recordId: id }));
  };
  return (
    <>
      {step ? (
        <>
          {now.taken.length === 0 && (
            <div className="mb-4">
              <MixCautions products={components.map((c) => c.product)} />
            </div>
          )}
          {now.taken.length === 0 && (
            <p className="no-print mb-4 flex flex-wrap items-end gap-3">
              <label className="text-sm text-faint">
                The tub holds at most
                <input
                  className="field ml-2 !w-28"
                  value={tub}
                  placeholder="15 kg"
                  onChange={(e) => setTub(e.target.value)}
                />
              </label>
              {read && !read.ok && <span className="text-sm text-beet">{read.reason}</span>}
            </p>
          )}
          <WeighStep
            key={`${step.at}.${step.again}`}
            scale={scale}
            name={components[step.at]?.product.name ?? ''}
            targetKg={step.kg}
            again={step.again}
            place={
              step.again
                ? 'The batch grew: this part is topped up.'
                : `${step.at + 1} of ${parts.length}, ${step.at === 0 ? 'into the empty tub' : 'onto what is in the tub already'}`
            }
            mend={(kg) => mended(parts, withTaken(parts, now, kg), room, 'kg')}
            onTake={take}
            onBack={back}
          />
        </>
      ) : (
        <WeighDone
          recipe={recipe}
          planned={mixture(components)}
          weighed={mixture(weighed)}
          saving={saving}
          onKeep={(name, lot) => void keep(name, lot)}
          onBack={back}
          onAgain={() => again(recipe.batchKg)}
        />
      )}
      <Parts components={components} totalKg={totalKg} weighing={now} at={step?.at} />
    </>
  );
}

/** A recipe weighed out at the bench, step by step, until it is a bag of its own on the shelf. */
export function WeighView() {
  const page = useRecipePage();
  if ('instead' in page) return page.instead;
  const { recipe, shelf, reading } = page;
  return (
    <Sheet title={`Weigh out: ${recipe.name}`} question="One bag after the other onto the scale, into the tub.">
      <RecipePages id={recipe.id} />
      {reading.kind === 'components' ? (
        <Bench recipe={recipe} components={reading.components} shelf={shelf} />
      ) : (
        <Empty>{reading.why} Keep its parts in the recipe first; then it can be weighed out.</Empty>
      )}
    </Sheet>
  );
}
