import { ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

const make = async (name: string): Promise<string> =>
  ((await t.http.post('/api/v1/products').send(product({ name })).expect(201)).body as { id: string }).id;
const operate = (changes: readonly object[]) => t.http.post('/api/v1/operations').send({ why: 'a test', changes });

test('three operations that change the same products in other orders all end, none with an error of the server', async () => {
  const ids = [await make('A'), await make('B'), await make('C')];
  const [a = '', b = '', c = ''] = ids;
  const update = (id: string) => ({
    kind: 'product',
    action: 'update',
    id,
    version: 1,
    input: product({ name: id.slice(0, 8) }),
  });
  const orders = [
    [a, b, c],
    [b, c, a],
    [c, a, b],
  ];
  const answers = await Promise.all(Array.from({ length: 12 }, (_, i) => operate((orders[i % 3] ?? []).map(update))));
  const statuses = answers.map((r) => r.status);
  // One comes first; the others saw an older version.
  expect(statuses.filter((s) => s === 201)).toHaveLength(1);
  expect(statuses.filter((s) => s === 409)).toHaveLength(11);
});

test('an id that is there already, or twice in one operation, is 409 and nothing is written', async () => {
  const id = await make('There');
  const create = (name: string, own: string) => ({
    kind: 'product',
    action: 'create',
    id: own,
    input: product({ name }),
  });
  const { body } = await operate([create('New', '11111111-1111-4111-8111-111111111111'), create('Again', id)]).expect(
    409,
  );
  expect((body as { detail: string }).detail).toMatch(/^A record with this id is there already; nothing was saved/);
  const twice = '22222222-2222-4222-8222-222222222222';
  await operate([create('One', twice), create('Two', twice)]).expect(409);
  await t.http.get('/api/v1/products/11111111-1111-4111-8111-111111111111').expect(404);
  await t.http.get(`/api/v1/products/${twice}`).expect(404);
});

test('an operation without changes is refused in words', async () => {
  const { body } = await operate([]).expect(422);
  expect((body as { errors: { path: string }[] }).errors[0]).toMatchObject({ path: 'changes' });
  await t.http
    .put(`/api/v1/products/${await make('Kept')}`)
    .set(ifMatch(1))
    .send(product({ name: 'Kept' }))
    .expect(200);
});
