import type { CatalogueList, CataloguePackaged, CatalogueProduct } from '@wheat-ledger/contract';
import { startApp, type TestApp } from '../../test/app.js';
import { takeList } from '../../test/lists.js';

let t: TestApp;
let list: CatalogueList;
beforeAll(async () => {
  t = await startApp({ requestsPerMinute: 1e6 });
  const csv = [
    'name,seller,form,N %,K2O %,package,price,package (2),price (2),currency,currency (2),in stock,place',
    'Urea,Brindle,granule,46,,25 kg,23,5 kg,6,EUR,EUR,yes,Larkmere',
    'Meal,Brindle,meal,12-14,,20 kg,12,,,EUR,,sold out,',
    'Potash,Brindle,granule,,50,10 kg,14,,,EUR,,,Larkmere',
    'Compound,Brindle,granule,12,10,20 kg,22,,,EUR,,no,',
    'Pound feed,Brindle,granule,10,10,20 kg,1,,,GBP,,yes,',
  ].join('\n');
  list = await takeList(t, csv, 'Packages');
});
afterAll(() => t.close());

const asked = async <Answer>(path: string): Promise<Answer> =>
  (await t.http.get(`/api/v1/catalogue/${path}`).expect(200)).body as Answer;
const packs = async (query: string): Promise<readonly string[]> =>
  (await asked<CataloguePackaged[]>(`packages?currency=EUR&${query}`)).map(
    (p) => `${p.product.name} ${p.kg}: ${p.price}`,
  );

test('of whole packages: 25 kg of urea for 23 hold 11.5 kg N worth 2.00 each, and cost 0; what is worth nothing costs its price', async () => {
  // Urea 25: 23 − 23 = 0. Urea 5: 6 − 4.6 = 1.4. Meal: 12 − 20 × 0.24 = 7.2. Compound: 22 − 4.8 = 17.2. Potash: 14.
  expect(await packs('worth=N:2&most=10')).toEqual([
    'Urea 25: 23',
    'Urea 5: 6',
    'Meal 20: 12',
    'Potash 10: 14',
    'Compound 20: 22',
  ]);
  expect(await packs('worth=N:2&most=10&within=7.3')).toEqual(['Urea 25: 23', 'Urea 5: 6', 'Meal 20: 12']);
  expect(await packs('worth=N:2&most=1')).toEqual(['Urea 25: 23']);
  // A burden above the worth is not worth less than nothing: the package need not be used up.
  expect((await packs('worth=N:2&burden=N:99&most=1'))[0]).toBe('Urea 5: 6');
});

test('by its middle or its high end a range is worth more', async () => {
  const at = async (held: string) => (await packs(`worth=N:10&most=1&within=9&held=${held}&words=meal`)).length;
  // Meal: 12 − 20 × 10 × 0.12 = −12, so it is within 9 by every end; with a worth of 1: 12 − 2.4, − 2.6, − 2.8.
  expect(await at('low')).toBe(1);
  const near = async (held: string) => (await packs(`worth=N:1&most=1&within=9.5&held=${held}&words=meal`)).length;
  expect([await near('low'), await near('mid'), await near('high')]).toEqual([0, 1, 1]);
  const priced = await asked<CatalogueProduct[]>('priced?currency=EUR&worth=N:4.5&held=high&words=meal');
  expect(priced.map((p) => p.name)).toEqual(['Meal']);
});

test('alone, only what brings everything: 83 kg of the compound; of N alone urea is the cheapest', async () => {
  const names = async (wanted: string) =>
    (await asked<CatalogueProduct[]>(`alone?currency=EUR&wanted=${wanted}`)).map((p) => p.name);
  expect(await names('N:10,K2O:5')).toEqual(['Compound']);
  expect(await names('N:10')).toEqual(['Urea', 'Meal', 'Compound']);
  expect(await names('N:0')).toEqual([]);
  expect(await names('Mg:1')).toEqual([]);
});

test.each([
  'packages?worth=N:2&most=10',
  'packages?currency=EUR&worth=N:2',
  'packages?currency=EUR&worth=N:2&most=5000',
  'packages?currency=EUR&worth=N:2&most=5&within=-1',
  'priced?currency=EUR&worth=N:2&held=sideways',
  'alone?currency=EUR',
  'alone?wanted=N:1',
])('%s is refused', async (path) => {
  const { body } = await t.http.get(`/api/v1/catalogue/${path}`).expect(400);
  expect((body as { detail: string }).detail).toMatch(/^Expected/);
});

test('in stock and sold in are read from the list, and filter', async () => {
  const names = async (query: string) =>
    (await asked<{ items: CatalogueProduct[] }>(`products?list=${list.id}&${query}`)).items.map((p) => p.name);
  expect(await names('inStock=yes')).toEqual(['Pound feed', 'Urea']);
  expect(await names('inStock=no')).toEqual(['Compound', 'Meal']);
  expect(await names('place=Larkmere')).toEqual(['Potash', 'Urea']);
  const [urea] = (await asked<{ items: CatalogueProduct[] }>(`products?list=${list.id}&words=urea`)).items;
  expect(await asked(`products/${urea!.id}`)).toMatchObject({
    list: 'Packages',
    row: 2,
    place: 'Larkmere',
    shared: false,
    inStock: true,
  });
});
