// The catalogue at ten thousand, a hundred thousand and a million products: pages, filters, words, a price and a list taken over,
// each beside the same SQL by hand in the same run.
import { createReadStream, createWriteStream, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { Piscina } from 'piscina';
import { ROOT } from '../lib/run.mjs';
import { benchCataloguePage } from './page.mjs';
import { median, ms, row, seconds, times } from './measure.mjs';

const HEAD = 'name,seller,form,N %,P2O5 %,K2O %,Mg %,S %,Cl %,package,price,currency,seen on,organic,derived from';
/** Kinds of products with the N, P2O5, K2O, Mg, S and Cl that are usual in them, their forms and their price of a kg. */
const KINDS = [
  ['Urea prills', [46, 0, 0, 0, 0, 0], 'prill', 0.9, 'urea'],
  ['Feather meal', [13, 0, 0, 0, 1.5, 0], 'meal', 1.3, 'feather meal'],
  ['Sulfate of potash', [0, 0, 50, 0, 18, 1], 'granule', 1.4, 'potassium sulfate'],
  ['Garden compound', [12, 6, 10, 2, 6, 2], 'granule', 1.1, ''],
  ['Tomato liquid', [4, 3, 8, 0.2, 0, 1], 'granule', 2.4, ''],
  ['Poultry pellets', [4, 3, 2.5, 0.6, 0.5, 0.5], 'pellet', 0.5, 'poultry manure'],
  ['Rock phosphate', [0, 28, 0, 0, 0, 0], 'powder', 0.7, 'rock phosphate'],
  ['Bitter salt', [0, 0, 0, 9.8, 13, 0], 'crystal', 0.8, 'magnesium sulfate'],
];
const NOBODY = '00000000-0000-4000-8000-000000000000';
const WORDS = [
  'bed',
  'field',
  'meadow',
  'orchard',
  'rose',
  'lawn',
  'glass',
  'spring',
  'autumn',
  'hill',
  'river',
  'oak',
];

/** Numbers from 0 to 1, the same each run. */
function draws(seed) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}
function line(i, draw, dearer) {
  const [kind, analysis, form, price, from] = KINDS[Math.floor(draw() * KINDS.length)];
  const [a, b] = [WORDS[Math.floor(draw() * WORDS.length)], WORDS[Math.floor(draw() * WORDS.length)]];
  const shares = analysis.map((share) => (share === 0 ? '' : (share * (0.85 + 0.3 * draw())).toFixed(1)));
  const size = [1, 5, 10, 25][Math.floor(draw() * 4)];
  const money = (price * size * (0.6 + draw()) * (dearer ? 1.1 : 1)).toFixed(2);
  const currency = draw() < 0.9 ? 'EUR' : 'GBP';
  return `${kind} ${a} ${b} ${i},Seller ${i % 300},${form},${shares.join(',')},${size} kg,${money},${currency},2026-10-0${1 + (i % 9)},${draw() < 0.3 ? 'yes' : ''},${from}`;
}
/** A list of so many products as a file. @param dearer every so many-th price is higher */
async function writeList(path, count, dearer = 0) {
  const file = createWriteStream(path);
  file.write(`${HEAD}\n`);
  const draw = draws(count);
  for (let i = 0; i < count; i++)
    if (!file.write(`${line(i, draw, dearer > 0 && i % dearer === 0)}\n`)) await once(file, 'drain');
  file.end();
  await once(file, 'close');
}

async function answered(response) {
  if (!response.ok) throw new Error(await response.text());
  return response.json();
}
/** So many times each is asked, so that the middle is that of a server at work. */
const RUNS = 41;
const middleOf = (work) => median(work, RUNS);
/**
 * Median milliseconds of pages of a catalogue: the whole way through HTTP, packed for the way and not, and inside the route alone, as the server tells it.
 * @param query what is asked
 */
async function pages(server, query) {
  const inside = [];
  const asked = (headers) => async () => {
    const response = await fetch(`${server.address}/api/v1/catalogue/products?${query}`, { headers });
    inside.push(Number(/route;dur=([\d.]+)/.exec(response.headers.get('server-timing'))?.[1]));
    return answered(response);
  };
  const packed = await middleOf(asked({}));
  const whole = await middleOf(asked({ 'accept-encoding': 'identity' }));
  return { packed, whole, inside: inside.sort((a, b) => a - b)[Math.floor(inside.length / 2)] };
}
/** A page beside the same SQL by hand. */
const pageRow = (what, { packed, whole, inside }, hand, health) =>
  row(
    `  ${what}`,
    ms(whole),
    `${times(whole / (health + 2 * hand))} the health route (${ms(health)}) and twice the SQL by hand (${ms(hand)}), goal 1 ×; inside the route ${ms(inside)}, ${times(inside / hand)} the SQL, goal 2 ×; packed for the way ${ms(packed)}`,
  );
const api = (server, path, init) => fetch(`${server.address}/api/v1/catalogue/${path}`, init).then(answered);
/** Sends a file as it is read; fetch gives up on an answer that takes minutes. */
const readList = (server, path, list) =>
  new Promise((resolve, reject) => {
    const sent = request(
      `${server.address}/api/v1/catalogue/imports?list=${list}`,
      { method: 'POST', headers: { 'content-type': 'text/csv' } },
      (answer) => {
        let text = '';
        answer.on('data', (d) => (text += d));
        answer.on('end', () => (answer.statusCode === 200 ? resolve(JSON.parse(text)) : reject(new Error(text))));
      },
    );
    sent.on('error', reject);
    createReadStream(path).pipe(sent);
  });
const take = (server, importId, list) =>
  api(server, `imports/${importId}/take`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ list, seller: '' }),
  });

/** Memory of a process that is not shared with a file, MB. */
const residentMB = (pid) => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1000;

const SHOWN =
  'id, list_id, name, seller, form, organic, currency, price_per_kg, seen_on, in_stock, n_low, n_high, p2o5_low, p2o5_high, k2o_low, k2o_high, ca_low, ca_high, mg_low, mg_high, s_low, s_high';
/** What is asked, through the server and by hand. */
const QUESTIONS = [
  ['the first page by cost of N', 'by=N&currency=EUR', 'n_cost is not null', 'n_cost'],
  [
    'three filters',
    'by=N&currency=EUR&atLeast=N:5,K2O:5&form=granule',
    "n_cost is not null and n_low >= 0.05 and k2o_low >= 0.05 and form = 'granule'",
    'n_cost',
  ],
  ['a word', 'by=N&currency=EUR&words=orchard', "n_cost is not null and words like '%orchard%'", 'n_cost'],
  [
    'a rare word',
    'by=N&currency=EUR&words=seller%20299%20orchard',
    "n_cost is not null and words like '%seller%' and words like '%299%' and words like '%orchard%'",
    'n_cost',
  ],
];

/** The reader alone in as many threads, and the bytes it made. */
async function readAlone(path) {
  const built = (file) => import(join(ROOT, 'packages/server/dist', file));
  const { wholeRows } = await built('shelf/csvText.js');
  const threads = new Piscina({ filename: join(ROOT, 'packages/server/dist/catalogue/readRows.worker.js') });
  const copies = [];
  const from = performance.now();
  const underWay = [];
  let first = true;
  let firstRow = 1;
  for await (const { text, rows } of wholeRows(createReadStream(path, { encoding: 'utf8' }))) {
    const some = { text, skip: first ? 1 : 0, firstRow, headings: HEAD.split(','), delimiter: ',' };
    underWay.push(threads.run({ ...some, importId: NOBODY, workspace: NOBODY }));
    first = false;
    firstRow += rows;
    if (underWay.length > threads.options.maxThreads) copies.push((await underWay.shift()).copy);
  }
  for (const read of underWay) copies.push((await read).copy);
  const taken = (performance.now() - from) / 1000;
  await threads.destroy();
  return { taken, copies };
}

/** Bare parts of taking a list over: the reader in threads, COPY into a table without an index, and one INSERT into the indexed tables. */
async function bare(client, path) {
  await client.query('drop table if exists bare_staging, bare_record, bare_product');
  await client.query('create table bare_product (like catalogue_product including all)');
  await client.query(
    'create table bare_record (product_id bigint primary key, workspace_id uuid not null, record jsonb not null)',
  );
  await client.query('create unlogged table bare_staging (like catalogue_staging including defaults)');
  const { taken: read, copies } = await readAlone(path);
  const { STAGED } = await import(join(ROOT, 'packages/server/dist/catalogue/readRows.worker.js'));
  const copied = await seconds(async () => {
    const into = client.query(copyFrom(`copy bare_staging (${STAGED.join(', ')}) from stdin`));
    await pipeline(Readable.from(copies), into);
  });
  const facts = STAGED.filter((c) => !['import_id', 'row', 'record'].includes(c)).join(', ');
  const inserted = await seconds(async () => {
    await client.query(`insert into bare_product (list_id, ${facts}) select import_id, ${facts} from bare_staging`);
    await client.query(
      'insert into bare_record select p.id, p.workspace_id, s.record from bare_product p join bare_staging s on s.key = p.key',
    );
  });
  await client.query('drop table bare_staging, bare_record, bare_product');
  return { read, copied, inserted };
}

/** Page 500 of those ranked by cost of N, or the last there is. */
async function benchDeepPage(server, client, health) {
  const ranked = `from catalogue_product where workspace_id = (select workspace_id from catalogue_list limit 1) and currency = 'EUR' and n_cost is not null`;
  const count = Number((await client.query(`select count(*) as n ${ranked}`)).rows[0].n);
  const nth = Math.max(1, Math.min(500, Math.floor(count / 50)));
  const { rows } = await client.query(
    `select n_cost, id ${ranked} order by n_cost, id limit 1 offset ${nth * 50 - 51}`,
  );
  const at = [rows[0].n_cost, String(rows[0].id)];
  const after = Buffer.from(JSON.stringify(at)).toString('base64url');
  const ours = await pages(server, `by=N&currency=EUR&after=${after}`);
  const sql = `select ${SHOWN}, n_cost as at ${ranked} and (n_cost, id) > ($1, $2) order by n_cost, id limit 51`;
  const hand = await middleOf(() => client.query(sql, at));
  pageRow(`page ${nth}`, ours, hand, health);
}
/** Seconds that so many prices of a list take to be changed by hand; nothing of it is kept. */
async function pricesByHand(client, list, count) {
  await client.query('begin');
  const taken = await seconds(() =>
    client.query(
      'update catalogue_product set price_per_kg = price_per_kg * 1.1 where list_id = $1 and id in (select id from catalogue_product where list_id = $1 and price_per_kg is not null order by key limit $2)',
      [list, count],
    ),
  );
  await client.query('rollback');
  return taken;
}

/** @param sizes how many products are tried, the smallest first */
export async function benchCatalogue(server, database, sizes = [10_000, 100_000, 1_000_000]) {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-bench-'));
  const client = new pg.Client({ connectionString: database.urlOf('many') });
  await client.connect();
  const firstPages = [];
  const inBrowser = [];
  try {
    const health = await middleOf(async () => (await fetch(`${server.address}/api/v1/health`)).text());
    for (const size of sizes) {
      const path = join(folder, 'list.csv');
      await writeList(path, size);
      let preview;
      const read = await seconds(async () => (preview = await readList(server, path, `list-${size}`)));
      if (preview.good < size * 0.99)
        throw new Error(`Only ${preview.good} of ${size} rows fit: ${JSON.stringify(preview.problems[0])}`);
      let list;
      const taken = await seconds(async () => (list = await take(server, preview.importId, `list-${size}`)));
      const alone = await bare(client, path);
      const parts = alone.read + alone.copied + alone.inserted;
      row(
        `a list of ${size}: read, compared, taken over`,
        `${(read + taken).toFixed(1)} s`,
        `${times((read + taken) / parts)} the reader in threads (${alone.read.toFixed(1)} s), COPY (${alone.copied.toFixed(1)} s) and a bare INSERT (${alone.inserted.toFixed(1)} s); goal 1.5 ×`,
      );
      row(`  memory of the server, at most`, `${residentMB(server.child.pid).toFixed(0)} MB`, 'goal 400 MB');
      for (const [what, query, where, key] of QUESTIONS) {
        const ours = await pages(server, query);
        const sql = `select ${SHOWN}, ${key} as at from catalogue_product where workspace_id = $1 and currency = 'EUR' and ${where} order by ${key}, id limit 51`;
        const home = (await client.query('select workspace_id from catalogue_list limit 1')).rows[0].workspace_id;
        const hand = await middleOf(() => client.query(sql, [home]));
        if (what.startsWith('the first')) firstPages.push(ours.whole);
        pageRow(what, ours, hand, health);
      }
      inBrowser.push(await benchCataloguePage(server));
      await benchDeepPage(server, client, health);
      await writeList(path, size, 50);
      const again = await readList(server, path, `list-${size}`);
      const changed = await seconds(() => take(server, again.importId, `list-${size}`));
      const byHand = await pricesByHand(client, list.id, again.differences.dearer);
      row(
        `  every fiftieth price dearer: ${again.differences.dearer} taken over`,
        `${changed.toFixed(2)} s`,
        `${times(changed / byHand)} a bare UPDATE of as many prices, which compares and keeps nothing (${byHand.toFixed(2)} s)`,
      );
      const back = await seconds(() => api(server, `lists/${list.id}/take-back`, { method: 'POST' }));
      row('  and taken back', `${back.toFixed(2)} s`);
    }
    row('the first page, the largest against the smallest', times(firstPages.at(-1) / firstPages[0]), 'goal 1.5 ×');
    const growth = (what) => times(inBrowser.at(-1)[what] / inBrowser[0][what]);
    row('bytes of it in the browser, likewise', growth('kB'), `memory of the page ${growth('heap')}; goal 1 ×`);
  } finally {
    await client.end();
    rmSync(folder, { recursive: true, force: true });
  }
}
