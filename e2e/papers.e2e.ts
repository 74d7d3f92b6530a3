import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import type { Page } from 'puppeteer-core';
import { clickButton, expectText, field, fill, withLedger } from './harness';

const at = withLedger();
let folder = '';
beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-papers-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const desk = async (): Promise<Page> => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/label`);
  await field(page, 'The text of the label');
  return page;
};
const open = async (page: Page, name: string, content: string | Uint8Array): Promise<void> => {
  const file = join(folder, name);
  writeFileSync(file, content);
  const input = await page.waitForSelector('input[data-testid=paper-file]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
};
const reading = '[data-testid=label-reading]';
const savedAs = async (page: Page, name: string) => {
  await clickButton(page, 'Make it a bag');
  await fill(page, 'Name', name);
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', new RegExp(`Saved “${name}”`));
  const { items } = await at.ledger.api<{
    items: { name: string; analysis: { analyte: string; basis: string; value: { value: number }; unit: string }[] }[];
  }>('products?limit=500');
  return items.find((p) => p.name === name)?.analysis.map((f) => `${f.analyte} ${f.basis} ${f.value.value} ${f.unit}`);
};

test('a drawn photo of a label is read on this machine, its lines framed in the picture, and becomes a bag', async () => {
  const page = await desk();
  await page.locator('[data-testid=sample-photo]').click();
  await page.waitForSelector('[data-testid=paper-picture]', { timeout: 90_000 });
  await expectText(page, reading, /5 % nitrogen/);
  const frames = await page.$$eval('.picture-line', (all) => all.length);
  expect(frames).toBeGreaterThan(8);
  await page.hover('[data-testid=label-lines] tbody tr:nth-child(4)');
  await page.waitForSelector('.picture-line.is-active');
  for (const question of await page.$$('[data-testid=label-questions] li')) {
    // What the picture is not clear about is taken as it seems to stand.
    await question.$eval('button', (b) => b.click());
  }
  const analysis = await savedAs(page, 'From a photo');
  expect(analysis).toEqual(
    expect.arrayContaining(['N element 5 %', 'P P2O5 3 %', 'K K2O 6 %', 'Ca element 7.5 %', 'S element 1.2 %']),
  );
  await page.close();
});

test('a PDF of a lab sheet with two columns and a question is read and answered', async () => {
  const page = await desk();
  const printer = await at.screen.open();
  await printer.setContent(
    '<h1>Certificate</h1><table style="width:100%"><tr><th>Parameter<th>Unit<th>As received<th>Dry basis</tr>' +
      '<tr><td>Total nitrogen<td>%<td>0.80<td>2.00</tr><tr><td>Phosphate (P)<td>%<td>0.30<td>0.75</tr></table>',
  );
  const pdf = await printer.pdf({ format: 'A5' });
  await printer.close();
  await open(page, 'sheet.pdf', pdf);
  await expectText(page, reading, /0\.8 % nitrogen/);
  await expectText(page, '[data-testid=label-questions]', /could be P or P₂O₅/);
  await page.focus('[data-testid=label-questions] li');
  await page.keyboard.press('1');
  await expectText(page, reading, /0\.3 % phosphorus, as you said.*|Every figure was understood/);
  expect(await savedAs(page, 'From a PDF')).toEqual(['N element 0.8 %', 'P element 0.3 %']);
  await page.close();
});

test('a label in two languages is read once', async () => {
  const page = await desk();
  await (await field(page, 'The text of the label')).focus();
  await page.keyboard.type(
    'Engrais organique / Organic fertiliser\nAzote (N) total / Total nitrogen (N): 4 %\nOxyde de potassium (K2O) / Potassium oxide (K2O): 2 %\nPoids net / Net weight: 20 kg',
  );
  await expectText(page, reading, /4 % nitrogen.*2 % potassium, as K₂O.*a package of 20 kg/);
  expect(await savedAs(page, 'In two languages')).toEqual(['N element 4 %', 'K K2O 2 %']);
  await page.close();
});

type Rows = readonly (readonly (string | number)[])[];
/** A spreadsheet, as small as it can be, with its sheets by their names. */
function xlsx(sheets: Readonly<Record<string, Rows>>): Uint8Array {
  const cell = (value: string | number): string =>
    typeof value === 'number' ? `<c><v>${value}</v></c>` : `<c t="inlineStr"><is><t>${value}</t></is></c>`;
  const letters = 'ABCDEFGH';
  const row = (cells: Rows[number], r: number): string =>
    `<row r="${r + 1}">${cells.map((v, c) => cell(v).replace('<c', `<c r="${letters[c]}${r + 1}"`)).join('')}</row>`;
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const type = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
  const packed = 'http://schemas.openxmlformats.org/package/2006';
  const names = Object.keys(sheets);
  const each = (text: (name: string, n: number) => string): string =>
    names.map((name, i) => text(name, i + 1)).join('');
  const files = {
    '[Content_Types].xml': `<Types xmlns="${packed}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="${type}.sheet.main+xml"/>${each((_, n) => `<Override PartName="/xl/worksheets/sheet${n}.xml" ContentType="${type}.worksheet+xml"/>`)}</Types>`,
    '_rels/.rels': `<Relationships xmlns="${packed}/relationships"><Relationship Id="r1" Type="${rel}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${rel}"><sheets>${each((name, n) => `<sheet name="${name}" sheetId="${n}" r:id="r${n}"/>`)}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${packed}/relationships">${each((_, n) => `<Relationship Id="r${n}" Type="${rel}/worksheet" Target="worksheets/sheet${n}.xml"/>`)}</Relationships>`,
    ...Object.fromEntries(
      Object.values(sheets).map((rows, i) => [
        `xl/worksheets/sheet${i + 1}.xml`,
        `<worksheet xmlns="${main}"><sheetData>${rows.map(row).join('')}</sheetData></worksheet>`,
      ]),
    ),
  };
  return zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
}

test('a spreadsheet with a cover sheet and title rows brings its bags to the shelf', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/shelf/csv`);
  const file = join(folder, 'list.xlsx');
  writeFileSync(
    file,
    xlsx({
      Cover: [['Hollin Vale Garden Supplies'], ['Spring 2026']],
      Bags: [
        ['Spring price list'],
        ['prices in EUR'],
        ['name', 'nitrogen', 'P2O5', 'K2O', 'package', 'price'],
        ['Sheet Meal', 5, 3, 4, '20 kg', 18.4],
        ['Sheet Green', '7 %', 2, 5, '10 kg', '9,90 €'],
      ],
    }),
  );
  const input = await page.waitForSelector('#csv-file');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
  await expectText(page, '[data-testid=csv-import]', /Sheet Meal/);
  await clickButton(page, 'Write 2 bags');
  await expectText(page, 'main', /2 bags were written/);
  const { items } = await at.ledger.api<{ items: { name: string }[] }>('products?limit=500');
  expect(items.map((p) => p.name)).toEqual(expect.arrayContaining(['Sheet Meal', 'Sheet Green']));
  await page.close();
});

test('a soil slip with targets and three beds is asked which, and taken over', async () => {
  const page = await at.screen.open();
  const { items } = await at.ledger.api<{ items: { id: string; name: string }[] }>('plots');
  await page.goto(`${at.ledger.address}/ground/${items.find((p) => p.name === 'Sweetcorn block')?.id}/soil/new`);
  await open(
    page,
    'beds.txt',
    'Analysis          Bed 1   Bed 2   Bed 3   Target\npH                6.1     6.8     7.2     6.5\nP Olsen (mg/kg)   14      22      31      25\nK (mg/kg)         120     180     240     200',
  );
  await expectText(page, '[data-testid=slip-lines]', /several beds, Bed 1, Bed 2, Bed 3: say which one is meant/);
  await clickButton(page, 'Bed 2');
  await expectText(page, '[data-testid=slip-lines]', /pH 6\.8.*22 mg\/kg phosphorus, Olsen.*180 mg\/kg potassium/);
  await clickButton(page, 'Take over 3 figures');
  await fill(page, 'Lab and slip', 'Three beds');
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Three beds”/);
  await page.close();
});

test('a logger’s file in another language is read into days', async () => {
  const page = await at.screen.open();
  const { items } = await at.ledger.api<{ items: { id: string; name: string }[] }>('plots');
  await page.goto(`${at.ledger.address}/ground/${items.find((p) => p.name.includes('wheat'))?.id}/weather`);
  const file = join(folder, 'regen.csv');
  writeFileSync(
    file,
    'Zeitstempel;Bodentemperatur (°C);Niederschlag (mm)\n14.05.2026 06:00;9,5;0\n15.05.2026 06:00;10,5;3,4\n',
  );
  const input = await page.waitForSelector('#log-file');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
  await expectText(page, '[data-testid=log-outcome]', /2 days were read into “regen”/);
  await page.close();
});

test('what is no paper is refused in words and harms nothing', async () => {
  const page = await desk();
  await open(page, 'broken.xlsx', 'not a spreadsheet');
  await expectText(page, '[role=alert]', /Read “broken\.xlsx”, expected a spreadsheet that is whole/);
  await open(page, 'broken.pdf', 'not a PDF');
  await expectText(page, '[role=alert]', /Read “broken\.pdf”, expected a PDF that is whole/);
  await open(page, 'broken.png', 'not a picture');
  await expectText(page, '[role=alert]', /could not be opened/);
  await open(page, 'song.mp3', 'la');
  await expectText(page, '[role=alert]', /Read “song\.mp3”, expected text, CSV, XLSX, PDF or a picture/);
  await page.close();
});
