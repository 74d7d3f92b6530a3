import { randomUUID } from 'node:crypto';
import { heapOperation, toHeapParts } from '@wheat-ledger/contract';
import { startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

const heap = {
  name: 'The spring heap',
  begunOn: '2026-03-08',
  binL: 1500,
  parts: [
    { material: 'straw', amount: 10, unit: 'kg' },
    { material: 'grass-clippings', amount: 40, unit: 'kg', moisture: 0.75 },
  ],
  log: [{ on: '2026-03-12', celsius: 58, turned: true, note: 'hot' }],
  note: '',
};

test('a heap with its log comes back as it was kept, and a log entry is one more version', async () => {
  const made = (await t.http.post('/api/v1/heaps').send(heap).expect(201)).body;
  expect((await t.http.get(`/api/v1/heaps/${made.id}`).expect(200)).body).toMatchObject(heap);
  const log = [...heap.log, { on: '2026-03-20', turned: false, note: '' }];
  await t.http
    .put(`/api/v1/heaps/${made.id}`)
    .set('If-Match', `"${made.version}"`)
    .send({ ...heap, log })
    .expect(200);
  expect((await t.http.get(`/api/v1/heaps/${made.id}`).expect(200)).body).toMatchObject({ log, version: 2 });
});

test('a planned heap has no day and no bin', async () => {
  const { name, parts, note } = heap;
  const planned = { name, parts, log: [], note };
  const { id } = (await t.http.post('/api/v1/heaps').send(planned).expect(201)).body;
  const { body } = await t.http.get(`/api/v1/heaps/${id}`).expect(200);
  expect([body.begunOn, body.binL]).toEqual([undefined, undefined]);
});

test('a finished heap is a bag with its stock in one operation, taken back as one', async () => {
  const id = randomUUID();
  const operation = heapOperation({
    name: 'Spring compost',
    heap: heap.name,
    parts: toHeapParts(heap.parts),
    kg: 21.5,
    densityKgPerL: undefined,
    on: '2026-06-01',
    lot: '',
    id,
  })!;
  const { body } = await t.http.post('/api/v1/operations').send(operation).expect(201);
  expect((await t.http.get(`/api/v1/products/${id}`).expect(200)).body.name).toBe('Spring compost');
  const moved = await t.http.get(`/api/v1/stock-movements?product=${id}`).expect(200);
  expect(moved.body.items.map((m: { amount: number }) => m.amount)).toEqual([21.5]);
  await t.http.post(`/api/v1/operations/${body.operation}/undo`).expect(200);
  expect((await t.http.get(`/api/v1/stock-movements?product=${id}`).expect(200)).body.items).toEqual([]);
});
