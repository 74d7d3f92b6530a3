import type { Measure } from './measure.js';
import { scaleRange, type Range } from './range.js';

interface Smaller {
  readonly symbol: string;
  /** How many of it make one of the larger. */
  readonly count: number;
  /** The larger is hard to read where its number is below this; for a need of ground it is never used. */
  readonly below: number;
}

/** Smaller units of the same kind, the next smaller first. */
const SMALLER: Readonly<Record<string, readonly Smaller[]>> = {
  '%': [{ symbol: 'mg/kg', count: 1e4, below: 0.01 }],
  kg: [
    { symbol: 'g', count: 1e3, below: 1 },
    { symbol: 'mg', count: 1e6, below: 1e-3 },
  ],
  'kg/m²': [{ symbol: 'g/m²', count: 1e3, below: Infinity }],
  L: [{ symbol: 'mL', count: 1e3, below: 1 }],
};

/**
 * A number in the unit it is read in most easily: 0.000096 % is 0.96 mg/kg, 0.04 kg/m² is 40 g/m². What it is of stays behind the unit; a unit that
 * has no smaller one here stays as it is.
 * @example readable({ low: 0.000096, mid: 0.000096, high: 0.000096 }, measure('% Cu')) // { value: 0.96, unit: 'mg/kg Cu' }
 */
export function readable(
  value: Range,
  { text }: Pick<Measure, 'text'>,
): { readonly value: Range; readonly unit: string } {
  const symbol = Object.keys(SMALLER).find((s) => text === s || text.startsWith(`${s} `));
  const largest = Math.max(Math.abs(value.low), Math.abs(value.high));
  const hard = ({ below }: Smaller): boolean => (largest === 0 ? below === Infinity : largest < below);
  const smaller = symbol === undefined ? undefined : SMALLER[symbol]?.filter(hard);
  const chosen = smaller?.at(-1);
  return chosen && symbol !== undefined
    ? { value: scaleRange(value, chosen.count), unit: chosen.symbol + text.slice(symbol.length) }
    : { value, unit: text };
}
