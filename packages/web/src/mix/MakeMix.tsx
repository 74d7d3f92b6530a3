import { useMemo, useState } from 'react';
import { useFormContext } from 'react-hook-form';
import {
  compoundPerElement,
  formatTrimmed,
  parseGrade,
  parseNumber,
  parseQuantity,
  printGrade,
  symbolIn,
  type Blend,
  type BlendTarget,
  type Mixture,
  type Product,
} from '@wheat-ledger/core';
import { usePlotCrop } from '../app/seasons';
import { useAppSelector } from '../app/store';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/Field';
import { Empty, Remark } from '../ui/Sheet';
import { MixtureSheet } from './MixtureSheet';
import type { PartText, RecipeText } from './recipeText';
import { TaskNote } from '../ui/TaskNote';
import { useBlend } from './useBlend';

/** Parts by weight per 100, as they are typed into the check. */
const partsOf = (mix: Mixture): readonly PartText[] =>
  mix.components.map((c) => ({
    productId: c.product.id,
    parts: String(Number(((c.kg / mix.totalKg) * 100).toPrecision(4))),
  }));

function Answer({
  blend,
  ...shared
}: {
  blend: Blend;
  batchKg: number;
  target: BlendTarget;
  massUnit: 'kg' | 'lb';
  onUse: (parts: readonly PartText[]) => void;
}) {
  const { batchKg, target, massUnit, onUse } = shared;
  const sheet = (mix: Mixture, fillerShare = 0) => (
    <>
      <MixtureSheet
        mix={mix}
        batchKg={batchKg}
        fillerShare={fillerShare}
        target={target.kind === 'grade' ? target.parts : undefined}
        massUnit={massUnit}
      />
      <p className="no-print mt-3">
        <button type="button" className="action" onClick={() => onUse(partsOf(mix))}>
          Keep these parts in the recipe
        </button>
      </p>
    </>
  );
  switch (blend.kind) {
    case 'failed':
      return <Remark tone="caution">{blend.message}</Remark>;
    case 'recipe':
      return (
        <>
          <h2 className="mb-2 text-xl">
            {blend.minimised === 'cost'
              ? 'The cheapest mix that meets it'
              : 'The lightest mix that meets it (nothing has a price)'}
          </h2>
          {blend.leftOut.length > 0 && (
            <p className="mb-2 text-sm text-faint">
              Left out for want of a price in that currency: {blend.leftOut.join(', ')}.
            </p>
          )}
          {sheet(blend.mixture, blend.fillerKg)}
        </>
      );
    case 'needsPrices':
      return (
        <>
          <Remark tone="caution">{blend.message}</Remark>
          {sheet(blend.mixture, blend.fillerKg)}
        </>
      );
    case 'tooStrong':
      return (
        <>
          <Remark tone="caution">
            <b>Such a grade cannot exist from these materials.</b> {blend.message}
          </Remark>
          <h2 className="mt-4 mb-2 text-xl">
            The strongest at this ratio:{' '}
            {blend.strongestGrade
              .map((p) => `${formatTrimmed(p.amount)} % ${symbolIn(p.nutrient, p.basis)}`)
              .join(', ')}
          </h2>
          {sheet(blend.strongest)}
        </>
      );
    case 'unreachable':
      return (
        <>
          <Remark tone="caution">{blend.message}</Remark>
          {blend.closest && (
            <>
              <h2 className="mt-4 mb-2 text-xl">The nearest that can be made</h2>
              {sheet(blend.closest)}
            </>
          )}
        </>
      );
  }
}

/** Targets to begin with: a usual garden feed, and the ratio in which the crop takes its nutrients up. */
function TargetOffers() {
  const { setValue } = useFormContext<RecipeText>();
  const { crop } = usePlotCrop();
  const mids = crop && (['N', 'P', 'K'] as const).map((n) => crop.uptakeKgPerHa[n]?.mid);
  const ratio = mids?.every((m) => m !== undefined && m > 0)
    ? mids
        .map((m, i) => Math.round((m ?? 0) * compoundPerElement(i === 0 ? 'element' : i === 1 ? 'P2O5' : 'K2O')))
        .join(':')
    : undefined;
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <button type="button" className="action" onClick={() => setValue('target', '5-3-4')}>
        5-3-4, a usual garden feed
      </button>
      {crop && ratio && (
        <button
          type="button"
          className="action"
          onClick={() => {
            setValue('strength', 'ratio');
            setValue('target', ratio);
          }}
        >
          {ratio}, as {crop.name.toLowerCase()} takes them up
        </button>
      )}
    </div>
  );
}

/** From a target to a recipe, by the solver. */
export function MakeMix({
  text,
  bench,
  shelf,
  onUse,
}: {
  text: RecipeText;
  bench: readonly Product[];
  shelf: readonly Product[];
  onUse: (parts: readonly PartText[]) => void;
}) {
  const { setValue } = useFormContext<RecipeText>();
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const [from, setFrom] = useState<'bench' | 'shelf'>('shelf');
  const products = from === 'bench' ? bench : shelf;
  const parsed = useMemo(() => (text.target.trim() === '' ? undefined : parseGrade(text.target)), [text.target]);
  const tolerance = parseNumber(text.tolerance);
  const share = tolerance.ok ? tolerance.value / 100 : 0;
  const target = useMemo(
    (): BlendTarget | undefined =>
      parsed?.kind === 'one' && share >= 0 && share <= 0.5
        ? { kind: text.strength === 'ratio' ? 'ratio' : 'grade', parts: parsed.grade, tolerance: share }
        : undefined,
    [parsed, text.strength, share],
  );
  const task = useBlend(products, target);
  const { latest: blend, running: working } = task;
  const batch = parseQuantity(text.batch, 'mass', 'kg');
  const batchKg = batch.ok && batch.value > 0 ? batch.value * batch.unit.factor : 10;
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-start gap-x-4 gap-y-2">
        <TextField
          name="target"
          label="Target, N-P₂O₅-K₂O and more"
          placeholder="6-3-5, or 2:0:1 + 0.5 Mg"
          className="w-56"
        />
        <div className="text-sm text-faint">
          It fixes
          <div className="text-base text-pine">
            <Choice
              label="The target fixes"
              value={text.strength === 'ratio' ? 'ratio' : 'grade'}
              onChange={(v) => setValue('strength', v)}
              options={[
                { value: 'grade', text: 'the strength' },
                { value: 'ratio', text: 'only the ratio' },
              ]}
            />
          </div>
        </div>
        <TextField name="tolerance" label="May exceed, %" inputMode="decimal" className="w-28" />
        <TextField name="batch" label="Batch" className="w-28" />
        <div className="text-sm text-faint">
          Choose from
          <div className="text-base text-pine">
            <Choice
              label="Choose from"
              value={from}
              onChange={setFrom}
              options={[
                { value: 'shelf', text: 'the whole shelf' },
                { value: 'bench', text: `the bench (${bench.length})` },
              ]}
            />
          </div>
        </div>
      </div>
      <div aria-live="polite" aria-busy={working} data-testid="mix-answer">
        {!parsed && (
          <Empty>
            Type the grade you want, such as 6-3-5, and the cheapest way to it from your bags is shown here.
            <TargetOffers />
          </Empty>
        )}
        {parsed?.kind === 'none' && <Remark tone="caution">{parsed.reason}</Remark>}
        {parsed?.kind === 'several' && (
          <div>
            <p className="mb-2">{parsed.question} Which do you mean?</p>
            <div className="flex flex-wrap gap-2">
              {parsed.readings.map((grade) => (
                <button
                  key={printGrade(grade)}
                  type="button"
                  className="action"
                  onClick={() => setValue('target', printGrade(grade))}
                >
                  {printGrade(grade)}
                </button>
              ))}
            </div>
          </div>
        )}
        {target && blend && (
          <Answer blend={blend} batchKg={batchKg} target={target} massUnit={massUnit} onUse={onUse} />
        )}
        <TaskNote task={task} what="the mix" />
      </div>
    </>
  );
}
