import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { CatalogueChange, CatalogueList, CataloguePreview, CatalogueProduct } from '@wheat-ledger/contract';
import { startApp, type TestApp } from '../../test/app.js';
import { HEAD, row, takeList } from '../../test/lists.js';

let t: TestApp;
let feed: Server;
let answer = { status: 200, text: '' };
beforeAll(async () => {
  feed = createServer((request, response) => {
    response.writeHead(request.url === '/catalogue.csv' ? answer.status : 404).end(answer.text);
  });
  await new Promise<void>((ok) => feed.listen(0, '127.0.0.1', ok));
  t = await startApp({
    requestsPerMinute: 1e6,
    priceFeed: `http://127.0.0.1:${(feed.address() as AddressInfo).port}`,
  });
});
afterAll(async () => {
  await t.close();
  await new Promise((done) => feed.close(done));
});

const PRICES = 'item,size,unit,price,currency,seen,status,seller';
const prices = (id: string, csv: string, status = 200) =>
  t.http.post(`/api/v1/catalogue/lists/${id}/prices`).set('Content-Type', 'text/csv').send(csv).expect(status);
const taken = async ({ importId }: CataloguePreview, list: string): Promise<CatalogueList> =>
  (await t.http.post(`/api/v1/catalogue/imports/${importId}/take`).send({ list, seller: 'Brindle' }).expect(200))
    .body as CatalogueList;
const shown = async (list: CatalogueList): Promise<object> => {
  const { body } = await t.http.get(`/api/v1/catalogue/products?list=${list.id}`).expect(200);
  return Object.fromEntries((body as { items: CatalogueProduct[] }).items.map((p) => [p.name, p.pricePerKg]));
};

test('a price list makes what it names dearer or cheaper and leaves the rest; it is taken back as one', async () => {
  const csv = [
    HEAD,
    row('Urea', '46', '23'),
    row('Meal', '12', '15'),
    row('Potash', '', '20', { k: '50' }),
    row('Lime', '', '5'),
  ].join('\n');
  const list = await takeList(t, csv, 'Feed list');
  const preview = (
    await prices(
      list.id,
      [
        PRICES,
        'Urea,25,kg,25.00,EUR,2026-11-01,,',
        'Meal,25000,g,14,EUR,2026-11-01,,brindle',
        'Potash,25,kg,20,EUR,2026-11-01,,',
        'Urea,10,kg,11,EUR,2026-11-01,,',
        'Moon dust,1,kg,9,EUR,,,',
        'Lime,25,kg,soon,EUR,,,',
        'Meal,25,kg,13,EUR,,,Somebody else',
      ].join('\r\n'),
    )
  ).body as CataloguePreview;
  expect(preview).toMatchObject({
    rows: 7,
    differences: { new: 0, dearer: 1, cheaper: 1, reformulated: 0, changed: 0, gone: 0 },
  });
  expect(preview.problems.map((p) => p.row).sort()).toEqual([6, 7, 8]);
  expect(preview.problems.find((p) => p.row === 6)?.message).toMatch(/Moon dust, 1 kg: the list holds no such package/);
  const before = await shown(list);
  expect(await taken(preview, 'Feed list')).toMatchObject({ revision: 2, products: 4 });
  expect(await shown(list)).toEqual({ ...before, Urea: 1, Meal: 14 / 25 });
  const { body } = await t.http.get(`/api/v1/catalogue/lists/${list.id}/changes`).expect(200);
  expect((body as CatalogueChange[]).map((c) => `${c.kind} ${c.name}`)).toEqual(['cheaper Meal', 'dearer Urea']);
  await t.http.post(`/api/v1/catalogue/lists/${list.id}/take-back`).expect(200);
  expect(await shown(list)).toEqual(before);
});

test('what the seller’s server says is read the same way; where it says nothing useful nothing changes', async () => {
  const list = await takeList(t, [HEAD, row('Oats', '3', '10'), row('Rye', '3', '12')].join('\n'), 'Of the server');
  const ask = (status: number) => t.http.post(`/api/v1/catalogue/lists/${list.id}/prices/feed`).expect(status);
  answer = { status: 200, text: `${PRICES}\nOats,25,kg,,,2026-11-01,withdrawn,\nRye,25,kg,13,EUR,,,` };
  const preview = (await ask(200)).body as CataloguePreview;
  expect(preview.differences).toMatchObject({ dearer: 1, changed: 1 });
  await taken(preview, 'Of the server');
  expect(await shown(list)).toEqual({ Oats: null, Rye: 13 / 25 });
  answer = { status: 500, text: '' };
  expect(((await ask(502)).body as { detail: string }).detail).toMatch(/answers 500/);
  answer = { status: 200, text: 'name,N %\nOats,5' };
  expect(((await ask(422)).body as { detail: string }).detail).toMatch(/Read no column item, size, unit/);
  answer = { status: 200, text: '' };
  await ask(422);
  expect(await shown(list)).toEqual({ Oats: null, Rye: 13 / 25 });
});

test('many lines are read in pieces, and a list that is not there has no prices', async () => {
  const names = Array.from({ length: 3000 }, (_, i) => `Sort ${i}`);
  const list = await takeList(t, [HEAD, ...names.map((n) => row(n, '5', '10'))].join('\n'), 'Long');
  const lines = names.map(
    (n, i) => `${n},25,kg,${i % 3 === 0 ? 11 : 10},EUR,2026-11-01,,Brindle and Sons of the Long Hill`,
  );
  const short = lines.map((l) => l.replace('Brindle and Sons of the Long Hill', 'Brindle'));
  const none = (await prices(list.id, [PRICES, ...lines].join('\n'))).body as CataloguePreview;
  expect([none.rows, none.good, none.problems.length]).toEqual([3000, 0, 200]);
  const preview = (await prices(list.id, [PRICES, ...short].join('\n'))).body as CataloguePreview;
  expect([preview.rows, preview.good]).toEqual([3000, 3000]);
  expect(preview.differences).toMatchObject({ dearer: 1000, cheaper: 0, gone: 0, new: 0 });
  await t.http
    .post(`/api/v1/catalogue/lists/${crypto.randomUUID()}/prices`)
    .set('Content-Type', 'text/csv')
    .send('x')
    .expect(404);
  await t.http.post('/api/v1/ledgers').send({ name: 'Rosewood' });
  await t.http
    .post(`/api/v1/ledgers/rosewood/catalogue/lists/${list.id}/prices`)
    .set('Content-Type', 'text/csv')
    .send([PRICES, ...short].join('\n'))
    .expect(404);
});

test('a product that is named again far below counts once, and keeps the row it came with', async () => {
  const list = await takeList(t, [HEAD, row('Twice', '5', '10'), row('Other', '5', '10')].join('\n'), 'Doubles');
  // So long a note that the lines are read in pieces.
  const note = 'x'.repeat(90_000);
  const lines = [['Twice', 11], ...Array.from({ length: 6 }, () => ['Other', 10]), ['Twice', 12]];
  const csv = [`${PRICES},note`, ...lines.map(([name, price]) => `${name},25,kg,${price},EUR,2026-11-01,,,${note}`)];
  const preview = (await prices(list.id, csv.join('\n'))).body as CataloguePreview;
  expect(preview.differences).toEqual({ new: 0, dearer: 1, cheaper: 0, reformulated: 0, changed: 0, gone: 0 });
  expect(preview.problems.find((p) => p.row === 9)?.message).toMatch(/stands in row 2 already/);
  await taken(preview, 'Doubles');
  expect(await shown(list)).toEqual({ Twice: 11 / 25, Other: 10 / 25 });
  const { body } = await t.http.get(`/api/v1/catalogue/products?list=${list.id}&words=twice`).expect(200);
  const [twice] = (body as { items: CatalogueProduct[] }).items;
  const record = (await t.http.get(`/api/v1/catalogue/products/${twice!.id}`).expect(200)).body as { row: number };
  expect(record.row).toBe(2);
});
