// Backup and restore work on the ledger's own cluster, brought up for the purpose, or on DATABASE_URL.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { ensurePostgres } from './machine.mjs';
import { ROOT } from './run.mjs';

const FOLDER = process.env.WHEAT_LEDGER_DATA ?? join(ROOT, '.data/postgres');
/** Beside the ledger, not in it. */
export const BACKUPS = join(FOLDER, '../backups');

/** Whether a server is running on the ledger's own cluster now. */
function running() {
  const pidFile = join(FOLDER, 'cluster/postmaster.pid');
  if (!existsSync(pidFile)) return undefined;
  const [pid, , , port] = readFileSync(pidFile, 'utf8').split('\n');
  return existsSync(`/proc/${pid}`) ? Number(port) : undefined;
}

/** Hands the work a connection to the ledger; a cluster that was not running is stopped again afterwards. */
export async function withLedger(work) {
  const bin = await ensurePostgres();
  const given = process.env.DATABASE_URL;
  const port = given ? undefined : running();
  if (given) return work({ bin, connection: { url: given, env: process.env } });
  if (port) {
    const password = readFileSync(join(FOLDER, 'password'), 'utf8').trim();
    return work({
      bin,
      connection: {
        url: `postgresql://app@127.0.0.1:${port}/wheat_ledger`,
        env: { ...process.env, PGPASSWORD: password },
      },
    });
  }
  const database = await startDatabase(FOLDER);
  try {
    return await work({ bin, connection: { url: database.url, env: database.env } });
  } finally {
    await database.stop();
  }
}
