import { MikroORM } from '@mikro-orm/postgresql';
import { ask, ifMatch, newDatabase, product, startApp } from '../../test/app.js';
import { ormConfig } from './orm.js';
import { loadSample } from './sample.js';

const WITHOUT = product({ name: 'No directions' });
const BAGS = [
  WITHOUT,
  product({
    name: 'By ground',
    directions: [{ use: '', amount: 3, unit: 'lb', per: { amount: 1000, unit: 'ft²' }, perYear: 2 }],
  }),
  product({
    name: 'Both',
    directions: [
      { use: '', amount: 5, unit: 'mL', per: { amount: 1, unit: 'm²' }, perYear: 12 },
      { use: '', amount: 2.5, unit: 'g', per: { amount: 1, unit: 'L of water' } },
    ],
  }),
];

test('a ledger from before directions keeps its label rates and dilutions as directions, and can go back', async () => {
  const t = await startApp();
  for (const bag of BAGS) await t.http.post('/api/v1/products').send(bag).expect(201);
  const orm = await MikroORM.init(ormConfig(t.databaseUrl));
  await orm.getMigrator().down({ to: 'Migration0006Directions' });
  const old = await ask(t.databaseUrl, 'select name, label_rate, dilution from product order by name');
  expect(old).toEqual([
    { name: 'Both', label_rate: { amount: 5, unit: 'mL/m²', perYear: 12 }, dilution: { amount: 2.5, unit: 'g/L' } },
    { name: 'By ground', label_rate: { amount: 3, unit: 'lb/1000 ft²', perYear: 2 }, dilution: null },
    { name: 'No directions', label_rate: null, dilution: null },
  ]);
  await orm.getMigrator().up();
  await orm.close();
  const { items } = (await t.http.get('/api/v1/products').expect(200)).body as { items: { name: string }[] };
  for (const bag of BAGS) expect(items.find((i) => i.name === bag.name)).toMatchObject(bag);
  expect(items.find((i) => i.name === WITHOUT.name)).not.toHaveProperty('directions');
  await t.close();
});

test('a ledger from before operations has each change as one of its own, an import as one, and an old change can still be undone', async () => {
  const t = await startApp();
  const { body: made } = await t.http
    .post('/api/v1/products')
    .send(product({ name: 'Old' }))
    .expect(201);
  const at = `/api/v1/products/${made.id}`;
  await t.http
    .put(at)
    .set(ifMatch(1))
    .send(product({ name: 'New' }))
    .expect(200);
  const { body: page } = await t.http.get(`/api/v1/journal?recordId=${made.id}`);
  await t.http.post(`/api/v1/operations/${page.items[0].operation}/undo`).expect(200);
  const csv = 'name,N %\nOne,5\nTwo,6';
  await t.http.post('/api/v1/shelf/csv?write=yes').set('Content-Type', 'text/csv').send(csv).expect(200);
  const orm = await MikroORM.init(ormConfig(t.databaseUrl));
  await orm.getMigrator().down({ to: 'Migration0008Lines' });
  const [first] = await ask<{ undoes: string | null }>(
    t.databaseUrl,
    'select undoes from journal where undoes is not null',
  );
  expect(first?.undoes).not.toBeNull();
  const batches = await ask<{ batch: string }>(t.databaseUrl, 'select batch from journal where batch is not null');
  expect([batches.length, new Set(batches.map((b) => b.batch)).size]).toEqual([2, 1]);
  await orm.getMigrator().up();
  await orm.close();
  await expect(ask(t.databaseUrl, 'delete from journal')).rejects.toThrow(/append-only/);
  const { items } = (await t.http.get('/api/v1/journal')).body as {
    items: { name: string; operation: string; undoes: string | null; undoable: boolean }[];
  };
  const [two, one, undo, change, create] = items;
  expect([two!.name, one!.name, one!.operation === two!.operation, one!.undoable]).toEqual(['Two', 'One', true, true]);
  expect(undo).toMatchObject({ name: 'Old', undoes: change!.operation, undoable: true });
  expect(create).toMatchObject({ undoes: null, undoable: false });
  await t.http.post(`/api/v1/operations/${undo!.operation}/undo`).expect(200);
  expect((await t.http.get(at)).body.name).toBe('New');
  await t.http.post(`/api/v1/operations/${one!.operation}/undo`).expect(200);
  await t.close();
});

test('two servers started at once on one new database migrate it once and load the sample once', async () => {
  const databaseUrl = await newDatabase();
  const both = await Promise.all([startApp({ databaseUrl }), startApp({ databaseUrl })]);
  const loaded = await Promise.all(both.map((t) => loadSample(t.app)));
  expect([...loaded].sort()).toEqual([false, true]);
  const { items } = (await both[0].http.get('/api/v1/plots').expect(200)).body as { items: { name: string }[] };
  expect(new Set(items.map((p) => p.name)).size).toBe(items.length);
  await Promise.all(both.map((t) => t.close()));
});
