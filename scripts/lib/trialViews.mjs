// Pictures of trials: all of them, a plan, its map, its sheet, and what one found.
import { DESK, PAPER, PHONE, printed } from './viewports.mjs';

/** Opens a page of the trial of a name. */
const open =
  (name, path = '') =>
  async (page, { api }) => {
    const trial = (await api('trials')).items.find((t) => t.name.startsWith(name));
    await page.goto(`${page.base}/trials/${trial.id}${path}`);
  };
const read = async (page) => {
  await page.waitForSelector('[data-testid=dots]');
  await page.waitForFunction(
    () => !/Working it out/.test(document.querySelector('[data-testid=answer]')?.textContent ?? 'Working it out'),
  );
};
const there = (selector) => (page) => page.waitForSelector(selector);

export const TRIAL_VIEWS = [
  { name: 'trials', path: '/trials', steps: [there('[data-testid=trial]')] },
  { name: 'trial-plan', steps: [open('Magnesium'), there('[data-testid=power]')], viewport: { ...DESK, height: 2100 } },
  {
    name: 'trial-map',
    steps: [open('Nettle', '/map'), there('[data-testid=map]')],
    viewport: { ...DESK, height: 1300 },
  },
  { name: 'trial-sheet', steps: [open('Gypsum', '/sheet'), there('[data-testid=grid]')] },
  { name: 'trial-read', steps: [open('Nettle', '/read'), read], viewport: { ...DESK, height: 1200 } },
  { name: 'trial-peek', steps: [open('Gypsum', '/read'), read], viewport: { ...DESK, height: 1300 } },
  { name: 'trial-decide', steps: [open('Nettle', '/read'), read], viewport: { ...DESK, height: 1900 } },
  { name: 'trials-compared', path: '/trials/compare', steps: [there('[data-testid=trials-compared]')] },
  {
    name: 'trial-template',
    path: '/trials/new?from=jars',
    steps: [there('[data-testid=arm]')],
    viewport: { ...DESK, height: 1900 },
  },
  { name: 'phone-trial-map', steps: [open('Gypsum', '/map'), there('[data-testid=map]')], viewport: PHONE },
  { name: 'phone-trial-sheet', steps: [open('Gypsum', '/sheet'), there('[data-testid=grid]')], viewport: PHONE },
  { name: 'phone-trial-read', steps: [open('Nettle', '/read'), read], viewport: { ...PHONE, height: 1900 } },
  {
    name: 'evening-trial-read',
    steps: [open('Nettle', '/read'), read],
    theme: 'evening',
    viewport: { ...DESK, height: 1200 },
  },
  {
    name: 'printed-trial-map',
    steps: [open('Nettle', '/map'), there('[data-testid=map]'), printed],
    viewport: { ...PAPER, height: 1300 },
  },
];
/** Pictures that are looked at and not kept. */
export const TRIAL_NOT_KEPT = TRIAL_VIEWS.map((v) => v.name).filter((name) => name !== 'trial-read');
