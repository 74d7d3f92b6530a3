import { randomUUID } from 'node:crypto';
import { batchOperation, toProduct, type ProductInput } from '@wheat-ledger/contract';
import { mixture } from '@wheat-ledger/core';
import { product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

const recipe = (given: object = {}) =>
  t.http.post('/api/v1/recipes').send({
    name: 'For the beds',
    target: '120 g N, 60 g K2O',
    strength: 'amount',
    tolerance: 0.1,
    by: 'weight',
    parts: [],
    batchKg: 10,
    ...given,
  });
const detailOf = async (given: object): Promise<readonly { path: string; message: string }[]> =>
  (await recipe(given).expect(422)).body.errors;

test('amounts for so many plants, held at the low end, with what is at hand first, come back as they were kept', async () => {
  const given = {
    madeFor: '12 plants',
    hold: 'low',
    aim: 'weighted',
    weights: { cost: 2, salt: 1, mass: 0 },
    rules: [
      { kind: 'stock', on: true },
      { kind: 'packages', on: false },
    ],
  };
  const { id } = (await recipe(given).expect(201)).body;
  expect((await t.http.get(`/api/v1/recipes/${id}`).expect(200)).body).toMatchObject({
    strength: 'amount',
    target: '120 g N, 60 g K2O',
    ...given,
  });
});

test('amounts that cannot be read are refused at their field', async () => {
  expect(await detailOf({ target: '6-3-5' })).toEqual([
    { path: 'target', message: 'Read “6-3-5”, expected such as 120 g N, 60 g K2O.' },
  ]);
  expect((await detailOf({ madeFor: '3 kg' }))[0]?.path).toBe('madeFor');
  expect((await detailOf({ strength: 'grade', target: 'lots' }))[0]?.path).toBe('target');
  expect((await detailOf({ hold: 'high' }))[0]?.path).toBe('hold');
});

test('a weighed batch is a bag with its stock, takes its materials down, and is undone as one', async () => {
  const bag = async (name: string): Promise<{ id: string; input: ProductInput }> => {
    const input = product({ name });
    return { id: (await t.http.post('/api/v1/products').send(input).expect(201)).body.id, input };
  };
  const [one, other] = [await bag('One'), await bag('Other')];
  const mix = mixture([one, other].map(({ id, input }, i) => ({ product: toProduct(input, id), kg: i + 1 })));
  const id = randomUUID();
  const operation = batchOperation({ name: 'Batch of one and other', mix, on: '2026-03-14', lot: 'B7', note: '', id });
  const done = (await t.http.post('/api/v1/operations').send(operation).expect(201)).body;
  const amounts = async (of: string): Promise<readonly number[]> =>
    (await t.http.get(`/api/v1/stock-movements?product=${of}`).expect(200)).body.items.map(
      (m: { amount: number }) => m.amount,
    );
  expect([await amounts(id), await amounts(one.id), await amounts(other.id)]).toEqual([[3], [-1], [-2]]);
  expect((await t.http.get(`/api/v1/products/${id}`).expect(200)).body.name).toBe('Batch of one and other');
  await t.http.post(`/api/v1/operations/${done.operation}/undo`).expect(200);
  expect([await amounts(id), await amounts(one.id), await amounts(other.id)]).toEqual([[], [], []]);
});
