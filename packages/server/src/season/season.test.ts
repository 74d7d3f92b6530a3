import { MikroORM } from '@mikro-orm/postgresql';
import { PLOTS } from '@wheat-ledger/demo';
import { ask, ifMatch, product, startApp, type TestApp } from '../../test/app.js';
import { ormConfig } from '../database/orm.js';

let t: TestApp;
let plotId: string;
let productId: string;
beforeAll(async () => {
  t = await startApp();
  plotId = (await t.http.post('/api/v1/plots').send(PLOTS[0]).expect(201)).body.id;
  productId = (await t.http.post('/api/v1/products').send(product()).expect(201)).body.id;
});
afterAll(() => t.close());

const NOWHERE = '00000000-0000-4000-8000-00000000dead';
const season = (given: object = {}) => ({ plotId, crop: 'wheat', from: '2026-03-15', share: 1, note: '', ...given });
const keep = async (path: string, input: object) => (await t.http.post(`/api/v1/${path}`).send(input).expect(201)).body;
const refused = async (path: string, input: object): Promise<readonly string[]> =>
  (await t.http.post(`/api/v1/${path}`).send(input).expect(422)).body.errors.map((e: { path: string }) => e.path);

const giving = (given: object = {}) => ({
  what: 'product',
  productId,
  amount: { kind: 'rate', amount: 40, unit: 'g', per: { amount: 1, unit: 'm²' } },
  when: { kind: 'afterPlanting', days: 0 },
  where: { kind: 'workedIn', depthM: 0.1 },
  part: { share: 1 },
  note: '',
  ...given,
});

test('a plot keeps several seasons, asked for by plot and by day, and last year’s stays', async () => {
  const last = await keep('seasons', season({ crop: 'garlic', from: '2024-10-12', to: '2025-07-14' }));
  const now = await keep('seasons', season({ share: 0.5 }));
  const { items } = (await t.http.get(`/api/v1/seasons?plot=${plotId}`)).body;
  expect(items.map((s: { id: string }) => s.id)).toEqual([last.id, now.id]);
  expect(items[0]).toMatchObject({ crop: 'garlic', to: '2025-07-14' });
  expect(items[1]).not.toHaveProperty('to');
  const recent = await t.http.get(`/api/v1/seasons?plot=${plotId}&from=2026-01-01`);
  expect(recent.body.items).toHaveLength(1);
});

test('a season is of a crop that there is, on a plot that there is, and does not end before it begins', async () => {
  expect(await refused('seasons', season({ plotId: NOWHERE }))).toEqual(['plotId']);
  expect(await refused('seasons', season({ crop: undefined, cropId: NOWHERE }))).toEqual(['cropId']);
  expect(await refused('seasons', season({ to: '2026-03-14' }))).toEqual(['to']);
  expect(await refused('seasons', season({ crop: 'triffid' }))).toEqual(['crop']);
  expect(await refused('seasons', season({ crop: undefined }))).toEqual(['crop']);
  expect(await refused('seasons', season({ share: 0 }))).toEqual(['share']);
});

test('an own crop overrules the library field by field, and its season names it', async () => {
  const crop = {
    name: 'Own wheat',
    basedOn: 'wheat',
    uptakeKgPerHa: [{ nutrient: 'N', low: 60, mid: 70, high: 90 }],
    tissue: [{ nutrient: 'N', lowPercent: 3, highPercent: 4, part: 'flag leaf', when: 'at heading' }],
    course: { kind: 'warmth', baseC: 0, halfDegreeDays: 900, endDegreeDays: 1700 },
    note: 'measured',
  };
  const made = await keep('crops', crop);
  expect(made).toMatchObject(crop);
  const grown = await keep('seasons', season({ crop: undefined, cropId: made.id }));
  expect(grown.cropId).toBe(made.id);
  expect(grown).not.toHaveProperty('crop');
  const uses = await t.http.get(`/api/v1/crops/${made.id}/uses`).expect(200);
  expect(uses.body).toEqual([{ kind: 'season', count: 1 }]);
  expect(await refused('crops', { ...crop, yieldTPerHa: { low: 5, mid: 3, high: 4 } })).toEqual(['yieldTPerHa']);
  expect(await refused('crops', { ...crop, uptakeKgPerHa: [...crop.uptakeKgPerHa, ...crop.uptakeKgPerHa] })).toEqual([
    'uptakeKgPerHa.1.nutrient',
  ]);
  expect(await refused('crops', { ...crop, pHLow: 7, pHHigh: 6 })).toEqual(['pHHigh']);
  expect(await refused('crops', { ...crop, course: { ...crop.course, endDegreeDays: 800 } })).toEqual([
    'course.endDegreeDays',
  ]);
});

test('a programme keeps its applications in order, of bags, recipes and water that there are', async () => {
  const seasonId = (await keep('seasons', season())).id;
  const recipe = await keep('recipes', {
    name: 'Half and half',
    target: '',
    strength: 'grade',
    tolerance: 0.1,
    by: 'weight',
    batchKg: 1,
    parts: [{ productId, parts: 1 }],
  });
  const programme = {
    name: 'Two dressings',
    seasonId,
    note: '',
    applications: [
      giving(),
      giving({ what: 'recipe', productId: undefined, recipeId: recipe.id, when: { kind: 'stage', stage: 'half' } }),
      giving({ what: 'water', productId: undefined, when: { kind: 'date', on: '2026-05-01' } }),
    ],
  };
  const made = await keep('programmes', programme);
  const plain = JSON.parse(JSON.stringify(programme));
  expect(made).toMatchObject(plain);
  expect((await t.http.get(`/api/v1/programmes?season=${seasonId}`)).body.items).toHaveLength(1);
  const turned = { ...plain, applications: [...plain.applications].reverse() };
  const { body: changed } = await t.http.put(`/api/v1/programmes/${made.id}`).set(ifMatch(1)).send(turned).expect(200);
  expect(changed.applications.map((a: { what: string }) => a.what)).toEqual(['water', 'recipe', 'product']);
  const used = await t.http.get(`/api/v1/products/${productId}/uses`);
  expect(used.body).toEqual(expect.arrayContaining([{ kind: 'programme', count: 1 }]));
  const { body: journal } = await t.http.get(`/api/v1/journal?recordId=${made.id}`);
  await t.http.post(`/api/v1/operations/${journal.items[0].operation}/undo`).expect(200);
  expect((await t.http.get(`/api/v1/programmes/${made.id}`)).body).toMatchObject(plain);
});

test('a programme of what is not here, or that cannot be, is refused at its place', async () => {
  const seasonId = (await keep('seasons', season())).id;
  const of = (...applications: object[]) => ({ name: 'P', seasonId, note: '', applications });
  expect(await refused('programmes', { ...of(), seasonId: NOWHERE })).toEqual(['seasonId']);
  expect(await refused('programmes', of(giving(), giving({ productId: NOWHERE })))).toEqual([
    'applications.1.productId',
  ]);
  expect(await refused('programmes', of(giving({ what: 'recipe', productId: undefined, recipeId: NOWHERE })))).toEqual([
    'applications.0.recipeId',
  ]);
  expect(await refused('programmes', of(giving({ where: { kind: 'ring', innerM: 0.6, outerM: 0.2 } })))).toEqual([
    'applications.0.where.outerM',
  ]);
  const backwards = { kind: 'repeat', from: '2026-06-01', to: '2026-05-01', everyDays: 7 };
  expect(await refused('programmes', of(giving({ when: backwards })))).toEqual(['applications.0.when.to']);
  const least = { kind: 'rate', amount: 40, least: 50, unit: 'g', per: { amount: 1, unit: 'm²' } };
  expect(await refused('programmes', of(giving({ amount: least })))).toEqual(['applications.0.amount.least']);
  const noPer = { kind: 'rate', amount: 40, unit: 'g' };
  expect(await refused('programmes', of(giving({ amount: noPer })))).toEqual(['applications.0.amount.per']);
  expect(await refused('programmes', of(giving({ where: { kind: 'workedIn' } })))).toEqual([
    'applications.0.where.depthM',
  ]);
});

test('a programme copied to another ledger brings its season, plot, crop and bags', async () => {
  const crop = await keep('crops', { name: 'Travelling leeks', basedOn: 'leek', note: '' });
  const seasonId = (await keep('seasons', season({ crop: undefined, cropId: crop.id }))).id;
  const made = await keep('programmes', { name: 'To go', seasonId, note: '', applications: [giving()] });
  const { body: other } = await t.http.post('/api/v1/ledgers').send({ name: 'Next door' }).expect(201);
  const there = `/api/v1/ledgers/${other.slug}`;
  const ask = { from: 'home', kind: 'programme', id: made.id };
  const { body: done } = await t.http.post(`${there}/copies`).send(ask).expect(201);
  // The programme, its season, plot, crop and bag.
  expect(done).toMatchObject({ added: 5, alreadyHere: 0 });
  const { body: copy } = await t.http.get(`${there}/programmes/${done.id}`).expect(200);
  await t.http.get(`${there}/products/${copy.applications[0].productId}`).expect(200);
  const { body: grown } = await t.http.get(`${there}/seasons/${copy.seasonId}`).expect(200);
  await t.http.get(`${there}/crops/${grown.cropId}`).expect(200);
  await t.http.get(`${there}/plots/${grown.plotId}`).expect(200);
});

test('own crops, seasons and programmes go out and come back as they were', async () => {
  const { body: file } = await t.http.get('/api/v1/workspace/export').expect(200);
  expect([file.crops.length > 0, file.seasons.length > 2, file.programmes.length > 0]).toEqual([true, true, true]);
  const other = await startApp();
  const { body: report } = await other.http.post('/api/v1/workspace/import?write=yes').send(file).expect(200);
  expect(report).toMatchObject({ problems: [], written: true });
  const { body: back } = await other.http.get('/api/v1/workspace/export').expect(200);
  for (const list of ['crops', 'seasons', 'programmes'] as const) expect(back[list]).toEqual(file[list]);
  await other.close();
});

test('a ledger whose plots held their crop keeps it as a season in the book, and can go back', async () => {
  const old = await startApp();
  const { body: plot } = await old.http.post('/api/v1/plots').send(PLOTS[0]).expect(201);
  const orm = await MikroORM.init(ormConfig(old.databaseUrl));
  await orm.getMigrator().down({ to: 'Migration0012Details' });
  await ask(old.databaseUrl, `update plot set crop = 'leek', planted_on = '2025-04-01' where id = '${plot.id}'`);
  await orm.getMigrator().up();
  const { body: kept } = await old.http.get(`/api/v1/seasons?plot=${plot.id}`);
  expect(kept.items).toEqual([
    expect.objectContaining({ plotId: plot.id, crop: 'leek', from: '2025-04-01', share: 1, note: '' }),
  ]);
  const { body: journal } = await old.http.get('/api/v1/journal');
  expect(journal.items[0]).toMatchObject({ kind: 'season', action: 'create', why: 'the plot’s crop became a season' });
  expect(journal.items[0].after).toEqual({ plotId: plot.id, crop: 'leek', from: '2025-04-01', share: 1, note: '' });
  await orm.getMigrator().down({ to: 'Migration0012Details' });
  expect(await ask(old.databaseUrl, 'select crop from plot')).toEqual([{ crop: 'leek' }]);
  await orm.getMigrator().up();
  await orm.close();
  await old.close();
});
