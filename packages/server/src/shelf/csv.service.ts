import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { setImmediate as breathe } from 'node:timers/promises';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable, type StreamableFile } from '@nestjs/common';
import {
  columnFor,
  CsvColumns,
  csvRow,
  headingOf,
  headingRow,
  MOST_CSV_BYTES,
  MOST_CSV_COLUMNS,
  productText,
  readCsvRow,
  toMovement,
  toProduct,
  type AmountTyped,
  type CsvColumn,
  type CsvProgress,
  type CsvReport,
  type ProductInput,
  type ProductText,
} from '@wheat-ledger/contract';
import { stockOnHand, typedNumber, type DecimalMark, type StockMovement } from '@wheat-ledger/core';
import Papa from 'papaparse';
import { ProblemException } from '../common/problems.js';
import { Gate } from '../common/gate.js';
import { Progress } from '../common/progress.service.js';
import { Operations } from '../records/operations.js';
import { snapshot } from '../common/snapshot.js';
import { textOf } from '../common/textUpload.js';
import { csvRows, unreadable } from './csvText.js';
import { MovementStore } from './movement.store.js';
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
/** The shelf out to CSV and in from it, row by row: no table is ever whole in memory. */
@Injectable()
export class CsvService {
  private readonly imports = new Gate('imports');

  constructor(
    private readonly em: EntityManager,
    private readonly products: ProductStore,
    private readonly movements: MovementStore,
    private readonly operations: Operations,
    private readonly progress: Progress,
  ) {}

  progressOf(job: string): Promise<CsvProgress | undefined> {
    return this.progress.of(job);
  }

  /** The shelf as it stands at one moment. */
  file(): Promise<StreamableFile> {
    return snapshot(this.em, () => this.export(), { type: 'text/csv; charset=utf-8', name: 'shelf.csv' });
  }

  /** Every bag as a row, after a first run that finds the columns they need together. */
  private async *export(): AsyncGenerator<string> {
    const gathered = new CsvColumns();
    for await (const text of this.texts()) gathered.add(text);
    const columns = gathered.list();
    const line = (cells: readonly string[]): string => `${Papa.unparse([[...cells]])}\r\n`;
    yield line(columns.map(headingOf));
    for await (const text of this.texts()) yield line(csvRow(text, columns));
  }

  /** Every bag as typed text, with what is on hand of it. */
  private async *texts(): AsyncGenerator<ProductText> {
    const movements = await this.movementsByProduct();
    let after: string | undefined;
    do {
      const page = await this.products.list({ after, limit: PAGE });
      for (const record of page.items) {
        const stock = stockOnHand(toProduct(record, record.id), movements.get(record.id) ?? []);
        const onHand =
          stock.kind === 'figure' ? `${typedNumber(stock.figure.value.mid)} ${stock.figure.unit.text}` : '';
        yield { ...productText(record), stock: onHand };
      }
      after = page.next ?? undefined;
    } while (after);
  }

  private async movementsByProduct(): Promise<ReadonlyMap<string, readonly StockMovement[]>> {
    const found = new Map<string, StockMovement[]>();
    let after: string | undefined;
    do {
      const page = await this.movements.list({ after, limit: PAGE });
      for (const record of page.items)
        found.set(record.productId, [...(found.get(record.productId) ?? []), toMovement(record)]);
      after = page.next ?? undefined;
    } while (after);
    return found;
  }

  /** Bags of a file, each with what is on hand of it as a count. */
  private async write(rows: readonly { readonly value: ProductInput; readonly stock?: AmountTyped }[]): Promise<void> {
    const made = rows.map(({ value: input, stock }) => ({ id: randomUUID(), input, stock }));
    await this.products.createMany(made);
    const on = new Date().toISOString().slice(0, 10);
    await this.movements.createMany(
      made.flatMap(({ id, stock }) =>
        stock && stock.amount > 0
          ? [{ input: { productId: id, ...stock, reason: 'counted' as const, on, lot: '', note: '' } }]
          : [],
      ),
    );
  }

  /**
   * Reads a file. Every row is tried; what fits is written, all of it in one transaction, only when told to.
   * @throws ProblemException 413, 415 or 422 when it is no CSV file of bags at all, 499 when it was stopped
   */
  async import(upload: CsvUpload): Promise<CsvReport> {
    try {
      // The whole body first: a slow sender must not hold a transaction open.
      const text = await this.textOfUpload(upload);
      return await this.imports.run(() => this.read(text, upload));
    } catch (error) {
      throw upload.signal.aborted ? new ProblemException('stopped', STOPPED, 'Stopped. Nothing was written.') : error;
    } finally {
      if (upload.job) await this.progress.done(upload.job);
    }
  }

  private async textOfUpload({ body, job, ofBytes }: CsvUpload): Promise<string> {
    const pieces: string[] = [];
    let bytes = 0;
    for await (const piece of textOf(body, MOST_CSV_BYTES, (received) => (bytes = received))) {
      pieces.push(piece);
      if (job) await this.progress.tell(job, { rows: 0, bytes, ofBytes });
    }
    return pieces.join('');
  }

  private async read(text: string, upload: CsvUpload): Promise<CsvReport> {
    const operation = randomUUID();
    const report = { rows: 0, good: 0, partly: 0, bad: 0, problems: [] as { row: number; message: string }[] };
    const attempt = async (): Promise<void> => {
      for (const some of batches(text, upload.columns)) {
        upload.signal.throwIfAborted();
        await breathe();
        const read = some.map(({ row, cells, columns }) => ({
          row,
          read: readCsvRow(columns, cells, upload.currency, upload.decimal),
        }));
        const good = read.flatMap(({ read: r }) => (r.ok ? [r] : []));
        const told = read.flatMap(({ row, read: r }) => {
          const problems = r.ok ? r.leftOut : r.problems;
          const words = problems.map((p) => `${p.path}: ${p.message}`).join(' ');
          return problems.length === 0 ? [] : [{ row, message: r.ok ? `Without ${words}` : words }];
        });
        if (upload.write) await this.write(good);
        report.rows += some.length;
        report.good += good.length;
        report.partly += read.filter(({ read: r }) => r.ok && r.leftOut.length > 0).length;
        report.bad += some.length - good.length;
        report.problems.push(...told.slice(0, MOST_PROBLEMS - report.problems.length));
        if (upload.job)
          await this.progress.tell(upload.job, { rows: report.rows, bytes: text.length, ofBytes: upload.ofBytes });
      }
      upload.signal.throwIfAborted();
      if (report.rows === 0) throw unreadable('Expected a heading line and at least one row.');
    };
    if (upload.write) await this.operations.run(attempt, { id: operation, why: 'import of a CSV file' });
    else await attempt();
    const written = upload.write && report.good > 0;
    return { ...report, written, operation: written ? operation : null };
  }
}

interface MeantRow {
  readonly row: number;
  readonly cells: readonly string[];
  readonly columns: readonly (CsvColumn | undefined)[];
}

/** Rows above the headings that are looked through for them. */
const MOST_ABOVE = 12;

/** Rows with their meaning, some hundreds at a time; rows are numbered as a spreadsheet numbers them. */
function* batches(text: string, named: readonly string[] | undefined): Generator<readonly MeantRow[]> {
  let above: { readonly row: number; readonly cells: readonly string[] }[] = [];
  let columns: readonly (CsvColumn | undefined)[] | undefined;
  let batch: MeantRow[] = [];
  let row = 0;
  /** The heading among the first rows, and the rows below it. */
  const begin = (): void => {
    const at = headingRow(above.map((a) => a.cells));
    const heading = above[at];
    if (!heading) return;
    const meant = columnsOf(named ?? heading.cells, heading.cells.length);
    batch = above.slice(at + 1).map((a) => ({ ...a, columns: meant }));
    columns = meant;
    above = [];
  };
  for (const cells of csvRows(text)) {
    row += 1;
    if (isBlank(cells)) continue;
    if (columns) batch.push({ row, cells, columns });
    else above.push({ row, cells });
    if (!columns && above.length === MOST_ABOVE) begin();
    if (batch.length >= BATCH) {
      yield batch;
      batch = [];
    }
  }
  if (!columns) begin();
  if (batch.length > 0) yield batch;
}

function columnsOf(headings: readonly string[], width: number): readonly (CsvColumn | undefined)[] {
  if (width > MOST_CSV_COLUMNS) throw unreadable(`Read ${width} columns, expected at most ${MOST_CSV_COLUMNS}.`);
  const columns = headings.map((heading) => columnFor(heading));
  if (!columns.some((c) => c?.kind === 'field' && c.field === 'name'))
    throw unreadable('Read no column for the name of a bag, expected one. Say which column it is.');
  return columns;
}
