import { parseNumber } from '../../quantity/index.js';
import type { AnalysisUnit, DeclaredValue } from '../product.js';

/** A value found in a line, and where. */
export interface FoundValue {
  readonly value: DeclaredValue;
  /** Undefined when the line gives none. */
  readonly unit: AnalysisUnit | undefined;
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

const NUMBER = String.raw`\d{1,7}(?:[.,]\d{1,6})?`;
const UNIT = String.raw`%\s*\(?w\s*\/\s*v\)?|%\s*m\s*\/\s*v|%(?:\s*\(?w\s*\/\s*w\)?)?|per\s?cent|g\s*\/\s*kg|mg\s*\/\s*kg|ppm|g\s*\/\s*l(?:itre)?\b`;
const VALUE = new RegExp(String.raw`(<\s*|less than\s+)?(?<![\d.,-])(${NUMBER})(?:\s*(?:–|-|to)\s*(${NUMBER}))?\s*(${UNIT})?(?![\d])`, 'gi');

function unitOf(text: string): AnalysisUnit {
  const plain = text.toLowerCase().replace(/\s/g, '');
  if (/^%\(?[wm]\/v/.test(plain)) return '% w/v';
  if (plain === 'g/kg') return 'g/kg';
  if (plain === 'mg/kg' || plain === 'ppm') return 'mg/kg';
  return plain.startsWith('g/l') ? 'g/L' : '%';
}

const numberOf = (text: string): number => {
  // A label's comma is a decimal mark: "0,250 %" and "1,25 %" alike.
  const read = parseNumber(text.replace(',', '.'));
  return read.ok ? read.value : Number.NaN;
};

/**
 * The values in a line of a label, with their units where given. Digits inside a word or a formula (P2O5, NO3) are not
 * values. "< 5 mg/kg" is below a limit; "2–3 %" is a range.
 */
export function findValues(line: string): readonly FoundValue[] {
  return [...line.matchAll(VALUE)].flatMap((match): FoundValue[] => {
    const [text, below, first = '', second, unit] = match;
    const start = match.index;
    const numberAt = start + text.indexOf(first);
    // Part of a word such as P2O5, or followed by letters that are no unit, such as "20kg".
    if (/[A-Za-z]/.test(line[numberAt - 1] ?? '') || (!unit && /^\s?[A-Za-z]/.test(line.slice(numberAt + first.length)) && /^[A-Za-z]/.test(line.slice(numberAt + first.length)))) return [];
    const low = numberOf(first);
    const high = second === undefined ? undefined : numberOf(second);
    if (!Number.isFinite(low) || (high !== undefined && (!Number.isFinite(high) || high < low))) return [];
    const value: DeclaredValue = below
      ? { kind: 'below', limit: low }
      : high === undefined ? { kind: 'number', value: low } : { kind: 'range', low, mid: Number(((low + high) / 2).toPrecision(6)), high };
    return [{ value, unit: unit === undefined ? undefined : unitOf(unit), start, end: start + text.length, text: text.trim() }];
  });
}
