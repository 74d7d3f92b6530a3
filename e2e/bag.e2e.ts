import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { choose, clickButton, clickLink, expectText, field, fill, withLedger } from './harness';

const at = withLedger();
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABSK+kcQAAAABJRU5ErkJggg==',
  'base64',
);

async function openBag(name: string, path = '') {
  const { items } = await at.ledger.api<{ items: { id: string; name: string }[] }>('products?limit=500');
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/${items.find((p) => p.name === name)!.id}${path}`);
  return page;
}

test('a photo of the label is attached, shown, taken off and brought back; a program called a photo is refused', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-photo-'));
  writeFileSync(join(folder, 'front.png'), PNG);
  writeFileSync(join(folder, 'trick.png'), Buffer.concat([Buffer.from('MZ'), Buffer.alloc(400, 1)]));
  const page = await openBag('Quernlow Urea');
  const input = (await page.waitForSelector('input[type=file][accept*="image/jpeg"]'))!;
  await input.uploadFile(join(folder, 'front.png'));
  await expectText(page, '[role=status]', /Attached “front\.png”/);
  await page.waitForFunction(() => {
    const image = document.querySelector<HTMLImageElement>('[data-testid=attachments] img');
    // It is loaded when it comes into sight.
    image?.scrollIntoView();
    return image?.complete && image.naturalWidth === 1;
  });
  await input.uploadFile(join(folder, 'trick.png'));
  await expectText(page, 'main [role=alert]', /expected a photo \(JPEG, PNG, WebP\) or a PDF/);
  await clickButton(page, 'Take front.png off');
  await page.waitForFunction(() => !document.querySelector('[data-testid=attachments] img'));
  await clickButton(page, 'Undo');
  await page.waitForSelector('[data-testid=attachments] img');
  await page.close();
  rmSync(folder, { recursive: true, force: true });
});

test('the maker’s change shows: the sample’s earlier label against today’s, then today’s against a newer one', async () => {
  const page = await openBag('Hollow Hen Pellets', '/versions');
  await expectText(page, '[data-testid=version-figures]', /nitrogen4\.5 %4 %less/);
  await expectText(
    page,
    '[data-testid=version-words]',
    /grade line4\.5-3-34-3-3.*ingredients only herefeather mealnothing.*package sizes25 kg20 kg, 8 kg/,
  );
  await clickLink(page, 'Label');
  await clickButton(page, 'Change line 1');
  await fill(page, 'Line 1, value', '3.5');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Hollow Hen Pellets”/);
  await page.goBack();
  await clickLink(page, 'Versions');
  await expectText(page, '[data-testid=version-figures]', /nitrogen4 %3\.5 %less/);
  await page.close();
});

test('elements at the label rate open to their working', async () => {
  const page = await openBag('Hollow Hen Pellets', '/elements');
  await expectText(page, '[data-testid=elements-contaminant]', /cadmiumbelow detection< 0\.5 mg\/kg< 1\.5 g\/ha/);
  await page.locator('[data-testid=elements-contaminant] .fig').click();
  await expectText(page, '[data-testid=working]', /arsenic/);
  await page.close();
});

test('a filter is made, kept, found again after a reload and forgotten, by keyboard alone', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf`);
  await page.waitForSelector('[data-testid=shelf-bag]');
  await (await field(page, 'Show only bags whose name, seller or ingredients contain')).focus();
  await page.keyboard.type('pellets');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid=shelf-bag]').length === 2);
  await page.keyboard.press('Tab');
  await page.keyboard.type('Pressed');
  await page.keyboard.press('Enter');
  await page.reload();
  await page.waitForFunction(() => document.querySelectorAll('[data-testid=shelf-bag]').length > 8);
  await clickButton(page, 'Pressed');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid=shelf-bag]').length === 2);
  await clickButton(page, 'Take out Pressed');
  await page.waitForFunction(() => ![...document.querySelectorAll('button')].some((b) => b.textContent === 'Pressed'));
  await page.close();
});

test('a protein line takes the factor of a food table when told to', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/label`);
  await (await field(page, 'The text of the label')).focus();
  await page.keyboard.type('Crude protein 38 %');
  await expectText(page, '[data-testid=label-lines]', /6\.08 % nitrogen/);
  await page.select('[aria-label="Line 1, take it as"]', 'protein|wheat');
  await expectText(page, '[data-testid=label-lines]', /6\.67 % nitrogen, as you said/);
  await page.close();
});

test('nothing was thrown', () => expect(at.screen.troubles).toEqual([]));

test('an amount used is entered beside the label, adds up, opens to its working, and is undone', async () => {
  const page = await openBag('Larkmere Feather Meal');
  await expectText(page, '[data-testid=stock]', /On hand 16\.5 kg/);
  await fill(page, 'Amount', '500 g');
  await choose(page, 'was', 'used');
  await clickButton(page, 'Enter it');
  await expectText(page, '[data-testid=stock]', /On hand 16 kg/);
  await expectText(page, '[data-testid=movements]', /used−500 g/);
  await page.click('[data-testid=stock] button.fig');
  await expectText(page, '[data-testid=working]', /bought, 20 Feb 2026, lot FM 0226/);
  await page.keyboard.press('Escape');
  await clickButton(page, 'Undo');
  await expectText(page, '[data-testid=stock]', /On hand 16\.5 kg/);
  await page.close();
});

test('a bag that claims speak of is taken off the shelf: what still uses it is told, and the claim still names it', async () => {
  const page = await openBag('Standfast Silicon');
  await clickButton(page, 'Take off the shelf');
  await expectText(page, '[role=status]', /It is still used by 1 claim\./);
  await clickLink(page, 'Claims');
  await expectText(page, 'main', /of Standfast Silicon \(taken off the shelf\)/);
  await clickButton(page, 'Undo');
  await expectText(page, 'main', /of Standfast Silicon(?! \(taken)/);
  await page.close();
});
