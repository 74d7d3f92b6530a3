import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { choose, clickButton, clickLink, expectText, fill, withLedger } from './harness';

const at = withLedger();

/** The smallest PNG there is. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

/** The day it is, as the page sees it. */
const todayOf = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const now = new Date();
    return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
  });

/** A programme of the wheat strip that gives feather meal today: 9 kg of the 16.5 on hand. */
async function planToday(page: Page): Promise<void> {
  const status = await page.evaluate(
    async (on) => {
      const all = async (path: string) =>
        ((await (await fetch(`/api/v1/${path}?limit=100`)).json()) as { items: Record<string, unknown>[] }).items;
      const named = (list: Record<string, unknown>[], name: string) => list.find((r) => r['name'] === name)?.['id'];
      const seasons = await all('seasons');
      const sent = await fetch('/api/v1/programmes', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          name: 'Meal today',
          seasonId: seasons.find((s) => s['from'] === '2026-03-15')?.['id'],
          note: '',
          applications: [
            {
              what: 'product',
              productId: named(await all('products'), 'Larkmere Feather Meal'),
              amount: { kind: 'rate', amount: 10, unit: 'g', per: { amount: 1, unit: 'm²' } },
              when: { kind: 'date', on },
              where: { kind: 'workedIn', depthM: 0.1 },
              part: { share: 1 },
              note: '',
            },
          ],
        }),
      });
      return sent.status;
    },
    await todayOf(page),
  );
  expect(status).toBe(201);
}

test('a plan becomes today’s round, one tap on a phone logs it, and stock, log and book show it', async () => {
  const page = await at.screen.open();
  await page.setViewport({ width: 390, height: 844, hasTouch: true });
  await page.goto(`${at.ledger.address}/rounds`);
  await expectText(page, 'main', /Nothing is due on/);
  await planToday(page);
  await page.goto(`${at.ledger.address}/rounds/buy`);
  await expectText(page, '[data-testid=to-buy]', /Larkmere Feather Meal\s*9 kg\s*16\.5 kg\s*there is enough/);
  await page.goto(`${at.ledger.address}/rounds`);
  await expectText(page, '[data-testid=carry]', /Larkmere Feather Meal.*16\.5 kg on hand.*9 kg/s);
  const box = (await (await page.waitForSelector('[data-testid=task] button'))!.boundingBox())!;
  expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(48);
  await clickButton(page, 'Tick off: Larkmere Feather Meal, Ashlark Hollow, wheat strip');
  await expectText(page, '[role=status].no-print', /Ticked off: Larkmere Feather Meal/);
  await page.waitForSelector('[data-testid=task][data-state=done]');
  await page.goto(`${at.ledger.address}/rounds/log`);
  await expectText(
    page,
    '[data-testid=log]',
    /Larkmere Feather Meal, Ashlark Hollow, wheat strip: 9 kg of Larkmere Feather Meal, lot FM 0226/,
  );
  await page.goto(`${at.ledger.address}/shelf`);
  await clickLink(page, 'Larkmere Feather Meal');
  await expectText(page, 'main', /7\.5 kg/);
  await page.goto(`${at.ledger.address}/book/year`);
  await expectText(page, '[data-testid=done]', /9 kg of Larkmere Feather Meal/);
  await expectText(page, '[data-testid=balance]', /nitrogen/);
  await page.close();
});

test('an entry is corrected by a new one, which takes its place in the stock and the balance', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/rounds/log`);
  await clickLink(page, 'Correct');
  await expectText(page, 'h1', /Correct an entry/);
  await fill(page, 'Bag 1, amount', '30 kg');
  await clickButton(page, 'Save');
  await expectText(page, '[role=alert]', /Read 30 kg of Larkmere Feather Meal, expected at most the 16\.5 kg on hand/);
  await fill(page, 'Bag 1, amount', '8 kg');
  await fill(page, 'Note', 'weighed what was left');
  await clickButton(page, 'Save');
  await expectText(page, '[data-testid=log]', /8 kg of Larkmere Feather Meal, lot FM 0226\s*corrects an earlier entry/);
  await expectText(page, '[data-testid=log]', /corrected since/);
  await page.goto(`${at.ledger.address}/book/year`);
  await expectText(page, '[data-testid=done]', /8 kg of Larkmere Feather Meal/);
  expect(await page.$eval('[data-testid=done]', (e) => e.textContent)).not.toMatch(/9 kg of Larkmere Feather Meal/);
  await page.close();
});

test('a harvest is written down in one line and taken off in the balance', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/book/year`);
  await expectText(page, '[data-testid=balance]', /nitrogen/);
  await fill(page, 'Harvested', '12 pounds of gold');
  await clickButton(page, 'Write it down');
  await expectText(page, 'main [role=alert]', /Read|expected/);
  await fill(page, 'Harvested', '12.5');
  await choose(page, 'Of which season', 'Heritage bread wheat from 15 Mar 2026');
  await clickButton(page, 'Write it down');
  await expectText(page, '[role=status].no-print', /Wrote down 12\.5 kg/);
  await expectText(page, 'main', /12\.5 kg\s*Heritage bread wheat/);
  await page.close();
});

test('a limit of local code is entered once, and the round says when it is passed', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/book/year`);
  await fill(page, 'At most, kg/ha a year', '95 kg/ha');
  await fill(page, 'By which rule', 'an invented rule');
  await clickButton(page, 'Enter the limit');
  await expectText(page, '[data-testid=limits]', /nitrogen.*of 95 kg\/ha\s*passed\s*an invented rule/s);
  await page.goto(`${at.ledger.address}/rounds`);
  await expectText(page, 'main', /Nitrogen on Ashlark Hollow, wheat strip has passed the 95 kg\/ha a year/i);
  await page.close();
});

test('the round prints, and the calendar holds what is still to do and where', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/rounds?day=2026-05-02`);
  await expectText(page, '[data-testid=task]', /Hollow Hen Pellets.*not done yet/s);
  const pdf = Buffer.from(await page.pdf({ format: 'A5', printBackground: false }));
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const { type, text } = await page.evaluate(async () => {
    const got = await fetch('/api/v1/calendar.ics');
    return { type: got.headers.get('content-type'), text: (await got.text()).replace(/\r\n[ \t]/g, '') };
  });
  expect(type).toMatch(/^text\/calendar/);
  expect(text).toMatch(/^BEGIN:VCALENDAR/);
  expect(text).toMatch(/DTSTART;VALUE=DATE:20260502[^]*SUMMARY:Hollow Hen Pellets\\, Ashlark Hollow\\, wheat strip/);
  expect(text).toMatch(/Prepare: Hollow Hen Pellets\\, 81 kg: 90 g\/m²\\, left on top/);
  // What was ticked off is not asked for again.
  expect(text).not.toMatch(/\(Meal today\)/);
  await page.close();
});

test('one dilution is read both ways, and a ring across is a fourth of one out', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/rounds/dose`);
  await expectText(page, '[data-testid=need]', /g\/m²/);
  await choose(page, 'From which bag', 'Larkmere Feather Meal');
  await expectText(
    page,
    '[data-testid=need]',
    /46\.2 g\/m² of Larkmere Feather Meal, 41\.5 kg on Ashlark Hollow, wheat strip/,
  );
  await expectText(page, '[data-testid=layer]', /4 bags for 160 L/);
  await choose(page, 'It comes in', 'pressed bales of');
  await expectText(page, '[data-testid=layer]', /2–3 bales for 160 L; one comes to 64–92 L when loose/);
  await expectText(page, '[data-testid=mixer]', /1 part to 49 of water/);
  await page.goto(`${at.ledger.address}/rounds/can`);
  await fill(page, 'Dilution', '1:10');
  await expectText(
    page,
    '[data-testid=dilution]',
    /909 mL in the can.*100 mL if it means one part to 10, and 111 mL if it means one part in 10/s,
  );
  await fill(page, 'Dilution', '1:1');
  await expectText(page, 'main', /Read “1:1”, expected a dilution such as 1:100/);
  await page.goto(`${at.ledger.address}/rounds/plant`);
  await expectText(page, '[data-testid=ring]', /1\.01 m² a plant/);
  await page.close();
});

test('several products in one can: how strong it is, in which order they go in, how many cans; caked powder is not dosed from', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/rounds/can`);
  await page.waitForSelector('select[aria-label="Product 1"] option:nth-child(3)');
  await choose(page, 'Product 1', 'Quernlow Sulfate of Potash');
  await expectText(page, 'main', /No rate: its label gives no dilution\./);
  await fill(page, 'Amount 1', '10 g');
  await expectText(page, '[data-testid=can]', /mg potassium.*mS\/cm to the water.*10 g/s);
  await expectText(
    page,
    '[data-testid=can]',
    /Fill half of the can: 5 L of water\..*Stir in Quernlow Sulfate of Potash/s,
  );
  await expectText(page, '[data-testid=cans]', /3 cans, the last with 5 L and 50 % of each amount/);
  await page.evaluate(() =>
    [...document.querySelectorAll('label')]
      .find((l) => l.textContent?.includes('caked'))
      ?.querySelector('input')
      ?.click(),
  );
  await expectText(page, '[data-testid=can]', /Quernlow Sulfate of Potash is not counted: it is caked/);
  await page.close();
});

test('a plant of an age gets its dose of any bag, and a pot is fed, flushed or left by what runs through it', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/rounds/plant`);
  await expectText(page, '[data-testid=age]', /525–875 g a plant and year; on its 4 m² of ring/);
  await fill(page, 'Plants', '10');
  await expectText(page, '[data-testid=age]', /For 10: 7 kg/);
  await fill(page, 'Ran through, mS/cm', '3.1');
  await clickButton(page, 'Write it down');
  await expectText(page, '[data-testid=pour]', /Flush it with water: 3\.1 mS\/cm ran through/);
  await clickButton(page, 'Undo');
  await page.waitForFunction(() => document.querySelector('[data-testid=pour]') === null);
  await page.close();
});

test('a leaf test below its band raises next year’s rate by the step, and is drawn beside the one before', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/book/leaf`);
  await expectText(page, '[data-testid=leaf]', /nitrogen\s*2\.6\s*3–4\s*below it\s*10 % more/);
  await fill(page, 'Found, per cent of dry matter', 'N 260');
  await clickButton(page, 'Write it down');
  await expectText(page, '[role=alert]', /Read 260 %, expected at most 100/);
  await fill(page, 'Found, per cent of dry matter', 'N 4.6, P 0.3');
  await fill(page, 'Step, %', '20');
  await clickButton(page, 'Write it down');
  await expectText(page, '[data-testid=leaf]', /nitrogen\s*4\.6\s*3–4\s*above it\s*20 % less/);
  await page.close();
});

test('a photo is kept with what was done, harvests come from a spreadsheet, and what was learned is written down', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/rounds/log`);
  await clickLink(page, 'Photos of Compost before the wheat');
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-log-'));
  writeFileSync(join(folder, 'bed.png'), PNG);
  writeFileSync(join(folder, 'harvest.csv'), 'day,plot,kg\n1 Aug 2026,Ashlark Hollow,12\nsome day,Ashlark Hollow,3\n');
  await page.waitForSelector('[data-testid=attachments]');
  await (await page.waitForSelector('input[type=file]'))!.uploadFile(join(folder, 'bed.png'));
  await page.waitForSelector('[data-testid=attachments] img');
  await clickLink(page, 'Back to the log');
  await expectText(page, '[data-testid=log]', /1 photo/);
  await page.goto(`${at.ledger.address}/book/year`);
  await page.waitForSelector('[data-testid=balance]');
  const sheet = (await page.waitForSelector(
    'input[aria-label="A spreadsheet of harvests, as CSV"]',
  )) as ElementHandle<HTMLInputElement>;
  await sheet.uploadFile(join(folder, 'harvest.csv'));
  await expectText(
    page,
    '[data-testid=take-over]',
    /Harvests that were read: 1\. Rows that could not be read: 1\..*Line 3/s,
  );
  await clickButton(page, 'Take over 1');
  await expectText(page, 'main', /1 Aug 2026\s*12 kg/);
  await expectText(page, '[data-testid=years]', /2025\s*280/);
  await page.type('textarea', 'Sow earlier.');
  await clickButton(page, 'Keep what was learned');
  await expectText(page, '[role=status].no-print', /Wrote down what was learned/);
  rmSync(folder, { recursive: true, force: true });
  await page.close();
});

test('nothing was thrown and nobody else was asked for anything', () => expect(at.screen.troubles).toEqual([]));
