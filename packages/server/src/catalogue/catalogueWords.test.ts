import type { CataloguePage } from '@wheat-ledger/contract';
import { startApp, type TestApp } from '../../test/app.js';
import { HEAD, row, takeList } from '../../test/lists.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp({ requestsPerMinute: 1e6 });
});
afterAll(() => t.close());

/** Products with what 25 kg of them cost; all hold 10 % N. */
type Priced = readonly (readonly [name: string, price: number])[];
const csvOf = (all: Priced): string => [HEAD, ...all.map(([name, price]) => row(name, '10', String(price)))].join('\n');

const SEARCHES = [
  ...['tomato', 'tom', 'to', 't', 'feed', 'tomato feed', 'feed tomato', 'düng', 'DÜNGER', 'é', 'n-7', '7', '12', '%'],
  ...['_', '-', 'mato-liq', 'xylophone', 'tomato xylophone', 'brind', 'meal%', "l'or", 'томат', 'том feed', '肥'],
  'meal\u00a0feed',
];
const FIRST: Priced = [
  ['Plain meal', 10],
  ['Bone meal feed', 12],
  ['Tomato feed', 90],
  ['TOMATO-liquid N-7 12', 80],
  ['Automaton oil', 70],
  ['Dünger spezial', 60],
  ["Éclat d'été l'or", 55],
  ['Томат feed', 50],
  ['肥料 7', 45],
];

async function found(words: string): Promise<readonly string[]> {
  const asked = new URLSearchParams({ by: 'N', currency: 'EUR', words });
  const { body } = await t.http.get(`/api/v1/catalogue/products?${asked.toString()}`).expect(200);
  return (body as CataloguePage).items.map((p) => p.name);
}
/** The same by looking at every product. */
const byHand = (all: Priced, words: string): readonly string[] =>
  [...all]
    .sort((a, b) => a[1] - b[1])
    .map(([name]) => name)
    .filter((name) =>
      words
        .toLowerCase()
        .split(/\s+/)
        .every((word) => `${name} brindle`.toLowerCase().includes(word)),
    );
async function expectAllFound(all: Priced): Promise<void> {
  for (const words of SEARCHES) expect([words, await found(words)]).toEqual([words, byHand(all, words)]);
}

test('words find what holds them, the cheapest first, whatever became of the prices and the lists', async () => {
  const list = await takeList(t, csvOf(FIRST), 'Words');
  await expectAllFound(FIRST);
  expect(await found('tom')).toEqual(['Automaton oil', 'TOMATO-liquid N-7 12', 'Tomato feed']);

  const cheaper = FIRST.map(([name, price]) => [name, name === 'Tomato feed' ? 1 : price] as const);
  await takeList(t, csvOf(cheaper), 'Words');
  await expectAllFound(cheaper);
  expect((await found('tom'))[0]).toBe('Tomato feed');

  const other: Priced = [['Xylophone tomato', 5]];
  const { id } = await takeList(t, csvOf(other), 'Other');
  await expectAllFound([...cheaper, ...other]);
  await t.http.post(`/api/v1/catalogue/lists/${id}/take-back`).expect(200);
  await t.http.post(`/api/v1/catalogue/lists/${list.id}/take-back`).expect(200);
  await expectAllFound(FIRST);
});
