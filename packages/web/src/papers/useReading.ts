import { useMemo } from 'react';
import {
  readLabel,
  readSoilSlip,
  type Correction,
  type LabelReading,
  type SoilLine,
  type Taught,
} from '@wheat-ledger/core';
import { useTask, type Job } from '../ui/useTask';
import type { ReadingWorker } from './reading.worker';

/** Longer papers are read in a worker: they would hold up the hand that types. */
const MOST_LINES = 60;
const isLong = (text: string): boolean => text.length > 6000 || text.split('\n', MOST_LINES + 1).length > MOST_LINES;

const start = (): Worker => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });

interface LabelInput {
  readonly text: string;
  readonly paper: 'label' | 'measured';
  readonly corrections: Readonly<Record<number, Correction>>;
  /** What earlier papers of the same seller taught. */
  readonly known?: Taught | undefined;
}
const LABEL: Job<ReadingWorker, LabelInput, LabelReading> = {
  what: 'the label',
  start,
  pauseMs: 120,
  run: (remote, { text, paper, corrections, known }) => remote.label(text, paper, corrections, known),
};
const NO_LABEL = readLabel('');

/** A label as it is read: at once where it is short, else in a worker, the last reading standing meanwhile. */
export function useLabelReading(input: LabelInput): LabelReading {
  const long = isLong(input.text);
  const short = useMemo(
    () => (long ? undefined : readLabel(input.text, input.paper, input.corrections, input.known)),
    [long, input],
  );
  const { latest } = useTask(LABEL, long ? input : undefined);
  return short ?? latest ?? NO_LABEL;
}

interface SlipInput {
  readonly text: string;
  readonly chosen: Readonly<Record<number, string>>;
}
const SLIP: Job<ReadingWorker, SlipInput, readonly SoilLine[]> = {
  what: 'the slip',
  start,
  pauseMs: 120,
  run: (remote, { text, chosen }) => remote.slip(text, chosen),
};
const NO_LINES: readonly SoilLine[] = [];

/** A soil slip as it is read, likewise. */
export function useSlipReading(input: SlipInput): readonly SoilLine[] {
  const long = isLong(input.text);
  const short = useMemo(() => (long ? undefined : readSoilSlip(input.text, input.chosen)), [long, input]);
  const { latest } = useTask(SLIP, long ? input : undefined);
  return short ?? latest ?? NO_LINES;
}
