import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { choose, clickButton, clickLink, expectText, fill, tick, withLedger } from './harness';

const at = withLedger();

test('a claim judged by content alone, and one by its dose', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims/new`);
  await fill(page, 'What is said, word for word', 'Urea feeds the crop its calcium');
  await choose(page, 'Of which bag', 'Quernlow Urea');
  await tick(page, 'calcium');
  await expectText(page, '[data-testid=verdict]', /Does not stand/);
  await expectText(page, '[data-testid=judgement]', /Decided by\s*content/);
  await page.goto(`${at.ledger.address}/claims`);
  await clickLink(page, '“This nettle ferment is a complete feed”');
  await expectText(page, '[data-testid=verdict]', /Does not stand/);
  await expectText(page, '[data-testid=judgement]', /Decided by\s*dose/);
  await page.close();
});

test('a claim that hinges on the ground names the test to do first', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims/new`);
  await fill(page, 'What is said, word for word', 'It loosens the clay');
  await choose(page, 'Of which bag', 'Quernlow Urea');
  await choose(page, 'What kind of claim is it?', 'loosens the soil');
  await expectText(page, '[data-testid=kind-hint]', /Only trials can show this.*sodic ones only\?/);
  await expectText(
    page,
    '[data-testid=reading]',
    /Gypsum works by its calcium.*Read the source before you rely on it/s,
  );
  await clickButton(page, 'Add a condition of the ground');
  await choose(page, 'Condition 1', 'dispersive');
  await expectText(page, '[data-testid=checks]', /True where the ground is dispersive/);
  await page.close();
});

test('a claim that needs a test first is settled once the test is done', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims`);
  // A plot of which nothing is known yet, and the report of another as if it had been taken there.
  const post = (path: string, from: string, given: Readonly<Record<string, string>>): Promise<number> =>
    page.evaluate(
      async (path, from, given) => {
        const { items } = (await (await fetch(`/api/v1/${path}?limit=100`)).json()) as {
          items: Record<string, unknown>[];
        };
        const found = items.find((r) => JSON.stringify(r).includes(from)) ?? {};
        const added = ['id', 'version', 'updatedAt', 'deletedAt'];
        const input = Object.fromEntries(Object.entries(found).filter(([key]) => !added.includes(key)));
        const sent = await fetch(`/api/v1/${path}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ ...input, ...given }),
        });
        return sent.status;
      },
      path,
      from,
      given,
    );
  expect(await post('plots', 'wheat strip', { name: 'Back field' })).toBe(201);
  await page.goto(`${at.ledger.address}/claims/new`);
  await choose(page, 'Plot', 'Back field');
  await fill(page, 'What is said, word for word', 'Gypsum loosens this ground');
  await choose(page, 'Of which bag', 'Quernlow Urea');
  await choose(page, 'What kind of claim is it?', 'loosens the soil');
  await clickButton(page, 'Add a condition of the ground');
  await choose(page, 'Condition 1', 'sodic');
  await expectText(page, '[data-testid=checks]', /Condition\s*cannot tell.*Test this first/s);
  const plotId = await page.evaluate(async () => {
    const { items } = (await (await fetch('/api/v1/plots?limit=100')).json()) as {
      items: { id: string; name: string }[];
    };
    return items.find((p) => p.name === 'Back field')?.id ?? '';
  });
  expect(await post('soil-reports', '2026-02-09', { plotId })).toBe(201);
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Gypsum/);
  await page.reload();
  await expectText(page, '[data-testid=checks]', /Condition\s*against.*here it is not sodic/s);
  await page.close();
});

test('a check is answered otherwise with a reason, and the verdict as it was is kept', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims`);
  await clickLink(page, '“Hen pellets alone supply a wheat crop’s nitrogen”');
  await expectText(page, '[data-testid=checks]', /Dose\s*supports/);
  await clickButton(page, 'Save');
  await expectText(page, '[data-testid=history]', /How the verdict changed/);
  await page.click('[data-testid=checks] tr:nth-of-type(2) summary');
  await choose(page, 'Your answer, dose', 'against');
  await fill(page, 'Your reason, dose', 'half of it lies on the path');
  await expectText(
    page,
    '[data-testid=checks]',
    /Dose\s*against.*You say against: half of it lies on the path\s*The program says supports/s,
  );
  await expectText(page, '[data-testid=verdict]', /Does not stand/);
  await expectText(page, '[data-testid=history]', /Now: Does not stand.*written down when you save/s);
  await clickButton(page, 'Save');
  await expectText(page, '[data-testid=history]', /: Does not stand, moderate sureness, by dose[^]*studies\.$/);
  await page.close();
});

test('lab slips of three lots say that a bag is short, and a claim of it falls', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims`);
  await clickLink(page, '“There is 13 % nitrogen in this feather meal”');
  await expectText(page, '[data-testid=slips]', /3 lots lie −10 % to −4.3 % of the guarantee.*that is short/s);
  await expectText(page, '[data-testid=verdict]', /Does not stand/);
  await fill(page, 'Local code allows it to be short by, %', '11');
  await expectText(page, '[data-testid=slips]', /with 11 % allowed: that holds the guarantee/);
  await page.goto(`${at.ledger.address}/claims/compare`);
  await expectText(page, '[data-testid=sellers]', /3 lots lie/);
  await expectText(page, '[data-testid=excluded]', /exclude each other: what feeds is broken down/);
  await page.close();
});

test('the sheet to take along holds all that was found and prints on paper', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims`);
  await clickLink(page, '“Liquid silicon stops wheat lodging by feeding the straw its silicon”');
  await expectText(page, '[data-testid=worth]', /Pays when it spares.*In one more place like these\s*0\.\d+–\d+ %/s);
  await clickLink(page, 'The sheet to take along');
  const sheet = await expectText(page, '[data-testid=hearing-sheet]', /What to do instead.*What to ask.*Sources/s);
  expect(sheet).toMatch(/Not shown/);
  expect(sheet).toMatch(/Sample grower A 2019.*\(sample, invented\)/s);
  await page.waitForSelector('[data-testid=forest] svg');
  const pdf = Buffer.from(await page.pdf({ format: 'A4', printBackground: false }));
  const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
  expect(pages).toBeGreaterThanOrEqual(1);
  expect(pages).toBeLessThanOrEqual(2);
  await page.close();
});

test('six invented studies are drawn and pooled, one left out with its reason, which can be counted again', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims`);
  await clickLink(page, '“Liquid silicon stops wheat lodging by feeding the straw its silicon”');
  await expectText(page, '[data-testid=evidence]', /Studies of the sample are invented.*5 studies together found/s);
  await expectText(
    page,
    '[data-testid=evidence]',
    /Left out: Sample grower F 2024, because its untreated plots stood in the wind/,
  );
  expect(await page.$$eval('[data-testid=forest] g', (rows) => rows.length)).toBe(8);
  await fill(page, 'Leave out Sample grower F 2024 because', '');
  await expectText(page, '[data-testid=evidence]', /6 studies together found/);
  await choose(page, 'Your own verdict', 'Does not stand');
  await fill(page, 'Your reason', 'It lodged beside the road as ever');
  await expectText(
    page,
    '[data-testid=judgement]',
    /Your verdict.*It lodged beside the road as ever.*The program says: Not shown/s,
  );
  await clickButton(page, 'Save');
  await expectText(page, '[role=status]', /Saved “Liquid silicon/);
  await page.close();
});

test('a reference file of five hundred entries with five broken ones gives 495 studies and tells the five', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims/studies`);
  const entry = (i: number): string =>
    i % 100 === 50
      ? `@article{broken${i},\n  title = {Never closed ${i},\n  year = {2001}\n`
      : `@article{key${i},\n  title = {Invented trial ${i}},\n  author = {Oak, Anna},\n  year = {2001}\n}\n`;
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-references-'));
  const file = join(folder, 'trials.bib');
  writeFileSync(file, Array.from({ length: 500 }, (_, i) => entry(i)).join('\n'));
  const input = (await page.waitForSelector('input[type=file]'))!;
  await input.uploadFile(file);
  await expectText(page, '[data-testid=references]', /495 references were read, and 5 could not be read/);
  await expectText(page, '[data-testid=references]', /Entry 51, “@article\{broken50.*its braces do not close/);
  await clickButton(page, 'Take over 495');
  await expectText(page, '[role=status]', /Took over 495 references/);
  rmSync(folder, { recursive: true, force: true });
  await page.close();
});
