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
  undoes: string | null;
  before: { name: string } | null;
  after: { name: string };
}
const entriesOf = async (recordId: string): Promise<Entry[]> =>
  (await t.http.get(`/api/v1/journal?recordId=${recordId}`).expect(200)).body.items;
const nameOf = async (id: string): Promise<string> => (await t.http.get(`/api/v1/products/${id}`)).body.name;
const undo = async (id: string, status = 200) => t.http.post(`/api/v1/journal/${id}/undo`).expect(status);

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
  await undo(update!.id);
  expect(await nameOf(made.id)).toBe('First');
  expect((await t.http.get(`/api/v1/products/${made.id}`)).body.offers).toEqual(product().offers);
  const [undone] = await entriesOf(made.id);
  expect(undone).toMatchObject({ action: 'update', undoes: update!.id });
  await undo(undone!.id);
  expect(await nameOf(made.id)).toBe('Second');
});

test('undoing a creation removes, undoing a removal restores', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'Brief' }));
  await undo((await entriesOf(made.id))[0]!.id);
  expect((await t.http.get(`/api/v1/products/${made.id}`)).body.deletedAt).not.toBeNull();
  await undo((await entriesOf(made.id))[0]!.id);
  expect((await t.http.get(`/api/v1/products/${made.id}`)).body.deletedAt).toBeNull();
});

test('only the latest change of a record can be taken back', async () => {
  const { body: made } = await t.http.post('/api/v1/products').send(product({ name: 'Old' }));
  const [first] = await entriesOf(made.id);
  await t.http
    .put(`/api/v1/products/${made.id}`)
    .set(ifMatch(1))
    .send(product({ name: 'New' }));
  await undo(first!.id, 409);
  expect(await nameOf(made.id)).toBe('New');
  await undo('999999999', 404);
  await undo('1; drop table journal', 404);
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
  expect((await t.http.post(`/api/v1/imports/${done.batch}/undo`).expect(200)).body).toEqual({
    takenOut: 299,
    changedSince: 1,
  });
  expect((await bags()).map((p) => p.name)).toEqual(['Brought in, then mended']);
  const [gone] = await bags(true);
  const [entry] = await entriesOf(gone!.id);
  expect(entry).toMatchObject({ action: 'remove', undoable: true });
  await undo(entry!.id);
  expect(await bags()).toHaveLength(2);
  expect((await t.http.post(`/api/v1/imports/${done.batch}/undo`).expect(200)).body).toMatchObject({ takenOut: 0 });
  await t.http.post('/api/v1/imports/00000000-0000-4000-8000-00000000dead/undo').expect(404);
  await t.http.post('/api/v1/imports/all/undo').expect(400);
});
