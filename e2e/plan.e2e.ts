import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { choose, clickButton, clickLink, expectText, fill, layBench, ROOT, tick, withLedger } from './harness';

const at = withLedger();

/** Opens the first programme of the wheat strip. */
async function openProgramme(): Promise<Page> {
  const page = await at.screen.open();
  const { items: plots } = await at.ledger.api<{ items: { id: string; name: string }[] }>('plots?limit=50');
  const plot = plots.find((p) => p.name === 'Ashlark Hollow, wheat strip')?.id;
  await page.goto(`${at.ledger.address}/ground/${plot}/programmes`);
  await clickLink(page, 'Meal at sowing, pellets at tillering');
  await page.waitForSelector('[data-testid=programme-chart] .recharts-line');
  return page;
}
const typed = (page: Page, name: string): Promise<string> =>
  page.$eval(`input[name="${name}"]`, (input: HTMLInputElement) => input.value);

/** Files that the page saves go to a folder of their own. */
async function savedFiles(page: Page, save: () => Promise<void>, many: number): Promise<Record<string, string>> {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-saved-'));
  try {
    const client = await page.createCDPSession();
    await client.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    await save();
    for (let i = 0; i < 100; i++) {
      const names = readdirSync(folder).filter((name) => !name.endsWith('.crdownload'));
      if (names.length >= many)
        return Object.fromEntries(names.map((name) => [name, readFileSync(join(folder, name), 'latin1')]));
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error('Nothing was saved.');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

test('a dose is moved by keyboard and by mouse: day and amount change where they are typed, and the drawing follows', async () => {
  const page = await openProgramme();
  const before = await page.$eval('[data-testid=programme-chart]', (e) => e.getAttribute('aria-label'));
  const marks = await page.$$('[data-testid=mark]');
  await marks[1]!.evaluate((mark) => (mark as SVGElement).focus());
  await page.keyboard.press('ArrowRight');
  await page.keyboard.down('Shift');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.up('Shift');
  expect(await typed(page, 'applications.1.when')).toBe('10 May 2026');
  await page.keyboard.press('ArrowUp');
  expect(await typed(page, 'applications.1.amount')).toBe('94.5 g/m²');

  const [first] = await page.$$('[data-testid=mark]');
  const box = (await first!.$('circle').then((c) => c!.boundingBox()))!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 60, y - 30, { steps: 8 });
  await page.mouse.up();
  expect(await typed(page, 'applications.0.when')).toMatch(/^\d+ days after planting$/);
  expect(Number.parseFloat(await typed(page, 'applications.0.amount'))).toBeGreaterThan(45);
  await page.waitForFunction(
    (old) => document.querySelector('[data-testid=programme-chart]')?.getAttribute('aria-label') !== old,
    {},
    before,
  );
  await clickButton(page, 'Save');
  await expectText(page, 'body', /Saved “Meal at sowing/);
  await clickButton(page, 'Undo');
  await expectText(page, 'main', /./);
  await page.close();
});

test('a day is read off, and the weeks and the drawing are saved as files', async () => {
  const page = await openProgramme();
  await page.type('[aria-label="By which day"]', '1 Jun 2026');
  await expectText(page, '[data-testid=by-day]', /kg N\/ha can have been had, .* is taken up/);
  const files = await savedFiles(
    page,
    async () => {
      await clickButton(page, 'Save as a table (CSV)');
      await clickButton(page, 'Save as SVG');
      await clickButton(page, 'Save as PNG');
    },
    3,
  );
  const named = (end: string): string => Object.entries(files).find(([name]) => name.endsWith(end))?.[1] ?? '';
  expect(named('.csv').split('\r\n')).toHaveLength(28);
  expect(named('.csv')).toMatch(/^week,by,/);
  expect(named('.svg')).toMatch(/^<svg[^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
  expect(named('.svg')).not.toContain('var(--');
  expect(named('.png').slice(1, 4)).toBe('PNG');
  await page.close();
});

test('the best days are found for a bag, and used they are rows of the programme', async () => {
  const page = await at.screen.open();
  const { items: plots } = await at.ledger.api<{ items: { id: string; name: string }[] }>('plots?limit=50');
  const plot = plots.find((p) => p.name === 'Ashlark Hollow, wheat strip')?.id;
  await page.goto(`${at.ledger.address}/ground/${plot}/programmes/new`);
  // What is drawn last pushes the rest down.
  await page.waitForSelector('[data-testid=programme-chart] .recharts-line');
  await fill(page, 'Name of the programme', 'Urea in time');
  await clickButton(page, 'Add a row');
  await choose(page, 'What', 'Quernlow Urea');
  await fill(page, 'How much', '20 g/m²');
  await expectText(page, '[data-testid=row-numbers]', /92/);
  await clickButton(page, 'Find them');
  await page.waitForSelector('[data-testid=splits] tbody tr', { timeout: 60_000 });
  const rows = await page.$$('[data-testid=splits] tbody tr');
  const last = rows.at(-1)!;
  const doses = Number(await last.$eval('th', (th) => th.textContent));
  await (await last.$('button'))!.click();
  await page.waitForFunction((n) => document.querySelectorAll('[data-testid=doing]').length === n, {}, doses);
  await clickButton(page, 'Save');
  await expectText(page, 'body', /Saved “Urea in time”/);
  await page.close();
});

test('an incubation is typed, its curve fitted and saved with the bag, and Release follows it', async () => {
  const page = await at.screen.open();
  const { items } = await at.ledger.api<{ items: { id: string; name: string }[] }>('products?limit=500');
  const id = items.find((p) => p.name === 'Larkmere Feather Meal')?.id;
  await page.goto(`${at.ledger.address}/shelf/${id}/curve`);
  await fill(page, 'Nitrogen applied with the bag', '200');
  await page.type('textarea[name=samplings]', '7 70 10\n14 105 11\n28 140 13\n56 160 17\n84 166 21');
  await expectText(page, '[data-testid=own-curve]', /3 degrees of freedom/);
  await clickButton(page, 'Save');
  await expectText(page, 'body', /Saved “Larkmere Feather Meal”/);
  await page.reload();
  await expectText(page, '[data-testid=own-curve]', /7\d\.\d % of the N applied/);
  await layBench(at.ledger, ['Larkmere Feather Meal']);
  await page.goto(`${at.ledger.address}/release`);
  await expectText(page, 'aside', /fitted to its own incubation of 5 samplings/);
  await page.close();
});

test('prices: what a bag is worth and what stands in for it, and what a rule costs', async () => {
  await layBench(at.ledger, ['Quernlow Urea', 'Larkmere Feather Meal']);
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/price`);
  await clickLink(page, 'What it is worth');
  await expectText(page, '[data-testid=worth]', /Quernlow Urea.*Quernlow Sulfate of Ammonia/);
  await clickLink(page, 'Rules');
  await expectText(page, '[data-testid=rule-prices]', /plants only.*Lucerne Crumble/);
  await clickLink(page, 'In time');
  await expectText(page, '[data-testid=in-time]', /Quernlow Urea/);
  await page.close();
});

test('programmes side by side: what each brings, costs and leaves short, with nothing given beside them; one is copied', async () => {
  const page = await at.screen.open();
  const { items: plots } = await at.ledger.api<{ items: { id: string; name: string }[] }>('plots?limit=50');
  const plot = plots.find((p) => p.name === 'Ashlark Hollow, wheat strip')?.id;
  await page.goto(`${at.ledger.address}/ground/${plot}/programmes`);
  await (await page.waitForSelector('[data-testid=programme] input'))!.click();
  await expectText(page, '[data-testid=compared]', /as sold, in whole packages, EUR/);
  await tick(page, 'beside “Nothing”');
  await expectText(page, '[data-testid=compared] thead', /Meal at sowing.*Nothing/);
  // What nothing lacks beside the other is priced from the shelf.
  await expectText(page, '[data-testid=compared]', /\+ N, P, K/);
  await clickButton(page, 'Copy');
  await expectText(page, 'body', /Copied to “Meal at sowing, pellets at tillering \(copy\)”/);
  await page.close();
});

test('a seller’s list: every difference is seen first, then taken over as one change and taken back', async () => {
  const { startPriceFeed } = (await import(join(ROOT, 'scripts/lib/priceFeed.mjs'))) as {
    startPriceFeed: () => Promise<{ address: string; stop: () => Promise<void> }>;
  };
  const feed = await startPriceFeed();
  const csv = await (await fetch(`${feed.address}/prices.csv?day=2026-03-09`)).text();
  expect((await fetch(`${feed.address}/prices.csv?day=tomorrow`)).status).toBe(400);
  expect((await fetch(`${feed.address}/else`)).status).toBe(404);
  await feed.stop();
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-list-'));
  const file = join(folder, 'list.csv');
  writeFileSync(file, csv);
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/price/list`);
  const input = (await page.waitForSelector('input[type=file]'))!;
  await input.uploadFile(file);
  await expectText(page, '[data-testid=price-changes]', /Quernlow Urea25 kgchanged23\.75 EUR24\.70 EUR\+4 %/);
  await expectText(page, 'main', /Not on your shelf: Quernlow Moon Dust\./);
  await expectText(page, 'main', /Read “on request” as the price of Quernlow Urea/);
  const many = (await page.$$('[data-testid=price-change]')).length;
  await clickButton(page, `Take over ${many} prices`);
  await expectText(page, 'main', new RegExp(`${many} prices were taken over\\.`));
  const price = async (): Promise<number> => {
    const { items } = await at.ledger.api<{ items: { name: string; offers: unknown[] }[] }>('products?limit=500');
    return items.find((p) => p.name === 'Quernlow Urea')!.offers.length;
  };
  const taken = await price();
  await clickButton(page, 'Take them back');
  await expectText(page, 'main', /taken out again/);
  expect(await price()).toBe(taken - 1);
  rmSync(folder, { recursive: true, force: true });
  await page.close();
});

test('an assumption is replaced in place by a figure of one’s own, and put back', async () => {
  const page = await openProgramme();
  const picture = (): Promise<string | null> =>
    page.$eval('[data-testid=programme-chart]', (e) => e.getAttribute('aria-label'));
  await page.$eval('[data-testid=assumptions] summary', (e: HTMLElement) => e.click());
  await expectText(page, '[data-testid=influences]', /%/);
  const before = await picture();
  await clickButton(page, 'Change speed-up per 10 °C (Q10)');
  await page.keyboard.type('2.9');
  await page.keyboard.press('Tab');
  await page.keyboard.type('two thermometers');
  await page.keyboard.press('Enter');
  await expectText(page, 'body', /has its own figure: speed-up per 10 °C/);
  await expectText(page, '[data-testid=assumptions]', /2\.9.*fixed.*yours: two thermometers/s);
  expect(await picture()).not.toBe(before);
  await clickButton(page, 'Change speed-up per 10 °C (Q10)');
  await clickButton(page, 'Back to the usual 1.6–3');
  await expectText(page, 'body', /back to the usual 1\.6–3/);
  await page.waitForFunction(
    (old) => document.querySelector('[data-testid=programme-chart]')?.getAttribute('aria-label') === old,
    {},
    before,
  );
  await page.close();
});

test('twenty years of the station’s weather: the programme is run through each, and the cheapest that holds is named', async () => {
  const page = await openProgramme();
  await expectText(page, '[data-testid=years]', /asks for a log of rain and evapotranspiration/);
  await clickLink(page, 'Add a weather file');
  await clickButton(page, 'Take twenty years');
  await expectText(page, '[data-testid=log-outcome]', /730\d days were read/);
  await clickLink(page, 'Programmes');
  await clickLink(page, 'Meal at sowing, pellets at tillering');
  await expectText(
    page,
    '[data-testid=years]',
    /In (19|20) years of this plot’s own weather the crop goes short in \d+/,
  );
  expect((await page.$$('[data-testid=years] svg g')).length).toBeGreaterThan(18);
  await clickLink(page, 'Programmes');
  await (await page.waitForSelector('[data-testid=programme] input'))!.click();
  await expectText(page, '[data-testid=compared]', /years the crop goes short in\s*\d+ of (19|20)/);
  await expectText(page, '[data-testid=holds]', /in eight years of ten/);
  await page.close();
});
