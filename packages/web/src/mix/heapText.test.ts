import { HeapInput, validateInput } from '@wheat-ledger/contract';
import { blankHeap, blankHeapPart, heapText, readHeapText } from './heapText';

const kept: HeapInput = {
  name: 'Autumn heap',
  begunOn: '2026-03-02',
  binL: 1000,
  parts: [
    { material: 'straw', amount: 12, unit: 'kg' },
    { material: 'grass-clippings', amount: 300, unit: 'L', carbonToNitrogen: 15, moisture: 0.78 },
  ],
  log: [
    { on: '2026-03-06', celsius: 58, turned: false, note: '' },
    { on: '2026-03-12', turned: true, note: 'dry inside' },
  ],
  note: '',
};

test('a kept heap typed again is the same, and valid', () => {
  const read = readHeapText(heapText(kept));
  expect(read.problems).toEqual([]);
  expect(read.plain).toEqual(kept);
  expect(validateInput(HeapInput, read.plain).ok).toBe(true);
});

test('blank rows are left out; what cannot be read is told where it was typed', () => {
  const read = readHeapText({
    ...blankHeap(),
    name: 'A heap',
    parts: [blankHeapPart(), { ...blankHeapPart('straw'), amount: 'a lot' }],
    log: [
      { on: '', celsius: '', turned: false, note: '' },
      { on: '3 Mar 2026', celsius: 'warm', turned: false, note: '' },
    ],
  });
  expect(read.plain.parts).toHaveLength(1);
  expect(read.plain.log[0]!.on).toBe('2026-03-03');
  expect(read.problems.map((p) => p.path)).toEqual(['parts.1.amount', 'log.1.celsius']);
});

test('water may be typed with its sign', () => {
  const { plain } = readHeapText({
    ...blankHeap(),
    parts: [{ ...blankHeapPart('straw'), amount: '2 kg', moisture: '15 %' }],
  });
  expect(plain.parts[0]).toEqual({ material: 'straw', amount: 2, unit: 'kg', moisture: 0.15 });
});
