import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { priceListCsv } from '@wheat-ledger/demo';
import { startApp, type TestApp } from '../../test/app.js';

let t: TestApp | undefined;
let feed: Server | undefined;
afterEach(async () => {
  await t?.close();
  await new Promise((done) => (feed ? feed.close(done) : done(undefined)));
  [t, feed] = [undefined, undefined];
});

/** The app with a price list that answers so. */
async function withFeed(answer: RequestListener): Promise<TestApp> {
  feed = createServer(answer);
  await new Promise<void>((ok) => feed?.listen(0, '127.0.0.1', ok));
  const { port } = feed.address() as AddressInfo;
  t = await startApp({ priceFeed: `http://127.0.0.1:${port}` });
  return t;
}

test('the list of the one address that is named is handed on as it is', async () => {
  const asked: (string | undefined)[] = [];
  const app = await withFeed((request, response) => {
    asked.push(request.url);
    response.end(priceListCsv('2026-03-01'));
  });
  const { text } = await app.http
    .get('/api/v1/price-list?url=http://example.org/')
    .expect(200)
    .expect('content-type', /text\/csv/);
  expect(text).toBe(priceListCsv('2026-03-01'));
  expect(asked).toEqual(['/prices.csv']);
});

test.each([
  ['an error', ((_, response) => void response.writeHead(500).end()) satisfies RequestListener, /answers 500/],
  [
    'another address',
    ((_, response) =>
      void response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end()) satisfies RequestListener,
    /does not answer/,
  ],
  [
    'too much',
    ((_, response) => void response.end('x'.repeat(1_100_000))) satisfies RequestListener,
    /longer than 1 MB/,
  ],
] as const)('%s is told in words, and nothing is handed on', async (_, answer, words) => {
  const app = await withFeed(answer);
  const { body } = await app.http.get('/api/v1/price-list').expect(502);
  expect(body.detail).toMatch(words);
});

test('without a price list there is none', async () => {
  t = await startApp();
  const { body } = await t.http.get('/api/v1/price-list').expect(404);
  expect(body.detail).toBe('No seller’s price list is set up here.');
});
