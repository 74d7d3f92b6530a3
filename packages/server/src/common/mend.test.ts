import http from 'node:http';
import { MikroORM } from '@mikro-orm/postgresql';
import { RECORD_KINDS } from '@wheat-ledger/contract';
import { Stores } from '../records/stores.service.js';
import { loadSample } from '../database/sample.js';
import { ask, ifMatch, product, scopeCheck, startApp, type TestApp } from '../../test/app.js';
import { countValues } from './depth.js';
import { Gate } from './gate.js';
import { ownId } from './ownIds.js';
import { WorkspaceScope } from './workspaceScope.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
  await loadSample(t.app);
});
afterAll(() => t.close());

const WORDS = [
  'null',
  'NULL',
  '{}',
  ',',
  '"',
  '\\',
  ' x ',
  'say "bone"',
  'a,b',
  '{"a"}',
  "'",
  '\u{1f33e}',
  'ends in "\nand goes on',
];

test.each(WORDS)('an ingredient called %j, and every other text of a bag, comes back as it was typed', async (word) => {
  const input = product({
    name: word.trim() === '' ? 'x' : word,
    note: word,
    seller: word,
    derivedFrom: [word, 'urea'],
    storage: word,
  });
  const { body, status } = await t.http.post('/api/v1/products').send(input);
  expect(status).toBe(201);
  const { body: kept } = await t.http.get(`/api/v1/products/${body.id}`).expect(200);
  expect([kept.name, kept.note, kept.seller, kept.storage, kept.derivedFrom]).toEqual([
    input.name,
    word,
    word,
    word,
    [word, 'urea'],
  ]);
});
test.each([
  ['NUL', 'a\0b'],
  ['half of a character', 'a\ud83cb'],
  ['100 000 characters', 'x'.repeat(100_000)],
])('%s in any text is refused in words', async (_what, word) => {
  for (const given of [{ name: word }, { note: word }, { derivedFrom: [word] }, { seller: word }])
    await t.http.post('/api/v1/products').send(product(given)).expect(422);
});
test('the shelf still lists and exports with all of them on it', async () => {
  const { body } = await t.http.get('/api/v1/products?limit=500').expect(200);
  expect(body.items.length).toBeGreaterThan(WORDS.length);
  await t.http.get('/api/v1/workspace/export').expect(200);
});

test('an export has its length, is whole, and stands as it was at one moment while others write', async () => {
  const writers = Array.from({ length: 20 }, (_, i) =>
    t.http.post('/api/v1/products').send(product({ name: `Writer ${i}` })),
  );
  const exports = Array.from({ length: 6 }, () => t.http.get('/api/v1/workspace/export').buffer(true));
  const [answers] = await Promise.all([Promise.all(exports), Promise.all(writers)]);
  for (const { status, headers, text } of answers) {
    expect(status).toBe(200);
    expect(Number(headers['content-length'] ?? Buffer.byteLength(text))).toBe(Buffer.byteLength(text));
    const file = JSON.parse(text) as { products: { id: string }[]; claims: { productId: string }[] };
    const ids = new Set(file.products.map((p) => p.id));
    expect(file.claims.every((c) => ids.has(c.productId))).toBe(true);
  }
});

test('a broken body is told what is wrong with it, though pages are served', async () => {
  const post = (body: string, type = 'application/json') =>
    t.http.post('/api/v1/products').set('Content-Type', type).send(body);
  await post('{"name":')
    .expect(400)
    .expect('Content-Type', /problem\+json/);
  await post(JSON.stringify({ note: 'x'.repeat(400_000) }))
    .expect(413)
    .expect('Content-Type', /problem\+json/);
  await post('{}', 'application/json; charset=x-unknown').expect(415);
  await t.http
    .post('/api/v1/products')
    .send(JSON.parse(`${'['.repeat(3000)}${']'.repeat(3000)}`) as object)
    .expect(400);
});
test('views get the page, assets their own, and what is missing is missing', async () => {
  await t.http.get('/shelf/anything').expect(200).expect('Content-Type', /html/).expect('Cache-Control', 'no-cache');
  await t.http
    .get('/assets/app-1.js')
    .expect(200)
    .expect('Cache-Control', /immutable/);
  await t.http.get('/assets/gone.js').expect(404);
  await t.http
    .get('/api/v1/gone')
    .expect(404)
    .expect('Content-Type', /problem\+json/);
});

/** A request whose headers are exactly as given. */
const sent = (method: string, headers: http.OutgoingHttpHeaders, path = '/api/v1/products'): Promise<number> =>
  new Promise((resolve, reject) => {
    const request = http.request(`${t.address}${path}`, { method, headers }, (response) => {
      response.resume();
      response.on('end', () => resolve(response.statusCode ?? 0));
    });
    request.on('error', reject);
    request.end();
  });
test('a page of another port, scheme or name cannot reach it, nor can one that says it is another site read or write', async () => {
  const { host } = new URL(t.address);
  const port = Number(host.split(':')[1]);
  expect(await sent('GET', { host, origin: `http://${host}` })).toBe(200);
  for (const origin of [
    `http://127.0.0.1:${port + 1}`,
    `https://${host}`,
    `http://localhost:${port}`,
    'null',
    'nonsense',
  ])
    expect([origin, await sent('GET', { host, origin })]).toEqual([origin, 403]);
  for (const site of ['cross-site', 'same-site'])
    expect([site, await sent('POST', { host, 'sec-fetch-site': site })]).toEqual([site, 403]);
  for (const site of ['same-origin', 'none'])
    expect([site, await sent('POST', { host, 'sec-fetch-site': site })]).toEqual([site, 422]);
  for (const site of ['cross-site', 'same-site'])
    for (const mode of ['no-cors', 'cors', 'navigate'])
      expect([mode, await sent('GET', { host, 'sec-fetch-site': site, 'sec-fetch-mode': mode })]).toEqual([mode, 403]);
  // A link to a page may stand anywhere; what is no page may not be opened from elsewhere.
  const page = (headers: http.OutgoingHttpHeaders) =>
    sent('GET', { host, 'sec-fetch-site': 'cross-site', ...headers }, '/');
  expect(await page({ 'sec-fetch-mode': 'navigate' })).not.toBe(403);
  expect(await page({ 'sec-fetch-mode': 'no-cors' })).toBe(403);
});

test.each([
  ['at the top', '{"__proto__": {"isAdmin": true}, "name": "x"}'],
  ['inside', '{"name": "x", "analysis": [{"__proto__": 1}]}'],
  ['written otherwise', '{"\\u005f_proto__": {}}'],
])('a field named __proto__ %s is refused in words', async (_where, body) => {
  const answer = await t.http.post('/api/v1/products').set('Content-Type', 'application/json').send(body).expect(400);
  expect((answer.body as { detail: string }).detail).toMatch(/__proto__/);
});

test('taking out twice and putting back what is present are refused in words', async () => {
  const { body } = await t.http
    .post('/api/v1/products')
    .send(product({ name: 'Once' }))
    .expect(201);
  const at = `/api/v1/products/${body.id}`;
  await t.http.post(`${at}/restore`).set(ifMatch(1)).expect(409);
  await t.http.delete(at).set(ifMatch(1)).expect(200);
  await t.http.delete(at).set(ifMatch(2)).expect(404);
  await t.http.post(`${at}/restore`).set(ifMatch(2)).expect(200);
});
test.each([
  '["a\\u0000","00000000-0000-4000-8000-000000000001"]',
  '["a","x"]',
  '{}',
  '[]',
  '["\\ud800","00000000-0000-4000-8000-000000000001"]',
])('a place in a list such as %s is refused', async (place) => {
  const after = Buffer.from(place).toString('base64url');
  await t.http.get(`/api/v1/products?after=${after}`).expect(400);
});
test('a list goes on from its place by name and id, each record once', async () => {
  for (let i = 0; i < 5; i++) await t.http.post('/api/v1/products').send(product({ name: 'Same name' }));
  const seen: string[] = [];
  let after = '';
  do {
    const { body } = await t.http.get(`/api/v1/products?limit=3${after && `&after=${after}`}`).expect(200);
    seen.push(...(body.items as { id: string }[]).map((p) => p.id));
    after = (body.next as string | null) ?? '';
  } while (after);
  const { body: all } = await t.http.get('/api/v1/products?limit=500');
  expect(seen).toEqual((all.items as { id: string }[]).map((p) => p.id));
  expect(new Set(seen).size).toBe(seen.length);
});

test('a file with an id twice, or with more contents than there is room for, is refused in words', async () => {
  const { text } = await t.http.get('/api/v1/workspace/export').buffer(true);
  const file = JSON.parse(text) as { products: object[]; contents: unknown[] };
  const twice = { ...file, products: [...file.products, file.products[0]] };
  const { body } = await t.http.post('/api/v1/workspace/import').send(twice).expect(200);
  expect(JSON.stringify(body.problems)).toMatch(/stands in the list twice/);
  const many = { ...file, contents: Array.from({ length: 5001 }, () => ({})) };
  await t.http.post('/api/v1/workspace/import').send(many).expect(422);
});

test('a file of nothing, millions of times, is refused before it is read', async () => {
  const nothing = `{"format":"wheat-ledger.workspace","version":1,"products":[${'{},'.repeat(8_000_000)}{}]}`;
  const { status, body } = await t.http
    .post('/api/v1/workspace/import')
    .set('Content-Type', 'application/json')
    .send(nothing);
  expect([status, body.type]).toEqual([413, '/problems/too-many-values']);
});
test('values are counted outside texts alone', () => {
  const count = (json: string): number => countValues(Buffer.from(json));
  expect(count('1')).toBe(1);
  expect(count('[1,2,{"a":[3]}]')).toBe(6);
  expect(count('["a,{[","b\\",,"]')).toBe(3);
});

test('a sender that falls silent is let go', async () => {
  const quick = await startApp({ idleMs: 300 });
  const ended = await new Promise<string>((resolve) => {
    const request = http.request(`${quick.address}/api/v1/products`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'content-length': 100 },
    });
    request.on('error', (error: NodeJS.ErrnoException) => resolve(error.code ?? ''));
    request.on('response', (response) => resolve(String(response.statusCode)));
    request.write('{"name":');
  });
  expect(ended).toBe('ECONNRESET');
  await quick.close();
});

const OTHER = '00000000-0000-4000-8000-0000000000aa';
test('another workspace takes one’s own file: ids that are held become its own, references follow, twice adds nothing', async () => {
  const scope = t.app.get(WorkspaceScope);
  const orm = t.app.get(MikroORM);
  await orm.em
    .fork()
    .getConnection()
    .execute('insert into workspace (id, name, slug) values (?, ?, ?)', [OTHER, 'other', 'other']);
  const { text } = await t.http.get('/api/v1/workspace/export').buffer(true);
  const { ExchangeService } = await import('../book/exchange.service.js');
  const exchange = t.app.get(ExchangeService);
  const { RequestContext } = await import('@mikro-orm/core');
  const within = <T>(work: () => Promise<T>): Promise<T> =>
    RequestContext.create(orm.em, () => scope.run({ id: OTHER, who: 'neighbour' }, work));
  const first = await within(() => exchange.import(JSON.parse(text), true));
  expect(first).toMatchObject({ problems: [], written: true, alreadyHere: 0 });
  expect(first.added).toBeGreaterThan(20);
  const again = await within(() => exchange.import(JSON.parse(text), true));
  expect(again).toMatchObject({ problems: [], added: 0, alreadyHere: first.added });

  const stores = t.app.get(Stores);
  for (const kind of RECORD_KINDS) {
    const store = stores.of(kind);
    const [mine, theirs] = [
      await RequestContext.create(orm.em, () => store.list({ limit: 500 })),
      await within(() => store.list({ limit: 500 })),
    ];
    const ids = new Set(mine.items.map((r) => r.id));
    expect([kind, theirs.items.filter((r) => ids.has(r.id)).length]).toEqual([kind, 0]);
    const [one] = mine.items;
    if (!one) continue;
    await expect(within(() => store.get(one.id))).rejects.toMatchObject({ code: 'not-found' });
    await expect(within(() => store.remove(one.id, one.version))).rejects.toMatchObject({ code: 'not-found' });
    expect(await within(() => store.known([one.id]))).toEqual(new Set());
    expect(await within(() => store.heldElsewhere([one.id]))).toEqual(new Set([one.id]));
  }
  const claims = await within(() => stores.of('claim').list({ limit: 500 }));
  const bags = new Set((await within(() => stores.of('product').list({ limit: 500 }))).items.map((p) => p.id));
  expect(claims.items.every((c) => bags.has((c as unknown as { productId: string }).productId))).toBe(true);
});

test('a statement that does not say whose rows it means is found, wherever it stands', () => {
  const isScoped = scopeCheck(t.app.get(MikroORM));
  for (const sql of [
    'select * from "product" where id = ?',
    'update analysis_figure set value = 1',
    'select 1 from plot p join soil_report s on s.plot_id = p.id',
    'insert into "journal" ("at") values (?)',
    'delete from recipe_part where recipe_id = ?',
  ])
    expect([sql, isScoped(sql)]).toEqual([sql, false]);
  expect(isScoped('select * from "product" where "workspace_id" = ?')).toBe(true);
  expect(isScoped('select id from workspace')).toBe(true);
});
test('the database itself refuses a line of another workspace', async () => {
  const [{ id }] = (await t.http.get('/api/v1/products?limit=1')).body.items as [{ id: string }];
  await expect(
    ask(
      t.databaseUrl,
      `insert into offer (workspace_id, product_id, position, size, unit) values ('${OTHER}', '${id}', 0, 1, 'kg')`,
    ),
  ).rejects.toThrow(/foreign key/);
});

test('an id of one’s own is a version 5 UUID, always the same', () => {
  const made = ownId(OTHER, '3f2b8c1e-0000-4000-8000-000000000001');
  expect(made).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(ownId(OTHER, '3f2b8c1e-0000-4000-8000-000000000001')).toBe(made);
  // RFC 9562, appendix A.4: www.example.com in the DNS name space.
  expect(ownId('6ba7b810-9dad-11d1-80b4-00c04fd430c8', 'www.example.com')).toBe('2ed6657d-e927-568b-95e1-2665a8aea6a2');
});

test('a gate lets two through at once, some wait, the rest are told', async () => {
  const gate = new Gate('imports', 2, 1);
  let running = 0;
  let most = 0;
  const ends: (() => void)[] = [];
  const work = () =>
    gate.run(async () => {
      most = Math.max(most, ++running);
      await new Promise<void>((end) => ends.push(end));
      running -= 1;
    });
  const all = [work(), work(), work()];
  await expect(work()).rejects.toMatchObject({ code: 'busy' });
  for (let i = 0; i < 3; i++) {
    await new Promise((go) => setTimeout(go, 5));
    ends.shift()?.();
  }
  await Promise.all(all);
  expect(most).toBe(2);
});
