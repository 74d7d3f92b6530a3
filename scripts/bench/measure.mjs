// How the benches measure and print.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from '../lib/run.mjs';

export const ms = (n) => `${n.toFixed(n < 10 ? 2 : 1)} ms`;
export const times = (n) => `${n.toFixed(n < 10 ? 1 : 0)} ×`;
export const row = (what, figure, against = '') => console.log(`${what.padEnd(58)} ${figure.padStart(12)}  ${against}`);

/** Median milliseconds of some runs, after one to warm up. */
export async function median(work, runs = 9) {
  await work();
  const taken = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    await work();
    taken.push(performance.now() - from);
  }
  return taken.sort((a, b) => a - b)[Math.floor(runs / 2)];
}

/** Requests a second from one client over a few seconds, by autocannon in a process of its own. */
export function requestsPerSecond(url) {
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

/** Seconds that some work takes. */
export async function seconds(work) {
  const from = performance.now();
  await work();
  return (performance.now() - from) / 1000;
}
