import { ifMatch, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => { t = await startApp(); });
afterAll(() => t.close());

const plot = (given: object = {}): object => ({ name: 'Bed', areaM2: 14.4, crop: 'leek', medium: 'mineralSoil', texture: 'loam', temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 }, plantedOn: '2026-04-01', ...given });
const report = (plotId: string, given: object = {}): object => ({ plotId, name: 'Slip 1', sampledOn: '2026-02-01', depthM: 0.15, note: '', figures: [{ analyte: 'P', value: { kind: 'number', value: 27 }, unit: 'mg/kg', method: 'olsen' }, { analyte: 'nitrateN', value: { kind: 'below', limit: 2 }, unit: 'mg/kg', method: 'notSaid' }], ...given });

test('a shape is kept with its plot, and its area must be its own', async () => {
  const shape = { kind: 'rectangle', lengthsM: [12, 1.2] };
  const { body: made } = await t.http.post('/api/v1/plots').send(plot({ shape })).expect(201);
  expect(made.shape).toEqual(shape);
  const wrong = await t.http.put(`/api/v1/plots/${made.id}`).set(ifMatch(1)).send(plot({ shape, areaM2: 20 })).expect(422);
  expect(wrong.body.errors).toEqual([{ path: 'areaM2', message: 'Read 20.0 m², expected the 14.4 m² of the shape.' }]);
  const open = await t.http.post('/api/v1/plots').send(plot({ shape: { kind: 'triangle', lengthsM: [1, 2, 9] } })).expect(422);
  expect(open.body.errors[0]).toMatchObject({ path: 'shape.lengthsM', message: expect.stringMatching(/do not meet/) });
  await t.http.put(`/api/v1/plots/${made.id}`).set(ifMatch(1)).send(plot()).expect(200).expect((r) => expect(r.body.shape).toBeUndefined());
});

test('a soil report keeps the method of every figure and what is below detection', async () => {
  const { body: bed } = await t.http.post('/api/v1/plots').send(plot()).expect(201);
  const { body: made } = await t.http.post('/api/v1/soil-reports').send(report(bed.id)).expect(201);
  expect((await t.http.get(`/api/v1/soil-reports/${made.id}`)).body).toMatchObject(report(bed.id));
  await t.http.put(`/api/v1/soil-reports/${made.id}`).set(ifMatch(1)).send(report(bed.id, { figures: [] })).expect(200);
  const { body: journal } = await t.http.get(`/api/v1/journal?recordId=${made.id}`);
  await t.http.post(`/api/v1/journal/${journal.items[0].id}/undo`).expect(200);
  expect((await t.http.get(`/api/v1/soil-reports/${made.id}`)).body.figures).toHaveLength(2);
});

test.each([
  ['a plot that is not there', (id: string) => report(id.replace(/^.{4}/, 'dead')), 'plotId'],
  ['a pH that cannot be', (id: string) => report(id, { figures: [{ analyte: 'pH', value: { kind: 'number', value: 64 }, unit: '', method: 'water' }] }), 'figures.0.value'],
  ['a method nobody knows', (id: string) => report(id, { figures: [{ analyte: 'P', value: { kind: 'number', value: 6 }, unit: 'mg/kg', method: 'dowsing' }] }), 'figures.0.method'],
  ['no depth', (id: string) => report(id, { depthM: 0 }), 'depthM'],
])('%s is refused', async (_name, make, path) => {
  const { body: bed } = await t.http.post('/api/v1/plots').send(plot()).expect(201);
  const { body } = await t.http.post('/api/v1/soil-reports').send(make(bed.id)).expect(422);
  expect(body.errors.map((e: { path: string }) => e.path)).toContain(path);
});
