import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { leastOf, readOutcome, type OutcomeReading, type TrialOutcome } from '@wheat-ledger/core';
import { planOf, readingsOf, unitsOf } from './useTrial';
import { notOverOf, valuesOf } from './valuesOf';

/** What a trial found in one outcome up to its day, from all sheets there are; undefined where nothing is measured. Lost units do not count. */
export function keptReading(
  trial: TrialRecord,
  outcome: TrialOutcome | undefined,
  sheets: readonly TrialSheetRecord[],
): OutcomeReading | undefined {
  if (!outcome) return undefined;
  const own = readingsOf(sheets.filter((s) => s.trialId === trial.id && s.outcome === outcome.key)).filter(
    (r) => r.on <= trial.until,
  );
  if (own.length === 0) return undefined;
  const units = unitsOf(trial);
  const lost = new Set(trial.odd.filter((o) => o.state === 'lost').map((o) => o.unit));
  const values = valuesOf(trial, outcome, units, own, lost, 'last');
  return readOutcome(planOf(trial), units, (u) => values.get(u.number) ?? Number.NaN, notOverOf(own), leastOf(outcome));
}
