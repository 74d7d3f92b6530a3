import http from 'node:http';
import { MikroORM } from '@mikro-orm/postgresql';
import { loadSample } from '../database/sample.js';
import { product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

/** A request whose headers are exactly as given, which fetch and supertest would mend. */
const raw = (headers: http.OutgoingHttpHeaders): Promise<{ status: number; body: string }> =>
  new Promise((resolve, reject) => {
    const request = http.request(`${t.address}/api/v1/health`, { headers }, (response) => {
      let body = '';
      response.on('data', (d: Buffer) => (body += d.toString()));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
    });
    request.on('error', reject);
    request.end();
  });

test('answers health and readiness', async () => {
  await t.http.get('/api/v1/health').expect(200, { status: 'ok' });
  await t.http.get('/api/v1/ready').expect(200, { status: 'ready' });
});

test('a page elsewhere cannot reach it: foreign Host and Origin are refused', async () => {
  expect((await raw({ host: 'evil.example:80' })).status).toBe(403);
  expect((await raw({ host: '127.0.0.1', origin: 'https://evil.example' })).status).toBe(403);
  expect((await raw({ host: 'localhost:1234', origin: 'null' })).status).toBe(403);
  expect((await raw({ host: 'localhost:1234', origin: 'http://localhost:1234' })).status).toBe(200);
  expect((await raw({ host: '127.0.0.1.evil.example' })).status).toBe(403);
});

test('sends a policy that allows no foreign script, and no sniffing', async () => {
  const { headers } = await t.http.get('/api/v1/health');
  expect(headers['content-security-policy']).toMatch(/script-src 'self' 'wasm-unsafe-eval'(;|$)/);
  expect(headers['content-security-policy']).toMatch(/script-src-attr 'none'/);
  expect(headers['content-security-policy']).toMatch(/object-src 'none'/);
  expect(headers['content-security-policy']).toMatch(/default-src 'self'/);
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-powered-by']).toBeUndefined();
});

test('describes itself: every route and every field of the contract', async () => {
  const { body } = await t.http.get('/api/docs-json').expect(200);
  expect(Object.keys(body.paths)).toEqual(
    expect.arrayContaining([
      '/api/v1/products',
      '/api/v1/products/{id}',
      '/api/v1/plots',
      '/api/v1/recipes',
      '/api/v1/claims',
      '/api/v1/journal',
      '/api/v1/health',
    ]),
  );
  const schema = body.components.schemas.ProductInput;
  expect(Object.keys(schema.properties)).toEqual(
    expect.arrayContaining(['name', 'analysis', 'offers', 'derivedFrom', 'densityKgPerL']),
  );
  expect(schema.properties.analysis.items.$ref).toMatch(/AnalysisFigureInput/);
  expect(schema.required).toContain('name');
  expect(schema.required).not.toContain('densityKgPerL');
  await t.http.get('/api/docs').expect(200).expect('Content-Type', /html/);
});

test('an unknown route is a problem, not a page', async () => {
  const { body } = await t.http
    .get('/api/v1/nothing')
    .expect(404)
    .expect('Content-Type', /problem\+json/);
  expect(body.status).toBe(404);
});

test('the schema is what the entities say: no migration is missing', async () => {
  const orm = t.app.get(MikroORM);
  expect(await orm.getMigrator().getPendingMigrations()).toEqual([]);
  const columns = await orm.em
    .fork()
    .getConnection()
    .execute(`select table_name, column_name from information_schema.columns where table_schema = 'public'`);
  const known = new Set(
    (columns as { table_name: string; column_name: string }[]).map((c) => `${c.table_name}.${c.column_name}`),
  );
  for (const meta of Object.values(orm.getMetadata().getAll()))
    for (const property of meta.props.filter((p) => p.persist !== false))
      for (const column of (property.fieldNames as string[] | undefined) ?? [])
        expect(known).toContain(`${meta.tableName}.${column}`);
});

test('plots, recipes and claims are kept; what they point to must exist', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product()).expect(201);
  await t.http
    .post('/api/v1/claims')
    .send({ statement: 'It feeds', saidBy: '', productId: made.id, crop: 'wheat', needs: ['N', 'N'] })
    .expect(201)
    .expect((r) => expect(r.body.needs).toEqual(['N']));
  const lost = await t.http
    .post('/api/v1/claims')
    .send({
      statement: 'It feeds',
      saidBy: '',
      productId: '00000000-0000-4000-8000-00000000dead',
      crop: 'wheat',
      needs: [],
    })
    .expect(422);
  expect(lost.body.errors[0].path).toBe('productId');
  await t.http
    .post('/api/v1/recipes')
    .send({
      name: 'Mix',
      target: '6-3-5',
      strength: 'grade',
      tolerance: 0.1,
      by: 'weight',
      batchKg: 10,
      parts: [{ productId: made.id, parts: 2 }],
    })
    .expect(201);
  const unread = await t.http
    .post('/api/v1/recipes')
    .send({ name: 'Mix', target: 'lots', strength: 'grade', tolerance: 0.1, by: 'weight', batchKg: 10, parts: [] })
    .expect(422);
  expect(unread.body.errors[0]).toMatchObject({ path: 'target', message: expect.stringContaining('expected a grade') });
  const plot = {
    name: 'Bed',
    areaM2: 12,
    medium: 'mineralSoil',
    texture: 'loam',
    temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 },
  };
  const { body: bed } = await t.http.post('/api/v1/plots').send(plot).expect(201);
  expect(bed).toMatchObject(plot);
  await t.http
    .post('/api/v1/plots')
    .send({ ...plot, temperature: { kind: 'monthly', meansC: [1, 2, 3] } })
    .expect(422);
});

test('the sample comes through the same door as user input, once, and marks its claims as sample', async () => {
  const fresh = await startApp();
  try {
    expect(await loadSample(fresh.app)).toBe(true);
    expect(await loadSample(fresh.app)).toBe(false);
    const { body } = await fresh.http.get('/api/v1/products?limit=500');
    expect(body.items.length).toBeGreaterThanOrEqual(10);
    const { body: claims } = await fresh.http.get('/api/v1/claims');
    expect(claims.items.every((c: { saidBy: string }) => c.saidBy.includes('sample'))).toBe(true);
  } finally {
    await fresh.close();
  }
});

test('what was confirmed is there after the server starts anew on the same database', async () => {
  const first = await startApp();
  const { body: made } = await first.http
    .post('/api/v1/products')
    .send(product({ name: 'Stays' }))
    .expect(201);
  await first.close();
  const second = await startApp({ databaseUrl: first.databaseUrl });
  expect((await second.http.get(`/api/v1/products/${made.id}`)).body.name).toBe('Stays');
  await second.close();
});
