import type { Readable } from 'node:stream';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { CataloguePreview } from '@wheat-ledger/contract';
import { textOf } from '../common/textUpload.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { csvRows, delimiterOf, unreadable, wholeRows } from '../shelf/csvText.js';
import { CatalogueImports, MOST_LIST_BYTES } from './catalogueImport.service.js';
import { CatalogueRevisions } from './catalogueRevisions.js';
import type { PricesToRead } from './readRows.worker.js';
import { stageInOrder } from './staging.js';

/** Columns a price list has to have; status and seller may be there too. */
const NEEDED = ['item', 'size', 'unit', 'price', 'currency'] as const;

type Lines = Pick<PricesToRead, 'lines'>;
/** The lines of a price list, some at a time. @throws ProblemException 422 where it is none */
async function* linesOf(body: Readable): AsyncGenerator<Lines> {
  let headings: readonly string[] | undefined;
  let delimiter = '';
  let row = 0;
  for await (const { text } of wholeRows(textOf(body, MOST_LIST_BYTES))) {
    delimiter ||= delimiterOf(text);
    const lines: PricesToRead['lines'][number][] = [];
    for (const cells of csvRows(text, delimiter)) {
      row += 1;
      if (cells.every((c) => c.trim() === '')) continue;
      if (headings) {
        lines.push({ row, cells: Object.fromEntries(headings.map((h, i) => [h, cells[i] ?? ''])) });
        continue;
      }
      headings = cells.map((c) => c.trim().toLowerCase());
      const missing = NEEDED.filter((n) => !headings?.includes(n));
      if (missing.length > 0)
        throw unreadable(
          `Read no column ${missing.join(', ')}, expected item, size, unit, price, currency, seen, status.`,
        );
    }
    yield { lines };
  }
  if (!headings) throw unreadable('Expected a heading line and at least one row.');
}

/** Prices of a list that is there: a seller's price list is read beside it and becomes its next revision. */
@Injectable()
export class CatalogueFeed {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
    private readonly imports: CatalogueImports,
    private readonly revisions: CatalogueRevisions,
  ) {}

  /**
   * Reads a price list and says what it would change in a list; nothing changes yet.
   * @throws ProblemException 404 for a list that is not there, 413, 415 or 422 when it is no price list, 499 when it was stopped
   */
  async read(list: string, body: Readable, signal: AbortSignal): Promise<CataloguePreview> {
    const { name } = await this.revisions.own(list);
    return this.imports.staged(name, signal, async (importId) => {
      const read = await stageInOrder(this.em, linesOf(body), 2, async (some) =>
        this.imports.inThread('readPrices', await this.beside(list, importId, some), signal),
      );
      const doubled = await this.revisions.dropDoubles(importId);
      await this.revisions.stageRest(importId, list);
      return { ...read, problems: [...read.problems, ...doubled] };
    });
  }

  /** Lines with the products of the list that have their names. */
  private async beside(list: string, importId: string, { lines }: Lines): Promise<PricesToRead> {
    const names = [...new Set(lines.map((l) => (l.cells['item'] ?? '').replace(/\s+/g, ' ').trim()))];
    const known = await this.em.fork().execute<PricesToRead['known'][number][]>(
      `select p.key, p.in_stock as "inStock", p.place, r.record
       from catalogue_product p join catalogue_record r on r.product_id = p.id and r.workspace_id = p.workspace_id
       where p.workspace_id = ? and p.list_id = ? and p.name in (select jsonb_array_elements_text(?::jsonb))`,
      [this.scope.id, list, JSON.stringify(names)],
    );
    const today = new Date().toISOString().slice(0, 10);
    return { lines, known, today, importId, workspace: this.scope.id };
  }
}
