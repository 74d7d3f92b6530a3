import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { once } from 'node:events';
import { startApp, type TestApp } from '../../test/app.js';

let scale: Server;
let t: TestApp;
const asked: string[] = [];
const streams = new Set<ServerResponse>();
beforeAll(async () => {
  scale = createServer((request, response) => {
    asked.push(`${request.method} ${request.url}`);
    if (request.url !== '/readings') return void response.writeHead(request.url === '/clear' ? 500 : 200).end('ok');
    response.writeHead(200, { 'Content-Type': 'text/event-stream' });
    streams.add(response);
    response.once('close', () => streams.delete(response));
    // A line may come in two pieces.
    response.write('data: 1.2');
    setTimeout(() => response.write('00 kg moving\n\ndata: 1.234 kg steady\n\n'), 20);
  });
  scale.listen(0, '127.0.0.1');
  await once(scale, 'listening');
  t = await startApp({ scale: `http://127.0.0.1:${(scale.address() as AddressInfo).port}` });
});
afterAll(async () => {
  await t.close();
  scale.closeAllConnections();
  scale.close();
});

/** What a page that listens is told until the stream ends, or so many lines. */
async function told(most: number): Promise<readonly string[]> {
  const stopped = new AbortController();
  const answer = await fetch(`${t.address}/api/v1/scale/readings`, { signal: stopped.signal });
  expect(answer.headers.get('content-type')).toMatch(/^text\/event-stream/);
  const lines: string[] = [];
  const decoder = new TextDecoder();
  try {
    for await (const piece of answer.body as unknown as AsyncIterable<Uint8Array>) {
      lines.push(...[...decoder.decode(piece).matchAll(/^data: (.*)$/gm)].map((m) => m[1] ?? ''));
      if (lines.length >= most) break;
    }
  } finally {
    stopped.abort();
  }
  return lines;
}

test('a page is told what the scale shows, and when it is gone', async () => {
  const listening = told(3);
  while (streams.size === 0) await new Promise((r) => setTimeout(r, 10));
  await new Promise((r) => setTimeout(r, 120));
  for (const stream of streams) stream.end();
  expect(await listening).toEqual(['1.200 kg moving', '1.234 kg steady', 'gone']);
});

test('a page that listens no more lets the scale go', async () => {
  expect(await told(2)).toEqual(['1.200 kg moving', '1.234 kg steady']);
  for (let i = 0; i < 100 && streams.size > 0; i++) await new Promise((r) => setTimeout(r, 20));
  expect(streams.size).toBe(0);
});

test('orders reach the scale; what is no weight does not, and a scale that fails is told', async () => {
  asked.length = 0;
  expect((await t.http.get('/api/v1/scale').expect(200)).body).toEqual({ there: true });
  await t.http.post('/api/v1/scale/tare').expect(204);
  await t.http.post('/api/v1/scale/put?kg=0.3').expect(204);
  const refused = await t.http.post('/api/v1/scale/put?kg=much').expect(422);
  expect(refused.body.detail).toMatch(/Read “much”, expected kg such as 0\.3/);
  expect((await t.http.post('/api/v1/scale/clear').expect(502)).body.detail).toMatch(/does not answer/);
  expect(asked).toEqual(['POST /tare', 'POST /put?kg=0.3', 'POST /clear']);
});

test('without a scale that is said, and weights are typed', async () => {
  const bare = await startApp();
  try {
    expect((await bare.http.get('/api/v1/scale').expect(200)).body).toEqual({ there: false });
    expect((await bare.http.post('/api/v1/scale/tare').expect(404)).body.detail).toMatch(/No bench scale is set up/);
    await bare.http.get('/api/v1/scale/readings').expect(404);
  } finally {
    await bare.close();
  }
});
