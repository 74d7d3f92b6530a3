import Ajv2020 from 'ajv/dist/2020';
import { loadSample } from '../database/sample.js';
import { ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let full: TestApp;
let file: {
  format: string;
  version: number;
  products: { id: string; name: string; removed?: true }[];
  [list: string]: unknown;
};
beforeAll(async () => {
  full = await startApp();
  await loadSample(full.app);
  const { body } = await full.http.get('/api/v1/products?limit=500');
  const straw = body.items.find((p: { name: string }) => p.name === 'Holdstone Zeolite');
  await full.http.delete(`/api/v1/products/${straw.id}`).set(ifMatch(straw.version)).expect(200);
  file = (
    await full.http
      .get('/api/v1/workspace/export')
      .expect(200)
      .expect('Content-Disposition', /wheat-ledger\.json/)
  ).body;
});
afterAll(() => full.close());

const empty = async (work: (t: TestApp) => Promise<void>): Promise<void> => {
  const t = await startApp();
  try {
    await work(t);
  } finally {
    await t.close();
  }
};
const send = (t: TestApp, body: object, write = false) =>
  t.http.post(`/api/v1/workspace/import${write ? '?write=yes' : ''}`).send(body);

test('the file fits its own published schema', async () => {
  const { body: schema } = await full.http.get('/api/v1/workspace/schema').expect(200);
  const check = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
  check(file);
  expect(check.errors ?? []).toEqual([]);
  expect(check({ ...file, products: [{ id: 'x' }] })).toBe(false);
  expect(check({ ...file, format: 'something else' })).toBe(false);
});

test('exporting and importing into an empty ledger gives the same workspace, removed records too', () =>
  empty(async (t) => {
    const tried = await send(t, file).expect(200);
    expect(tried.body).toMatchObject({
      problems: [],
      written: false,
      alreadyHere: 0,
      found: { products: file.products.length },
    });
    expect((await t.http.get('/api/v1/products')).body.items).toEqual([]);
    const done = await send(t, file, true).expect(200);
    expect(done.body.written).toBe(true);
    const again = (await t.http.get('/api/v1/workspace/export')).body;
    expect(again).toEqual(file);
    expect(file.products.filter((p) => p.removed).map((p) => p.name)).toEqual(['Holdstone Zeolite']);
  }));

test('a generated workspace of three hundred bags makes the round trip', () =>
  empty(async (t) => {
    const products = Array.from({ length: 300 }, (_, i) => ({
      ...product({
        name: `Bag ${i % 7} ${'é=+-@'[i % 5]}`,
        note: `line one\nline ${i}`,
        offers: [{ size: i + 0.5, unit: 'kg', price: { amount: (i / 7).toFixed(4), currency: 'EUR' } }],
      }),
      id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
    }));
    const made = { format: 'wheat-ledger.workspace', version: 1, products };
    expect((await send(t, made, true).expect(200)).body).toMatchObject({ added: 300, written: true });
    const back = (await t.http.get('/api/v1/workspace/export')).body;
    const byId = (list: { id: string }[]): { id: string }[] => [...list].sort((a, b) => a.id.localeCompare(b.id));
    const money = (list: typeof products): typeof products =>
      list.map((p) => ({
        ...p,
        offers: p.offers.map((o) => ({ ...o, price: { ...o.price!, amount: Number(o.price!.amount).toFixed(4) } })),
      }));
    expect(money(byId(back.products) as typeof products)).toEqual(money(byId(products) as typeof products));
  }));

test('a file of an older ledger is read as it would be written today: four uneven sides are a polygon, and a plot’s crop is a season', () =>
  empty(async (t) => {
    const plot = {
      id: '00000000-0000-4000-8000-00000000a001',
      name: 'Old corner',
      areaM2: 12,
      crop: 'leek',
      medium: 'mineralSoil',
      texture: 'loam',
      temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 },
      plantedOn: '2026-04-01',
      shape: { kind: 'fourSides', lengthsM: [3, 4, 3, 4, 5] },
    };
    expect(
      (await send(t, { format: 'wheat-ledger.workspace', version: 1, plots: [plot] }, true).expect(200)).body,
    ).toMatchObject({ added: 2, written: true, problems: [] });
    const [kept] = (await t.http.get('/api/v1/plots')).body.items;
    expect(kept.shape).toEqual({ kind: 'polygon', lengthsM: [3, 4, 3, 4, 5] });
    expect(kept).not.toHaveProperty('crop');
    const seasons = await t.http.get(`/api/v1/seasons?plot=${plot.id}`);
    expect(seasons.body.items).toEqual([
      expect.objectContaining({ plotId: plot.id, crop: 'leek', from: '2026-04-01', share: 1 }),
    ]);
    // Once however often it is taken over, and gone with its plot.
    const again = await send(t, { format: 'wheat-ledger.workspace', version: 2, plots: [plot] }, true);
    expect(again.body).toMatchObject({ added: 0, alreadyHere: 2 });
    const removed = { ...plot, id: '00000000-0000-4000-8000-00000000a002', removed: true };
    await send(t, { format: 'wheat-ledger.workspace', version: 2, plots: [removed] }, true).expect(200);
    expect((await t.http.get('/api/v1/seasons')).body.items).toHaveLength(1);
  }));

test('importing what is here already leaves it as it is', async () => {
  const done = await send(full, file, true).expect(200);
  expect(done.body).toMatchObject({ added: 0, written: true, problems: [] });
  expect(done.body.alreadyHere).toBeGreaterThan(20);
});

test('three bad records are reported, exactly those three, and nothing is written', () =>
  empty(async (t) => {
    const products = file.products.map((p, i) =>
      i === 2 ? { ...p, name: '' } : i === 5 ? { ...p, form: 'sludge' } : p,
    );
    const claims = [
      {
        id: '00000000-0000-4000-8000-00000000c1a1',
        statement: 'It feeds',
        saidBy: '',
        productId: '00000000-0000-4000-8000-00000000dead',
        crop: 'wheat',
        needs: [],
      },
    ];
    const { body } = await send(t, { ...file, products, claims, recipes: [], logEntries: [] }, true).expect(200);
    expect(body.problems.map((p: { path: string }) => p.path).sort()).toEqual([
      'claims.0.productId',
      'products.2.name',
      'products.5.form',
    ]);
    expect(body.written).toBe(false);
    for (const path of ['products', 'plots', 'claims'])
      expect((await t.http.get(`/api/v1/${path}`)).body.items).toEqual([]);
    expect((await t.http.get('/api/v1/journal')).body.items).toEqual([]);
  }));

test.each([
  ['no workspace', { hello: 'world' }, /Expected a file whose format/],
  ['another version', { format: 'wheat-ledger.workspace', version: 99 }, /Read version 99, expected 3/],
  [
    'a list that is none',
    { format: 'wheat-ledger.workspace', version: 1, products: 'many' },
    /Expected products as a list/,
  ],
])('%s is refused in words', async (_name, body, words) => {
  const refused = await send(full, body)
    .expect(422)
    .expect('Content-Type', /problem\+json/);
  expect(refused.body.detail).toMatch(words);
});

test('hostile files do no harm: not JSON, too large, a slipped-in prototype, an id that is none', async () => {
  await full.http
    .post('/api/v1/workspace/import')
    .set('Content-Type', 'application/json')
    .send('{"format": ')
    .expect(400);
  await full.http
    .post('/api/v1/workspace/import')
    .set('Content-Type', 'application/json')
    .send(`{"x":"${'y'.repeat(126_000_000)}"}`)
    .expect(413);
  const send = (product: string) =>
    full.http
      .post('/api/v1/workspace/import')
      .set('Content-Type', 'application/json')
      .send(`{"format":"wheat-ledger.workspace","version":1,"products":[${product}]}`);
  const slipped = await send('{"id":"1; drop table product"}').expect(200);
  const named = await send('{"__proto__":{"name":"x"}}').expect(400);
  expect(named.body.detail).toMatch(/__proto__/);
  expect(slipped.body.written).toBe(false);
  expect(slipped.body.problems.map((p: { path: string }) => p.path)).toContain('products.0.id');
  expect((await full.http.get('/api/v1/products')).body.items.length).toBeGreaterThan(0);
});
