import { useEffect, useRef, useState } from 'react';
import { parseQuantity, weighedWords, weighState, type Rebalanced } from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';
import { PracticePan } from './PracticePan';
import type { useScale, Shown } from '../ui/useScale';

/** What the scale can tell apart; weights are right within it. */
const DIVISION_KG = 0.001;

const SAYS: Readonly<Record<Exclude<Shown['kind'], 'reading'>, string>> = {
  waiting: 'Looking for the scale …',
  tooMuch: 'More is on the scale than it can carry.',
  gone: 'The scale does not answer. It is tried again; meanwhile type the weight.',
  none: 'No bench scale is set up here. Weigh it on your own, and type the weight.',
};

/** How far it is, in words and as a bar. */
function HowFar({ kg, target }: { kg: number; target: number }) {
  const state = weighState(kg, target, DIVISION_KG);
  const off = weighedWords(Math.abs(target - kg), 'kg');
  const words = state === 'right' ? 'That is it.' : state === 'under' ? `${off} to go` : `${off} too much`;
  return (
    <div>
      <p className={`text-2xl font-semibold ${state === 'over' ? 'text-beet' : ''}`} data-testid="how-far">
        {words}
      </p>
      <div className="mt-2 h-4 w-full border border-line-strong bg-paper" aria-hidden="true">
        <div
          className={`h-full ${state === 'over' ? 'bg-beet' : 'bg-pine'}`}
          style={{ width: `${Math.min(100, Math.max(0, (kg / target) * 100))}%` }}
        />
      </div>
    </div>
  );
}

/** What lies on the pan, as the scale shows it or as it was typed; sure where it may be taken. */
interface OnPan {
  readonly kg: number | undefined;
  readonly sure: boolean;
  readonly says: string;
  readonly typed: boolean;
}
function onPan(shown: Shown, typedKg: number | undefined): OnPan {
  if (typedKg !== undefined) return { kg: typedKg, sure: true, says: 'Enter takes it', typed: true };
  if (shown.kind !== 'reading') return { kg: undefined, sure: false, says: SAYS[shown.kind], typed: false };
  const sure = shown.steady && shown.kg > 0;
  return { kg: shown.kg, sure, says: shown.steady ? 'steady' : 'wait until it is steady', typed: false };
}

/** The reading, legible from where the bags stand. */
function Reading({ pan, targetKg }: { pan: OnPan; targetKg: number }) {
  return (
    <div className="my-5 border-y-4 border-double border-line-strong py-3" aria-live="polite">
      {pan.kg === undefined ? (
        <p className="text-xl">{pan.says}</p>
      ) : (
        <>
          <p className="font-slab text-6xl font-semibold tabular-nums sm:text-7xl" data-testid="reading">
            {pan.kg.toFixed(3)} <span className="text-3xl font-normal">kg</span>{' '}
            <span className="font-sans text-2xl font-normal text-faint">{pan.typed ? 'typed' : 'on the scale'}</span>
          </p>
          <p className="text-faint">{pan.says}</p>
          <HowFar kg={pan.kg} target={targetKg} />
        </>
      )}
    </div>
  );
}

const tooMuchWords = (name: string, found: Rebalanced): string =>
  found.kind === 'larger'
    ? `Too much ${name}. A batch of ${weighedWords(found.batchKg, 'kg')} has the ratio again: the other parts grow with it.`
    : `Too much ${name}, and the batch cannot grow: ${found.why.join('; ')}. Take some off, or keep it as it is.`;

interface WeighStepProps {
  readonly scale: ReturnType<typeof useScale>;
  readonly name: string;
  readonly targetKg: number;
  readonly again: boolean;
  readonly place: string;
  /** What would be done about so much, where it is too much. */
  readonly mend: (kg: number) => Rebalanced;
  readonly onTake: (kg: number, grow: boolean) => void;
  readonly onBack: (() => void) | undefined;
}

/** One part of the batch: how much of it, what the scale shows, and what to do about it. */
export function WeighStep({ scale, name, targetKg, again, place, mend, onTake, onBack }: WeighStepProps) {
  const { shown, order } = scale;
  const [typed, setTyped] = useState('');
  const read = typed.trim() === '' ? undefined : parseQuantity(typed, 'mass', 'kg');
  const pan = onPan(shown, read?.ok && read.value >= 0 ? read.value * read.unit.factor : undefined);
  const over = pan.kg !== undefined && weighState(pan.kg, targetKg, DIVISION_KG) === 'over';
  const found = over && pan.sure && pan.kg !== undefined ? mend(pan.kg) : undefined;
  const take = (grow: boolean): void => {
    if (pan.kg === undefined || !pan.sure) return;
    setTyped('');
    onTake(pan.kg, grow);
  };
  return (
    <section aria-label={`Weigh ${name}`} data-testid="weigh-step">
      <p className="text-faint">{place}</p>
      <h2 className="text-3xl leading-tight">
        {again ? 'More of ' : ''}
        {name}
      </h2>
      <p className="mt-1 text-5xl font-semibold tabular-nums sm:text-6xl" data-testid="target">
        {weighedWords(targetKg, 'kg')} <span className="text-2xl font-normal text-faint">wanted</span>
      </p>
      <Reading pan={pan} targetKg={targetKg} />
      {found && <Remark tone="caution">{tooMuchWords(name, found)}</Remark>}
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <TakeButtons canGrow={found?.kind === 'larger'} over={over} sure={pan.sure} onTake={take} />
        {onBack && (
          <button type="button" className="action" onClick={onBack}>
            Undo the last weight
          </button>
        )}
        {shown.kind === 'reading' && (
          <button type="button" className="action" onClick={() => void order('tare')}>
            Set the scale to zero
          </button>
        )}
        <label className="text-sm text-faint">
          or type it
          <input
            className="field ml-2 !w-28"
            value={typed}
            placeholder="1.25 kg"
            onChange={(e) => setTyped(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && take(false)}
          />
        </label>
      </div>
      {read && !read.ok && <p className="mt-1 text-sm text-beet">{read.reason}</p>}
      {shown.kind === 'reading' && <PracticePan toGoKg={targetKg - shown.kg} order={order} />}
    </section>
  );
}

interface TakeButtonsProps {
  readonly canGrow: boolean;
  readonly over: boolean;
  readonly sure: boolean;
  readonly onTake: (grow: boolean) => void;
}
/** Takes the weight; the hand that weighs has no eye for the mouse, so what comes next is always under Enter. */
function TakeButtons({ canGrow, over, sure, onTake }: TakeButtonsProps) {
  const main = useRef<HTMLButtonElement>(null);
  useEffect(() => main.current?.focus(), [canGrow]);
  const look = (isMain: boolean): string => `action text-lg ${isMain ? 'main' : ''}`;
  return (
    <>
      {canGrow && (
        <button ref={main} type="button" className={look(true)} onClick={() => onTake(true)}>
          Grow the batch
        </button>
      )}
      <button
        ref={canGrow ? undefined : main}
        type="button"
        className={look(!canGrow)}
        aria-disabled={!sure}
        onClick={() => onTake(false)}
      >
        {over ? 'Keep it as it is' : 'Take this weight'}
      </button>
    </>
  );
}
