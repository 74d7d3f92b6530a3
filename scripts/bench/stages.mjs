// Each stage opened with eight bags on the bench: the longest task of the page, and how many components it rendered.
import { launchBrowser } from '../lib/browser.mjs';
import { ms, row } from './measure.mjs';

const STAGES = ['/ground', '/shelf', '/price', '/release', '/mix', '/claims', '/book'];
const SETTLED_MS = 4000;

/** Counts rendered components as React commits them, and keeps the longest task since it was last asked. Runs in the page. */
function watch() {
  globalThis.longest = 0;
  new globalThis.PerformanceObserver((list) => {
    for (const entry of list.getEntries()) globalThis.longest = Math.max(globalThis.longest, entry.duration);
  }).observe({ type: 'longtask' });
  globalThis.renders = 0;
  let before = new Set();
  // Function components, with forwardRef and memo: what React calls by these numbers.
  const COMPONENTS = new Set([0, 11, 14, 15]);
  const PERFORMED_WORK = 1;
  globalThis.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    supportsFiber: true,
    renderers: new Map(),
    inject: () => 1,
    onCommitFiberUnmount: () => {},
    onPostCommitFiberRoot: () => {},
    onCommitFiberRoot: (_id, root) => {
      const now = new Set();
      const stack = [root.current];
      while (stack.length > 0) {
        const fiber = stack.pop();
        now.add(fiber);
        const worked = (fiber.flags & PERFORMED_WORK) !== 0 || !fiber.alternate;
        if (!before.has(fiber) && COMPONENTS.has(fiber.tag) && worked) globalThis.renders++;
        if (fiber.sibling) stack.push(fiber.sibling);
        if (fiber.child) stack.push(fiber.child);
      }
      before = now;
    },
  };
}

/** @param server a server with the sample */
export async function benchStages(server) {
  const { items } = await (await fetch(`${server.address}/api/v1/products?limit=500`)).json();
  const places = items
    .filter((p) => p.offers.length > 0)
    .slice(0, 8)
    .map(({ id }) => ({ kind: 'product', id, aside: false }));
  await fetch(`${server.address}/api/v1/bench`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ places }),
  });
  const { browser, close } = await launchBrowser();
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.evaluateOnNewDocument(watch);
    await page.goto(`${server.address}/ledgers`);
    await page.waitForSelector('main h1');
    await new Promise((r) => setTimeout(r, 1500));
    for (const path of STAGES) {
      await page.evaluate(() => {
        globalThis.longest = 0;
        globalThis.renders = 0;
      });
      await page.click(`nav a[href="${path}"]`);
      await new Promise((r) => setTimeout(r, SETTLED_MS));
      const { longest, renders } = await page.evaluate(() => ({
        longest: globalThis.longest,
        renders: globalThis.renders,
      }));
      row(
        `opening ${path} with 8 bags: the longest task`,
        longest === 0 ? 'under 50 ms' : ms(longest),
        `goal 50 ms; ${renders} components rendered, goal 1500 at most`,
      );
    }
  } finally {
    await close();
  }
}
