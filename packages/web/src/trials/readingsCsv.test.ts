import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { layOut } from '@wheat-ledger/core';
import { readingsCsv, readReadingsCsv } from './readingsCsv';

const trial = {
  id: 'b1f7a9d4-6e0c-4a43-9d2b-5c8e7f6a1b20',
  outcomes: [
    { key: 'o1', name: 'height', kind: 'number', unit: 'cm', better: 'more' },
    { key: 'o2', name: 'soaks in', kind: 'timed', unit: 'min', better: 'less' },
  ],
} as unknown as TrialRecord;
const units = layOut('blocks', 2, 3, 9);
const kept = {
  id: 'c2f7a9d4-6e0c-4a43-9d2b-5c8e7f6a1b21',
  version: 2,
  trialId: trial.id,
  on: '2026-06-01',
  outcome: 'o1',
  values: [
    { unit: 1, value: 12 },
    { unit: 4, value: 15.5 },
  ],
  note: 'after rain',
} as unknown as TrialSheetRecord;

test('what goes out comes back the same', () => {
  const timed = { ...kept, on: '2026-06-02', outcome: 'o2', note: '', values: [{ unit: 2, value: 15, notOver: true }] };
  const csv = readingsCsv(trial, units, [kept, timed]);
  expect(csv.split('\r\n')[0]).toBe('day,outcome,unit,code,value');
  expect(csv).toContain(`2026-06-02,soaks in,2,${units[1]!.code},>15`);
  const back = readReadingsCsv(csv, trial, units, []);
  expect(back.problems).toEqual([]);
  expect(back.rows.map((r) => [r.on, r.outcome, r.values])).toEqual([
    ['2026-06-01', 'o1', kept.values],
    ['2026-06-02', 'o2', timed.values],
  ]);
});

test('a day that is kept already keeps what the file does not say, and its note', () => {
  const { rows } = readReadingsCsv('date;code;value\n1 June 2026;' + units[3]!.code + ';16', trial, units, [kept]);
  expect(rows).toEqual([
    {
      trialId: trial.id,
      on: '2026-06-01',
      outcome: 'o1',
      note: 'after rain',
      values: [kept.values[0], { unit: 4, value: 16 }],
    },
  ]);
});

test.each([
  ['2026-06-01,height,9,,12', 'Read the unit “9”, expected 1 to 6 or a code of the map.'],
  ['2026-06-01,length,1,,12', 'Read the outcome “length”, expected one of height, soaks in.'],
  ['2026-06-01,height,1,ZZZ,12', `Read unit 1 with the code ZZZ, expected ${units[0]!.code} there.`],
  ['2026-06-01,height,1,,', 'There is no value in this row.'],
  ['2026-06-01,height,1,,>12', 'Read “>12”, expected a number such as 12.5.'],
])('the row %j is told and costs no other', (row, why) => {
  const read = readReadingsCsv(`day,outcome,unit,code,value\n${row}\n2026-06-01,height,2,,13`, trial, units, []);
  expect(read.problems).toEqual([{ line: 2, why }]);
  expect(read.rows[0]!.values).toEqual([{ unit: 2, value: 13 }]);
});
