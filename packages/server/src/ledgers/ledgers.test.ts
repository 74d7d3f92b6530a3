import { KINDS, RECORD_KINDS, type RecordKind } from '@wheat-ledger/contract';
import { loadSample } from '../database/sample.js';
import { ifMatch, PNG, product, startApp, type TestApp } from '../../test/app.js';
import { inputOf } from '../records/inputOf.js';
import { slugOf } from './ledgers.service.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
  await loadSample(t.app);
  const [bag] = await list(HOME, 'product');
  const { body: content } = await t.http
    .post('/api/v1/attachments/content')
    .set('Content-Type', 'application/octet-stream')
    .send(PNG);
  await t.http
    .post('/api/v1/attachments')
    .send({ productId: bag?.id, name: 'front.png', ...content })
    .expect(201);
  await t.http
    .post('/api/v1/shelf-filters')
    .send({ name: 'Meals', filter: { text: 'meal' } })
    .expect(201);
  await t.http.post('/api/v1/ledgers').send({ name: 'Rosewood' }).expect(201, { slug: 'rosewood', name: 'Rosewood' });
});
afterAll(() => t.close());

const HOME = '/api/v1';
const OTHER = '/api/v1/ledgers/rosewood';
interface Item {
  readonly id: string;
  readonly version: number;
  readonly deletedAt: string | null;
}
const list = async (base: string, kind: RecordKind, query = ''): Promise<readonly Item[]> =>
  (await t.http.get(`${base}/${KINDS[kind].path}?limit=500${query}`).expect(200)).body.items;

test('ledgers are listed, made under an address of their own, and renamed without moving', async () => {
  await t.http.post('/api/v1/ledgers').send({ name: 'Rosewood' }).expect(201, { slug: 'rosewood-2', name: 'Rosewood' });
  await t.http
    .put('/api/v1/ledgers/rosewood-2')
    .send({ name: 'Élan' })
    .expect(200, { slug: 'rosewood-2', name: 'Élan' });
  const { body } = await t.http.get('/api/v1/ledgers').expect(200);
  expect(body).toEqual([
    { slug: 'home', name: 'Ashlark Hollow' },
    { slug: 'rosewood', name: 'Rosewood' },
    { slug: 'rosewood-2', name: 'Élan' },
  ]);
  await t.http.post('/api/v1/ledgers').send({ name: '' }).expect(422);
  await t.http.put('/api/v1/ledgers/nowhere').send({ name: 'x' }).expect(404);
  await t.http.get('/api/v1/ledgers/nowhere/products').expect(404);
});
test.each([
  ['Rosewood & Sons', 'rosewood-sons'],
  ['  Élan Gärten ', 'elan-garten'],
  ['庭', 'ledger'],
  ['x'.repeat(80), 'x'.repeat(50)],
])('%j is at %s', (name, slug) => expect(slugOf(name)).toBe(slug));

test('the home ledger is reached with and without its name', async () =>
  expect(await list('/api/v1/ledgers/home', 'product')).toEqual(await list(HOME, 'product')));

describe('no route of one ledger reads or changes what another holds', () => {
  test.each(RECORD_KINDS)('%s', async (kind) => {
    const path = `${OTHER}/${KINDS[kind].path}`;
    const [one] = await list(HOME, kind);
    if (!one) throw new Error(`The sample has no ${kind}.`);
    const before = (await t.http.get(`${HOME}/${KINDS[kind].path}/${one.id}`)).body;
    expect((await list(OTHER, kind)).map((r) => r.id)).not.toContain(one.id);
    expect((await list(OTHER, kind, '&removed=true')).map((r) => r.id)).not.toContain(one.id);
    await t.http.get(`${path}/${one.id}`).expect(404);
    await t.http.put(`${path}/${one.id}`).set(ifMatch(one.version)).send(inputOf(before)).expect(404);
    await t.http.delete(`${path}/${one.id}`).set(ifMatch(one.version)).expect(404);
    await t.http.post(`${path}/${one.id}/restore`).set(ifMatch(one.version)).expect(404);
    expect((await t.http.get(`${path}/${one.id}/uses`)).body).toEqual([]);
    expect((await t.http.get(`${OTHER}/journal?recordId=${one.id}`)).body.items).toEqual([]);
    const [entry] = (await t.http.get(`${HOME}/journal?recordId=${one.id}`)).body.items as { operation: string }[];
    await t.http.post(`${OTHER}/operations/${entry!.operation}/undo`).expect(404);
    await t.http
      .post(`${OTHER}/operations`)
      .send({ why: 'reach', changes: [{ kind, action: 'remove', id: one.id, version: one.version }] })
      .expect(404);
    expect((await t.http.get(`${HOME}/${KINDS[kind].path}/${one.id}`)).body).toEqual(before);
  });
  test('a claim cannot speak of a bag of another ledger, nor a report of its plot', async () => {
    const [[bag], [plot]] = [await list(HOME, 'product'), await list(HOME, 'plot')];
    await t.http
      .post(`${OTHER}/claims`)
      .send({ statement: 'x', saidBy: '', productId: bag!.id, crop: 'wheat', needs: [] })
      .expect(422);
    await t.http
      .post(`${OTHER}/plots/${plot!.id}/log`)
      .set('Content-Type', 'text/csv')
      .send('date,soil °C\n2026-05-01,9')
      .expect(422);
    const [photo] = await list(HOME, 'attachment');
    await t.http.get(`${HOME}/attachments/${photo!.id}/content`).expect(200);
    await t.http.get(`${OTHER}/attachments/${photo!.id}/content`).expect(404);
    const { sha256, type, bytes } = (await t.http.get(`${HOME}/attachments/${photo!.id}`)).body;
    const own = (await t.http.post(`${OTHER}/products`).send(product({ name: 'Own' }))).body.id;
    await t.http.post(`${OTHER}/attachments`).send({ productId: own, name: 'x', sha256, type, bytes }).expect(422);
    await t.http.delete(`${OTHER}/products/${own}`).set(ifMatch(1)).expect(200);
  });
  test('each has its own export, shelf as CSV and book', async () => {
    await t.http
      .post(`${OTHER}/products`)
      .send(product({ name: 'Only here' }))
      .expect(201);
    const { text } = await t.http.get(`${OTHER}/workspace/export`).buffer(true);
    expect(
      (JSON.parse(text) as { products: { name: string; removed?: true }[] }).products
        .filter((p) => !p.removed)
        .map((p) => p.name),
    ).toEqual(['Only here']);
    const { text: csv } = await t.http.get(`${OTHER}/shelf/csv`).buffer(true);
    expect(csv).toMatch(/Only here/);
    expect(csv).not.toMatch(/Barn straw/);
    expect((await t.http.get(`${HOME}/shelf/csv`).buffer(true)).text).not.toMatch(/Only here/);
    const { items } = (await t.http.get(`${OTHER}/journal`)).body as { items: { name: string }[] };
    expect(new Set(items.map((e) => e.name))).toEqual(new Set(['Only here', 'Own']));
  });
  test('an import by CSV and by file goes into the ledger it is sent to, whatever the length of the body', async () => {
    const rows = Array.from({ length: 3000 }, (_, i) => `Rosewood bag ${i},5`).join('\n');
    await t.http
      .post(`${OTHER}/shelf/csv?write=yes`)
      .set('Content-Type', 'text/csv')
      .send(`name,N %\n${rows}`)
      .expect(200);
    expect((await list(OTHER, 'product')).length).toBeGreaterThan(400);
    expect((await t.http.get(`${HOME}/products?limit=500`)).text).not.toMatch(/Rosewood bag/);
  });
});

test('a recipe is copied with its bags, once however often it is asked for, and taken back as a whole', async () => {
  const two = (await list(HOME, 'product')).slice(0, 2);
  const { body: recipe } = await t.http
    .post(`${HOME}/recipes`)
    .send({
      name: 'Of two',
      target: '',
      strength: 'grade',
      tolerance: 0.1,
      by: 'weight',
      batchKg: 10,
      parts: two.map(({ id }) => ({ productId: id, parts: 1 })),
    })
    .expect(201);
  const ask = { from: 'home', kind: 'recipe', id: recipe.id };
  const { body: done } = await t.http.post(`${OTHER}/copies`).send(ask).expect(201);
  expect(done).toMatchObject({ added: 3, alreadyHere: 0 });
  const { body: copy } = await t.http.get(`${OTHER}/recipes/${done.id}`).expect(200);
  for (const part of copy.parts as { productId: string }[])
    await t.http.get(`${OTHER}/products/${part.productId}`).expect(200);
  expect(copy.parts).toHaveLength(2);
  const { body: again } = await t.http.post(`${OTHER}/copies`).send(ask).expect(201);
  expect(again).toEqual({ operation: null, id: done.id, added: 0, alreadyHere: done.added });
  await t.http.post(`${OTHER}/operations/${done.operation}/undo`).expect(200);
  expect((await t.http.get(`${OTHER}/recipes/${done.id}`)).body.deletedAt).not.toBeNull();
  await t.http
    .post(`${OTHER}/copies`)
    .send({ ...ask, from: 'nowhere' })
    .expect(404);
  await t.http
    .post(`${OTHER}/copies`)
    .send({ ...ask, id: '00000000-0000-4000-8000-00000000dead' })
    .expect(404);
  await t.http
    .post(`${OTHER}/copies`)
    .send({ ...ask, kind: 'attachment' })
    .expect(422);
});

test('requests to two ledgers at once keep to their own', async () => {
  const made = await Promise.all(
    Array.from({ length: 40 }, (_, i) =>
      t.http.post(`${i % 2 === 0 ? HOME : OTHER}/products`).send(product({ name: `At once ${i % 2}` })),
    ),
  );
  expect(made.every((r) => r.status === 201)).toBe(true);
  const named = async (base: string): Promise<readonly string[]> => {
    const names: string[] = [];
    let after = '';
    do {
      const { body } = await t.http.get(`${base}/products?limit=500${after && `&after=${after}`}`);
      names.push(...(body.items as { name: string }[]).map((p) => p.name).filter((n) => n.startsWith('At once')));
      after = (body.next as string | null) ?? '';
    } while (after);
    return names;
  };
  expect([new Set(await named(HOME)), new Set(await named(OTHER))]).toEqual([
    new Set(['At once 0']),
    new Set(['At once 1']),
  ]);
});
