// npm run dev: database, server with recompilation, and Vite with hot reload. Ctrl-C stops all of it.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { compile, ensureDependencies, SERVER_MAIN } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { checkNode } from './lib/machine.mjs';
import { ROOT, stop, tool } from './lib/run.mjs';

const PORT = process.env.PORT ?? '5173';
const API_PORT = process.env.API_PORT ?? '4181';

async function main() {
  checkNode();
  await ensureDependencies();
  await compile();
  const database = process.env.DATABASE_URL
    ? undefined
    : await startDatabase(process.env.WHEAT_LEDGER_DATA ?? join(ROOT, '.data/dev'));
  const env = {
    ...process.env,
    DATABASE_URL: process.env.DATABASE_URL || database.url,
    PORT: API_PORT,
    API: `http://127.0.0.1:${API_PORT}`,
  };
  const [node, tsc] = tool('typescript/lib/tsc.js');
  const [, vite] = tool('vite/bin/vite.js');
  const keep = (args, cwd = ROOT) =>
    spawn(node, args, { cwd, env, stdio: ['ignore', 'inherit', 'inherit'], detached: true });
  const children = [
    keep([tsc, '-b', '--watch', '--preserveWatchOutput']),
    keep(['--watch', SERVER_MAIN]),
    keep([vite, '--port', PORT, '--strictPort'], join(ROOT, 'packages/web')),
  ];
  const shutDown = async () => {
    await Promise.all(children.map((child) => stop(child)));
    await database?.stop();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => void shutDown());
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
