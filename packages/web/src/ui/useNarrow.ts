import { useSyncExternalStore } from 'react';

const narrow = (): MediaQueryList => window.matchMedia('(max-width: 639px)');

function subscribe(changed: () => void): () => void {
  const query = narrow();
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Whether the page is as narrow as a phone. */
export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => narrow().matches);
