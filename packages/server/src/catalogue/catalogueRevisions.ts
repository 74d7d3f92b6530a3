import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import type { CatalogueDifferences, CatalogueList } from '@wheat-ledger/contract';
import { RANKED_NUTRIENTS } from '@wheat-ledger/core';
import { notFound, ProblemException } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { SHARED_LISTS } from './catalogueRows.js';
import { noteWords } from './catalogueWords.js';
import { asDifferences, asList, LIST_COLUMNS, type ListRow } from './listRow.js';

const FRACTIONS = RANKED_NUTRIENTS.flatMap((n) => [`${n.toLowerCase()}_low`, `${n.toLowerCase()}_high`]);
/** What a row says of a product, beside its list and its key; its costs follow from it. */
const FACTS = [
  ...[
    'name',
    'words',
    'seller',
    'form',
    'organic',
    'origins',
    'currency',
    'price_per_kg',
    'package_kg',
    'package_price',
  ],
  ...['seen_on', 'in_stock', 'place', 'row', 'chloride_high', ...FRACTIONS],
];
const of = (table: string, columns: readonly string[]): string => columns.map((c) => `${table}.${c}`).join(', ');
const row = (table: string, columns: readonly string[]): string => `(${of(table, columns)})`;

/** What a new row of a list is to the one that stands: s is the new one, p the old with its record r. */
const KIND = `case
  when p.id is null then 'new'
  when ${row('s', FRACTIONS)} is distinct from ${row('p', FRACTIONS)} then 'reformulated'
  when s.currency = p.currency and s.price_per_kg > p.price_per_kg then 'dearer'
  when s.currency = p.currency and s.price_per_kg < p.price_per_kg then 'cheaper'
  when s.record is distinct from r.record or s.in_stock is distinct from p.in_stock or s.place <> p.place then 'changed' end`;
/** The rows of an import beside those of the list, matched by key; its values are the import, the ledger, the list and the ledger again. */
const BESIDE = `(select * from catalogue_staging where import_id = ? and workspace_id = ?) s
  full join (select * from catalogue_product where list_id = ? and workspace_id = ?) p on p.key = s.key
  left join catalogue_record r on r.product_id = p.id and r.workspace_id = p.workspace_id`;
/** Lists that nobody took over are forgotten after an hour. */
const KEPT = '1 hour';

type Run = (sql: string, values: readonly unknown[]) => Promise<unknown>;
/** An import on its way into a list. */
interface Taking {
  readonly importId: string;
  readonly list: string;
  readonly revision: number;
  readonly ledger: string;
}

/** Revisions of lists: what an import would change, taking it over as one, and taking it back as one. */
@Injectable()
export class CatalogueRevisions {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {}

  async forgetOld(): Promise<void> {
    await this.em.execute(`delete from catalogue_staging where workspace_id = ? and at < now() - interval '${KEPT}'`, [
      this.scope.id,
    ]);
  }
  async forget(importId: string): Promise<void> {
    await this.em.execute('delete from catalogue_staging where import_id = ? and workspace_id = ?', [
      importId,
      this.scope.id,
    ]);
  }

  /** Rows that are the same product as one above them; the first counts. */
  async dropDoubles(importId: string): Promise<readonly { readonly row: number; readonly message: string }[]> {
    const dropped = await this.em.execute<{ row: number; first: number; name: string }[]>(
      `with first as (select key, min(row) as row from catalogue_staging where import_id = ? and workspace_id = ? group by key having count(*) > 1)
       delete from catalogue_staging s using first f where s.import_id = ? and s.workspace_id = ? and s.key = f.key and s.row > f.row
       returning s.row, f.row as first, s.name`,
      [importId, this.scope.id, importId, this.scope.id],
    );
    return dropped
      .sort((a, b) => a.row - b.row)
      .map(({ row: at, first, name }) => ({
        row: at,
        message: `“${name}” of this seller and package stands in row ${first} already. The first counts.`,
      }));
  }

  /** Puts the rows of a list that an import says nothing of beside it: they stay as they are, and so does the row each came with. */
  async stageRest(importId: string, list: string): Promise<void> {
    const { id: ledger } = this.scope;
    await this.em.execute(
      `update catalogue_staging s set row = coalesce(p.row, 0) from catalogue_product p
       where s.import_id = ? and s.workspace_id = ? and p.workspace_id = s.workspace_id and p.list_id = ? and p.key = s.key`,
      [importId, ledger, list],
    );
    await this.em.execute(
      `insert into catalogue_staging (import_id, workspace_id, key, ${FACTS.join(', ')}, record)
       select ?, p.workspace_id, p.key, ${FACTS.map((f) => (f === 'row' ? 'coalesce(p.row, 0)' : `p.${f}`)).join(', ')}, r.record
       from catalogue_product p join catalogue_record r on r.product_id = p.id and r.workspace_id = p.workspace_id
       where p.workspace_id = ? and p.list_id = ?
         and not exists (select 1 from catalogue_staging s where s.import_id = ? and s.workspace_id = p.workspace_id and s.key = p.key)`,
      [importId, ledger, list, importId],
    );
    await this.em.execute('analyze catalogue_staging');
  }

  /** A list that this ledger may change. @throws ProblemException 404 where it is not there, 403 where it belongs to the whole installation */
  async own(id: string): Promise<CatalogueList> {
    const list = await this.listById(id);
    if (list.shared && this.scope.id !== SHARED_LISTS)
      throw new ProblemException(
        'read-only',
        HttpStatus.FORBIDDEN,
        `“${list.name}” belongs to the whole installation and is read only here.`,
      );
    return list;
  }

  private async listNamed(name: string): Promise<{ readonly id: string; readonly revision: number } | undefined> {
    const [list] = await this.em.execute<{ id: string; revision: number }[]>(
      'select id, revision from catalogue_list where workspace_id = ? and name = ?',
      [this.scope.id, name],
    );
    return list;
  }

  /** How many products are new, dearer, cheaper and so on against the list as it stands. */
  async differences(importId: string, name: string): Promise<CatalogueDifferences> {
    const list = await this.listNamed(name);
    const { id: ledger } = this.scope;
    const rows = await this.em.execute<{ kind: string; count: number }[]>(
      `select case when s.key is null then 'gone' else ${KIND} end as kind, count(*)::int as count from ${BESIDE} group by 1`,
      [importId, ledger, list?.id ?? randomUUID(), ledger],
    );
    return asDifferences(rows);
  }

  /**
   * Takes an import over as the next revision of a list, all of it or nothing.
   * @throws ProblemException 404 where it was taken over or forgotten
   */
  async take(importId: string, name: string, seller: string): Promise<CatalogueList> {
    const { id: ledger } = this.scope;
    const id = await this.em.transactional(async (em) => {
      const run: Run = (sql, values) => em.execute(sql, [...values]);
      await run('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`catalogue of ${ledger}`]);
      const [staged] = await em.execute<{ row: number }[]>(
        'select row from catalogue_staging where import_id = ? and workspace_id = ? limit 1',
        [importId, ledger],
      );
      if (!staged) throw notFound('list that was read');
      const known = await this.listNamed(name);
      const list = known?.id ?? randomUUID();
      const revision = (known?.revision ?? 0) + 1;
      if (!known)
        await run('insert into catalogue_list (id, workspace_id, name, seller) values (?, ?, ?, ?)', [
          list,
          ledger,
          name,
          seller,
        ]);
      if (known) await this.noteChanges(run, { importId, list, revision, ledger });
      await this.apply(run, { importId, list, revision, ledger });
      return list;
    });
    await this.tidy();
    return this.listById(id);
  }

  /** Once much has changed: without it a search looks each row up that it passes over, and takes many times as long. */
  private async tidy(): Promise<void> {
    await this.em.execute('vacuum analyze catalogue_product');
  }

  /** Keeps what was before of every row that changes. Of the first revision all is new, which needs no note. */
  private async noteChanges(run: Run, { importId, list, revision, ledger }: Taking): Promise<void> {
    await run(
      `insert into catalogue_change (workspace_id, list_id, revision, key, kind, before, price_before, price_after)
       select ?, ?, ?, key, kind, before, was, now from (
         select coalesce(s.key, p.key) as key, case when s.key is null then 'gone' else ${KIND} end as kind,
           case when p.id is not null then jsonb_build_object('row', to_jsonb(p), 'record', r.record) end as before,
           p.price_per_kg as was, s.price_per_kg as now
         from ${BESIDE}) as found where kind is not null`,
      [ledger, list, revision, importId, ledger, list, ledger],
    );
  }

  private async apply(run: Run, taking: Taking): Promise<void> {
    const { importId, list, revision, ledger } = taking;
    if (revision > 1) await this.change(run, taking);
    await run(
      `with added as (
         insert into catalogue_product (workspace_id, list_id, key, ${FACTS.join(', ')})
         select s.workspace_id, ?, s.key, ${of('s', FACTS)} from catalogue_staging s
         where s.import_id = ? and s.workspace_id = ? on conflict (workspace_id, list_id, key) do nothing
         returning id, key)
       insert into catalogue_record (product_id, workspace_id, record)
       select a.id, s.workspace_id, s.record from added a
       join catalogue_staging s on s.key = a.key and s.import_id = ? and s.workspace_id = ?`,
      [list, importId, ledger, importId, ledger],
    );
    await run('delete from catalogue_staging where import_id = ? and workspace_id = ?', [importId, ledger]);
    await this.counted(run, list, revision, ledger);
  }

  /** Takes out what is gone and brings what changed to what it is now. */
  private async change(run: Run, { importId, list, revision, ledger }: Taking): Promise<void> {
    const changed = `select c.key from catalogue_change c where c.workspace_id = ? and c.list_id = ? and c.revision = ?`;
    await run(
      `delete from catalogue_product where workspace_id = ? and list_id = ? and key in (${changed} and c.kind = 'gone')`,
      [ledger, list, ledger, list, revision],
    );
    await run(
      `update catalogue_product p set (${FACTS.join(', ')}) = (${of('s', FACTS)}) from catalogue_staging s
       where p.workspace_id = ? and p.list_id = ? and s.import_id = ? and s.workspace_id = ? and s.key = p.key and p.key in (${changed})`,
      [ledger, list, importId, ledger, ledger, list, revision],
    );
    await run(
      `update catalogue_record r set record = s.record from catalogue_staging s, catalogue_product p
       where p.workspace_id = ? and p.list_id = ? and s.import_id = ? and s.workspace_id = ? and s.key = p.key
         and r.product_id = p.id and r.workspace_id = p.workspace_id and p.key in (${changed})`,
      [ledger, list, importId, ledger, ledger, list, revision],
    );
  }

  /** What a list says of itself, and the words of its products. */
  private async counted(run: Run, list: string, revision: number, ledger: string): Promise<void> {
    await run(
      `update catalogue_list set revision = ?, taken_at = now(), products = found.products, currencies = found.currencies
       from (select count(*) as products, coalesce(array_agg(distinct currency) filter (where currency is not null), '{}') as currencies
             from catalogue_product where workspace_id = ? and list_id = ?) as found
       where workspace_id = ? and id = ?`,
      [revision, ledger, list, ledger, list],
    );
    for (const { sql, values } of noteWords(ledger, list)) await run(sql, values);
  }

  /**
   * Takes the last revision of a list back as one: what was new goes, what was changed or gone is again as it was. With its first one the list goes.
   * @throws ProblemException 404 where there is no such list
   */
  async takeBack(list: string): Promise<CatalogueList> {
    const left = await this.em.transactional((em) =>
      this.undoLast((sql, values) => em.execute(sql, [...values]), list),
    );
    await this.tidy();
    return left;
  }

  private async undoLast(run: Run, list: string): Promise<CatalogueList> {
    const { id: ledger } = this.scope;
    await run('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`catalogue of ${ledger}`]);
    const known = await this.own(list);
    const { revision } = known;
    if (revision <= 1) {
      await run('delete from catalogue_list where workspace_id = ? and id = ?', [ledger, list]);
      return { ...known, revision: 0, products: 0 };
    }
    const last = 'c.workspace_id = ? and c.list_id = ? and c.revision = ?';
    const at = [ledger, list, revision];
    await run(
      `delete from catalogue_product p using catalogue_change c where ${last} and p.workspace_id = c.workspace_id and p.list_id = c.list_id and p.key = c.key`,
      at,
    );
    const kept = ['id', 'workspace_id', 'list_id', 'key', ...FACTS];
    await run(
      `insert into catalogue_product (${kept.join(', ')}) overriding system value
         select ${of('was', kept)} from catalogue_change c, jsonb_populate_record(null::catalogue_product, c.before -> 'row') was
         where ${last} and c.before is not null`,
      at,
    );
    await run(
      `insert into catalogue_record (product_id, workspace_id, record)
         select (c.before -> 'row' ->> 'id')::bigint, c.workspace_id, c.before -> 'record' from catalogue_change c
         where ${last} and c.before is not null`,
      at,
    );
    await run(`delete from catalogue_change c where ${last}`, at);
    await this.counted(run, list, revision - 1, ledger);
    return this.listById(list);
  }

  private async listById(id: string): Promise<CatalogueList> {
    const [list] = await this.em.execute<ListRow[]>(
      `select ${LIST_COLUMNS} from catalogue_list where workspace_id in (?, ?) and id = ?`,
      [this.scope.id, SHARED_LISTS, id],
    );
    if (!list) throw notFound('list');
    return asList(list);
  }
}
