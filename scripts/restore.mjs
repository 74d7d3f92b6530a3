// npm run restore FILE: puts the ledger back as it was in that file. What is there now is backed up first; nobody writes meanwhile.
import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { BACKUPS, withLedger } from './lib/archive.mjs';
import { must } from './lib/run.mjs';

/** Lets a session of the restore itself write while the database takes no writes. */
const WRITING = { PGOPTIONS: '-c default_transaction_read_only=off' };

/** Asks the ledger's database as the restore. */
const asker =
  ({ bin, connection: { url, env } }) =>
  (sql) =>
    must(join(bin, 'psql'), ['-X', '-q', '-A', '-t', '-v', 'ON_ERROR_STOP=1', `--dbname=${url}`, '-c', sql], {
      quiet: true,
      env: { ...env, ...WRITING },
    });

/**
 * Keeps everybody else from writing while some work is done: new sessions read only, and those that are there are ended, so that what they had not
 * committed was not confirmed to anybody. A running server answers 503 meanwhile.
 * @returns how many sessions were there
 */
async function fenced(ask, work) {
  const name = (await ask('select quote_ident(current_database())')).trim();
  const endOthers =
    "select count(pg_terminate_backend(pid)) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid() and backend_type = 'client backend'";
  await ask(`alter database ${name} set default_transaction_read_only = on`);
  try {
    const others = Number(await ask(endOthers));
    await work();
    return others;
  } finally {
    await ask(`alter database ${name} reset default_transaction_read_only`);
    await ask(endOthers);
  }
}

async function main() {
  const file = process.argv[2] && resolve(process.argv[2]);
  if (!file || !existsSync(file)) throw new Error('Expected the file of a backup: npm run restore FILE');
  await withLedger(async (ledger) => {
    const { bin, connection } = ledger;
    const env = { ...connection.env, ...WRITING };
    const list = await must(join(bin, 'pg_restore'), ['--list', file], { quiet: true }).catch(() => '');
    if (!list.includes('TABLE DATA public journal')) throw new Error(`${file} is not a backup of a ledger.`);
    const before = join(BACKUPS, `before-restore-${Date.now()}.dump`);
    mkdirSync(BACKUPS, { recursive: true });
    const others = await fenced(asker(ledger), async () => {
      await must(join(bin, 'pg_dump'), ['--format=custom', '--no-owner', `--file=${before}`, connection.url], {
        quiet: true,
        env,
      });
      await must(
        join(bin, 'pg_restore'),
        ['--clean', '--if-exists', '--no-owner', '--single-transaction', `--dbname=${connection.url}`, file],
        { quiet: true, env },
      );
    });
    console.log(`Restored. What was there before is in ${before}`);
    if (others > 0)
      console.log(
        'The ledger was running and took no changes meanwhile. Restart it if the backup is of an older version.',
      );
  });
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
