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

/** The rows of CSV text, slice by slice; the first row tells what stands between cells. */
export function* csvRows(text: string): Generator<string[]> {
  let delimiter = '';
  for (const slice of rowSlices(text.replace(/^\ufeff/, ''))) {
    const { data, meta } = Papa.parse<string[]>(slice.replace(/\n$/, ''), { newline: '\n', delimiter });
    delimiter ||= meta.delimiter;
    yield* data;
  }
}
