import { HttpStatus } from '@nestjs/common';
import Papa from 'papaparse';
import { ProblemException } from '../common/problems.js';

export const unreadable = (detail: string): ProblemException =>
  new ProblemException('unreadable-file', HttpStatus.UNPROCESSABLE_ENTITY, detail);

/** Longest row that is read; quotes that never close would make one row of a whole file. */
export const MOST_ROW_LENGTH = 100_000;
const SLICE = 256_000;

/**
 * Cuts CSV text into slices that end between rows, with every line end outside quotes turned into a line feed: files that were put together
 * have several kinds.
 * @throws ProblemException 422 when a row is longer than any bag's
 */
export function* rowSlices(text: string): Generator<string> {
  let slice = '';
  let rowLength = 0;
  let row = 1;
  const parts = text.split('"');
  for (const [i, part] of parts.entries()) {
    const quoted = i % 2 === 1;
    const lines = quoted ? [part] : part.split(/\r\n|\r|\n/);
    for (const [j, line] of lines.entries()) {
      if (j > 0) {
        slice += '\n';
        row += 1;
        rowLength = 0;
        if (slice.length >= SLICE) {
          yield slice;
          slice = '';
        }
      }
      slice += line;
      rowLength += line.length;
      if (rowLength > MOST_ROW_LENGTH)
        throw unreadable(
          `Row ${row} is longer than ${MOST_ROW_LENGTH / 1000} kB: a quotation mark may be open in it. Nothing after it was read.`,
        );
    }
    if (i < parts.length - 1) slice += '"';
  }
  if (slice !== '') yield slice;
}

/** What stands between cells, by the first rows. */
export const delimiterOf = (text: string): string => Papa.parse<string[]>(text, { preview: 5 }).meta.delimiter;

/** Where the last whole row of some text ends, which begins with a row, and how many rows end in it. */
function wholeOf(text: string): { readonly end: number; readonly rows: number } {
  let [end, rows, at] = [0, 0, 0];
  for (const [i, part] of text.split('"').entries()) {
    if (i % 2 === 0) {
      const last = part.lastIndexOf('\n');
      if (last >= 0) end = at + last + 1;
      rows += part.split('\n').length - 1;
    }
    at += part.length + 1;
  }
  return { end, rows };
}

/** Some whole rows of a file. */
export interface WholeRows {
  readonly text: string;
  readonly rows: number;
}
/**
 * Text that comes piece by piece, as slices of whole rows.
 * @throws ProblemException 422 when a row is longer than any bag's
 */
export async function* wholeRows(pieces: AsyncIterable<string>): AsyncGenerator<WholeRows> {
  let rest = '';
  for await (const piece of pieces) {
    rest += piece;
    if (rest.length < SLICE) continue;
    const { end, rows } = wholeOf(rest);
    if (rest.length - end > SLICE + MOST_ROW_LENGTH)
      throw unreadable(`A row is longer than ${MOST_ROW_LENGTH / 1000} kB: a quotation mark may be open in it.`);
    if (end === 0) continue;
    yield { text: rest.slice(0, end), rows };
    rest = rest.slice(end);
  }
  if (rest !== '') yield { text: rest, rows: wholeOf(`${rest}\n`).rows };
}

/** The rows of CSV text, slice by slice. @param known what stands between cells; the first row tells it otherwise */
export function* csvRows(text: string, known = ''): Generator<string[]> {
  let delimiter = known;
  for (const slice of rowSlices(text.replace(/^\ufeff/, ''))) {
    const { data, meta } = Papa.parse<string[]>(slice.replace(/\n$/, ''), { newline: '\n', delimiter });
    delimiter ||= meta.delimiter;
    yield* data;
  }
}
