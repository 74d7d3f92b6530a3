// Pictures of mixes: made from a target, checked, weighed out.
import { click, openRecipe, pressWith, weighWith } from './screenSteps.mjs';
import { DESK, PAPER, PHONE, printed } from './viewports.mjs';

/** Opens the sample's heap. */
const openHeap = async (page) => {
  await page.goto(new URL('/mix', page.url()).href);
  const link = await page.waitForSelector('[data-testid=heap] a');
  await link.click();
};
/** Chooses one of a list by its place. */
const chooseNth = (label, nth) => async (page) => {
  const value = await page.$eval(`select[aria-label="${label}"]`, (list, at) => list.options[at].value, nth);
  await page.select(`select[aria-label="${label}"]`, value);
};
const pause = () => new Promise((r) => setTimeout(r, 2500));

export const MIX_VIEWS = [
  {
    name: 'mix',
    steps: [
      openRecipe('Spring feed for the leeks'),
      (page) => page.waitForSelector('[data-testid=ruled-out], [data-testid=weigh-out]'),
    ],
  },
  {
    name: 'mix-tall',
    viewport: { ...DESK, height: 1900 },
    steps: [
      openRecipe('Spring feed for the leeks'),
      (page) => page.waitForSelector('[data-testid=ruled-out], [data-testid=around]'),
    ],
  },
  {
    name: 'mix-salt',
    viewport: { ...DESK, height: 2700 },
    path: '/mix/new',
    steps: [
      (page) => page.waitForSelector('input[name=target]'),
      (page) => page.type('input[name=target]', '10-0-10'),
      (page) => page.waitForSelector('[data-testid=around]', { timeout: 60_000 }),
    ],
  },
  {
    name: 'mix-typical',
    viewport: { ...DESK, height: 1900 },
    path: '/mix/new',
    steps: [
      (page) => page.waitForSelector('input[name=target]'),
      (page) => page.type('input[name=target]', '8-0-12'),
      (page) => page.select('select[aria-label="Choose from"]', 'library'),
      (page) => page.waitForSelector('[data-testid=around]', { timeout: 60_000 }),
    ],
  },
  {
    name: 'mix-weighted',
    viewport: { ...DESK, height: 2700 },
    path: '/mix/new',
    steps: [
      (page) => page.waitForSelector('input[name=target]'),
      (page) => page.type('input[name=target]', '6-0-10'),
      (page) => page.select('select[aria-label="Make small"]', 'weighted'),
      (page) => page.waitForSelector('[data-testid=around]', { timeout: 60_000 }),
    ],
  },
  {
    name: 'mix-amounts',
    viewport: { ...DESK, height: 1900 },
    path: '/mix/new',
    steps: [
      (page) => page.waitForSelector('input[name=target]'),
      pressWith(' takes up on '),
      (page) => page.select('select[aria-label="Add a rule"]', 'packages'),
      (page) => page.waitForSelector('[data-testid=around]', { timeout: 60_000 }),
    ],
  },
  {
    name: 'evening-mix',
    theme: 'evening',
    steps: [
      openRecipe('Spring feed for the leeks'),
      (page) => page.waitForSelector('[data-testid=around]'),
      click('[data-testid=rules] summary'),
    ],
  },
  {
    name: 'phone-mix',
    viewport: { ...PHONE, height: 2600 },
    steps: [
      openRecipe('Spring feed for the leeks'),
      (page) => page.waitForSelector('[data-testid=around]'),
      click('[data-testid=rules] summary'),
    ],
  },
  {
    name: 'printed-mix',
    viewport: { ...PAPER, height: 1600 },
    steps: [openRecipe('Spring feed for the leeks'), (page) => page.waitForSelector('[data-testid=around]'), printed],
  },
  {
    name: 'mix-opened',
    viewport: { ...DESK, height: 2400 },
    steps: [
      openRecipe('The old shed mix'),
      (page) => page.waitForSelector('[data-testid=weigh-out]'),
      click('[data-testid=swap] summary'),
      chooseNth('Instead of', 1),
      chooseNth('take', 5),
      click('[data-testid=solution] summary'),
    ],
  },
  {
    name: 'heap',
    steps: [openHeap, (page) => page.waitForSelector('[data-testid=heap-chart] svg')],
  },
  {
    name: 'heap-new',
    viewport: { ...DESK, height: 1100 },
    path: '/mix/heap/new',
    steps: [
      (page) => page.waitForSelector('input[name="parts.0.amount"]'),
      (page) => page.type('input[name="parts.0.amount"]', '400 L'),
      (page) => page.select('select[name="parts.0.material"]', 'grass-clippings'),
      (page) => page.type('input[name="parts.1.amount"]', '200 L'),
      (page) => page.select('select[name="parts.1.material"]', 'fallen-leaves'),
      (page) => page.waitForSelector('[data-testid=heap-plan] li', { timeout: 30_000 }),
    ],
  },
  {
    name: 'phone-heap',
    viewport: { ...PHONE, height: 2600 },
    steps: [openHeap, (page) => page.waitForSelector('[data-testid=heap-chart] svg')],
  },
  {
    name: 'evening-heap',
    theme: 'evening',
    steps: [openHeap, (page) => page.waitForSelector('[data-testid=heap-chart] svg')],
  },
  {
    name: 'printed-heap',
    viewport: { ...PAPER, height: 1500 },
    steps: [openHeap, (page) => page.waitForSelector('[data-testid=heap-chart] svg'), printed],
  },
  {
    name: 'mix-card',
    viewport: { ...DESK, height: 1200 },
    steps: [openRecipe('The old shed mix', '/card'), (page) => page.waitForSelector('[data-testid=recipe-card]')],
  },
  {
    name: 'printed-mix-card',
    viewport: { ...PAPER, height: 1200 },
    steps: [
      openRecipe('The old shed mix', '/card'),
      (page) => page.waitForSelector('[data-testid=recipe-card]'),
      printed,
    ],
  },
  {
    name: 'mix-versions',
    viewport: { ...DESK, height: 1200 },
    steps: [
      openRecipe('Spring feed for the leeks'),
      (page) => page.waitForSelector('input[name=target]'),
      (page) => page.$eval('input[name=target]', (e) => e.select()),
      (page) => page.type('input[name=target]', '7-3-5'),
      pressWith('Save'),
      pause,
      openRecipe('Spring feed for the leeks', '/versions'),
      (page) => page.waitForSelector('[data-testid=version-summary]'),
    ],
  },
  {
    name: 'mix-check',
    steps: [
      openRecipe('The old shed mix'),
      (page) => page.waitForSelector('[data-testid=weigh-out]'),
      click('[data-testid=mix-analysis] .fig'),
    ],
  },
  {
    name: 'weigh',
    steps: [openRecipe('The old shed mix', '/weigh'), pressWith('Empty the pan'), pause, weighWith('Pour most of it')],
  },
  {
    name: 'weigh-over',
    steps: [
      openRecipe('The old shed mix', '/weigh'),
      weighWith('Pour too much'),
      (page) => page.waitForFunction(() => document.body.textContent.includes('Grow the batch')),
    ],
  },
  {
    name: 'phone-weigh',
    viewport: PHONE,
    theme: 'evening',
    steps: [openRecipe('The old shed mix', '/weigh'), weighWith('Pour most of it')],
  },
];
