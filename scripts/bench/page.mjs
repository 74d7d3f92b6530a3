// The page in Chromium: what the first route fetches, and how long typing takes to show with ten thousand bags.
import { launchBrowser } from '../lib/browser.mjs';
import { ms, row } from './measure.mjs';

const middle = (numbers) => numbers.sort((a, b) => a - b)[Math.floor(numbers.length / 2)];

async function withPage(server, work) {
  const { browser, close } = await launchBrowser();
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${server.address}/shelf`);
    await page.waitForSelector('[data-testid=shelf-bag]', { timeout: 60_000 });
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

/** Keys pressed in a field: for each, from the press to the next picture, as the browser itself times interactions; the middle and the worst. */
async function typing(page, selector, text) {
  await page.focus(selector);
  await page.evaluate(() => {
    globalThis.taken = [];
    new globalThis.PerformanceObserver((list) => {
      for (const e of list.getEntries()) if (e.name === 'keydown') globalThis.taken.push(e.duration);
    }).observe({ type: 'event', durationThreshold: 16 });
  });
  for (const key of text) {
    await page.keyboard.press(key);
    await new Promise((r) => setTimeout(r, 150));
  }
  await new Promise((r) => setTimeout(r, 500));
  // Presses under 16 ms are not reported; they count as 16.
  const taken = await page.evaluate(() => globalThis.taken);
  const all = [...taken, ...Array.from({ length: Math.max(0, text.length - taken.length) }, () => 16)];
  return { middle: middle(all), worst: Math.max(...all) };
}

export async function benchTyping(server) {
  await withPage(server, async (page) => {
    const filter = await typing(page, 'input[type=search]', 'compost 9');
    row('key to picture in the filter of 10 000 bags', ms(filter.middle), `worst ${ms(filter.worst)}; goal 100 ms`);
    const find = await typing(page, '#find', 'compost 9');
    row('key to picture in the find box', ms(find.middle), `worst ${ms(find.worst)}; goal 100 ms`);
    await page.evaluate(() => {
      const bare = document.createElement('input');
      bare.id = 'bare';
      document.body.append(bare);
    });
    const bare = await typing(page, '#bare', 'compost 9');
    row('the same in a bare field of the page', ms(bare.middle), `worst ${ms(bare.worst)}`);
  });
}
