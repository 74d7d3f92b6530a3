import { Link } from 'react-router';
import { Check } from 'lucide-react';
import {
  bagsOf,
  formatTrimmedRange,
  printAmount,
  printDay,
  weighedWords,
  WHERE_WORDS,
  type Task,
} from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';
import { Scoops } from './Scoops';

const STATE_WORDS = { late: 'not done yet', due: 'today', coming: 'coming', done: 'done' } as const;

/** What to weigh for one task, and what that is on a square metre or a plant. */
function Weighed({ task }: { task: Task }) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const { applied, doing } = task.row;
  if (applied.kind === 'unknown')
    return (
      <p className="text-beet">
        {doing.given.parts.length > 0 ? `How much is not known: ${applied.why}` : 'Plain water.'}
      </p>
    );
  return (
    <ul>
      {bagsOf(task).map(({ productId, name, kg }, i) => (
        <li key={productId} className="flex flex-wrap items-baseline gap-x-2">
          <b className="text-lg">
            <FigureButton figure={kg}>{weighedWords(kg.value.mid, massUnit)}</FigureButton>
          </b>
          {name !== task.row.doing.given.name && name}
          <Scoops product={doing.given.parts[i]?.product} kg={kg.value.mid} />
          {kg.value.low !== kg.value.high && (
            <span className="text-sm text-faint">({formatTrimmedRange(kg.value, 3)} kg)</span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** One thing to do: ticked off by one large button. */
export function TaskLine({ task, onTick, saving }: { task: Task; onTick: (task: Task) => void; saving: boolean }) {
  const { planned, row, on, state, minds } = task;
  const { application, given } = row.doing;
  const done = state === 'done';
  const wetFirst = useAppSelector((s) => s.settings.wetFirst);
  return (
    <li className="flex gap-3 border-b border-rule py-3 break-inside-avoid" data-testid="task" data-state={state}>
      <button
        type="button"
        className={`flex size-14 shrink-0 cursor-pointer items-center justify-center border-2 print:size-7 ${done ? 'border-moss bg-moss text-chalk' : 'border-line-strong bg-paper hover:border-wheat'}`}
        disabled={done || saving}
        onClick={() => onTick(task)}
      >
        {done && <Check size={30} aria-hidden="true" />}
        <span className="sr-only">
          {done ? 'Done' : 'Tick off'}: {given.name}, {planned.plotName}
        </span>
      </button>
      <div className={`min-w-0 flex-1 ${done ? 'text-faint' : ''}`}>
        <p className="flex flex-wrap items-baseline gap-x-3">
          <span className="font-slab text-lg font-semibold">{given.name}</span>
          <span>{planned.plotName}</span>
          <span className={`text-sm ${state === 'late' ? 'text-beet' : 'text-faint'}`}>
            {STATE_WORDS[state]}
            {state !== 'due' && `, ${printDay(on)}`}
          </span>
        </p>
        {!done && <Weighed task={task} />}
        <p className="text-[0.9375rem] text-faint">
          {printAmount(application.amount)}, {WHERE_WORDS[application.where.kind]};{' '}
          <Link to={`/ground/${planned.plotId}/programmes/${planned.programmeId}`} className="plain">
            {planned.name}
          </Link>
          {!done && (
            <>
              {' · '}
              <Link to={`/rounds/log/new?task=${encodeURIComponent(task.key)}`} className="plain no-print">
                it went otherwise
              </Link>
            </>
          )}
        </p>
        {!done && wetFirst && application.where.kind === 'inWater' && (
          <Remark tone="note">Wet the roots first, then feed.</Remark>
        )}
        {!done &&
          minds.map((m) => (
            <Remark key={m.text} tone={m.hard ? 'caution' : 'note'}>
              {m.text}
            </Remark>
          ))}
      </div>
    </li>
  );
}
