// npm run screenshots: one picture of each main view from the sample data, into docs/screenshots.
// Options: --out FOLDER, --only name,name, --url ADDRESS of a running ledger.
import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { launchBrowser } from './lib/browser.mjs';
import { startDatabase } from './lib/database.mjs';
import { ROOT } from './lib/run.mjs';
import { startPriceFeed } from './lib/priceFeed.mjs';
import { startServer } from './lib/server.mjs';
import { settled } from './lib/screenSteps.mjs';
import { startScale } from './lib/scale.mjs';
import { NOT_KEPT, VIEWS } from './lib/views.mjs';
import { DESK } from './lib/viewports.mjs';

const option = (name) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? undefined : process.argv[at + 1];
};
const out = resolve(ROOT, option('out') ?? 'docs/screenshots');
const only = option('only')?.split(',');
const url = option('url');

async function take(browser, base, view) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  page.base = base;
  await page.setViewport(view.viewport ?? DESK);
  const api = async (path) => (await fetch(`${base}/api/v1/${path}`)).json();
  const plots = (await api('plots')).items;
  const plotId = plots.find((p) => p.name.includes(view.plot ?? 'wheat')).id;
  const settings = { theme: view.theme ?? 'day', plotId, ...view.settings };
  await page.goto(`${base}/api/v1/health`);
  await page.evaluate(
    (kept) => {
      for (const [key, value] of Object.entries(kept))
        localStorage.setItem(`wheat-ledger.${key}`, JSON.stringify(value));
    },
    { settings },
  );
  if (view.path) await page.goto(base + view.path);
  for (const step of view.steps ?? []) {
    await step(page, { api });
  }
  await settled(page);
  await page.screenshot({ path: join(out, `${view.name}.png`) });
  await context.close();
}

async function main() {
  let database, feed, scale, server;
  const { browser, close } = await launchBrowser();
  try {
    let base = url;
    if (!base) {
      await ensureDependencies();
      await compile();
      await bundle();
      database = await startDatabase(join(ROOT, '.data/screenshots'), { throwaway: true });
      await database.psql('drop database if exists shots');
      await database.psql('create database shots');
      feed = await startPriceFeed();
      scale = await startScale();
      server = await startServer(database.urlOf('shots'), { priceFeed: feed.address, scale: scale.address });
      base = server.address;
    }
    mkdirSync(out, { recursive: true });
    const wanted = VIEWS.filter((v) => (only ? only.includes(v.name) : !NOT_KEPT.includes(v.name)));
    for (const view of wanted) {
      await take(browser, base, view);
      console.log(`${view.name}.png`);
    }
  } finally {
    await close();
    await server?.stop();
    await feed?.stop();
    await scale?.stop();
    await database?.stop();
  }
}

main().catch((error) => {
  console.error(error);
  process.exit(1);
});
