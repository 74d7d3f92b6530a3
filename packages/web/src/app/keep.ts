import { HOME_LEDGER } from '@wheat-ledger/contract';
import { LEDGER } from './ledger';

/** What one ledger's pages keep is not another's. */
const PREFIX = LEDGER === HOME_LEDGER ? 'wheat-ledger.' : `wheat-ledger.${LEDGER}.`;

/** Something kept in this browser, or undefined when it is not there or cannot be read. */
export function readKept<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(PREFIX + key);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** Keeps something in this browser; a full or forbidden store costs the convenience, not the work. */
export function writeKept(key: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(PREFIX + key);
    else localStorage.setItem(PREFIX + key, JSON.stringify(value));
  } catch {
    // nothing to do: the browser does not let us keep it
  }
}
