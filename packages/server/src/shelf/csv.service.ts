import { randomUUID } from 'node:crypto';
import { addAbortSignal, pipeline, Readable } from 'node:stream';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import {
  columnFor,
  CsvColumns,
  csvRow,
  headingOf,
  MOST_CSV_BYTES,
  MOST_CSV_COLUMNS,
  productText,
  readCsvRow,
  type CsvColumn,
  type CsvProgress,
  type CsvReport,
  type ProductInput,
} from '@wheat-ledger/contract';
import type { DecimalMark } from '@wheat-ledger/core';
import Papa from 'papaparse';
import { ProblemException } from '../common/problems.js';
import { textOf } from '../common/textUpload.js';
import { ProductStore } from './product.store.js';

/** Nobody is listening any more. */
const STOPPED = 499 as HttpStatus;
const PAGE = 500;
const BATCH = 250;
/** More rows with problems than this help nobody. */
const MOST_PROBLEMS = 200;

export interface CsvUpload {
  readonly body: Readable;
  readonly ofBytes: number | undefined;
  /** A meaning for each column as one of our own headings; '' leaves it out. Without it the file's headings speak for themselves. */
  readonly columns: readonly string[] | undefined;
  readonly write: boolean;
  /** That of prices whose row names none; such prices are refused without it. */
  readonly currency: string | undefined;
  /** The decimal mark of the file's numbers; what could be two numbers is refused without it. */
  readonly decimal: DecimalMark | undefined;
  /** Name under which others may ask how far it is. */
  readonly job: string | undefined;
  /** Stops the reading; nothing is written then. */
  readonly signal: AbortSignal;
}

const isBlank = (cells: readonly string[]): boolean => cells.every((c) => c.trim() === '');
/** The rows of CSV text as it comes in; what goes wrong on the way is thrown where the rows are read. */
function rowsOf(text: AsyncIterable<string>, signal: AbortSignal): AsyncIterable<string[]> {
  const parser = Papa.parse(Papa.NODE_STREAM_INPUT, {});
  pipeline(addAbortSignal(signal, Readable.from(text)), parser, () => undefined);
  return parser as AsyncIterable<string[]>;
}

const unreadable = (detail: string): ProblemException =>
  new ProblemException('unreadable-file', HttpStatus.UNPROCESSABLE_ENTITY, detail);

/** The shelf out to CSV and in from it, row by row: no file and no table is ever whole in memory. */
@Injectable()
export class CsvService {
  private readonly running = new Map<string, CsvProgress>();

  constructor(
    private readonly em: EntityManager,
    private readonly products: ProductStore,
  ) {}

  progress(job: string): CsvProgress | undefined {
    return this.running.get(job);
  }

  /** Every bag as a row, after a first run that finds the columns they need together. */
  async *export(): AsyncGenerator<string> {
    const gathered = new CsvColumns();
    for await (const product of this.all()) gathered.add(productText(product));
    const columns = gathered.list();
    const line = (cells: readonly string[]): string => `${Papa.unparse([[...cells]])}\r\n`;
    yield line(columns.map(headingOf));
    for await (const product of this.all()) yield line(csvRow(productText(product), columns));
  }

  private async *all(): AsyncGenerator<ProductInput> {
    let after: string | undefined;
    do {
      const page = await this.products.list({ after, limit: PAGE });
      yield* page.items;
      after = page.next ?? undefined;
    } while (after);
  }

  /**
   * Reads a file. Every row is tried; what fits is written, all of it in one transaction, only when told to.
   * @throws ProblemException 413, 415 or 422 when it is no CSV file of bags at all, 499 when it was stopped
   */
  async import(upload: CsvUpload): Promise<CsvReport> {
    const batch = randomUUID();
    const report = { rows: 0, good: 0, bad: 0, problems: [] as { row: number; message: string }[] };
    const attempt = async (): Promise<void> => {
      for await (const some of this.batches(upload)) {
        upload.signal.throwIfAborted();
        const read = some.map(({ row, cells, columns }) => ({
          row,
          read: readCsvRow(columns, cells, upload.currency, upload.decimal),
        }));
        const good = read.flatMap(({ read: r }) => (r.ok ? [{ input: r.value }] : []));
        const bad = read.flatMap(({ row, read: r }) =>
          r.ok ? [] : [{ row, message: r.problems.map((p) => `${p.path}: ${p.message}`).join(' ') }],
        );
        if (upload.write) await this.products.createMany(good, batch);
        report.rows += some.length;
        report.good += good.length;
        report.bad += bad.length;
        report.problems.push(...bad.slice(0, MOST_PROBLEMS - report.problems.length));
        if (upload.job)
          this.running.set(upload.job, {
            ...(this.running.get(upload.job) ?? { bytes: 0, ofBytes: upload.ofBytes }),
            rows: report.rows,
          });
      }
      upload.signal.throwIfAborted();
      if (report.rows === 0) throw unreadable('Expected a heading line and at least one row.');
    };
    try {
      if (upload.write) await this.em.transactional(attempt);
      else await attempt();
    } catch (error) {
      throw upload.signal.aborted ? new ProblemException('stopped', STOPPED, 'Stopped. Nothing was written.') : error;
    } finally {
      if (upload.job) this.running.delete(upload.job);
    }
    const written = upload.write && report.good > 0;
    return { ...report, written, batch: written ? batch : null };
  }

  /** Rows with their meaning, some hundreds at a time; rows are numbered as a spreadsheet numbers them. */
  private async *batches({
    body,
    columns: named,
    job,
    ofBytes,
    signal,
  }: CsvUpload): AsyncGenerator<{ row: number; cells: string[]; columns: readonly (CsvColumn | undefined)[] }[]> {
    const onBytes = (bytes: number): void => {
      if (job) this.running.set(job, { rows: this.running.get(job)?.rows ?? 0, bytes, ofBytes });
    };
    let batch: { row: number; cells: string[]; columns: readonly (CsvColumn | undefined)[] }[] = [];
    let columns: readonly (CsvColumn | undefined)[] | undefined;
    let row = 0;
    for await (const cells of rowsOf(textOf(body, MOST_CSV_BYTES, onBytes), signal)) {
      row += 1;
      if (isBlank(cells)) continue;
      if (!columns) {
        if (cells.length > MOST_CSV_COLUMNS)
          throw unreadable(`Read ${cells.length} columns, expected at most ${MOST_CSV_COLUMNS}.`);
        columns = (named ?? cells).map((heading) => columnFor(heading));
        if (!columns.some((c) => c?.kind === 'field' && c.field === 'name'))
          throw unreadable('Read no column for the name of a bag, expected one. Say which column it is.');
        continue;
      }
      batch.push({ row, cells, columns });
      if (batch.length === BATCH) {
        yield batch;
        batch = [];
      }
    }
    if (batch.length > 0) yield batch;
  }
}
