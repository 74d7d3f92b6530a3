import Papa from 'papaparse';
import type { EntryRecord } from '@wheat-ledger/contract';
import { logCsv } from './logCsv';

const entry = (given: Partial<EntryRecord>): EntryRecord => ({
  id: 'e',
  version: 1,
  updatedAt: '',
  deletedAt: null,
  plotId: 'p',
  on: '2026-05-01',
  what: 'Feather meal, worked in',
  items: [],
  by: '',
  weather: '',
  note: '',
  ...given,
});

test('a row for each bag, one for plain water, and no formula for a spreadsheet', () => {
  const item = { productId: 'b', amount: 3.5, unit: 'kg', lot: 'A1' };
  const csv = logCsv(
    [entry({ items: [item, { ...item, amount: 1 }], note: '=1+1' }), entry({ waterL: 20 })],
    () => 'Strip "A"',
    () => 'Feather meal',
  );
  const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
  expect(data).toHaveLength(3);
  expect(data[0]).toMatchObject({
    plot: 'Strip "A"',
    what: 'Feather meal, worked in',
    amount: '3.5',
    lot: 'A1',
    note: "'=1+1",
  });
  expect(data[2]).toMatchObject({ bag: '', water_L: '20' });
});
