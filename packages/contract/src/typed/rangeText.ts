import { formatGiven, type Range } from '@wheat-ledger/core';

/** A range as it is typed and read back. @example rangeText({ low: 2, mid: 3, high: 5 }) // '2–3–5' */
export const rangeText = (range: Range | undefined): string =>
  !range
    ? ''
    : range.low === range.high
      ? formatGiven(range.mid)
      : [range.low, range.mid, range.high].map(formatGiven).join('–');
