import { clickButton, clickLink, expectText, fill, startLedger, withLedger } from './harness';

const at = withLedger();

test('a first start with the sample shows prices, release and a mix at once', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/price`);
  await expectText(page, '[data-testid=ladder]', /Quernlow Urea/);
  await clickLink(page, 'Release');
  await page.waitForSelector('.recharts-line');
  await expectText(page, '[data-testid=release-table]', /Larkmere Feather Meal/);
  await clickLink(page, 'Mix');
  await expectText(page, '[data-testid=recipe]', /Spring feed for the leeks|The old shed mix/);
  await expectText(page, 'main', /The old shed mixMade from Larkmere Feather Meal.*EUR\/kg/);
  await clickLink(page, 'Ground');
  await expectText(page, '[data-testid=plot-facts]', /Texture/);
  await clickLink(page, 'Claims');
  await expectText(page, 'main', /Does not stand/);
  await page.close();
});

test('what is known and what is not stands in the margin of each sheet, and a word opens to what it means', async () => {
  const page = await at.screen.open();
  for (const path of ['shelf', 'price', 'release', 'mix/new', 'claims/new', 'ground']) {
    await page.goto(`${at.ledger.address}/${path}`);
    await expectText(page, 'aside', /What this rests on/);
  }
  await page.goto(`${at.ledger.address}/price`);
  await clickButton(page, 'tie');
  await expectText(page, '[role=note]', /ranges overlap/);
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role=note]'));
  await page.keyboard.press('?');
  await expectText(page, '[role=dialog]', /Keys.*Words/);
  await page.close();
});

test('a stranger’s path from an empty ledger: a label is pasted, laid on the bench, priced, followed and mixed, and no page is empty', async () => {
  const bare = await startLedger({ sample: false });
  const page = await at.screen.open();
  await page.goto(bare.address);
  await clickLink(page, 'Paste a label');
  await page.waitForSelector('#label-text');
  await page.focus('#label-text');
  await page.keyboard.type('Meadow Feed 5-3-4\nTotal Nitrogen (N) 5 %\nDerived from: feather meal\nNet weight 20 kg');
  await clickButton(page, 'Make it a bag');
  await fill(page, 'Name', 'Meadow Feed');
  await fill(page, 'Price', '18.40');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Meadow Feed”/);
  await clickLink(page, 'Price');
  await clickButton(page, 'Put the one bag there is on it');
  await expectText(page, '[data-testid=ladder]', /18\.4.*Meadow Feed/);
  await clickLink(page, 'Release');
  await expectText(page, 'main', /Release needs a plot/);
  await clickLink(page, 'Enter one');
  await clickLink(page, 'Enter the first one');
  await fill(page, 'Name', 'Home bed');
  await fill(page, 'Area', '12 m²');
  await clickButton(page, 'Save');
  await expectText(page, '[data-testid=gaps]', /Do firstSay what grows here/);
  await fill(page, 'Sown, planted or growth starts', '15 Apr 2026');
  await clickButton(page, 'Save');
  await page.waitForSelector('[data-testid=season]');
  await clickLink(page, 'Release');
  await expectText(page, '[data-testid=release-table]', /Meadow Feed/);
  await clickLink(page, 'Mix');
  await clickLink(page, 'Make one from a target');
  await clickButton(page, '5-3-4, a usual garden feed');
  await expectText(page, '[data-testid=mix-answer]', /nearest that can be made|cheapest mix|lightest mix/);
  await page.close();
  await bare.stop();
});

test('nothing was thrown', () => expect(at.screen.troubles).toEqual([]));
