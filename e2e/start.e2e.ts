import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { databaseUrl, createDatabase } from './harness';
import { addressOf, done, enterPlot, freePort, interrupt, plotNames, program, until, type Program } from './programs';

let folder: string;
let env: Record<string, string>;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-start-'));
  env = { PORT: String(await freePort()), WHEAT_LEDGER_DATA: join(folder, 'data') };
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const start = (more: Readonly<Record<string, string>> = {}): Program =>
  program('start.mjs', ['--empty'], { ...env, ...more });
const databasePid = (): number =>
  Number(readFileSync(join(folder, 'data/cluster/postmaster.pid'), 'utf8').split('\n')[0]);

test('npm start prints its address on one line, Ctrl-C stops everything, and a second start keeps the data', async () => {
  const first = start();
  const address = await addressOf(first);
  expect(address).toBe(`http://127.0.0.1:${env['PORT']}`);
  expect((await fetch(`${address}/api/v1/health`)).status).toBe(200);
  expect(await (await fetch(address)).text()).toContain('<title>Wheat Ledger</title>');
  expect(await enterPlot(address, 'Kept')).toBe(201);
  const pid = databasePid();

  const rival = start();
  expect(await rival.ended).toBe(1);
  expect(rival.said()).toMatch(/already running/);
  expect((await fetch(`${address}/api/v1/health`)).status).toBe(200);

  expect(await interrupt(first)).toBe(0);
  expect(existsSync(`/proc/${pid}`)).toBe(false);

  const second = start();
  expect(await plotNames(await addressOf(second))).toEqual(['Kept']);
  expect(await interrupt(second)).toBe(0);
});

test('a backup is taken while the ledger runs; restored when it is stopped, everything is as it was, and what was there meanwhile is kept', async () => {
  const archive = join(folder, 'ledger.dump');
  const running = start();
  const address = await addressOf(running);
  expect(await done(program('backup.mjs', [archive], env))).toContain(`Kept in ${archive}`);
  expect(await enterPlot(address, 'After the backup')).toBe(201);
  expect(await interrupt(running)).toBe(0);

  expect(await done(program('restore.mjs', [archive], env))).toMatch(
    /Restored\. What was there before is in .*before-restore/,
  );
  expect(existsSync(join(folder, 'data/cluster/postmaster.pid'))).toBe(false);
  const restored = start();
  expect(await plotNames(await addressOf(restored))).toEqual(['Kept']);
  expect(await interrupt(restored)).toBe(0);

  const [before] = readdirSync(join(folder, 'backups'));
  await done(program('restore.mjs', [join(folder, 'backups', before ?? '')], env));
  const again = start();
  expect(await plotNames(await addressOf(again))).toEqual(['After the backup', 'Kept']);
  expect(await interrupt(again)).toBe(0);
});

test('what is no backup is refused, and nothing is touched', async () => {
  const wrong = join(folder, 'photo.dump');
  writeFileSync(wrong, 'not an archive');
  const refused = program('restore.mjs', [wrong], env);
  expect(await refused.ended).toBe(1);
  expect(refused.said()).toContain(`${wrong} is not a backup of a ledger.`);
  const nameless = program('restore.mjs', [], env);
  expect(await nameless.ended).toBe(1);
  expect(nameless.said()).toContain('Expected the file of a backup: npm run restore FILE');
});

test('a ledger on another PostgreSQL is kept there, and no cluster of its own is made', async () => {
  const url = databaseUrl();
  await createDatabase(url);
  const elsewhere = { DATABASE_URL: url, WHEAT_LEDGER_DATA: join(folder, 'unused') };
  const first = start(elsewhere);
  expect(await enterPlot(await addressOf(first), 'Far away')).toBe(201);
  expect(await interrupt(first)).toBe(0);
  expect(existsSync(join(folder, 'unused'))).toBe(false);
  const second = start(elsewhere);
  expect(await plotNames(await addressOf(second))).toEqual(['Far away']);
  expect(await interrupt(second)).toBe(0);
});

test('npm run dev serves the page from its sources and passes questions on to the server, and leaves nothing behind', async () => {
  const port = await freePort();
  const dev = program('dev.mjs', [], {
    PORT: String(port),
    API_PORT: String(await freePort()),
    WHEAT_LEDGER_DATA: join(folder, 'dev'),
  });
  const ask = (path: string): Promise<string | undefined> =>
    fetch(`http://127.0.0.1:${port}${path}`).then(
      (r) => (r.ok ? r.text() : undefined),
      () => undefined,
    );
  expect(await until(dev, () => ask('/'))).toContain('/src/main.tsx');
  expect(await until(dev, () => ask('/api/v1/health'))).toBe('{"status":"ok"}');
  const pid = Number(readFileSync(join(folder, 'dev/cluster/postmaster.pid'), 'utf8').split('\n')[0]);
  expect(await interrupt(dev)).toBe(0);
  expect(existsSync(`/proc/${pid}`)).toBe(false);
  expect(await ask('/')).toBeUndefined();
});

test('the doctor says what is there and changes nothing', async () => {
  const said = await done(program('doctor.mjs', [], env));
  expect(said).toMatch(/^yes {2}Node 20\.20 or newer$/m);
  expect(said).toMatch(/^yes {2}PostgreSQL server programs$/m);
});
