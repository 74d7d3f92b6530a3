import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { raw } from '@mikro-orm/core';
import {
  kindOf,
  parentsOf,
  type FieldProblem,
  type JournalAction,
  type Kept,
  type Page,
  type RecordKind,
} from '@wheat-ledger/contract';
import { JournalEntry } from '../book/journal.entity.js';
import { decodeCursor, encodeCursor } from './cursor.js';
import { conflict, invalid, notFound, notInTheBin } from '../common/problems.js';
import type { Operations } from './operations.js';
import { insertLines, withLines } from './lines.js';
import { Rows } from './rows.js';
import type { Change, Columns, Lines, ListQuery, NewRecord } from './shapes.js';
import type { Stored } from './stored.entity.js';
import type { WorkspaceScope } from '../common/workspaceScope.js';

const MOST_PER_PAGE = 500;
/** The version after this one, whichever it is. */
const ONE_UP: unknown = raw('version + 1');
/** Records whose inserts travel together. */
const BATCH = 250;

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
    protected readonly operations: Operations,
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

  async list({ after, limit = 100, removed = false, of = {}, from, to }: ListQuery): Promise<Page<Input & Kept>> {
    const size = Math.min(MOST_PER_PAGE, limit);
    const { properties } = this.em.getMetadata().get(this.entity.name);
    const { sort, day } = kindOf(this.kind);
    // A claim's statement is its name.
    const key = sort in properties ? sort : 'name';
    const place = after === undefined ? undefined : decodeCursor(after, sort === day);
    const parents = parentsOf(this.kind).flatMap(({ at, to: kind }) => {
      const id = of[kind as RecordKind];
      return id === undefined ? [] : [[at, id] as const];
    });
    const where = {
      deletedAt: removed ? { $ne: null } : null,
      ...Object.fromEntries(parents),
      ...(day && (from ?? to) ? { [day]: { ...(from ? { $gte: from } : {}), ...(to ? { $lte: to } : {}) } } : {}),
      ...(place ? { [raw(`(${properties[key]?.fieldNames[0]}, id) > (?, ?)`, [place.key, place.id])]: [] } : {}),
    };
    const found = await this.rows.find<Row>(this.entity, where, {
      orderBy: [{ [key]: 'asc' }, { id: 'asc' }],
      limit: size + 1,
    });
    const items = await withLines(this.rows, this.lines, found.slice(0, size));
    const last = items.at(-1);
    return {
      items: items.map((row) => this.toRecord(row)),
      next: found.length > size && last ? encodeCursor({ key: String(last[key as keyof Row]), id: last.id }) : null,
    };
  }

  async get(id: string): Promise<Input & Kept> {
    return this.toRecord(await this.load(id));
  }

  /** How many present records refer to another one, at a place of theirs such as `productId` or `parts.*.productId`. */
  async countReferring(at: string, id: string): Promise<number> {
    const [property = '', ...rest] = at.split('.*.');
    const line = this.lines.find((l) => l.property === property);
    if (!line) return this.rows.count(this.entity, { [property]: id, deletedAt: null });
    const found = await this.rows.find<Readonly<Record<string, string>>>(line.entity, { [rest.join('')]: id });
    const owners = [...new Set(found.map((row) => row[line.owner]))];
    return this.rows.count(this.entity, { id: { $in: owners }, deletedAt: null });
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

  async create(input: Input, id: string = randomUUID()): Promise<Input & Kept> {
    return this.operations.run(async () => {
      await this.holdScarce([input]);
      await this.check(input);
      await this.insert([{ input, id }]);
      return this.get(id);
    });
  }

  /**
   * Writes many new records at once, as a part of the operation that is open or as one of its own.
   * @returns what does not fit, by the record's place; those are not written, the others are
   */
  async createMany(records: readonly NewRecord<Input>[]): Promise<ReadonlyMap<number, readonly FieldProblem[]>> {
    const refused = new Map<number, readonly FieldProblem[]>();
    await this.operations.run(async () => {
      for (let from = 0; from < records.length; from += BATCH) {
        const good: NewRecord<Input>[] = [];
        for (const [i, record] of records.slice(from, from + BATCH).entries()) {
          const problems = await this.problems(record.input, this.em);
          if (problems.length > 0) refused.set(from + i, problems);
          else good.push(record);
        }
        if (good.length > 0) await this.insert(good);
      }
    });
    return refused;
  }

  /** Takes many present records out, as a part of the operation that is open or as one of its own. */
  removeMany(ids: readonly string[]): Promise<void> {
    return this.moveMany(ids, 'remove');
  }

  /** Puts many removed records back. */
  restoreMany(ids: readonly string[]): Promise<void> {
    return this.moveMany(ids, 'restore');
  }

  private async moveMany(ids: readonly string[], action: 'remove' | 'restore'): Promise<void> {
    if (ids.length === 0) return;
    await this.operations.run(async () => {
      for (let from = 0; from < ids.length; from += BATCH) {
        const at = new Date();
        const there = action === 'remove' ? null : { $ne: null };
        const where = { id: { $in: ids.slice(from, from + BATCH) }, deletedAt: there };
        const found = await withLines(
          this.rows,
          this.lines,
          await this.rows.find<Row>(this.entity, where, { lock: true }),
        );
        await this.rows.update(this.entity, where, {
          deletedAt: action === 'remove' ? at : null,
          updatedAt: at,
          version: ONE_UP,
        });
        await this.journal(
          found.map((row) => ({ ...row, action, before: this.toInput(row), after: this.toInput(row) })),
        );
      }
    });
  }

  /** Holds records as they are until the transaction ends, in the order of their ids, so that two who hold the same do not wait for each other. */
  async hold(ids: readonly string[]): Promise<void> {
    if (ids.length > 0)
      await this.rows.find(this.entity, { id: { $in: [...ids] } }, { orderBy: [{ id: 'asc' }], lock: true });
  }

  /** Holds what new records take from and what is therefore scarce, such as a stock; nothing unless a kind says what. */
  async holdScarce(_inputs: readonly Input[]): Promise<void> {}

  private async insert(records: readonly NewRecord<Input>[]): Promise<void> {
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
    await insertLines(this.rows, this.lines, made);
    await this.journal(
      made.flatMap(({ id, own: { name }, input, removed }) => [
        { id, name, action: 'create', before: null, after: input },
        ...(removed ? [{ id, name, action: 'remove' as const, before: input, after: input }] : []),
      ]),
    );
  }

  async update(id: string, version: number, input: Input): Promise<Input & Kept> {
    return this.change(id, version, 'update', async (held) => {
      await this.check(input);
      if (held.deletedAt) throw notFound(this.kind);
      const { own, lines = {} } = this.columns(input);
      for (const { entity, owner } of this.lines) await this.rows.delete(entity, { [owner]: id });
      await insertLines(this.rows, this.lines, [{ id, own, lines }]);
      return own;
    });
  }

  async remove(id: string, version: number): Promise<Input & Kept> {
    return this.change(id, version, 'remove', (held) => {
      if (held.deletedAt) throw notFound(this.kind);
      return { deletedAt: new Date() };
    });
  }

  async restore(id: string, version: number): Promise<Input & Kept> {
    return this.change(id, version, 'restore', (held) => {
      if (!held.deletedAt) throw notInTheBin(this.kind);
      return { deletedAt: null };
    });
  }

  /** @param alter what changes in the record's own columns */
  private async change(
    id: string,
    version: number,
    action: JournalAction,
    alter: (held: Row) => object | Promise<object>,
  ): Promise<Input & Kept> {
    return this.operations.run(async () => {
      const held = await this.load(id, true);
      if (held.version !== version) throw conflict(this.toRecord(held));
      const own = await alter(held);
      await this.rows.update(this.entity, { id }, { ...own, version: version + 1, updatedAt: new Date() });
      const changed = await this.load(id);
      const { name } = changed;
      await this.journal([{ id, name, action, before: this.toInput(held), after: this.toInput(changed) }]);
      return this.toRecord(changed);
    });
  }

  /** The record inside the workspace, locked when it is about to change, or 404. */
  private async load(id: string, lock = false): Promise<Row> {
    const [row] = await withLines(this.rows, this.lines, await this.rows.find<Row>(this.entity, { id }, { lock }));
    if (!row) throw notFound(this.kind);
    return row;
  }

  private toRecord(row: Row): Input & Kept {
    return { ...this.toInput(row), ...keptOf(row) };
  }

  private async check(input: Input): Promise<void> {
    const problems = await this.problems(input, this.em);
    if (problems.length > 0) throw invalid(problems);
  }

  private async journal(changes: readonly Change<Input>[]): Promise<void> {
    const operation = await this.operations.current();
    await this.rows.insert(
      JournalEntry,
      changes.map(({ id, name, action, before, after }) => ({
        at: new Date(),
        who: this.scope.who,
        kind: this.kind,
        recordId: id,
        name,
        action,
        operation,
        before,
        after,
      })),
    );
  }
}

/** What the server adds; times come from the database as text or as a date. */
const keptOf = ({ id, version, updatedAt, deletedAt }: Pick<Stored, keyof Kept>): Kept => ({
  id,
  version,
  updatedAt: new Date(updatedAt).toISOString(),
  deletedAt: deletedAt === null ? null : new Date(deletedAt).toISOString(),
});
