import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import {
  type CatalogueChange,
  type CatalogueCount,
  type CatalogueDifferences,
  type CatalogueList,
  type CataloguePage,
  type CatalogueQuery,
  type CatalogueRecord,
  type CatalogueSinceQuery,
  type ProductInput,
} from '@wheat-ledger/contract';
import { notFound } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { rowsWhileAwaited } from '../database/connections.js';
import { badCursor } from '../records/cursor.js';
import {
  columnOf,
  conditions,
  joined,
  seenBy,
  SHARED_LISTS,
  SHOWN,
  shown,
  type Fractions,
  type Row,
  type Where,
} from './catalogueRows.js';
import { leastOf } from './catalogueWords.js';
import { asDifferences, asList, LIST_COLUMNS, type ListRow } from './listRow.js';

const PAGE = 50;
/** Counted no further: nobody reads on to the thousandth. */
const MOST_COUNTED = 1000;
/** Rows that facets are taken from. */
const MOST_FACETED = 20_000;
const MOST_FACETS = 12;

/** What else the whole record of a product is read with. */
interface RecordRow {
  readonly record: ProductInput;
  readonly list: string;
  readonly row: number | null;
  readonly place: string;
  readonly workspace_id: string;
}

/** Where a page ends: what it is sorted by, and the id. */
const encoded = (at: number | string, id: string): string =>
  Buffer.from(JSON.stringify([at, id])).toString('base64url');
function decoded(text: string, byCost: boolean): readonly [number | string, string] {
  try {
    const [at, id] = JSON.parse(Buffer.from(text, 'base64url').toString('utf8')) as unknown[];
    const fits = byCost ? typeof at === 'number' && Number.isFinite(at) : typeof at === 'string' && !at.includes('\0');
    if (fits && typeof id === 'string' && /^\d{1,18}$/.test(id)) return [at as number | string, id];
  } catch {
    // falls through to the refusal below
  }
  throw badCursor();
}

/** The catalogue: every product of every list, searched and ranked in the database. */
@Injectable()
export class CatalogueStore {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {}

  /** Whose lists are seen. */
  private get seen(): readonly [string, string] {
    return [this.scope.id, SHARED_LISTS];
  }
  /** Products that meet some conditions, as something to select from. @param columns what is told of each */
  private found(columns: string, where: Where, end?: string): Where {
    return seenBy(this.scope.id, { sql: `${columns} from catalogue_product p`, values: [] }, where, end);
  }

  /**
   * A page, ranked by what a kg of a nutrient costs, or by name.
   * @param waiting aborted when nobody waits for it any more: then the search ends, here and below
   * @throws ProblemException 400 for a place that cannot be read
   */
  async page(query: CatalogueQuery, waiting: AbortSignal): Promise<CataloguePage> {
    const size = query.limit ?? PAGE;
    const key = query.by === undefined ? 'name' : `${columnOf(query.by)}_cost`;
    const all = [...conditions(query)];
    if (query.after === undefined) {
      // Asked beforehand: within the same statement the database would plan without knowing it, and take a second for words that nothing holds.
      const least = await this.leastCost(query);
      if (least === Infinity) return { items: [], next: null };
      if (least > 0) all.push({ sql: `${key} >= ?`, values: [least] });
    } else {
      const [at, id] = decoded(query.after, query.by !== undefined);
      all.push({ sql: `(${key}, id) > (?, ?)`, values: [at, id] });
    }
    const end = (by: string): string => `order by ${by}, id limit ${size + 1}`;
    const { sql, values } = this.found(`${SHOWN}, ${key} as at`, joined(all), end(key));
    const ranked = `select * from ${sql} as seen ${end('at')}`;
    const rows = await rowsWhileAwaited<Row & Fractions>(this.em, ranked, values, waiting);
    const items = rows.slice(0, size);
    const last = items.at(-1);
    return {
      items: items.map((row) => shown(row, query.by)),
      next: rows.length > size && last ? encoded(last.at, last.id) : null,
    };
  }

  /** What the words of a question cost at the least, so that all that is cheaper is not looked at; infinite where nothing holds them. */
  private async leastCost({ words = '', by, currency }: CatalogueQuery): Promise<number> {
    const asked = by === undefined || currency === undefined ? undefined : leastOf(words, by, currency, this.seen);
    if (!asked) return 0;
    const rows = await this.em.execute<{ least: number | null }[]>(asked.sql, [...asked.values]);
    return Math.max(...rows.map((r) => r.least ?? Infinity));
  }

  /** How many of the products that fit are new, dearer, cheaper and so on since a moment; what is gone fits nothing. */
  async since({ since, ...query }: CatalogueSinceQuery): Promise<CatalogueDifferences> {
    const { sql, values } = this.found('key, list_id', joined(conditions(query)));
    const rows = await this.em.execute<{ kind: string; count: number }[]>(
      `select c.kind, count(*)::int as count
       from (select * from catalogue_change where workspace_id in (?, ?) and at > ?::timestamptz) c
       join ${sql} p on p.key = c.key and p.list_id = c.list_id
       group by c.kind`,
      [...this.seen, since, ...values],
    );
    return asDifferences(rows);
  }

  /** How many there are, no further than is worth it. */
  async count(query: CatalogueQuery, waiting: AbortSignal): Promise<CatalogueCount> {
    const { sql, values } = this.found('1', joined(conditions(query)), `limit ${MOST_COUNTED + 1}`);
    const counted = `select count(*)::int as count from ${sql} as seen`;
    const [{ count } = { count: 0 }] = await rowsWhileAwaited<{ count: number }>(this.em, counted, values, waiting);
    return { count: Math.min(MOST_COUNTED, count), more: count > MOST_COUNTED };
  }

  /** What else could be asked, with how many there are of it among the first twenty thousand. */
  async facets(
    query: CatalogueQuery,
    waiting: AbortSignal,
  ): Promise<Readonly<Record<string, readonly { value: string; count: number }[]>>> {
    const { sql, values } = this.found('form, organic, seller', joined(conditions(query)), `limit ${MOST_FACETED}`);
    const of = (column: string): string =>
      `(select '${column}' as facet, ${column} as value, count(*)::int as count from found group by ${column} order by count(*) desc, ${column} limit ${MOST_FACETS})`;
    const facets = ['form', 'organic', 'seller'];
    const rows = await rowsWhileAwaited<{ facet: string; value: string; count: number }>(
      this.em,
      `with found as materialized (select * from ${sql} as seen) ${facets.map(of).join(' union all ')}`,
      values,
      waiting,
    );
    return Object.fromEntries(
      facets.map((f) => [f, rows.filter((r) => r.facet === f).map(({ value, count }) => ({ value, count }))]),
    );
  }

  /** A product with its whole record. @throws ProblemException 404 */
  async get(id: string): Promise<CatalogueRecord> {
    const [row] = await this.em.execute<(Row & Fractions & RecordRow)[]>(
      `select ${SHOWN.split(', ')
        .map((c) => `p.${c}`)
        .join(', ')}, p.row, p.place, r.record, l.name as list, l.workspace_id
       from catalogue_product p join catalogue_record r on r.product_id = p.id and r.workspace_id = p.workspace_id
       join catalogue_list l on l.id = p.list_id and l.workspace_id = p.workspace_id
       where p.workspace_id in (?, ?) and p.id = ?`,
      [...this.seen, id],
    );
    if (!row) throw notFound('product of a list');
    const { record, list, place, workspace_id } = row;
    return { ...shown(row, undefined), record, list, place, row: row.row, shared: workspace_id === SHARED_LISTS };
  }

  /** Currencies there are prices in, by the alphabet. */
  async currencies(): Promise<readonly string[]> {
    const rows = await this.em.execute<{ currency: string }[]>(
      'select distinct unnest(currencies) as currency from catalogue_list where workspace_id in (?, ?) order by 1',
      [...this.seen],
    );
    return rows.map((r) => r.currency);
  }

  async lists(): Promise<readonly CatalogueList[]> {
    const rows = await this.em.execute<ListRow[]>(
      `select ${LIST_COLUMNS} from catalogue_list where workspace_id in (?, ?) and revision > 0 order by name`,
      [...this.seen],
    );
    return rows.map(asList);
  }

  /** What changed with the last revision of a list, kind by kind. */
  async changes(list: string): Promise<readonly CatalogueChange[]> {
    const rows = await this.em.execute<
      { kind: CatalogueChange['kind']; name: string; revision: number; before: number | null; after: number | null }[]
    >(
      `select c.kind, coalesce(p.name, c.before -> 'row' ->> 'name', c.key) as name, c.revision, c.price_before as before, c.price_after as after
       from catalogue_change c join catalogue_list l on l.id = c.list_id and l.workspace_id = c.workspace_id and l.revision = c.revision
       left join catalogue_product p on p.workspace_id = c.workspace_id and p.list_id = c.list_id and p.key = c.key
       where c.workspace_id in (?, ?) and c.list_id = ? order by c.kind, c.id limit 500`,
      [...this.seen, list],
    );
    return rows.map(({ before, after, ...c }) => ({ ...c, priceBefore: before, priceAfter: after }));
  }
}
