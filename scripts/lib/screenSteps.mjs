// What is done on a page before its picture is taken.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const click = (selector) => async (page) => {
  await page.waitForSelector(selector);
  await page.click(selector);
};
/** Presses the button whose words have this among them. */
export const pressWith = (words) => async (page) => {
  await page.waitForFunction(
    (text) => [...document.querySelectorAll('button')].some((b) => b.textContent.includes(text)),
    {},
    words,
  );
  await page.evaluate(
    (text) => [...document.querySelectorAll('button')].find((b) => b.textContent.includes(text)).click(),
    words,
  );
};
export const CSV =
  'name,seller,nitrogen,P2O5,K2O,package,price\nRidgeway Meal,Ossel & Wick,5,3,4,20 kg,18.40\nRidgeway Green,Ossel & Wick,lots,1,2,10 kg,9.90\n';
export const chooseCsv = async (page) => {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-csv-'));
  const file = join(folder, 'ashlark-bags.csv');
  writeFileSync(file, CSV);
  const input = await page.waitForSelector('#csv-file');
  await input.uploadFile(file);
  await page.waitForSelector('[data-testid=csv-import]');
  rmSync(folder, { recursive: true, force: true });
};
export const LABEL = `Ridgeway Meadow Feed 5-3-4
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
export const settled = async (page) => {
  await page.waitForSelector('main h1');
  await page.evaluate(() => document.fonts.ready);
  await new Promise((r) => setTimeout(r, 450));
};
export const bandsDone = async (page) => {
  // The table tells a band in words once it is there.
  await page.waitForSelector('[data-testid=release-table] td.num div', { timeout: 60_000 });
  // The courses come first and the bands after a rest, so it has to stay quiet for a moment.
  for (let quiet = 0; quiet < 3; quiet++) {
    await page.waitForFunction(() => !document.querySelector('progress'), { timeout: 60_000 });
    await new Promise((r) => setTimeout(r, 500));
  }
};
export const openNamed =
  (name) =>
  async (page, { api }) => {
    const { items } = await api('products?limit=500');
    await page.goto(`${page.base}/shelf/${items.find((p) => p.name === name).id}`);
  };
export const openNamedPage =
  (name, path) =>
  async (page, { api }) => {
    const { items } = await api('products?limit=500');
    await page.goto(`${page.base}/shelf/${items.find((p) => p.name === name).id}${path}`);
  };
export const openRecipe =
  (name, path = '') =>
  async (page, { api }) => {
    const { items } = await api('recipes');
    await page.goto(`${page.base}/mix/${items.find((r) => r.name === name).id}${path}`);
  };
/** Pours onto the practice scale and waits until it is at rest. */
export const weighWith = (words) => async (page) => {
  await pressWith(words)(page);
  await new Promise((r) => setTimeout(r, 1500));
  await page.waitForFunction(
    () => /on the scale\s*steady/.test(document.querySelector('[data-testid=weigh-step]').innerText),
    {
      timeout: 30_000,
    },
  );
};
export const openSoilReport = async (page, { api }) => {
  const { items } = await api('plots');
  await page.goto(`${page.base}/ground/${items.find((p) => p.name.includes('wheat')).id}/soil/new`);
  await page.waitForSelector('#slip');
  await page.type(
    '#slip',
    'Analysis          Bed 1   Bed 2   Target\npH                6.2     6.8     6.5\nMehlich-3, mg/kg\nPhosphorus        48      61      45\nVigour 12 %\nPhosphate 30 mg/kg',
  );
};
export const openPlot =
  (name, page = '') =>
  async (browserPage, { api }) => {
    const { items } = await api('plots');
    await browserPage.goto(`${browserPage.base}/ground/${items.find((p) => p.name.includes(name)).id}${page}`);
  };
export const openProgramme =
  (name) =>
  async (page, { api }) => {
    const { items } = await api('programmes');
    const found = items.find((p) => p.name === name);
    const { items: seasons } = await api('seasons');
    const { plotId } = seasons.find((s) => s.id === found.seasonId);
    await page.goto(`${page.base}/ground/${plotId}/programmes/${found.id}`);
    await page.waitForSelector('[data-testid=programme-chart] .recharts-line');
  };
export const openClaim =
  (part) =>
  async (page, { api }) => {
    const { items } = await api('claims');
    await page.goto(`${page.base}/claims/${items.find((c) => c.statement.includes(part)).id}`);
  };
