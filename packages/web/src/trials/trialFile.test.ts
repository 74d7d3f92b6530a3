import type { TrialRecord } from '@wheat-ledger/contract';
import { TRIALS } from '@wheat-ledger/demo';
import { layOut } from '@wheat-ledger/core';
import { protocolFile, readProtocol, readResults, resultsFile } from './trialFile';

const record = {
  ...Object.fromEntries(Object.entries(TRIALS[0]!).filter(([key]) => key !== 'plot' && key !== 'sheets')),
  ...{ id: 'x', version: 1, updatedAt: '', deletedAt: null, plotId: 'p' },
} as unknown as TrialRecord;

test('a protocol carries question and arms to another garden, and not who stands where', () => {
  const file = protocolFile(record);
  expect(file).not.toContain('"seed"');
  expect(file).not.toContain('plotId');
  const there = readProtocol(file, 99);
  expect(there).toMatchObject({ question: record.question, arms: record.arms, replicates: 2, seed: 99, odd: [] });
  expect(there.startedOn).toBeUndefined();
});

test.each([
  ['no JSON', 'hello', /no JSON/],
  ['another file', '{"format":"x"}', /expected “format”/],
  [
    'one arm',
    JSON.stringify({ format: 'wheat-ledger/trial/1', trial: { ...record, arms: [record.arms[0]] } }),
    /cannot be read: /,
  ],
])('%s is refused with what is wrong', (_, text, why) => {
  expect(() => readProtocol(text, 1)).toThrow(why);
});

test('what a garden found goes from file to file as differences in each block; another trial’s is refused', () => {
  const units = layOut('blocks', 3, 2, 5);
  const values = new Map(units.map((u) => [u.number, 10 + u.arm * 2 + (u.block ?? 0)]));
  const lost = units.find((u) => u.arm === 2 && u.block === 1)!;
  values.set(lost.number, Number.NaN);
  const file = resultsFile(record, units, values, 'height', 'Next door');
  expect(readResults(file, record)).toEqual([
    { garden: 'Next door', outcome: 'height', arm: 'Nettle ferment', differences: [2, 2] },
    { garden: 'Next door', outcome: 'height', arm: 'Same nitrogen', differences: [4] },
  ]);
  expect(() => readResults(file, { name: 'Other' })).toThrow(/Read results of “Nettle ferment on dahlias”/);
  expect(() => readResults(file.replace(/\[\s*2,\s*2\s*\]/, '["x"]'), record)).toThrow(/cannot be read/);
});
