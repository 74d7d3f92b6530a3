import type { Range } from './range.js';

/** What is shown where there is no number. */
export const NOT_KNOWN = '–';

/**
 * A number to so many significant figures, grouped with thin spaces, never -0, NaN or Infinity.
 * @example formatNumber(12345.678, 3) // '12 300'
 */
export function formatNumber(value: number | undefined, figures = 3): string {
  if (value === undefined || !Number.isFinite(value)) return NOT_KNOWN;
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  if (magnitude < -6 || magnitude > 15) return scientific(value, figures);
  const rounded = Number(value.toPrecision(figures));
  return groupDigits(rounded.toFixed(decimalsOf(rounded, figures)));
}

/**
 * Decimals that show so many significant figures of a number other than 0, at most twelve.
 * @example formatFixed(6.417, decimalsOf(0.98, 2)) // '6.42', as fine as two figures of its error
 */
export const decimalsOf = (value: number, figures: number): number =>
  Math.min(12, Math.max(0, figures - 1 - Math.floor(Math.log10(Math.abs(value)))));

// Making a format costs far more than using it.
const PLAIN = new Intl.NumberFormat('en', { useGrouping: false, maximumFractionDigits: 12 });
/** A number as it was given, no figure added: 20 stays 20. At most nine significant figures, to hide binary dust. @example formatGiven(0.1 + 0.2) // '0.3' */
export function formatGiven(value: number | undefined): string {
  if (value === undefined || !Number.isFinite(value)) return NOT_KNOWN;
  if (Math.abs(value) >= 1e15) return scientific(value, 9);
  if (Number.isInteger(value) && Math.abs(value) < 1e9) return groupDigits(String(value));
  const rounded = Number(value.toPrecision(9));
  return groupDigits(PLAIN.format(rounded));
}

/** A number to fixed decimals with the same grouping and the same care for -0. @example formatFixed(-0.001, 2) // '0.00' */
export function formatFixed(value: number | undefined, decimals: number): string {
  if (value === undefined || !Number.isFinite(value)) return NOT_KNOWN;
  if (Math.abs(value) >= 1e15) return scientific(value, 3);
  const text = value.toFixed(decimals);
  return groupDigits(text);
}

const scientific = (value: number, figures: number): string =>
  value
    .toExponential(Math.max(0, figures - 1))
    .replaceAll('-', '−')
    .replace('e+', ' × 10^')
    .replace('e', ' × 10^');

function groupDigits(text: string): string {
  const [whole = '', fraction] = text.replace('-', '').split('.');
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u2009') : whole;
  return `${text.startsWith('-') && Number(text) !== 0 ? '−' : ''}${grouped}${fraction === undefined ? '' : `.${fraction}`}`;
}

/** Between the ends of a range: a dash beside a minus would be read as one. */
const dash = (low: number): string => (low < 0 ? ' to ' : '–');

/** A range: one number when exact, `low–high` otherwise. @example formatRange({ low: 2, mid: 3, high: 4 }) // '2.00–4.00' */
export function formatRange(range: Range | undefined, figures = 3): string {
  if (!range) return NOT_KNOWN;
  const low = formatNumber(range.low, figures);
  const high = formatNumber(range.high, figures);
  return low === high ? formatNumber(range.mid, figures) : `${low}${dash(range.low)}${high}`;
}

/** A number to at most so many significant figures, without zeros nobody gave: 4 % stays 4 %. For sentences and single figures; columns line up by `formatNumber`. @example formatTrimmed(4.0004) // '4' */
export const formatTrimmed = (value: number | undefined, figures = 3): string =>
  formatGiven(value === undefined ? undefined : Number(value.toPrecision(figures)));

/** A range to at most so many significant figures, without zeros nobody gave. @example formatTrimmedRange({ low: 4, mid: 4.5, high: 5 }) // '4–5' */
export function formatTrimmedRange({ low, mid, high }: Range, figures = 3): string {
  const trim = (value: number): number => Number(value.toPrecision(figures));
  return formatGivenRange({ low: trim(low), mid: trim(mid), high: trim(high) });
}

/** A range as it was given, no figure added. @example formatGivenRange({ low: 0.05, mid: 0.1, high: 0.2 }) // '0.05–0.2' */
export const formatGivenRange = ({ low, mid, high }: Range): string =>
  low === high ? formatGiven(mid) : `${formatGiven(low)}${dash(low)}${formatGiven(high)}`;
