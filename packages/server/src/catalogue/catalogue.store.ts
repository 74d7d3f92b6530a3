import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import {
  type CatalogueChange,
  type CatalogueCount,
  type CatalogueDifferences,
  type CatalogueList,
  type CataloguePage,
  type CataloguePricedQuery,
  type CatalogueProduct,
  type CatalogueQuery,
  type CatalogueRecord,
  type CatalogueSinceQuery,
  type ProductInput,
} from '@wheat-ledger/contract';
import { RANKED_NUTRIENTS, type FractionBounds, type RankedNutrient } from '@wheat-ledger/core';
import { notFound } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { badCursor } from '../records/cursor.js';
import { asDifferences, asList, LIST_COLUMNS, type ListRow } from './listRow.js';

const PAGE = 50;
/** Counted no further: nobody reads on to the thousandth. */
const MOST_COUNTED = 1000;
/** Rows that facets are taken from. */
const MOST_FACETED = 20_000;
const MOST_FACETS = 12;
/** Products that are told at once while a recipe is made. */
const MOST_PRICED = 30;

/** A nutrient as columns call it. */
export const columnOf = (nutrient: RankedNutrient): string => nutrient.toLowerCase();
const FRACTIONS = RANKED_NUTRIENTS.flatMap((n) => [`${columnOf(n)}_low`, `${columnOf(n)}_high`]);
const SHOWN = [
  ...['id', 'list_id', 'name', 'seller', 'form', 'organic', 'currency', 'price_per_kg', 'seen_on', 'in_stock'],
  ...FRACTIONS,
].join(', ');

type Fractions = Readonly<Record<`${string}_low` | `${string}_high`, number | null>>;
interface Row {
  readonly id: string;
  readonly list_id: string;
  readonly name: string;
  readonly seller: string;
  readonly form: CatalogueProduct['form'];
  readonly organic: CatalogueProduct['organic'];
  readonly currency: string | null;
  readonly price_per_kg: number | null;
  readonly seen_on: string | null;
  readonly in_stock: boolean | null;
  readonly at: number | string;
}

/** What of a question goes into the condition of a statement, with what stands for its question marks. */
interface Where {
  readonly sql: string;
  readonly values: readonly unknown[];
}

const escaped = (word: string): string => word.replace(/[\\%_]/g, (c) => `\\${c}`);
/** A number that a single-precision column holds may be a hair below what was typed. */
const HAIR = 1e-6;

/** The conditions of a question, each with its values. */
function conditions(query: CatalogueQuery, workspace: string): readonly Where[] {
  const all: Where[] = [{ sql: 'workspace_id = ?', values: [workspace] }];
  const one = (sql: string, ...values: readonly unknown[]): void => void all.push({ sql, values });
  if (query.currency !== undefined) one('currency = ?', query.currency);
  if (query.by !== undefined) one(`${columnOf(query.by)}_cost is not null`);
  for (const word of (query.words ?? '').toLowerCase().split(/\s+/).filter(Boolean))
    one('words like ?', `%${escaped(word)}%`);
  for (const wanted of query.atLeast ?? []) {
    const [nutrient = '', percent = '0'] = wanted.split(':');
    one(`${columnOf(nutrient as RankedNutrient)}_low >= ?`, Number(percent) / 100 - HAIR);
  }
  const forms = query.form ?? [];
  if (forms.length > 0) one(`form in (${forms.map(() => '?').join(', ')})`, ...forms);
  if (query.organic !== undefined) one('organic = ?', query.organic);
  if (query.seller !== undefined) one('seller = ?', query.seller);
  if (query.origin !== undefined) one('? = any(origins)', query.origin.toLowerCase());
  if (query.list !== undefined) one('list_id = ?', query.list);
  if (query.chloride !== undefined) one('chloride_high <= ?', query.chloride / 100 + HAIR);
  if (query.inStock !== undefined) one('in_stock = ?', query.inStock);
  if (query.seenSince !== undefined) one('seen_on >= ?', query.seenSince);
  return all;
}
const joined = (all: readonly Where[]): Where => ({
  sql: all.map((w) => w.sql).join(' and '),
  values: all.flatMap((w) => w.values),
});

/** A nutrient with its price, as it stands in a question. */
function priceOf(text: string): { readonly nutrient: RankedNutrient; readonly price: number } {
  const [nutrient = '', price = '0'] = text.split(':');
  return { nutrient: nutrient as RankedNutrient, price: Number(price) };
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

  /** A page, ranked by what a kg of a nutrient costs, or by name. @throws ProblemException 400 for a place that cannot be read */
  async page(query: CatalogueQuery): Promise<CataloguePage> {
    const size = query.limit ?? PAGE;
    const key = query.by === undefined ? 'name' : `${columnOf(query.by)}_cost`;
    const all = [...conditions(query, this.scope.id)];
    if (query.after !== undefined) {
      const [at, id] = decoded(query.after, query.by !== undefined);
      all.push({ sql: `(${key}, id) > (?, ?)`, values: [at, id] });
    }
    const { sql, values } = joined(all);
    const rows = await this.em.execute<(Row & Fractions)[]>(
      `select ${SHOWN}, ${key} as at from catalogue_product where ${sql} order by ${key}, id limit ${size + 1}`,
      [...values],
    );
    const items = rows.slice(0, size);
    const last = items.at(-1);
    return {
      items: items.map((row) => shown(row, query.by)),
      next: rows.length > size && last ? encoded(last.at, last.id) : null,
    };
  }

  /** The products that cost least beyond what they are worth to a recipe, of everything there is. */
  async priced(query: CataloguePricedQuery): Promise<readonly CatalogueProduct[]> {
    const terms = [
      ...query.worth.map((w) => ({ sign: '-', end: 'low', ...priceOf(w) })),
      ...(query.burden ?? []).map((b) => ({ sign: '+', end: 'high', ...priceOf(b) })),
    ];
    const beyond = terms.map((x) => ` ${x.sign} coalesce(${columnOf(x.nutrient)}_${x.end}, 0) * ?::double precision`);
    const { sql, values } = joined([
      ...conditions(query, this.scope.id),
      { sql: 'price_per_kg is not null', values: [] },
    ]);
    const rows = await this.em.execute<(Row & Fractions)[]>(
      `select ${SHOWN}, price_per_kg${beyond.join('')} as at from catalogue_product where ${sql} order by at, id limit ${MOST_PRICED}`,
      [...terms.map((x) => x.price), ...values],
    );
    return rows.map((row) => shown(row, undefined));
  }

  /** How many of the products that fit are new, dearer, cheaper and so on since a moment; what is gone fits nothing. */
  async since({ since, ...query }: CatalogueSinceQuery): Promise<CatalogueDifferences> {
    const { sql, values } = joined(conditions(query, this.scope.id));
    const rows = await this.em.execute<{ kind: string; count: number }[]>(
      `select c.kind, count(*)::int as count
       from (select * from catalogue_change where workspace_id = ? and at > ?::timestamptz) c
       join (select key, list_id from catalogue_product where ${sql}) p on p.key = c.key and p.list_id = c.list_id
       group by c.kind`,
      [this.scope.id, since, ...values],
    );
    return asDifferences(rows);
  }

  /** How many there are, no further than is worth it. */
  async count(query: CatalogueQuery): Promise<CatalogueCount> {
    const { sql, values } = joined(conditions(query, this.scope.id));
    const [{ count }] = await this.em.execute<[{ count: string }]>(
      `select count(*) as count from (select 1 from catalogue_product where ${sql} limit ${MOST_COUNTED + 1}) as found`,
      [...values],
    );
    return { count: Math.min(MOST_COUNTED, Number(count)), more: Number(count) > MOST_COUNTED };
  }

  /** What else could be asked, with how many there are of it among the first twenty thousand. */
  async facets(query: CatalogueQuery): Promise<Readonly<Record<string, readonly { value: string; count: number }[]>>> {
    const { sql, values } = joined(conditions(query, this.scope.id));
    const of = (column: string): string =>
      `(select '${column}' as facet, ${column} as value, count(*)::int as count from found group by ${column} order by count(*) desc, ${column} limit ${MOST_FACETS})`;
    const facets = ['form', 'organic', 'seller'];
    const rows = await this.em.execute<{ facet: string; value: string; count: number }[]>(
      `with found as materialized (select form, organic, seller from catalogue_product where ${sql} limit ${MOST_FACETED}) ${facets.map(of).join(' union all ')}`,
      [...values],
    );
    return Object.fromEntries(
      facets.map((f) => [f, rows.filter((r) => r.facet === f).map(({ value, count }) => ({ value, count }))]),
    );
  }

  /** A product with its whole record. @throws ProblemException 404 */
  async get(id: string): Promise<CatalogueRecord> {
    const [row] = await this.em.execute<(Row & Fractions & { readonly record: ProductInput })[]>(
      `select ${SHOWN.split(', ')
        .map((c) => `p.${c}`)
        .join(', ')}, r.record
       from catalogue_product p join catalogue_record r on r.product_id = p.id and r.workspace_id = p.workspace_id
       where p.workspace_id = ? and p.id = ?`,
      [this.scope.id, id],
    );
    if (!row) throw notFound('product of a list');
    return { ...shown(row, undefined), record: row.record };
  }

  /** Currencies there are prices in, by the alphabet. */
  async currencies(): Promise<readonly string[]> {
    const rows = await this.em.execute<{ currency: string }[]>(
      `with recursive each as (
         (select currency from catalogue_product where workspace_id = ? and currency is not null order by currency limit 1)
         union all
         select (select p.currency from catalogue_product p where p.workspace_id = ? and p.currency > each.currency order by p.currency limit 1)
         from each where each.currency is not null)
       select currency from each where currency is not null`,
      [this.scope.id, this.scope.id],
    );
    return rows.map((r) => r.currency);
  }

  async lists(): Promise<readonly CatalogueList[]> {
    const rows = await this.em.execute<ListRow[]>(
      `select ${LIST_COLUMNS} from catalogue_list where workspace_id = ? and revision > 0 order by name`,
      [this.scope.id],
    );
    return rows.map(asList);
  }

  /** What changed with the last revision of a list, kind by kind. */
  async changes(list: string): Promise<readonly CatalogueChange[]> {
    const rows = await this.em.execute<
      { kind: CatalogueChange['kind']; name: string; revision: number; before: number | null; after: number | null }[]
    >(
      `select c.kind, split_part(c.key, '|', 1) as name, c.revision, c.price_before as before, c.price_after as after
       from catalogue_change c join catalogue_list l on l.id = c.list_id and l.workspace_id = c.workspace_id and l.revision = c.revision
       where c.workspace_id = ? and c.list_id = ? order by c.kind, c.id limit 500`,
      [this.scope.id, list],
    );
    return rows.map(({ before, after, ...c }) => ({ ...c, priceBefore: before, priceAfter: after }));
  }
}

/** A row as the page shows it. */
function shown(row: Row & Fractions, by: RankedNutrient | undefined): CatalogueProduct {
  const fractions = Object.fromEntries(
    RANKED_NUTRIENTS.flatMap((n): [RankedNutrient, FractionBounds][] => {
      const [low, high] = [row[`${columnOf(n)}_low`], row[`${columnOf(n)}_high`]];
      return low === null || low === undefined || high === null || high === undefined ? [] : [[n, { low, high }]];
    }),
  ) as CatalogueProduct['fractions'];
  const bounds = by && fractions[by];
  const price = row.price_per_kg;
  return {
    id: String(row.id),
    listId: row.list_id,
    name: row.name,
    seller: row.seller,
    form: row.form,
    organic: row.organic,
    pricePerKg: price,
    currency: row.currency,
    seenOn: row.seen_on === null ? null : String(row.seen_on).slice(0, 10),
    inStock: row.in_stock,
    fractions,
    cost:
      bounds && price !== null
        ? {
            low: price / bounds.high,
            mid: price / ((bounds.low + bounds.high) / 2),
            high: bounds.low > 0 ? price / bounds.low : null,
          }
        : null,
  };
}
