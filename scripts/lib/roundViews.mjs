// Pictures of rounds: a day, the weeks, the log, cans and rings; and a season's book.
import { DESK, PAPER, PHONE, printed } from './viewports.mjs';

const tasks = (page) => page.waitForSelector('[data-testid=task]');
const balance = (page) => page.waitForSelector('[data-testid=balance]');
const leaf = (page) => page.waitForSelector('[data-testid=leaf]');
/** Two products in one can, the first at its label's rate. */
const filled = async (page) => {
  await page.waitForSelector('select[aria-label="Product 1"] option:nth-child(3)');
  const names = await page.$$eval('select[aria-label="Product 1"] option', (all) => all.map((o) => [o.value, o.text]));
  const value = (pattern) => names.find(([, text]) => pattern.test(text))?.[0] ?? names[1][0];
  await page.select('select[aria-label="Product 1"]', value(/fish|seaweed|liquid/i));
  await page.type('input[aria-label="Amount 1"]', '50 mL');
  await page.evaluate(() =>
    [...document.querySelectorAll('button')].find((b) => /Another product/.test(b.textContent)).click(),
  );
  await page.waitForSelector('select[aria-label="Product 2"]');
  await page.select('select[aria-label="Product 2"]', value(/potash|nitrate|epsom/i));
  await page.type('input[aria-label="Amount 2"]', '8 g');
  await page.waitForSelector('[data-testid=can]');
};
const DAY = '/rounds?day=2026-05-02';

export const ROUND_VIEWS = [
  { name: 'round', path: DAY, steps: [tasks] },
  { name: 'round-none', path: '/rounds' },
  { name: 'phone-round', path: DAY, viewport: PHONE, steps: [tasks] },
  { name: 'printed-round', path: DAY, viewport: PAPER, steps: [tasks, printed] },
  { name: 'evening-round', path: DAY, theme: 'evening', steps: [tasks] },
  { name: 'weeks', path: '/rounds/weeks', steps: [(page) => page.waitForSelector('[data-testid=weeks]')] },
  { name: 'log', path: '/rounds/log', steps: [(page) => page.waitForSelector('[data-testid=log]')] },
  { name: 'buy', path: '/rounds/buy' },
  { name: 'phone-year', path: '/book/year', viewport: { ...PHONE, height: 2200 }, steps: [balance] },
  { name: 'printed-year', path: '/book/year', viewport: { ...PAPER, height: 1500 }, steps: [balance, printed] },
  { name: 'log-new', path: '/rounds/log/new', viewport: { ...DESK, height: 1100 } },
  {
    name: 'plot-year',
    path: '/book/year',
    viewport: { ...DESK, height: 2000 },
    steps: [balance],
  },
  { name: 'doses', path: '/rounds/dose', viewport: { ...DESK, height: 1000 } },
  { name: 'cans', path: '/rounds/can', viewport: { ...DESK, height: 1000 }, steps: [filled] },
  { name: 'phone-cans', path: '/rounds/can', viewport: { ...PHONE, height: 1500 }, steps: [filled] },
  { name: 'plants', path: '/rounds/plant', viewport: { ...DESK, height: 1300 }, plot: 'Dahlia' },
  { name: 'evening-plants', path: '/rounds/plant', theme: 'evening', viewport: { ...DESK, height: 1300 } },
  { name: 'phone-plants', path: '/rounds/plant', viewport: { ...PHONE, height: 1900 } },
  { name: 'leaf', path: '/book/leaf', viewport: { ...DESK, height: 1100 }, steps: [leaf] },
  { name: 'phone-leaf', path: '/book/leaf', viewport: { ...PHONE, height: 1700 }, steps: [leaf] },
];
/** Pictures that are looked at and not kept. */
export const ROUND_NOT_KEPT = ROUND_VIEWS.map((v) => v.name).filter((name) => name !== 'round' && name !== 'plot-year');
