import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
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

test('restored while the ledger runs: every write that was confirmed is in what was there before, and none is in between', async () => {
  const archive = join(folder, 'running.dump');
  const running = start();
  const address = await addressOf(running);
  await done(program('backup.mjs', [archive], env));
  const had = await plotNames(address);
  const confirmed: string[] = [];
  const refused = new Set<number>();
  let writing = true;
  const writer = (async () => {
    for (let i = 0; writing; i++) {
      const name = `Meanwhile ${i}`;
      const status = await enterPlot(address, name).catch(() => 0);
      if (status === 201) confirmed.push(name);
      else refused.add(status);
    }
  })();
  expect(await done(program('restore.mjs', [archive], env))).toMatch(/took no changes meanwhile/);
  const [newest] = readdirSync(join(folder, 'backups')).sort().reverse();
  writing = false;
  await writer;
  expect([...refused].filter((status) => status !== 503 && status !== 0)).toEqual([]);
  // What was confirmed after the restore is in the ledger, what was before it in the backup of what was there.
  const now = await plotNames(address);
  expect(now).toEqual(expect.arrayContaining([...had]));
  expect(await interrupt(running)).toBe(0);
  await done(program('restore.mjs', [join(folder, 'backups', newest ?? '')], env));
  const again = start();
  const before = await plotNames(await addressOf(again));
  expect(await interrupt(again)).toBe(0);
  expect(confirmed.filter((name) => !now.includes(name) && !before.includes(name))).toEqual([]);
  expect(confirmed.length).toBeGreaterThan(3);
  await done(program('restore.mjs', [archive], env));
});

test('a script that is killed leaves no database and no server behind', async () => {
  const running = start();
  await addressOf(running);
  const pid = databasePid();
  const server = Number(readFileSync(join(folder, 'data/server'), 'utf8').split('\n')[0]);
  running.child.kill('SIGKILL');
  await running.ended;
  for (let i = 0; i < 300 && [pid, server].some((p) => existsSync(`/proc/${p}`)); i++)
    await new Promise((r) => setTimeout(r, 100));
  expect([pid, server].map((p) => existsSync(`/proc/${p}`))).toEqual([false, false]);
  const again = start();
  await addressOf(again);
  expect(await interrupt(again)).toBe(0);
});

test('an empty file of the password is told with what to do', async () => {
  const secret = join(folder, 'data/password');
  const kept = readFileSync(secret, 'utf8');
  writeFileSync(secret, '');
  const refused = start();
  expect(await refused.ended).toBe(1);
  expect(refused.said()).toMatch(/password of the database is empty: .*Put its content back/);
  expect(refused.said()).not.toMatch(/ at .*\.mjs/);
  writeFileSync(secret, kept);
});

test('of two servers one that dies is started again while the other serves', async () => {
  const running = program('start.mjs', ['--empty', '--two'], env);
  const address = await addressOf(running);
  const pids = () => readFileSync(join(folder, 'data/server'), 'utf8').split('\n').map(Number);
  const [first] = pids();
  process.kill(first ?? 0, 'SIGKILL');
  expect((await fetch(`${address}/api/v1/health`)).status).toBe(200);
  await until(running, () => (/starting it again/.test(running.said()) && pids().length === 3 ? true : undefined));
  await until(running, async () => {
    const both = await Promise.all(
      [1, 2].map(() =>
        fetch(`${address}/api/v1/ready`).then(
          (r) => r.status,
          () => 0,
        ),
      ),
    );
    return both.every((status) => status === 200) ? true : undefined;
  });
  expect(await interrupt(running)).toBe(0);
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

test('after kill -9 of npm start the next start stops the server and the database it left behind, and takes over', async () => {
  const first = start();
  const address = await addressOf(first);
  expect(await enterPlot(address, 'Before the kill')).toBe(201);
  const [server, database] = [Number(readFileSync(join(folder, 'data/server'), 'utf8')), databasePid()];
  // Its pipes stay open as long as the server it left behind has them, so its exit is waited for, not their close.
  const gone = new Promise((ok) => first.child.once('exit', ok));
  first.child.kill('SIGKILL');
  await gone;
  expect([server, database].map((pid) => existsSync(`/proc/${pid}`))).toEqual([true, true]);
  const second = start();
  expect(await plotNames(await addressOf(second))).toContain('Before the kill');
  expect([server, database].map((pid) => existsSync(`/proc/${pid}`))).toEqual([false, false]);
  expect(await interrupt(second)).toBe(0);
});

test('a database that is killed is started again; meanwhile the server says so, and then goes on by itself', async () => {
  const running = start();
  const address = await addressOf(running);
  const plots = async (): Promise<number> => (await fetch(`${address}/api/v1/plots`)).status;
  expect(await plots()).toBe(200);
  process.kill(databasePid(), 'SIGKILL');
  const seen = new Set<number>();
  await until(running, async () => {
    const status = await plots();
    seen.add(status);
    return status === 200 && /starting it again/.test(running.said()) ? true : undefined;
  });
  expect([...seen].every((status) => status === 200 || status === 503)).toBe(true);
  expect(await enterPlot(address, 'After the fall')).toBe(201);
  expect(await interrupt(running)).toBe(0);
});

test.each([
  ['a port that is none', { PORT: 'abc' }, /Read PORT "abc", expected a number from 0 to 65535/],
  ['a port out of range', { PORT: '70000' }, /expected a number from 0 to 65535/],
])('%s is refused in a sentence', async (_name, given, words) => {
  const refused = start(given);
  expect(await refused.ended).toBe(1);
  expect(refused.said()).toMatch(words);
  expect(refused.said()).not.toMatch(/\n\s+at /);
});
test('a port that is taken, an empty pid file and a missing password are each told in a sentence or mended', async () => {
  const taken = createServer().listen(Number(env['PORT']), '127.0.0.1');
  await new Promise((ok) => taken.once('listening', ok));
  const refused = start();
  expect(await refused.ended).toBe(1);
  expect(refused.said()).toMatch(/is taken\. Stop what uses it, or choose another/);
  await new Promise((ok) => taken.close(ok));

  writeFileSync(join(folder, 'data/cluster/postmaster.pid'), '');
  const mended = start();
  await addressOf(mended);
  expect(await interrupt(mended)).toBe(0);

  const password = join(folder, 'data/password');
  const kept = readFileSync(password, 'utf8');
  rmSync(password);
  const without = start();
  expect(await without.ended).toBe(1);
  expect(without.said()).toMatch(/password of the database is missing/);
  writeFileSync(password, kept, { mode: 0o600 });
});
