import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { awaited, choose, clickButton, expectText, fill, withLedger } from './harness';

const at = withLedger();
const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-list-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const COUNT = 5000;
/** A list of so many products. @param dearer every so many-th price is a tenth higher */
function listOf(dearer: number): string {
  const rows = Array.from({ length: COUNT }, (_, i) => {
    const price = (8 + (i % 97) * 0.5) * (dearer > 0 && i % dearer === 0 ? 1.1 : 1);
    const kind = ['Feather meal', 'Urea prills', 'Orchard compound', 'Poultry pellets'][i % 4] ?? '';
    return `${kind} ${String(i).padStart(4, '0')},Seller ${i % 40},${['meal', 'prill', 'granule', 'pellet'][i % 4]},${4 + (i % 43)},25 kg,${price.toFixed(2)},EUR`;
  });
  return ['name,seller,form,N %,package,price,currency', ...rows, 'Broken,Seller 1,meal,lots,25 kg,1,EUR'].join('\n');
}

async function bringIn(page: Page, name: string, dearer: number): Promise<void> {
  writeFileSync(join(folder, 'list.csv'), listOf(dearer));
  await page.goto(`${at.ledger.address}/shelf/lists`);
  await fill(page, 'Name of the list', name);
  const file = (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
  await file.uploadFile(join(folder, 'list.csv'));
}

test('a list of 5 000 comes in, is searched while typing, ranked, and what fits goes to shelf and bench', async () => {
  const page = await at.screen.open();
  await bringIn(page, 'Spring', 0);
  await expectText(page, '[data-testid=list-preview]', /5001 of 5001 rows were read: 5001 new.*Row 5002: Without/s);
  await clickButton(page, 'Take it over as “Spring”');
  await expectText(page, '[role=status].no-print', /Took over “Spring”: 5001 products/);
  await page.goto(`${at.ledger.address}/shelf/catalogue`);
  await expectText(page, '[data-testid=found]', /More than 1000 products with a price and that nutrient/);
  // The first two pages.
  await awaited(page, 'div:nth-child(2) > ul > [data-testid=catalogue-product]');
  const costs = await page.$$eval('[data-testid=catalogue-product] a.block', (all) => all.length);
  expect(costs).toBeGreaterThanOrEqual(50);
  await page.focus('input[type=search]');
  await page.keyboard.type('orchard 0002');
  await expectText(page, '[data-testid=found]', /^1 product /);
  await expectText(page, '[data-testid=catalogue]', /Orchard compound 0002.*EUR\/kg N/s);
  await clickButton(page, 'bench: put Orchard compound 0002 there');
  await expectText(page, '[role=status].no-print', /“Orchard compound 0002” stands on the shelf and the bench/);
  const { items } = await at.ledger.api<{ items: readonly { name: string }[] }>('products?limit=500');
  expect(items.map((p) => p.name)).toContain('Orchard compound 0002');
  await page.waitForFunction(() =>
    /Orchard/.test(document.querySelector('#bench, footer')?.textContent ?? document.body.textContent ?? ''),
  );
  await page.close();
});

test('scrolling far keeps a few pages in hand, and every product comes once', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/catalogue`);
  await page.waitForSelector('[data-testid=catalogue-product]');
  const seen = new Set<string>();
  let most = 0;
  for (let i = 0; i < 40; i++) {
    const names = await page.$$eval('[data-testid=catalogue-product] a.block', (all) =>
      all.map((b) => b.textContent ?? ''),
    );
    names.forEach((n) => seen.add(n));
    most = Math.max(most, names.length);
    await page.evaluate(() => {
      const sheet = document.querySelector('#sheet');
      (sheet && getComputedStyle(sheet).overflowY === 'auto' ? sheet : document.documentElement).scrollBy(0, 1300);
    });
    await new Promise((r) => setTimeout(r, 60));
  }
  expect(seen.size).toBeGreaterThan(500);
  expect(most).toBeLessThanOrEqual(250);
  await page.close();
});

test('the cheapest of everything in the lists is found and proven, and follows what is typed', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/cheapest`);
  await expectText(page, '[data-testid=cheapest]', /gone through \d+ times?; nothing in it makes this cheaper/);
  const cost = () => page.$eval('[data-testid=cheapest] .total .fig', (e) => Number(e.textContent));
  const before = await cost();
  await fill(page, 'N at least, kg', '20');
  await page.waitForFunction(
    (was) => Number(document.querySelector('[data-testid=cheapest] .total .fig')?.textContent) > was,
    {},
    before,
  );
  await expectText(page, '[data-testid=cheapest]', /gone through/);
  const byTheKg = await cost();
  await page.locator('::-p-text(whole packages)').click();
  await expectText(page, '[data-testid=cheapest]', /Nothing in the lists makes a cheaper recipe in whole packages/);
  expect(await cost()).toBeGreaterThan(byTheKg);
  await expectText(page, '[data-testid=cheapest]', /\d × 25 kg/);
  await page.click('[data-testid=cheapest] .total .fig');
  await expectText(page, 'aside', /price of 25 kg of/);
  await page.locator('::-p-text(whole packages)').click();
  await fill(page, 'At most so many products', '1');
  await expectText(page, '[data-testid=cheapest]', /of 1 product/);
  expect(await page.$$eval('[data-testid=cheapest] tbody tr:not(.total)', (all) => all.length)).toBe(1);
  await fill(page, 'At most so many products', '');
  await fill(page, 'Ca at least, kg', '5');
  await expectText(page, 'main', /Nothing in the lists brings that within these bounds/);
  await fill(page, 'Ca at least, kg', 'some');
  await expectText(page, 'main', /Expected an amount in kg for Ca/);
  await page.close();
});

test('the next list is dearer in a fiftieth of it; taken back, the first stands again', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/catalogue`);
  await page.waitForSelector('input[type=search]');
  await page.focus('input[type=search]');
  await page.keyboard.type('feather');
  await fill(page, 'Keep this search as', 'Feathers');
  await clickButton(page, 'Keep it');
  await expectText(page, '[data-testid=kept-searches]', /Feathers/);
  await bringIn(page, 'Spring', 50);
  await expectText(page, '[data-testid=list-preview]', /5001 of 5001 rows were read: 100 dearer\./);
  await clickButton(page, 'Take it over as “Spring”');
  await expectText(page, '[role=status].no-print', /Took over “Spring”/);
  await page.goto(`${at.ledger.address}/shelf/catalogue`);
  // Every fiftieth is dearer, and every fourth is a feather meal: a hundredth of 5 000.
  await expectText(page, '[data-testid=kept-searches]', /Feathers.*since .*: 50 dearer/);
  await clickButton(page, 'Feathers');
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('input[type=search]')?.value === 'feather');
  await page.goto(`${at.ledger.address}/shelf/lists`);
  await clickButton(page, 'what changed');
  await expectText(page, '[data-testid=list-changes]', /dearer Feather meal 0000 .*→/s);
  await clickButton(page, 'take the last one back');
  await expectText(page, '[role=status].no-print', /“Spring” is as it was before/);
  const [list] = await at.ledger.api<readonly { revision: number; products: number }[]>('catalogue/lists');
  expect(list).toMatchObject({ revision: 1, products: 5001 });
  await page.close();
});

test('a target under Mix goes on to everything in the lists, and what is on the bench is compared under Price', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix/new`);
  await fill(page, 'Target, N-P₂O₅-K₂O and more', '6-0-3');
  const link = await page.waitForSelector('main a[href*="/shelf/cheapest?"]');
  await link?.evaluate((a) => (a as HTMLElement).click());
  await page.waitForSelector('[aria-label="N at least, kg"]');
  expect(await page.$eval('[aria-label="N at least, kg"]', (e) => (e as HTMLInputElement).value)).toBe('0.6');
  expect(await page.$eval('[aria-label="K2O at least, kg"]', (e) => (e as HTMLInputElement).value)).toBe('0.3');
  await expectText(page, '[data-testid=cheapest]', /nothing in it makes this cheaper/);
  await page.goto(`${at.ledger.address}/price`);
  await expectText(page, 'main', /Orchard compound 0002/);
  await page.close();
});

test('a product of a list opens to its working and to what everything else would cost', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/catalogue`);
  await page.waitForSelector('input[type=search]');
  await page.focus('input[type=search]');
  await page.keyboard.type('orchard 0010');
  await expectText(page, '[data-testid=catalogue-product]', /Orchard compound 0010/);
  await page.click('[data-testid=catalogue-product] a');
  await expectText(page, 'h1', /Orchard compound 0010/);
  await page.click('[data-testid=listed-nutrient] td:last-child .fig');
  await expectText(page, 'aside', /price of the package/);
  await expectText(page, 'aside', /Row 12 of “Spring”/);
  await clickButton(page, 'Work it out');
  await expectText(page, '[data-testid=worth-by-lists]', /Orchard compound 0010.*kg /s);
  await clickButton(page, 'To the shelf');
  await expectText(page, '[role=status].no-print', /“Orchard compound 0010” stands on the shelf/);
  await page.goto(`${at.ledger.address}/shelf/catalogue/999999999`);
  await expectText(page, 'main', /no list any more/);
  await page.close();
});

test('a price list makes two of a list dearer and cheaper, tells what it cannot place, and is taken back', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/lists`);
  await clickButton(page, 'new prices');
  const lines = [
    'item,size,unit,price,currency,seen',
    'Feather meal 0000,25,kg,99,EUR,2026-11-01',
    'Urea prills 0001,25,kg,1,EUR,2026-11-01',
    'Nobody has this,25,kg,1,EUR,2026-11-01',
  ];
  writeFileSync(join(folder, 'prices.csv'), lines.join('\n'));
  const file = (await page.waitForSelector(
    '[data-testid=new-prices] input[type=file]',
  )) as ElementHandle<HTMLInputElement>;
  await file.uploadFile(join(folder, 'prices.csv'));
  await expectText(
    page,
    '[data-testid=list-preview]',
    /2 of 3 rows were read: 1 dearer, 1 cheaper.*Row 4: Nobody has this/s,
  );
  await clickButton(page, 'Take it over as “Spring”');
  await expectText(page, '[role=status].no-print', /Took over “Spring”: 5001 products/);
  await clickButton(page, 'what changed');
  await expectText(page, '[data-testid=list-changes]', /dearer Feather meal 0000 .*→ 3.96 a kg/s);
  await clickButton(page, 'take the last one back');
  await expectText(page, '[role=status].no-print', /“Spring” is as it was before/);
  await page.close();
});

test('by keyboard alone, on a phone: words, a condition, and a product to the shelf', async () => {
  const page = await at.screen.open({ width: 390, height: 844 });
  await page.goto(`${at.ledger.address}/shelf/catalogue`);
  await page.waitForSelector('[data-testid=catalogue-product]');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.focus('input[type=search]');
  await page.keyboard.type('feather');
  await choose(page, 'Cheapest by', 'by name');
  await expectText(page, '[data-testid=catalogue]', /Feather meal 0000/);
  const reach = async (words: RegExp): Promise<void> => {
    for (let i = 0; i < 60; i++) {
      const on = await page.evaluate(() => document.activeElement?.textContent ?? '');
      if (words.test(on)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`Nothing that says ${String(words)} was reached.`);
  };
  await reach(/^More conditions/);
  await page.keyboard.press('Enter');
  await fill(page, 'N at least, %', '40');
  await expectText(page, '[data-testid=catalogue]', /Feather meal 0036/);
  await reach(/^shelf: put Feather meal/);
  await page.keyboard.press('Enter');
  await expectText(page, '[role=status].no-print', /“Feather meal \d+” stands on the shelf/);
  await page.close();
});

test('nothing was thrown and nobody else was asked for anything', () => expect(at.screen.troubles).toEqual([]));
