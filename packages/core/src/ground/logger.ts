import {
  addDays,
  daysBetween,
  decimalMarkIn,
  findUnit,
  orderBySteps,
  parseNumber,
  readDate,
  slashOrder,
  type DecimalMark,
} from '../quantity/index.js';
import { inOtherLanguage, loggerWord, mayRun } from '../reading/index.js';
import { LOGGED, LOGGED_LIMITS, type DailyLog, type Logged } from './climate.js';

/** Most days one log may hold: some forty years. */
export const MOST_LOGGED_DAYS = 15_000;

interface LoggerColumn {
  readonly heading: string;
  /** What it was taken to be; undefined when it means nothing here. */
  readonly means: Logged | 'date' | undefined;
  /** Times the value plus `offset` gives our unit. */
  readonly factor: number;
  readonly offset: number;
}
/** A logger's file read into days, with the columns that mean nothing here; or why it cannot be. */
export type LoggerReading =
  | {
      readonly kind: 'log';
      readonly log: DailyLog;
      readonly ignored: readonly string[];
      readonly days: number;
      readonly problems: readonly { readonly row: number; readonly message: string }[];
    }
  | { readonly kind: 'unreadable'; readonly reason: string };

function columnOf(heading: string): LoggerColumn {
  const plain = heading.toLowerCase().replace(/_/g, ' ').trim();
  const means = loggerWord(heading);
  const fahrenheit = (means === 'soilC' || means === 'airC') && /°\s*f\b|\bf\b|fahrenheit/.test(plain);
  const inches = means !== undefined && means.endsWith('Mm') && /\bin(ch(es)?)?\b/.test(plain);
  const centimetres = means !== undefined && means.endsWith('Mm') && /\bcm\b/.test(plain);
  return {
    heading,
    means,
    factor: fahrenheit ? 5 / 9 : inches ? (findUnit('in')?.factor ?? 0) * 1000 : centimetres ? 10 : 1,
    offset: fahrenheit ? -160 / 9 : 0,
  };
}

const isSum = (what: Logged): boolean => what.endsWith('Mm');

/** Loggers write their name and number above the headings: the headings are the first of some rows that name a date and something measured. */
const MOST_ABOVE = 30;
function headingRow(rows: readonly (readonly string[])[]): number {
  const at = rows.slice(0, MOST_ABOVE).findIndex((cells) => {
    const meanings = cells.map((cell) => columnOf(cell).means);
    return meanings.includes('date') && meanings.some((m) => m !== undefined && m !== 'date');
  });
  return Math.max(0, at);
}

/** The heading and the row it ends on: rows of words below it, such as units, belong to it. */
function headingOf(rows: readonly (readonly string[])[]): {
  readonly heading: readonly string[] | undefined;
  readonly headingAt: number;
} {
  const at = headingRow(rows);
  const words = rows.slice(at + 1, at + 4);
  const below = words.findIndex((cells) => cells.some((cell) => /\d/.test(cell)));
  const units = words.slice(0, below < 0 ? words.length : below);
  const heading = rows[at]?.map((cell, i) => [cell, ...units.map((cells) => cells[i] ?? '')].join(' ').trim());
  return { heading, headingAt: at + units.length };
}

/** Where roots take up most, and most nitrogen is set free. */
const TOP_CM = 10;
const depthOf = (heading: string): number | undefined => {
  const [, number, unit] = /(\d+(?:\.\d+)?)\s*(cm|in(?:ch(?:es)?)?)(?![a-z])/i.exec(heading) ?? [];
  return number === undefined ? undefined : Number(number) * (unit?.toLowerCase() === 'cm' ? 1 : 2.54);
};
/** Of soil temperatures at several depths the one nearest to 10 cm: a mean of two depths is the temperature of neither. */
function oneDepth(columns: readonly LoggerColumn[]): readonly LoggerColumn[] {
  const depths = columns.map((c) => (c.means === 'soilC' ? depthOf(c.heading) : undefined));
  const told = depths.flatMap((d) => d ?? []);
  if (new Set(told).size < 2) return columns;
  const nearest = told.reduce((best, d) => (Math.abs(d - TOP_CM) < Math.abs(best - TOP_CM) ? d : best));
  return columns.map((c, i) => (depths[i] === undefined || depths[i] === nearest ? c : { ...c, means: undefined }));
}

/** The column of dates: of several that say so, such as time and date, the first that holds dates. */
function dateColumn(columns: readonly LoggerColumn[], data: readonly (readonly string[])[]): number {
  const named = columns.flatMap((c, at) => (c.means === 'date' ? [at] : []));
  const holds = (at: number): boolean =>
    data.slice(0, 50).some((cells) => /\d[-./]\d{1,2}[-./]\d/.test(cells[at] ?? ''));
  return named.find(holds) ?? named[0] ?? -1;
}

/** Readings that a total must not fall in before it is taken to run on. */
const LEAST_RUN = 5;
/** Whether a column of water is a total that runs on: its heading allows it, and its readings never fall. */
function isRunning(
  { heading, means, at }: { readonly heading: string; readonly means: Logged; readonly at: number },
  data: readonly (readonly string[])[],
  mark: DecimalMark | undefined,
): boolean {
  if (!isSum(means) || !mayRun(heading)) return false;
  const values = data.flatMap((cells) => {
    const read = parseNumber((cells[at] ?? '').trim(), mark);
    return read.ok ? [read.value] : [];
  });
  const [first = 0, last = 0] = [values[0], values.at(-1)];
  // A counter that begins far above what it grew by has run before.
  const ran = values.length > 2 && first > last - first;
  return (ran || values.length >= LEAST_RUN) && values.every((v, i) => i === 0 || v >= (values[i - 1] ?? 0));
}

interface DatedRow {
  readonly cells: readonly string[];
  /** Of the file, from 1. */
  readonly row: number;
  readonly date: string | undefined;
}
/** The rows in the order of time: a file may begin with its newest reading. */
function inTime(rows: readonly DatedRow[]): readonly DatedRow[] {
  const dated = rows.flatMap(({ date }) => date ?? []);
  return (dated[0] ?? '') > (dated.at(-1) ?? '') ? [...rows].reverse() : rows;
}

/** What a total grew by since the reading before; the first only begins it. */
function increments(): (total: number) => number {
  let before: number | undefined;
  return (total) => {
    const grown = before === undefined ? 0 : total - before;
    before = total;
    return grown;
  };
}

/**
 * Reads a logger's rows, headings first, into days: temperatures are averaged over a day's readings, water is summed. Empty cells and cells
 * that are no number are left out and told; a day without a reading stays unmeasured, never zero.
 *
 * @param rows cells as a CSV reader gives them
 * @example readLogger([['date', 'soil °C'], ['2026-05-01 06:00', '9.5'], ['2026-05-01 18:00', '12.5']]) // one day, 11 °C
 */
export function readLogger(rows: readonly (readonly string[])[]): LoggerReading {
  const { heading, headingAt } = headingOf(rows);
  const data = rows.slice(headingAt + 1);
  if (!heading || data.length === 0)
    return { kind: 'unreadable', reason: 'Expected a heading line and at least one reading.' };
  const columns = oneDepth(heading.map(columnOf));
  const dateAt = dateColumn(columns, data);
  if (dateAt < 0)
    return {
      kind: 'unreadable',
      reason: `Read the headings ${heading.slice(0, 6).join(', ')}, expected one that says date.`,
    };
  const named = columns.flatMap((c, at) =>
    c.means !== undefined && c.means !== 'date' ? [{ ...c, at, means: c.means }] : [],
  );
  if (named.length === 0)
    return {
      kind: 'unreadable',
      reason: `Read the headings ${heading.slice(0, 6).join(', ')}, expected one such as soil °C, rain mm or ET mm.`,
    };

  const problems: { row: number; message: string }[] = [];
  const days = new Map<string, Partial<Record<Logged, number[]>>>();
  // A logger writes all its numbers alike: those that can be read one way only tell how the others are meant.
  const mark = decimalMarkIn(
    data
      .slice(0, MOST_LOGGED_DAYS)
      .map((cells) => named.map(({ at }) => cells[at] ?? '').join('\n'))
      .join('\n'),
  );
  const dated = data.map((cells) => cells[dateAt] ?? '');
  const order = slashOrder(dated) ?? orderBySteps(dated) ?? (inOtherLanguage(heading) ? 'day' : undefined);
  const inOrder = inTime(
    data.map((cells, i) => ({ cells, row: headingAt + i + 2, date: readDate(cells[dateAt] ?? '', order) })),
  );
  const cellsInOrder = inOrder.map(({ cells }) => cells);
  const measured = named.map((c) => ({ ...c, runs: isRunning(c, cellsInOrder, mark) ? increments() : undefined }));
  inOrder.forEach(({ cells, row, date }) => {
    if (cells.every((c) => c.trim() === '')) return;
    if (!date)
      return void problems.push({
        row,
        message: `Read “${(cells[dateAt] ?? '').slice(0, 30)}”, expected a date such as 2026-05-01.`,
      });
    const day = days.get(date) ?? {};
    for (const { at, means, factor, offset, runs } of measured) {
      const text = (cells[at] ?? '').trim();
      if (text === '') continue;
      const read = parseNumber(text, mark);
      if (!read.ok && read.readings) {
        problems.push({ row, message: `Under ${heading[at]?.slice(0, 30)}: ${read.reason}` });
        continue;
      }
      const told = read.ok ? read.value * factor + offset : undefined;
      const value = told !== undefined && runs ? runs(told) : told;
      const [least, most] = LOGGED_LIMITS[means];
      if (value === undefined || value < least || value > most)
        problems.push({
          row,
          message: `Read “${text.slice(0, 30)}” under ${heading[at]?.slice(0, 30)}, expected ${least} to ${most}.`,
        });
      else (day[means] ??= []).push(value);
    }
    days.set(date, day);
  });
  if (days.size === 0) return { kind: 'unreadable', reason: problems[0]?.message ?? 'Read no row with a date.' };

  const dates = [...days.keys()].sort();
  const from = dates[0] ?? '';
  const span = daysBetween(from, dates.at(-1) ?? from) + 1;
  if (span > MOST_LOGGED_DAYS)
    return {
      kind: 'unreadable',
      reason: `Read ${span} days from ${from} on, expected at most ${MOST_LOGGED_DAYS}. Split the file.`,
    };
  const at = Array.from({ length: span }, (_, i) => addDays(from, i));
  const dayValue = (date: string, what: Logged): number | null => {
    const values = days.get(date)?.[what];
    if (!values) return null;
    const total = values.reduce((s, v) => s + v, 0);
    return Number((isSum(what) ? total : total / values.length).toFixed(3));
  };
  const present = LOGGED.filter(
    (what) => measured.some((c) => c.means === what) && dates.some((d) => dayValue(d, what) !== null),
  );
  if (present.length === 0) return { kind: 'unreadable', reason: problems[0]?.message ?? 'Read no reading.' };
  const series = Object.fromEntries(present.map((what) => [what, at.map((date) => dayValue(date, what))]));
  return {
    kind: 'log',
    log: { from, series },
    ignored: columns.filter((c) => c.means === undefined).map((c) => c.heading),
    days: days.size,
    problems,
  };
}
