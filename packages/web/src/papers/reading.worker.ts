import { expose } from 'comlink';
import {
  readLabel,
  readSoilSlip,
  type Correction,
  type LabelReading,
  type SoilLine,
  type Taught,
} from '@wheat-ledger/core';

const readingWorker = {
  label: (
    text: string,
    paper: 'label' | 'measured',
    corrections: Readonly<Record<number, Correction>>,
    known: Taught | undefined,
  ): LabelReading => readLabel(text, paper, corrections, known),
  slip: (text: string, chosen: Readonly<Record<number, string>>): readonly SoilLine[] => readSoilSlip(text, chosen),
};

export type ReadingWorker = typeof readingWorker;
expose(readingWorker);
