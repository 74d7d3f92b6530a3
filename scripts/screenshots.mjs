// npm run screenshots: one picture of each main view from the sample data, into docs/screenshots.
// Options: --out FOLDER, --only name,name, --url ADDRESS of a running ledger.
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { launchBrowser } from './lib/browser.mjs';
import { startDatabase } from './lib/database.mjs';
import { ROOT } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

const option = (name) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? undefined : process.argv[at + 1];
};
const out = resolve(ROOT, option('out') ?? 'docs/screenshots');
const only = option('only')?.split(',');
const url = option('url');

const DESK = { width: 1280, height: 800, deviceScaleFactor: 1 };
const PHONE = { width: 390, height: 844, deviceScaleFactor: 2, isMobile: true, hasTouch: true };

const click = (selector) => async (page) => {
  await page.waitForSelector(selector);
  await page.click(selector);
};
const CSV =
  'name,seller,nitrogen,P2O5,K2O,package,price\nRidgeway Meal,Ossel & Wick,5,3,4,20 kg,18.40\nRidgeway Green,Ossel & Wick,lots,1,2,10 kg,9.90\n';
const chooseCsv = async (page) => {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-csv-'));
  const file = join(folder, 'ashlark-bags.csv');
  writeFileSync(file, CSV);
  const input = await page.waitForSelector('#csv-file');
  await input.uploadFile(file);
  await page.waitForSelector('[data-testid=csv-import]');
  rmSync(folder, { recursive: true, force: true });
};
const LABEL = `Ridgeway Meadow Feed 5-3-4
Total Nitrogen (N) ........ 5.0%
   1.0% Ammoniacal Nitrogen
   3.5% Water Insoluble Nitrogen
Available Phosphate (P2O5) .. 3.0%
Soluble Potash (K2O) ........ 4.0%
Vitality factor 12 %
Derived from: feather meal, bone meal, muriate of potash
Net weight 20 kg
Beds: 100 g per m², twice a year; pots: 4 g per litre of potting mix`;
/** The sheet is there, its fonts too, and nothing has moved for a moment. */
const settled = async (page) => {
  await page.waitForSelector('main h1');
  await page.evaluate(() => document.fonts.ready);
  await new Promise((r) => setTimeout(r, 450));
};
const bandsDone = async (page) => {
  // The table tells a band in words once it is there.
  await page.waitForSelector('[data-testid=release-table] td.num div', { timeout: 60_000 });
  // The courses come first and the bands after a rest, so it has to stay quiet for a moment.
  for (let quiet = 0; quiet < 3; quiet++) {
    await page.waitForFunction(() => !document.querySelector('progress'), { timeout: 60_000 });
    await new Promise((r) => setTimeout(r, 500));
  }
};
const openNamed =
  (name) =>
  async (page, { api }) => {
    const { items } = await api('products?limit=500');
    await page.goto(`${page.base}/shelf/${items.find((p) => p.name === name).id}`);
  };
const openNamedPage =
  (name, path) =>
  async (page, { api }) => {
    const { items } = await api('products?limit=500');
    await page.goto(`${page.base}/shelf/${items.find((p) => p.name === name).id}${path}`);
  };
const openRecipe =
  (name) =>
  async (page, { api }) => {
    const { items } = await api('recipes');
    await page.goto(`${page.base}/mix/${items.find((r) => r.name === name).id}`);
  };
const openSoilReport = async (page, { api }) => {
  const { items } = await api('plots');
  await page.goto(`${page.base}/ground/${items.find((p) => p.name.includes('wheat')).id}/soil/new`);
  await page.waitForSelector('#slip');
  await page.type(
    '#slip',
    'Analysis          Bed 1   Bed 2   Target\npH                6.2     6.8     6.5\nMehlich-3, mg/kg\nPhosphorus        48      61      45\nVigour 12 %\nPhosphate 30 mg/kg',
  );
};
const openPlot =
  (name, page = '') =>
  async (browserPage, { api }) => {
    const { items } = await api('plots');
    await browserPage.goto(`${browserPage.base}/ground/${items.find((p) => p.name.includes(name)).id}${page}`);
  };
const openProgramme =
  (name) =>
  async (page, { api }) => {
    const { items } = await api('programmes');
    const found = items.find((p) => p.name === name);
    const { items: seasons } = await api('seasons');
    const { plotId } = seasons.find((s) => s.id === found.seasonId);
    await page.goto(`${page.base}/ground/${plotId}/programmes/${found.id}`);
    await page.waitForSelector('[data-testid=programme-chart] .recharts-line');
  };
const openClaim =
  (part) =>
  async (page, { api }) => {
    const { items } = await api('claims');
    await page.goto(`${page.base}/claims/${items.find((c) => c.statement.includes(part)).id}`);
  };

const VIEWS = [
  { name: 'shelf', path: '/shelf' },
  { name: 'lines', path: '/shelf', settings: { shelfAs: 'lines' } },
  { name: 'bag', steps: [openNamed('Hobbingate Steady Prills')] },
  { name: 'bag-tall', viewport: { ...DESK, height: 1900 }, steps: [openNamed('Hobbingate Steady Prills')] },
  { name: 'elements', steps: [openNamedPage('Hollow Hen Pellets', '/elements')] },
  { name: 'versions', steps: [openNamedPage('Hollow Hen Pellets', '/versions')] },
  { name: 'kitchen', path: '/shelf/kitchen' },
  { name: 'filters', path: '/shelf', steps: [click('main details summary')] },
  {
    name: 'label-desk',
    path: '/shelf/label',
    steps: [(page) => page.waitForSelector('#label-text'), (page) => page.type('#label-text', LABEL)],
  },
  {
    name: 'label-photo',
    path: '/shelf/label',
    steps: [
      click('[data-testid=sample-photo]'),
      (page) => page.waitForSelector('[data-testid=paper-picture]', { timeout: 60_000 }),
    ],
  },
  {
    name: 'evening-label',
    path: '/shelf/label',
    theme: 'evening',
    steps: [(page) => page.waitForSelector('#label-text'), (page) => page.type('#label-text', LABEL)],
  },
  {
    name: 'phone-label',
    path: '/shelf/label',
    viewport: PHONE,
    steps: [(page) => page.waitForSelector('#label-text'), (page) => page.type('#label-text', LABEL)],
  },
  { name: 'materials', path: '/shelf/materials', steps: [(page) => page.waitForSelector('[data-testid=library]')] },
  { name: 'csv', path: '/shelf/csv', steps: [chooseCsv] },
  { name: 'price', path: '/price', steps: [click('[data-testid=ladder] .fig')] },
  { name: 'release', path: '/release', steps: [bandsDone] },
  {
    name: 'mix',
    steps: [openRecipe('Spring feed for the leeks'), (page) => page.waitForSelector('[data-testid=weigh-out]')],
  },
  {
    name: 'mix-check',
    steps: [
      openRecipe('The old shed mix'),
      (page) => page.waitForSelector('[data-testid=weigh-out]'),
      click('[data-testid=mix-analysis] .fig'),
    ],
  },
  { name: 'recipes', path: '/mix' },
  { name: 'claims', path: '/claims' },
  { name: 'claim', steps: [openClaim('silicon'), click('[data-testid=checks] .fig')] },
  { name: 'ground', path: '/ground' },
  {
    name: 'causes',
    path: '/ground/causes',
    steps: [click('main fieldset:first-of-type label'), click('main fieldset:nth-of-type(3) label')],
  },
  { name: 'soil', steps: [openPlot('wheat', '/soil'), (page) => page.waitForSelector('[data-testid=derived]')] },
  {
    name: 'evening-bag',
    theme: 'evening',
    viewport: { ...DESK, height: 1700 },
    steps: [openNamed('Hollow Hen Pellets')],
  },
  { name: 'soil-slip', steps: [openSoilReport] },
  { name: 'phone-slip', viewport: PHONE, steps: [openSoilReport] },
  { name: 'weather', steps: [openPlot('Sweetcorn', '/weather')] },
  { name: 'weather-dahlias', steps: [openPlot('Dahlia', '/weather')] },
  { name: 'crops', path: '/ground/crops' },
  { name: 'crop', path: '/ground/crops/new?from=leek' },
  { name: 'programmes', steps: [openPlot('wheat', '/programmes')] },
  { name: 'programme', steps: [openProgramme('Meal at sowing, pellets at tillering')] },
  {
    name: 'programme-tall',
    viewport: { ...DESK, height: 1700 },
    steps: [openProgramme('Meal at sowing, pellets at tillering'), click('[data-testid=programme-totals] .fig')],
  },
  { name: 'programme-can', viewport: { ...DESK, height: 1500 }, steps: [openProgramme('Little and often in the can')] },
  {
    name: 'phone-programme',
    viewport: { ...PHONE, height: 2600 },
    steps: [openProgramme('Meal at sowing, pellets at tillering')],
  },
  { name: 'jars', steps: [openPlot('wheat', '/jars')] },
  { name: 'book', path: '/book' },
  {
    name: 'release-tall',
    path: '/release',
    viewport: { ...DESK, height: 1500 },
    steps: [bandsDone, click('[data-testid=assumptions] summary')],
  },
  { name: 'evening', path: '/price', theme: 'evening', steps: [click('[data-testid=ladder] .fig')] },
  { name: 'evening-shelf', path: '/shelf', theme: 'evening' },
  { name: 'phone-shelf', path: '/shelf', viewport: PHONE },
  { name: 'phone-price', path: '/price', viewport: PHONE },
  { name: 'phone-bag', viewport: { ...PHONE, height: 3000 }, steps: [openNamed('Hollow Hen Pellets')] },
  { name: 'elements-fed', steps: [openNamedPage('Ossel Clear Feed', '/elements')] },
  { name: 'phone-csv', viewport: { ...PHONE, height: 1500 }, path: '/shelf/csv', steps: [chooseCsv] },
  { name: 'phone-elements', viewport: PHONE, steps: [openNamedPage('Hollow Hen Pellets', '/elements')] },
  { name: 'phone-weather', viewport: PHONE, steps: [openPlot('Dahlia', '/weather')] },
  { name: 'phone-filters', path: '/shelf', viewport: PHONE, steps: [click('main details summary')] },
  { name: 'evening-elements', theme: 'evening', steps: [openNamedPage('Hollow Hen Pellets', '/elements')] },
  { name: 'evening-jars', theme: 'evening', steps: [openPlot('wheat', '/jars')] },
];
/** Taken for a look, not kept. */
const NOT_KEPT = [
  'evening-label',
  'phone-label',
  'phone-slip',
  'label-photo',
  'bag-tall',
  'versions',
  'kitchen',
  'filters',
  'causes',
  'csv',
  'evening-bag',
  'soil-slip',
  'weather-dahlias',
  'jars',
  'crops',
  'crop',
  'programmes',
  'programme-tall',
  'programme-can',
  'phone-programme',
  'release-tall',
  'evening-shelf',
  'phone-price',
  'phone-bag',
  'phone-csv',
  'elements-fed',
  'phone-elements',
  'phone-weather',
  'phone-filters',
  'evening-elements',
  'evening-jars',
  'book',
  'mix-check',
];

async function take(browser, base, view) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  page.base = base;
  await page.setViewport(view.viewport ?? DESK);
  const api = async (path) => (await fetch(`${base}/api/v1/${path}`)).json();
  const plots = (await api('plots')).items;
  const plotId = plots.find((p) => p.name.includes('wheat')).id;
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
  let database, server;
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
      server = await startServer(database.urlOf('shots'));
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
    await database?.stop();
  }
}

main().catch((error) => {
  console.error(error);
  process.exit(1);
});
