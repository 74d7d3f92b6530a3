import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useFormContext } from 'react-hook-form';
import type { parseGrade } from '@wheat-ledger/core';
import {
  formatFixed,
  formatTrimmed,
  parseQuantity,
  printGrade,
  symbolIn,
  typicalBeside,
  typicalEntry,
  type Aim,
  type Batch,
  type Blend,
  type BlendTarget,
  type Mixture,
  type Product,
} from '@wheat-ledger/core';
import { useCounted } from '../app/counted';
import { useAppSelector } from '../app/store';
import { useInside } from '../app/useInside';
import { useStockKg } from '../app/stock';
import type { ShelfProduct } from '../app/workspace';
import { Empty, Remark } from '../ui/Sheet';
import { aimUnit, AroundPart } from './AroundPart';
import { CameAlong } from './CameAlong';
import { FromLists } from './FromLists';
import { MixtureSheet } from './MixtureSheet';
import type { PartText, RecipeText } from './recipeText';
import { partsOf, useBrief, useTarget } from './useTarget';
import { RuledOut } from './RuledOut';
import { RulesPart } from './RulesPart';
import { TargetFields, type From } from './TargetFields';
import { TargetOffers } from './TargetOffers';
import { TaskNote } from '../ui/TaskNote';
import { useBlend } from './useBlend';

const TITLES: Readonly<Record<Aim, string>> = {
  cost: 'The cheapest mix that meets it',
  salt: 'The least salty mix that meets it',
  mass: 'The lightest mix that meets it',
  fewest: 'The mix of the fewest bags that meets it',
  weighted: 'The best mix of those together that meets it',
};
/** What a bag must tell to be judged by an aim; every bag has a weight. */
const WANTED_BY: Readonly<Record<Aim, string>> = {
  cost: 'a price in that currency',
  salt: 'a salt index',
  mass: 'a weight',
  fewest: 'a weight',
  weighted: 'a price in that currency or a salt index',
};
const titleOf = (made: Aim, asked: Aim): string =>
  made === asked ? TITLES[made] : `${TITLES[made]} (nothing has a price)`;

function Answer({
  blend,
  ...shared
}: {
  blend: Blend;
  batchKg: number;
  target: BlendTarget;
  massUnit: 'kg' | 'lb';
  aim: Aim;
  /** For each rule that holds, its place in the list. */
  places: readonly number[];
  nameOf: (productId: string) => string;
  onUse: (parts: readonly PartText[], batchKg: number | undefined) => void;
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
        shopping={blend.kind === 'recipe' ? blend.shopping : undefined}
      />
      <KeepParts mix={mix} onUse={() => onUse(partsOf(mix), blend.kind === 'recipe' ? blend.batchKg : undefined)} />
    </>
  );
  switch (blend.kind) {
    case 'failed':
      return <Remark tone="caution">{blend.message}</Remark>;
    case 'recipe':
      return (
        <>
          <h2 className="mb-2 text-xl">{titleOf(blend.minimised, shared.aim)}</h2>
          {blend.gap > 0 && (
            <Remark tone="note">
              The time was up: it is the best so far. Another could be {formatFixed(blend.gap * 100, 1)} % better at
              most.
            </Remark>
          )}
          {blend.leftOut.length > 0 && <LeftOut names={blend.leftOut} want={WANTED_BY[blend.minimised]} />}
          <CameAlong mix={blend.mixture} target={target} />
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
    case 'ruledOut':
      return <RuledOut blend={blend} target={target} places={shared.places} nameOf={shared.nameOf} />;
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

/** So many names are read at a glance. */
const FEW = 4;
/** What could not be judged; many of them open. */
function LeftOut({ names, want }: { names: readonly string[]; want: string }) {
  const words = `Left out for want of ${want}: `;
  if (names.length <= FEW)
    return (
      <p className="mb-2 text-sm text-faint">
        {words}
        {names.join(', ')}.
      </p>
    );
  return (
    <details className="mb-2 text-sm text-faint">
      <summary className="cursor-pointer">
        {words}
        {names.length} materials
      </summary>
      {names.join('; ')}
    </details>
  );
}

/** Keeps the parts of a mix; what is only typical has to be a bag first. */
function KeepParts({ mix, onUse }: { mix: Mixture; onUse: () => void }) {
  const typical = mix.components.flatMap(({ product }) => {
    const entry = typicalEntry(product.id);
    return entry ? [{ product, entry }] : [];
  });
  if (typical.length === 0)
    return (
      <p className="no-print mt-3">
        <button type="button" className="action" onClick={onUse}>
          Keep these parts in the recipe
        </button>
      </p>
    );
  return (
    <div className="no-print mt-3" data-testid="typical">
      <p>
        What is typical stands for a bag you do not have yet. Put it on the shelf with its own label, then keep the
        parts:
      </p>
      <ul className="mt-1 flex flex-wrap gap-2">
        {typical.map(({ product, entry }) => (
          <li key={product.id}>
            <Link to={`/shelf/new?from=${encodeURIComponent(entry.name)}`} className="action">
              A bag of {entry.name}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A target that could not be read, or could mean several things. */
function TargetTrouble({ parsed }: { parsed: ReturnType<typeof parseGrade> }) {
  const { setValue } = useFormContext<RecipeText>();
  switch (parsed.kind) {
    case 'one':
      return null;
    case 'none':
      return <Remark tone="caution">{parsed.reason}</Remark>;
    case 'several':
      return (
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
      );
  }
}

/** What to type, and targets in one step. */
function Beginning({ inAll }: { inAll: boolean }) {
  const what = inAll
    ? 'how much of each nutrient it shall bring, such as 120 g N, 60 g K2O'
    : 'the grade you want, such as 6-3-5';
  return (
    <Empty>
      Type {what}, and the cheapest way to it from your bags is shown here.
      <TargetOffers />
    </Empty>
  );
}

/** How much is made, as it was typed. */
function useBatch(typed: string, shelf: readonly ShelfProduct[]): Batch {
  const stockKg = useStockKg(shelf);
  const read = parseQuantity(typed, 'mass', 'kg');
  const kg = read.ok && read.value > 0 ? read.value * read.unit.factor : USUAL_BATCH_KG;
  return useMemo(() => ({ kg, stockKg }), [kg, stockKg]);
}
const USUAL_BATCH_KG = 10;

/** From a target to a recipe, by the solver. */
export function MakeMix({
  text,
  bench,
  shelf,
  onUse,
}: {
  text: RecipeText;
  bench: readonly Product[];
  shelf: readonly ShelfProduct[];
  /** @param batchKg what they weigh in all, where the target says it */
  onUse: (parts: readonly PartText[], batchKg: number | undefined) => void;
}) {
  const present = useMemo(() => shelf.map((s) => s.product), [shelf]);
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const [from, setFrom] = useState<From>('shelf');
  const typical = useMemo(() => (from === 'library' ? typicalBeside(present) : []), [from, present]);
  const own = useCounted(useInside(from === 'bench' ? bench : present));
  const products = useMemo(() => [...own, ...typical], [own, typical]);
  const { parsed, target } = useTarget(text);
  const batch = useBatch(text.batch, shelf);
  const { brief, holding } = useBrief(text, batch);
  const places = holding.flatMap((r, i) => (r ? [i] : []));
  const { blend: task, around } = useBlend(products, target, brief);
  const { latest: blend, running: working } = task;
  const bags = useMemo(() => present.map((p) => ({ value: p.id, text: p.name })), [present]);
  const nameOf = (id: string): string => bags.find((b) => b.value === id)?.text ?? 'a bag';
  const recipe = blend?.kind === 'recipe' ? blend : undefined;
  const currency = recipe?.mixture.currency;
  const surrounds = recipe && around.latest;
  const aim = recipe?.minimised ?? text.aim;
  const unit = aimUnit(aim, currency, target, surrounds);
  const batchKg = recipe?.batchKg ?? batch.kg;
  return (
    <>
      <TargetFields text={text} from={from} onFrom={setFrom} bagsOnBench={bench.length} />
      <RulesPart
        products={products}
        holding={holding}
        nameOf={nameOf}
        bags={[{ value: '', text: 'choose a bag' }, ...bags]}
        prices={surrounds?.around.rulePrices ?? []}
        together={surrounds?.around.rulesTogether}
        unit={unit}
      />
      <div aria-live="polite" aria-busy={working} data-testid="mix-answer">
        {!parsed && <Beginning inAll={text.strength === 'amount'} />}
        {parsed && <TargetTrouble parsed={parsed} />}
        {target && blend && (
          <Answer
            blend={blend}
            batchKg={batchKg}
            target={target}
            massUnit={massUnit}
            aim={text.aim}
            places={places}
            nameOf={nameOf}
            onUse={onUse}
          />
        )}
        <TaskNote task={task} what="the mix" />
        <FromLists target={target} batchKg={batchKg} />
        {target && surrounds && (
          <AroundPart surrounds={surrounds} unit={unit} currency={currency} target={target} mix={recipe.mixture} />
        )}
        <TaskNote task={around} what="what the rules cost" />
      </div>
    </>
  );
}
