import { X } from 'lucide-react';
import {
  formatTrimmed,
  formatTrimmedRange,
  isExact,
  readable,
  spreadWords,
  whatMoves,
  workingLines,
  type Figure,
  type WorkingLine,
} from '@wheat-ledger/core';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';

const KIND_MARKS: Readonly<Record<WorkingLine['kind'], string>> = {
  literal: '▪',
  assumption: '≈',
  constant: '=',
  operation: '',
  function: 'ƒ',
  solved: '◆',
};
const DEEPEST_INDENT = 5;
const MOST_MOVERS = 4;

/** What the range comes from, where several things make it: the most of it first. */
function Movers({ figure }: { figure: Figure }) {
  const movers = whatMoves(figure);
  if (movers.length < 2) return null;
  return (
    <>
      <h3 className="mt-3 text-[0.9375rem]">What moves it most</h3>
      <ol className="text-[0.875rem] leading-snug">
        {movers.slice(0, MOST_MOVERS).map(({ figure: leaf, atLow, atHigh }, i) => (
          <li key={i} className="flex gap-2 py-0.5">
            <span className="min-w-0 flex-1">{leaf.label}</span>
            <span className="text-right">
              {formatTrimmed(Math.min(atLow, atHigh), 3)} to {formatTrimmed(Math.max(atLow, atHigh), 3)}{' '}
              {figure.unit.text}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** A figure's working, line by line: the figure first, what it was made from indented below, assumptions marked with their range. */
export function Working({ figure }: { figure: Figure }) {
  const dispatch = useAppDispatch();
  const [head, ...lines] = workingLines(figure);
  const shown = readable(figure.value, figure.unit);
  return (
    <section
      aria-label={`Working of ${figure.label}`}
      className="border-y-4 border-double border-line-strong bg-paper px-3 py-3"
      data-testid="working"
    >
      <div className="flex items-start gap-2">
        <h2 className="mr-auto text-base first-letter:uppercase">{figure.label}</h2>
        <button
          type="button"
          onClick={() => dispatch(deskSlice.actions.workingClosed())}
          title="Close the working (Esc)"
          className="cursor-pointer p-0.5"
        >
          <X size={18} aria-hidden="true" />
          <span className="sr-only">Close the working</span>
        </button>
      </div>
      <p className="font-slab text-2xl font-semibold">
        {formatTrimmedRange(shown.value)} <span className="text-base font-normal">{shown.unit}</span>
      </p>
      {!isExact(figure.value) && (
        <p className="text-sm text-faint">{spreadWords(figure) || 'a range, because what went in is a range'}</p>
      )}
      {head?.expression && <p className="mt-1 text-[0.9375rem]">= {head.expression}</p>}
      {head?.note && <p className="mt-1 text-[0.9375rem]">{head.note}</p>}
      <ol className="mt-2 border-t border-rule">
        {lines.map((line, i) => (
          <li
            key={i}
            className="border-b border-rule py-1 text-[0.875rem] leading-snug"
            style={{ paddingLeft: `${(Math.min(line.depth, DEEPEST_INDENT) - 1) * 0.7}rem` }}
          >
            <div className="flex gap-2">
              <span className="w-2.5 shrink-0 text-slate" aria-hidden="true">
                {KIND_MARKS[line.kind]}
              </span>
              <span className="min-w-0 flex-1">{line.label}</span>
              <span className="text-right font-semibold">{line.result}</span>
            </div>
            {line.expression && <div className="pl-[1.125rem] text-faint">= {line.expression}</div>}
            {line.note && (
              <div className={`pl-[1.125rem] ${line.kind === 'assumption' ? 'text-slate' : 'text-faint'}`}>
                {line.note}
              </div>
            )}
          </li>
        ))}
      </ol>
      <Movers figure={figure} />
    </section>
  );
}
