import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { expectText, layBench, openScreen, startLedger, type Ledger, type Screen } from './harness';

let ledger: Ledger;
let screen: Screen;
const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

interface Named {
  readonly id: string;
  readonly name: string;
  readonly statement?: string;
}
const VIEWS: Record<string, string> = {};
let kept: Record<string, unknown>;

// Each view is opened afresh, so one on which the browser itself stopped answering may be opened once more.
jest.retryTimes(1);

beforeAll(async () => {
  ledger = await startLedger();
  screen = await openScreen();
  const list = async (path: string): Promise<Named[]> =>
    (await ledger.api<{ items: Named[] }>(`${path}?limit=500`)).items;
  const products = await list('products');
  const id = (name: string): string => products.find((p) => p.name === name)?.id ?? '';
  kept = {
    'draft.label': {
      text: 'Meadow feed 5-3-4\nNitrogen 5 %\nVitality 12 %\nDerived from: muriate of potash',
      paper: 'label',
      corrections: {},
    },
  };
  await layBench(ledger, [
    'Larkmere Feather Meal',
    'Quernlow Urea',
    'Hobbingate Steady Prills',
    'Holdstone Zeolite',
    'Barn straw',
  ]);
  const plot = (await list('plots')).find((p) => p.name === 'Ashlark Hollow, wheat strip')?.id;
  const programme = (await list('programmes')).find((p) => p.name.startsWith('Meal at sowing'))?.id;
  Object.assign(VIEWS, {
    shelf: '/shelf',
    'a bag': `/shelf/${id('Hobbingate Steady Prills')}`,
    recipes: '/mix',
    price: '/price',
    'what bags are worth': '/price/worth',
    'what arrives in time': '/price/in-time',
    'a season in packages': '/price/season',
    'what rules cost': '/price/rules',
    'old prices': '/price/history',
    'a seller’s list': '/price/list',
    'an own curve': `/shelf/${id('Larkmere Feather Meal')}/curve`,
    release: '/release',
    'media and kinds': '/release/compare',
    mix: `/mix/${(await list('recipes'))[0]?.id}`,
    'the label desk': '/shelf/label',
    materials: '/shelf/materials',
    'the shelf as CSV': '/shelf/csv',
    'the catalogue': '/shelf/catalogue',
    'sellers’ lists': '/shelf/lists',
    'the cheapest of all': '/shelf/cheapest',
    'trials side by side': '/trials/compare',
    'today’s round': '/rounds?day=2026-05-02',
    'the weeks': '/rounds/weeks',
    'the log': '/rounds/log',
    'an entry': '/rounds/log/new',
    'what to buy': '/rounds/buy',
    'cans and rings': '/rounds/dose',
    'a plot’s year': '/book/year',
    claims: '/claims',
    'claims side by side': '/claims/compare',
    'the sheet of a claim': `/claims/${(await list('claims'))[0]?.id}/sheet`,
    studies: '/claims/studies',
    'a study': `/claims/studies/${(await list('studies'))[0]?.id}`,
    'a heap': `/mix/heap/${(await list('heaps'))[0]?.id}`,
    'a claim': `/claims/${(await list('claims'))[0]?.id}`,
    ground: '/ground',
    'the causes': '/ground/causes',
    'a soil report': `/ground/${plot}/soil/new`,
    weather: `/ground/${plot}/weather`,
    'jar tests': `/ground/${plot}/jars`,
    soil: `/ground/${plot}/soil`,
    'a plot’s editor': `/ground/${plot}/edit`,
    'a usual year': `/ground/${plot}/weather/edit`,
    crops: '/ground/crops',
    'a crop': '/ground/crops/new?from=leek',
    programmes: `/ground/${plot}/programmes`,
    'a programme': `/ground/${plot}/programmes/${programme}`,
    book: '/book',
    ledgers: '/ledgers',
    elements: `/shelf/${id('Hollow Hen Pellets')}/elements`,
    versions: `/shelf/${id('Hollow Hen Pellets')}/versions`,
    'kitchen extracts': '/shelf/kitchen',
  });
});
afterAll(async () => {
  await screen.close();
  await ledger.stop();
});

const pages = new Map<string, Page>();
/** A view in a page of that size and light, each opened once and kept for the next view. */
async function show(path: string, size?: { width: number; height: number }, theme = 'day'): Promise<Page> {
  const key = `${size?.width ?? ''} ${theme}`;
  const page = pages.get(key) ?? (await screen.open(size));
  if (!pages.has(key)) {
    pages.set(key, page);
    await page.goto(`${ledger.address}/api/v1/health`);
    await page.evaluate(
      (all) => {
        for (const [k, v] of Object.entries(all)) localStorage.setItem(`wheat-ledger.${k}`, JSON.stringify(v));
      },
      { ...kept, settings: { theme } },
    );
  }
  await page.goto(ledger.address + path);
  await page.waitForSelector('main h1');
  await page.waitForSelector('#find');
  return page;
}
const NAMES = [
  'shelf',
  'a bag',
  'the label desk',
  'materials',
  'the shelf as CSV',
  'price',
  'release',
  'recipes',
  'mix',
  'today’s round',
  'the weeks',
  'the log',
  'an entry',
  'cans and rings',
  'a plot’s year',
  'claims',
  'claims side by side',
  'the sheet of a claim',
  'a claim',
  'ground',
  'the causes',
  'a soil report',
  'soil',
  'a plot’s editor',
  'a usual year',
  'weather',
  'jar tests',
  'elements',
  'versions',
  'kitchen extracts',
  'book',
];

describe.each(['day', 'evening'])('in the light of %s', (theme) => {
  test.each(NAMES)('axe finds nothing serious on %s', async (name) => {
    const page = await show(VIEWS[name] ?? '', undefined, theme);
    await page.evaluate(AXE);
    const violations = await page.evaluate(async () => {
      const { axe } = window as unknown as {
        axe: {
          run: () => Promise<{
            violations: { id: string; impact: string; nodes: { html: string; failureSummary: string }[] }[];
          }>;
        };
      };
      return (await axe.run()).violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map(
          (v) =>
            `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.failureSummary.slice(0, 160)}`).join(' | ')}`,
        );
    });
    expect(violations).toEqual([]);
  });
});

test.each(NAMES)('at 390 px, %s neither scrolls sideways nor loses its frame', async (name) => {
  const page = await show(VIEWS[name] ?? '', { width: 390, height: 844 });
  const sizes = await page.evaluate(() => ({
    across: document.documentElement.scrollWidth,
    sheet: document.querySelector('main')!.scrollWidth,
    room: document.querySelector('main')!.clientWidth,
    bench: document.querySelector('[data-testid=bench]')!.getBoundingClientRect().bottom,
  }));
  expect(sizes.across).toBeLessThanOrEqual(390);
  expect(sizes.sheet).toBeLessThanOrEqual(sizes.room + 1);
  expect(sizes.bench).toBeLessThanOrEqual(844 + 1);
});

/** Half of a usual screen in each direction is what 200 % zoom leaves. */
test.each(NAMES)('at 200 %% zoom, %s does not scroll sideways', async (name) => {
  const page = await show(VIEWS[name] ?? '', { width: 640, height: 400 });
  const [across, sheet, room] = await page.evaluate(() => [
    document.documentElement.scrollWidth,
    document.querySelector('main')!.scrollWidth,
    document.querySelector('main')!.clientWidth,
  ]);
  expect(across).toBeLessThanOrEqual(640);
  expect(sheet).toBeLessThanOrEqual((room ?? 0) + 1);
});

test('the working opens over the sheet on a phone and closes again', async () => {
  const page = await show('/price', { width: 390, height: 844 });
  await page.locator('[data-testid=ladder] .fig').click();
  await expectText(page, '[data-testid=working]', /EUR\/kg/);
  const box = await page.$eval('[data-testid=working]', (e) => {
    const r = e.getBoundingClientRect();
    return { top: r.top, width: r.width };
  });
  expect([box.top < 844, box.width <= 390]).toEqual([true, true]);
});

/** What nobody can press on paper. */
const PRESSED = 'input, select, textarea, button, summary, [role=tab], [role=radio], [role=switch]';

test.each([
  ['mix', /To make 10 kg.*The batch/],
  ['price', /EUR per kg N.*Larkmere Feather Meal/],
  ['a claim', /Said by.*Verdict.*nine checks/],
  ['ground', /drawn to scale.*What its soil is.*Seasons/],
  ['a programme', /For heritage bread wheat on.*What it comes to/],
])('%s is printed as a made page on A4: no field, tab or button in it', async (name, words) => {
  const page = await show(VIEWS[name] ?? '');
  await expectText(page, 'main', words);
  await page.emulateMediaType('print');
  await page.waitForFunction(
    (pressed) => ![...document.querySelectorAll(pressed)].some((e) => e.checkVisibility()),
    {},
    PRESSED,
  );
  const text = await page.$eval('main', (e) => e.innerText.replace(/\s+/g, ' '));
  expect(text).toMatch(words);
  expect(text).toMatch(/Wheat Ledger, .*, \d+ \w{3,4} 20\d\d/);
  const shown = await page.evaluate(() =>
    ['nav[aria-label=Stages]', '[data-testid=bench]', 'aside', 'main'].map((s) =>
      document.querySelector(s)!.checkVisibility(),
    ),
  );
  expect(shown).toEqual([false, false, false, true]);
  const pdf = Buffer.from(await page.pdf({ format: 'A4', printBackground: false }));
  const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
  expect(pages).toBeGreaterThanOrEqual(1);
  expect(pages).toBeLessThanOrEqual(3);
  await page.emulateMediaType('screen');
  await page.waitForSelector('main .fig');
});

test('an address that leads nowhere says so and offers a way back', async () => {
  const page = await screen.open();
  await page.goto(`${ledger.address}/nowhere`);
  await expectText(page, '[role=alert]', /No such page in this ledger/);
  await page.close();
});

test('an empty ledger says what to do first on every stage', async () => {
  const bare = await startLedger({ sample: false });
  const page = await screen.open();
  for (const [path, words] of [
    ['shelf', /The shelf is empty/],
    ['ground', /No plot yet\. Enter the first one/],
    ['price', /There is no bag yet\. Paste the label of one/],
    ['release', /needs a plot/],
    ['mix', /A mix is made from bags/],
    ['rounds', /Rounds are made of programmes/],
    ['claims', /No claim yet/],
    ['book', /Nothing was entered yet/],
  ] as const) {
    await page.goto(`${bare.address}/${path}`);
    await page.waitForSelector('main h1');
    await expectText(page, 'main', words);
  }
  await page.close();
  await bare.stop();
});

const STATES = ['ground', 'shelf', 'price', 'release', 'mix', 'rounds', 'claims', 'book'] as const;

test.each(STATES)('%s says that it waits, and that it cannot be had, and comes back by itself', async (path) => {
  const page = await screen.open();
  let answers: 'later' | 'never' | 'now' = 'later';
  const held: (() => void)[] = [];
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    const data = request.url().includes('/api/v1/');
    if (!data || answers === 'now') return void request.continue();
    if (answers === 'later') return void held.push(() => void request.continue());
    return void request.respond({
      status: 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: '/problems/away',
        title: 'Away',
        status: 503,
        detail: 'The database does not answer.',
      }),
    });
  });
  await page.goto(`${ledger.address}/${path}`);
  await expectText(page, 'main [role=status]', /Fetching .* …/);
  answers = 'never';
  await page.reload();
  await expectText(page, 'main [role=alert]', /The database does not answer/);
  answers = 'now';
  await page.waitForFunction(() => !document.querySelector('main [role=alert]'));
  await page.waitForSelector('main h1');
  await page.close();
});

test('a server that is away is told in words, and the typing stays', async () => {
  const away = await startLedger();
  const page = await screen.open();
  await page.goto(`${away.address}/shelf/new`);
  await page.waitForSelector('input[name=name]');
  await page.locator('input[name=name]').fill('Typed while away');
  await away.stop();
  await page.locator('button[type=submit]').click();
  await expectText(page, 'main [role=alert]', /does not answer\. What you typed is kept here/);
  expect(await page.$eval('input[name=name]', (e) => e.value)).toBe('Typed while away');
  await page.close();
});

test('nothing was thrown and nobody else was asked for anything', () => expect(screen.troubles).toEqual([]));
