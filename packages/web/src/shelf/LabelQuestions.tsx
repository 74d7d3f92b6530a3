import type { KeyboardEvent } from 'react';
import type { Correction, LabelLine } from '@wheat-ledger/core';
import { harmOf } from './labelWords';
import { TakenAs } from './TakenAs';

interface QuestionProps {
  readonly line: LabelLine;
  readonly active: boolean;
  readonly onActive: (line: number | undefined) => void;
  readonly onCorrect: (line: number, correction: Correction | undefined) => void;
}

function Question({ line, active, onActive, onCorrect }: QuestionProps) {
  const choose = (says: string): void => onCorrect(line.number, { kind: 'choice', says });
  const onKey = (event: KeyboardEvent): void => {
    const choice = event.target === event.currentTarget ? line.choices[Number(event.key) - 1] : undefined;
    if (choice) choose(choice.says);
  };
  return (
    <li
      className={`border-l-4 bg-paper px-3 py-2 ${active ? 'border-wheat' : 'border-beet'}`}
      tabIndex={0}
      aria-label={`Question on line ${line.number}`}
      onKeyDown={onKey}
      onFocus={() => onActive(line.number)}
      onMouseEnter={() => onActive(line.number)}
      onMouseLeave={() => onActive(undefined)}
    >
      <p>
        <span className="mr-2 text-sm text-faint">line {line.number}</span>
        <span className="font-mono text-[0.875rem] break-words">{line.text.slice(0, 200)}</span>
      </p>
      <p className="text-[0.9375rem] first-letter:uppercase">{line.says}.</p>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        {line.choices.map((choice, i) => (
          <button
            key={choice.says}
            type="button"
            className="action !min-h-8 text-sm"
            onClick={() => choose(choice.says)}
          >
            <kbd className="text-faint">{i + 1}</kbd> {choice.says}
          </button>
        ))}
        <button
          type="button"
          className="action !min-h-8 text-sm"
          onClick={() => onCorrect(line.number, { kind: 'ignore' })}
        >
          Set it aside
        </button>
        {line.choices.length === 0 && (
          <TakenAs line={line} correction={undefined} onCorrect={onCorrect} blank="it is …" />
        )}
      </div>
    </li>
  );
}

/** What could not be told by the program alone, the most harmful first, each with its answers one key away. */
export function LabelQuestions({
  lines,
  active,
  onActive,
  onCorrect,
}: Omit<QuestionProps, 'line' | 'active'> & { lines: readonly LabelLine[]; active: number | undefined }) {
  const asked = lines.filter((l) => l.kind === 'notUnderstood').sort((a, b) => harmOf(b) - harmOf(a));
  return (
    <section aria-label="Questions" data-testid="label-questions">
      <p className={`mb-2 ${asked.length === 0 ? 'text-faint' : 'font-semibold'}`} role="status">
        {asked.length === 0
          ? 'Every figure was understood.'
          : `${asked.length} ${asked.length === 1 ? 'line is' : 'lines are'} asked about: say what ${asked.length === 1 ? 'it is' : 'they are'}, or set ${asked.length === 1 ? 'it' : 'them'} aside.`}
      </p>
      <ul className="flex flex-col gap-2">
        {asked.map((line) => (
          <Question
            key={line.number}
            line={line}
            active={active === line.number}
            onActive={onActive}
            onCorrect={onCorrect}
          />
        ))}
      </ul>
    </section>
  );
}
