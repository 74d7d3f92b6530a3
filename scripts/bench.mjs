// npm run bench: how fast it is, as figures of this machine and as ratios against a plain baseline measured in the same run.
import { join } from 'node:path';
import { benchCatalogue } from './bench/catalogue.mjs';
import { benchPooling } from './bench/claims.mjs';
import { benchLabel, benchMix, benchPapers, benchRanking, benchRelease } from './bench/core.mjs';
import { benchFirstRoute, benchGrid, benchReferences, benchTyping } from './bench/page.mjs';
import { benchProgramme, benchWorth } from './bench/programme.mjs';
import { benchRounds } from './bench/rounds.mjs';
import { benchTrials } from './bench/trials.mjs';
import { benchImport, benchList } from './bench/server.mjs';
import { benchStages } from './bench/stages.mjs';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { ROOT } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

/** Work with a server on a new database, empty or with the sample. */
async function withServer(work, sample = false) {
  const database = await startDatabase(join(ROOT, '.data/bench'), { throwaway: true });
  await database.psql('drop database if exists many');
  await database.psql('create database many');
  const server = await startServer(database.urlOf('many'), { sample });
  try {
    await work(server, database);
  } finally {
    await server.stop();
    await database.stop();
  }
}

async function main() {
  await ensureDependencies();
  await compile();
  await bundle();
  const [core, contract, demo] = await Promise.all(
    ['core', 'contract', 'demo'].map((name) => import(join(ROOT, `packages/${name}/dist/index.js`))),
  );
  console.log(
    `Node ${process.versions.node}; medians; ratios are of this run, so they mean more than the milliseconds.\n`,
  );
  await benchRanking(core);
  await benchRelease(core, contract, demo);
  await benchProgramme(core, contract, demo);
  await benchWorth(core);
  await benchMix(core, contract, demo);
  await benchLabel(core);
  await benchPapers(core);
  await benchPooling(core);
  await benchRounds(core, contract, demo);
  await benchTrials(core);
  await withServer(async (server, database) => {
    await benchImport(server, database);
    await benchList(server);
    await benchFirstRoute(server);
    await benchTyping(server);
    await benchReferences(server);
    await benchGrid(server);
  });
  await withServer(benchCatalogue);
  await withServer(benchStages, true);
}

main().catch((error) => {
  console.error(error);
  process.exit(1);
});
