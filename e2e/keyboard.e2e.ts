import type { Page } from 'puppeteer-core';
import { expectText, withLedger } from './harness';
import { handsOn } from './hands';

const at = withLedger();
let page: Page;
beforeAll(async () => {
  page = await at.screen.open();
  await page.goto(at.ledger.address);
  await page.waitForSelector('[data-testid=shelf-bag]');
});
const { focused, type, press, pick } = handsOn(() => page);

test('a skip link leads past the frame', async () => {
  await page.keyboard.press('Tab');
  expect(await focused()).toBe('Skip to the page');
  await page.keyboard.press('Enter');
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('sheet');
});

test('adds a bag', async () => {
  await press('Add a bag');
  await page.waitForSelector('input[name=name]');
  await type('Name', 'Keyed Blend');
  await type('Line 1, value', '12');
  await type('Package', '20 kg');
  await type('Price', '30');
  await press('Save');
  await expectText(page, '[role=status]', /Saved “Keyed Blend”/);
});

test('undoes and redoes it with the key for undo', async () => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('u');
  await expectText(page, '[role=status]', /Undone/);
});

test('puts three bags on the bench and sets one aside by its number', async () => {
  await press('clear');
  await expectText(page, '[data-testid=bench]', /Nothing on it/);
  for (const name of ['Barn straw', 'Hollow Hen Pellets', 'Larkmere Feather Meal'])
    await press(`on the bench: ${name}`, 'Space');
  await expectText(page, '[data-testid=bench]', /3 of 8/);
  await page.keyboard.press('1');
  await expectText(page, '[data-testid=bench]', /set aside/);
  await page.keyboard.press('1');
});

test('walks the stages by bracket, and opens and closes a figure’s working', async () => {
  await page.keyboard.press(']');
  await page.waitForSelector('[data-testid=ladder]');
  await press(/^\d+(\.\d+)?$/);
  await expectText(page, '[data-testid=working]', /EUR\/kg/);
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[data-testid=working]'));
  await page.keyboard.press(']');
  await expectText(page, '[data-testid=release-table]', /Barn straw/);
});

test('makes a recipe and keeps it', async () => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press(']');
  await press('A new mix');
  await page.waitForSelector('[data-testid=mix-answer]');
  await type('Name of the recipe', 'Keyed mix');
  await type('Target, N-P₂O₅-K₂O and more', '4-2-2');
  await expectText(page, '[data-testid=weigh-out]', /The batch/);
  await press('Save');
  await expectText(page, '[role=status]', /Saved “Keyed mix”/);
});

test('takes a claim apart', async () => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press(']');
  await expectText(page, 'main h1', /Today’s round/);
  await page.keyboard.press(']');
  await press('Take a claim apart');
  await page.waitForSelector('textarea[name=statement]');
  await type('What is said, word for word', 'Straw feeds the wheat');
  await pick('Of which bag', 'Barn straw');
  await press('nitrogen', 'Space');
  // Straw ties nitrogen up: in time for the wheat it sets hardly any free.
  await expectText(page, '[data-testid=verdict]', /Does not stand/);
  await press('Save');
  await expectText(page, '[role=status]', /Saved “Straw feeds the wheat”/);
});

test('finds a bag by name from anywhere, and lists the keys', async () => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('/');
  await page.keyboard.type('sulfate of am');
  await page.waitForSelector('[role=option]');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expectText(page, 'main h1', /Quernlow Sulfate of Ammonia/);
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.type('?');
  await expectText(page, '[role=dialog]', /the stage before, the stage after/);
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'));
});

test('nothing was thrown on the way', () => expect(at.screen.troubles).toEqual([]));
