import type { Test } from 'supertest';
import { KINDS, type Bench } from '@wheat-ledger/contract';
import { ask, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
const OTHER = '/api/v1/ledgers/rosewood';
let bags: readonly string[];
let recipe: string;
beforeAll(async () => {
  t = await startApp();
  await t.http.post('/api/v1/ledgers').send({ name: 'Rosewood' }).expect(201);
  const made: string[] = [];
  for (let i = 0; i < 9; i++)
    made.push((await t.http.post('/api/v1/products').send(product({ name: `Bag ${i}` }))).body.id as string);
  bags = made;
  recipe = (
    await t.http.post('/api/v1/recipes').send({
      name: 'Mix',
      target: '',
      strength: 'grade',
      tolerance: 0.1,
      by: 'weight',
      batchKg: 10,
      parts: [{ productId: made[0], parts: 1 }],
    })
  ).body.id as string;
});
afterAll(() => t.close());

const bag = (n: number, aside = false) => ({ kind: 'product' as const, id: bags[n] ?? '', aside });
const read = async (base = '/api/v1'): Promise<Bench> => (await t.http.get(`${base}/bench`).expect(200)).body as Bench;
const lay = (places: unknown, base = '/api/v1'): Test => t.http.put(`${base}/bench`).send({ places });

test('it holds bags and recipes in their order, and the last one laid stands', async () => {
  expect(await read()).toEqual({ places: [] });
  const places = [bag(2), { kind: 'recipe', id: recipe, aside: true }, bag(0, true)];
  expect((await lay(places).expect(200)).body).toEqual({ places });
  await lay([bag(1)]).expect(200);
  expect(await read()).toEqual({ places: [bag(1)] });
});
test('it is not written into the book', async () => {
  const [before] = await ask<{ count: string }>(t.databaseUrl, 'select count(*) from journal');
  await lay([bag(1), bag(2)]).expect(200);
  expect(await ask(t.databaseUrl, 'select count(*) from journal')).toEqual([before]);
});
test('two who lay it at once leave one bench, not a mixture of both', async () => {
  const benches = [[bag(0), bag(1), bag(2)], [bag(5)], [bag(6), bag(7)]];
  await Promise.all(Array.from({ length: 12 }, (_, i) => lay(benches[i % 3]).expect(200)));
  expect(benches).toContainEqual((await read()).places);
});
test.each<readonly [string, () => unknown, RegExp]>([
  ['nine things', () => bags.map((_, i) => bag(i)), /at most 8/],
  ['one thing twice', () => [bag(1), bag(1)], /on the bench already/],
  ['a bag that is not here', () => [{ ...bag(1), id: '00000000-0000-4000-8000-00000000dead' }], /not on this shelf/],
  ['a bag called a recipe', () => [{ ...bag(1), kind: 'recipe' }], /not in this ledger/],
  ['something else', () => [{ ...bag(1), kind: 'plot' }], /what lies on the bench/],
  ['no list', () => 'x', /list/],
  ['nothing to say whether it is set aside', () => [{ kind: 'product', id: bags[0] }], /true or false/],
])('%s is refused, and the bench stays as it was', async (_, places, words) => {
  await lay([bag(3)]).expect(200);
  expect((await lay(places()).expect(422)).text).toMatch(words);
  expect(await read()).toEqual({ places: [bag(3)] });
});
test('each ledger has its own, and none takes a bag of another', async () => {
  await lay([bag(4)]).expect(200);
  expect(await read(OTHER)).toEqual({ places: [] });
  expect((await lay([bag(4)], OTHER).expect(422)).text).toMatch(/not on this shelf/);
});
test('it goes out with the ledger’s file, and is laid where nothing lies yet', async () => {
  await lay([bag(4, true), { kind: 'recipe', id: recipe, aside: false }]).expect(200);
  const { text } = await t.http.get('/api/v1/workspace/export').buffer(true);
  const file = JSON.parse(text) as object;
  const tried = await t.http.post(`${OTHER}/workspace/import`).send(file).expect(200);
  expect(tried.body).toMatchObject({ benchLaid: true, written: false, problems: [] });
  expect(await read(OTHER)).toEqual({ places: [] });
  await t.http.post(`${OTHER}/workspace/import?write=yes`).send(file).expect(200);
  const there = await read(OTHER);
  expect(there.places.map(({ kind, aside }) => [kind, aside])).toEqual([
    ['product', true],
    ['recipe', false],
  ]);
  const own = (await t.http.get(`${OTHER}/${KINDS.product.path}/${there.places[0]?.id}`).expect(200)).body;
  expect(own.name).toBe('Bag 4');
  await lay([], OTHER).expect(200);
  await lay([there.places[1]], OTHER).expect(200);
  const again = await t.http.post(`${OTHER}/workspace/import?write=yes`).send(file).expect(200);
  expect(again.body).toMatchObject({ benchLaid: false, written: true });
  expect(await read(OTHER)).toEqual({ places: [there.places[1]] });
});
test('a file whose bench names what is not in it is refused whole', async () => {
  const { text } = await t.http.get('/api/v1/workspace/export').buffer(true);
  const file = { ...(JSON.parse(text) as object), bench: [{ ...bag(1), id: '00000000-0000-4000-8000-00000000dead' }] };
  await lay([], OTHER).expect(200);
  const { body } = await t.http.post(`${OTHER}/workspace/import?write=yes`).send(file).expect(200);
  expect(body).toMatchObject({ written: false, problems: [{ path: 'bench.0.id' }] });
  const older = { ...(JSON.parse(text) as object), bench: undefined };
  await t.http.post(`${OTHER}/workspace/import?write=yes`).send(older).expect(200);
});

test.each([
  ['Ada%20Larkmere', 'Ada Larkmere'],
  [encodeURIComponent('Zoë 庭'), 'Zoë 庭'],
  ['%', 'gardener'],
  ['%00', 'gardener'],
  ['x'.repeat(81), 'gardener'],
  ['', 'gardener'],
])('who writes stands in the book: %s as %s', async (said, who) => {
  const { body } = await t.http.post('/api/v1/products').set('X-Written-By', said).send(product()).expect(201);
  const { items } = (await t.http.get(`/api/v1/journal?recordId=${body.id}`)).body as { items: { who: string }[] };
  expect(items[0]?.who).toBe(who);
});
