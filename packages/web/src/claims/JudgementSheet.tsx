import type { ReactNode } from 'react';
import {
  decidedWords,
  ANSWER_WORDS,
  CHECKS,
  formatTrimmedRange,
  type CheckKey,
  type Judgement,
  type Verdict,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { answerInk, verdictInk } from './verdictInk';

const nameOf = (key: string): string => CHECKS.find((c) => c.key === key)?.name ?? key;

/** A verdict of one's own with its reason, which stands above the program's. */
export interface Overrule {
  readonly verdict: Verdict;
  readonly reason: string;
}

/** The verdict with what decided it, how sure it is, and what would change it. */
export function VerdictBox({ judgement, overrule }: { judgement: Judgement; overrule?: Overrule | undefined }) {
  const { verdict, reason, sure, lessSure, wouldChange, couldHarm, use } = judgement;
  return (
    <div className="border-y-4 border-double border-line-strong bg-paper px-4 py-3">
      <p className="text-sm text-faint">{overrule ? 'Your verdict' : 'Verdict'}</p>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <span
          className={`font-slab text-3xl font-semibold ${verdictInk(overrule?.verdict ?? verdict)}`}
          data-testid="verdict"
        >
          {overrule?.verdict ?? verdict}
        </span>
        {couldHarm && (
          <span className="border-2 border-beet px-2 font-slab text-lg font-semibold text-beet" data-testid="harm">
            Could do harm
          </span>
        )}
      </p>
      {overrule ? (
        <p className="mt-1">
          {overrule.reason}{' '}
          <span className="text-faint">
            The program says: {verdict}. {reason}
          </span>
        </p>
      ) : (
        <p className="mt-1">{reason}</p>
      )}
      <dl className="mt-2 grid gap-x-6 gap-y-1 text-[0.9375rem] sm:grid-cols-[auto_1fr]">
        <dt className="text-faint">Of use to you</dt>
        <dd data-testid="use">{use}</dd>
        <dt className="text-faint">Decided by</dt>
        <dd>{decidedWords(judgement)}</dd>
        <dt className="text-faint">How sure</dt>
        <dd>
          {sure}
          {lessSure.length > 0 && `, because ${lessSure.join('; ')}`}
        </dd>
        <dt className="text-faint">What would change it</dt>
        <dd>{wouldChange}</dd>
      </dl>
    </div>
  );
}

/** The verdict and the nine checks behind it. @param own what stands under a check where a person can answer it */
export function JudgementSheet({
  judgement,
  overrule,
  own,
}: {
  judgement: Judgement;
  overrule?: Overrule | undefined;
  own?: (check: CheckKey, name: string) => ReactNode;
}) {
  const { checks } = judgement;
  return (
    <section aria-live="polite" data-testid="judgement">
      <VerdictBox judgement={judgement} overrule={overrule} />
      <div className="mt-4 overflow-x-auto">
        <table className="ledger" data-testid="checks">
          <caption className="pb-1 text-left text-sm text-faint">The nine checks, in order</caption>
          <thead className="max-sm:sr-only">
            <tr>
              <th scope="col">Check</th>
              <th scope="col">Answer</th>
              <th scope="col">What was found</th>
              <th scope="col" className="num">
                figure
              </th>
            </tr>
          </thead>
          <tbody>
            {checks.map(({ check, answer, text, figures, note }, i) => (
              <tr
                key={check}
                className={`max-sm:grid max-sm:grid-cols-[1fr_auto] ${answer === 'notYet' ? 'text-faint' : ''}`}
              >
                <th scope="row" className="whitespace-nowrap">
                  <span className="mr-2 text-faint">{i + 1}</span>
                  {nameOf(check)}
                </th>
                <td className={`whitespace-nowrap font-semibold ${answerInk(note?.answer ?? answer)}`}>
                  {ANSWER_WORDS[note?.answer ?? answer]}
                </td>
                <td className="text-[0.9375rem] max-sm:col-span-2">
                  {own?.(check, nameOf(check))}
                  {note && (
                    <p>
                      <b>{note.answer ? `You say ${ANSWER_WORDS[note.answer]}` : 'Your note'}:</b> {note.reason}
                    </p>
                  )}
                  {note?.answer && <b>The program says {ANSWER_WORDS[answer]}: </b>}
                  {text || CHECKS[i]?.question}
                </td>
                <td className="num max-sm:col-span-2 max-sm:empty:hidden">
                  {figures.map((f) => (
                    <div key={f.label}>
                      <FigureButton figure={f}>{formatTrimmedRange(f.value)}</FigureButton> {f.unit.text}
                    </div>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
