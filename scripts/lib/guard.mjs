// Stops a database and its servers when the script that looks after them was killed and could not: guard.mjs PARENT CLUSTER FOLDER
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { lives, pidsIn } from './processes.mjs';

const [parent, data, folder, throwaway] = process.argv.slice(2);
const EVERY_MS = 500;
const PATIENCE_MS = 20_000;

let database = 0;
const servers = new Set();
while (lives(Number(parent), 'node')) {
  // Noted while the script lives: what a later one starts is not this one's.
  database = pidsIn(join(data, 'postmaster.pid'))[0] || database;
  for (const pid of pidsIn(join(folder, 'server'))) servers.add(pid);
  await sleep(EVERY_MS);
}
for (const pid of servers) if (lives(pid, 'server/dist')) process.kill(pid, 'SIGTERM');
if (lives(database, data)) process.kill(database, 'SIGINT');
const until = Date.now() + PATIENCE_MS;
while (lives(database, data) && Date.now() < until) await sleep(EVERY_MS);
if (throwaway === 'throwaway' && existsSync(folder)) rmSync(folder, { recursive: true, force: true });
