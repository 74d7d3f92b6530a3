import 'reflect-metadata';
import { heapOperation, HeapInput, toHeapParts } from './heap.js';
import { MovementInput } from './movement.js';
import { ProductInput } from './product.js';
import { validateInput } from './validate.js';

const ID = '6f0f4f5e-0000-4000-8000-000000000001';
const parts = toHeapParts([
  { material: 'straw', amount: 10, unit: 'kg' },
  { material: 'grass-clippings', amount: 40, unit: 'kg' },
]);
const done = {
  name: 'Spring compost',
  heap: 'The spring heap',
  parts,
  kg: 21.5,
  densityKgPerL: 0.6,
  on: '2026-06-01',
  lot: 'H1',
  id: ID,
};

test('a heap that is done is one change: a bag with a ranged analysis, and so much of it in stock', () => {
  const operation = heapOperation(done)!;
  const [bag, made] = operation.changes as { kind: string; action: string; id?: string; input: object }[];
  const product = validateInput(ProductInput, bag!.input);
  if (!product.ok) throw new Error(JSON.stringify(product.problems));
  expect(product.value.analysis.map((l) => [l.analyte, l.basis, l.value.kind])).toEqual([
    ['N', 'element', 'range'],
    ['P', 'P2O5', 'range'],
    ['K', 'K2O', 'range'],
  ]);
  expect(product.value.densityKgPerL).toBe(0.6);
  expect(validateInput(MovementInput, made!.input).ok).toBe(true);
  expect(made!.input).toMatchObject({ productId: ID, amount: 21.5, unit: 'kg', reason: 'made', lot: 'H1' });
  expect([bag!.id, operation.why]).toEqual([ID, 'the heap “The spring heap” is done']);
});

test('of nothing that was piled no bag is made', () => {
  expect(heapOperation({ ...done, parts: [] })).toBeUndefined();
});

test.each([
  [{ parts: [{ material: 'moon dust', amount: 1, unit: 'kg' }] }, 'parts.0.material'],
  [{ parts: [{ material: 'straw', amount: -1, unit: 'kg' }] }, 'parts.0.amount'],
  [{ parts: [{ material: 'straw', amount: 1, unit: 'kg', moisture: 1 }] }, 'parts.0.moisture'],
  [{ log: [{ on: '2026-02-31', turned: false, note: '' }] }, 'log.0.on'],
  [{ log: [{ on: '2026-03-01', celsius: 400, turned: false, note: '' }] }, 'log.0.celsius'],
  [{ binL: 0 }, 'binL'],
])('%j is refused at %s', (given, path) => {
  const read = validateInput(HeapInput, { name: 'A heap', parts: [], log: [], note: '', ...given });
  if (read.ok) throw new Error('it was taken');
  expect(read.problems.map((p) => p.path)).toContain(path);
});
