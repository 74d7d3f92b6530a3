import { formatTrimmed } from '@wheat-ledger/core';

/** An end of an interval; one that the samplings do not settle is open. */
export const intervalEnd = (n: number | undefined, scale: number): string =>
  n === undefined ? 'open' : formatTrimmed(n * scale, 3);
