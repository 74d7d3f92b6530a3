import fc from 'fast-check';
import type { Page } from 'puppeteer-core';
import { awaited, withLedger } from './harness';

const at = withLedger();

// The same is done again, so a fault of the program shows twice; a page whose process in the browser died does not.
jest.retryTimes(1);

const SEED = 20261125;
const ACTIONS = 10;
/** What people and scripts type where something else belongs. */
const TYPED = [
  '-1',
  '1e400',
  '0',
  '5',
  'abc',
  '1/0',
  '½',
  '999999999999',
  '3,5',
  '<script>alert(1)</script>',
  '5-3-4',
  '< 20',
  '0.4–0.7',
  '2026-02-31',
  '10 kg',
  '12 m',
  'é=+',
  '',
  ' ',
  '-',
];
/** What no page may ever show. */
const NEVER = /.{0,60}(NaN|Infinity|undefined|\[object|went wrong).{0,60}/;

/** How long a page may be busy with anything, ms: far more than a busy machine needs, far less than the whole test has. */
const LONGEST = 30_000;
/** An answer of a page. @throws Error where it does not come in time, with what was done before */
const inTime = async <T>(answer: Promise<T>, trail: readonly string[]): Promise<T> => {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, fail) => {
    const tell = (): void => fail(new Error(`${trail.join(' → ')}: no answer for ${LONGEST / 1000} s`));
    timer = setTimeout(tell, LONGEST);
  });
  return Promise.race([answer, late]).finally(() => clearTimeout(timer));
};

/** Presses, chooses or types at one of the things on the page that can be, and says what it did. */
const act = (page: Page, pick: number, typed: string): Promise<string> =>
  page
    .evaluate(
      (nth, text) => {
        const all = [
          ...document.querySelectorAll<HTMLElement>(
            'main button, main input:not([type=file]), main select, main textarea, main summary, [role=tab], aside button, nav a',
          ),
        ].filter((e) => e.checkVisibility() && !e.matches(':disabled'));
        const e = all[nth % Math.max(1, all.length)];
        const name = e?.getAttribute('name') ?? e?.getAttribute('aria-label') ?? e?.textContent?.slice(0, 40) ?? '';
        const enter = (value: string, event: string): string => {
          Object.getOwnPropertyDescriptor(Object.getPrototypeOf(e), 'value')?.set?.call(e, value);
          e?.dispatchEvent(new Event(event, { bubbles: true }));
          return `${name} = ${value}`;
        };
        if (e instanceof HTMLSelectElement)
          return enter(e.options[nth % Math.max(1, e.options.length)]?.value ?? '', 'change');
        if (e instanceof HTMLTextAreaElement) return enter(`${text}\nNitrogen 5 %\n${text}`, 'input');
        if (e instanceof HTMLInputElement && e.type !== 'checkbox' && e.type !== 'radio') return enter(text, 'input');
        e?.click();
        return `pressed ${name}`;
      },
      pick,
      typed,
    )
    .catch(() => 'the page was left');

const STAGES = [
  '/shelf',
  '/shelf/label',
  '/shelf/materials',
  '/shelf/new',
  '/shelf/csv',
  '/shelf/kitchen',
  '/price',
  '/release',
  '/mix',
  '/mix/new',
  '/rounds',
  '/rounds/weeks',
  '/rounds/log',
  '/rounds/log/new',
  '/rounds/buy',
  '/rounds/dose',
  '/book/year',
  '/claims/compare',
  '/claims',
  '/claims/new',
  '/ground',
  '/ground/new',
  '/ground/causes',
  '/ground/crops',
  '/ground/crops/new?from=leek',
  '/book',
];
const PLOT_PAGES = [
  '',
  '/edit',
  '/soil',
  '/weather/edit',
  '/programmes',
  '/programmes/new',
  '/weather',
  '/jars',
  '/soil/new',
];
const BAG_PAGES = ['', '/elements', '/versions'];

/** The pages of the first three records of a kind. */
const pagesOf = async (kind: string, root: string, pages: readonly string[]): Promise<readonly string[]> =>
  (await at.ledger.api<{ items: { id: string }[] }>(kind)).items
    .slice(0, 3)
    .flatMap(({ id }) => pages.map((page) => `${root}/${id}${page}`));

test.each([
  ['the stages', () => Promise.resolve(STAGES)],
  ['the plots', () => pagesOf('plots', '/ground', PLOT_PAGES)],
  ['the bags', () => pagesOf('products', '/shelf', BAG_PAGES)],
])(
  'pressing and typing anything on the pages of %s never breaks one, shows no number that is none, and never makes the server fail',
  async (_name, pages) => {
    const routes = await pages();
    const steps = fc.sample(fc.tuple(fc.nat(100_000), fc.constantFrom(...TYPED)), {
      seed: SEED,
      numRuns: routes.length * ACTIONS,
    });
    const page = await at.screen.open();
    const wrong: string[] = [];
    page.on('dialog', (d) => void d.accept());
    page.on('response', (r) => {
      if (r.status() >= 500) wrong.push(`${r.status()} from ${r.url()}`);
    });
    for (const [i, route] of routes.entries()) {
      await page.goto(`${at.ledger.address}${route}`);
      await awaited(page, 'main');
      const trail = [route];
      for (const [pick, typed] of steps.slice(i * ACTIONS, (i + 1) * ACTIONS)) {
        trail.push(await inTime(act(page, pick, typed), trail));
        await new Promise((r) => setTimeout(r, 30));
        const seen = await inTime(
          page
            .evaluate(() => document.querySelector('main')?.textContent ?? 'the page went wrong: it is empty')
            .catch(() => ''),
          trail,
        );
        const found = NEVER.exec(seen);
        if (found) wrong.push(`${trail.join(' → ')}: ${found[0]}`);
      }
      if (at.screen.troubles.length > 0)
        wrong.push(`${trail.join(' → ')}: ${at.screen.troubles.splice(0).join('; ').slice(0, 300)}`);
    }
    expect(wrong).toEqual([]);
  },
);
