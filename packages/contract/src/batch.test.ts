import 'reflect-metadata';
import { mixture, type Product } from '@wheat-ledger/core';
import { batchOperation, mixedProduct } from './batch.js';
import { MovementInput } from './movement.js';
import { ProductInput } from './product.js';
import { toProduct } from './toCore.js';
import { validateInput } from './validate.js';

const bag = (id: string, N: number, price: string): Product =>
  toProduct(
    {
      name: id,
      seller: '',
      form: 'granule',
      analysis: [
        {
          analyte: 'N',
          basis: 'element',
          value: { kind: 'number', value: N },
          unit: '%',
          provenance: 'label',
          source: '',
        },
      ],
      derivedFrom: [id],
      offers: [{ size: 10, unit: 'kg', price: { amount: price, currency: 'EUR' } }],
      note: '',
    },
    id,
  );
const URED = '6f0f4f5e-0000-4000-8000-000000000001';
const MEAL = '6f0f4f5e-0000-4000-8000-000000000002';
const mix = mixture(
  [
    { product: bag(URED, 46, '20.00'), kg: 1 },
    { product: bag(MEAL, 10, '10.00'), kg: 3 },
  ],
  1,
);
const BATCH = {
  name: 'Spring feed',
  mix,
  on: '2026-03-14',
  lot: 'A1',
  note: '',
  id: '6f0f4f5e-0000-4000-8000-000000000009',
};

test('a mix as a bag: its analysis by what was weighed, its price by what its parts cost, and its input fits', () => {
  const input = mixedProduct('Spring feed', mix, BATCH);
  // (46 × 1 + 10 × 3) ÷ 5 kg, the filler counted.
  expect(input.analysis.map((a) => [a.analyte, a.value.value])).toEqual([['N', 15.2]]);
  expect(input.offers).toEqual([
    { size: 5, unit: 'kg', price: { amount: '5.00', currency: 'EUR' }, seenOn: '2026-03-14' },
  ]);
  expect(input.derivedFrom).toEqual([MEAL, URED]);
  const read = validateInput(ProductInput, input);
  expect(read.ok ? [] : read.problems).toEqual([]);
});

test('a batch is one change: the bag with its stock, and its materials down by what was weighed', () => {
  const { why, changes } = batchOperation(BATCH);
  expect(why).toBe('weighed out “Spring feed”');
  expect(
    changes.map((c) => [
      c.kind,
      (c.input as { productId?: string; amount?: number }).productId,
      (c.input as { amount?: number }).amount,
    ]),
  ).toEqual([
    ['product', undefined, undefined],
    ['movement', BATCH.id, 5],
    ['movement', URED, -1],
    ['movement', MEAL, -3],
  ]);
  for (const { input } of changes.slice(1)) expect(validateInput(MovementInput, input as object).ok).toBe(true);
});
