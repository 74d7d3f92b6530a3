import { choose, clickButton, clickLink, expectText, fill, withLedger } from './harness';

const at = withLedger();
/** A chart's tooltip has the role too. */
const NOTICE = '[role=status].no-print';

test('a heap is planned from what is at hand, piled, followed by its heat, and becomes a bag of the shelf', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/mix`);
  await expectText(page, '[data-testid=heap]', /The spring heap.*Let it ripen/s);
  await clickLink(page, 'A heap');
  await fill(page, 'Name of the heap', 'Leaf heap');
  await fill(page, 'Material 1, how much', '400 L');
  await choose(page, 'Material 1', 'grass clippings (green)');
  await fill(page, 'Material 2, how much', '200 L');
  await choose(page, 'Material 2', 'fallen leaves (brown)');
  await expectText(page, '[data-testid=heap-numbers]', /C:N.*25–35/s);
  await expectText(
    page,
    '[data-testid=heap-plan]',
    /Left over: 3\d\d L of grass clippings.*of straw .* more, all of it could go on/s,
  );
  await clickButton(page, 'Take these amounts');
  await expectText(page, '[data-testid=heap-plan]', /The largest heap that works/);
  await fill(page, 'Piled on', '1 Apr 2026');
  await clickButton(page, 'Save');
  await expectText(page, NOTICE, /Saved “Leaf heap”/);
  await clickButton(page, 'Add today');
  await fill(page, 'Entry 1, temperature', '140 °F');
  await expectText(page, '[data-testid=heap-course]', /Hot\. .*Its hottest was 60 °C/s);
  // The picture of its heat comes a moment later, and moves what is below it.
  await page.waitForSelector('[data-testid=heap-chart] svg');
  await clickButton(page, 'Save');
  await expectText(page, NOTICE, /Saved “Leaf heap”/);
  await fill(page, 'It weighs in all', '30 kg');
  await clickButton(page, 'Put it on the shelf');
  await expectText(page, NOTICE, /“Leaf heap” is on the shelf/);
  await expectText(page, 'main', /Leaf heap/);
  await page.close();
});
