import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { SellersFeed } from './sellersFeed.js';

let server: Server;
afterEach(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
});
const PATIENCE_MS = 150;
/** A seller's server that answers so. */
async function feedOf(answer: RequestListener, patienceMs = PATIENCE_MS): Promise<SellersFeed> {
  server = createServer(answer);
  await new Promise<void>((ok) => server.listen(0, '127.0.0.1', ok));
  return new SellersFeed(`http://127.0.0.1:${(server.address() as AddressInfo).port}`, patienceMs);
}
async function textOf(feed: SellersFeed): Promise<string> {
  let text = '';
  for await (const piece of await feed.open('/catalogue.csv')) text += (piece as Buffer).toString();
  return text;
}

test('what comes slowly, but comes, is read to its end: longer in all than patience lasts, each piece long before', async () => {
  const patienceMs = 4000;
  const feed = await feedOf((_, response) => {
    let n = 0;
    const timer = setInterval(() => {
      response.write(`${n}\n`);
      if (++n < 6) return;
      clearInterval(timer);
      response.end();
    }, patienceMs / 5);
  }, patienceMs);
  expect(await textOf(feed)).toBe('0\n1\n2\n3\n4\n5\n');
});

test('a server that never answers, or falls silent half way, is let go', async () => {
  const never = await feedOf(() => undefined);
  await expect(textOf(never)).rejects.toThrow(/does not answer/);
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  const half = await feedOf((_, response) => void response.write('item,size\n'));
  await expect(textOf(half)).rejects.toThrow(/does not answer/);
});

test('one that breaks off before it is read does no harm, and says so when it is', async () => {
  const feed = await feedOf((_, response) => {
    response.write('item,size\n');
    setTimeout(() => response.destroy(), 20);
  });
  const body = await feed.open('/catalogue.csv');
  await new Promise((r) => setTimeout(r, 60));
  const read = async (): Promise<void> => {
    for await (const piece of body) void piece;
  };
  await expect(read()).rejects.toThrow(/does not answer/);
});

test('who stops reading lets the seller go', async () => {
  const closed = new Promise<void>((done) => {
    void feedOf((_, response) => {
      response.write('item,size\n');
      response.once('close', () => done());
    }).then(async (feed) => (await feed.open('/catalogue.csv')).destroy());
  });
  await closed;
  expect(server.listening).toBe(true);
});
