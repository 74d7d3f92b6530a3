/** Which comes first in 03/04/2026: the day or the month. */
export type SlashOrder = 'day' | 'month' | undefined;
const SLASHED = /^\s*(\d{1,2})[/-](\d{1,2})[/-](\d{4}|\d{2})(?!\d)/;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
/** How names of months begin in nine languages, without accents. */
const NAMED = [
  'jan|gen|ene|sty',
  'feb|fev|lut',
  'mar|mrz|maa|mrt',
  'apr|avr|abr|kwi',
  'may|mai|mag|mei|maj',
  'jun|giu|cze|juin',
  'jul|lug|lip|juil',
  'aug|aou|ago|sie',
  'sep|set|wrz',
  'oct|okt|ott|out|paz',
  'nov|lis',
  'dec|dez|dic|gru|des',
].map((begins) => new RegExp(`^(?:${begins})`));
const monthOf = (word: string): number =>
  NAMED.findIndex((begins) => begins.test(word.toLowerCase().normalize('NFD').replace(/\p{M}/gu, ''))) + 1;

/** Dates written by one hand are all alike: one that can only be read one way tells how the others are meant. Undefined when none does, or when they contradict. */
export function slashOrder(texts: readonly string[]): SlashOrder {
  const found = texts.map((text) => SLASHED.exec(text));
  const dayFirst = found.some((m) => Number(m?.[1]) > 12);
  const monthFirst = found.some((m) => Number(m?.[2]) > 12);
  return dayFirst === monthFirst ? undefined : dayFirst ? 'day' : 'month';
}

/** Days between readings of a logger that are told apart from months. */
const LONG_STEP = 20;
/** Dates that follow each other day by day under one reading, and month by month under the other, are days. @example orderBySteps(['3/4/2026', '4/4/2026', '5/4/2026']) // 'day' */
export function orderBySteps(texts: readonly string[]): SlashOrder {
  const steps = (order: SlashOrder): boolean => {
    const days = [...new Set(texts.flatMap((text) => readDate(text, order) ?? []))];
    const gaps = days.slice(1).map((day, i) => Math.abs(daysBetween(days[i] ?? day, day)));
    return gaps.length > 1 && gaps.every((gap) => gap < LONG_STEP);
  };
  const [day, month] = [steps('day'), steps('month')];
  return day === month ? undefined : day ? 'day' : 'month';
}

/** Seconds or milliseconds since 1970, as some loggers count. */
const SINCE_1970 = /^\s*(1\d{9}|1\d{12})\s*$/;

/**
 * An ISO date from the ways people and loggers write one. 03/04/2026 could be March or April and is not guessed.
 * @param order which comes first before a stroke, where other dates of the same hand tell
 * @example readDate('14.3.2026 06:00') // '2026-03-14'
 * @example readDate('14 March 2026') // '2026-03-14'
 * @example readDate('14 mai 2026') // '2026-05-14'
 */
export function readDate(text: string, order?: SlashOrder): string | undefined {
  const counted = SINCE_1970.exec(text)?.[1];
  if (counted) return new Date(Number(counted.padEnd(13, '0'))).toISOString().slice(0, 10);
  const iso = /^\s*(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?!\d)/.exec(text);
  if (iso) return dateOf(iso[1], iso[2], iso[3]);
  const dotted = /^\s*(\d{1,2})\.(\d{1,2})\.(\d{4}|\d{2})(?!\d)/.exec(text);
  if (dotted) return dateOf(dotted[3], dotted[2], dotted[1]);
  const slashed = SLASHED.exec(text);
  if (!slashed) return namedDate(text);
  const [first, second] = [Number(slashed[1]), Number(slashed[2])];
  if (first > 12 || (order === 'day' && second <= 12)) return dateOf(slashed[3], slashed[2], slashed[1]);
  return second > 12 || first === second || order === 'month' ? dateOf(slashed[3], slashed[1], slashed[2]) : undefined;
}

/** "14 March 2026", "14. Mar 2026", "March 14, 2026". */
function namedDate(text: string): string | undefined {
  const [, day, word] = /^\s*(\d{1,2})(?:st|nd|rd|th)?\.?[\s-]+(?:de\s)?(\p{L}{3,12})/iu.exec(text) ?? [];
  const [, word2, day2] = /^\s*(\p{L}{3,12})\.?\s+(\d{1,2})(?:st|nd|rd|th)?\b/iu.exec(text) ?? [];
  const year = /[\s,.-](\d{4})\s*$/.exec(text)?.[1];
  const month = monthOf(word ?? word2 ?? '');
  return month === 0 ? undefined : dateOf(year, String(month), day ?? day2);
}

function dateOf(year = '', month = '', day = ''): string | undefined {
  // 26 is 2026: nobody logged in 1926.
  const whole = year.length === 2 ? `20${year}` : year;
  const date = `${whole}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  const at = Date.parse(`${date}T00:00:00Z`);
  return Number.isFinite(at) && new Date(at).toISOString().startsWith(date) ? date : undefined;
}

export type ParsedDay = { readonly ok: true; readonly value: string } | { readonly ok: false; readonly reason: string };

/**
 * Reads a typed day. What could be two days is asked about.
 * @example parseDay('3/4/2026') // refused: 3 Apr 2026 or 4 Mar 2026?
 */
export function parseDay(input: string): ParsedDay {
  const value = readDate(input);
  if (value !== undefined) return { ok: true, value };
  const both = (['day', 'month'] as const).map((order) => readDate(input, order));
  const which =
    both[0] && both[1] ? `: ${printDay(both[0])} or ${printDay(both[1])}?` : ', expected a day such as 14 Mar 2026.';
  return { ok: false, reason: `Read "${input.trim().slice(0, 40)}"${which}` };
}

/**
 * A day as it is shown everywhere.
 * @param iso a date such as 2026-03-14
 * @example printDay('2026-03-14') // '14 Mar 2026'
 */
export function printDay(iso: string): string {
  const [year = '', month = '', day = ''] = iso.split('-');
  return `${Number(day)} ${MONTHS[Number(month) - 1] ?? month} ${year}`;
}

const DAY_MS = 86_400_000;
const dayNumber = (isoDate: string): number => Math.round(Date.parse(`${isoDate}T00:00:00Z`) / DAY_MS);

/** The day so many days after another. @example addDays('2026-02-27', 2) // '2026-03-01' */
export const addDays = (isoDate: string, days: number): string =>
  new Date((dayNumber(isoDate) + days) * DAY_MS).toISOString().slice(0, 10);

/** Days from one day to another; below zero when the second is earlier. @example daysBetween('2026-03-01', '2026-03-15') // 14 */
export const daysBetween = (from: string, to: string): number => dayNumber(to) - dayNumber(from);
