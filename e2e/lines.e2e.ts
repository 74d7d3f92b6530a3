import type { Page } from 'puppeteer-core';
import { clickButton, expectText, layBench, withLedger } from './harness';

const at = withLedger();
const names = (page: Page): Promise<string[]> =>
  page.$$eval('[data-testid=shelf-line] th', (cells) => cells.map((c) => c.textContent ?? ''));

test('the shelf as lines: sorted by a heading, columns chosen, walked and opened by keyboard', async () => {
  await layBench(at.ledger, []);
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf`);
  await clickButton(page, 'As lines');
  await page.waitForSelector('[data-testid=shelf-line]');
  expect((await names(page))[0]).toBe('Barn straw');
  await clickButton(page, 'N %');
  // 62 mg/kg of a ferment stands first, what says nothing of nitrogen last, whichever way it is sorted.
  expect((await names(page))[0]).toBe('Green Can Nettle Ferment');
  await clickButton(page, 'N %');
  const sorted = await names(page);
  expect(sorted[0]).toBe('Quernlow Urea');
  expect(sorted.at(-1)).not.toBe('Green Can Nettle Ferment');
  await page.focus('[data-testid=shelf-line][tabindex="0"]');
  await page.keyboard.press('Home');
  await page.keyboard.press('Space');
  await expectText(page, '[data-testid=bench]', /1 of 8/);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expectText(page, '[data-testid=bench]', /2 of 8/);
  await clickButton(page, 'Columns');
  await page.waitForFunction(() =>
    [...document.querySelectorAll('label')].some((l) => l.textContent === 'Package' && (l.click(), true)),
  );
  await page.keyboard.press('Escape');
  await expectText(page, '[data-testid=shelf-lines]', /23\.75 EUR for 25 kg/);
  await page.reload();
  await expectText(page, '[data-testid=shelf-lines]', /23\.75 EUR for 25 kg/);
  await page.focus('[data-testid=shelf-line][tabindex="0"]');
  await page.keyboard.press('Enter');
  await page.waitForSelector('input[name=name]');
  await page.close();
});

test('nothing was thrown', () => expect(at.screen.troubles).toEqual([]));
