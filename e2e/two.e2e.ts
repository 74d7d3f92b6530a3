import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { inputOf, type CsvProgress, type ProductRecord } from '@wheat-ledger/contract';
import {
  createDatabase,
  databaseUrl,
  expectText,
  fill,
  clickButton,
  openScreen,
  ROOT,
  startTwo,
  type Screen,
} from './harness';

let two: Awaited<ReturnType<typeof startTwo>>;
let screen: Screen;
beforeAll(async () => {
  const url = databaseUrl();
  await createDatabase(url);
  // Both at once on an empty database: one migrates it and loads the sample, the other waits for it.
  two = await startTwo({ url, sample: true, port: 0, scale: '' });
  screen = await openScreen();
});
afterAll(async () => {
  await screen.close();
  await two.stop();
});

const json = (input: object, method = 'POST', match?: string): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json', ...(match ? { 'If-Match': match } : {}) },
  body: JSON.stringify(input),
});
const at = (n: number, path: string, init?: RequestInit): Promise<Response> =>
  fetch(`${two.servers[n]!.address}/api/v1/${path}`, init);
test('two servers that start at once load the sample once', async () => {
  for (const n of [0, 1]) {
    const { items } = (await (await at(n, 'plots?limit=500')).json()) as { items: { name: string }[] };
    expect(items.filter((p) => p.name === 'Ashlark Hollow, wheat strip')).toHaveLength(1);
    expect(await (await at(n, 'catalogue/lists')).json()).toHaveLength(1);
  }
});

test('what one writes the other has, and of two that change the same version one is told', async () => {
  const { items } = (await (await at(0, 'products?limit=1')).json()) as { items: ProductRecord[] };
  const bag = (name: string): object => ({ ...inputOf(items[0]!), name });
  const made = (await (await at(0, 'products', json(bag('Of two')))).json()) as ProductRecord;
  const seen = (await (await at(1, `products/${made.id}`)).json()) as ProductRecord;
  expect(seen).toMatchObject({ name: 'Of two', version: 1 });
  const [a, b] = await Promise.all(
    [0, 1].map((n) => at(n, `products/${made.id}`, json(bag(`Changed by ${n}`), 'PUT', '"1"'))),
  );
  expect([a!.status, b!.status].sort()).toEqual([200, 409]);
});

test('how far an import of one server is, the other says', async () => {
  const job = crypto.randomUUID();
  const rows = Array.from({ length: 4000 }, (_, i) => `Row ${i},Seller,5`).join('\n');
  const sent = at(0, `shelf/csv?write=no&job=${job}`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/csv' },
    body: `name,seller,N %\n${rows}`,
  });
  let told: CsvProgress | undefined;
  let over = false;
  void sent.finally(() => (over = true));
  while (!over && !told) {
    const answer = await at(1, `shelf/csv/${job}`);
    if (answer.ok) told = (await answer.json()) as CsvProgress;
  }
  expect((await sent).status).toBe(200);
  expect(told?.bytes).toBeGreaterThan(0);
  expect((await at(1, `shelf/csv/${job}`)).status).toBe(404);
});

/** The doctor, looking at a database. */
const doctor = (url: string) =>
  spawnSync(process.execPath, [join(ROOT, 'scripts/doctor.mjs'), '--database'], {
    env: { ...process.env, DATABASE_URL: url },
    encoding: 'utf8',
  });

test('the doctor finds what a database needs, and says what is not there', () => {
  const { stdout, status } = doctor(process.env['TEST_DATABASE_URL'] ?? '');
  expect(stdout).toMatch(/yes {2}PostgreSQL 13 or newer/);
  expect(stdout).toMatch(/yes {2}the extension pg_trgm/);
  expect(stdout).not.toMatch(/^no /m);
  expect(status).toBe(0);
  expect(doctor('').stderr).toMatch(/DATABASE_URL is not set/);
  expect(doctor('postgresql://nobody@127.0.0.1:1/none')).toMatchObject({ status: 1, stdout: '' });
});

test('a page works through the proxy, and goes on when one of the two is gone', async () => {
  const page = await screen.open();
  await page.goto(`${two.address}/shelf/new`);
  await fill(page, 'Name', 'Through the proxy');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status].no-print', /Saved “Through the proxy”/);
  await two.servers[1]!.stop();
  await page.goto(`${two.address}/shelf`);
  await expectText(page, 'main', /Through the proxy/);
  for (let i = 0; i < 6; i++) expect((await fetch(`${two.address}/api/v1/plots`)).status).toBe(200);
  expect(screen.troubles).toEqual([]);
  await page.close();
});
