import { useRef, type KeyboardEvent } from 'react';
import type { Fate, FateKind } from '@wheat-ledger/core';

/** A line of a paper with what became of its numbers. */
export interface MarkedLine {
  readonly number: number;
  readonly numbers: readonly Fate[];
  /** The reading is in doubt of this line. */
  readonly asked: boolean;
}

const MARKS: Readonly<Record<FateKind, string>> = {
  taken: 'mark-taken',
  asked: 'mark-asked',
  notUnderstood: 'mark-missed',
  setAside: 'mark-aside',
};

/** One line in pieces: its numbers marked by what became of them. */
function Marked({ text, numbers }: { text: string; numbers: readonly Fate[] }) {
  const pieces = numbers.map((n, i) => ({ ...n, before: text.slice(numbers[i - 1]?.end ?? 0, n.start) }));
  return (
    <>
      {pieces.map((n) => (
        <span key={n.start}>
          {n.before}
          <span className={MARKS[n.fate]}>{text.slice(n.start, n.end)}</span>
        </span>
      ))}
      {text.slice(numbers.at(-1)?.end ?? 0) || '\u200b'}
    </>
  );
}

const lineAt = (text: string, at: number): number => text.slice(0, at).split('\n').length;

interface PaperTextProps {
  readonly id: string;
  readonly label: string;
  readonly text: string;
  readonly placeholder: string;
  readonly lines: readonly MarkedLine[];
  /** The line that is pointed at, here or in the reading. */
  readonly active: number | undefined;
  readonly onActive: (line: number | undefined) => void;
  readonly onText: (text: string) => void;
}

/** The text of a paper, to be typed or pasted, with its numbers marked where they stand by what became of them. */
export function PaperText({ id, label, text, placeholder, lines, active, onActive, onText }: PaperTextProps) {
  const field = useRef<HTMLTextAreaElement>(null);
  const byNumber = new Map(lines.map((l) => [l.number, l]));
  const follow = (): void => {
    const at = field.current;
    if (at && text !== '') onActive(lineAt(at.value, at.selectionStart));
  };
  const leave = (event: KeyboardEvent): void => {
    // A tab leaves the paper, as in any form.
    if (event.key === 'Escape') field.current?.blur();
  };
  return (
    <div className="paper-text" data-testid="paper-text">
      <div className="paper-marks" aria-hidden="true">
        {text.split('\n').map((line, i) => {
          const marked = byNumber.get(i + 1);
          const shown = active === i + 1 ? 'line-active' : marked?.asked ? 'line-asked' : '';
          return (
            <div key={i} className={shown} data-line={i + 1}>
              <Marked text={line} numbers={marked?.numbers ?? []} />
            </div>
          );
        })}
      </div>
      <textarea
        ref={field}
        id={id}
        aria-label={label}
        spellCheck={false}
        value={text}
        placeholder={placeholder}
        onChange={(e) => onText(e.target.value)}
        onSelect={follow}
        onKeyDown={leave}
        onBlur={() => onActive(undefined)}
      />
    </div>
  );
}
