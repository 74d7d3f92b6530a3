import type { Page } from 'puppeteer-core';

const MOST_TABS = 260;

/** Hands that touch the keyboard alone, on whichever page is open. */
export function handsOn(pageOf: () => Page) {
  /** What has the focus, as a person would name it. */
  const focused = (): Promise<string> =>
    pageOf().evaluate(() => {
      const e = document.activeElement;
      const label = (e as HTMLInputElement | null)?.labels?.[0]?.textContent;
      return (e?.getAttribute('aria-label') ?? label ?? e?.textContent ?? '').replace(/\s+/g, ' ').trim();
    });
  /** Presses Tab until the focus is on something so named. Nothing here ever touches a mouse. */
  async function tabTo(name: string | RegExp, back = false): Promise<void> {
    const { keyboard } = pageOf();
    const fits = (words: string): boolean => (typeof name === 'string' ? words === name : name.test(words));
    for (let i = 0; i < MOST_TABS; i++) {
      if (fits(await focused())) return;
      if (back) await keyboard.down('Shift');
      await keyboard.press('Tab');
      if (back) await keyboard.up('Shift');
    }
    throw new Error(`Tab never reached ${String(name)}; the focus is on “${await focused()}”.`);
  }
  return {
    focused,
    tabTo,
    type: async (name: string | RegExp, text: string): Promise<void> => {
      await tabTo(name);
      const { keyboard } = pageOf();
      await keyboard.down('Control');
      await keyboard.press('a');
      await keyboard.up('Control');
      await keyboard.type(text);
    },
    press: async (name: string | RegExp, key: 'Enter' | 'Space' = 'Enter'): Promise<void> => {
      await tabTo(name);
      await pageOf().keyboard.press(key);
    },
    /** Chooses an option of the select with the focus by typing its first letters. */
    pick: async (name: string | RegExp, words: string): Promise<void> => {
      await tabTo(name);
      await pageOf().keyboard.type(words);
    },
  };
}
