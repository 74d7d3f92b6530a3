// npm start: everything from a bare machine to an address, stopped cleanly by Ctrl-C. `npm run start:two` puts two servers of one database behind a proxy.
import { join } from 'node:path';
import { checkNode } from './lib/machine.mjs';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { portFree, startDatabase } from './lib/database.mjs';
import { ROOT } from './lib/run.mjs';
import { startPriceFeed } from './lib/priceFeed.mjs';
import { startProxy } from './lib/proxy.mjs';
import { startScale } from './lib/scale.mjs';
import { startServer } from './lib/server.mjs';

const sample = !process.argv.includes('--empty');
const two = process.argv.includes('--two');
/** Of two servers, how often one that stopped by itself is started again. */
const MOST_RESTARTS = 20;
const PORT = Number(process.env.PORT ?? 4180);

function checkPort() {
  if (!Number.isInteger(PORT) || PORT < 0 || PORT > 65535)
    throw new Error(`Read PORT "${process.env.PORT}", expected a number from 0 to 65535.`);
}
async function checkPortFree() {
  if (PORT > 0 && !(await portFree(PORT)))
    throw new Error(
      `Port ${PORT} is taken. Stop what uses it, or choose another: PORT=${PORT === 65535 ? 4180 : PORT + 1} npm start`,
    );
}

/** npm that is stopped alone does not always say so to what it started: then this ends too. */
function endWithNpm(shutDown) {
  if (!process.env.npm_lifecycle_event) return;
  const parent = process.ppid;
  setInterval(() => process.ppid !== parent && void shutDown(0), 1000).unref();
}

async function main() {
  checkNode();
  checkPort();
  await ensureDependencies();
  console.log('Building …');
  await compile();
  await bundle();
  const database = process.env.DATABASE_URL
    ? undefined
    : await startDatabase(process.env.WHEAT_LEDGER_DATA ?? join(ROOT, '.data/postgres'));
  const servers = [];
  let proxy;
  let feed;
  let scale;
  let startAt;
  let stopping = false;
  const shutDown = async (code) => {
    if (stopping) return;
    stopping = true;
    await proxy?.stop();
    await Promise.all(servers.map((server) => server.stop()));
    await feed?.stop();
    await scale?.stop();
    await database?.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void shutDown(0));
  endWithNpm(shutDown);
  try {
    await checkPortFree();
    feed = process.env.PRICE_FEED ? undefined : await startPriceFeed();
    scale = process.env.SCALE ? undefined : await startScale();
    startAt = (port) =>
      startServer(process.env.DATABASE_URL || database.url, {
        port,
        sample,
        inherit: true,
        priceFeed: process.env.PRICE_FEED || feed.address,
        scale: process.env.SCALE || scale.address,
        onPid: database?.servedBy,
      });
    // Two that start at once on a new database take turns: one migrates it and loads the sample, the other waits.
    servers.push(...(await Promise.all(two ? [startAt(0), startAt(0)] : [startAt(PORT)])));
    if (two)
      proxy = await startProxy(
        servers.map((server) => server.address),
        PORT,
      );
  } catch (error) {
    console.error(error.message);
    await shutDown(1);
    return;
  }
  let restarts = two ? MOST_RESTARTS : 0;
  /** Of two servers one that dies is started again at its address while the other serves; one alone ends everything. */
  const watch = (at) =>
    servers[at].child.once('close', async () => {
      if (stopping) return;
      const again = restarts-- > 0;
      console.error(again ? 'A server stopped by itself; starting it again.' : 'A server stopped by itself.');
      if (!again) return shutDown(1);
      try {
        servers[at] = await startAt(Number(new URL(servers[at].address).port));
        if (stopping) await servers[at].stop();
        else watch(at);
      } catch (error) {
        console.error(error.message);
        await shutDown(1);
      }
    });
  servers.forEach((_, at) => watch(at));
  console.log(proxy?.address ?? servers[0].address);
  console.log('Ctrl-C stops it; what you entered stays.');
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
