import { useMemo } from 'react';
import type { TrialInput } from '@wheat-ledger/contract';
import type { Figure, Nutrient } from '@wheat-ledger/core';
import { usePlans } from '../app/usePlans';

/** What an arm brings, kg/ha. */
export interface ArmBrings {
  /** By its programme, else as it is typed; undefined where neither says it. */
  readonly nitrogen: number | undefined;
  /** By its programme. */
  readonly figures: Readonly<Partial<Record<Nutrient, Figure>>>;
}
/** What every arm of a trial brings: its programme says it, or what is typed for it. */
export function useArms(arms: TrialInput['arms']): readonly ArmBrings[] {
  const { plans } = usePlans();
  return useMemo(
    () =>
      arms.map((a): ArmBrings => {
        const plan = plans.find((p) => p.programmeId === a.programmeId);
        const figures = Object.fromEntries((plan?.totals ?? []).map((t) => [t.analyte, t.figure]));
        return { nitrogen: figures.N?.value.mid ?? a.nitrogenKgPerHa ?? undefined, figures };
      }),
    [arms, plans],
  );
}
