import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './harness';

let folder: string;
let port: number;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-start-'));
  port = await new Promise((ok) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port: free } = probe.address() as AddressInfo;
      probe.close(() => ok(free));
    });
  });
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Start { readonly child: ChildProcess; readonly said: () => string; readonly ended: Promise<number | null> }
const start = (...args: string[]): Start => {
  const child = spawn(process.execPath, [join(ROOT, 'scripts/start.mjs'), ...args], { cwd: ROOT, env: { ...process.env, DATABASE_URL: '', PORT: String(port), WHEAT_LEDGER_DATA: join(folder, 'data') }, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  child.stdout?.on('data', (d: Buffer) => (said += d.toString()));
  child.stderr?.on('data', (d: Buffer) => (said += d.toString()));
  return { child, said: () => said, ended: new Promise((ok) => child.once('close', ok)) };
};
async function up({ said, ended }: Start): Promise<string> {
  let over = false;
  void ended.then(() => { over = true; });
  for (let i = 0; i < 900 && !over; i++) {
    const address = /^(http:\/\/127\.0\.0\.1:\d+)$/m.exec(said())?.[1];
    if (address) return address;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(said());
}
const databasePid = (): number => Number(readFileSync(join(folder, 'data/cluster/postmaster.pid'), 'utf8').split('\n')[0]);

test('npm start prints its address on one line, Ctrl-C stops everything, and a second start keeps the data', async () => {
  const first = start('--empty');
  const address = await up(first);
  expect(address).toBe(`http://127.0.0.1:${port}`);
  expect((await fetch(`${address}/api/v1/health`)).status).toBe(200);
  expect(await (await fetch(address)).text()).toContain('<title>Wheat Ledger</title>');
  const made = await fetch(`${address}/api/v1/plots`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: 'Kept', areaM2: 3, crop: 'leek', medium: 'mineralSoil', texture: 'loam', temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 }, plantedOn: '2026-04-01' }) });
  expect(made.status).toBe(201);
  const pid = databasePid();

  const rival = start('--empty');
  expect(await rival.ended).toBe(1);
  expect(rival.said()).toMatch(/already running/);
  expect((await fetch(`${address}/api/v1/health`)).status).toBe(200);

  first.child.kill('SIGINT');
  expect(await first.ended).toBe(0);
  expect(existsSync(`/proc/${pid}`)).toBe(false);

  const second = start('--empty');
  const again = await up(second);
  const { items } = (await (await fetch(`${again}/api/v1/plots`)).json()) as { items: { name: string }[] };
  expect(items.map((p) => p.name)).toEqual(['Kept']);
  second.child.kill('SIGINT');
  expect(await second.ended).toBe(0);
});
