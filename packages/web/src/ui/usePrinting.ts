import { useSyncExternalStore } from 'react';

const print = (): MediaQueryList | undefined => globalThis.matchMedia?.('print');

function subscribe(changed: () => void): () => void {
  const query = print();
  query?.addEventListener('change', changed);
  return () => query?.removeEventListener('change', changed);
}

/** Whether the page is being put on paper, where nothing can be pressed. */
export const usePrinting = (): boolean => useSyncExternalStore(subscribe, () => print()?.matches ?? false);
