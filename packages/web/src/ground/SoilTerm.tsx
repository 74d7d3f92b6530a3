import type { ReactNode } from 'react';
import type { SoilAnalyte } from '@wheat-ledger/core';
import { Term } from '../glossary/Term';
import type { TermKey } from '../glossary/terms';

const TERM_OF: Readonly<Partial<Record<SoilAnalyte, TermKey>>> = {
  pH: 'pH',
  organicMatter: 'organicMatter',
  CEC: 'CEC',
  EC: 'EC',
  SAR: 'SAR',
  ESP: 'ESP',
  freeLime: 'freeLime',
  acidity: 'acidity',
  bulkDensity: 'bulkDensity',
  nitrateN: 'nitrate',
  ammoniumN: 'ammonium',
};

/** The name of something in a soil, which opens to what it means where that is often asked. */
export function SoilTerm({ about, children }: { about: SoilAnalyte | undefined; children: ReactNode }) {
  const term = about && TERM_OF[about];
  return term ? <Term of={term}>{children}</Term> : children;
}
