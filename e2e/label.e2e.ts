import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import {
  choose,
  clickButton,
  clickLink,
  expectText,
  field,
  fill,
  layBench,
  startLedger,
  tick,
  withLedger,
} from './harness';

const at = withLedger();

const LABEL =
  'Ridgeway Meadow Feed 5-3-4\nTotal Nitrogen (N) ........ 5.0%\nAvailable Phosphate (P2O5) .. 3.0%\nSoluble Potash (K2O) ........ 4.0%\nVitality factor 12 %\nDerived from: feather meal, bone meal, sulfate of potash\nNet weight 20 kg';

async function paste(page: Page, text: string): Promise<void> {
  const area = await field(page, 'The text of the label');
  await area.focus();
  await page.evaluate((t) => {
    const e = document.activeElement as HTMLTextAreaElement;
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(e, t);
    e.dispatchEvent(new Event('input', { bubbles: true }));
  }, text);
}

test('a label is pasted, a misread line put right, saved, and found on the bench and in the price view', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf`);
  await clickLink(page, 'Paste a label');
  await paste(page, LABEL);
  const lines = await expectText(page, '[data-testid=label-reading]', /1 line is asked about/);
  expect(lines).toContain('3 % phosphorus, as P₂O₅');
  await choose(page, 'Line 5, take it as', 'silicon, as SiO₂');
  await expectText(page, '[data-testid=label-reading]', /12 % silicon, as SiO₂, as you said/);
  await page.reload();
  await expectText(page, '[data-testid=label-reading]', /12 % silicon, as SiO₂, as you said/);
  await choose(page, 'Line 5, take it as', 'nothing: set it aside');
  await expectText(page, '[data-testid=label-reading]', /Every figure was understood/);
  await clickButton(page, 'Make it a bag');
  await fill(page, 'Name', 'Ridgeway Meadow Feed');
  expect(await page.$eval('input[name="offers.0.size"]', (e) => e.value)).toBe('20 kg');
  await fill(page, 'Price', '18,40');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Ridgeway Meadow Feed”/);
  await layBench(at.ledger, []);
  await page.reload();
  await tick(page, 'on the bench: Ridgeway Meadow Feed');
  await clickLink(page, 'Price');
  // 18.40 ÷ (20 kg × 5 %) = 18.40 EUR per kg N.
  await expectText(page, '[data-testid=price-table]', /Ridgeway Meadow Feed18\.4/);
  await page.locator('[data-testid=ladder] .fig').click();
  await expectText(page, '[data-testid=working]', /label: line 2: Total Nitrogen \(N\) 5\.0%/);
  const { items } = await at.ledger.api<{ items: { name: string; labelText?: string }[] }>('products?limit=500');
  expect(items.find((p) => p.name === 'Ridgeway Meadow Feed')?.labelText).toBe(LABEL);
  await page.close();
});

test('the rates of a label come into its bag; one that differs by country is asked about beside its field', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/label`);
  await paste(page, 'Nitrogen 4 %\nBeds: 30-50 g per m², twice a year; pots: 4 g per litre of potting mix');
  await expectText(
    page,
    '[data-testid=label-reading]',
    /rates of 30–50 g\/m² for Beds, 2 times a year, and 4 g\/L of medium for pots/,
  );
  await clickButton(page, 'Make it a bag');
  await fill(page, 'Name', 'Rated by the label');
  await clickButton(page, 'Another rate');
  await fill(page, 'Rate 3', '2 tbsp/plant');
  await clickButton(page, 'Save');
  await expectText(page, 'main', /"tbsp" differs by country: say US tbsp or metric tbsp or AU tbsp/);
  await fill(page, 'Rate 3', '2 metric tbsp/plant');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Rated by the label”/);
  const { items } = await at.ledger.api<{ items: { name: string; directions?: object[] }[] }>('products?limit=500');
  expect(items.find((p) => p.name === 'Rated by the label')?.directions).toEqual([
    { use: 'Beds', amount: 50, least: 30, unit: 'g', per: { amount: 1, unit: 'm²' }, perYear: 2 },
    { use: 'pots', amount: 4, unit: 'g', per: { amount: 1, unit: 'L of medium' } },
    { use: '', amount: 2, unit: 'metric tbsp', per: { amount: 1, unit: 'plant' } },
  ]);
  await page.close();
});

test('a label is pasted, put right and saved by keyboard alone', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/label`);
  await (await field(page, 'The text of the label')).focus();
  await page.keyboard.type('Nitrogen 4 %\nGlow 3 %');
  await expectText(page, '[data-testid=label-reading]', /1 line is asked about/);
  // The first stop behind the paper is the question, the next its answer.
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expectText(page, '[data-testid=label-reading]', /Every figure was understood/);
  for (let i = 0; i < 5; i++) {
    if (await page.evaluate(() => document.activeElement?.textContent === 'Make it a bag')) break;
    await page.keyboard.down('Shift');
    await page.keyboard.press('Tab');
    await page.keyboard.up('Shift');
  }
  await page.keyboard.press('Enter');
  await page.waitForSelector('input[name=name]');
  await (await field(page, 'Name')).focus();
  await page.keyboard.type('Keyed label');
  await page.keyboard.press('Enter');
  await expectText(page, '[role=status]', /Saved “Keyed label”/);
  await page.close();
});

test('a material of the library becomes a bag of one’s own, its figures marked typical', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/materials`);
  await fill(page, 'Find a material by name or element', 'horn');
  await expectText(page, '[data-testid=library]', /horn meal.*N 11–15 %/);
  await clickLink(page, 'My bag of this: horn meal');
  expect(await (await field(page, 'Name')).evaluate((e) => e.value)).toBe('Horn meal');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Horn meal”/);
  const { items } = await at.ledger.api<{
    items: { name: string; analysis: { provenance: string; value: object }[] }[];
  }>('products?limit=500');
  const made = items.find((p) => p.name === 'Horn meal')!;
  expect(new Set(made.analysis.map((a) => a.provenance))).toEqual(new Set(['typical']));
  expect(made.analysis[0]?.value).toEqual({ kind: 'range', low: 11, mid: 13, high: 15 });
  await page.close();
});

test('the whole ledger is exported to a file and taken over by an empty one, after a look into it', async () => {
  const bare = await startLedger({ sample: false });
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-file-'));
  const path = join(folder, 'ledger.json');
  writeFileSync(path, await (await fetch(`${at.ledger.address}/api/v1/workspace/export`)).text());
  const page = await at.screen.open();
  await page.goto(`${bare.address}/book`);
  const input = await page.waitForSelector('input[type=file]');
  writeFileSync(join(folder, 'broken.json'), '{"format": ');
  await input!.uploadFile(join(folder, 'broken.json'));
  await expectText(page, 'main [role=alert]', /expected the JSON file that an export gives/);
  await input!.uploadFile(path);
  await expectText(
    page,
    '[data-testid=import-report]',
    /holds 1 crop, 3 plots, 5 seasons, \d+ bags, 2 soil reports, 2 jar tests, 1 log, 2 recipes, 1 heap, 2 programmes, 6 studies, 9 claims, 5 log entries, 2 harvests, 2 leaf tests, 3 pot readings, 3 trials, 9 trial sheets, 6 stock movements, 1 kept search\..*0 are here already/,
  );
  expect((await bare.api<{ items: unknown[] }>('products')).items).toEqual([]);
  await page.locator('[data-testid=import-report] button').click();
  await expectText(page, '[data-testid=import-report]', /Taken over/);
  expect(await (await fetch(`${bare.address}/api/v1/workspace/export`)).json()).toEqual(
    JSON.parse(readFileSync(path, 'utf8')),
  );
  await page.close();
  rmSync(folder, { recursive: true, force: true });
  await bare.stop();
});

test('a CSV of a thousand rows with a bad one and two bad cells: exactly those are told, and nothing is written until said so', async () => {
  const bare = await startLedger({ sample: false });
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-csv-'));
  const rows = Array.from({ length: 1000 }, (_, i) => [
    i === 41 ? '' : `"Bag ${i}"`,
    i === 500 ? 'lots' : String(1 + (i % 40)),
    i === 999 ? 'sludge' : 'granule',
    `${10 + (i % 5)} kg`,
    '12.50',
    '=1+1',
  ]);
  writeFileSync(
    join(folder, 'bags.csv'),
    ['name,nitrogen,form,package,price,note', ...rows.map((r) => r.join(','))].join('\n'),
  );
  const page = await at.screen.open();
  await page.goto(`${bare.address}/shelf/csv`);
  const input = await page.waitForSelector('input#csv-file');
  await input!.uploadFile(join(folder, 'bags.csv'));
  await expectText(page, '[data-testid=csv-tried]', /1000 rows read, 999 of them fit/);
  expect(await (await field(page, 'Column nitrogen, means')).evaluate((e) => e.value)).toBe('N %');
  const told = await expectText(
    page,
    '[data-testid=csv-problems]',
    /1 row does not fit and will be left out. 2 rows fit in part/,
  );
  expect(told.match(/row \d+/g)).toEqual(['row 43', 'row 502', 'row 1001']);
  expect((await bare.api<{ items: unknown[] }>('products')).items).toEqual([]);
  await clickButton(page, 'Write 999 bags to the shelf');
  await page.waitForSelector('[data-testid=csv-import] progress');
  await page.waitForFunction(
    () =>
      document.querySelector('[data-testid=csv-import] [role=status]')?.textContent?.includes('999 bags were written'),
    { timeout: 90_000 },
  );
  const { items } = await bare.api<{ items: { name: string; note: string; analysis: { value: object }[] }[] }>(
    'products?limit=500',
  );
  await page.goto(`${bare.address}/shelf`);
  await page.waitForFunction(() => document.querySelector('nav[aria-label=Stages]')?.textContent?.includes('999 bags'));
  expect((await page.$$('[data-testid=shelf-bag]')).length).toBeLessThan(100);
  await fill(page, 'Show only bags whose name, seller or ingredients contain', 'bag 99');
  // Bag 99, 199, … 899 and 990 to 999.
  await page.waitForFunction(() => document.querySelectorAll('[data-testid=shelf-bag]').length === 19);
  expect(items[0]).toMatchObject({ name: 'Bag 0', note: '=1+1', analysis: [{ value: { kind: 'number', value: 1 } }] });
  await page.close();
  rmSync(folder, { recursive: true, force: true });
  await bare.stop();
});

test('a program called a CSV is refused in words, and so is a file without rows', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-csv-'));
  writeFileSync(join(folder, 'trick.csv'), Buffer.concat([Buffer.from('MZ,name\n1,2\n'), Buffer.alloc(2_000_000, 1)]));
  writeFileSync(join(folder, 'bare.csv'), 'name,N %\n');
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/csv`);
  const input = (await page.waitForSelector('input#csv-file'))!;
  await input.uploadFile(join(folder, 'trick.csv'));
  await expectText(page, 'main', /Read a program, expected CSV text saved as UTF-8/);
  await input.uploadFile(join(folder, 'bare.csv'));
  await expectText(page, 'main', /Read “bare\.csv”, expected a heading line and at least one row/);
  await page.close();
  rmSync(folder, { recursive: true, force: true });
});

test('an import that is stopped on the way writes nothing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-csv-'));
  writeFileSync(
    join(folder, 'many.csv'),
    ['name,N %,package', ...Array.from({ length: 8000 }, (_, i) => `Stopped ${i},${1 + (i % 40)},20 kg`)].join('\n'),
  );
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/csv`);
  await (await page.waitForSelector('input#csv-file'))!.uploadFile(join(folder, 'many.csv'));
  await page.waitForFunction(
    () => document.querySelector('[data-testid=csv-tried]')?.textContent?.startsWith('8000 rows read'),
    { timeout: 60_000 },
  );
  await clickButton(page, 'Write 8000 bags to the shelf');
  await page.waitForFunction(
    () => Number(document.querySelector<HTMLProgressElement>('[data-testid=csv-import] progress')?.value ?? 0) > 0,
    { timeout: 30_000 },
  );
  await clickButton(page, 'Stop');
  await expectText(page, '[data-testid=csv-import] [role=status]', /Stopped\. Nothing was written/);
  await page.waitForFunction(
    async () =>
      !((await (await fetch('/api/v1/products?limit=500')).json()) as { items: { name: string }[] }).items.some((p) =>
        p.name.startsWith('Stopped'),
      ),
  );
  await page.close();
  rmSync(folder, { recursive: true, force: true });
});

test('an import is taken back as a whole', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-csv-'));
  writeFileSync(join(folder, 'three.csv'), 'name,N %\nBy mistake 1,5\nBy mistake 2,6\nBy mistake 3,7\n');
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/csv`);
  await (await page.waitForSelector('input#csv-file'))!.uploadFile(join(folder, 'three.csv'));
  await clickButton(page, 'Write 3 bags to the shelf');
  await expectText(page, '[data-testid=csv-import]', /3 bags were written/);
  await clickButton(page, 'Take them all back');
  await expectText(page, '[data-testid=csv-import]', /3 were taken out again\. The book keeps them all/);
  const { items } = await at.ledger.api<{ items: { name: string }[] }>('products?limit=500');
  expect(items.filter((p) => p.name.startsWith('By mistake'))).toEqual([]);
  await page.close();
  rmSync(folder, { recursive: true, force: true });
});

test('nothing was thrown', () => expect(at.screen.troubles).toEqual([]));
