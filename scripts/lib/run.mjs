// Child processes for the scripts: run one to its end, or keep one and stop it by its pid.
import { spawn } from 'node:child_process';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('../../', import.meta.url));

/** Runs a command to its end. Resolves with { code, output }; output is kept only when `quiet`. */
export function run(command, args, { quiet = false, ...options } = {}) {
  return ended(spawned(command, args, quiet, options));
}

/** Runs a command quietly, but no longer than `seconds`: then it and all it started are killed. Resolves with { code, output, late }. */
export async function runWithin(seconds, command, args, options = {}) {
  const child = spawned(command, args, true, { ...options, detached: true });
  const kill = () => process.kill(-child.pid, 'SIGKILL');
  const interrupted = () => {
    kill();
    process.exit(1);
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, interrupted);
  let late = false;
  const limit = setTimeout(() => {
    late = true;
    kill();
  }, seconds * 1000);
  try {
    return { ...(await ended(child)), late };
  } finally {
    clearTimeout(limit);
    for (const signal of ['SIGINT', 'SIGTERM']) process.off(signal, interrupted);
  }
}

const spawned = (command, args, quiet, options) =>
  spawn(command, args, {
    cwd: ROOT,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    ...options,
  });

function ended(child) {
  return new Promise((resolve, reject) => {
    let output = '';
    child.stdout?.on('data', (d) => (output += d));
    child.stderr?.on('data', (d) => (output += d));
    child.on('error', reject);
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** Runs a command and throws with its output when it fails. */
export async function must(command, args, options = {}) {
  const { code, output } = await run(command, args, options);
  if (code !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${code}.\n${output.slice(-4000)}`);
  return output;
}

/** A tool from node_modules, run by this very node so that its pid is its own. */
export const tool = (path) => [process.execPath, `${ROOT}node_modules/${path}`];

/** Polls until `check` is true, at most `seconds`. */
export async function waitFor(what, check, seconds = 30) {
  const until = Date.now() + seconds * 1000;
  while (Date.now() < until) {
    if (await check()) return;
    await sleep(100);
  }
  throw new Error(`Waited ${seconds} s for ${what}, in vain.`);
}

/** Asks a child to stop and waits; kills it when it does not. */
export async function stop(child, signal = 'SIGTERM', seconds = 10) {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('close', resolve));
  child.kill(signal);
  const late = setTimeout(() => child.kill('SIGKILL'), seconds * 1000);
  await gone;
  clearTimeout(late);
}
