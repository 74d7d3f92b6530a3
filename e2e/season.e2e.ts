import { choose, clickButton, clickLink, expectText, field, fill, withLedger } from './harness';

const at = withLedger();

test('a new plot is asked what grows there; its season, its programme and the crop of one’s own are saved and worked out', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/ground/new`);
  await fill(page, 'Name', 'Leek bed');
  await fill(page, 'Area', '20 m²');
  await clickButton(page, 'Save');
  await expectText(page, 'main', /Nothing is said yet of what grows here/);
  await choose(page, 'Crop', 'Leeks');
  await fill(page, 'Sown, planted or growth starts', '12 Apr 2026');
  await fill(page, 'On how much of the plot', 'half');
  await clickButton(page, 'Save');
  await expectText(page, '[data-testid=season]', /Leeks12 Apr 2026still standinghalf/);
  await expectText(page, 'header', /20 m²Leeks/);

  await clickLink(page, 'Programmes');
  await clickLink(page, 'A new programme');
  await fill(page, 'Name of the programme', 'Meal and a feed');
  await clickButton(page, 'Add a row');
  await choose(page, 'What', 'Larkmere Feather Meal');
  await fill(page, 'How much', 'a lot');
  await clickButton(page, 'Save');
  await expectText(page, 'main', /Read "a lot", expected an amount such as 40 g\/m²/);
  await fill(page, 'How much', '50 g/m²');
  await fill(page, 'When', '10 days after planting');
  // 50 g/m² on half of 20 m².
  await expectText(page, '[data-testid=row-numbers]', /22 Apr 20260\.5/);
  await page.waitForSelector('[data-testid=programme-chart]');
  await page.locator('[data-testid=row-numbers] .fig').click();
  await expectText(page, '[data-testid=working]', /chosen: as typed/);
  await clickButton(page, 'Save');
  await expectText(page, 'body', /Saved “Meal and a feed”/);
  await page.reload();
  await expectText(page, '[data-testid=row-numbers]', /22 Apr 20260\.5/);
  await page.close();
});

test('a crop of one’s own by keyboard alone: the library’s figures stand where nothing is typed', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/ground/crops/new?from=leek`);
  await (await field(page, 'Name')).focus();
  await page.keyboard.type('Hollow leeks');
  await (await field(page, 'nitrogen')).focus();
  await page.keyboard.type('120–140–160');
  await expectText(page, '[data-testid=crop-facts]', /nitrogen120–160/);
  await expectText(page, '[data-testid=crop-facts]', /potassium120–240/);
  await page.keyboard.press('Enter');
  await expectText(page, '[role=status]', /Saved “Hollow leeks”/);
  await page.goto(`${at.ledger.address}/ground/crops`);
  await expectText(page, 'main', /Hollow leeks from leeks/);
  await page.close();
});
