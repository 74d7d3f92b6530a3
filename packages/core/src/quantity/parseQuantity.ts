import { findUnit, measuresNamed, unitOf, type Dimension, type Unit } from './units.js';
import { parseNumber, type DecimalMark } from './parseNumber.js';
import type { Range } from './range.js';
import { tooLong } from './words.js';

/** What a typed quantity was read as; `which` lists the measures when the word names several, `readings` the numbers. */
export type ParsedQuantity =
  | { readonly ok: true; readonly value: number; readonly unit: Unit; readonly digits: number }
  | {
      readonly ok: false;
      readonly reason: string;
      readonly which?: readonly string[];
      readonly readings?: readonly [number, number];
      /** The ends of a range stand the wrong way round. */
      readonly order?: true;
    };

type Refused = Extract<ParsedQuantity, { ok: false }>;
const refuse = (reason: string): Refused => ({ ok: false, reason });

/** What a quantity comes in, said behind it: "40 lb bag". */
const PACKAGE =
  /\s*\b(?:bags?|sacks?|box(?:es)?|tubs?|pails?|buckets?|jugs?|jars?|bottles?|cans?|bales?|packets?|packs?|drums?)$/i;
const AMOUNT = /^((?:[\d\s.,/½⅓⅔¼¾⅛⅜⅝⅞+−–-]|['’](?=\d{3}))+(?:e[+-]?\d+)?)\s*(.*)$/i;

/**
 * Reads a number with its unit. A bare number takes `assumedUnit`, when one is given.
 *
 * @param input text such as `50 lb`, `5 lb.`, `2 lb 4 oz`, `3'6"`, `1/2 US cup`, `1 gal (US)`, `40 lb bag`, `4' x 8'` for an area
 * @param dimension the kind of quantity expected
 * @param mark the decimal mark the person writes, once it is known
 * @example parseQuantity('50 lb', 'mass') // { ok: true, value: 50, unit: lb, digits: 2 }
 */
export function parseQuantity(
  input: string,
  dimension: Dimension,
  assumedUnit?: string,
  mark?: DecimalMark,
): ParsedQuantity {
  const long = tooLong(input, `a number and a unit such as ${example(dimension)}`);
  if (long) return refuse(long);
  const text = input
    .trim()
    .replace(PACKAGE, '')
    .replace(/^an?\s+(?=\d)/i, '');
  const sides = dimension === 'area' ? text.split(/\s*[x×]\s*/i) : [];
  if (sides.length === 2) return areaOf(sides as [string, string], mark);
  const split = AMOUNT.exec(text);
  if (!split) return refuse(`Read "${text.slice(0, 40)}", expected a number and a unit such as ${example(dimension)}.`);
  const number = parseNumber(split[1] ?? '', mark);
  if (!number.ok) return number;
  const word = (split[2] ?? '').trim() || assumedUnit || '';
  if (word === '') return refuse(`Read ${number.value} with no unit, expected one such as ${example(dimension)}.`);

  const which = measuresNamed(word);
  if (which) return { ok: false, reason: whoseWords(word, which), which };
  const unit = findUnit(word);
  if (!unit) return compound(text, dimension, mark) ?? refuse(unknownUnit(word, dimension));
  if (unit.dimension !== dimension)
    return refuse(`${unit.symbol} measures ${unit.dimension}, expected ${dimension} such as ${example(dimension)}.`);
  return { ok: true, value: number.value, unit, digits: number.digits };
}

/** What is said of a word that names several measures. */
export const whoseWords = (word: string, which: readonly string[]): string =>
  `"${word}" ${which.includes('t') ? 'is not the same weight to everybody' : 'differs by country'}: say ${which.join(' or ')}.`;

const unknownUnit = (word: string, dimension: Dimension): string =>
  `Read the unit "${word.slice(0, 20)}", expected one such as ${example(dimension)}.`;

/** "2 lb 4 oz" and "3 ft 6 in" in the first unit; undefined where the text is not two quantities of which the second is part of the first. */
function compound(text: string, dimension: Dimension, mark: DecimalMark | undefined): ParsedQuantity | undefined {
  const [, first = '', second = ''] = /^(\d[\d.,]*\s*[^\d\s.,]+\.?)\s*(?:,|and)?\s*(\d.*)$/i.exec(text) ?? [];
  if (first === '') return undefined;
  const big = parseQuantity(first, dimension, undefined, mark);
  const small = parseQuantity(second, dimension, undefined, mark);
  if (!big.ok || !small.ok) return [big, small].find((q): q is Refused => !q.ok && q.which !== undefined);
  const part = (small.value * small.unit.factor) / big.unit.factor;
  if (!Number.isInteger(big.value) || small.unit.factor >= big.unit.factor || !(part < 1)) return undefined;
  return { ok: true, value: big.value + part, unit: big.unit, digits: Math.max(3, big.digits + small.digits) };
}

/** "4' x 8'" and "1.2 m × 3 m" as an area; a side without a unit takes the other's. */
function areaOf([a, b]: readonly [string, string], mark: DecimalMark | undefined): ParsedQuantity {
  const second = parseQuantity(b, 'length', undefined, mark);
  const first = parseQuantity(a, 'length', second.ok ? second.unit.symbol : undefined, mark);
  if (!first.ok) return first;
  if (!second.ok) return second;
  const feet = ['ft', 'in'].includes(first.unit.symbol) && ['ft', 'in'].includes(second.unit.symbol);
  const unit = unitOf(feet ? 'ft²' : 'm²');
  const value = (first.value * first.unit.factor * second.value * second.unit.factor) / unit.factor;
  return { ok: true, value: Number(value.toPrecision(12)), unit, digits: Math.min(first.digits, second.digits) };
}

const RANGE = /^\s*([^–-]*?\d[^–-]*?)\s*(?:–|-|\bto\b)\s*(?=[\d.½⅓⅔¼¾⅛⅜⅝⅞])(.*)$/i;

/** The two ends of a text that gives a range; undefined for one amount, of which "1-1/2" is one. */
function endsOf(text: string): readonly [string, string] | undefined {
  if (/^\s*\d+-\d+\s*\/\s*\d+(?!\d)/.test(text)) {
    // "1-1/2 lb" is one and a half; "1-1/2 to 2 lb" begins with it.
    const [, low, high] = /^\s*(\d+-\d+\s*\/\s*\d+[^–\d]*?)\s*(?:–|\bto\b)\s*(\d.*)$/i.exec(text) ?? [];
    return low === undefined || high === undefined ? undefined : [low, high];
  }
  const [, low, high] = RANGE.exec(text) ?? [];
  return low === undefined || high === undefined ? undefined : [low, high];
}

export type ParsedQuantityRange = { readonly ok: true; readonly range: Range; readonly unit: Unit } | Refused;

/**
 * Reads one amount or a range of amounts with its unit, in that unit; the middle of a range is taken between.
 * @example parseQuantityRange('2-3 oz', 'mass') // { ok: true, range: { low: 2, mid: 2.5, high: 3 }, unit: oz }
 */
export function parseQuantityRange(input: string, dimension: Dimension, mark?: DecimalMark): ParsedQuantityRange {
  const long = tooLong(input, `a number and a unit such as ${example(dimension)}`);
  if (long) return refuse(long);
  const ends = endsOf(input);
  const most = parseQuantity(ends ? ends[1] : input, dimension, undefined, mark);
  if (!most.ok) return most;
  if (!ends) return { ok: true, range: { low: most.value, mid: most.value, high: most.value }, unit: most.unit };
  const least = parseQuantity(ends[0], dimension, most.unit.symbol, mark);
  if (!least.ok) return least;
  const low = least.unit === most.unit ? least.value : (least.value * least.unit.factor) / most.unit.factor;
  if (low < 0 || low > most.value)
    return { ...refuse(`Read "${input.trim().slice(0, 40)}", expected the least before the most.`), order: true };
  return { ok: true, range: { low, mid: (low + most.value) / 2, high: most.value }, unit: most.unit };
}

const EXAMPLES: Readonly<Record<Dimension, string>> = {
  mass: '20 kg or 50 lb',
  volume: '1 L or 1 US gal',
  area: '12 m², 100 ft² or 4 ft x 8 ft',
  length: '1.2 m or 4 ft',
  fraction: '5 % or 350 mg/kg',
  density: '1.1 kg/L',
  count: '12',
};
const example = (dimension: Dimension): string => EXAMPLES[dimension];
