import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { raw } from '@mikro-orm/core';
import type { FieldProblem, JournalAction, Kept, Page, RecordKind } from '@wheat-ledger/contract';
import { JournalEntry } from '../book/journal.entity.js';
import { decodeCursor, encodeCursor } from './cursor.js';
import { conflict, invalid, notFound, notInTheBin } from './problems.js';
import { Rows, type Table } from './rows.js';
import type { Stored } from './stored.entity.js';
import type { WorkspaceScope } from './workspaceScope.js';

export interface ListQuery {
  readonly after?: string | undefined;
  readonly limit?: number | undefined;
  /** Removed records instead of the present ones. */
  readonly removed?: boolean | undefined;
}

const MOST_PER_PAGE = 500;
/** Records whose inserts travel together. */
const BATCH = 250;

/** Rows that belong to a record and are kept in a table of their own. */
export interface Lines {
  /** The record's property that holds them. */
  readonly property: string;
  readonly entity: Table;
  /** The line's property that points back. */
  readonly owner: string;
}

/** An input as it is written: the record's own columns, its name among them, and its lines in their order. */
export interface Columns {
  readonly own: { readonly name: string } & Readonly<Record<string, unknown>>;
  readonly lines?: Readonly<Record<string, readonly object[]>>;
}

/** A new record before it is written. */
export interface NewRecord<Input> {
  readonly input: Input;
  readonly id?: string;
  /** It comes as one that had been taken out. */
  readonly removed?: boolean;
}

/** What an entry in the book says beside the change itself. */
interface Told {
  /** The entry it takes back. */
  readonly undoes?: string | null;
  /** The import it came in by. */
  readonly batch?: string | null;
}

/**
 * Keeps one kind of record: lists, reads, creates, changes, removes and restores it inside its workspace, refuses to
 * overwrite what changed elsewhere, and writes the journal in the same transaction. A stage says only what its record
 * holds, as columns and back.
 */
export abstract class RecordStore<Row extends Stored, Input extends object> {
  abstract readonly kind: RecordKind;
  protected abstract readonly entity: new () => Stored;
  /** What is loaded with the record, each in one query for the whole list. */
  protected readonly lines: readonly Lines[] = [];
  private readonly rows: Rows;

  constructor(
    protected readonly em: EntityManager,
    protected readonly scope: WorkspaceScope,
  ) {
    this.rows = new Rows(em, scope);
  }

  /** An input as columns. */
  protected abstract columns(input: Input): Columns;
  /** A record's row, its lines with it, as the input that would make it. */
  protected abstract toInput(row: Row): Input;
  /** What a single field's rule cannot see; empty when the input fits. */
  protected async problems(_input: Input, _em: EntityManager): Promise<readonly FieldProblem[]> {
    return [];
  }

  async list({ after, limit = 100, removed = false }: ListQuery): Promise<Page<Input & Kept>> {
    const size = Math.min(MOST_PER_PAGE, limit);
    const place = after === undefined ? undefined : decodeCursor(after);
    const where = {
      deletedAt: removed ? { $ne: null } : null,
      ...(place ? { [raw('(name, id) > (?, ?)', [place.name, place.id])]: [] } : {}),
    };
    const found = await this.rows.find<Row>(this.entity, where, {
      orderBy: [{ name: 'asc' }, { id: 'asc' }],
      limit: size + 1,
    });
    const items = await this.withLines(found.slice(0, size));
    const last = items.at(-1);
    return {
      items: items.map((row) => this.toRecord(row)),
      next: found.length > size && last ? encodeCursor(last) : null,
    };
  }

  async get(id: string): Promise<Input & Kept> {
    return this.toRecord(await this.load(id));
  }

  /** Which of these ids the workspace has, present or removed. */
  async known(ids: readonly string[]): Promise<ReadonlySet<string>> {
    return this.idsOf({ id: { $in: [...ids] }, workspace: this.scope.id });
  }

  /** Which of these ids another workspace holds. */
  async heldElsewhere(ids: readonly string[]): Promise<ReadonlySet<string>> {
    return this.idsOf({ id: { $in: [...ids] }, workspace: { $ne: this.scope.id } });
  }

  private async idsOf(where: object): Promise<ReadonlySet<string>> {
    const found = await this.em
      .createQueryBuilder<Stored>(this.entity)
      .select('id')
      .where(where)
      .execute<{ id: string }[]>();
    return new Set(found.map(({ id }) => id));
  }

  async create(input: Input): Promise<Input & Kept> {
    return this.em.transactional(async (em) => {
      await this.check(input, em);
      const id = randomUUID();
      await this.insert([{ input, id }], null);
      return this.get(id);
    });
  }

  /**
   * Writes many new records at once, in the transaction that is open or in one of its own.
   * @param batch names them together, so that they can be taken back together
   * @returns what does not fit, by the record's place; those are not written, the others are
   */
  async createMany(
    records: readonly NewRecord<Input>[],
    batch: string | null = null,
  ): Promise<ReadonlyMap<number, readonly FieldProblem[]>> {
    const refused = new Map<number, readonly FieldProblem[]>();
    for (let from = 0; from < records.length; from += BATCH)
      await this.em.transactional(async (em) => {
        const good: NewRecord<Input>[] = [];
        for (const [i, record] of records.slice(from, from + BATCH).entries()) {
          const problems = await this.problems(record.input, em);
          if (problems.length > 0) refused.set(from + i, problems);
          else good.push(record);
        }
        await this.insert(good, batch);
      });
    return refused;
  }

  /** Takes many records out, in the transaction that is open or in one of its own. */
  async removeMany(ids: readonly string[]): Promise<void> {
    for (let from = 0; from < ids.length; from += BATCH)
      await this.em.transactional(async () => {
        const where = { id: { $in: ids.slice(from, from + BATCH) }, deletedAt: null };
        const found = await this.withLines(await this.rows.find<Row>(this.entity, where, { lock: true }));
        const at = new Date();
        await this.rows.update(this.entity, where, {
          deletedAt: at,
          updatedAt: at,
          version: raw('version + 1'),
        });
        await this.rows.insert(
          JournalEntry,
          found.map((row) => this.entry(row, 'remove', this.toInput(row), this.toInput(row), {})),
        );
      });
  }

  private async insert(records: readonly NewRecord<Input>[], batch: string | null): Promise<void> {
    const at = new Date();
    const made = records.map(({ input, id = randomUUID(), removed = false }) => ({
      input,
      id,
      removed,
      ...this.columns(input),
    }));
    await this.rows.insert(
      this.entity,
      made.map(({ id, removed, own }) => ({
        id,
        version: 1,
        updatedAt: at,
        deletedAt: removed ? at : null,
        ...own,
      })),
    );
    await this.insertLines(made);
    const told = (action: JournalAction, { id, own, input }: (typeof made)[number], before: Input | null): object =>
      this.entry({ id, name: own.name }, action, before, input, { batch });
    await this.rows.insert(
      JournalEntry,
      made.flatMap((m) => [told('create', m, null), ...(m.removed ? [told('remove', m, m.input)] : [])]),
    );
  }

  private async insertLines(records: readonly ({ readonly id: string } & Columns)[]): Promise<void> {
    for (const { property, entity, owner } of this.lines)
      await this.rows.insert(
        entity,
        records.flatMap(({ id, lines }) =>
          (lines?.[property] ?? []).map((line, position) => ({ [owner]: id, position, ...line })),
        ),
      );
  }

  async update(id: string, version: number, input: Input, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'update', undoes, async (held, em) => {
      await this.check(input, em);
      if (held.deletedAt) throw notFound(this.kind);
      const { own, lines = {} } = this.columns(input);
      for (const { entity, owner } of this.lines) await this.rows.delete(entity, { [owner]: id });
      await this.insertLines([{ id, own, lines }]);
      return own;
    });
  }

  async remove(id: string, version: number, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'remove', undoes, (held) => {
      if (held.deletedAt) throw notFound(this.kind);
      return { deletedAt: new Date() };
    });
  }

  async restore(id: string, version: number, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'restore', undoes, (held) => {
      if (!held.deletedAt) throw notInTheBin(this.kind);
      return { deletedAt: null };
    });
  }

  /** @param alter what changes in the record's own columns */
  private async change(
    id: string,
    version: number,
    action: JournalAction,
    undoes: string | null,
    alter: (held: Row, em: EntityManager) => object | Promise<object>,
  ): Promise<Input & Kept> {
    return this.em.transactional(async (em) => {
      const held = await this.load(id, true);
      if (held.version !== version) throw conflict(this.toRecord(held));
      const own = await alter(held, em);
      await this.rows.update(this.entity, { id }, { ...own, version: version + 1, updatedAt: new Date() });
      const changed = await this.load(id);
      await this.rows.insert(JournalEntry, [
        this.entry(changed, action, this.toInput(held), this.toInput(changed), { undoes }),
      ]);
      return this.toRecord(changed);
    });
  }

  /** The record inside the workspace, locked when it is about to change, or 404. */
  private async load(id: string, lock = false): Promise<Row> {
    const [row] = await this.withLines(await this.rows.find<Row>(this.entity, { id }, { lock }));
    if (!row) throw notFound(this.kind);
    return row;
  }

  private async withLines(records: readonly Row[]): Promise<readonly Row[]> {
    if (records.length === 0) return records;
    for (const { property, entity, owner } of this.lines) {
      const byOwner = new Map<unknown, object[]>(records.map((r) => [r.id, []]));
      const found = await this.rows.find<Readonly<Record<string, unknown>>>(
        entity,
        { [owner]: { $in: [...byOwner.keys()] } },
        { orderBy: [{ [owner]: 'asc' }, { position: 'asc' }] },
      );
      for (const line of found) byOwner.get(line[owner])?.push(line);
      for (const record of records) Object.assign(record, { [property]: byOwner.get(record.id) });
    }
    return records;
  }

  private toRecord(row: Row): Input & Kept {
    return { ...this.toInput(row), ...keptOf(row) };
  }

  private async check(input: Input, em: EntityManager): Promise<void> {
    const problems = await this.problems(input, em);
    if (problems.length > 0) throw invalid(problems);
  }

  private entry(
    { id, name }: Pick<Stored, 'id' | 'name'>,
    action: JournalAction,
    before: Input | null,
    after: Input,
    { undoes = null, batch = null }: Told,
  ): object {
    return {
      at: new Date(),
      who: this.scope.who,
      kind: this.kind,
      recordId: id,
      name,
      action,
      undoes,
      batch,
      before,
      after,
    };
  }
}

/** What the server adds; times come from the database as text or as a date. */
const keptOf = ({ id, version, updatedAt, deletedAt }: Pick<Stored, keyof Kept>): Kept => ({
  id,
  version,
  updatedAt: new Date(updatedAt).toISOString(),
  deletedAt: deletedAt === null ? null : new Date(deletedAt).toISOString(),
});
