// npm run backup [FILE]: the whole ledger into one file of PostgreSQL's own archive format.
import { mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { BACKUPS, withLedger } from './lib/archive.mjs';
import { must } from './lib/run.mjs';

const file = resolve(
  process.argv[2] ?? join(BACKUPS, `wheat-ledger-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.dump`),
);

withLedger(async ({ bin, connection }) => {
  mkdirSync(dirname(file), { recursive: true });
  await must(join(bin, 'pg_dump'), ['--format=custom', '--no-owner', `--file=${file}`, connection.url], {
    quiet: true,
    env: connection.env,
  });
  console.log(`Kept in ${file}`);
}).catch((error) => {
  console.error(error.message);
  process.exit(1);
});
