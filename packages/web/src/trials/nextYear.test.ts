import type { TrialRecord } from '@wheat-ledger/contract';
import { TRIALS } from '@wheat-ledger/demo';
import { chainOf, nextYear } from './nextYear';

const record = {
  ...Object.fromEntries(Object.entries(TRIALS[0]!).filter(([key]) => key !== 'plot' && key !== 'sheets')),
  ...{ id: 'a', version: 1, updatedAt: '', deletedAt: null, odd: [{ unit: 1, state: 'lost', why: '' }] },
} as unknown as TrialRecord;

test('the next year asks the same a year later, and has not begun', () => {
  const next = nextYear(record);
  expect(next).toMatchObject({
    name: 'Nettle ferment on dahlias, 2027',
    until: '2027-09-12',
    seed: record.seed,
    usedLastYear: true,
    odd: [],
    follows: 'a',
  });
  expect(next.startedOn).toBeUndefined();
  expect(nextYear({ ...record, ...next, id: 'b' }).name).toBe('Nettle ferment on dahlias, 2028');
  expect(nextYear({ ...record, until: '2028-02-29' }).until).toBe('2029-02-28');
});

test('with other places nothing is carried over', () => {
  expect(nextYear(record, 5)).toMatchObject({ seed: 5, usedLastYear: false });
});

test('years stand in a chain, the oldest first; a ring of trials ends', () => {
  const of = (id: string, follows?: string) => ({ ...record, id, ...(follows ? { follows } : {}) }) as TrialRecord;
  const all = [of('a'), of('b', 'a'), of('c', 'b'), of('x', 'gone')];
  expect(chainOf(all[2]!, all).map((t) => t.id)).toEqual(['a', 'b', 'c']);
  expect(chainOf(all[3]!, all).map((t) => t.id)).toEqual(['x']);
  const ring = [of('p', 'q'), of('q', 'p')];
  expect(chainOf(ring[0]!, ring).map((t) => t.id)).toEqual(['q', 'p']);
});
