import { MikroORM } from '@mikro-orm/postgresql';
import { ormConfig } from '../database/orm.js';
import { ask, ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

const bag = async (name: string): Promise<string> =>
  (await t.http.post('/api/v1/products').send(product({ name })).expect(201)).body.id;
const move = (productId: string, amount: number, given: object = {}) =>
  t.http.post('/api/v1/stock-movements').send({
    productId,
    amount,
    unit: 'kg',
    reason: amount < 0 ? 'used' : 'bought',
    on: '2026-03-14',
    lot: '',
    note: '',
    ...given,
  });
const amounts = async (app: TestApp, productId: string): Promise<readonly number[]> =>
  (await app.http.get(`/api/v1/stock-movements?product=${productId}&limit=500`).expect(200)).body.items.map(
    (m: { amount: number }) => m.amount,
  );

test('movements made at once are all kept', async () => {
  const id = await bag('Busy');
  await move(id, 100).expect(201);
  const answers = await Promise.all(Array.from({ length: 30 }, () => move(id, -2)));
  expect(answers.every((a) => a.status === 201)).toBe(true);
  const kept = await amounts(t, id);
  expect([kept.length, kept.reduce((a, b) => a + b, 0)]).toEqual([31, 40]);
});

test('a purchase of which something was used since is not taken out of the count, and that is said', async () => {
  const id = await bag('Used since');
  const bought = await move(id, 20).expect(201);
  await move(id, -5).expect(201);
  const { id: movement } = bought.body as { id: string };
  const { body } = await t.http.delete(`/api/v1/stock-movements/${movement}`).set(ifMatch(1)).expect(409);
  expect((body as { detail: string }).detail).toMatch(/^Used since was used since: without this, 5 kg more went out/);
  // With another purchase beside it nothing is missing.
  await move(id, 30).expect(201);
  await t.http.delete(`/api/v1/stock-movements/${movement}`).set(ifMatch(1)).expect(200);
  expect((await amounts(t, id)).reduce((a, b) => a + b, 0)).toBe(25);
});

test('a label form left open does not conflict with an amount that is used meanwhile', async () => {
  const id = await bag('Open form');
  await move(id, -1).expect(201);
  await t.http
    .put(`/api/v1/products/${id}`)
    .set(ifMatch(1))
    .send(product({ name: 'Saved late' }))
    .expect(200);
});

test.each([
  ['nothing', { amount: 0 }, 'amount'],
  ['a length', { unit: 'm' }, 'unit'],
  ['no reason', { reason: 'stolen' }, 'reason'],
  ['no day', { on: '3/4/2026' }, 'on'],
  ['a bag that is not here', { productId: '00000000-0000-4000-8000-00000000dead' }, 'productId'],
  ['more than any shed holds', { amount: 1e7 }, 'amount'],
])('%s is refused in words', async (_what, given, path) => {
  const { status, body } = await move(await bag('Refused'), 1, given);
  expect([status, body.errors[0].path]).toEqual([422, path]);
});

test('lists are asked by bag and by day, and go on from their place', async () => {
  const id = await bag('By day');
  for (const on of ['2026-01-05', '2026-02-05', '2026-03-05', '2026-03-05', '2026-04-05'])
    await move(id, 1, { on }).expect(201);
  const list = async (query: string) =>
    (await t.http.get(`/api/v1/stock-movements?product=${id}${query}`).expect(200)).body;
  const days = (page: { items: { on: string }[] }): readonly string[] => page.items.map((m) => m.on.slice(5, 7));
  expect(days(await list(''))).toEqual(['01', '02', '03', '03', '04']);
  expect(days(await list('&from=2026-02-05&to=2026-03-05'))).toEqual(['02', '03', '03']);
  const first = await list('&limit=3');
  expect(days(await list(`&limit=3&after=${first.next}`))).toEqual(['03', '04']);
  await t.http.get('/api/v1/stock-movements?plot=00000000-0000-4000-8000-00000000dead').expect(422);
  await t.http.get('/api/v1/stock-movements?product=x').expect(422);
  await t.http.get('/api/v1/stock-movements?from=soon').expect(422);
  const after = Buffer.from(JSON.stringify(['not a day', id])).toString('base64url');
  await t.http.get(`/api/v1/stock-movements?after=${after}`).expect(400);
});

test('stock goes out to CSV and comes in from it as a count', async () => {
  const id = await bag('Out and in');
  await move(id, 20).expect(201);
  await move(id, -2.5).expect(201);
  const { text } = await t.http.get('/api/v1/shelf/csv').buffer(true);
  const lines = text.split('\r\n');
  const at = (lines[0] ?? '').split(',').indexOf('stock');
  expect(at).toBeGreaterThan(0);
  expect(lines.find((l) => l.startsWith('Out and in'))).toContain(',17.5 kg');
  const csv = 'name,N %,stock\nCounted,5,12 kg\nNone left,5,\n';
  const { body } = await t.http
    .post('/api/v1/shelf/csv?write=yes')
    .set('Content-Type', 'text/csv')
    .send(csv)
    .expect(200);
  expect(body).toMatchObject({ good: 2, bad: 0 });
  const { body: list } = await t.http.get('/api/v1/products?limit=500');
  const idOf = (name: string): string => list.items.find((p: { name: string }) => p.name === name).id;
  expect([await amounts(t, idOf('Counted')), await amounts(t, idOf('None left'))]).toEqual([[12], []]);
  await t.http.post(`/api/v1/operations/${body.operation}/undo`).expect(200);
  expect(await amounts(t, idOf('Counted'))).toEqual([]);
});

test('a file of version 1 brings the stock of its bags as counts, once however often it is taken over', async () => {
  const id = '3f2b8c1e-0000-4000-8000-000000000001';
  const bare = '3f2b8c1e-0000-4000-8000-000000000002';
  const file = {
    format: 'wheat-ledger.workspace',
    version: 1,
    products: [
      { id, ...product({ name: 'Older' }), stock: { amount: 3, unit: 'kg' } },
      { id: bare, ...product({ name: 'Older, empty' }), stock: { amount: 0, unit: 'kg' } },
    ],
  };
  const send = () => t.http.post('/api/v1/workspace/import?write=yes').send(file).expect(200);
  expect((await send()).body).toMatchObject({ problems: [], added: 3 });
  expect([await amounts(t, id), await amounts(t, bare)]).toEqual([[3], []]);
  expect((await send()).body).toMatchObject({ problems: [], added: 0, alreadyHere: 3 });
  const { body: wrong } = await t.http
    .post('/api/v1/workspace/import')
    .send({ ...file, products: [{ id: '3f2b8c1e-0000-4000-8000-000000000003', ...product(), stock: 'lots' }] })
    .expect(200);
  expect(JSON.stringify(wrong.problems)).toMatch(/products\.0\.stock/);
  await t.http
    .post('/api/v1/workspace/import')
    .send({ ...file, version: 4 })
    .expect(422);
});

test('a ledger whose bags held their stock keeps it as counts, each in the book, and old changes of such bags can be undone', async () => {
  const old = await startApp();
  const { body: made } = await old.http.post('/api/v1/products').send(product({ name: 'Kept in the bag' }));
  await old.http.post('/api/v1/products').send(product({ name: 'Empty' }));
  const orm = await MikroORM.init(ormConfig(old.databaseUrl));
  await orm.getMigrator().down({ to: 'Migration0010Ledgers' });
  await ask(old.databaseUrl, `update product set stock = '{"amount": 7.5, "unit": "kg"}' where id = '${made.id}'`);
  await orm.getMigrator().up();
  await orm.close();
  expect(await amounts(old, made.id)).toEqual([7.5]);
  const { body: page } = await old.http.get('/api/v1/journal');
  expect(page.items[0]).toMatchObject({
    kind: 'movement',
    action: 'create',
    why: 'stock moved out of the bag',
    undoable: true,
  });
  const [create] = (await old.http.get(`/api/v1/journal?recordId=${made.id}`)).body.items;
  await old.http.post(`/api/v1/operations/${create.operation}/undo`).expect(200);
  expect((await old.http.get(`/api/v1/products/${made.id}`)).body.deletedAt).not.toBeNull();
  await old.close();
});
