// Headless Chromium for the screenshots: a throwaway profile, closed by its own handle.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './machine.mjs';
import { ROOT } from './run.mjs';

/** Launches the browser. @returns { browser, close() } */
export async function launchBrowser() {
  const { default: puppeteer } = await import('puppeteer-core');
  const profile = mkdtempSync(join(tmpdir(), 'wheat-ledger-browser-'));
  const { args } = JSON.parse(readFileSync(join(ROOT, 'scripts/lib/chromium.json'), 'utf8'));
  const browser = await puppeteer.launch({
    executablePath: await ensureChromium(),
    headless: true,
    userDataDir: profile,
    args,
  });
  const close = async () => {
    await browser.close();
    rmSync(profile, { recursive: true, force: true });
  };
  return { browser, close };
}
