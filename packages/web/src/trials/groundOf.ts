import type { TrialInput } from '@wheat-ledger/contract';
import type { TrialGround } from '@wheat-ledger/core';

/** What was said of how a trial is laid out. @param nitrogen of each arm, where programmes say it */
export const groundOf = (t: TrialInput, nitrogen?: readonly (number | undefined)[]): TrialGround => ({
  heldEqual: t.heldEqual,
  shaded: t.shaded,
  usedLastYear: t.usedLastYear,
  nitrogen: nitrogen ?? t.arms.map((a) => a.nitrogenKgPerHa ?? undefined),
  asksNutrients: t.asksNutrients,
});
