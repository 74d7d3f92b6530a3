import { parseNumber } from '../../quantity/index.js';
import { scaleDeclared } from '../declaredValue.js';
import type { AnalysisUnit, DeclaredValue } from '../product.js';

/** A value found in a line, and where. */
export interface FoundValue {
  readonly value: DeclaredValue;
  /** Undefined when the line gives none. */
  readonly unit: AnalysisUnit | undefined;
  /** A unit that is none of an analysis, such as CFU/g or months: no other may be supposed. */
  readonly foreign: string | undefined;
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

const NUMBER = String.raw`\d{1,7}(?:[.,]\d{1,6})?`;
const UNIT = String.raw`m?g\s*(?:\/|per)\s*100\s*g(?:rams?)?\b|[µμu]g\s*\/\s*kg\b|ppb\b|%\s*\(?w\s*\/\s*v\)?|%\s*m\s*\/\s*v|%(?:\s*\(?w\s*\/\s*w\)?)?|per\s?cent|pct\b|g\s*\/\s*kg|mg\s*\/\s*kg|ppm|g\s*\/\s*l(?:itre)?\b`;
const VALUE = new RegExp(
  String.raw`(<\s*|(?<!\b(?:not?|pas|niet|nicht) )less than\s+)?(?<![\d.,-])(${NUMBER})(?:\s*(?:–|-|to)\s*(${NUMBER}))?\s*(${UNIT})?(?![\d])`,
  'gi',
);

/** Units that are told in another: 1 mg/100 g is 10 mg/kg, 1 µg/kg or ppb 0.001 mg/kg. */
const RETOLD: readonly (readonly [RegExp, AnalysisUnit, number])[] = [
  [/^mg\s*(?:\/|per)\s*100/i, 'mg/kg', 10],
  [/^(?:[µμu]g|ppb)/i, 'mg/kg', 0.001],
];
const retold = (unit: string | undefined) => RETOLD.find(([pattern]) => pattern.test(unit ?? ''));

function unitOf(text: string): AnalysisUnit {
  const plain = text.toLowerCase().replace(/\s/g, '');
  if (/^%\(?[wm]\/v/.test(plain)) return '% w/v';
  if (plain === 'g/kg') return 'g/kg';
  if (plain === 'mg/kg' || plain === 'ppm') return 'mg/kg';
  return plain.startsWith('g/l') ? 'g/L' : '%';
}

/** What behind a number is a unit, though none of an analysis. */
const FOREIGN =
  /^\s*(?:[a-zµμ]+\s*\/\s*[a-z]|(?:[µμ]g|ng|ppt|iu|cfu|meq|[mc]mol|oz|lbs?|kg|g|mg|ml|l|[mcµμ]?m|inch(?:es)?|°|°?[cf]\b|mesh|days?|weeks?|months?|years?|hours?|h)\b|°)/i;

const numberOf = (text: string): number => {
  // A label's comma is a decimal mark: "0,250 %" and "1,25 %" alike.
  const read = parseNumber(text.replace(',', '.'), 'point');
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
    if (
      /[A-Za-z]/.test(line[numberAt - 1] ?? '') ||
      (!unit &&
        /^\s?[A-Za-z]/.test(line.slice(numberAt + first.length)) &&
        /^[A-Za-z]/.test(line.slice(numberAt + first.length)))
    )
      return [];
    const low = numberOf(first);
    const high = second === undefined ? undefined : numberOf(second);
    if (!Number.isFinite(low) || (high !== undefined && (!Number.isFinite(high) || high < low))) return [];
    const value: DeclaredValue = below
      ? { kind: 'below', limit: low }
      : high === undefined
        ? { kind: 'number', value: low }
        : { kind: 'range', low, mid: Number(((low + high) / 2).toPrecision(6)), high };
    const other = retold(unit);
    return [
      {
        value: other ? scaleDeclared(value, other[2]) : value,
        unit: other?.[1] ?? (unit === undefined ? undefined : unitOf(unit)),
        foreign: unit === undefined ? FOREIGN.exec(line.slice(start + text.length))?.[0].trim() : undefined,
        start,
        end: start + text.length,
        text: text.trim(),
      },
    ];
  });
}

const LEAST_AND_MOST = new RegExp(
  String.raw`\bmin(?:imum)?\.?\s*:?\s*(${NUMBER})\s*(?:${UNIT})?[\s,;]*(?:and|to|–|-)?\s*max(?:imum)?\.?\s*:?\s*(${NUMBER})`,
  'gi',
);
/** "min. 3 % max. 5 %" as the range it is. @example joinSpans('N min 3 % max 5 %') // 'N 3–5 %' */
export const joinSpans = (line: string): string => line.replace(LEAST_AND_MOST, '$1–$2');

/** The unit among the words of a name, without a number. @example unitNamed('K ppm') // 'mg/kg' */
export function unitNamed(words: string): AnalysisUnit | undefined {
  const unit = new RegExp(UNIT, 'i').exec(words)?.[0];
  return unit === undefined || retold(unit) ? undefined : unitOf(unit);
}

const UNIT_IN_BRACKETS = new RegExp(String.raw`[([]\s*(${UNIT})\s*[)\]]`, 'i');
/** A unit that stands by itself in brackets holds for the line's numbers without one; the line is given back without it. @example bracketUnit('Nitrogen (%) 2.9').unit // '%' */
export function bracketUnit(line: string): { readonly unit: AnalysisUnit | undefined; readonly rest: string } {
  const [whole, unit] = UNIT_IN_BRACKETS.exec(line) ?? [];
  return whole === undefined || unit === undefined || retold(unit)
    ? { unit: undefined, rest: line }
    : { unit: unitOf(unit), rest: line.replace(whole, ' '.repeat(whole.length)) };
}

/** What a comma before three digits means in a text. */
export type CommaMark = 'decimal' | 'thousands' | 'unknown';

/** Tells it from the other numbers of the text: 6,5 makes the comma a decimal mark, 62.4 or 1,250,000 a thousands mark. @example commaIn('K 12,500 mg/kg, moisture 62.4 %') // 'thousands' */
export function commaIn(text: string): CommaMark {
  if (/\d,\d{3},\d{3}|\d,\d{3}\.\d/.test(text)) return 'thousands';
  const comma = /\d,(?:\d{1,2}|\d{4,})(?!\d)|(?<!\d)0,\d/.test(text);
  const point = /(?<![\d.])\d+\.(?:\d{1,2}|\d{4,})(?![\d.])|(?<!\d)0\.\d/.test(text);
  return comma === point ? 'unknown' : comma ? 'decimal' : 'thousands';
}

/** A share of the whole cannot run into thousands, so its comma is a decimal mark. */
const SHARE = /^\s*(?:%|per\s?cent|pct\b|g\s*\/\s*kg)/i;
/** Where a figure may be small or large: 12,500 mg/kg, or no unit at all. */
const EITHER = /^\s*(?:mg|ppm|g\s*\/\s*l|$)/i;

/**
 * A line whose thousands are written plainly; or the number that could be two, which is asked about and never guessed.
 * @example settleThousands('K 12,500 mg/kg', 'unknown') // { unclear: '12,500' }
 */
export function settleThousands(
  line: string,
  comma: CommaMark,
): { readonly line: string } | { readonly unclear: string } {
  const spaced = /(?<![\d.,-])[1-9]\d{0,2} \d{3}(?=\s*(?:mg\b|ppm))/i.exec(line);
  if (spaced) return { unclear: spaced[0] };
  const point = /(?<![\d.,-])[1-9]\d{0,2}\.\d{3}(?![\d.,])(?=\s*(?:mg\b|ppm))/i.exec(line);
  if (point && comma !== 'thousands') {
    if (comma === 'unknown') return { unclear: point[0] };
    return settleThousands(line.replace(point[0], point[0].replace('.', '')), comma);
  }
  let unclear: string | undefined;
  const settled = line.replace(/(?<![\d.,-])[1-9]\d{0,2}(?:,\d{3})+(?![\d,])/g, (number, at: number) => {
    const rest = line.slice(at + number.length);
    const groups = number.split(',').length - 1;
    if (groups === 1 && (SHARE.test(rest) || comma === 'decimal')) return number;
    if (groups === 1 && comma === 'unknown') {
      if (EITHER.test(rest)) unclear ??= number;
      return number;
    }
    return number.replaceAll(',', '');
  });
  return unclear === undefined ? { line: settled } : { unclear };
}

/** What is said of such a number. */
export const unclearWords = (number: string): string =>
  `“${number}” could be ${number.replace(/[,. ]/g, '')} or ${/[.,]/.test(number) ? number.replace(',', '.') : 'two numbers'}: write it plainly`;
