// Dependencies and builds, each only when something changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, ROOT, tool } from './run.mjs';

const STAMP = join(ROOT, 'node_modules/.cache/installed-lock');
const lockHash = () => createHash('sha256').update(readFileSync(join(ROOT, 'package-lock.json'))).digest('hex');

/** Whether what is installed is what the lock file says. */
export const dependenciesCurrent = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lockHash();

/** Installs dependencies when the lock file is not the one last installed. `npm ci` does not fit: other platforms' optional binaries are not in the lock. */
export async function ensureDependencies() {
  if (dependenciesCurrent()) return;
  console.log('Installing dependencies …');
  await must('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true });
  mkdirSync(join(ROOT, 'node_modules/.cache'), { recursive: true });
  writeFileSync(STAMP, lockHash());
}

/** Compiles the packages that changed. */
export async function compile() {
  const [node, tsc] = tool('typescript/lib/tsc.js');
  await must(node, [tsc, '-b'], { quiet: true });
}

/** Bundles the web app into packages/web/dist/app. */
export async function bundle() {
  const [node, vite] = tool('vite/bin/vite.js');
  await must(node, [vite, 'build', '--logLevel', 'warn'], { quiet: true, cwd: join(ROOT, 'packages/web') });
}

export const WEB_ROOT = join(ROOT, 'packages/web/dist/app');
export const SERVER_MAIN = join(ROOT, 'packages/server/dist/main.js');
