import { ANSWER_WORDS, CHECKS, formatTrimmedRange, type Judgement } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { answerInk, verdictInk } from './verdictInk';

const nameOf = (key: string): string => CHECKS.find((c) => c.key === key)?.name ?? key;

/** The verdict and the nine checks behind it. */
export function JudgementSheet({ judgement }: { judgement: Judgement }) {
  const { verdict, reason, decidedBy, sure, wouldChange, checks } = judgement;
  return (
    <section aria-live="polite" data-testid="judgement">
      <div className="border-y-4 border-double border-line-strong bg-paper px-4 py-3">
        <p className="text-sm text-faint">Verdict so far</p>
        <p className={`font-slab text-3xl font-semibold ${verdictInk(verdict)}`} data-testid="verdict">
          {verdict}
        </p>
        <p className="mt-1">{reason}</p>
        <dl className="mt-2 grid gap-x-6 gap-y-1 text-[0.9375rem] sm:grid-cols-[auto_1fr]">
          <dt className="text-faint">Decided by</dt>
          <dd>{decidedBy.map((k) => nameOf(k).toLowerCase()).join(' and ')}</dd>
          <dt className="text-faint">How sure</dt>
          <dd>{sure}</dd>
          <dt className="text-faint">What would change it</dt>
          <dd>{wouldChange}</dd>
        </dl>
      </div>
      <div className="mt-4 overflow-x-auto">
        <table className="ledger" data-testid="checks">
          <caption className="pb-1 text-left text-sm text-faint">The nine checks, in order</caption>
          <thead>
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
            {checks.map(({ check, answer, text, figures }, i) => (
              <tr key={check} className={answer === 'notYet' ? 'text-faint' : ''}>
                <th scope="row" className="whitespace-nowrap">
                  <span className="mr-2 text-faint">{i + 1}</span>
                  {nameOf(check)}
                </th>
                <td className={`whitespace-nowrap font-semibold ${answerInk(answer)}`}>{ANSWER_WORDS[answer]}</td>
                <td className="text-[0.9375rem]">{text || CHECKS[i]?.question}</td>
                <td className="num">
                  {figures.map((f) => (
                    <div key={f.label}>
                      <FigureButton figure={f}>{formatTrimmedRange(f.value, 2)}</FigureButton> {f.unit.text}
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
