import type { CompoundBasis, Nutrient } from '../nutrient/index.js';
import { rangeValue, type DeclaredValue } from '../quantity/index.js';
import { isSign, tells, type ContentToken, type NumberToken, type Token } from './token.js';
import type { FigureUnit } from './units.js';

/** What bounds a value: a guarantee, a ceiling, less than a limit, or more than can be told. */
export type Bound = 'least' | 'most' | 'below' | 'above';

/** A value found in a line, and where. */
export interface FoundValue {
  readonly value: DeclaredValue | undefined;
  /** Other numbers it could be, where one mark or one space has two meanings. */
  readonly others: readonly DeclaredValue[];
  /** A space parts its thousands, so that it may be two numbers. */
  readonly spaced: boolean;
  /** "not detected", "trace": a value is told, and it is no number. */
  readonly none: boolean;
  readonly unit: FigureUnit | undefined;
  /** Times the number it is in the unit; already counted in `value`. */
  readonly factor: number;
  /** "mg P/kg": what the unit is of. */
  readonly of: Nutrient | CompoundBasis | undefined;
  /** A unit that no figure is told in, such as CFU/g or months: no other may be supposed. */
  readonly foreign: string | undefined;
  readonly bound: Bound | undefined;
  /** Tokens it takes, the first and the last. */
  readonly from: number;
  readonly to: number;
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

/** What behind a number is a unit, though none of an analysis. */
const FOREIGN =
  /\s?(?!Mg\b)(?:[a-zµμ]+\s*\/\s*[a-z]|(?:[µμ]g|ng|ppt|iu|cfu|ufc|kbe|meq|[mc]mol|oz|lbs?|kg|g|mg|ml|l|[mcµμ]?m|inch(?:es)?|°|°?[cf]\b|mesh|days?|weeks?|months?|years?|hours?|h|tage?|wochen?|monate?|jahre?|jours?|mois|ans|dias|meses|anni|mesi|giorni|dagen|weken|maanden|jaar|dni|lat|dagar|manader|kcal|mj|kj|bar|kpa|kv)(?![\p{L}\d])|°|€|£|\$)/iuy;

function foreignAt(line: string, at: number): string | undefined {
  FOREIGN.lastIndex = at;
  return FOREIGN.exec(line)?.[0].trim();
}

const round = (value: number): number => Number(value.toPrecision(9));

function valueOf(low: number, high: number | undefined, bound: Bound | undefined): DeclaredValue | undefined {
  if (high !== undefined) return high < low ? undefined : rangeValue(low, high);
  if (bound === 'below') return { kind: 'below', limit: low };
  if (bound === 'most') return rangeValue(0, low);
  return { kind: 'number', value: low };
}

/** The bound that stands before a number, or behind it and its unit. */
function boundAround(tokens: readonly Token[], from: number, to: number): { bound?: Bound; from: number; to: number } {
  let first = from;
  const before = (): Token | undefined => tokens[first - 1];
  while (isSign(before(), '(:=~≈.')) first--;
  const sign = before();
  if (isSign(sign, '<≤')) return { bound: isSign(sign, '<') ? 'below' : 'most', from: first - 1, to };
  if (isSign(sign, '=') && isSign(tokens[first - 2], '<>')) first--;
  if (isSign(before(), '>≥')) return { bound: isSign(before(), '≥') ? 'least' : 'above', from: first - 1, to };
  if (tells(before(), 'least')) return { bound: 'least', from: first - 1, to };
  if (tells(before(), 'most')) return { bound: 'most', from: first - 1, to };
  if (tells(before(), 'below')) return { bound: 'below', from: first - 1, to };
  const behind = isSign(tokens[to + 1], '(') ? to + 2 : to + 1;
  // "11.9 %  max 12.5" tells the bound of the second, "0.8 % min 1.2 % max" of each before it.
  if (tokens[behind + 1]?.kind === 'number' && !tells(tokens.at(-1), 'least', 'most')) return { from, to };
  if (tells(tokens[behind], 'least')) return { bound: 'least', from, to: behind };
  if (tells(tokens[behind], 'most')) return { bound: 'most', from, to: behind };
  return { from, to };
}

/** "between 6.5 and 7" */
const BETWEEN = /^(?:between|zwischen|entre|tra|fra|tussen|mi[eę]dzy|mellan|mellem|mellom)$/i;
export const AND = /^(?:and|und|et|y|e|en|i|och|og)$/i;
const DASHES = '-–—−';

/** "4.12 ±0.21 %": the last token of how far off a number may be, which stands between it and its unit. */
function errorBehind(tokens: readonly Token[], last: number): number {
  const [sign, next, third] = tokens.slice(last + 1, last + 4);
  if (isSign(sign, '±') && next?.kind === 'number') return last + 2;
  const slashed = isSign(sign, '+') && (isSign(next, '-−') || isSign(next, '/'));
  const at = isSign(next, '/') && isSign(third, '-−') ? last + 4 : last + 3;
  return slashed && tokens[at]?.kind === 'number' ? at : last;
}

/** The second number of a range that begins with a token. */
function rangeEnd(tokens: readonly Token[], at: number, line: string): NumberToken | undefined {
  const first = tokens[at];
  // "3 % - 5 %" has its unit twice.
  const dash = tokens[at + 1]?.kind === 'content' ? at + 2 : at + 1;
  const between = tokens[dash];
  const next = tokens[dash + 1];
  if (first?.kind !== 'number' || next?.kind !== 'number') return undefined;
  const spans = BETWEEN.test(tokens[at - 1]?.text ?? '') && AND.test(between?.text ?? '');
  const joins = isSign(between, DASHES) || tells(between, 'to') || spans;
  const goesOn = isSign(tokens[dash + 2], DASHES) && tokens[dash + 3]?.kind === 'number';
  return joins && !goesOn && !isCut(first, between, next) && line[first.start - 1] !== '-' ? next : undefined;
}
/** "12 -3" is a number and a negative one; "62 - 0.1" stands in a table with its gaps lost, an empty cell between. */
function isCut(first: NumberToken, between: Token | undefined, next: NumberToken): boolean {
  if (!between || between.start <= first.end || !isSign(between, DASHES)) return false;
  const [low, high] = [first.readings[0], next.readings[0]];
  const falls = low !== undefined && high !== undefined && high < low;
  return falls || (isSign(between, '-−') && between.end === next.start);
}

/** Whether a number carries a minus of its own. */
const isNegative = (tokens: readonly Token[], at: number): boolean => {
  const [sign, before] = [tokens[at - 1], tokens[at - 2]];
  const touches = sign !== undefined && isSign(sign, '-−') && sign.end === tokens[at]?.start;
  return touches && (before === undefined || before.end < (sign?.start ?? 0) || isSign(before, ':=('));
};

/** The values of a line, with their bounds and units where they are told. Digits inside a word or a formula are none. */
export function valuesIn(tokens: readonly Token[], line: string): readonly FoundValue[] {
  const found: FoundValue[] = [];
  const bound = boundOfAll(tokens);
  const ahead = unitsAhead(tokens);
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i];
    if (tells(token, 'none', 'trace') || isBelowLimit(tokens, i)) {
      found.push(noneAt(tokens, i));
      continue;
    }
    if (token?.kind !== 'number' || isNegative(tokens, i) || isLabel(tokens, i)) continue;
    const value = brokenAt(tokens, i, line) ?? valueAt(tokens, i, line, ahead);
    if (!value) continue;
    found.push(bound && value.bound === undefined ? bounded(value, bound) : value);
    i = value.to;
  }
  return found;
}

/** "Maximum: Cd 1 mg/kg; Pb 10 mg/kg": a bound before a colon at the beginning of a line holds for all its values. */
const boundOfAll = (tokens: readonly Token[]): Bound | undefined => {
  const number = tokens.findIndex((t) => t.kind === 'number');
  const colon = tokens.slice(0, Math.max(number, 0)).findIndex((t) => isSign(t, ':'));
  if (colon > 3 && !tells(tokens[colon - 1], 'most', 'least')) return undefined;
  const [word, other] = tokens.slice(0, Math.max(colon, 0)).filter((t) => tells(t, 'most', 'least'));
  if (!word || other || tokens[colon + 1]?.kind !== 'word') return undefined;
  return tells(word, 'most') ? 'most' : 'least';
};
const bounded = (value: FoundValue, bound: Bound): FoundValue =>
  value.value?.kind === 'number' && bound === 'most'
    ? { ...value, bound, value: rangeValue(0, value.value.value) }
    : { ...value, bound };

/** "Sample 2", "Bed 4", "2026 result": a number that only tells which. */
function isLabel(tokens: readonly Token[], at: number): boolean {
  const [before, number, behind] = [tokens[at - 1], tokens[at], tokens[at + 1]];
  if (behind?.kind === 'content' || !/^\d+$/.test(number?.text ?? '')) return false;
  const touches = (number?.start ?? 0) - (before?.end ?? 0) <= 1;
  const year = /^(?:19|20)\d\d$/.test(number?.text ?? '');
  return (
    (touches && tells(before, 'sample', 'reference')) || (year && [before, behind].some((t) => tells(t, ...OF_A_YEAR)))
  );
}
const OF_A_YEAR = ['role.found', 'role.before', 'role.wanted', 'date', 'section'] as const;

/** "% K 3.6 % Mg 17.2" has its units before: the line begins with one, and its last number has none. */
function unitsAhead(tokens: readonly Token[]): boolean {
  const last = tokens.map((t) => t.kind).lastIndexOf('number');
  return tokens[0]?.kind === 'content' && last > 0 && !tokens.slice(last).some((t) => t.kind === 'content');
}

/** "<LOQ": less than a limit that stands elsewhere. */
const isBelowLimit = (tokens: readonly Token[], at: number): boolean =>
  tells(tokens[at], 'role.limit') && isSign(tokens[at - 1], '<') && tokens[at + 1]?.kind !== 'number';

function noneAt(tokens: readonly Token[], at: number): FoundValue {
  const token = tokens[at] as Token;
  const from = isSign(tokens[at - 1], '<') ? at - 1 : at;
  const start = tokens[from]?.start ?? token.start;
  return {
    value: undefined,
    others: [],
    spaced: false,
    none: true,
    unit: undefined,
    factor: 1,
    of: undefined,
    foreign: undefined,
    bound: undefined,
    from,
    to: at,
    start,
    end: token.end,
    text: token.text,
  };
}

/** A share of the whole cannot run into thousands, so that its one mark is a decimal mark: 1,250 %. */
function smallReading({ text, readings }: NumberToken): readonly number[] {
  if (readings.length > 1) return [Math.min(...readings)];
  return /^\d{1,3}[.,]\d{3}$/.test(text) ? [Number(text.replace(',', '.'))] : readings;
}

/** "10 .5 %", "1 2.0 %", "0. 05 %": a number that a copy has broken in two. It is asked about. */
function brokenAt(tokens: readonly Token[], at: number, line: string): FoundValue | undefined {
  const [first, next] = [tokens[at], tokens[at + 1]];
  const point = isSign(next, '.,') ? at + 2 : at + 1;
  const second = tokens[point];
  const unit = tokens[point + 1];
  if (first?.kind !== 'number' || second?.kind !== 'number' || unit?.kind !== 'content') return undefined;
  const whole = line.slice(first.start, second.end);
  const text = whole.replace(/\s/g, '').replace(',', '.');
  const gaps = /^\d{1,2}\s?[.,]?\s?\d*[.,]?\d+$/.test(whole) && /\s/.test(whole) && !/\s{2}/.test(whole);
  if (!gaps || !/^\d+\.\d+$/.test(text)) return undefined;
  const value = round(Number(text) * unit.factor);
  return {
    value: { kind: 'number', value },
    others: [],
    spaced: true,
    none: false,
    unit: unit.unit,
    factor: unit.factor,
    of: unit.of,
    foreign: unit.unit ? undefined : unit.text,
    bound: undefined,
    from: at,
    to: point + 1,
    start: first.start,
    end: unit.end,
    text: line.slice(first.start, unit.end),
  };
}

/** The unit of a number or a range that ends with a token: what stands behind it, or behind a hyphen. */
function unitBehind(
  tokens: readonly Token[],
  last: number,
): { readonly unit: ContentToken; readonly at: number } | undefined {
  const at = isSign(tokens[last + 1], '-') ? last + 2 : last + 1;
  const unit = tokens[at];
  return unit?.kind === 'content' ? { unit, at } : undefined;
}

/** What the numbers of a value can mean in their unit. */
function meanings(
  token: NumberToken,
  second: NumberToken | undefined,
  content: ContentToken | undefined,
  bound: Bound | undefined,
): readonly DeclaredValue[] {
  const small = content?.unit === '%' || content?.unit === 'g/kg' || content?.unit === '% w/v';
  const readings = small ? smallReading(token) : token.readings;
  const [high, other] = second?.readings ?? [];
  if (second && (high === undefined || other !== undefined)) return [];
  const by = (n: number): number => round(n * (content?.factor ?? 1));
  return readings.flatMap((low) => valueOf(by(low), high === undefined ? undefined : by(high), bound) ?? []);
}

function valueAt(tokens: readonly Token[], at: number, line: string, ahead: boolean): FoundValue | undefined {
  const token = tokens[at] as NumberToken;
  const second = rangeEnd(tokens, at, line);
  const number = second ? tokens.indexOf(second) : at;
  const behind = ahead ? undefined : unitBehind(tokens, errorBehind(tokens, number));
  const last = behind?.at ?? errorBehind(tokens, number);
  const content = behind?.unit;
  const bounds = boundAround(tokens, at, last);
  const [value, ...others] = meanings(token, second, content, bounds.bound);
  if (!value) return undefined;
  const start = tokens[bounds.from]?.start ?? token.start;
  const end = tokens[last]?.end ?? token.end;
  const foreign = content ? (content.unit ? undefined : content.text) : foreignAt(line, end);
  return {
    value,
    others,
    spaced: token.spaced,
    none: false,
    unit: content?.unit,
    factor: content?.factor ?? 1,
    of: content?.of,
    foreign,
    bound: bounds.bound,
    from: bounds.from,
    to: Math.max(last, bounds.to),
    start,
    end,
    text: line.slice(start, end).trim(),
  };
}

/** What is said of a value whose mark, or whose space, has two meanings. */
export function twoNumbers({ text, spaced }: Pick<FoundValue, 'text' | 'spaced'>): string {
  const number = /\d[\d., ]*\d/.exec(text)?.[0] ?? text;
  const whole = number.replace(/ /g, '').replace(/^(\d{1,3}),?(\d{3})$/, '$1$2');
  return `“${number}” could be ${whole} or ${spaced ? 'two numbers' : number.replace(',', '.')}: write it plainly`;
}
