import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CatalogueList, CataloguePage } from '@wheat-ledger/contract';
import { startApp, type TestApp } from '../test/app.js';
import { HEAD, row, takeList } from '../test/lists.js';
import { sharedLists } from './sharedLists.js';

let t: TestApp;
const folder = mkdtempSync(join(tmpdir(), 'lists-'));
const file = (name: string, ...rows: string[]): string => {
  const path = join(folder, name);
  writeFileSync(path, [HEAD, ...rows].join('\n'));
  return path;
};
beforeAll(async () => {
  t = await startApp({ requestsPerMinute: 1e6 });
  await t.http.post('/api/v1/ledgers').send({ name: 'Rosewood' });
});
afterAll(async () => {
  await t.close();
  rmSync(folder, { recursive: true });
});

const BASES = ['/api/v1', '/api/v1/ledgers/rosewood'];
const get = async <Answer>(base: string, path: string): Promise<Answer> =>
  (await t.http.get(`${base}/catalogue/${path}`).expect(200)).body as Answer;
const names = async (base: string): Promise<readonly string[]> =>
  (await get<CataloguePage>(base, 'products?by=N&currency=EUR')).items.map((p) => p.name);

test('a list of the whole installation is ranked among a ledger’s own in every ledger, and changed in none', async () => {
  expect(await sharedLists.all(t.app)).toBe('No list of the whole installation yet.');
  await takeList(t, [HEAD, row('Own cheap', '46', '10'), row('Own dear', '10', '40')].join('\n'), 'Own');
  const told = await sharedLists.take(
    t.app,
    file('a.csv', row('Shared', '20', '12'), ',Nameless'),
    'For all',
    undefined,
  );
  expect(told).toMatch(/^“For all”, revision 1: 1 product in every ledger\.\n {2}row 3: /);
  expect(await names(BASES[0]!)).toEqual(['Own cheap', 'Shared', 'Own dear']);
  expect(await names(BASES[1]!)).toEqual(['Shared']);
  const [list] = (await get<CatalogueList[]>(BASES[1]!, 'lists')).filter((l) => l.shared);
  expect(list).toMatchObject({ name: 'For all', shared: true, products: 1 });
  expect(await get(BASES[1]!, 'currencies')).toEqual(['EUR']);
  expect(await get(BASES[1]!, 'count')).toEqual({ count: 1, more: false });
  for (const base of BASES) {
    const refused = await t.http.post(`${base}/catalogue/lists/${list!.id}/take-back`).expect(403);
    expect((refused.body as { detail: string }).detail).toMatch(/read only here/);
    await t.http
      .post(`${base}/catalogue/lists/${list!.id}/prices`)
      .set('Content-Type', 'text/csv')
      .send('item,size,unit,price,currency\nShared,25,kg,1,EUR')
      .expect(403);
  }
  expect(await names(BASES[1]!)).toEqual(['Shared']);
});

test('a list of the same name in a ledger is another one', async () => {
  const own = await takeList(t, [HEAD, row('Mine', '5', '10')].join('\n'), 'For all', BASES[1]);
  expect(own.shared).toBe(false);
  expect(await names(BASES[1]!)).toEqual(['Shared', 'Mine']);
  await t.http.post(`${BASES[1]!}/catalogue/lists/${own.id}/take-back`).expect(200);
  expect(await names(BASES[1]!)).toEqual(['Shared']);
});

test('pages go on over both without a gap, and what changed since is told of both', async () => {
  const since = new Date(Date.now() - 1000).toISOString();
  await sharedLists.take(
    t.app,
    file('b.csv', row('Shared', '20', '13'), row('Second', '20', '14')),
    'For all',
    undefined,
  );
  const found: string[] = [];
  let after = '';
  do {
    const page = await get<CataloguePage>(BASES[0]!, `products?by=N&currency=EUR&limit=1${after}`);
    found.push(...page.items.map((p) => p.name));
    after = page.next === null ? '' : `&after=${page.next}`;
  } while (after !== '');
  expect(found).toEqual(['Own cheap', 'Shared', 'Second', 'Own dear']);
  expect(await get(BASES[1]!, `since?since=${since}`)).toMatchObject({ new: 1, dearer: 1 });
  expect(await sharedLists.back(t.app, 'For all')).toBe('“For all” is at revision 1 again: 1 product.');
  expect(await sharedLists.back(t.app, 'For all')).toBe('“For all” is gone.');
  await expect(sharedLists.back(t.app, 'For all')).rejects.toThrow(/no list of the whole installation called/);
  expect(await names(BASES[1]!)).toEqual([]);
});

test('what cannot be read changes nothing', async () => {
  await expect(sharedLists.take(t.app, file('c.csv'), 'Broken', undefined)).rejects.toThrow(/heading line/);
  await expect(sharedLists.take(t.app, join(folder, 'none.csv'), 'Broken', undefined)).rejects.toThrow(
    /cannot be read/,
  );
  expect(await sharedLists.all(t.app)).toBe('No list of the whole installation yet.');
});
