import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { inputOf, type TrialRecord } from '@wheat-ledger/contract';
import { layOut } from '@wheat-ledger/core';
import { choose, clickButton, clickLink, expectText, fill, withLedger } from './harness';

const at = withLedger();

/** Opens a page of the sample's trial of a name. */
async function openTrial(name: string, path: string): Promise<Page> {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/trials`);
  await page.waitForSelector('[data-testid=trial]');
  const id = await page.evaluate(async (begin) => {
    const { items } = (await (await fetch('/api/v1/trials')).json()) as { items: { id: string; name: string }[] };
    return items.find((t) => t.name.startsWith(begin))?.id;
  }, name);
  await page.goto(`${at.ledger.address}/trials/${id}${path}`);
  return page;
}

test('a trial is planned, begun, mapped, measured by keyboard, read, and becomes a study', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/trials/new`);
  await fill(page, 'Name', 'Ash on leeks');
  await fill(page, 'What is asked, of what, by when', 'Do leeks weigh more with ash?');
  await fill(page, 'It is read on', '1 Nov 2026');
  await fill(page, 'Arm 2', 'Ash');
  await expectText(page, '[data-testid=power]', /With 6 of each in blocks.*least p this layout can reach is 0\.031/s);
  await clickButton(page, 'Save');
  await page.waitForFunction(() => /\/trials\/[0-9a-f-]{36}$/.test(location.pathname));
  await clickButton(page, 'Begin this trial');
  await expectText(page, '[data-testid=doubts]', /Begun on .*stand/);
  await clickLink(page, 'Map');
  await page.waitForSelector('[data-testid=map]');
  await page.waitForSelector('[data-testid=labels] li');
  const labels = await page.$$eval('[data-testid=labels] li', (all) => all.map((l) => l.textContent ?? ''));
  expect(labels).toHaveLength(12);
  for (const label of labels) expect(label).toMatch(/^[A-Z]{3}unit \d+$/);
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(1000);
  await clickLink(page, 'Measure');
  await page.waitForSelector('[data-testid=grid] input');
  await fill(page, 'Day', '1 Nov 2026');
  const arms = await page.evaluate(async () => {
    const id = location.pathname.split('/')[2];
    return ((await (await fetch(`/api/v1/trials/${id}`)).json()) as { arms: { name: string }[] }).arms.map(
      (a) => a.name,
    );
  });
  expect(arms).toEqual(['Control', 'Ash']);
  await page.focus('[data-testid=grid] input');
  for (let unit = 1; unit <= 12; unit++) {
    // Powers of two: no layout by chance makes the arms even.
    await page.keyboard.type(String(20 + 2 ** unit / 10_000));
    await page.keyboard.press('Enter');
  }
  await clickButton(page, 'Write it down');
  await expectText(page, '[role=status].no-print', /Wrote down 12 of 12 units/);
  await clickLink(page, 'Reading');
  await expectText(page, '[data-testid=answer]', /Ash was (better|worse).*chance.*p 0?\.?\d/);
  await expectText(page, 'main', /p by all 64 arrangements/);
  await clickButton(page, 'Ash against the control');
  await expectText(page, '[role=status].no-print', /“Ash” is a study now/);
  await page.goto(`${at.ledger.address}/claims/studies`);
  await expectText(page, 'main', /Ash on leeks: Ash, height/);
  await page.close();
});

test('one plant each is talked out of before, and has no winner after', async () => {
  const page = await openTrial('Magnesium', '');
  await expectText(page, '[data-testid=doubts]', /One of each cannot tell what was given from luck/);
  await clickLink(page, 'Measure');
  await page.waitForSelector('[data-testid=grid] input');
  await page.focus('[data-testid=grid] input');
  await page.keyboard.type('4');
  await page.keyboard.press('Enter');
  await page.keyboard.type('9');
  await clickButton(page, 'Write it down');
  await expectText(page, '[role=status].no-print', /Wrote down 2 of 2/);
  await clickLink(page, 'Reading');
  await expectText(page, '[data-testid=answer]', /no inference possible\./);
  const answer = await page.$eval('[data-testid=answer]', (e) => e.textContent ?? '');
  expect(answer).not.toMatch(/\bp\b|better|likely/);
  await page.close();
});

test('a finished trial: the reading, the harvest with its leaders, what to do, and a lost unit left out', async () => {
  const page = await openTrial('Nettle', '/read');
  await expectText(page, '[data-testid=answer]', /Nettle ferment was better by .* than the control: very likely real/);
  await expectText(page, '[data-testid=decide]', /Same nitrogen.*Nettle ferment/s);
  const results = JSON.stringify({
    format: 'wheat-ledger/trial-results/1',
    trial: 'Nettle ferment on dahlias',
    results: [{ garden: 'Next door', outcome: 'height', arm: 'Nettle ferment', differences: [3, 5] }],
  });
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-trial-'));
  writeFileSync(join(folder, 'results.json'), results);
  const files = (await page.waitForSelector(
    'input[aria-label="Results of a neighbour, as JSON"]',
  )) as ElementHandle<HTMLInputElement>;
  await files.uploadFile(join(folder, 'results.json'));
  await expectText(page, '[data-testid=gardens]', /Nettle ferment: .* over 2 gardens, between/);
  rmSync(folder, { recursive: true, force: true });
  await choose(page, 'Outcome', 'stems cut');
  await expectText(page, '[data-testid=leaders]', /led/);
  await expectText(page, 'main', /not named as the one that decides: it is exploration/);
  await clickLink(page, 'Map');
  await fill(page, 'Unit', '3');
  await fill(page, 'What happened', 'slugs');
  await clickButton(page, 'Write it down');
  await expectText(page, 'main', /Unit 3\s*lost: slugs/);
  await clickLink(page, 'Reading');
  await page.waitForFunction(() =>
    [...document.querySelectorAll('[data-testid=arms] tbody tr')].some((r) =>
      /\b5\b/.test(r.children[1]?.textContent ?? ''),
    ),
  );
  await page.close();
});

test('a running trial is measured on a phone with one hand, runs that are not over too, and looking is answered honestly', async () => {
  const page = await openTrial('Gypsum', '/sheet');
  await page.setViewport({ width: 390, height: 844, hasTouch: true });
  const field = (await page.waitForSelector('[data-testid=grid] input'))!;
  expect((await field.boundingBox())!.height).toBeGreaterThanOrEqual(44);
  await field.type('>15');
  await page.keyboard.press('Enter');
  await page.keyboard.type('lots');
  await expectText(page, '[data-testid=grid]', /Read "?“?lots/);
  await page.keyboard.press('Escape');
  await page.evaluate(() => document.activeElement instanceof HTMLInputElement && document.activeElement.select());
  await page.keyboard.type('6.5');
  await clickButton(page, 'Write it down');
  await expectText(page, '[role=status].no-print', /Wrote down 2 of 12/);
  await clickLink(page, 'Reading');
  await expectText(page, '[data-testid=timed]', /at least .* min on average/);
  await expectText(page, '[data-testid=peek]', /This is look 3.*go on, until the day/);
  await page.close();
});

test('a claim becomes a trial in one step', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/claims`);
  const link = (await page.waitForSelector('main h2 a'))!;
  await link.click();
  await clickLink(page, 'Test it in a trial');
  await page.waitForSelector('[data-testid=arm]');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid=arm]').length === 3);
  const names = await page.$$eval('[data-testid=arm] input', (all) => all.map((i) => i.value));
  expect(names).toContain('Carrier only');
  expect(names).toContain('Same nutrients');
  await page.close();
});

/** How far a block is moved, from what is said of it. */
const placeOf = (page: Page, block: number): Promise<string> =>
  page.$eval(`[data-testid=map] g[aria-label^="Block ${block},"]`, (g) => g.getAttribute('aria-label') ?? '');

test('blocks of the map are moved by keys and dragged, kept, and told where they lie on each other', async () => {
  const page = await openTrial('Gypsum', '/map');
  const block = (n: number): Promise<ElementHandle> =>
    page.waitForSelector(`[data-testid=map] g[aria-label^="Block ${n},"]`) as Promise<ElementHandle>;
  await (await block(2)).evaluate((g) => (g as unknown as SVGElement).focus());
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.down('Shift');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.up('Shift');
  await expectText(page, '[role=status].no-print', /Moved a block/);
  expect(await placeOf(page, 2)).toMatch(/0\.3 m from the left and 2\.3 m from the top/);
  await expectText(page, '[data-testid=map]', /Blocks 2 and 3 lie on each other/);
  const box = (await (await block(1)).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await page.waitForFunction(
    () => !document.querySelector('[data-testid=map] g[aria-label^="Block 1, 0 m from the left"]'),
  );
  const dragged = await placeOf(page, 1);
  await page.waitForFunction(
    async (said) => {
      const { items } = (await (await fetch('/api/v1/trials')).json()) as {
        items: { name: string; blockPlaces?: { xM: number }[] }[];
      };
      const first = items.find((t) => t.name.startsWith('Gypsum'))?.blockPlaces?.[0];
      return first !== undefined && said.includes(`${first.xM} m from the left`);
    },
    {},
    dragged,
  );
  await page.reload();
  await block(1);
  expect(await placeOf(page, 1)).toBe(dragged);
  await page.close();
});

test('readings come in as a spreadsheet, and a photo shows a unit', async () => {
  const page = await openTrial('Gypsum', '/sheet');
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-readings-'));
  writeFileSync(
    join(folder, 'readings.csv'),
    'day,outcome,unit,value\n2026-11-01,a litre soaks in,1,9.5\n2026-11-01,,2,>15\n2026-11-01,,99,3\n',
  );
  await page.waitForSelector('[data-testid=grid] input');
  const file = (await page.waitForSelector(
    'input[aria-label="A spreadsheet of readings, as CSV"]',
  )) as ElementHandle<HTMLInputElement>;
  await file.uploadFile(join(folder, 'readings.csv'));
  await expectText(
    page,
    '[data-testid=take-over]',
    /Sheets that were read: 1\. Rows that could not be read: 1\..*unit “99”/s,
  );
  await clickButton(page, 'Take over 1');
  await expectText(page, '[role=status].no-print', /Took over 1 sheets/);
  await clickButton(page, '1 Nov 2026');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('[data-testid=grid] input')?.value === '9.5',
  );
  const png = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  writeFileSync(join(folder, 'pot.png'), Buffer.from(png, 'base64'));
  await page.select('section select', '3');
  const photo = (await page.waitForSelector('input[type=file][accept*="image"]')) as ElementHandle<HTMLInputElement>;
  await photo.uploadFile(join(folder, 'pot.png'));
  await expectText(page, '[data-testid=attachments]', /[A-Z]{3}: pot\.png/);
  rmSync(folder, { recursive: true, force: true });
  await page.close();
});

test('jars from a template are sampled and feed Release; weeks that are missing are told', async () => {
  const page = await at.screen.open();
  await page.goto(`${at.ledger.address}/trials/new`);
  await page.waitForSelector('[data-testid=arm]');
  await choose(page, 'Begin from', 'Jars: how fast nitrogen comes free');
  await page.waitForFunction(() =>
    [...document.querySelectorAll<HTMLInputElement>('[data-testid=arm] input')].some((i) => i.value === 'Soil alone'),
  );
  await fill(page, 'Name', 'Jars of feather meal');
  await fill(page, 'It is read on', '1 Dec 2026');
  const { items } = await at.ledger.api<{ items: readonly { name: string }[] }>('products?limit=500');
  const bag = items.find((p) => /feather/i.test(p.name))?.name ?? items[0]!.name;
  await choose(page, 'Arm 2, bag', bag);
  await clickButton(page, 'Save');
  await page.waitForFunction(() => /\/trials\/[0-9a-f-]{36}$/.test(location.pathname));
  const id = page.url().split('/').at(-1)!;
  const kept = await at.ledger.api<TrialRecord>(`trials/${id}`);
  const send = (path: string, method: string, body: object, match = '"0"'): Promise<object> =>
    at.ledger.api(path, {
      method,
      headers: { 'Content-Type': 'application/json', 'If-Match': match },
      body: JSON.stringify(body),
    });
  await send(`trials/${id}`, 'PUT', { ...inputOf(kept), startedOn: '2026-09-01' }, `"${kept.version}"`);
  const units = layOut('random', 2, 3, kept.seed);
  // 200 mg/kg applied, of which 60 % comes free by 0.05 a day, over soil that gives 10 and more each week.
  for (const week of [1, 2, 4])
    await send('trial-sheets', 'POST', {
      trialId: id,
      on: new Date(Date.UTC(2026, 8, 1 + 7 * week)).toISOString().slice(0, 10),
      outcome: 'o1',
      note: '',
      values: units.map((u) => ({
        unit: u.number,
        value: 10 + week + (u.arm === 1 ? 120 * -Math.expm1(-0.05 * 7 * week) : 0),
      })),
    });
  await page.goto(`${at.ledger.address}/trials/${id}/read`);
  await expectText(
    page,
    '[data-testid=jar-arm]',
    /60 % of the N applied comes free in the end, at 0\.05 a day at 25 °C/,
  );
  await expectText(page, '[data-testid=jar-arm]', /Nothing was sampled in week 6, 8: how much comes in the end rests/);
  await clickButton(page, `Let Release follow ${bag} by it`);
  await expectText(page, '[role=status].no-print', /Release follows .* by these jars now/);
  await page.goto(`${at.ledger.address}/trials/compare`);
  await expectText(page, '[data-testid=trials-compared]', /Nettle ferment on dahlias.*Same nitrogen/s);
  await page.close();
});

test('nothing was thrown and nobody else was asked for anything', () => expect(at.screen.troubles).toEqual([]));
