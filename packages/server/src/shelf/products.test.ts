import { MikroORM } from '@mikro-orm/postgresql';
import { ask, ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

const create = async (given: Parameters<typeof product>[0] = {}) =>
  (await t.http.post('/api/v1/products').send(product(given)).expect(201)).body;

test('a product comes back as it was sent, with an id and a version', async () => {
  const sent = product({
    name: 'Everything',
    densityKgPerL: 1.18,
    grade: '4-2-8',
    note: 'two\nlines',
    directions: [
      { use: 'new beds', amount: 5, least: 3, unit: 'mL', per: { amount: 1, unit: 'm²' }, perYear: 12 },
      { use: '', amount: 4, unit: 'g', per: { amount: 10, unit: 'L of water' } },
    ],
    longevity: { days: 150, referenceC: 21 },
    analysis: [
      {
        analyte: 'N',
        basis: 'element',
        value: { kind: 'range', low: 0.4, mid: 0.5, high: 0.7 },
        unit: '%',
        provenance: 'typical',
        source: 'textbook range',
      },
      {
        analyte: 'P',
        basis: 'P2O5',
        value: { kind: 'below', limit: 20 },
        unit: 'mg/kg',
        provenance: 'measured',
        source: 'lab slip',
      },
      {
        analyte: 'P',
        basis: 'element',
        value: { kind: 'number', value: 300 },
        unit: 'mg/kg',
        provenance: 'measured',
        source: 'lab slip',
        extract: 'available',
      },
      {
        analyte: 'N.urea',
        basis: 'element',
        value: { kind: 'number', value: 0.1 },
        unit: '% w/v',
        provenance: 'label',
        source: '',
      },
    ],
    offers: [
      { size: 1, unit: 'L', price: { amount: '8.7575', currency: 'EUR' }, seller: 'Another seller' },
      { size: 5, unit: 'US gal' },
    ],
    labelText: 'Nitrogen 0.5 %\nPhosphate < 20 mg/kg',
    organic: { status: 'unknown', body: '' },
    origins: ['plant', 'waste'],
    carbonToNitrogen: 12.5,
    saltIndex: 46.1,
    limingPer100Kg: -5.5,
    storage: 'dry, away from seed',
  });
  const made = await t.http.post('/api/v1/products').send(sent).expect(201);
  expect(made.headers['etag']).toBe('"1"');
  const { id, version, updatedAt, deletedAt, ...input } = (
    await t.http.get(`/api/v1/products/${made.body.id}`).expect(200)
  ).body;
  expect(input).toEqual(sent);
  expect([version, deletedAt, typeof id, typeof updatedAt]).toEqual([1, null, 'string', 'string']);
});

test('money is an exact decimal in the database', async () => {
  const { id } = await create({
    name: 'Pennies',
    offers: [{ size: 1, unit: 'kg', price: { amount: '0.1', currency: 'EUR' } }],
  });
  const rows = await ask<{ price: string; type: string }>(
    t.databaseUrl,
    `select price::text as price, pg_typeof(price)::text as type from offer where product_id = '${id}'`,
  );
  expect(rows).toEqual([{ price: '0.1000', type: 'numeric' }]);
  expect((await t.http.get(`/api/v1/products/${id}`)).body.offers[0].price).toEqual({
    amount: '0.10',
    currency: 'EUR',
  });
});

test.each([
  [
    'a negative value',
    { analysis: [{ ...product().analysis[0]!, value: { kind: 'number', value: -1 } }] },
    'analysis.0.value.value',
  ],
  [
    'more than the whole',
    { analysis: [{ ...product().analysis[0]!, value: { kind: 'number', value: 101 } }] },
    'analysis.0.value',
  ],
  [
    'a range out of order',
    { analysis: [{ ...product().analysis[0]!, value: { kind: 'range', low: 3, mid: 2, high: 1 } }] },
    'analysis.0.value',
  ],
  [
    'a basis that is not the element’s own',
    { analysis: [{ ...product().analysis[0]!, basis: 'K2O' }] },
    'analysis.0.basis',
  ],
  ['an unknown nutrient', { analysis: [{ ...product().analysis[0]!, analyte: 'Unobtainium' }] }, 'analysis.0.analyte'],
  [
    'a price in floating point notation',
    { offers: [{ size: 1, unit: 'kg', price: { amount: '1e3', currency: 'EUR' } }] },
    'offers.0.price.amount',
  ],
  ['a package of nothing', { offers: [{ size: 0, unit: 'kg' }] }, 'offers.0.size'],
  ['no name', { name: '' }, 'name'],
  ['control characters', { name: 'a\u0000b' }, 'name'],
  ['a name that is not text', { name: { $ne: 1 } }, 'name'],
  ['a field nobody knows', { admin: true }, 'admin'],
  ['a date that is none', { offers: [{ size: 1, unit: 'kg', seenOn: '2026-02-31' }] }, 'offers.0.seenOn'],
])('%s is refused with the path and a sentence', async (_name, given, path) => {
  const refused = await t.http
    .post('/api/v1/products')
    .send(product(given as Parameters<typeof product>[0]))
    .expect(422);
  expect(refused.headers['content-type']).toMatch(/application\/problem\+json/);
  expect(refused.body).toMatchObject({ type: '/problems/invalid', status: 422 });
  expect(refused.body.errors.map((e: { path: string }) => e.path)).toContain(path);
  for (const { message } of refused.body.errors) expect(message).toMatch(/[Ee]xpected|not a field|more than/);
});

test('a contradiction on a label only warns: it is saved', async () => {
  await create({ name: 'Odd', grade: '12-0-0' });
});

test('changing needs the version seen, and refuses to overwrite what changed elsewhere, showing both', async () => {
  const { id } = await create({ name: 'Two tabs' });
  await t.http
    .put(`/api/v1/products/${id}`)
    .send(product({ name: 'No version' }))
    .expect(428);
  const first = await t.http
    .put(`/api/v1/products/${id}`)
    .set(ifMatch(1))
    .send(product({ name: 'First tab' }))
    .expect(200);
  expect(first.headers['etag']).toBe('"2"');
  const second = await t.http
    .put(`/api/v1/products/${id}`)
    .set(ifMatch(1))
    .send(product({ name: 'Second tab' }))
    .expect(409);
  expect(second.body.current).toMatchObject({ name: 'First tab', version: 2 });
  expect((await t.http.get(`/api/v1/products/${id}`)).body.name).toBe('First tab');
});

test('of many changes at once to the same version exactly one wins', async () => {
  const { id } = await create({ name: 'Race' });
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, i) =>
      t.http
        .put(`/api/v1/products/${id}`)
        .set(ifMatch(1))
        .send(product({ name: `Racer ${i}` })),
    ),
  );
  expect(answers.map((a) => a.status).sort()).toEqual([200, ...Array.from({ length: 7 }, () => 409)]);
});

test('removed products leave the list, stand in the removed list, and come back whole', async () => {
  const { id } = await create({ name: 'Comes and goes' });
  await t.http.delete(`/api/v1/products/${id}`).set(ifMatch(1)).expect(200);
  const names = async (query: string): Promise<string[]> =>
    (await t.http.get(`/api/v1/products?limit=500${query}`)).body.items.map((p: { name: string }) => p.name);
  expect(await names('')).not.toContain('Comes and goes');
  expect(await names('&removed=true')).toContain('Comes and goes');
  await t.http.put(`/api/v1/products/${id}`).set(ifMatch(2)).send(product()).expect(404);
  await t.http.post(`/api/v1/products/${id}/restore`).set(ifMatch(2)).expect(200);
  expect((await t.http.get(`/api/v1/products/${id}`)).body).toMatchObject({
    name: 'Comes and goes',
    analysis: product().analysis,
    offers: product().offers,
  });
});

test('pages run through the whole list without gap or repeat, in order', async () => {
  for (let i = 0; i < 7; i++) await create({ name: `Page ${String(i % 3)}` });
  const seen: string[] = [];
  const names: string[] = [];
  let after = '';
  do {
    const { body } = await t.http.get(`/api/v1/products?limit=2${after}`).expect(200);
    for (const p of body.items) {
      seen.push(p.id);
      names.push(p.name);
    }
    after = body.next ? `&after=${body.next}` : '';
  } while (after);
  const { body: all } = await t.http.get('/api/v1/products?limit=500');
  expect(seen).toEqual(all.items.map((p: { id: string }) => p.id));
  expect(new Set(seen).size).toBe(seen.length);
});

test('a list costs the same number of queries however long it is', async () => {
  const orm = t.app.get(MikroORM);
  const count = async (limit: number): Promise<number> => {
    const queries: string[] = [];
    const logger = orm.config.getLogger();
    const spy = jest.spyOn(logger, 'logQuery').mockImplementation((context) => {
      queries.push(context.query ?? '');
    });
    orm.config.set('debug', ['query']);
    const enabled = jest.spyOn(logger, 'isEnabled').mockReturnValue(true);
    await t.http.get(`/api/v1/products?limit=${limit}`).expect(200);
    spy.mockRestore();
    enabled.mockRestore();
    orm.config.set('debug', false);
    // What a ledger's rows are asked for; what the server asks for itself meanwhile, of its connections or counts, is not the list's.
    return queries.filter((sql) => sql.includes('workspace_id')).length;
  };
  const short = await count(2);
  expect(short).toBeGreaterThan(0);
  expect(await count(200)).toBe(short);
  expect(short).toBeLessThanOrEqual(3);
});

test('bad paths, cursors, limits and bodies are refused in problem+json, and nothing breaks', async () => {
  await t.http.get('/api/v1/products/not-an-id').expect(400);
  await t.http.get('/api/v1/products/00000000-0000-4000-8000-00000000dead').expect(404);
  await t.http.get('/api/v1/products?after=@@@').expect(400);
  await t.http.get('/api/v1/products?limit=100000').expect(422);
  await t.http.get('/api/v1/products?limit=1;drop').expect(422);
  await t.http
    .post('/api/v1/products')
    .set('Content-Type', 'application/json')
    .send('{"name": ')
    .expect(400)
    .expect('Content-Type', /problem\+json/);
  await t.http
    .post('/api/v1/products')
    .send({ ...product(), note: 'x'.repeat(300_000) })
    .expect(413)
    .expect('Content-Type', /problem\+json/);
  await t.http.post('/api/v1/products').set('Content-Type', 'text/plain').send('hello').expect(422);
  await t.http.get('/api/v1/products').expect(200);
});

test('every change says when it was made; reading changes nothing', async () => {
  const before = Date.now();
  const made = await create({ name: 'Dated' });
  const at = (record: { updatedAt: string }): number => Date.parse(record.updatedAt);
  expect(at(made)).toBeGreaterThanOrEqual(before - 1);
  await new Promise((go) => setTimeout(go, 10));
  const { body: read } = await t.http.get(`/api/v1/products/${made.id}`);
  expect(read.updatedAt).toBe(made.updatedAt);
  const { body: changed } = await t.http
    .put(`/api/v1/products/${made.id}`)
    .set(ifMatch(1))
    .send(product({ name: 'Dated again' }));
  expect(at(changed)).toBeGreaterThan(at(made));
  await new Promise((go) => setTimeout(go, 10));
  const { body: removed } = await t.http.delete(`/api/v1/products/${made.id}`).set(ifMatch(2));
  expect(at(removed)).toBeGreaterThan(at(changed));
  expect(at(removed)).toBeLessThanOrEqual(Date.now());
});
