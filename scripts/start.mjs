// npm start: everything from a bare machine to an address, stopped cleanly by Ctrl-C.
import { join } from 'node:path';
import { checkNode } from './lib/machine.mjs';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { ROOT } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

const sample = !process.argv.includes('--empty');
const PORT = Number(process.env.PORT ?? 4180);

async function main() {
  checkNode();
  await ensureDependencies();
  console.log('Building …');
  await compile();
  await bundle();
  const database = process.env.DATABASE_URL
    ? undefined
    : await startDatabase(process.env.WHEAT_LEDGER_DATA ?? join(ROOT, '.data/postgres'));
  let server;
  let stopping = false;
  const shutDown = async (code) => {
    if (stopping) return;
    stopping = true;
    await server?.stop();
    await database?.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void shutDown(0));
  try {
    server = await startServer(process.env.DATABASE_URL || database.url, { port: PORT, sample, inherit: true });
  } catch (error) {
    console.error(error.message);
    await shutDown(1);
    return;
  }
  server.child.once('close', () => {
    if (!stopping) {
      console.error('The server stopped by itself.');
      void shutDown(1);
    }
  });
  console.log(server.address);
  console.log('Ctrl-C stops it; what you entered stays.');
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
