import { EntryInput, validateInput } from '@wheat-ledger/contract';
import { blankItem, entryText, readEntry } from './entryText';

const ID = '00000000-0000-4000-8000-000000000001';
const kept: EntryInput = {
  plotId: ID,
  seasonId: ID,
  on: '2026-05-01',
  what: 'Feather meal on the wheat',
  task: 'p/0/2026-05-01',
  items: [{ productId: ID, amount: 3.5, unit: 'kg', lot: 'A1' }],
  areaM2: 450,
  waterL: 20,
  minutes: 45,
  where: 'wateredIn',
  by: 'Wren',
  weather: '4 mm of rain',
  note: 'windy',
  corrects: ID,
  beyondStock: 'never counted',
};

test('a kept entry typed again is the same, and valid', () => {
  const read = readEntry(entryText(kept), { task: kept.task!, corrects: kept.corrects! });
  expect(read.problems).toEqual([]);
  expect(read.plain).toEqual(kept);
  expect(validateInput(EntryInput, read.plain).ok).toBe(true);
});

test('amounts are typed as people type them; blank rows are left out, half rows refused', () => {
  const text = { ...entryText(kept), area: '450 m²', water: '20 l', minutes: '45 min' };
  const item = { productId: ID, amount: '2 lb 4 oz', lot: '' };
  const read = readEntry({
    ...text,
    items: [blankItem(), item, { ...item, productId: '' }, { ...item, amount: 'lots' }],
  });
  expect(read.plain.items).toHaveLength(1);
  expect(read.plain.items[0]!.amount).toBeCloseTo(2.25, 6);
  expect(read.plain.items[0]!.unit).toBe('lb');
  expect(read.problems.map((p) => p.path)).toEqual(['items.2.productId', 'items.3.amount']);
  expect(read.plain).toMatchObject({ areaM2: 450, waterL: 20, minutes: 45 });
});

test('a plot and a day are asked for', () => {
  const read = readEntry({ ...entryText(kept), plotId: '', on: 'some day' });
  expect(read.problems.map((p) => p.path)).toEqual(['plotId', 'on']);
});
