import type {
  CatalogueChange,
  CatalogueList,
  CataloguePage,
  CataloguePreview,
  CatalogueProduct,
  CatalogueRecord,
} from '@wheat-ledger/contract';
import { ask, startApp, type TestApp } from '../../test/app.js';
import { HEAD, readList, row, takeList } from '../../test/lists.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp({ requestsPerMinute: 1e6 });
});
afterAll(() => t.close());

const read = (csv: string, list: string, status?: number) => readList(t, csv, list, status);
const take = (csv: string, list: string) => takeList(t, csv, list);
const page = async (query: string, base = '/api/v1'): Promise<CataloguePage> =>
  (await t.http.get(`${base}/catalogue/products?${query}`).expect(200)).body as CataloguePage;
const names = (all: { readonly items: readonly CatalogueProduct[] }): readonly string[] => all.items.map((p) => p.name);
const everything = (): Promise<object[]> =>
  ask(
    t.databaseUrl,
    'select to_jsonb(p) as row, r.record from catalogue_product p join catalogue_record r on r.product_id = p.id order by p.id',
  );

const FIRST = [
  HEAD,
  row('Urea', '46', '23'),
  row('Feather meal', '12', '15', { form: 'meal', organic: 'yes' }),
  row('Muriate', '', '20', { k: '60', cl: '47' }),
  row('Sulfate of potash', '', '30', { k: '50', cl: '1' }),
  row('Compost', '1-2', '5', { form: 'bulk' }),
  row('Unpriced', '20', ''),
  row('Pound feed', '10', '9', { currency: 'GBP' }),
].join('\n');

describe('a list that is taken over', () => {
  let list: CatalogueList;
  beforeAll(async () => {
    list = await take(FIRST, 'Spring list');
  });

  test('stands among the lists with how many products it has', async () => {
    expect(list).toMatchObject({ name: 'Spring list', seller: 'Brindle', revision: 1, products: 7, shared: false });
    const { body } = await t.http.get('/api/v1/catalogue/lists').expect(200);
    expect(body).toEqual([list]);
    expect((await t.http.get('/api/v1/catalogue/currencies').expect(200)).body).toEqual(['EUR', 'GBP']);
  });

  test('is ranked by what a kg of N costs: 23 EUR for 25 kg of 46 % is 2.00, of 12 % at 15 it is 5.00', async () => {
    const all = await page('by=N&currency=EUR');
    expect(names(all)).toEqual(['Urea', 'Feather meal', 'Compost']);
    expect(all.items[0]!.cost!.mid).toBeCloseTo(2, 5);
    expect(all.items[0]!.seenOn).toBe('2026-10-01');
    expect(all.items[1]!.cost!.low).toBeCloseTo(5, 5);
    // 0.20 EUR a kg at 1 to 2 %: from 10 to 20, by the middle 13.3.
    const { low, mid, high } = all.items[2]!.cost!;
    expect([low, mid, high].map((n) => Number(n!.toFixed(2)))).toEqual([10, 13.33, 20]);
  });

  test('an answer says in its head how long the route took: more than nothing, and less than the whole way', async () => {
    const from = performance.now();
    const { headers } = await t.http.get('/api/v1/catalogue/products?by=N&currency=EUR').expect(200);
    const whole = performance.now() - from;
    const route = Number(/^route;dur=(\d+\.\d{3})$/.exec(headers['server-timing'] ?? '')?.[1]);
    expect(route).toBeGreaterThan(0);
    expect(route).toBeLessThan(whole);
  });

  test('money of several kinds is not ranked together, what has no price is not ranked at all', async () => {
    await t.http.get('/api/v1/catalogue/products?by=N').expect(400);
    expect(names(await page('by=N&currency=GBP'))).toEqual(['Pound feed']);
    expect(names(await page('words=unpriced'))).toEqual(['Unpriced']);
    expect((await page('words=unpriced')).items[0]!.pricePerKg).toBeNull();
  });

  test.each([
    ['by=N&currency=EUR&atLeast=N:12', ['Urea', 'Feather meal']],
    ['by=N&currency=EUR&atLeast=N:12.1', ['Urea']],
    ['by=N&currency=EUR&form=meal,bulk', ['Feather meal', 'Compost']],
    ['organic=yes', ['Feather meal']],
    ['by=K2O&currency=EUR', ['Muriate', 'Sulfate of potash']],
    ['by=K2O&currency=EUR&chloride=2', ['Sulfate of potash']],
    ['words=meal%20feath', ['Feather meal']],
    ['words=%25', []],
    ['seenSince=2026-10-02', []],
    ['seller=Brindle&words=urea', ['Urea']],
    ['origin=plant', []],
  ])('%s finds %j', async (query, found) => {
    expect(names(await page(query))).toEqual(found);
    const { body } = await t.http.get(`/api/v1/catalogue/count?${query}`).expect(200);
    expect(body).toEqual({ count: found.length, more: false });
  });

  test('a product opens to its whole record; one that is not there is not', async () => {
    const [urea] = (await page('words=urea')).items;
    const { body } = await t.http.get(`/api/v1/catalogue/products/${urea!.id}`).expect(200);
    const { record } = body as CatalogueRecord;
    expect(record).toMatchObject({ name: 'Urea', offers: [{ size: 25, unit: 'kg', price: { currency: 'EUR' } }] });
    await t.http.get('/api/v1/catalogue/products/999999').expect(404);
    await t.http.get('/api/v1/catalogue/products/1%20or%201').expect(404);
  });

  test('says which products cost least beyond what they are worth: urea at 0.92 a kg brings 0.46 N at 2.50', async () => {
    const { body } = await t.http
      .get(`/api/v1/catalogue/priced?currency=EUR&list=${list.id}&worth=N:2.5,K2O:1`)
      .expect(200);
    // 0.92 − 0.46 × 2.5 = −0.23; 0.80 − 0.6 = 0.2; compost 0.2 − 0.01 × 2.5 = 0.175; meal 0.6 − 0.3 = 0.3.
    expect((body as CatalogueProduct[]).map((p) => p.name)).toEqual([
      'Urea',
      'Compost',
      'Muriate',
      'Feather meal',
      'Sulfate of potash',
    ]);
    const organic = `/api/v1/catalogue/priced?currency=EUR&organic=yes&worth=N:2.5`;
    expect(((await t.http.get(organic).expect(200)).body as CatalogueProduct[]).map((p) => p.name)).toEqual([
      'Feather meal',
    ]);
    const burdened = `/api/v1/catalogue/priced?currency=EUR&list=${list.id}&worth=K2O:2&burden=K2O:5`;
    expect(((await t.http.get(burdened).expect(200)).body as CatalogueProduct[])[0]!.name).toBe('Compost');
    await t.http.get('/api/v1/catalogue/priced?worth=N:1').expect(400);
    await t.http.get('/api/v1/catalogue/priced?currency=EUR&worth=N:1;x').expect(400);
    await t.http.get('/api/v1/catalogue/priced?currency=EUR').expect(400);
  });

  test('belongs to its ledger alone', async () => {
    await t.http.post('/api/v1/ledgers').send({ name: 'Rosewood' });
    const other = '/api/v1/ledgers/rosewood';
    expect((await page('', other)).items).toEqual([]);
    const [urea] = (await page('words=urea')).items;
    await t.http.get(`${other}/catalogue/products/${urea!.id}`).expect(404);
    await t.http.post(`${other}/catalogue/lists/${list.id}/take-back`).expect(404);
    const preview = (await read(FIRST, 'Mine')).body as CataloguePreview;
    await t.http
      .post(`${other}/catalogue/imports/${preview.importId}/take`)
      .send({ list: 'Mine', seller: '' })
      .expect(404);
    await t.http.post(`/api/v1/catalogue/imports/${preview.importId}/leave`).expect(204);
    await t.http
      .post(`/api/v1/catalogue/imports/${preview.importId}/take`)
      .send({ list: 'Mine', seller: '' })
      .expect(404);
  });

  test('the next list says what is new, dearer, cheaper, reformulated and gone; taken back, all is as it was to the last bit', async () => {
    const before = await everything();
    const second = [
      HEAD,
      row('Urea', '46', '25'),
      row('Feather meal', '12', '14', { form: 'meal', organic: 'yes' }),
      row('Muriate', '', '20', { k: '58', cl: '47' }),
      row('Sulfate of potash', '', '30', { k: '50', cl: '1', organic: 'yes' }),
      row('Compost', '1-2', '5', { form: 'bulk' }),
      row('Unpriced', '20', ''),
      row('Magnesia', '3', '12'),
    ].join('\n');
    const preview = (await read(second, 'Spring list')).body as CataloguePreview;
    expect(preview.differences).toEqual({ new: 1, dearer: 1, cheaper: 1, reformulated: 1, changed: 1, gone: 1 });
    expect(await everything()).toEqual(before);
    const { body } = await t.http
      .post(`/api/v1/catalogue/imports/${preview.importId}/take`)
      .send({ list: 'Spring list', seller: 'Brindle' })
      .expect(200);
    expect(body).toMatchObject({ revision: 2, products: 7 });
    expect(names(await page('by=N&currency=EUR'))).toEqual(['Urea', 'Feather meal', 'Compost', 'Magnesia']);
    const { body: changes } = await t.http.get(`/api/v1/catalogue/lists/${list.id}/changes`).expect(200);
    expect((changes as CatalogueChange[]).map((c) => `${c.kind} ${c.name}`).sort()).toEqual([
      'changed Sulfate of potash',
      'cheaper Feather meal',
      'dearer Urea',
      'gone Pound feed',
      'new Magnesia',
      'reformulated Muriate',
    ]);
    const since = async (query: string) =>
      (await t.http.get(`/api/v1/catalogue/since?${query}`).expect(200)).body as object;
    const none = { new: 0, dearer: 0, cheaper: 0, reformulated: 0, changed: 0, gone: 0 };
    expect(await since('by=N&currency=EUR&since=2026-01-01T00:00:00Z')).toEqual({
      ...none,
      new: 1,
      dearer: 1,
      cheaper: 1,
    });
    expect(await since('by=K2O&currency=EUR&since=2026-01-01T00:00:00Z')).toEqual({
      ...none,
      reformulated: 1,
      changed: 1,
    });
    expect(await since('since=2999-01-01T00:00:00Z')).toEqual(none);
    await t.http.get('/api/v1/catalogue/since?since=yesterday').expect(400);
    const tidied = async (): Promise<number> => {
      const sql = "select vacuum_count::int as times from pg_stat_user_tables where relname = 'catalogue_product'";
      const [found] = await ask<{ times: number }>(t.databaseUrl, sql);
      return found!.times;
    };
    const tidiedBefore = await tidied();
    await t.http.post(`/api/v1/catalogue/lists/${list.id}/take-back`).expect(200);
    expect(await everything()).toEqual(before);
    // Tidied up, so that a search need not look up each row that it passes over.
    expect(await tidied()).toBe(tidiedBefore + 1);
  });
});

test('pages follow each other without a gap or a double, among equal costs too', async () => {
  const many = Array.from({ length: 230 }, (_, i) =>
    row(`Like ${String(i).padStart(3, '0')}`, '5', i % 2 === 0 ? '10' : '20'),
  );
  const list = await take([HEAD, ...many].join('\n'), 'Many');
  const found: string[] = [];
  let after = '';
  do {
    const some = await page(`by=N&currency=EUR&list=${list.id}&limit=40${after}`);
    found.push(...names(some));
    after = some.next === null ? '' : `&after=${some.next}`;
  } while (after !== '');
  expect(found).toHaveLength(230);
  expect(new Set(found).size).toBe(230);
  expect(found.slice(0, 115).every((name) => Number(name.slice(5)) % 2 === 0)).toBe(true);
  const byName: string[] = [];
  do {
    const some = await page(`list=${list.id}&limit=100${after}`);
    byName.push(...names(some));
    after = some.next === null ? '' : `&after=${some.next}`;
  } while (after !== '');
  expect(byName).toEqual([...found].sort());
  const { body } = await t.http.get(`/api/v1/catalogue/facets?list=${list.id}`).expect(200);
  expect(body).toMatchObject({ form: [{ value: 'granule', count: 230 }], seller: [{ value: 'Brindle', count: 230 }] });
});

test('with its first revision a list goes whole', async () => {
  const list = await take([HEAD, row('Alone', '5', '10')].join('\n'), 'Once');
  const { body } = await t.http.post(`/api/v1/catalogue/lists/${list.id}/take-back`).expect(200);
  expect(body).toMatchObject({ revision: 0, products: 0 });
  expect(names(await page('words=alone'))).toEqual([]);
  expect(await ask(t.databaseUrl, `select 1 from catalogue_list where id = '${list.id}'`)).toEqual([]);
  await t.http.post(`/api/v1/catalogue/lists/${list.id}/take-back`).expect(404);
});

test('a product that stands twice counts once, and rows that cannot be read are told by their line', async () => {
  const csv = [HEAD, row('Twice', '5', '10'), row('Twice', '6', '11'), row('Odd', 'lots', '10'), ',,,,,,,,,,,'].join(
    '\n',
  );
  const preview = (await read(csv, 'Doubles')).body as CataloguePreview;
  expect(preview.rows).toBe(3);
  expect(preview.good).toBe(2);
  expect(preview.problems.map((p) => p.row)).toEqual([4, 3]);
  expect(preview.problems[1]!.message).toMatch(/“Twice” of this seller and package stands in row 2 already/);
});

test('a product of very many long ingredients comes in too, and it is told which of its words it is not found by', async () => {
  const chars = (i: number): string =>
    Array.from({ length: 110 }, (_, j) => String.fromCodePoint(0x4e00 + ((i * 7919 + j * 10_427) % 20_000))).join('');
  const many = Array.from({ length: 40 }, (_, i) => chars(i));
  const csv = [
    `${HEAD},derived from`,
    `${row('Many', '46', '23')},"${many.join(', ')}"`,
    `${row('Few', '12', '9')},"Kelp, kelp meal"`,
  ];
  const { body } = await read(csv.join('\n'), 'long ones');
  const preview = body as CataloguePreview;
  expect(preview).toMatchObject({ rows: 2, good: 2 });
  expect(preview.problems).toEqual([
    { row: 2, message: expect.stringMatching(/not found by its last 38 words/) as unknown },
  ]);
  const { products } = await take(csv.join('\n'), 'long ones');
  expect(products).toBe(2);
  const found = async (word: string) => names(await page(`by=N&currency=EUR&words=${encodeURIComponent(word)}`));
  expect(await found(many[0]!.slice(0, 60))).toEqual(['Many']);
  expect(await found('kelp meal')).toEqual(['Few']);
  const { items } = await page(`by=N&currency=EUR&words=${encodeURIComponent('many brindle')}`);
  const { body: whole } = await t.http.get(`/api/v1/catalogue/products/${items[0]!.id}`).expect(200);
  expect((whole as CatalogueRecord).record.derivedFrom).toEqual(many);
});

test('cells with tabs, quotes, backslashes and line ends come through as they are', async () => {
  const name = '"Odd \\N ""bag""\tof\nthree, é"';
  const list = await take([HEAD, row(name, '5', '10')].join('\n'), 'Hostile');
  const [found] = (await page(`list=${list.id}`)).items;
  expect(found!.name).toBe('Odd \\N "bag"\tof\nthree, é');
});

test.each([
  ['limit=0', 400],
  ['by=Zn&currency=EUR', 400],
  ['atLeast=N:5;drop', 400],
  ['currency=euros', 400],
  ['unknown=1', 400],
  ['after=bm9wZQ', 400],
  ['by=N&currency=EUR&after=WyJ4IiwiMSJd', 400],
])('%s is refused with %i', async (query, status) => {
  await t.http.get(`/api/v1/catalogue/products?${query}`).expect(status);
});

test.each([
  ['no heading', 'a,b\n1,2', 422],
  ['an empty file', '', 422],
  ['a heading alone', HEAD, 422],
  ['a quotation mark that never closes', `${HEAD}\n"${'x'.repeat(900_000)}`, 422],
])('%s is refused and leaves nothing behind', async (_, csv, status) => {
  const staged = () => ask(t.databaseUrl, 'select import_id, count(*)::int from catalogue_staging group by import_id');
  const before = await staged();
  await read(csv, 'Refused', status);
  expect(await staged()).toEqual(before);
  const lists = (await t.http.get('/api/v1/catalogue/lists').expect(200)).body as CatalogueList[];
  expect(lists.map((l) => l.name)).not.toContain('Refused');
});
