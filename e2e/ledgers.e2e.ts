import { choose, clickButton, clickLink, expectText, fill, withLedger } from './harness';

const at = withLedger();

test('a second ledger is opened, the address tells which, a bag is copied into it, and the first is as it was', async () => {
  const page = await at.screen.open();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${at.ledger.address}/book`);
  await clickLink(page, 'All ledgers, or a new one');
  await expectText(page, '[data-testid=ledgers]', /Ashlark Hollowopen now/);
  await fill(page, 'Whose, or which garden', 'Rosewood, Anke');
  await clickButton(page, 'Open it');
  await page.waitForFunction(() => location.pathname === '/l/rosewood-anke/shelf');
  await expectText(page, 'main', /The shelf is empty/);
  await choose(page, 'Ledger', 'Ashlark Hollow');
  await page.waitForFunction(() => location.pathname === '/shelf');
  await clickLink(page, 'Quernlow Urea');
  await choose(page, 'Copy this bag to another ledger', 'Rosewood, Anke');
  await expectText(page, '[role=status]', /Copied to Rosewood, Anke\./);
  if (process.env['SHOTS']) await page.screenshot({ path: `${process.env['SHOTS']}/copied.png` });
  await choose(page, 'Copy this bag to another ledger', 'Rosewood, Anke');
  await expectText(page, '[role=status]', /Rosewood, Anke has this bag already\./);
  await choose(page, 'Ledger', 'Rosewood, Anke');
  await page.waitForFunction(() => location.pathname === '/l/rosewood-anke/shelf');
  await expectText(page, '[data-testid=shelf-bag]', /Quernlow Urea/);
  expect(await page.$$('[data-testid=shelf-bag]')).toHaveLength(1);
  await page.reload();
  await expectText(page, '[data-testid=shelf-bag]', /Quernlow Urea/);
  await clickLink(page, 'Book');
  await expectText(page, '[data-testid=journal]', /bag Quernlow Urea added/);
  await choose(page, 'Ledger', 'All ledgers …');
  await expectText(page, '[data-testid=ledgers]', /Ashlark Hollow.*Rosewood, Ankeopen now/);
  await clickButton(page, 'Rename Rosewood, Anke');
  await fill(page, 'New name', 'Rosewood');
  await page.keyboard.press('Enter');
  await expectText(page, '[data-testid=ledgers]', /Rosewoodopen now\/l\/rosewood-anke/);
  if (process.env['SHOTS']) await page.screenshot({ path: `${process.env['SHOTS']}/ledgers.png` });
  await page.close();
});

test('an address of a ledger that is not there says so, and leads to one that is', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/l/nowhere/shelf`);
  await expectText(page, 'header [role=alert]', /There is no ledger “nowhere” here/);
  await clickLink(page, 'There is no ledger “nowhere” here');
  await page.waitForFunction(() => location.pathname === '/shelf');
  await page.close();
});
