import { randomUUID } from 'node:crypto';
import type { Collection, EntityManager, FilterQuery } from '@mikro-orm/postgresql';
import { LockMode, raw } from '@mikro-orm/core';
import type { FieldProblem, JournalAction, Kept, Page, RecordKind } from '@wheat-ledger/contract';
import { JournalEntry } from '../book/journal.entity.js';
import { decodeCursor, encodeCursor } from './cursor.js';
import { conflict, invalid, notFound, notInTheBin } from './problems.js';
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
/** Rows in one statement. */
const MOST_ROWS = 1000;

/** What an entity holds, its lines as plain lists: a loaded entity and a bare row of the database both read like this. */
export type Fields<Entity extends Stored> = Readonly<Stored> & {
  readonly [K in Exclude<keyof Entity, keyof Stored>]: Entity[K] extends Collection<infer Line>
    ? readonly Line[]
    : Entity[K];
};

/** Rows that belong to a record and are kept in a table of their own. */
export interface Lines {
  /** The record's property that holds them. */
  readonly property: string;
  readonly entity: new () => object;
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
export abstract class RecordStore<Entity extends Stored, Input extends object> {
  abstract readonly kind: RecordKind;
  protected abstract readonly entity: new () => Entity;
  /** What is loaded with the record, each in one query for the whole list. */
  protected readonly lines: readonly Lines[] = [];

  constructor(
    protected readonly em: EntityManager,
    protected readonly scope: WorkspaceScope,
  ) {}

  /** An input as columns. */
  protected abstract columns(input: Input): Columns;
  /** A record's fields as the input that would make it. */
  protected abstract toInput(fields: Fields<Entity>): Input;
  /** What a single field's rule cannot see; empty when the input fits. */
  protected async problems(_input: Input, _em: EntityManager): Promise<readonly FieldProblem[]> {
    return [];
  }

  private toRecord(entity: Entity): Input & Kept {
    return { ...this.inputOf(entity), ...keptOf(entity) };
  }

  private inputOf(entity: Entity): Input {
    const held = entity as unknown as Readonly<Record<string, Collection<object>>>;
    const lists = Object.fromEntries(
      this.lines.map(({ property }) => [property, { value: held[property]?.getItems() ?? [] }]),
    );
    return this.toInput(Object.create(entity, lists) as Fields<Entity>);
  }

  async list({ after, limit = 100, removed = false }: ListQuery): Promise<Page<Input & Kept>> {
    const size = Math.min(MOST_PER_PAGE, limit);
    const place = after === undefined ? undefined : decodeCursor(after);
    const where = {
      workspace: this.scope.id,
      deletedAt: removed ? { $ne: null } : null,
      ...(place ? { [raw('(name, id) > (?, ?)', [place.name, place.id])]: [] } : {}),
    };
    const found = await this.rows<Fields<Entity>>(this.entity, where, [{ name: 'asc' }, { id: 'asc' }], size + 1);
    const items = found.slice(0, size);
    await this.attachLines(items);
    const last = items.at(-1);
    return {
      items: items.map((fields) => ({ ...this.toInput(fields), ...keptOf(fields) })),
      next: found.length > size && last ? encodeCursor(last) : null,
    };
  }

  /** Rows as they come from the database, by property name: a list is read far more often than changed, and needs no entities to watch. */
  private async rows<Row>(entity: unknown, where: object, orderBy: object, limit?: number): Promise<Row[]> {
    const { className } = this.em.getMetadata().get(entity as never);
    const ctx: unknown = this.em.getTransactionContext();
    return (await this.em
      .getDriver()
      .find(className, where, { orderBy, ctx, ...(limit === undefined ? {} : { limit }) })) as unknown as Row[];
  }

  private async attachLines(records: readonly Fields<Entity>[]): Promise<void> {
    if (records.length === 0) return;
    for (const { property, entity, owner } of this.lines) {
      const byOwner = new Map<unknown, object[]>(records.map((r) => [r.id, []]));
      const found = await this.rows<Readonly<Record<string, unknown>>>(
        entity,
        { [owner]: { $in: [...byOwner.keys()] } },
        [{ [owner]: 'asc' }, { position: 'asc' }],
      );
      for (const line of found) byOwner.get(line[owner])?.push(line);
      for (const record of records) Object.assign(record, { [property]: byOwner.get(record.id) });
    }
  }

  async get(id: string): Promise<Input & Kept> {
    return this.toRecord(await this.load(this.em, id));
  }

  /** Which of these ids the workspace has, present or removed. */
  async known(ids: readonly string[]): Promise<ReadonlySet<string>> {
    const found = await this.em.find(
      this.entity,
      { id: { $in: [...ids] }, workspace: this.scope.id },
      { fields: ['id'] as never, disableIdentityMap: true },
    );
    return new Set(found.map(({ id }) => id as string));
  }

  /** Which of these ids another workspace holds. */
  async heldElsewhere(ids: readonly string[]): Promise<ReadonlySet<string>> {
    const found = await this.em.find(
      this.entity,
      { id: { $in: [...ids] }, workspace: { $ne: this.scope.id } },
      { fields: ['id'] as never, disableIdentityMap: true },
    );
    return new Set(found.map(({ id }) => id as string));
  }

  async create(input: Input): Promise<Input & Kept> {
    return this.em.transactional(async (em) => {
      await this.check(input, em);
      const entity = new this.entity();
      Object.assign(entity, { id: randomUUID(), workspace: this.scope.id, updatedAt: new Date() });
      this.fill(em, entity, input);
      em.persist(entity);
      this.journal(em, entity, 'create', null, input);
      return this.flushed(em, entity);
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
        await this.insert(em, good, batch);
      });
    return refused;
  }

  /** Takes many records out, in the transaction that is open or in one of its own. */
  async removeMany(ids: readonly string[]): Promise<void> {
    for (let from = 0; from < ids.length; from += BATCH)
      await this.em.transactional(async (em) => {
        const where = {
          id: { $in: ids.slice(from, from + BATCH) },
          workspace: this.scope.id,
          deletedAt: null,
        } as unknown as FilterQuery<Entity>;
        for (const entity of (await em.find(this.entity, where, {
          populate: this.lines.map((l) => l.property) as never,
        })) as Entity[]) {
          entity.deletedAt = new Date();
          entity.updatedAt = new Date();
          const input = this.inputOf(entity);
          this.journal(em, entity, 'remove', input, input);
        }
        await em.flush();
        em.clear();
      });
  }

  /** Rows straight into their tables: thousands of entities to watch would cost more than writing them. */
  private async insert(em: EntityManager, records: readonly NewRecord<Input>[], batch: string | null): Promise<void> {
    const at = new Date();
    const made = records.map(({ input, id = randomUUID(), removed = false }) => ({
      input,
      id,
      removed,
      ...this.columns(input),
    }));
    const write = async (entity: new () => object, rows: readonly object[]): Promise<void> => {
      for (let from = 0; from < rows.length; from += MOST_ROWS)
        await em.insertMany(entity, rows.slice(from, from + MOST_ROWS));
    };
    await write(
      this.entity,
      made.map(({ id, removed, own }) => ({
        id,
        workspace: this.scope.id,
        version: 1,
        updatedAt: at,
        deletedAt: removed ? at : null,
        ...own,
      })),
    );
    for (const { property, entity, owner } of this.lines)
      await write(
        entity,
        made.flatMap(({ id, lines }) =>
          (lines?.[property] ?? []).map((line, position) => ({ [owner]: id, position, ...line })),
        ),
      );
    const told = (action: JournalAction, { id, own, input }: (typeof made)[number], before: Input | null): object =>
      this.entry(id, own.name, action, before, input, { batch });
    await write(
      JournalEntry,
      made.flatMap((m) => [told('create', m, null), ...(m.removed ? [told('remove', m, m.input)] : [])]),
    );
  }

  private fill(em: EntityManager, entity: Entity, input: Input): void {
    const { own, lines = {} } = this.columns(input);
    Object.assign(entity, own);
    const held = entity as unknown as Readonly<Record<string, Collection<object>>>;
    for (const { property, entity: Line, owner } of this.lines)
      held[property]?.set(
        (lines[property] ?? []).map((line, position) =>
          em.create<object>(Line, { [owner]: entity, position, ...line } as never),
        ),
      );
  }

  async update(id: string, version: number, input: Input, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'update', undoes, async (entity, em) => {
      await this.check(input, em);
      if (entity.deletedAt) throw notFound(this.kind);
      this.fill(em, entity, input);
    });
  }

  async remove(id: string, version: number, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'remove', undoes, (entity) => {
      if (entity.deletedAt) throw notFound(this.kind);
      entity.deletedAt = new Date();
    });
  }

  async restore(id: string, version: number, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'restore', undoes, (entity) => {
      if (!entity.deletedAt) throw notInTheBin(this.kind);
      entity.deletedAt = null;
    });
  }

  private async change(
    id: string,
    version: number,
    action: JournalAction,
    undoes: string | null,
    alter: (entity: Entity, em: EntityManager) => void | Promise<void>,
  ): Promise<Input & Kept> {
    return this.em.transactional(async (em) => {
      const entity = await this.load(em, id, true);
      if (entity.version !== version) throw conflict(this.toRecord(entity));
      const before = this.inputOf(entity);
      await alter(entity, em);
      entity.updatedAt = new Date();
      this.journal(em, entity, action, before, this.inputOf(entity), { undoes });
      return this.flushed(em, entity);
    });
  }

  /** The record inside the workspace, locked when it is about to change, or 404. */
  private async load(em: EntityManager, id: string, lock = false): Promise<Entity> {
    const where = { id, workspace: this.scope.id } as FilterQuery<Entity>;
    if (lock) await em.findOne(this.entity, where, { lockMode: LockMode.PESSIMISTIC_WRITE, refresh: true });
    const entity: Entity | null = await em.findOne<Entity>(this.entity, where, {
      populate: this.lines.map((l) => l.property) as never,
    });
    if (!entity) throw notFound(this.kind);
    return entity;
  }

  private async check(input: Input, em: EntityManager): Promise<void> {
    const problems = await this.problems(input, em);
    if (problems.length > 0) throw invalid(problems);
  }

  private journal(
    em: EntityManager,
    entity: Entity,
    action: JournalAction,
    before: Input | null,
    after: Input,
    told: Told = {},
  ): void {
    em.persist(em.create(JournalEntry, this.entry(entity.id, entity.name, action, before, after, told) as never));
  }

  private entry(
    recordId: string,
    name: string,
    action: JournalAction,
    before: Input | null,
    after: Input,
    { undoes = null, batch = null }: Told,
  ): object {
    return {
      workspace: this.scope.id,
      at: new Date(),
      who: this.scope.who,
      kind: this.kind,
      recordId,
      name,
      action,
      undoes,
      batch,
      before,
      after,
    };
  }

  private async flushed(em: EntityManager, entity: Entity): Promise<Input & Kept> {
    await em.flush();
    return this.toRecord(entity);
  }
}

/** What the server adds, from an entity or from a bare row, whose times may be text. */
const keptOf = ({ id, version, updatedAt, deletedAt }: Pick<Stored, keyof Kept>): Kept => ({
  id,
  version,
  updatedAt: new Date(updatedAt).toISOString(),
  deletedAt: deletedAt === null ? null : new Date(deletedAt).toISOString(),
});
