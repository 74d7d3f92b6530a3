import { randomUUID } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import { availableParallelism } from 'node:os';
import type { Readable } from 'node:stream';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { columnFor, headingRow, MOST_CSV_COLUMNS, type CataloguePreview } from '@wheat-ledger/contract';
import type { DecimalMark } from '@wheat-ledger/core';
import { Piscina } from 'piscina';
import { Gate } from '../common/gate.js';
import { ProblemException } from '../common/problems.js';
import { textOf } from '../common/textUpload.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { csvRows, delimiterOf, unreadable, wholeRows, type WholeRows } from '../shelf/csvText.js';
import { CatalogueRevisions } from './catalogueRevisions.js';
import type { RowsRead, RowsToRead } from './readRows.worker.js';
import { MOST_PROBLEMS, stageInOrder } from './staging.js';

/** A million products are some 200 MB. */
export const MOST_LIST_BYTES = 400_000_000;
/** Rows above the headings that are looked through for them. */
const MOST_ABOVE = 12;
/** Nobody is listening any more. */
const STOPPED = 499 as HttpStatus;

export interface ListUpload {
  readonly body: Readable;
  readonly list: string;
  readonly currency: string | undefined;
  readonly decimal: DecimalMark | undefined;
  /** Stops the reading; nothing is kept then. */
  readonly signal: AbortSignal;
}

/** What the first rows say of a list. */
interface Heading {
  readonly headings: readonly string[];
  readonly delimiter: string;
  /** Rows up to the headings, these included. */
  readonly skip: number;
}
/** @throws ProblemException 422 where no column names a product */
function headingOf(text: string): Heading {
  const delimiter = delimiterOf(text);
  const first: string[][] = [];
  for (const cells of csvRows(text, delimiter)) {
    first.push(cells);
    if (first.length === MOST_ABOVE) break;
  }
  const filled = first.map((cells, at) => ({ cells, at })).filter(({ cells }) => cells.some((c) => c.trim() !== ''));
  const heading = filled[headingRow(filled.map((f) => f.cells))];
  if (!heading) throw unreadable('Expected a heading line and at least one row.');
  if (heading.cells.length > MOST_CSV_COLUMNS)
    throw unreadable(`Read ${heading.cells.length} columns, expected at most ${MOST_CSV_COLUMNS}.`);
  const named = heading.cells.map((h) => columnFor(h)).some((c) => c?.kind === 'field' && c.field === 'name');
  if (!named) throw unreadable('Read no column for the name of a product, expected one.');
  return { headings: heading.cells, delimiter, skip: heading.at + 1 };
}

/** The thread's file: built beside this one. Tests run from the sources and use what is built of them. */
const WORKER = fileURLToPath(new URL('./readRows.worker.js', import.meta.url)).replace('/server/src/', '/server/dist/');

/** Sellers' lists in: read in threads by the shelf's own reader, copied into a staging table, compared there, and taken over or left. */
@Injectable()
export class CatalogueImports implements OnModuleDestroy {
  private readonly gate = new Gate('lists', 1);
  private readonly threads = new Piscina({
    filename: WORKER,
    minThreads: 0,
    maxThreads: availableParallelism(),
    idleTimeout: 5000,
    resourceLimits: { maxOldGenerationSizeMb: 64, maxYoungGenerationSizeMb: 16 },
  });

  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
    private readonly revisions: CatalogueRevisions,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await this.threads.destroy();
  }

  /**
   * Reads a list and says what it would change; nothing of the catalogue changes yet.
   * @throws ProblemException 413, 415 or 422 when it is no list at all, 499 when it was stopped
   */
  read(upload: ListUpload): Promise<CataloguePreview> {
    return this.staged(upload.list, upload.signal, async (importId) => {
      const read = await this.stage(upload, importId);
      if (read.rows === 0) throw unreadable('Expected a heading line and at least one row.');
      // Without a count of it the database takes a new import for a handful of rows.
      await this.em.execute('analyze catalogue_staging');
      const doubled = await this.revisions.dropDoubles(importId);
      return { rows: read.rows, good: read.good - doubled.length, problems: [...read.problems, ...doubled] };
    });
  }

  /**
   * Says what would change in a list once some work has put its rows into the staging table; where that fails nothing of it is left.
   * @throws ProblemException 429 when too many wait, 499 when it was stopped, and what the work throws
   */
  async staged(
    list: string,
    signal: AbortSignal,
    work: (importId: string) => Promise<Omit<RowsRead, 'copy'>>,
  ): Promise<CataloguePreview> {
    const importId = randomUUID();
    try {
      return await this.gate.run(async () => {
        await this.revisions.forgetOld();
        const { rows, good, problems } = await work(importId);
        const differences = await this.revisions.differences(importId, list);
        return { importId, rows, good, problems: problems.slice(0, MOST_PROBLEMS), differences };
      });
    } catch (error) {
      await this.revisions.forget(importId);
      throw signal.aborted ? new ProblemException('stopped', STOPPED, 'Stopped. Nothing was kept.') : error;
    }
  }

  /** Runs a function of the threads' file; what is sent and comes back is up to it. */
  inThread(name: 'default' | 'readPrices', task: object, signal: AbortSignal): Promise<RowsRead> {
    signal.throwIfAborted();
    return this.threads.run(task, { signal, name }) as Promise<RowsRead>;
  }

  /** Sends the rows through the threads into the staging table, as they come; no more of it is in memory than the threads work at. */
  private stage({ body, currency, decimal, signal }: ListUpload, importId: string): Promise<Omit<RowsRead, 'copy'>> {
    const workspace = this.scope.id;
    let heading: Heading | undefined;
    let firstRow = 1;
    const toRead = ({ text, rows }: WholeRows): RowsToRead => {
      const first = heading === undefined;
      heading ??= headingOf(text);
      const { headings, delimiter, skip } = heading;
      const some: RowsToRead = {
        text: first ? text.replace(/^\ufeff/, '') : text,
        skip: first ? skip : 0,
        firstRow,
        ...{ headings, delimiter, currency, decimal, importId, workspace },
      };
      firstRow += rows;
      return some;
    };
    const pieces = wholeRows(textOf(body, MOST_LIST_BYTES));
    return stageInOrder(this.em, pieces, this.threads.options.maxThreads + 1, async (piece) =>
      this.inThread('default', toRead(piece), signal),
    );
  }
}
