import type { AttachedContent, AttachmentRecord, EntryRecord, LeafTestInput, PourInput } from '@wheat-ledger/contract';
import { PLOTS } from '@wheat-ledger/demo';
import { ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
let plotId: string;
beforeAll(async () => {
  t = await startApp();
  plotId = ((await t.http.post('/api/v1/plots').send(PLOTS[0]).expect(201)).body as { id: string }).id;
});
afterAll(() => t.close());

const leaf = (given: Partial<LeafTestInput> = {}): LeafTestInput => ({
  plotId,
  on: '2026-06-10',
  part: 'flag leaf',
  samples: 40,
  found: [{ nutrient: 'N', percent: 2.6 }],
  stepPercent: 10,
  note: '',
  ...given,
});
const NOWHERE = '00000000-0000-4000-8000-000000000001';

test('a leaf test is kept as it was sent, changed, and found by its plot', async () => {
  const { body } = await t.http.post('/api/v1/leaf-tests').send(leaf()).expect(201);
  const made = body as { id: string; version: number };
  expect(body).toMatchObject(leaf());
  await t.http
    .put(`/api/v1/leaf-tests/${made.id}`)
    .set(ifMatch(made.version))
    .send(leaf({ stepPercent: 15, samples: 25 }))
    .expect(200);
  const { body: list } = await t.http.get(`/api/v1/leaf-tests?plot=${plotId}`).expect(200);
  expect((list as { items: object[] }).items).toEqual([expect.objectContaining({ stepPercent: 15, samples: 25 })]);
});

test.each([
  ['an element that is none', { found: [{ nutrient: 'Xx', percent: 2 }] }, 'found.0.nutrient'],
  ['more than all', { found: [{ nutrient: 'N', percent: 101 }] }, 'found.0.percent'],
  ['nothing found', { found: [] }, 'found'],
  ['a step of nothing', { stepPercent: 0 }, 'stepPercent'],
  ['a plot of elsewhere', { plotId: NOWHERE }, 'plotId'],
  ['no part', { part: '' }, 'part'],
])('%s is refused by its field', async (_, wrong, path) => {
  const { body } = await t.http
    .post('/api/v1/leaf-tests')
    .send({ ...leaf(), ...wrong })
    .expect(422);
  expect((body as { errors: { path: string }[] }).errors.map((e) => e.path)).toContain(path);
});

test('what ran through a pot is kept, with its pH or without', async () => {
  const pour: PourInput = { plotId, on: '2026-05-04', ecMsPerCm: 0.8, note: '' };
  const { body } = await t.http.post('/api/v1/pour-readings').send(pour).expect(201);
  expect(body).toMatchObject(pour);
  expect(body).not.toHaveProperty('pH');
  await t.http
    .post('/api/v1/pour-readings')
    .send({ ...pour, pH: 6.1 })
    .expect(201);
  await t.http
    .post('/api/v1/pour-readings')
    .send({ ...pour, pH: 15 })
    .expect(422);
});

/** The smallest PNG there is. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test('a photo is of a bag or of what was done, of one that is here and not of both', async () => {
  const { body: bag } = await t.http.post('/api/v1/products').send(product()).expect(201);
  const productId = (bag as { id: string }).id;
  const logged = {
    plotId,
    on: '2026-04-02',
    what: 'Weeded',
    items: [],
    by: '',
    weather: '',
    note: '',
    minutes: 45,
  };
  const { body: entry } = await t.http.post('/api/v1/log-entries').send(logged).expect(201);
  expect(entry).toMatchObject({ minutes: 45 });
  const entryId = (entry as EntryRecord).id;
  const { body: content } = await t.http
    .post('/api/v1/attachments/content')
    .set('Content-Type', 'application/octet-stream')
    .send(PNG)
    .expect(200);
  const photo = { name: 'bed.png', ...(content as AttachedContent) };
  const attach = (of: object, status: number) =>
    t.http
      .post('/api/v1/attachments')
      .send({ ...photo, ...of })
      .expect(status);
  const { body } = await attach({ entryId }, 201);
  expect(body).toMatchObject({ entryId });
  expect(body).not.toHaveProperty('productId');
  await attach({ productId }, 201);
  await attach({ productId, entryId }, 422);
  await attach({}, 422);
  await attach({ entryId: NOWHERE }, 422);
  const { body: list } = await t.http.get(`/api/v1/attachments?entry=${entryId}`).expect(200);
  expect((list as { items: AttachmentRecord[] }).items).toHaveLength(1);
});
