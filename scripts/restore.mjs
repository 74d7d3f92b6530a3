// npm run restore FILE: puts the ledger back as it was in that file. What is there now is backed up first.
import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { BACKUPS, withLedger } from './lib/archive.mjs';
import { must } from './lib/run.mjs';

async function main() {
  const file = process.argv[2] && resolve(process.argv[2]);
  if (!file || !existsSync(file)) throw new Error('Expected the file of a backup: npm run restore FILE');
  await withLedger(async ({ bin, connection }) => {
    const list = await must(join(bin, 'pg_restore'), ['--list', file], { quiet: true }).catch(() => '');
    if (!list.includes('TABLE DATA public journal')) throw new Error(`${file} is not a backup of a ledger.`);
    const before = join(BACKUPS, `before-restore-${Date.now()}.dump`);
    mkdirSync(BACKUPS, { recursive: true });
    await must(join(bin, 'pg_dump'), ['--format=custom', '--no-owner', `--file=${before}`, connection.url], {
      quiet: true,
      env: connection.env,
    });
    await must(
      join(bin, 'pg_restore'),
      ['--clean', '--if-exists', '--no-owner', '--single-transaction', `--dbname=${connection.url}`, file],
      { quiet: true, env: connection.env },
    );
    console.log(`Restored. What was there before is in ${before}`);
  });
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
