// npm run lists [FILE NAME [CURRENCY] | --back NAME]: lists of sellers that every ledger of this installation reads.
import { spawnSync } from 'node:child_process';
import { join, resolve } from 'node:path';
import { withLedger } from './lib/archive.mjs';
import { compile, ensureDependencies } from './lib/build.mjs';
import { ROOT } from './lib/run.mjs';

const [first, ...rest] = process.argv.slice(2);

async function main() {
  await ensureDependencies();
  await compile();
  await withLedger(async ({ connection }) => {
    const args = first === undefined ? [] : [first === '--back' ? first : resolve(first), ...rest];
    const { status } = spawnSync(process.execPath, [join(ROOT, 'packages/server/dist/listsMain.js'), ...args], {
      stdio: 'inherit',
      env: { ...connection.env, DATABASE_URL: connection.url },
    });
    process.exitCode = status ?? 1;
  });
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
