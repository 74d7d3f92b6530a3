import type { EntryRecord } from '@wheat-ledger/contract';
import { logCsv } from './logCsv';
import { readLogCsv } from './readLogCsv';

const plots = [
  { id: 'p1', name: 'Wheat strip' },
  { id: 'p2', name: 'Back field' },
];
const bags = [
  { id: 'b1', name: 'Larkmere Feather Meal' },
  { id: 'b2', name: 'Quernlow Urea' },
];
const read = (text: string) => readLogCsv(text, plots, bags);

test('what the log writes it reads again', () => {
  const record: EntryRecord = {
    id: 'e',
    version: 1,
    updatedAt: '',
    deletedAt: null,
    plotId: 'p2',
    on: '2025-05-01',
    what: 'Meal, worked in',
    items: [{ productId: 'b1', amount: 3.5, unit: 'kg', lot: 'A1' }],
    areaM2: 450,
    waterL: 20,
    by: 'Wren',
    weather: '',
    note: '=1+1',
  };
  const csv = logCsv(
    [record],
    () => 'Back field',
    () => 'Larkmere Feather Meal',
  );
  const { id, version, updatedAt, deletedAt, ...input } = record;
  expect([id, version, updatedAt, deletedAt]).toHaveLength(4);
  expect(read(csv)).toEqual({ rows: [input], problems: [] });
});

test('a spreadsheet of a person’s own: other headings, other order, part of a name', () => {
  const { rows, problems } = read(
    'Product,Date,Quantity,Bed\nfeather meal,1 May 2025,2 lb 4 oz,wheat strip\nUrea,2025-05-03,1.5,back\n',
  );
  expect(problems).toEqual([]);
  expect(rows[0]).toMatchObject({
    plotId: 'p1',
    on: '2025-05-01',
    what: 'feather meal',
    items: [{ productId: 'b1', unit: 'lb' }],
  });
  expect(rows[1]).toMatchObject({ plotId: 'p2', items: [{ productId: 'b2', amount: 1.5, unit: 'kg' }] });
});

test('a row that cannot be read is told with its line and costs no other', () => {
  const { rows, problems } = read(
    'day,plot,bag,amount\n2025-05-01,Wheat strip,Urea,2 kg\nsome day,Wheat strip,Urea,2\n2025-05-01,Nowhere,Urea,2\n2025-05-01,Wheat strip,Gold,2\n2025-05-01,Wheat strip,Urea,lots\n',
  );
  expect(rows).toHaveLength(1);
  expect(problems.map((p) => p.line)).toEqual([3, 4, 5, 6]);
  expect(problems[1]!.why).toMatch(/“Nowhere”, expected one of Wheat strip, Back field/);
});

test('a file without a day, or too long, is refused', () => {
  expect(() => read('a,b\n1,2')).toThrow(/expected one of them to be “day”/);
  expect(() => read(`day\n${'2025-01-01\n'.repeat(5001)}`)).toThrow(/at most 5000/);
});
