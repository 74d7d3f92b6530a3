import type { EntryInput, EntryRecord, JournalRecord, MovementRecord } from '@wheat-ledger/contract';
import { uniformDraws } from '@wheat-ledger/core';
import { PLOTS } from '@wheat-ledger/demo';
import { ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
let plotId: string;
beforeAll(async () => {
  t = await startApp();
  plotId = ((await t.http.post('/api/v1/plots').send(PLOTS[0]).expect(201)).body as { id: string }).id;
});
afterAll(() => t.close());

/** A bag of its own, of which so many kg were bought. */
async function bagWith(kg: number, name = 'Feather meal'): Promise<string> {
  const { body } = await t.http.post('/api/v1/products').send(product({ name })).expect(201);
  const { id } = body as { id: string };
  if (kg > 0)
    await t.http
      .post('/api/v1/stock-movements')
      .send({ productId: id, amount: kg, unit: 'kg', reason: 'bought', on: '2026-03-01', lot: 'A1', note: '' })
      .expect(201);
  return id;
}
const entry = (productId: string, kg: number, given: Partial<EntryInput> = {}): EntryInput => ({
  plotId,
  on: '2026-04-02',
  what: 'Feather meal on the wheat',
  items: [{ productId, amount: kg, unit: 'kg', lot: 'A1' }],
  by: '',
  weather: '',
  note: '',
  ...given,
});
const log = (input: EntryInput) => t.http.post('/api/v1/log-entries').send(input);
async function movements(productId: string): Promise<readonly MovementRecord[]> {
  const { body } = await t.http.get(`/api/v1/stock-movements?product=${productId}`).expect(200);
  return (body as { items: MovementRecord[] }).items;
}
const onHand = async (productId: string): Promise<number> =>
  (await movements(productId)).reduce((sum, m) => sum + m.amount, 0);

test('what went on lowers the stock of its lot in the same operation, and both are undone together', async () => {
  const bag = await bagWith(20);
  const { body } = await log(entry(bag, 3.5)).expect(201);
  const made = body as EntryRecord;
  const used = (await movements(bag)).find((m) => m.entryId === made.id);
  expect(used).toMatchObject({ amount: -3.5, unit: 'kg', reason: 'used', on: '2026-04-02', lot: 'A1' });
  const journal = async (): Promise<readonly JournalRecord[]> =>
    ((await t.http.get('/api/v1/journal?limit=10').expect(200)).body as { items: JournalRecord[] }).items;
  const [last, before] = await journal();
  expect(last!.operation).toBe(before!.operation);
  expect([last!.kind, before!.kind].sort()).toEqual(['entry', 'movement']);
  await t.http.post(`/api/v1/operations/${last!.operation}/undo`).expect(200);
  expect(await onHand(bag)).toBe(20);
  const { body: list } = await t.http.get('/api/v1/log-entries').expect(200);
  expect((list as { items: EntryRecord[] }).items.map((e) => e.id)).not.toContain(made.id);
});

test('of what nobody counts nothing is lowered; plain water has no bags', async () => {
  const manure = await bagWith(0, 'Manure');
  await log(entry(manure, 200)).expect(201);
  expect(await movements(manure)).toEqual([]);
  await log({ ...entry(manure, 0), items: [], what: 'Plain water', waterL: 200 }).expect(201);
});

test('what went on before anything was counted is not taken from it', async () => {
  const bag = await bagWith(20);
  await log(entry(bag, 100, { on: '2025-04-02' })).expect(201);
  expect(await onHand(bag)).toBe(20);
});

test('more than is on hand is refused with what there is, or said why; nothing is half done', async () => {
  const [a, b] = [await bagWith(20, 'A'), await bagWith(2, 'B')];
  const both = {
    ...entry(a, 5),
    items: [
      { productId: a, amount: 5, unit: 'kg', lot: '' },
      { productId: b, amount: 3, unit: 'kg', lot: '' },
    ],
  };
  const { body } = await log(both).expect(422);
  expect(body).toMatchObject({
    errors: [{ path: 'items.1.amount', message: expect.stringMatching(/^Read 3 kg of B, expected at most the 2 kg/) }],
  });
  expect([await onHand(a), await onHand(b)]).toEqual([20, 2]);
  await log({ ...both, beyondStock: 'the last bag was never entered' }).expect(201);
  expect([await onHand(a), await onHand(b)]).toEqual([15, -1]);
  const exact = await bagWith(2, 'Exact');
  await log(entry(exact, 2)).expect(201);
});

test('ticked off from two phones at once it is logged once', async () => {
  const bag = await bagWith(20);
  const task = 'programme/0/2026-04-02';
  const answers = await Promise.all([1, 2, 3].map(() => log(entry(bag, 1, { task }))));
  expect(answers.map((a) => a.status).sort()).toEqual([201, 409, 409]);
  expect(answers.find((a) => a.status === 409)!.body).toMatchObject({ detail: 'This is ticked off already.' });
  expect(await onHand(bag)).toBe(19);
});

test('an entry is never changed or taken out; a correction stands in its place, once, and gives back what it took', async () => {
  const bag = await bagWith(20);
  const first = (await log(entry(bag, 5)).expect(201)).body as EntryRecord;
  const path = `/api/v1/log-entries/${first.id}`;
  await t.http.put(path).set(ifMatch(1)).send(entry(bag, 6)).expect(409);
  await t.http.delete(path).set(ifMatch(1)).expect(409);
  const second = (await log(entry(bag, 4, { corrects: first.id, note: 'weighed again' })).expect(201))
    .body as EntryRecord;
  expect(await onHand(bag)).toBe(16);
  const { body: again } = await log(entry(bag, 3, { corrects: first.id })).expect(409);
  expect(again).toMatchObject({ detail: expect.stringMatching(/corrected already/) });
  await log(entry(bag, 3, { corrects: second.id })).expect(201);
  expect(await onHand(bag)).toBe(17);
  expect((await t.http.get(path).expect(200)).body).toMatchObject({ items: [{ amount: 5 }] });
  // Each entry is worth what its movements come to: those corrected nothing.
  const sums = new Map<string, number>();
  for (const m of await movements(bag)) if (m.entryId) sums.set(m.entryId, (sums.get(m.entryId) ?? 0) + m.amount);
  expect([sums.get(first.id), sums.get(second.id)]).toEqual([0, 0]);
});

test('what was corrected is not undone behind its correction, and what an entry took is not moved by hand', async () => {
  const bag = await bagWith(20);
  const first = (await log(entry(bag, 5)).expect(201)).body as EntryRecord;
  await log(entry(bag, 4, { corrects: first.id })).expect(201);
  const { body } = await t.http.get(`/api/v1/journal?recordId=${first.id}`).expect(200);
  const { operation } = (body as { items: JournalRecord[] }).items[0]!;
  const { body: why } = await t.http.post(`/api/v1/operations/${operation}/undo`).expect(409);
  expect(why).toMatchObject({ detail: expect.stringMatching(/corrected since/) });
  const used = (await movements(bag)).find((m) => m.entryId)!;
  await t.http.delete(`/api/v1/stock-movements/${used.id}`).set(ifMatch(1)).expect(409);
  const { id, version, updatedAt, deletedAt, ...input } = used;
  expect([version, deletedAt]).toEqual([1, null]);
  expect(updatedAt).toMatch(/Z$/);
  await t.http
    .put(`/api/v1/stock-movements/${id}`)
    .set(ifMatch(1))
    .send({ ...input, amount: -1 })
    .expect(409);
  expect(await onHand(bag)).toBe(16);
});

test('a plot, a season or an entry that is not here is refused by name', async () => {
  const bag = await bagWith(1);
  const elsewhere = '00000000-0000-4000-8000-000000000009';
  const { body } = await log(entry(bag, 1, { plotId: elsewhere, seasonId: elsewhere })).expect(422);
  expect((body as { errors: { path: string }[] }).errors.map((e) => e.path)).toEqual(['plotId', 'seasonId']);
  const { body: wrong } = await log(entry(bag, 1, { corrects: elsewhere })).expect(422);
  expect(wrong).toMatchObject({ errors: [{ path: 'corrects', message: 'That entry is not in this log.' }] });
});

test('a harvest is kept in kg and can be put right', async () => {
  const harvest = { plotId, on: '2026-08-01', kg: 42.5, count: 60, note: '' };
  const { body } = await t.http.post('/api/v1/harvests').send(harvest).expect(201);
  expect(body).toMatchObject(harvest);
  const { id } = body as { id: string };
  await t.http
    .put(`/api/v1/harvests/${id}`)
    .set(ifMatch(1))
    .send({ ...harvest, kg: 40 })
    .expect(200);
  await t.http
    .post('/api/v1/harvests')
    .send({ ...harvest, kg: 0 })
    .expect(422);
});

test('whatever is bought, used and corrected, stock never falls below zero unnoticed, and each entry equals the movements it caused', async () => {
  const bag = await bagWith(10, 'Counted');
  const draw = uniformDraws(11);
  const stands = new Map<string, number>();
  let said = false;
  const buy = (amount: number) =>
    t.http
      .post('/api/v1/stock-movements')
      .send({ productId: bag, amount, unit: 'kg', reason: 'bought', on: '2026-03-02', lot: '', note: '' })
      .expect(201);
  const use = async (kg: number, corrects: string | undefined, beyondStock: string | undefined): Promise<void> => {
    const before = await onHand(bag);
    const given = { ...(corrects ? { corrects } : {}), ...(beyondStock ? { beyondStock } : {}) };
    const answer = await log(entry(bag, kg, given));
    const after = await onHand(bag);
    const fits = kg <= before + (stands.get(corrects ?? '') ?? 0) + 1e-9;
    expect(answer.status).toBe(fits || beyondStock ? 201 : 422);
    if (answer.status === 422) return expect(after).toBeCloseTo(before, 9);
    said ||= !fits;
    stands.delete(corrects ?? '');
    stands.set((answer.body as EntryRecord).id, kg);
    // Below zero only where somebody said why.
    if (!said) expect(after).toBeGreaterThan(-1e-9);
  };
  for (let step = 0; step < 45; step++) {
    const kg = Number((0.5 + draw() * 6).toFixed(2));
    const what = draw();
    if (what < 0.25) await buy(kg);
    else
      await use(
        kg,
        what > 0.75 ? [...stands.keys()].at(-1) : undefined,
        what > 0.7 && what <= 0.75 ? 'an old bag' : undefined,
      );
  }
  const all = await movements(bag);
  const ofEntries = new Map<string, number>();
  for (const m of all) if (m.entryId) ofEntries.set(m.entryId, (ofEntries.get(m.entryId) ?? 0) + m.amount);
  expect(stands.size).toBeGreaterThan(5);
  for (const [id, sum] of ofEntries) expect(sum).toBeCloseTo(-(stands.get(id) ?? 0), 9);
});

test('what is scarce is spent once: of twenty who ask for 1 kg of 10 at the same time ten get it', async () => {
  const bag = await bagWith(10, 'Scarce');
  const answers = await Promise.all(Array.from({ length: 20 }, () => log(entry(bag, 1))));
  const got = (status: number): number => answers.filter((a) => a.status === status).length;
  expect([got(201), got(422)]).toEqual([10, 10]);
  expect(await onHand(bag)).toBe(0);
});

test('as parts of operations that name their products in opposite orders too', async () => {
  const [a, b, c] = [await bagWith(10, 'A'), await bagWith(10, 'B'), await bagWith(10, 'C')];
  const orders = [
    [a, b, c],
    [b, c, a],
    [c, a, b],
    [c, b, a],
  ];
  const operation = (ids: readonly string[]) =>
    t.http.post('/api/v1/operations').send({
      why: 'a round',
      changes: ids.map((id) => ({ kind: 'entry', action: 'create', input: entry(id, 1) })),
    });
  const answers = await Promise.all(Array.from({ length: 16 }, (_, i) => operation(orders[i % 4]!)));
  const got = (status: number): number => answers.filter((r) => r.status === status).length;
  expect([got(201), got(422)]).toEqual([10, 6]);
  expect(await Promise.all([a, b, c].map(onHand))).toEqual([0, 0, 0]);
});
