// The server with ten thousand bags: CSV in, pages out, requests a second.
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { manyProducts } from './manyProducts.mjs';
import { requestsPerSecond, row, seconds, times } from './measure.mjs';

const BAGS = 10_000;
const TABLES = ['product', 'analysis_figure', 'offer'];

/** The made-up products as the CSV file a person would have. */
const manyAsCsv = () =>
  [
    'name,seller,N %,package,price',
    ...manyProducts(BAGS).map(
      (p, i) =>
        `${p.name} ${['meal', 'pellets', 'urea', 'compost'][i % 4]},Seller ${i % 37},${p.analysis[0].value.value},${p.offers[0].size} kg,${p.offers[0].price.amount}`,
    ),
  ].join('\n');

async function must200(response) {
  if (!response.ok) throw new Error(await response.text());
  return response.json();
}

/** A row that is refused would make the reading look fast. */
function allGood(report) {
  if (report.good !== BAGS)
    throw new Error(`Only ${report.good} of ${BAGS} rows fit: ${JSON.stringify(report.problems[0])}`);
  return report;
}

/** Ten thousand bags in by CSV against PostgreSQL's own COPY of the very rows they became. */
export async function benchImport(server, database) {
  const csv = manyAsCsv();
  const post = async (write) =>
    allGood(
      await must200(
        await fetch(`${server.address}/api/v1/shelf/csv?currency=EUR&write=${write}`, {
          method: 'POST',
          headers: { 'content-type': 'text/csv' },
          body: csv,
        }),
      ),
    );
  const tried = await seconds(() => post('no'));
  const written = await seconds(() => post('yes'));
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-bench-'));
  let copied = 0;
  for (const table of TABLES) {
    const file = join(folder, `${table}.csv`);
    await database.psql(`\\copy ${table} to '${file}' csv`, 'many');
    await database.psql(`create table bare_${table} (like ${table} including all)`, 'many');
    copied += await seconds(() => database.psql(`\\copy bare_${table} from '${file}' csv`, 'many'));
    await database.psql(`drop table bare_${table}`, 'many');
  }
  rmSync(folder, { recursive: true, force: true });
  const rate = (s) => `${Math.round(BAGS / s)} rows/s`;
  row('CSV of 10 000 bags, tried only', rate(tried));
  row(
    'the same written, each with its entry in the book',
    rate(written),
    `${times(written / copied)} raw COPY of its rows without reading, checking or journal (${rate(copied)})`,
  );
  const listed = await seconds(async () => {
    let after = '';
    do
      after = (await must200(await fetch(`${server.address}/api/v1/products?limit=500${after && `&after=${after}`}`)))
        .next;
    while (after);
  });
  row(
    'all 10 000 read back, page by page',
    `${listed.toFixed(2)} s`,
    `${((1000 * listed) / BAGS).toFixed(2)} ms a bag`,
  );
}

/** A page of fifty of ten thousand bags, against a bare Node route that sends the same bytes. */
export async function benchList(server) {
  const path = '/api/v1/products?limit=50';
  const body = await (await fetch(`${server.address}${path}`)).text();
  const bare = createServer((_, response) => response.setHeader('content-type', 'application/json').end(body));
  await new Promise((ready) => bare.listen(0, '127.0.0.1', ready));
  try {
    const plain = await requestsPerSecond(`http://127.0.0.1:${bare.address().port}/`);
    const health = await requestsPerSecond(`${server.address}/api/v1/health`);
    const list = await requestsPerSecond(`${server.address}${path}`);
    row(
      'a page of 50 of 10 000 bags, requests a second',
      list.toFixed(0),
      `${times(health / list)} slower than the health route (${health.toFixed(0)}), ${times(plain / list)} than a bare Node route with the same body (${plain.toFixed(0)})`,
    );
  } finally {
    bare.close();
  }
}
