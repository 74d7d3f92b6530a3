import { exact, formatTrimmedRange, scaleRange, type Range } from '@wheat-ledger/core';

/** A range, or the limit it is below. */
export const shownRange = (value: Range, below: boolean, figures = 3): string =>
  below ? `< ${formatTrimmedRange(exact(value.high), figures)}` : formatTrimmedRange(value, figures);

/** A mass fraction in per cent, or in mg/kg where a per cent would be mostly zeros. @example amountWords(exact(0.00031), false) // '310 mg/kg' */
export const amountWords = (fraction: Range, below: boolean): string =>
  fraction.high < 5e-4
    ? `${shownRange(scaleRange(fraction, 1e6), below)} mg/kg`
    : `${shownRange(scaleRange(fraction, 100), below)} %`;
