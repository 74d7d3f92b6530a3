// Pictures of rounds: a day, the weeks, the log, cans and rings; and a season's book.
import { DESK, PAPER, PHONE, printed } from './viewports.mjs';

const tasks = (page) => page.waitForSelector('[data-testid=task]');
const balance = (page) => page.waitForSelector('[data-testid=balance]');
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
    viewport: { ...DESK, height: 1500 },
    steps: [balance],
  },
  { name: 'cans', path: '/rounds/dose', viewport: { ...DESK, height: 1000 } },
];
/** Pictures that are looked at and not kept. */
export const ROUND_NOT_KEPT = ROUND_VIEWS.map((v) => v.name).filter((name) => name !== 'round' && name !== 'plot-year');
