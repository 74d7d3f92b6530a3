// npm run bench: how fast it is, as figures of this machine and as ratios against a plain baseline measured in the same run.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { gzipSync } from 'node:zlib';
import { bundle, compile, ensureDependencies, WEB_ROOT } from './lib/build.mjs';
import { launchBrowser } from './lib/browser.mjs';
import { startDatabase } from './lib/database.mjs';
import { ROOT } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

const ms = (n) => `${n.toFixed(n < 10 ? 2 : 1)} ms`;
const times = (n) => `${n.toFixed(n < 10 ? 1 : 0)} ×`;
const row = (what, figure, against = '') => console.log(`${what.padEnd(58)} ${figure.padStart(12)}  ${against}`);

/** Median milliseconds of some runs, after one to warm up. */
async function median(work, runs = 9) {
  await work();
  const taken = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    await work();
    taken.push(performance.now() - from);
  }
  return taken.sort((a, b) => a - b)[Math.floor(runs / 2)];
}

/** So many made-up products, the same every time. */
function manyProducts(count) {
  let seed = 1;
  const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  return Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    name: `Product ${i}`,
    form: 'granule',
    densityKgPerL: 1,
    grade: undefined,
    derivedFrom: [],
    directions: [],
    longevity: undefined,
    analysis: [
      {
        analyte: 'N',
        basis: 'element',
        value: { kind: 'number', value: 1 + Math.round(random() * 400) / 10 },
        unit: '%',
        provenance: 'label',
        source: 'bench',
      },
    ],
    offers: [
      {
        size: 5 + Math.round(random() * 20),
        unit: 'kg',
        price: { amount: (5 + random() * 50).toFixed(2), currency: 'EUR' },
        seenOn: undefined,
      },
    ],
  }));
}

/** As bags are: four lines of analysis, three packages of which one is an old price. */
const fuller = (p, i) => ({
  ...p,
  analysis: [
    ...p.analysis,
    ...['P', 'K', 'S'].map((analyte, k) => ({
      ...p.analysis[0],
      analyte,
      basis: { P: 'P2O5', K: 'K2O', S: 'element' }[analyte],
      value: { kind: 'number', value: 1 + ((i * (k + 3)) % 20) },
    })),
  ],
  offers: [
    { ...p.offers[0], seenOn: '2024-03-01' },
    { ...p.offers[0], seenOn: '2026-03-01' },
    { ...p.offers[0], size: p.offers[0].size + 20, seenOn: '2026-03-01' },
  ],
});

async function benchRanking(core) {
  const products = manyProducts(10_000).map(fuller);
  const question = { nutrient: 'N', basis: 'element', perUnit: 'kg' };
  const ranked = await median(() => core.rankByCost(products, question), 9);
  // The honest baseline: the same two packages that count, by indexed loops over typed arrays, the cheapest of each, sorted.
  const n = products.length;
  const convert = performance.now();
  const price = Float64Array.from(products.flatMap((p) => p.offers.slice(1).map((o) => Number(o.price.amount))));
  const mass = Float64Array.from(products.flatMap((p) => p.offers.slice(1).map((o) => o.size)));
  const fraction = Float64Array.from(products, (p) => p.analysis[0].value.value / 100);
  const converted = performance.now() - convert;
  const bare = await median(() => {
    const cost = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      const one = price[2 * i] / (mass[2 * i] * fraction[i]);
      const two = price[2 * i + 1] / (mass[2 * i + 1] * fraction[i]);
      cost[i] = one < two ? one : two;
    }
    const order = new Uint32Array(n);
    for (let i = 0; i < n; i++) order[i] = i;
    return order.sort((a, b) => cost[a] - cost[b]);
  }, 9);
  row(
    'ranking 10 000 products by plain numbers, 4 lines and 3 packages each',
    ms(ranked),
    `${times(ranked / bare)} a loop and sort over typed arrays (${ms(bare)}; turning records into arrays takes ${ms(converted)} more)`,
  );
}

async function benchRelease(core, contract, demo) {
  const site = contract.toSite(demo.PLOTS[0]);
  const products = demo.PRODUCTS.map((p) => contract.toProduct(p, p.name))
    .filter((p) => core.nitrogenPools(p).kind === 'pools')
    .slice(0, 8);
  const eight = await median(() => products.map((p) => core.productRelease(p, site, { daysOnSurface: 0 })));
  row(`26-week release of ${products.length} products`, ms(eight), `${ms(eight / products.length)} a product`);
  const { setup } = core.productRelease(products[0], site, { daysOnSurface: 0 });
  const single = await median(() => core.simulate(setup.pools, setup.around, core.numbersFrom(setup.parameters)));
  const band = await median(() => core.releaseBand(setup, 2000, 1), 3);
  row('band of 2 000 draws for one product', ms(band), `${times(band / (2000 * single))} 2 000 bare runs of the model`);
}

async function benchMix(core, contract, demo) {
  const { default: loadHighs } = await import('highs');
  const highs = await loadHighs();
  const products = demo.PRODUCTS.map((p) => contract.toProduct(p, p.name));
  const target = { kind: 'grade', parts: core.parseGrade('6-3-5').grade, tolerance: 0.1 };
  let inSolver = 0;
  const timed = {
    solve: (...args) => {
      const from = performance.now();
      const solution = highs.solve(...args);
      inSolver += performance.now() - from;
      return solution;
    },
  };
  // Share and whole are of the same run, and the middle of both is taken.
  const shares = [];
  const whole = await median(() => {
    inSolver = 0;
    const from = performance.now();
    core.blend(products, target, timed);
    shares.push(inSolver / (performance.now() - from));
  });
  shares.sort((x, y) => x - y);
  row(
    `cheapest mix from ${products.length} products`,
    ms(whole),
    `${(100 * shares[Math.floor(shares.length / 2)]).toFixed(0)} % of it in the solver`,
  );
}

const LABEL =
  'Ridgeway Meadow Feed 5-3-4\nGUARANTEED ANALYSIS\nTotal Nitrogen (N) ........ 5.0%\n   1.0% Ammoniacal Nitrogen\n   4.0% Water Insoluble Nitrogen\nAvailable Phosphate (P2O5) .. 3.0%\nSoluble Potash (K2O) ........ 4.0%\nDerived from: feather meal, bone meal, sulfate of potash\nNet weight 20 kg';

async function benchLabel(core) {
  const hundred = await median(() => {
    for (let i = 0; i < 100; i++) core.readLabel(LABEL);
  });
  const split = await median(() => {
    let numbers = 0;
    for (let i = 0; i < 100; i++)
      for (const line of LABEL.split('\n')) numbers += (line.match(/\d+(\.\d+)?/g) ?? []).length;
    return numbers;
  });
  row(
    'reading a label of nine lines',
    ms(hundred / 100),
    `${times(hundred / split)} only finding its numbers (${ms(split / 100)})`,
  );
}

/** Requests a second from one client over a few seconds, by autocannon in a process of its own. */
function requestsPerSecond(url) {
  return new Promise((resolve, reject) => {
    const child = spawn(
      process.execPath,
      [join(ROOT, 'node_modules/autocannon/autocannon.js'), '-c', '4', '-d', '3', '-j', url],
      { stdio: ['ignore', 'pipe', 'ignore'] },
    );
    let out = '';
    child.stdout.on('data', (d) => (out += d));
    child.on('close', () => {
      try {
        resolve(JSON.parse(out).requests.average);
      } catch (error) {
        reject(error);
      }
    });
  });
}

async function benchServer() {
  const database = await startDatabase(join(ROOT, '.data/bench'), { throwaway: true });
  await database.psql('drop database if exists bench');
  await database.psql('create database bench');
  const server = await startServer(database.urlOf('bench'));
  const body = await (await fetch(`${server.address}/api/v1/products?limit=50`)).text();
  const bare = createServer((_, response) => response.setHeader('content-type', 'application/json').end(body));
  await new Promise((ready) => bare.listen(0, '127.0.0.1', ready));
  try {
    const plain = await requestsPerSecond(`http://127.0.0.1:${bare.address().port}/`);
    const health = await requestsPerSecond(`${server.address}/api/v1/health`);
    const list = await requestsPerSecond(`${server.address}/api/v1/products?limit=50`);
    row(
      'list of the sample’s products, requests a second',
      list.toFixed(0),
      `${times(health / list)} slower than the health route (${health.toFixed(0)}), ${times(plain / list)} than a bare Node route with the same body (${plain.toFixed(0)})`,
    );
  } finally {
    bare.close();
    await server.stop();
    await database.stop();
  }
}

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

/** Seconds that some work takes. */
async function seconds(work) {
  const from = performance.now();
  await work();
  return (performance.now() - from) / 1000;
}

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
async function benchImport(server, database) {
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

/** A keystroke in the filter of a shelf of ten thousand, to the rows it leaves, against showing them all. */
async function benchFilter(server) {
  const { browser, close } = await launchBrowser();
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${server.address}/shelf`);
    await page.waitForSelector('[data-testid=shelf-bag]', { timeout: 60_000 });
    // Timed in the page: from the event to the frame after the rows have changed.
    const typed = (text) =>
      page.evaluate(async (value) => {
        const input = document.querySelector('input[type=search]');
        const painted = () => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
        const says = () => document.querySelector('[role=search] [role=status]')?.textContent ?? 'all';
        const first = () => document.querySelector('[data-testid=shelf-bag] h2')?.textContent;
        const before = says() + first();
        const from = performance.now();
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, value);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        while (says() + first() === before && performance.now() - from < 5000)
          await new Promise((r) => requestAnimationFrame(r));
        const taken = performance.now() - from;
        await painted();
        return { taken, says: says() };
      }, text);
    const runs = [];
    for (const text of ['urea', 'pellets', 'seller 3', 'compost 9', 'meal']) {
      const narrowed = await typed(text);
      const all = await typed('');
      runs.push({ narrowed: narrowed.taken, all: all.taken });
    }
    const middle = (key) => runs.map((r) => r[key]).sort((a, b) => a - b)[Math.floor(runs.length / 2)];
    row(
      'filter keystroke at 10 000 bags, to the rows it leaves',
      ms(middle('narrowed')),
      `${times(middle('narrowed') / middle('all'))} showing all of them unfiltered (${ms(middle('all'))})`,
    );
  } finally {
    await close();
  }
}

async function benchTenThousand() {
  const database = await startDatabase(join(ROOT, '.data/bench'), { throwaway: true });
  await database.psql('drop database if exists many');
  await database.psql('create database many');
  const server = await startServer(database.urlOf('many'), { sample: false });
  try {
    await benchImport(server, database);
    await benchFilter(server);
  } finally {
    await server.stop();
    await database.stop();
  }
}

/** What the browser fetches for the first route: the page's own scripts and the shelf with all it imports. */
function benchFirstRoute() {
  const manifest = JSON.parse(readFileSync(join(WEB_ROOT, '.vite/manifest.json'), 'utf8'));
  const needed = new Set();
  const need = (key) => {
    const entry = manifest[key];
    if (!entry || needed.has(entry.file)) return;
    needed.add(entry.file);
    (entry.imports ?? []).forEach(need);
  };
  need('index.html');
  need('src/shelf/ShelfView.tsx');
  const kB =
    [...needed]
      .filter((f) => f.endsWith('.js'))
      .reduce((sum, f) => sum + gzipSync(readFileSync(join(WEB_ROOT, f))).length, 0) / 1000;
  row(
    'JavaScript of the first route, gzipped',
    `${kB.toFixed(1)} kB`,
    `${((100 * kB) / 200).toFixed(0)} % of the 200 kB allowed`,
  );
}

async function main() {
  await ensureDependencies();
  await compile();
  await bundle();
  const [core, contract, demo] = await Promise.all(
    ['core', 'contract', 'demo'].map((name) => import(join(ROOT, `packages/${name}/dist/index.js`))),
  );
  console.log(
    `Node ${process.versions.node}; medians; ratios are of this run, so they mean more than the milliseconds.\n`,
  );
  await benchRanking(core);
  await benchRelease(core, contract, demo);
  await benchMix(core, contract, demo);
  await benchLabel(core);
  await benchServer();
  await benchTenThousand();
  if (existsSync(join(WEB_ROOT, '.vite/manifest.json'))) benchFirstRoute();
}

main().catch((error) => {
  console.error(error);
  process.exit(1);
});
