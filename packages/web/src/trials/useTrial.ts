import { useMemo } from 'react';
import { useParams } from 'react-router';
import type { TrialInput, TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { layOut, type TrialPlan, type TrialReading, type TrialUnit } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { today } from '../app/today';

/** Where a trial stands: past its day it is over, whether or not it was ever begun formally. */
export type TrialState = 'planned' | 'running' | 'finished';
export const stateOf = ({ startedOn, until }: Pick<TrialInput, 'startedOn' | 'until'>): TrialState =>
  today() > until ? 'finished' : startedOn ? 'running' : 'planned';

export const planOf = (t: TrialInput): TrialPlan => ({
  layout: t.layout,
  arms: t.arms,
  control: t.control,
  replicates: t.replicates,
  plantsPerUnit: t.plantsPerUnit,
});
/** Who stands where; none while the trial cannot be laid out. */
export function unitsOf(t: Pick<TrialInput, 'layout' | 'arms' | 'replicates' | 'seed'>): readonly TrialUnit[] {
  try {
    return layOut(t.layout, t.arms.length, t.replicates, t.seed);
  } catch {
    return [];
  }
}
/** All values of some sheets, one by one. */
export const readingsOf = (sheets: readonly TrialSheetRecord[]): readonly TrialReading[] =>
  sheets.flatMap((s) =>
    s.values.map((v) => ({
      measure: s.outcome,
      unit: v.unit,
      on: s.on,
      value: v.value,
      notOver: v.notOver ?? undefined,
    })),
  );

/** The trial of the address with its sheets. */
export function useTrial(): {
  readonly trial: TrialRecord | undefined;
  readonly units: readonly TrialUnit[];
  readonly sheets: readonly TrialSheetRecord[];
  readonly isLoading: boolean;
} {
  const { id } = useParams();
  const { records, isLoading } = useRecords('trial');
  const { records: sheets, isLoading: sheetsLoading } = useRecords(
    'sheet',
    id ? { of: { trial: id } } : { skip: true },
  );
  const trial = records.find((r) => r.id === id);
  const units = useMemo(() => (trial ? unitsOf(trial) : []), [trial]);
  return { trial, units, sheets, isLoading: isLoading || sheetsLoading };
}
