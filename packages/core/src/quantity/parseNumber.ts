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

/** What a typed number was read as. `digits` is how many significant figures were typed. */
export type ParsedNumber =
  | { readonly ok: true; readonly value: number; readonly digits: number }
  | { readonly ok: false; readonly reason: string };

const refuse = (text: string): ParsedNumber => ({
  ok: false,
  reason: `Read "${text.slice(0, 40)}", expected a number such as 12, 1,250, 0.5, 1/2 or 1 1/2.`,
});

const GROUPED = /^\d{1,3}(?:([,. '\u00a0\u202f’])\d{3})(?:\1\d{3})*$/;

/** Removes grouping marks and settles which of point and comma is the decimal mark. */
function normalise(text: string): string | undefined {
  const lastComma = text.lastIndexOf(',');
  const lastPoint = text.lastIndexOf('.');
  if (lastComma >= 0 && lastPoint >= 0) {
    const mark = lastComma > lastPoint ? ',' : '.';
    const [whole, fraction, ...more] = text.split(mark);
    if (whole === undefined || fraction === undefined || more.length > 0 || !GROUPED.test(whole)) return undefined;
    return `${whole.replace(/\D/g, '')}.${fraction}`;
  }
  if (lastComma >= 0 || /[ '\u00a0\u202f’]/.test(text)) {
    // A single comma before exactly three digits groups thousands, unless the whole part is zero: 0,250 is a quarter.
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
 * Reads a number the way people write them: `1,250`, `1.250,5`, `1/2`, `1 1/2`, `½`, `.5`, `12e-3`.
 * A lone comma before exactly three digits is a thousands mark; before any other count, a decimal mark.
 *
 * @example parseNumber('1.250,5') // { ok: true, value: 1250.5, digits: 5 }
 */
export function parseNumber(input: string): ParsedNumber {
  const text = input
    .trim()
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c] ?? ''}`)
    .replace(/[−–]/g, '-')
    .trim();
  if (text === '' || text.length > 40) return refuse(input);
  const sign = text.startsWith('-') ? -1 : 1;
  const unsigned = text.replace(/^[+-]\s*/, '');

  const mixed = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(unsigned);
  if (mixed) {
    const [, whole = '0', top = '0', bottom = '1'] = mixed;
    if (Number(bottom) === 0) return refuse(input);
    return { ok: true, value: sign * (Number(whole) + Number(top) / Number(bottom)), digits: 3 };
  }

  const plain = normalise(unsigned);
  if (plain === undefined || !/^(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i.test(plain)) return refuse(input);
  const value = Number(plain);
  if (!Number.isFinite(value)) return refuse(input);
  return { ok: true, value: value === 0 ? 0 : sign * value, digits: significantDigits(plain) };
}
