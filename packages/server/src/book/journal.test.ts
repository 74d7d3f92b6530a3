import { ask, ifMatch, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

interface Entry {
  id: string;
  action: string;
  undoable: boolean;
  operation: string;
  why: string;
  undoes: string | null;
  before: { name: string } | null;
  after: { name: string };
}
const entriesOf = async (recordId: string): Promise<Entry[]> =>
  (await t.http.get(`/api/v1/journal?recordId=${recordId}`).expect(200)).body.items;
const nameOf = async (id: string): Promise<string> => (await t.http.get(`/api/v1/products/${id}`)).body.name;
const undo = async (operation: string, status = 200) =>
  t.http.post(`/api/v1/operations/${operation}/undo`).expect(status);

test('every change is a row with who, when, before and after', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'One' }));
  await t.http
    .put(`/api/v1/products/${made.id}`)
    .set(ifMatch(1))
    .send(product({ name: 'Two' }));
  await t.http.delete(`/api/v1/products/${made.id}`).set(ifMatch(2));
  const entries = await entriesOf(made.id);
  expect(entries.map((e) => [e.action, e.before?.name ?? null, e.after.name, e.undoable])).toEqual([
    ['remove', 'Two', 'Two', true],
    ['update', 'One', 'Two', false],
    ['create', null, 'One', false],
  ]);
});

test('undo walks back through update and create, and each undo can be undone', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'First' }));
  await t.http
    .put(`/api/v1/products/${made.id}`)
    .set(ifMatch(1))
    .send(product({ name: 'Second', offers: [] }));
  const [update] = await entriesOf(made.id);
  await undo(update!.operation);
  expect(await nameOf(made.id)).toBe('First');
  expect((await t.http.get(`/api/v1/products/${made.id}`)).body.offers).toEqual(product().offers);
  const [undone] = await entriesOf(made.id);
  expect(undone).toMatchObject({ action: 'update', undoes: update!.operation });
  await undo(undone!.operation);
  expect(await nameOf(made.id)).toBe('Second');
});

test('undoing a creation removes, undoing a removal restores', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'Brief' }));
  await undo((await entriesOf(made.id))[0]!.operation);
  expect((await t.http.get(`/api/v1/products/${made.id}`)).body.deletedAt).not.toBeNull();
  await undo((await entriesOf(made.id))[0]!.operation);
  expect((await t.http.get(`/api/v1/products/${made.id}`)).body.deletedAt).toBeNull();
});

test('only the latest change of a record can be taken back', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'Old' }));
  const [first] = await entriesOf(made.id);
  await t.http
    .put(`/api/v1/products/${made.id}`)
    .set(ifMatch(1))
    .send(product({ name: 'New' }));
  await undo(first!.operation, 409);
  expect(await nameOf(made.id)).toBe('New');
  await undo('00000000-0000-4000-8000-00000000dead', 404);
  await undo('1; drop table journal', 400);
});

test('a refused change leaves no trace', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'Quiet' }));
  await t.http
    .put(`/api/v1/products/${made.id}`)
    .set(ifMatch(7))
    .send(product({ name: 'Loud' }))
    .expect(409);
  expect(await entriesOf(made.id)).toHaveLength(1);
});

test('the database itself refuses to alter or erase an entry', async () => {
  await expect(ask(t.databaseUrl, `update journal set who = 'nobody'`)).rejects.toThrow(/append-only/);
  await expect(ask(t.databaseUrl, 'delete from journal')).rejects.toThrow(/append-only/);
});

test('the journal is paged, newest first', async () => {
  const { body: page } = await t.http.get('/api/v1/journal?limit=2').expect(200);
  expect(page.items).toHaveLength(2);
  const { body: older } = await t.http.get(`/api/v1/journal?limit=2&before=${page.next}`).expect(200);
  expect(Number(older.items[0].id)).toBeLessThan(Number(page.items[1].id));
});

test('an import is taken back as a whole, but for what was changed since; taking it back twice does nothing more', async () => {
  const csv = ['name,N %', ...Array.from({ length: 300 }, (_, i) => `Brought in ${i},5`)].join('\n');
  const { body: done } = await t.http
    .post('/api/v1/shelf/csv?write=yes')
    .set('Content-Type', 'text/csv')
    .send(csv)
    .expect(200);
  const bags = async (removed = false): Promise<{ id: string; name: string; version: number }[]> =>
    (await t.http.get(`/api/v1/products?limit=500&removed=${removed}`)).body.items.filter((p: { name: string }) =>
      p.name.startsWith('Brought in'),
    );
  const [kept] = await bags();
  await t.http
    .put(`/api/v1/products/${kept!.id}`)
    .set(ifMatch(kept!.version))
    .send(product({ name: 'Brought in, then mended' }))
    .expect(200);
  expect((await t.http.post(`/api/v1/operations/${done.operation}/undo?leaving=yes`).expect(200)).body).toMatchObject({
    undone: 299,
    changedSince: 1,
  });
  expect((await bags()).map((p) => p.name)).toEqual(['Brought in, then mended']);
  const [gone] = await bags(true);
  const [entry] = await entriesOf(gone!.id);
  expect(entry).toMatchObject({ action: 'remove', undoable: true });
  await undo(entry!.operation);
  expect(await bags()).toHaveLength(300);
  expect((await t.http.post(`/api/v1/operations/${done.operation}/undo?leaving=yes`).expect(200)).body).toMatchObject({
    undone: 0,
  });
});

const ID = (n: number): string => `00000000-0000-4000-8000-0000000e${String(n).padStart(4, '0')}`;
const make = (why: string, changes: readonly object[]) => t.http.post('/api/v1/operations').send({ why, changes });
const claimOn = (productId: string) => ({ statement: 'It feeds', saidBy: '', productId, crop: 'wheat', needs: ['N'] });
const mixOf = (productId: string) => ({
  name: 'From it',
  target: '',
  strength: 'grade',
  tolerance: 0.1,
  by: 'weight',
  batchKg: 10,
  parts: [{ productId, parts: 1 }],
});
const three = (n: number, name: string) => [
  { kind: 'product', action: 'create', id: ID(n), input: product({ name }) },
  { kind: 'claim', action: 'create', id: ID(n + 1), input: claimOn(ID(n)) },
  { kind: 'recipe', action: 'create', id: ID(n + 2), input: mixOf(ID(n)) },
];
const standing = async (n: number): Promise<readonly (boolean | undefined)[]> =>
  Promise.all(
    ['products', 'claims', 'recipes'].map(async (path, i) => {
      const { status, body } = await t.http.get(`/api/v1/${path}/${ID(n + i)}`);
      return status === 404 ? undefined : body.deletedAt === null;
    }),
  );

test('an operation over three kinds is one: made, undone, done again and undone again as a whole', async () => {
  const { body: done } = await make('a bag with what is said of it', three(1, 'Thrice')).expect(201);
  expect(done.records.map((r: { id: string }) => r.id)).toEqual([ID(1), ID(2), ID(3)]);
  const [entry] = await entriesOf(ID(2));
  expect(entry).toMatchObject({ operation: done.operation, why: 'a bag with what is said of it', undoable: true });
  const { body: undone } = await undo(done.operation);
  expect(undone).toMatchObject({ undone: 3, changedSince: 0 });
  expect(await standing(1)).toEqual([false, false, false]);
  await undo(done.operation, 409);
  const { body: redone } = await undo(undone.operation);
  expect(await standing(1)).toEqual([true, true, true]);
  await undo(redone.operation);
  expect(await standing(1)).toEqual([false, false, false]);
});

test('an operation of which one change does not fit changes nothing, and says which', async () => {
  const bad = await make('half', [
    ...three(11, 'Half').slice(0, 2),
    { kind: 'recipe', action: 'create', input: mixOf(ID(99)) },
  ]);
  expect([bad.status, bad.body.errors[0].path]).toEqual([422, 'changes.2.input.parts.0.productId']);
  expect(await standing(11)).toEqual([undefined, undefined, undefined]);
  const unread = await make('half', [{ kind: 'product', action: 'create', input: { name: 3 } }]);
  expect([unread.status, unread.body.errors[0].path]).toEqual([422, 'changes.0.input.name']);
  const stale = await make('half', [
    ...three(21, 'Stale'),
    { kind: 'product', action: 'update', id: ID(21), version: 7, input: product({ name: 'Other' }) },
  ]);
  expect([stale.status, stale.body.errors[0].path]).toEqual([409, 'changes.3']);
  expect(await standing(21)).toEqual([undefined, undefined, undefined]);
  await make('none of a kind', [{ kind: 'weather', action: 'create', input: {} }]).expect(422);
  await make('no version', [{ kind: 'product', action: 'remove', id: ID(1) }]).expect(422);
});

test('what was changed since an operation is named, and nothing of it is undone', async () => {
  const { body: done } = await make('three', three(31, 'Built on')).expect(201);
  await t.http
    .put(`/api/v1/claims/${ID(32)}`)
    .set(ifMatch(1))
    .send({ ...claimOn(ID(31)), statement: 'It feeds well' })
    .expect(200);
  const { body: refused } = await undo(done.operation, 409);
  expect(refused.detail).toBe('It feeds was changed after it. Undo the newer change first.');
  expect(await standing(31)).toEqual([true, true, true]);
  const [entry] = await entriesOf(ID(33));
  expect(entry).toMatchObject({ undoable: false });
});

test('several changes of one record in an operation are undone to what was before them all', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'Before' }));
  const { body: done } = await make('twice', [
    { kind: 'product', action: 'update', id: made.id, version: 1, input: product({ name: 'Between' }) },
    { kind: 'product', action: 'update', id: made.id, version: 2, input: product({ name: 'After' }) },
    { kind: 'product', action: 'remove', id: made.id, version: 3 },
  ]).expect(201);
  await undo(done.operation);
  const { body: now } = await t.http.get(`/api/v1/products/${made.id}`);
  expect([now.name, now.deletedAt]).toEqual(['Before', null]);
});

test('two undoes of one operation at once: one takes it back, the other is refused', async () => {
  const { body: done } = await make('three', three(41, 'Raced')).expect(201);
  const answers = await Promise.all([1, 2, 3].map(() => t.http.post(`/api/v1/operations/${done.operation}/undo`)));
  expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409]);
  expect(await standing(41)).toEqual([false, false, false]);
});

test('how often a record is spoken of is told by kind; what was taken out does not count', async () => {
  await make('three', three(51, 'Spoken of')).expect(201);
  const uses = async () => (await t.http.get(`/api/v1/products/${ID(51)}/uses`).expect(200)).body;
  expect(await uses()).toEqual([
    { kind: 'recipe', count: 1 },
    { kind: 'claim', count: 1 },
  ]);
  await t.http
    .delete(`/api/v1/claims/${ID(52)}`)
    .set(ifMatch(1))
    .expect(200);
  expect(await uses()).toEqual([{ kind: 'recipe', count: 1 }]);
});
