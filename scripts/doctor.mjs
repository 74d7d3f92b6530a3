// npm run doctor: what this machine has, what is missing, and how to get it. Changes nothing.
// `npm run doctor -- --database` asks the PostgreSQL that DATABASE_URL names whether it has what the program needs.
import { existsSync, statfsSync } from 'node:fs';
import { join } from 'node:path';
import { dependenciesCurrent } from './lib/build.mjs';
import { chromiumPath, checkNode, postgresBin } from './lib/machine.mjs';
import { ROOT } from './lib/run.mjs';

const LEAST_FREE_GB = 2;

function nodeFits() {
  try {
    checkNode();
    return true;
  } catch {
    return false;
  }
}

function machineChecks() {
  const disk = statfsSync(ROOT);
  const freeGb = (disk.bavail * disk.bsize) / 1e9;
  return [
    ['Node 20.20 or newer', nodeFits(), `found ${process.versions.node}`],
    ['dependencies as the lock file says', dependenciesCurrent(), 'npm start installs them'],
    [
      'PostgreSQL server programs',
      postgresBin() !== undefined,
      'npm start installs Debian’s package postgresql, or: sudo apt-get install -y postgresql',
    ],
    [
      'Chromium, for the browser tests',
      chromiumPath() !== undefined,
      'npm test installs Debian’s package chromium, or: sudo apt-get install -y chromium',
    ],
    [`${LEAST_FREE_GB} GB free on this disk`, freeGb >= LEAST_FREE_GB, `${freeGb.toFixed(1)} GB are free`],
    [
      'a ledger of its own already',
      existsSync(join(ROOT, '.data/postgres/cluster/PG_VERSION')),
      'the first npm start makes it',
    ],
  ];
}

/** What the database that is named has of what is needed. */
async function databaseChecksOf(url) {
  if (!url) throw new Error('DATABASE_URL is not set, expected the address of the PostgreSQL to look at.');
  const { databaseChecks } = await import('./lib/databaseChecks.mjs');
  return databaseChecks(url);
}

try {
  const ofDatabase = process.argv.includes('--database');
  const checks = ofDatabase ? await databaseChecksOf(process.env.DATABASE_URL) : machineChecks();
  for (const [what, fits, hint] of checks) console.log(`${fits ? 'yes' : 'no '}  ${what}${fits ? '' : `: ${hint}`}`);
  if (ofDatabase && checks.some(([, fits]) => !fits)) process.exitCode = 1;
} catch (error) {
  console.error(error.message);
  process.exitCode = 1;
}
