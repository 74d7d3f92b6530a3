import { useState } from 'react';
import { FlaskConical } from 'lucide-react';
import { PAPER_LANGUAGE_NAMES, practicePaper, printDay, type PracticeSample } from '@wheat-ledger/core';
import { readKept, writeKept } from '../app/keep';
import { today } from '../app/today';

interface Sent {
  readonly on: string;
  readonly seed: number;
}
interface PracticeLabProps {
  /** What is sent, in words. */
  readonly what: string;
  /** Where a sample on its way is kept. */
  readonly kept: string;
  readonly sample: PracticeSample;
  readonly onPaper: (text: string) => void;
}

/** A simulated laboratory: a sample is sent, days pass, and a paper comes back that has to be read like any other. */
export function PracticeLab({ what, kept, sample, onPaper }: PracticeLabProps) {
  const [sent, setSent] = useState<Sent | undefined>(() => readKept<Sent>(kept));
  const [came, setCame] = useState<string>();
  const send = (): void => {
    const next = { on: today(), seed: Math.floor(Math.random() * 1e6) };
    writeKept(kept, next);
    setSent(next);
    setCame(undefined);
  };
  const arrive = (seed: number): void => {
    const { text, language } = practicePaper(sample, seed);
    writeKept(kept, undefined);
    setSent(undefined);
    setCame(PAPER_LANGUAGE_NAMES[language]);
    onPaper(text);
  };
  return (
    <div className="text-[0.9375rem]" data-testid="practice-lab">
      {sent ? (
        <p>
          {what} was sent on {printDay(sent.on)}. The paper takes {practicePaper(sample, sent.seed).days} days.{' '}
          <button type="button" className="plain" onClick={() => arrive(sent.seed)}>
            Let the days pass
          </button>
        </p>
      ) : (
        <button type="button" className="plain inline-flex items-start gap-1.5 text-left" onClick={send}>
          <FlaskConical size={15} className="mt-1 shrink-0" aria-hidden="true" />
          Send {what.charAt(0).toLowerCase() + what.slice(1)} to the practice laboratory
        </button>
      )}
      <p className="text-sm text-faint" role="status">
        {came === undefined
          ? 'A stand-in that prints practice papers in many layouts and nine languages, with a laboratory’s error.'
          : `Its paper is here, in ${came}. These are practice figures.`}
      </p>
    </div>
  );
}
