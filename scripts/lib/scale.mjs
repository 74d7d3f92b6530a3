// A practice bench scale as a server of its own, on this machine alone.
//   GET  /           what there is, in words
//   GET  /readings   a stream of events, ten lines a second: "1.200 kg steady", "0.870 kg moving", "too much"
//   POST /tare       what is on it counts as nothing
//   POST /put?kg=0.3 puts so much on the pan, or takes it off where it is below zero; it flows in over a moment
//   POST /clear      takes all off
//   POST /unplug?s=3 is gone for so many seconds
import { createServer } from 'node:http';
import { clearInterval, setInterval } from 'node:timers';
import { onLoopback } from './loopback.mjs';

const WORDS = `A bench scale, for practice.

GET /readings    a stream of what it shows
POST /tare       what is on it counts as nothing
POST /put?kg=KG  puts so much on the pan
POST /clear      takes all off
POST /unplug?s=S is gone for so many seconds
`;
const TICK_MS = 100;
/** What is put on is poured, not dropped. */
const POURED_KG_PER_TICK = 0.25;

/** Starts it on a port of this machine and resolves with { address, stop() }. */
export async function startScale(port = 0) {
  const { PracticeScale, scaleLine } = await import('@wheat-ledger/demo');
  const scale = new PracticeScale();
  const listening = new Set();
  let pouring = 0;
  let goneUntil = 0;
  const tick = setInterval(() => {
    scale.pass(TICK_MS / 1000);
    const now = Math.sign(pouring) * Math.min(Math.abs(pouring), POURED_KG_PER_TICK);
    if (now !== 0) scale.put(now);
    pouring -= now;
    if (Math.abs(pouring) < 1e-9) pouring = 0;
    const line = scaleLine(scale.read());
    for (const response of listening) response.write(`data: ${line}\n\n`);
  }, TICK_MS);
  tick.unref();

  const number = (url, key) => {
    const value = Number(url.searchParams.get(key));
    return Number.isFinite(value) && Math.abs(value) <= 1000 ? value : undefined;
  };
  const orders = {
    '/tare': () => scale.tare(),
    '/clear': () => {
      pouring = 0;
      scale.clear();
    },
    '/put': (url) => {
      const kg = number(url, 'kg');
      if (kg === undefined) return 'Expected kg, such as /put?kg=0.3.\n';
      pouring += kg;
    },
    '/unplug': (url) => {
      goneUntil = Date.now() + 1000 * Math.max(0, number(url, 's') ?? 3);
      for (const response of listening) response.destroy();
    },
  };
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://127.0.0.1');
    const answer = (status, text) => {
      response.writeHead(status, { 'Content-Type': 'text/plain; charset=utf-8', 'X-Content-Type-Options': 'nosniff' });
      response.end(text);
    };
    if (Date.now() < goneUntil) return void request.destroy();
    if (request.method === 'GET' && url.pathname === '/') return answer(200, WORDS);
    if (request.method === 'GET' && url.pathname === '/readings') {
      response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' });
      listening.add(response);
      response.once('close', () => listening.delete(response));
      return;
    }
    const order = request.method === 'POST' ? orders[url.pathname] : undefined;
    if (!order) return answer(404, WORDS);
    const refused = order(url);
    answer(refused ? 400 : 200, refused ?? 'Done.\n');
  });
  return onLoopback(server, port, () => clearInterval(tick));
}
