// The page in Chromium: what the first route fetches, and how long typing takes to show with ten thousand bags and a catalogue.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launchBrowser } from '../lib/browser.mjs';
import { ms, row, times } from './measure.mjs';

const middle = (numbers) => numbers.sort((a, b) => a - b)[Math.floor(numbers.length / 2)];

async function withPage(server, work, path = '/shelf', shown = '[data-testid=shelf-bag]') {
  const { browser, close } = await launchBrowser();
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${server.address}${path}`);
    await page.waitForSelector(shown, { timeout: 60_000 });
    return await work(page);
  } finally {
    await close();
  }
}

/** All the JavaScript a browser fetches to show the shelf, as it comes over the wire. */
export async function benchFirstRoute(server) {
  const kB = await withPage(server, async (page) => {
    await page.waitForNetworkIdle();
    return page.evaluate(
      () =>
        performance
          .getEntriesByType('resource')
          .filter((r) => new URL(r.name).pathname.endsWith('.js'))
          .reduce((sum, r) => sum + r.encodedBodySize, 0) / 1000,
    );
  });
  row(
    'JavaScript fetched for the first route, gzipped',
    `${kB.toFixed(1)} kB`,
    `${((100 * kB) / 200).toFixed(0)} % of the 200 kB allowed`,
  );
}

/**
 * Keys pressed in a field: for each, from the press to the first picture that answers it; the middle and the worst.
 * (The browser's own event times wait for the next frame wherever it comes from, a blinking caret's too.)
 * @param shown what must all hold the typed words, and be there, in that picture; none: any picture after the field's own change
 */
async function typing(page, selector, text, shown) {
  await page.focus(selector);
  await page.evaluate((answers) => {
    globalThis.taken = [];
    const pressed = (event) => {
      const look = () => {
        const typed = document.activeElement.value.trim().toLowerCase();
        const there = answers ? [...document.querySelectorAll(answers)] : [document.activeElement];
        const fits = (e) => !answers || e.textContent.toLowerCase().includes(typed);
        if (typed === '' || there.length === 0 || !there.every(fits)) return requestAnimationFrame(look);
        // The frame is drawn after this call; a message runs once that is done.
        const { port1, port2 } = new globalThis.MessageChannel();
        port1.onmessage = () => globalThis.taken.push(performance.now() - event.timeStamp);
        port2.postMessage(0);
      };
      requestAnimationFrame(look);
    };
    document.addEventListener('keydown', pressed, true);
    globalThis.stopTyping = () => document.removeEventListener('keydown', pressed, true);
  }, shown);
  for (const key of text) {
    await page.keyboard.press(key);
    await new Promise((r) => setTimeout(r, 150));
  }
  await page.waitForFunction((count) => globalThis.taken.length === count, { timeout: 10_000 }, text.length);
  await page.evaluate(() => globalThis.stopTyping());
  const taken = await page.evaluate(() => globalThis.taken);
  return { middle: middle([...taken]), worst: Math.max(...taken), first: taken[0], all: taken };
}

export async function benchTyping(server) {
  await withPage(server, async (page) => {
    const filter = await typing(page, 'input[type=search]', 'compost', '[data-testid=shelf-bag]');
    row('key to picture in the filter of 10 000 bags', ms(filter.middle), `worst ${ms(filter.worst)}; goal 100 ms`);
    const find = await typing(page, '#find', 'compost', '[role=option]');
    row('key to picture in the find box', ms(find.middle), `worst ${ms(find.worst)}; goal 100 ms`);
    await page.evaluate(() => {
      const bare = document.createElement('input');
      bare.id = 'bare';
      document.body.append(bare);
    });
    const bare = await typing(page, '#bare', 'compost');
    row('the same in a bare field of the page', ms(bare.middle), `worst ${ms(bare.worst)}`);
  });
}

/** Words that somebody looks for, a letter at a time. */
const LOOKED_FOR = ['orchard', 'feather', 'garden', 'spring', 'poultry', 'tomato'];
const ROWS = '[data-testid=catalogue-product]';
/** Used by the page once what it no longer needs is thrown away, MB. */
async function heapMB(page) {
  const session = await page.createCDPSession();
  await session.send('HeapProfiler.collectGarbage');
  const { usedSize } = await session.send('Runtime.getHeapUsage');
  await session.detach();
  return usedSize / 1e6;
}

/**
 * The catalogue in the browser: from a key to the products that answer it, what the first page weighs, and what far scrolling leaves in memory.
 * @returns { kB, heap } to be compared between sizes
 */
export async function benchCataloguePage(server) {
  const inPage = async (page) => {
    await page.waitForNetworkIdle();
    const kB = await page.evaluate(
      () =>
        performance
          .getEntriesByType('resource')
          .filter((r) => r.name.includes('/catalogue/'))
          .reduce((sum, r) => sum + r.encodedBodySize, 0) / 1000,
    );
    const taken = [];
    for (const words of LOOKED_FOR) {
      taken.push(...(await typing(page, 'input[type=search]', words, ROWS)).all);
      await page.click('input[type=search]', { count: 3 });
      await page.keyboard.press('Backspace');
      await page.waitForNetworkIdle();
    }
    console.log(taken.map((x) => x.toFixed(0)).join(" "));
    const sorted = taken.sort((a, b) => a - b);
    row(
      '  key to the products that answer it, in the browser',
      ms(middle([...sorted])),
      `95 of 100 within ${ms(sorted[Math.floor(0.95 * sorted.length)])}, worst ${ms(sorted.at(-1))}; goal 100 ms`,
    );
    const before = await heapMB(page);
    for (let i = 0; i < 60; i++) {
      await page.evaluate(() => {
        const sheet = document.querySelector('#sheet');
        (sheet && globalThis.getComputedStyle(sheet).overflowY === 'auto' ? sheet : document.documentElement).scrollBy(
          0,
          2600,
        );
      });
      await new Promise((r) => setTimeout(r, 80));
    }
    await new Promise((r) => setTimeout(r, 7000));
    const heap = await heapMB(page);
    row(
      '  memory of the page after three thousand products',
      `${heap.toFixed(1)} MB`,
      `${times(heap / before)} before it (${before.toFixed(1)} MB); ${kB.toFixed(1)} kB for the first page`,
    );
    return { kB, heap };
  };
  return withPage(server, inPage, '/shelf/catalogue', ROWS);
}

const REFERENCES = 5000;
/** A file of references opened and taken over into the ledger. */
export async function benchReferences(server) {
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-bench-'));
  const file = join(folder, 'trials.bib');
  const entry = (i) =>
    `@article{k${i},\n  title = {Invented trial ${i} of straw and silicon},\n  author = {Oak, Anna and Elm, Bert},\n  journal = {Invented Journal},\n  year = {${1950 + (i % 70)}},\n  doi = {10.5555/t.${i}}\n}`;
  writeFileSync(file, Array.from({ length: REFERENCES }, (_, i) => entry(i)).join('\n'));
  try {
    await withPage(server, async (page) => {
      await page.goto(`${server.address}/claims/studies`);
      const input = await page.waitForSelector('input[type=file]');
      const opened = performance.now();
      await input.uploadFile(file);
      const button = await page.waitForSelector(`text/Take over ${REFERENCES}`, { timeout: 240_000 });
      const read = (performance.now() - opened) / 1000;
      const begun = performance.now();
      await button.click();
      await page.waitForSelector(`text/Took over ${REFERENCES} references`, { timeout: 240_000 });
      const taken = (performance.now() - begun) / 1000;
      row(
        `reading a file of ${REFERENCES} references, in a worker`,
        `${(REFERENCES / read).toFixed(0)} rows/s`,
        `and taken over into the ledger ${(REFERENCES / taken).toFixed(0)} rows/s`,
      );
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const UNITS = 500;
/** The entry grid of a trial of 500 units that were measured six times before: a key in one field, to the picture. */
export async function benchGrid(server) {
  const send = async (path, body) =>
    (
      await fetch(`${server.address}/api/v1/${path}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json();
  const day = (n) => `2026-0${n}-01`;
  const trial = await send('trials', {
    name: 'A large trial',
    question: 'Does it grow taller?',
    until: '2026-12-01',
    wouldChangePercent: 10,
    cvPercent: 12,
    decides: 'o1',
    layout: 'blocks',
    replicates: UNITS / 10,
    seed: 5,
    arms: Array.from({ length: 10 }, (_, i) => ({ name: `Arm ${i}`, what: '' })),
    control: 0,
    controlIs: 'water',
    outcomes: [{ key: 'o1', name: 'height', kind: 'number', unit: 'cm', better: 'more' }],
    plantsPerUnit: 1,
    unitWidthM: 0.5,
    unitDepthM: 0.5,
    heldEqual: [],
    shaded: false,
    usedLastYear: false,
    asksNutrients: false,
    startedOn: '2026-01-01',
    odd: [],
    note: '',
  });
  for (let n = 1; n <= 6; n++)
    await send('trial-sheets', {
      trialId: trial.id,
      on: day(n),
      outcome: 'o1',
      note: '',
      values: Array.from({ length: UNITS }, (_, i) => ({ unit: i + 1, value: 10 * n + (i % 7) })),
    });
  await withPage(server, async (page) => {
    await page.goto(`${server.address}/trials/${trial.id}/sheet`);
    const field = '[data-testid=grid] input[data-at="250"]';
    await page.waitForSelector(field, { timeout: 60_000 });
    const grid = await typing(page, field, '70.25');
    row(`key to picture in an entry grid of ${UNITS} units`, ms(grid.middle), `worst ${ms(grid.worst)}; goal 100 ms`);
  });
}
