// npm run doctor: what this machine has, what is missing, and how to get it. Changes nothing.
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

const disk = statfsSync(ROOT);
const freeGb = (disk.bavail * disk.bsize) / 1e9;
const checks = [
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
for (const [what, fits, hint] of checks) console.log(`${fits ? 'yes' : 'no '}  ${what}${fits ? '' : `: ${hint}`}`);
