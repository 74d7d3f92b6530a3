// Dependencies and builds, each only when something changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { must, ROOT, tool } from './run.mjs';

export const WEB_ROOT = join(ROOT, 'packages/web/dist/app');
const STAMP = join(ROOT, 'node_modules/.cache/installed-lock');
const BUNDLE_STAMP = join(ROOT, 'node_modules/.cache/bundled-from');
/** Notes what something was made from. */
function stamp(file, text) {
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, text);
}
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');

/** Whether what is installed is what the lock file says. */
export const dependenciesCurrent = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lockHash();

/** Installs dependencies when the lock file is not the one last installed. `npm ci` does not fit: other platforms' optional binaries are not in the lock. */
export async function ensureDependencies() {
  if (dependenciesCurrent()) return;
  console.log('Installing dependencies …');
  await must('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true });
  stamp(STAMP, lockHash());
}

/** Compiles the packages that changed. */
export async function compile() {
  const [node, tsc] = tool('typescript/lib/tsc.js');
  await must(node, [tsc, '-b'], { quiet: true });
}

/** Paths, sizes and times of everything the web app is bundled from. */
function bundleInputs() {
  const hash = createHash('sha256').update(lockHash());
  for (const folder of ['packages/core/src', 'packages/contract/src', 'packages/web/src', 'packages/web/public'])
    for (const entry of readdirSync(join(ROOT, folder), { recursive: true }).sort()) {
      const { size, mtimeMs } = statSync(join(ROOT, folder, entry));
      hash.update(`${folder}/${entry} ${size} ${mtimeMs}\n`);
    }
  for (const file of ['packages/web/index.html', 'packages/web/vite.config.mjs', 'packages/web/package.json'])
    hash.update(readFileSync(join(ROOT, file)));
  return hash.digest('hex');
}

/** Bundles the web app into packages/web/dist/app when something it is made from changed. */
export async function bundle() {
  const inputs = bundleInputs();
  if (
    existsSync(BUNDLE_STAMP) &&
    existsSync(join(WEB_ROOT, 'index.html')) &&
    readFileSync(BUNDLE_STAMP, 'utf8') === inputs
  )
    return;
  const [node, vite] = tool('vite/bin/vite.js');
  await must(node, [vite, 'build', '--logLevel', 'warn'], { quiet: true, cwd: join(ROOT, 'packages/web') });
  stamp(BUNDLE_STAMP, inputs);
}

export const SERVER_MAIN = join(ROOT, 'packages/server/dist/main.js');
