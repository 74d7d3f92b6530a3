import {
  byRole,
  choose,
  clickButton,
  clickLink,
  clickRadio,
  clickTab,
  expectText,
  fill,
  press,
  tick,
  withLedger,
} from './harness';
import type { Page } from 'puppeteer-core';

const at = withLedger();
let page: Page;
beforeAll(async () => {
  page = await at.screen.open();
  await page.goto(at.ledger.address);
});
const bench = (): Promise<string> => page.$eval('[data-testid=bench]', (e) => e.textContent ?? '');
const BENCHED = ['Larkmere Feather Meal', 'Quernlow Urea', 'Hollow Hen Pellets', 'Barn straw'];

test('the shelf shows at least ten bags cut open', async () => {
  await page.waitForSelector('[data-testid=shelf-bag]');
  expect((await page.$$('[data-testid=shelf-bag] svg[role=img]')).length).toBeGreaterThanOrEqual(10);
});

test('a bag is added from its label; the checks answer while typing, and an impossible value cannot be saved', async () => {
  await clickLink(page, 'Add a bag');
  await fill(page, 'Name', 'Ridgeway Blend');
  await fill(page, 'Grade line', '12-0-0');
  await fill(page, 'Line 1, value', '10');
  await expectText(page, '[data-testid=label-checks]', /The grade says 12 % N, the analysis gives 10 %/);
  await fill(page, 'Line 1, value', 'plenty');
  await fill(page, 'Package', '20 kg');
  await fill(page, 'Price', '24,00');
  await clickButton(page, 'Save');
  await expectText(page, 'main', /Read "plenty", expected a value such as 5/);
  await fill(page, 'Line 1, value', '112');
  await clickButton(page, 'Save');
  await expectText(page, 'main [role=alert]', /more than the whole/);
  await fill(page, 'Line 1, value', '12');
  await expectText(page, '[data-testid=label-checks]', /No contradiction/);
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Ridgeway Blend”/);
  await expectText(page, 'main', /24\.00 EUR for 20 kg/);
});

test('typing survives a reload in mid-edit', async () => {
  await clickLink(page, 'Ridgeway Blend');
  await fill(page, 'Seller', 'Ossel & Wick');
  await page.reload();
  await expectText(page, 'main', /was not saved yet/);
  expect(await page.$eval('input[name=seller]', (e) => e.value)).toBe('Ossel & Wick');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved/);
});

test('a bag is taken off the shelf, restored, and the change undone', async () => {
  await clickLink(page, 'Ridgeway Blend');
  await clickButton(page, 'Take off the shelf');
  await expectText(page, '[role=status]', /taken off/);
  await page.waitForFunction(
    () => ![...document.querySelectorAll('[data-testid=shelf-bag] h2')].some((h) => h.textContent === 'Ridgeway Blend'),
  );
  await press(() => byRole(page, 'summary', 'Taken off the shelf'));
  await clickButton(page, 'Restore Ridgeway Blend');
  await expectText(page, '[role=status]', /is back on the shelf/);
  await clickButton(page, 'Undo');
  await expectText(page, '[role=status]', /Undone/);
  await expectText(page, 'main', /Taken off the shelf \(1\)/);
});

test('two to eight bags go on the bench and stay there between stages, reloads and browsers', async () => {
  await clickButton(page, 'clear');
  await expectText(page, '[data-testid=bench]', /Nothing on it/);
  for (const name of BENCHED) await tick(page, `on the bench: ${name}`);
  await expectText(page, '[data-testid=bench]', /4 of 8/);
  await clickLink(page, 'Price');
  await page.waitForSelector('[data-testid=ladder]');
  for (const name of BENCHED) expect(await bench()).toContain(name);
  await page.reload();
  await page.waitForSelector('[data-testid=ladder]');
  for (const name of BENCHED) expect(await bench()).toContain(name);
  const other = await at.screen.open();
  await other.goto(`${at.ledger.address}/price`);
  const there = await expectText(other, '[data-testid=bench]', /4 of 8/);
  for (const name of BENCHED) expect(there).toContain(name);
  await other.close();
});

test('price: ranked, missing prices told, and a figure opens to its working', async () => {
  const table = await expectText(page, '[data-testid=price-table]', /Quernlow Urea/);
  expect(table).toContain('no price');
  await expectText(page, 'main', /Not on the ladder: Barn straw \(no price\)/);
  // 23.75 EUR for 25 kg at 46 % N: 23.75 ÷ 11.5 = 2.065 EUR/kg; the 50 lb sack costs 24.40 ÷ 10.433 = 2.339.
  await page.locator('[data-testid=ladder] li:last-child .fig').click();
  const working = await expectText(page, '[data-testid=working]', /2\.07 EUR\/kg N/);
  expect(working).toContain('= 23.75 EUR ÷ 11.5 kg N');
  expect(working).toContain('label: bag label');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[data-testid=working]'));
});

test('price in pounds and elements when asked', async () => {
  await page.locator('button[title="Units and light"]').click();
  await clickRadio(page, 'pound');
  await page.keyboard.press('Escape');
  await expectText(page, '[data-testid=ladder]', /EUR per lb N/);
  await page.locator('button[title="Units and light"]').click();
  await clickRadio(page, 'kilogram');
  await page.keyboard.press('Escape');
  await expectText(page, '[data-testid=ladder]', /EUR per kg N/);
});

test('release: curves, tie-up, a closed balance, and assumptions with ranges', async () => {
  await clickLink(page, 'Release');
  const table = await expectText(page, '[data-testid=release-table]', /Barn straw/);
  expect(table).toMatch(/Barn straw−\d+ %/);
  expect(table.match(/100 %/g)?.length).toBeGreaterThanOrEqual(4);
  await page.waitForSelector('.recharts-line');
  await page.locator('[data-testid=assumptions] summary').click();
  await expectText(page, '[data-testid=assumptions]', /speed-up per 10 °C \(Q10\)21\.6–3×/);
  await page.waitForFunction(() => !document.querySelector('progress'), { timeout: 60_000 });
  await page.locator('[data-testid=release-table] .fig').click();
  await expectText(page, '[data-testid=working]', /assumed: class average/);
});

test('mix: a target becomes the cheapest recipe, an impossible one says why', async () => {
  await clickLink(page, 'Mix');
  await clickLink(page, 'A new mix');
  await fill(page, 'Target, N-P₂O₅-K₂O and more', '6-3-5');
  await expectText(page, '[data-testid=mix-answer]', /The cheapest mix that meets it/);
  await expectText(page, '[data-testid=weigh-out]', /The batch10 kg100 %/);
  await expectText(page, '[data-testid=mix-cost]', /Cost per kg0\.\d+ EUR\/kg/);
  // A worker must go on listening when the page has thrown away what it does not need any more.
  const client = await page.createCDPSession();
  await client.send('HeapProfiler.collectGarbage');
  await client.detach();
  await fill(page, 'Target, N-P₂O₅-K₂O and more', '40-0-40');
  await expectText(
    page,
    '[data-testid=mix-answer]',
    /Such a grade cannot exist from these materials.*The strongest at this ratio: \d/,
  );
  await fill(page, 'Target, N-P₂O₅-K₂O and more', '1200');
  await expectText(page, '[data-testid=mix-answer]', /can be split more than one way/);
});

test('mix: typed parts give the true analysis, and the recipe is kept', async () => {
  await fill(page, 'Name of the recipe', 'Half and half');
  await clickTab(page, 'Check parts');
  await clickButton(page, 'Add a part');
  await choose(page, 'Part 1, of which bag', 'Quernlow Urea');
  await clickButton(page, 'Add a part');
  await choose(page, 'Part 2, of which bag', 'Quernlow Sulfate of Potash');
  // Half 46 % N, half 50 % K2O and 18 % S, by weight.
  await expectText(page, '[data-testid=mix-analysis]', /N nitrogen23\.0 %.*K₂O potassium25\.0 %.*S sulfur9\.00 %/);
  await fill(page, 'Meant to be (if anything)', '23-0-25');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Half and half”/);
  await fill(page, 'Name of the recipe', 'Half by half');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Half by half”/);
});

test('claims: a claim is taken apart, its dose is counted, the verdict says what decided it', async () => {
  await clickLink(page, 'Claims');
  await clickLink(page, 'Take a claim apart');
  await fill(page, 'What is said, word for word', 'Wool pellets feed the wheat all year');
  await fill(page, 'Who says it', 'the maker, sample');
  await choose(page, 'Of which bag', 'Fleecefast Wool Pellets');
  await tick(page, 'nitrogen');
  // 70 g/m² × 9 % N = 6.3 g/m² against 8–15: 42–79 % of need.
  await expectText(page, '[data-testid=checks]', /brings 42–78\.\d+ % of one season’s nitrogen/);
  // The dose would do; whether it comes in time for the wheat, the figures do not settle.
  await expectText(page, '[data-testid=checks]', /% of its nitrogen is set free after four weeks/);
  await expectText(page, '[data-testid=verdict]', /Not shown/);
  expect(await page.$$eval('[data-testid=checks] tbody tr', (rows) => rows.length)).toBe(9);
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Wool pellets/);
});

test('the book holds every change and takes the newest back', async () => {
  await clickLink(page, 'Book');
  const journal = await expectText(page, '[data-testid=journal]', /claim Wool pellets feed the wheat all year added/);
  expect(journal).toContain('bag Ridgeway Blend restored');
  await clickButton(page, 'Undo added Wool pellets feed the wheat all year');
  await expectText(page, '[data-testid=journal]', /claim Wool pellets feed the wheat all year taken out, as an undo/);
});

test('what changed elsewhere is not overwritten silently: both versions are shown', async () => {
  const { items } = await at.ledger.api<{ items: { id: string; name: string; version: number }[] }>(
    'products?limit=500',
  );
  const straw = items.find((p) => p.name === 'Barn straw')!;
  await page.goto(`${at.ledger.address}/shelf/${straw.id}`);
  await fill(page, 'Note', 'Mine');
  const { version } = straw;
  const input = Object.fromEntries(
    Object.entries(straw).filter(([key]) => !['id', 'version', 'updatedAt', 'deletedAt'].includes(key)),
  );
  await at.ledger.api(`products/${straw.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': `"${version}"` },
    body: JSON.stringify({ ...input, note: 'Theirs' }),
  });
  await clickButton(page, 'Save');
  await expectText(page, 'main [role=alert]', /changed elsewhere.*Theirs, saved as version 2/);
  await clickButton(page, 'Save mine over it');
  await expectText(page, '[role=status]', /Saved “Barn straw”/);
  expect((await at.ledger.api<{ note: string }>(`products/${straw.id}`)).note).toBe('Mine');
});

test('nothing was thrown and nobody else was asked for anything', () => expect(at.screen.troubles).toEqual([]));
