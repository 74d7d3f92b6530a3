import type { CataloguePage, CataloguePreview } from '@wheat-ledger/contract';
import { startApp, type TestApp } from '../../test/app.js';
import { HEAD, readList, row } from '../../test/lists.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp({ requestsPerMinute: 1e6 });
});
afterAll(() => t.close());

const zeros = (n: number): string => `0.${'0'.repeat(n)}1`;
const priced = row('Odd', '46', '23');

/** A row, and what is told of it; nothing where all of it can be read. */
test.each<[string, string, RegExp | undefined]>([
  ['half a character', row('A\ud800b', '46', '23'), undefined],
  ['a name of 60 pictures', row('😀'.repeat(60), '46', '23'), undefined],
  ['a name of 500 letters', row('x'.repeat(500), '46', '23'), /Expected a name, 1 to 120/],
  ['a control character', row('A\u000bb', '46', '23'), /Read control characters/],
  ['N of 1e-50 %', row('Odd', '1e-50', '23'), undefined],
  ['N of 1e-42 %', row('Odd', '1e-42', '23'), undefined],
  ['N of no end of zeros', row('Odd', zeros(50), '23'), /Without N %/],
  ['no N', row('Odd', '0', '23'), undefined],
  ['N below nothing', row('Odd', '-5', '23'), /at least 0/],
  ['N of 200 %', row('Odd', '200', '23'), /more than the whole/],
  ['N without end', row('Odd', 'Infinity', '23'), /Without N %/],
  ['a price of no end of zeros', row('Odd', '46', zeros(320)), /Without price/],
  ['a price of 300 digits', row('Odd', '46', '9'.repeat(300)), /Without price/],
  ['a price below nothing', row('Odd', '46', '-23'), /Without price/],
  ['money of four letters', row('Odd', '46', '23', { currency: 'EURO' }), /three-letter/],
  ['a day that never was', priced.replace('2026-10-01', '9999-99-99'), /Without seen on/],
  ['the year nought', priced.replace('2026-10-01', '0000-01-01'), /Without seen on/],
  ['a package of nothing', priced.replace('25 kg', '0 kg'), /Without package/],
  ['a package of 300 digits', priced.replace('25 kg', `${'9'.repeat(300)} kg`), /Without package/],
])('%s is told by its row, and the list is none the worse', async (name, line, told) => {
  const good = row('Good one', '10', '20');
  const preview = (await readList(t, [HEAD, line, good].join('\n'), name)).body as CataloguePreview;
  expect(preview.problems.map((p) => p.row)).toEqual(told ? [2] : []);
  if (told) expect(preview.problems[0]?.message).toMatch(told);
  const { body: list } = await t.http
    .post(`/api/v1/catalogue/imports/${preview.importId}/take`)
    .send({ list: name, seller: 'Brindle' })
    .expect(200);
  const { body } = await t.http
    .get(`/api/v1/catalogue/products?by=N&currency=EUR&list=${(list as { id: string }).id}`)
    .expect(200);
  const { items } = body as CataloguePage;
  expect(items.map((p) => p.name)).toContain('Good one');
  for (const { cost } of items) expect(cost!.mid).toBeGreaterThan(0);
});

test('a list with a byte of zero is no text', async () => {
  const { body } = await readList(t, [HEAD, row('A\u0000b', '46', '23')].join('\n'), 'nought', 415);
  expect(body).toMatchObject({ status: 415, detail: expect.stringMatching(/no text has/) as unknown });
});

test.each([
  ['products?by=N&words=%00a', /no text has/],
  ['products?by=N&seller=a%00', /no text has/],
  ['products?limit=101', /Expected limit from 1 to 100/],
  ['products?limit=0', /Expected limit from 1 to 100/],
  ['products?atLeast=N:1e400', /such as N:5/],
  ['products?seenSince=2026-02-31', /2026-02-31/],
  ['products?words[a]=b', /not a field/],
  [`products?list=${'-'.repeat(36)}`, /a list by its id/],
  ['since?since=2026-99-99T99:99:99Z', /such as 2026-03-01T08:00:00Z/],
  ['since?since=2026-02-31T08:00:00Z', /such as 2026-03-01T08:00:00Z/],
  ['since?since=0000-01-01T08:00:00Z', /such as 2026-03-01T08:00:00Z/],
  ['packages?worth=N:1&most=5&within=1e400', /an amount of money/],
  ['packages?worth=N:1&most=5&within=abc', /an amount of money/],
])('%s is refused in words', async (query, said) => {
  const { body } = await t.http.get(`/api/v1/catalogue/${query}&currency=EUR`).expect(400);
  expect((body as { detail: string }).detail).toMatch(said);
});

test('what two rules expect of a field is said once', async () => {
  const { body } = await t.http.get('/api/v1/catalogue/since?since=yesterday').expect(400);
  expect((body as { detail: string }).detail).toBe('Read "yesterday", expected a moment such as 2026-03-01T08:00:00Z.');
});

test.each(['words=%25%25%5C', "origin='", 'words=%ED%A0%80', 'chloride=1e-50'])('%s finds nothing', async (query) => {
  const { body } = await t.http.get(`/api/v1/catalogue/products?by=N&currency=EUR&${query}`).expect(200);
  expect(body).toEqual({ items: [], next: null });
});

test('a list needs a name that is more than blanks', async () => {
  const { body } = await readList(t, [HEAD, priced].join('\n'), '  ', 422);
  expect((body as { detail: string }).detail).toMatch(/Expected the name of the list, 1 to 120/);
});
