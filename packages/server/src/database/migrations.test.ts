import { MikroORM } from '@mikro-orm/postgresql';
import { ask, product, startApp } from '../../test/app.js';
import { ormConfig } from './orm.js';

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
