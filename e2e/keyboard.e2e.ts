import type { Page } from 'puppeteer-core';
import { expectText, withLedger } from './harness';

const at = withLedger();
let page: Page;
beforeAll(async () => {
  page = await at.screen.open();
  await page.goto(at.ledger.address);
  await page.waitForSelector('[data-testid=shelf-bag]');
});
const MOST_TABS = 260;
/** What has the focus, as a person would name it. */
const focused = (): Promise<string> =>
  page.evaluate(() => {
    const e = document.activeElement;
    const label = (e as HTMLInputElement | null)?.labels?.[0]?.textContent;
    return (e?.getAttribute('aria-label') ?? label ?? e?.textContent ?? '').replace(/\s+/g, ' ').trim();
  });
/** Presses Tab until the focus is on something so named. Nothing here ever touches a mouse. */
async function tabTo(name: string | RegExp, back = false): Promise<void> {
  const fits = (words: string): boolean => (typeof name === 'string' ? words === name : name.test(words));
  for (let i = 0; i < MOST_TABS; i++) {
    if (fits(await focused())) return;
    if (back) await page.keyboard.down('Shift');
    await page.keyboard.press('Tab');
    if (back) await page.keyboard.up('Shift');
  }
  throw new Error(`Tab never reached ${String(name)}; the focus is on “${await focused()}”.`);
}
const type = async (name: string | RegExp, text: string): Promise<void> => {
  await tabTo(name);
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await page.keyboard.type(text);
};
const press = async (name: string | RegExp, key: 'Enter' | 'Space' = 'Enter'): Promise<void> => {
  await tabTo(name);
  await page.keyboard.press(key);
};
/** Chooses an option of the select with the focus by typing its first letters. */
const pick = async (name: string | RegExp, words: string): Promise<void> => {
  await tabTo(name);
  await page.keyboard.type(words);
};

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
  await press('Take a claim apart');
  await page.waitForSelector('textarea[name=statement]');
  await type('What is said, word for word', 'Straw feeds the wheat');
  await pick('Of which bag', 'Barn straw');
  await press('nitrogen', 'Space');
  await expectText(page, '[data-testid=verdict]', /Not shown/);
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
