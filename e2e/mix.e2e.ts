import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { choose, clickButton, clickLink, clickRadio, clickTab, expectText, fill, tick, withLedger } from './harness';

const at = withLedger();

const newMix = async (target: string) => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix/new`);
  await fill(page, 'Target, N-P₂O₅-K₂O and more', target);
  await expectText(page, '[data-testid=mix-answer]', /The cheapest mix that meets it/);
  return page;
};

test('a mix for what likes it sour, without nitrate or chloride, and its plant-only version with the price of that', async () => {
  const page = await newMix('2-0-1');
  await fill(page, 'May exceed, %', '50');
  await choose(page, 'Add a rule', 'no nitrate');
  await choose(page, 'Add a rule', 'no chloride salts');
  await expectText(page, '[data-testid=rule]:nth-child(1)', /no nitrate ?costs nothing here.*leaves out 1 of 16 bags/);
  await expectText(page, '[data-testid=weigh-out]', /Quernlow Sulfate of Potash.*Quernlow Urea/);
  await choose(page, 'Add a rule', 'plants only');
  await expectText(page, '[data-testid=weigh-out]', /Lucerne Crumble/);
  // 0.513 EUR a kg of lucerne against 0.074 of two salts.
  await expectText(
    page,
    '[data-testid=rule]:nth-child(3)',
    /plants only ?costs 0\.4\d\d EUR per kg.*for want of a word on it/,
  );
  // Switched off it stays in the list, and costs nothing.
  await tick(page, 'plants only');
  await expectText(page, '[data-testid=rule]:nth-child(3)', /plants only ?off/);
  await expectText(page, '[data-testid=weigh-out]', /Quernlow Urea/);
  await fill(page, 'Name of the recipe', 'For the blueberries');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “For the blueberries”/);
  await page.reload();
  await expectText(page, '[data-testid=rule]:nth-child(3)', /plants only ?off/);
  await page.close();
});

test('rules that cannot hold together are named, and a button makes the change that helps', async () => {
  const page = await newMix('6-3-5');
  await choose(page, 'Add a rule', 'plants only');
  await expectText(
    page,
    '[data-testid=ruled-out]',
    /These cannot all hold together:.*plants only.*Any one of these would make it work/,
  );
  await clickButton(page, 'without the rule “plants only”');
  await expectText(page, '[data-testid=mix-answer]', /The cheapest mix that meets it/);
  await expectText(page, '[data-testid=rule]', /plants only ?off/);
  // A bound is moved to where the others can live with it.
  await choose(page, 'Add a rule', 'at most so many materials');
  await fill(page, 'At most, materials', '1');
  await clickButton(page, 'at most ');
  await expectText(page, '[data-testid=mix-answer]', /The cheapest mix that meets it/);
  await expectText(page, '[data-testid=around]', /With 1 % more N it comes to .* more\..*Without .* it c/);
  await page.close();
});

test('a recipe is chosen by the least weight and the fewest bags as well as by cost', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix`);
  await clickLink(page, 'Spring feed for the leeks');
  await expectText(page, '[data-testid=mix-answer]', /The cheapest mix that meets it/);
  await choose(page, 'Make small', 'the weight');
  await expectText(page, '[data-testid=mix-answer]', /The lightest mix that meets it/);
  await choose(page, 'Make small', 'the number of bags');
  await expectText(page, '[data-testid=mix-answer]', /The mix of the fewest bags that meets it/);
  await page.close();
});

test('a recipe typed in parts and cups is checked, says what a part is, and the parts that would meet its target are taken', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix/new`);
  await clickTab(page, 'Check parts');
  for (const [i, [much, bag]] of (
    [
      ['4', 'Larkmere Feather Meal'],
      ['2 US cups', 'Larkmere Bone Meal'],
      ['300 g', 'Quernlow Sulfate of Potash'],
    ] as const
  ).entries()) {
    await clickButton(page, 'Add a part');
    await fill(page, `Part ${i + 1}, how many or how much`, much);
    await choose(page, `Part ${i + 1}, of which bag`, bag);
  }
  await expectText(page, 'main', /Some are parts and some are amounts: say what one part is/);
  await fill(page, 'One part is', '1 US cup');
  // Two cups of bone meal at 0.85 kg/L are 402 g.
  await expectText(
    page,
    '[data-testid=weigh-out]',
    /Larkmere Feather Meal.*Larkmere Bone Meal.*Quernlow Sulfate of Potash/,
  );
  await expectText(page, '[data-testid=scoops]', /The nearest, 60 mL each/);
  await fill(page, 'Meant to be (if anything)', '5-3-4');
  await expectText(page, '[data-testid=equal-dose]', /To bring as much as 100 g of 5-3-4, give \d+ g for its nitrogen/);
  await expectText(
    page,
    '[data-testid=corrected]',
    /To be 5-3-4, these bags would have to be, by weight: [\d.]+ Larkmere/,
  );
  await clickButton(page, 'Take these parts');
  await expectText(page, '[data-testid=mix-analysis]', /N nitrogen[\d.]+ %5 %/);
  await page.close();
});

test('a set of rules is added in a step, kept under a name, and one material is swapped for another at equal nitrogen', async () => {
  const page = await newMix('2-0-1');
  await fill(page, 'May exceed, %', '50');
  await page.click('[data-testid=rule-sets] summary');
  await clickButton(page, 'Add its rules');
  await expectText(page, '[aria-label=Rules]', /No nitrate; liming effect at most 0 kg CaCO₃ per 100 kg/);
  await fill(page, 'Keep the rules above as the set', 'for the blueberries');
  await clickButton(page, 'Keep the set');
  await expectText(page, '[data-testid=rule-sets]', /for the blueberries/);
  await clickButton(page, 'Keep these parts in the recipe');
  await expectText(page, '[data-testid=weigh-out]', /Quernlow Sulfate of Potash/);
  await page.click('[data-testid=swap] summary');
  const parts = await page.$$eval('select[aria-label="Instead of"] option', (all) => all.map((o) => o.textContent));
  await choose(page, 'Instead of', parts.find((name) => /Urea|Ammonia/.test(name ?? '')) ?? '');
  await choose(page, 'take', 'Larkmere Feather Meal');
  await expectText(
    page,
    '[data-testid=swapped]',
    /of Larkmere Feather Meal bring as much nitrogen: what is set free in time for the crop counted/,
  );
  await expectText(page, '[data-testid=swapped]', /cost: .* before, .* after/);
  await clickButton(page, 'Swap it');
  await expectText(page, '[data-testid=weigh-out]', /Larkmere Feather Meal/);
  await fill(page, 'Name of the recipe', 'Slow feed');
  await clickButton(page, 'Put it on the shelf as a bag');
  await expectText(page, '[role=status]', /“Slow feed” is on the shelf as a bag/);
  await page.close();
});

test('so much of each nutrient for a bed, in whole packages, with what to fetch', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix/new`);
  await clickRadio(page, 'amounts in all');
  await fill(page, 'Amounts of nutrients', '8 g/m² N, 5 g/m² K2O');
  await expectText(page, '[data-testid=mix-answer]', /say for which area it is made/);
  await fill(page, 'For', '12 m²');
  await choose(page, 'Add a rule', 'packages bought whole');
  await expectText(page, '[data-testid=shopping]', /In all/);
  await expectText(page, '[data-testid=around]', /With 9\.6 g more N it comes to/);
  await choose(page, 'Add a rule', 'what is at hand first');
  await expectText(page, '[data-testid=rule]:nth-child(2)', /what is at hand first ?(costs nothing here|saves)/);
  await fill(page, 'Name of the recipe', 'For the bean bed');
  await page.keyboard.press('Enter');
  await expectText(page, '[role=status]', /Saved “For the bean bed”/);
  await page.reload();
  await expectText(page, '[data-testid=shopping]', /In all/);
  await page.close();
});

test('a mix is dissolved as a feed, with its stock tanks, and saved and opened again as a file', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix`);
  await clickLink(page, 'The old shed mix');
  await expectText(page, '[data-testid=weigh-out]', /Larkmere Feather Meal/);
  await page.click('[data-testid=solution] summary');
  await expectText(page, '[data-testid=solution]', /Larkmere Feather Meal and Larkmere Bone Meal do not dissolve/);
  await expectText(page, '[data-testid=feed]', /A litre of feed holds, mg: K .*It adds .* mS\/cm/);
  await expectText(page, '[data-testid=tanks]', /Tank A, 20 L: .*Quernlow Sulfate of Potash/);
  await page.goto(`${at.ledger.address}/mix`);
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-recipe-'));
  const file = join(folder, 'From a friend.csv');
  writeFileSync(file, 'material,amount,unit\nLarkmere Bone Meal,2,part\nQuernlow Urea,500,g\nMoon dust,1,part\n');
  const input = (await page.waitForSelector('input[aria-label="A recipe file"]'))!;
  await input.uploadFile(file);
  await expectText(page, '[role=status]', /“From a friend” is kept\. No bag here is called Moon dust/);
  rmSync(folder, { recursive: true, force: true });
  await page.close();
});
