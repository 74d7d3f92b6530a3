import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { expectText, openScreen, ROOT, startLedger, type Ledger, type Screen } from './harness';
import { handsOn } from './hands';

let scale: { address: string; stop: () => Promise<void> };
let ledger: Ledger;
let screen: Screen;
let page: Page;
const { focused, press, type } = handsOn(() => page);
beforeAll(async () => {
  const { startScale } = (await import(join(ROOT, 'scripts/lib/scale.mjs'))) as {
    startScale: () => Promise<typeof scale>;
  };
  scale = await startScale();
  ledger = await startLedger({ scale: scale.address });
  screen = await openScreen();
  page = await screen.open();
});
afterAll(async () => {
  await screen.close();
  await ledger.stop();
  await scale.stop();
});

interface Named {
  readonly id: string;
  readonly name: string;
}
const onHand = async (name: string): Promise<number> => {
  const { items } = await ledger.api<{ items: Named[] }>('products?limit=500');
  const id = items.find((p) => p.name === name)?.id;
  const moved = await ledger.api<{ items: { amount: number }[] }>(`stock-movements?product=${id}&limit=500`);
  return moved.items.reduce((sum, m) => sum + m.amount, 0);
};
const shown = async (selector: string): Promise<number> =>
  Number.parseFloat(await page.$eval(selector, (e) => e.textContent ?? ''));
/** Takes the weight once the scale has come to rest on what was asked. */
const take = async (): Promise<void> => {
  await expectText(page, '[data-testid=weigh-step]', /on the scale\s*steady\s*That is it/);
  await press('Take this weight');
};

test('a batch is weighed out by the keyboard alone: too much of one part grows the batch, and what is mixed is a bag with its own analysis', async () => {
  const recipes = await ledger.api<{ items: Named[] }>('recipes');
  const recipe = recipes.items.find((r) => r.name === 'The old shed mix');
  await page.goto(`${ledger.address}/mix/${recipe?.id}`);
  await press('Weigh out');
  await expectText(page, 'h1', /Weigh out: The old shed mix/);
  const before = await onHand('Larkmere Feather Meal');

  // The first part is poured too far: the batch grows with it.
  const asked = await shown('[data-testid=target]');
  await press('Pour too much');
  await expectText(page, '[data-testid=weigh-step]', /A batch of 1[12]\.?\d* kg has the ratio again/);
  expect(await focused()).toBe('Grow the batch');
  await page.keyboard.press('Enter');
  await expectText(page, '[data-testid=weighed] caption', /A batch of 1[12]/);
  expect(await shown('[data-testid=weighed] [scope=row] + td')).toBeGreaterThan(asked * 1.1);

  // The others are poured as they should be, each from zero.
  for (const place of [/2 of 3/, /3 of 3/]) {
    await expectText(page, '[data-testid=weigh-step]', place);
    await press(/^Pour the missing/);
    await take();
  }
  await expectText(page, '[data-testid=weigh-done]', /All of it is in the tub/);
  expect(await focused()).toBe('Put it on the shelf');
  await type('Its name on the shelf', 'Shed mix of today');
  await press('Put it on the shelf');
  await expectText(page, '[role=status]', /“Shed mix of today” is on the shelf; its materials went down/);
  await expectText(page, 'h1', /Shed mix of today/);

  const made = await onHand('Shed mix of today');
  expect(made).toBeGreaterThan(11);
  const used = before - (await onHand('Larkmere Feather Meal'));
  expect(used).toBeGreaterThan(asked * 1.1);
  // All of it is one change of the book.
  const { items } = await ledger.api<{ items: { operation: string; why?: string }[] }>('journal?limit=5');
  expect(new Set(items.slice(0, 4).map((j) => j.operation)).size).toBe(1);
});

test('a scale that is unplugged is told, a weight can be typed meanwhile, and it comes back by itself', async () => {
  const recipes = await ledger.api<{ items: Named[] }>('recipes');
  const recipe = recipes.items.find((r) => r.name === 'The old shed mix');
  await page.goto(`${ledger.address}/mix/${recipe?.id}/weigh`);
  await expectText(page, '[data-testid=weigh-step]', /on the scale/);
  await fetch(`${scale.address}/unplug?s=4`, { method: 'POST' });
  await expectText(page, '[data-testid=weigh-step]', /The scale does not answer/);
  await type('or type it', '2 lb');
  await expectText(page, '[data-testid=weigh-step]', /0\.907 kg typed/);
  await page.keyboard.press('Enter');
  await expectText(page, '[data-testid=weighed]', /907 g/);
  await expectText(page, '[data-testid=weigh-step]', /2 of 3.*on the scale/);
  // What was taken is still there after the page was away, and can be taken back.
  await page.reload();
  await expectText(page, '[data-testid=weigh-step]', /2 of 3/);
  await press('Undo the last weight');
  await expectText(page, '[data-testid=weigh-step]', /1 of 3/);
});
