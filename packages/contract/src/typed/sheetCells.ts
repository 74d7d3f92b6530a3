import type { FieldProblem } from '../validate.js';
import { columnFor, headingOf, type CsvColumn } from './csvColumns.js';

/** Lines above the headings that a sheet may have: its title, its date, a blank or two. */
const MOST_TITLE_ROWS = 12;

/**
 * Which of a sheet's first rows holds the headings: the one with the most that are known, the first of several. Titles above it are none.
 * @example headingRow([['Price list 2026'], ['name', 'N %', 'price']]) // 1
 */
export function headingRow(rows: readonly (readonly string[])[]): number {
  const known = rows.slice(0, MOST_TITLE_ROWS).map((cells) => cells.filter((c) => columnFor(c) !== undefined).length);
  const most = Math.max(0, ...known);
  return most < 2 ? 0 : known.indexOf(most);
}

const MONEY = /^([€$£]|[A-Z]{3})?\s*([\d.,'’\s]*\d)\s*([€$£]|[A-Z]{3})?$/;
const OF_SIGN: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP' };
/** Several countries call their money a dollar. */
const isDollar = (currency: string): boolean => currency.endsWith('D');

/** A price with the currency that stands in its cell, by sign or by letters. @example priceCell('32,40 €', '') // { price: '32,40', currency: 'EUR' } */
export function priceCell(cell: string, currency: string): { readonly price: string; readonly currency: string } {
  const [, before, price, behind] = MONEY.exec(cell.trim()) ?? [];
  const sign = before ?? behind;
  if (price === undefined || sign === undefined) return { price: cell.trim(), currency };
  return { price: price.trim(), currency: OF_SIGN[sign] ?? (sign === '$' ? currency : sign) };
}

const MONTH = '(?:jan|feb|mar|apr|may|mai|jun|jul|aug|sep|oct|okt|nov|dec|dez)[a-z]*';
const DATES = [
  new RegExp(`^\\d{1,2}[-/. ]+${MONTH}(?:[-/. ]+\\d{2,4})?$`, 'i'),
  new RegExp(`^${MONTH}[-/. ]+\\d{1,4}$`, 'i'),
  /^\d{4}[-/.]\d{1,2}[-/.]\d{1,2}(?:[ T]\d{1,2}:\d{2}.*)?$/,
  /^\d{1,2}[-/.]\d{1,2}[-/.]\d{4}$/,
];

/** What a spreadsheet itself did to a cell, and how it is put right; nothing for a cell that is as it was typed. */
export function damage(column: CsvColumn | undefined, cell: string, currency: string): readonly FieldProblem[] {
  if (!column) return [];
  const text = cell.trim();
  const told = (message: string): readonly FieldProblem[] => [{ path: headingOf(column), message }];
  if (column.kind === 'field' && column.field === 'grade' && DATES.some((date) => date.test(text)))
    return told(
      `Read the date “${text}”: a spreadsheet makes one of a grade such as 5-3-4. Format the column as text, type the grade again, and save the file anew.`,
    );
  if (column.kind === 'row' && column.part === 'price' && text.includes('$') && !isDollar(currency))
    return told(`Read “${text}”: say which dollar it is, such as USD or AUD, as the currency of the file.`);
  if (/^#(?:REF|VALUE|N\/A|DIV\/0|NAME|NULL|NUM)[!?]?/.test(text) || /^#{3,}$/.test(text))
    return told(`Read “${text}”, which a spreadsheet shows where it has no value.`);
  return [];
}

/** Whether a row is a note below a table: one cell of many is filled. */
export const isNote = (columns: readonly (CsvColumn | undefined)[], cells: readonly string[]): boolean =>
  columns.filter(Boolean).length > 2 && cells.filter((cell) => cell.trim() !== '').length === 1;
