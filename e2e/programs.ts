import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { ROOT } from './harness';

/** One of the project's scripts as it runs, and what it said so far. */
export interface Program {
  readonly child: ChildProcess;
  readonly said: () => string;
  readonly ended: Promise<number | null>;
}

/** Starts a script on a data folder of its own. No colours: what it says is read. */
export function program(script: string, args: readonly string[], env: Readonly<Record<string, string>>): Program {
  const child = spawn(process.execPath, [join(ROOT, 'scripts', script), ...args], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: '', NO_COLOR: '1', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  child.stdout?.on('data', (d: Buffer) => (said += d.toString()));
  child.stderr?.on('data', (d: Buffer) => (said += d.toString()));
  return { child, said: () => said, ended: new Promise((ok) => child.once('close', ok)) };
}

/** What a script said by its end, which has to be a good one. */
export async function done(running: Program): Promise<string> {
  if ((await running.ended) !== 0) throw new Error(running.said());
  return running.said();
}

/** Waits until something is so while a program runs, a minute and a half at most. */
export async function until<T>(
  { said, ended }: Program,
  found: () => T | undefined | Promise<T | undefined>,
): Promise<T> {
  let over = false;
  void ended.then(() => {
    over = true;
  });
  for (let i = 0; i < 900 && !over; i++) {
    const result = await found();
    if (result !== undefined) return result;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(said());
}

/** The address a program prints on a line of its own. */
export const addressOf = (running: Program): Promise<string> =>
  until(running, () => /^(http:\/\/127\.0\.0\.1:\d+)$/m.exec(running.said())?.[1]);

export async function interrupt({ child, ended }: Program): Promise<number | null> {
  child.kill('SIGINT');
  return ended;
}

export const freePort = (): Promise<number> =>
  new Promise((ok) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => ok(port));
    });
  });

const PLOT = {
  areaM2: 3,
  medium: 'mineralSoil',
  texture: 'loam',
  temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 },
};

/** Enters a plot through the API. */
export const enterPlot = async (address: string, name: string): Promise<number> =>
  (
    await fetch(`${address}/api/v1/plots`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...PLOT, name }),
    })
  ).status;
export const plotNames = async (address: string): Promise<readonly string[]> =>
  ((await (await fetch(`${address}/api/v1/plots`)).json()) as { items: { name: string }[] }).items.map((p) => p.name);
