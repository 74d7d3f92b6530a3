import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { tQuantile } from '@wheat-ledger/core';
import { gainsOf } from './gains';
import { unitsOf } from './useTrial';

const trial = {
  id: 't',
  name: 'Ash',
  until: '2026-09-01',
  decides: 'o1',
  layout: 'random',
  replicates: 3,
  seed: 4,
  control: 0,
  plantsPerUnit: 1,
  arms: [{ name: 'Water' }, { name: 'Ash' }],
  outcomes: [{ key: 'o1', name: 'height', kind: 'number', unit: 'cm', better: 'more' }],
  odd: [],
} as unknown as TrialRecord;
const units = unitsOf(trial);
const controls = [9, 10, 11];
const treated = [11, 12, 13];
/** The first of each arm gets its first value, and so on. */
const sheet = (given: Partial<TrialSheetRecord> = {}, notOver = false): TrialSheetRecord => {
  const next = [0, 0];
  return {
    trialId: 't',
    outcome: 'o1',
    on: '2026-08-01',
    values: units.map((u) => ({
      unit: u.number,
      value: (u.arm === 0 ? controls : treated)[next[u.arm]!++],
      ...(notOver && u.arm === 1 ? { notOver: true } : {}),
    })),
    ...given,
  } as unknown as TrialSheetRecord;
};

test('12 against 10 is 20 % more; each arm has a variance of 1 on 4 degrees, so ± t·√(2/3) of 10', () => {
  const [gain] = gainsOf(trial, [sheet()]).gains;
  expect(gain).toMatchObject({ arm: 'Ash', units: 3 });
  expect(gain!.percent).toBeCloseTo(20, 10);
  expect(gain!.interval!.high - 20).toBeCloseTo(tQuantile(0.975, 4) * Math.sqrt(2 / 3) * 10, 8);
});

test('what is measured after the day, or of another trial, is not counted', () => {
  expect(gainsOf(trial, [sheet({ on: '2026-09-02' })]).gains).toEqual([]);
  expect(gainsOf(trial, [sheet({ trialId: 'other' })]).gains).toEqual([]);
});

test('what cannot be below zero cannot lose more than all of it', () => {
  const wild = sheet();
  const values = wild.values.map((v) => ({ ...v, value: v.unit % 2 === 0 ? 20 : 0.1 }));
  const [gain] = gainsOf(trial, [{ ...wild, values }]).gains;
  expect(gain!.interval!.low).toBe(-100);
});

test('a time that was not over makes no percentage', () => {
  expect(gainsOf(trial, [sheet({}, true)]).gains).toEqual([]);
});
