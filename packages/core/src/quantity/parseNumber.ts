const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** The decimal mark a person writes: 1.5 or 1,5. */
export type DecimalMark = 'point' | 'comma';

/** What a typed number was read as. `digits` is how many significant figures were typed; `readings` are the two things it could mean. */
export type ParsedNumber =
  | { readonly ok: true; readonly value: number; readonly digits: number }
  | { readonly ok: false; readonly reason: string; readonly readings?: readonly [number, number] };

const refuse = (text: string): ParsedNumber => ({
  ok: false,
  reason: `Read "${text.slice(0, 40)}", expected a number such as 12, 1250, 0.5, 1/2 or 1 1/2.`,
});

const TWO_WAYS = /^[1-9]\d{0,2}([.,])\d{3}$/;

/**
 * The two numbers a text could mean, a factor of a thousand apart: with the mark as a decimal mark, and as one between thousands.
 * @example twoReadings('2,500') // [2.5, 2500]
 */
export const twoReadings = (text: string): readonly [number, number] | undefined =>
  TWO_WAYS.test(text) ? [Number(text.replace(',', '.')), Number(text.replace(/[.,]/, ''))] : undefined;

/** A number as text that can be read one way only, nothing for none. @example typedNumber(1.125) // '1.1250' */
export const typedNumber = (value: number | undefined): string => {
  const text = value === undefined ? '' : String(value);
  return twoReadings(text.replace('-', '')) ? `${text}0` : text;
};

const GROUPED = /^\d{1,3}(?:([,. '\u00a0\u202f’])\d{3})(?:\1\d{3})*$/;

/** Removes grouping marks and settles which of point and comma is the decimal mark. */
function normalise(text: string, mark: DecimalMark | undefined): string | undefined {
  const lastComma = text.lastIndexOf(',');
  const lastPoint = text.lastIndexOf('.');
  if (lastComma >= 0 && lastPoint >= 0) {
    const decimal = lastComma > lastPoint ? ',' : '.';
    const [whole, fraction, ...more] = text.split(decimal);
    if (whole === undefined || fraction === undefined || more.length > 0 || !GROUPED.test(whole)) return undefined;
    return `${whole.replace(/\D/g, '')}.${fraction}`;
  }
  const two = twoReadings(text);
  if (two && mark) return String(lastComma >= 0 === (mark === 'comma') ? two[0] : two[1]);
  if (lastComma >= 0 || /[ '\u00a0\u202f’]/.test(text)) {
    // Marks that come twice, and spaces, only group thousands; 0,250 is a quarter.
    if (GROUPED.test(text) && !/^0/.test(text)) return text.replace(/\D/g, '');
    const decimalComma = /^(\d*),(\d+)$/.exec(text);
    return decimalComma ? `${decimalComma[1]}.${decimalComma[2]}` : undefined;
  }
  // Several points can only group thousands: 1.250.000.
  return text.indexOf('.') !== lastPoint && GROUPED.test(text) ? text.replace(/\D/g, '') : text;
}

const significantDigits = (plain: string): number => {
  const mantissa = plain.replace(/e.*$/i, '');
  const digits = mantissa.replace('.', '').replace(/^0+/, '');
  return Math.max(1, digits.length);
};

/**
 * Reads a number the way people write them: `1 250`, `1.250,5`, `1/2`, `1 1/2`, `1-1/2`, `½`, `.5`, `12e-3`.
 * One mark before exactly three digits, as in `2,500`, is two numbers a factor of a thousand apart, and is asked about unless the person's
 * decimal mark is known.
 *
 * @param mark the decimal mark the person writes, once it is known
 * @example parseNumber('1.250,5') // { ok: true, value: 1250.5, digits: 5 }
 */
export function parseNumber(input: string, mark?: DecimalMark): ParsedNumber {
  const text = input
    .trim()
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c] ?? ''}`)
    .replace(/[−–]/g, '-')
    .trim();
  if (text === '' || text.length > 40) return refuse(input);
  const sign = text.startsWith('-') ? -1 : 1;
  const unsigned = text.replace(/^[+-]\s*/, '');

  const mixed = /^(?:(\d+)(?:\s+|-))?(\d+)\s*\/\s*(\d+)$/.exec(unsigned);
  if (mixed) {
    const [, whole = '0', top = '0', bottom = '1'] = mixed;
    if (Number(bottom) === 0 || (mixed[1] !== undefined && Number(top) >= Number(bottom))) return refuse(input);
    return { ok: true, value: sign * (Number(whole) + Number(top) / Number(bottom)), digits: 3 };
  }

  const readings = mark ? undefined : twoReadings(unsigned);
  if (readings)
    return {
      ok: false,
      reason: `"${unsigned}" could be ${readings[1]} or ${readings[0]}: say which, or write it plainly.`,
      readings: [sign * readings[0], sign * readings[1]],
    };
  const plain = normalise(unsigned, mark);
  if (plain === undefined || !/^(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i.test(plain)) return refuse(input);
  const value = Number(plain);
  if (!Number.isFinite(value)) return refuse(input);
  return { ok: true, value: value === 0 ? 0 : sign * value, digits: significantDigits(plain) };
}

/** The decimal mark that the numbers of a text show, when they show one and only one: 62.4 a point, 6,5 a comma. */
export function decimalMarkIn(text: string): DecimalMark | undefined {
  const shows = (decimal: string, other: string): boolean =>
    new RegExp(
      `(?<![\\d.,])(?:\\d+${decimal}(?:\\d{1,2}|\\d{4,})|0${decimal}\\d+|\\d{1,3}(?:${other}\\d{3})+${decimal}\\d+)(?![\\d.,]\\d|\\d)`,
    ).test(text);
  const point = shows('\\.', ',');
  const comma = shows(',', '\\.');
  return point === comma ? undefined : point ? 'point' : 'comma';
}

const IN_TEXT = /(?<![\d.,])[1-9]\d{0,2}[.,]\d{3}(?![\d]|[.,]\d)/g;

/**
 * A text with its numbers that could be read two ways written as the one they are by the person's decimal mark.
 * @example writtenPlainly('2,500 kg', 'point') // '2500 kg'
 */
export const writtenPlainly = (text: string, mark: DecimalMark): string =>
  text.replace(IN_TEXT, (number) => {
    const read = parseNumber(number, mark);
    return read.ok ? typedNumber(read.value) : number;
  });
