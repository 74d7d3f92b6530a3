// What the program needs from the machine, and how to get it on Debian.
import { existsSync, readdirSync } from 'node:fs';
import { run } from './run.mjs';

const POSTGRES_HOME = '/usr/lib/postgresql';

/** Folder of PostgreSQL's server programs, the newest version, or undefined. */
export function postgresBin() {
  if (!existsSync(POSTGRES_HOME)) return undefined;
  const versions = readdirSync(POSTGRES_HOME)
    .map(Number)
    .filter((n) => n > 0)
    .sort((a, b) => b - a);
  return versions
    .map((v) => `${POSTGRES_HOME}/${v}/bin`)
    .find((bin) => existsSync(`${bin}/postgres`) && existsSync(`${bin}/initdb`));
}

export const chromiumPath = () => ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find(existsSync);

/** Installs Debian packages, as root or through a password-less sudo; otherwise says what to type. */
async function aptInstall(names) {
  const isRoot = process.getuid?.() === 0;
  const prefix = isRoot ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [command, ...rest] = [...prefix, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args];
    return run(command, rest, { quiet: true });
  };
  console.log(`Installing ${names.join(', ')} from Debian's packages …`);
  await apt('update', '-qq').catch(() => undefined);
  const result = await apt('install', '-y', '--no-install-recommends', ...names).catch((error) => ({
    code: 1,
    output: String(error),
  }));
  if (result.code !== 0) {
    throw new Error(
      `Could not install ${names.join(', ')}.\n${result.output.slice(-1500)}\nPlease run: sudo apt-get update && sudo apt-get install -y --no-install-recommends ${names.join(' ')}`,
    );
  }
}

export async function ensurePostgres() {
  if (!postgresBin()) await aptInstall(['postgresql']);
  const bin = postgresBin();
  if (!bin) throw new Error(`PostgreSQL is installed, but its server programs are not under ${POSTGRES_HOME}.`);
  return bin;
}

export async function ensureChromium() {
  if (!chromiumPath()) await aptInstall(['chromium']);
  const path = chromiumPath();
  if (!path) throw new Error('Chromium is installed, but not at /usr/bin/chromium.');
  return path;
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 20)) return;
  throw new Error(`This is Node ${process.versions.node}, expected 20.20 or newer.`);
}
