// A seller's price list as a server of its own: a practice stand-in on this machine alone.
//   GET /            what there is, in words
//   GET /prices.csv  the list: item, size, unit, price, currency, seen, status
//   GET /catalogue.csv  prices of a whole list: the same columns, and seller
//                    ?day=2026-03-01 is the day its prices are of, 1 March 2026 unless said
import { createServer } from 'node:http';
import { onLoopback } from './loopback.mjs';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const WORDS = `A seller's price list, for practice. Everything in it is invented.

GET /prices.csv            item, size, unit, price, currency, seen, status; a withdrawn package has no price
GET /catalogue.csv         item, size, unit, price, currency, seen, status, seller; prices of a list of the catalogue
GET /prices.csv?day=DATE   the same, with prices of that day, such as 2026-03-01
`;

/** Starts it on a port of this machine and resolves with { address, stop() }. */
export async function startPriceFeed(port = 0) {
  const { cataloguePricesCsv, priceListCsv } = await import('@wheat-ledger/demo');
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://127.0.0.1');
    const answer = (status, type, text) => {
      response.writeHead(status, { 'Content-Type': `${type}; charset=utf-8`, 'X-Content-Type-Options': 'nosniff' });
      response.end(text);
    };
    if (request.method !== 'GET') return answer(405, 'text/plain', 'Only GET.\n');
    if (url.pathname === '/') return answer(200, 'text/plain', WORDS);
    const list = { '/prices.csv': priceListCsv, '/catalogue.csv': cataloguePricesCsv }[url.pathname];
    if (!list) return answer(404, 'text/plain', WORDS);
    const day = url.searchParams.get('day') ?? '2026-03-01';
    if (!DAY.test(day)) return answer(400, 'text/plain', 'Expected a day such as 2026-03-01.\n');
    return answer(200, 'text/csv', list(day));
  });
  return onLoopback(server, port);
}
