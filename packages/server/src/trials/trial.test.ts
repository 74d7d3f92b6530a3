import type { AttachedContent, AttachmentRecord, TrialInput, TrialSheetInput } from '@wheat-ledger/contract';
import { PLOTS, TRIALS } from '@wheat-ledger/demo';
import { ifMatch, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
let plotId: string;
beforeAll(async () => {
  t = await startApp();
  plotId = ((await t.http.post('/api/v1/plots').send(PLOTS[0]).expect(201)).body as { id: string }).id;
});
afterAll(() => t.close());

/** What the sample's trial is beside its plot, its sheets and the day it began. */
const WITHOUT = ['plot', 'sheets', 'startedOn'];
const REST = Object.fromEntries(Object.entries(TRIALS[0]!).filter(([key]) => !WITHOUT.includes(key)));
const trial = (given: Partial<TrialInput> = {}): TrialInput => ({
  ...(REST as unknown as TrialInput),
  plotId,
  ...given,
});
async function make(given: Partial<TrialInput> = {}): Promise<{ id: string; version: number }> {
  const { body } = await t.http.post('/api/v1/trials').send(trial(given)).expect(201);
  return body as { id: string; version: number };
}

test('a trial is kept as it was sent, with its sheets, which are found by it', async () => {
  const { id } = await make();
  const { body } = await t.http.get(`/api/v1/trials/${id}`).expect(200);
  expect(body).toMatchObject(trial());
  const sheet: TrialSheetInput = {
    trialId: id,
    on: '2026-06-14',
    outcome: 'height',
    values: [
      { unit: 1, value: 22.5 },
      { unit: 2, value: 15, notOver: true },
    ],
    note: '',
  };
  await t.http.post('/api/v1/trial-sheets').send(sheet).expect(201);
  const { body: list } = await t.http.get(`/api/v1/trial-sheets?trial=${id}`).expect(200);
  expect((list as { items: object[] }).items).toEqual([expect.objectContaining(sheet)]);
});

test('once it has begun its question, layout and arms are fixed; what happened to a unit is not', async () => {
  const { id, version } = await make({ name: 'Begun' });
  const begun = trial({ name: 'Begun', startedOn: '2026-06-01' });
  const put = (input: TrialInput, at: number, status: number) =>
    t.http.put(`/api/v1/trials/${id}`).set(ifMatch(at)).send(input).expect(status);
  await put(begun, version, 200);
  const { body } = await put({ ...begun, question: 'Another?', seed: 5 }, version + 1, 422);
  expect((body as { errors: { path: string }[] }).errors.map((e) => e.path)).toEqual(['question', 'seed']);
  await put({ ...begun, arms: [...begun.arms, { name: 'Late', what: '' }] }, version + 1, 422);
  await put({ ...begun, odd: [{ unit: 3, state: 'lost', why: 'slugs' }] }, version + 1, 200);
});

test.each([
  ['one arm', { arms: [{ name: 'Alone', what: '' }], control: 0 }, 'arms'],
  [
    'arms of one name',
    {
      arms: [
        { name: 'A', what: '' },
        { name: ' a ', what: '' },
      ],
    },
    'arms',
  ],
  ['a control that is none', { control: 7 }, 'control'],
  ['an outcome that is not there', { decides: 'luck' }, 'decides'],
  [
    'more units than are laid out',
    { replicates: 100, arms: [...'ABCDEFG'].map((name) => ({ name, what: '' })) },
    'replicates',
  ],
  ['half a replicate', { replicates: 1.5 }, 'replicates'],
])('%s is refused by its field', async (_, wrong, path) => {
  const { body } = await t.http
    .post('/api/v1/trials')
    .send({ ...trial(), ...wrong })
    .expect(422);
  expect((body as { errors: { path: string }[] }).errors.map((e) => e.path)).toContain(path);
});

test('a sheet is of a trial that is here, each unit once', async () => {
  const { id } = await make({ name: 'Sheets' });
  const sheet = { trialId: id, on: '2026-06-14', outcome: 'height', values: [{ unit: 1, value: 2 }], note: '' };
  await t.http
    .post('/api/v1/trial-sheets')
    .send({ ...sheet, trialId: '00000000-0000-4000-8000-000000000001' })
    .expect(422);
  const { body } = await t.http
    .post('/api/v1/trial-sheets')
    .send({ ...sheet, values: [...sheet.values, { unit: 1, value: 3 }] })
    .expect(422);
  expect((body as { errors: { path: string }[] }).errors.map((e) => e.path)).toEqual(['values.1.unit']);
});

test('an outcome that is not measured there and a unit beyond the last are refused by their fields', async () => {
  const { id } = await make({ name: 'Fits' });
  const sheet = { trialId: id, on: '2026-06-14', note: '' };
  const send = (outcome: string, unit: number) =>
    t.http.post('/api/v1/trial-sheets').send({ ...sheet, outcome, values: [{ unit, value: 1 }] });
  // Three arms in six blocks are eighteen units.
  await send('stems', 18).expect(201);
  const { body } = await send('luck', 19).expect(422);
  expect((body as { errors: { path: string }[] }).errors.map((e) => e.path)).toEqual(['outcome', 'values.0.unit']);
});

test('where its blocks stand may be said after it has begun, for as many blocks as it has', async () => {
  const { id, version } = await make({ name: 'Moved', startedOn: '2026-06-01' });
  const places = Array.from({ length: trial().replicates }, (_, i) => ({ xM: 0.4 * i, yM: 0.8 * i }));
  const put = (blockPlaces: object[], at: number, status: number) =>
    t.http
      .put(`/api/v1/trials/${id}`)
      .set(ifMatch(at))
      .send({ ...trial({ name: 'Moved', startedOn: '2026-06-01' }), blockPlaces })
      .expect(status);
  const { body } = await put(places, version, 200);
  expect(body).toMatchObject({ blockPlaces: places });
  const refused = await put(places.slice(1), version + 1, 422);
  expect((refused.body as { errors: object[] }).errors).toEqual([
    { path: 'blockPlaces', message: 'Read places of 5 blocks, expected 6.' },
  ]);
  await put([{ xM: -1, yM: 0 }, ...places.slice(1)], version + 1, 422);
});

test('a photo is of a unit of a trial, and of no bag beside it; a unit without a trial is refused', async () => {
  const { id } = await make({ name: 'Photos' });
  const PNG = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  const { body: content } = await t.http
    .post('/api/v1/attachments/content')
    .set('Content-Type', 'application/octet-stream')
    .send(PNG)
    .expect(200);
  const attach = (of: object, status: number) =>
    t.http
      .post('/api/v1/attachments')
      .send({ name: 'unit.png', ...(content as AttachedContent), ...of })
      .expect(status);
  await attach({ trialId: id, unit: 4 }, 201);
  await attach({ trialId: id, unit: 0 }, 422);
  await attach({ trialId: id, productId: id }, 422);
  await attach({ unit: 4 }, 422);
  await attach({ trialId: plotId }, 422);
  const { body: list } = await t.http.get(`/api/v1/attachments?trial=${id}`).expect(200);
  expect((list as { items: AttachmentRecord[] }).items).toEqual([expect.objectContaining({ trialId: id, unit: 4 })]);
});
