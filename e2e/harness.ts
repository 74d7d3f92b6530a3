import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { startProxy } from '../scripts/lib/proxy.mjs';
import puppeteer, { type Browser, type ElementHandle, type Page } from 'puppeteer-core';

export const ROOT = resolve(__dirname, '..');
const { args } = JSON.parse(readFileSync(join(ROOT, 'scripts/lib/chromium.json'), 'utf8')) as { args: string[] };
const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find(existsSync) ?? '';

/** What a test waits for is whether it comes, not how soon: a busy machine must not fail it. */
const PATIENCE = 60_000;

export interface Ledger {
  readonly address: string;
  readonly api: <T>(path: string, init?: RequestInit) => Promise<T>;
  /** Ends it in the middle of whatever it does. */
  readonly kill: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** A database of its own in the test cluster. */
export function databaseUrl(): string {
  const url = new URL(process.env['TEST_DATABASE_URL'] ?? '');
  url.pathname = `/e_${randomBytes(6).toString('hex')}`;
  return url.toString();
}

export async function createDatabase(url: string): Promise<void> {
  const { MikroORM } = await import('@mikro-orm/postgresql');
  const admin = await MikroORM.init({
    clientUrl: process.env['TEST_DATABASE_URL'] ?? '',
    entities: [],
    discovery: { warnWhenNoEntities: false },
  });
  const name = new URL(url).pathname.slice(1);
  const known = await admin.em
    .getConnection()
    .execute<unknown[]>('select 1 from pg_database where datname = ?', [name]);
  if (known.length === 0) await admin.em.getConnection().execute(`create database ${name}`);
  await admin.close();
}

/** Servers that still run; a test that fails half way leaves none behind. */
const running = new Set<ChildProcess>();
afterAll(() => running.forEach((child) => child.kill('SIGTERM')));

interface Served {
  readonly address: string;
  readonly child: ChildProcess;
  readonly stop: () => Promise<void>;
}
interface ServeOptions {
  readonly url: string;
  readonly sample: boolean;
  readonly port: number;
  readonly scale: string;
}
/** One server of a database, as `npm start` runs it. */
async function serve({ url, sample, port, scale }: ServeOptions): Promise<Served> {
  const child = spawn(process.execPath, [join(ROOT, 'packages/server/dist/main.js')], {
    env: {
      ...process.env,
      DATABASE_URL: url,
      PORT: String(port),
      WEB_ROOT: join(ROOT, 'packages/web/dist/app'),
      WHEAT_LEDGER_SAMPLE: sample ? 'yes' : 'no',
      SCALE: scale,
      NODE_ENV: 'production',
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  running.add(child);
  child.once('close', () => running.delete(child));
  const address = await new Promise<string>((ok, fail) => {
    let said = '';
    const hear = (d: Buffer): void => {
      said += d.toString();
      const found = /(http:\/\/127\.0\.0\.1:\d+)/.exec(said)?.[1];
      if (found) ok(found);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('close', (code) => fail(new Error(`The server ended with ${code}: ${said}`)));
  });
  const gone = new Promise<void>((done) => child.once('close', () => done()));
  return {
    address,
    child,
    stop: async () => {
      child.kill('SIGTERM');
      await gone;
    },
  };
}

/** Ends servers in the middle of whatever they do. */
async function killed(children: readonly ChildProcess[]): Promise<void> {
  const gone = children.map((child) => new Promise((done) => child.once('close', done)));
  for (const child of children) child.kill('SIGKILL');
  await Promise.all(gone);
}
const ledgerAt = (address: string, { kill, stop }: Pick<Ledger, 'kill' | 'stop'>): Ledger => ({
  address,
  api: async <T>(path: string, init?: RequestInit) =>
    (await fetch(`${address}/api/v1/${path}`, init)).json() as Promise<T>,
  kill,
  stop,
});

/** Two servers of one new database, started at once, behind a proxy that gives them turns. */
export async function startTwo(options: ServeOptions): Promise<Ledger & { readonly servers: readonly Served[] }> {
  const servers = await Promise.all([serve(options), serve({ ...options, port: 0 })]);
  const proxy = await startProxy(servers.map((s) => s.address));
  const stop = async (): Promise<void> => {
    await proxy.stop();
    await Promise.all(servers.map((s) => s.stop()));
  };
  const kill = async (): Promise<void> => {
    await killed(servers.map((s) => s.child));
    await proxy.stop();
  };
  return { ...ledgerAt(proxy.address, { kill, stop }), servers };
}

/** The built program on a database of its own; with `E2E_TWO=1` two servers of it behind a proxy. */
export async function startLedger({ url = databaseUrl(), sample = true, port = 0, scale = '' } = {}): Promise<Ledger> {
  await createDatabase(url);
  const options = { url, sample, port, scale };
  if (process.env['E2E_TWO'] && port === 0) return startTwo(options);
  const { address, child, stop } = await serve(options);
  return ledgerAt(address, { kill: () => killed([child]), stop });
}

/** Lays bags on the ledger's bench by their names, in that order, and nothing else. */
export async function layBench(ledger: Ledger, names: readonly string[]): Promise<void> {
  const { items } = await ledger.api<{ items: readonly { id: string; name: string }[] }>('products?limit=500');
  const places = names.map((name) => ({
    kind: 'product',
    id: items.find((p) => p.name === name)?.id,
    aside: false,
  }));
  await ledger.api('bench', {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ places }),
  });
}

/** What each page asked for and has not got. */
const underWay = new WeakMap<Page, ReadonlySet<string>>();
/** Pages whose process died: no answer ever comes of them. */
const died = new WeakSet<Page>();
/** Where a page is, what it says and what it waits for: for who reads why a test failed. */
export async function stateOf(page: Page): Promise<string> {
  if (died.has(page)) return `${page.url()}, whose process in the browser died`;
  const words = await page
    .evaluate(() => document.body.innerText.slice(0, 400))
    .catch(() => 'nothing can be asked of it');
  return `${page.url()} says “${words}” and waits for ${[...(underWay.get(page) ?? [])].join(', ') || 'nothing'}`;
}
/** What a selector finds, waited for; where it never comes, what the page shows instead is told. */
export async function awaited(page: Page, selector: string): Promise<ElementHandle> {
  const found = await page.waitForSelector(selector).catch(async () => {
    throw new Error(`${selector} never came: ${await stateOf(page)}`);
  });
  return found as ElementHandle;
}

export interface Screen {
  readonly browser: Browser;
  readonly open: (size?: { width: number; height: number }) => Promise<Page>;
  readonly close: () => Promise<void>;
  /** What went wrong in any page so far: errors thrown, requests to anywhere else. */
  readonly troubles: string[];
}

export async function openScreen(): Promise<Screen> {
  const profile = mkdtempSync(join(tmpdir(), 'wheat-ledger-e2e-'));
  const browser = await puppeteer.launch({
    executablePath: CHROMIUM,
    headless: true,
    userDataDir: profile,
    args,
    protocolTimeout: 2 * PATIENCE,
  });
  const troubles: string[] = [];
  return {
    browser,
    troubles,
    open: async (size = { width: 1280, height: 800 }) => {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      page.setDefaultTimeout(PATIENCE);
      // The process of a page that is left while its workers work dies now and then: 1 of 100. With this, none of 500 did.
      await page.evaluateOnNewDocument('window.Worker = class extends window.Worker {};');
      await page.setViewport(size);
      page.on('pageerror', (e) => troubles.push(`thrown: ${e instanceof Error ? e.message : String(e)}`));
      page.on('error', () => died.add(page));
      page.on('request', (r) => {
        if (!/^(http:\/\/127\.0\.0\.1:|data:|blob:)/.test(r.url())) troubles.push(`asked for ${r.url()}`);
      });
      const pending = new Set<string>();
      underWay.set(page, pending);
      page.on('request', (r) => pending.add(r.url()));
      for (const over of ['requestfinished', 'requestfailed'] as const) page.on(over, (r) => pending.delete(r.url()));
      page.on('console', (m) => {
        if (m.type() === 'error' && !/status of (4\d\d|5\d\d)|ERR_CONNECTION/.test(m.text()))
          troubles.push(`console: ${m.text()}`);
      });
      return page;
    },
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** What plays each role here, and how a person would name it. */
const ROLES = {
  button: 'button',
  link: 'a[href]',
  tab: '[role=tab]',
  radio: '[role=radio]',
  summary: 'summary',
} as const;
export type Role = keyof typeof ROLES;

/** The first visible element of a role whose words begin with `name`, waited for. */
export async function byRole(page: Page, role: Role, name: string): Promise<ElementHandle<HTMLElement>> {
  const found = await page
    .waitForFunction(
      (selector, wanted) => {
        const words = (e: Element): string =>
          (e.getAttribute('aria-label') ?? e.textContent ?? '').replace(/\s+/g, ' ').trim();
        const all = [...document.querySelectorAll<HTMLElement>(selector)].filter((e) => e.checkVisibility());
        return all.find((e) => words(e) === wanted) ?? all.find((e) => words(e).startsWith(wanted)) ?? false;
      },
      {},
      ROLES[role],
      name,
    )
    .catch(() => {
      throw new Error(`No ${role} is called “${name}”.`);
    });
  return found as ElementHandle<HTMLElement>;
}
/** Clicks what has come to rest: a list that is still moving would put something else under the pointer. What was drawn anew meanwhile is looked for again. */
export async function press(find: () => Promise<ElementHandle<HTMLElement>>): Promise<void> {
  const tries = 4;
  for (let nth = 1; ; nth++) {
    const handle = await find();
    try {
      return await handle
        .asLocator()
        .setTimeout(PATIENCE / tries)
        .click();
    } catch (error) {
      if (nth === tries) throw error;
    }
  }
}
const click = (page: Page, role: Role, name: string): Promise<void> => press(() => byRole(page, role, name));
export const clickButton = (page: Page, name: string): Promise<void> => click(page, 'button', name);
export const clickLink = (page: Page, name: string): Promise<void> => click(page, 'link', name);
export const clickTab = (page: Page, name: string): Promise<void> => click(page, 'tab', name);
export const clickRadio = (page: Page, name: string): Promise<void> => click(page, 'radio', name);

/** The field with this label, waited for. */
export async function field(page: Page, label: string): Promise<ElementHandle<HTMLInputElement>> {
  const found = await page
    .waitForFunction(
      (wanted) => {
        const words = (e: Element): string => (e.textContent ?? '').replace(/\s+/g, ' ').trim();
        const byLabel = [...document.querySelectorAll('label')].find(
          (l) => words(l) === wanted && l.control?.checkVisibility(),
        )?.control;
        return byLabel ?? document.querySelector(`[aria-label="${wanted}"]`) ?? false;
      },
      {},
      label,
    )
    .catch(() => {
      throw new Error(`No field is called “${label}”.`);
    });
  return found as ElementHandle<HTMLInputElement>;
}
export const tick = (page: Page, label: string): Promise<void> => press(() => field(page, label));

/** Waits until the text of an element matches. */
export async function expectText(page: Page, selector: string, pattern: RegExp): Promise<string> {
  await page
    .waitForFunction(
      (s, source, flags) => new RegExp(source, flags).test(document.querySelector(s)?.textContent ?? ''),
      { timeout: PATIENCE },
      selector,
      pattern.source,
      pattern.flags,
    )
    .catch(async () => {
      throw new Error(
        `${selector} never matched ${String(pattern)}; it says: ${await page.$eval(selector, (e) => e.textContent).catch(async () => `nothing, it is not there: ${await stateOf(page)}`)}`,
      );
    });
  return page.$eval(selector, (e) => e.textContent ?? '');
}

/** Replaces what stands in the field with this label. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  await (await field(page, label)).focus();
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  if (text === '') await page.keyboard.press('Delete');
  else await page.keyboard.type(text);
}

/** Chooses the option with these words. */
export async function choose(page: Page, label: string, words: string): Promise<void> {
  const select = await field(page, label);
  const value = await select.evaluate(
    (e, wanted) => [...e.querySelectorAll('option')].find((o) => o.textContent === wanted)?.value ?? '',
    words,
  );
  await (select as unknown as ElementHandle<HTMLSelectElement>).select(value);
}

/** A ledger with the sample and a browser for all tests of a file, started before the first and stopped after the last. */
export function withLedger(): { readonly ledger: Ledger; readonly screen: Screen } {
  const held: { ledger?: Ledger; screen?: Screen } = {};
  beforeAll(async () => {
    held.ledger = await startLedger();
    held.screen = await openScreen();
  });
  afterAll(async () => {
    await held.screen?.close();
    await held.ledger?.stop();
  });
  return {
    get ledger() {
      return held.ledger!;
    },
    get screen() {
      return held.screen!;
    },
  };
}
