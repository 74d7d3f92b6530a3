import { randomUUID } from 'node:crypto';
import type { EntityManager, EntityName, FilterQuery } from '@mikro-orm/postgresql';
import { LockMode } from '@mikro-orm/core';
import type { FieldProblem, JournalAction, Kept, Page, RecordKind } from '@wheat-ledger/contract';
import { JournalEntry } from '../book/journal.entity.js';
import { decodeCursor, encodeCursor } from './cursor.js';
import { conflict, invalid, notFound } from './problems.js';
import type { Stored } from './stored.entity.js';
import type { WorkspaceScope } from './workspaceScope.js';

export interface ListQuery {
  readonly after?: string | undefined;
  readonly limit?: number | undefined;
  /** Removed records instead of the present ones. */
  readonly removed?: boolean | undefined;
}

const MOST_PER_PAGE = 500;

/**
 * Keeps one kind of record: lists, reads, creates, changes, removes and restores it inside its workspace, refuses to
 * overwrite what changed elsewhere, and writes the journal in the same transaction. A stage says only what its record
 * holds and how it is filled.
 */
export abstract class RecordStore<Entity extends Stored, Input extends object> {
  abstract readonly kind: RecordKind;
  protected abstract readonly entity: EntityName<Entity>;
  /** Relations to load with the record, each in one query for the whole list. */
  protected readonly populate: readonly string[] = [];

  constructor(
    protected readonly em: EntityManager,
    protected readonly scope: WorkspaceScope,
  ) {}

  protected abstract blank(): Entity;
  /** Writes an input's fields into an entity. */
  protected abstract fill(entity: Entity, input: Input, em: EntityManager): void;
  /** The entity as the input that would make it. */
  protected abstract toInput(entity: Entity): Input;
  /** What a single field's rule cannot see; empty when the input fits. */
  protected async problems(_input: Input, _em: EntityManager): Promise<readonly FieldProblem[]> {
    return [];
  }

  toRecord(entity: Entity): Input & Kept {
    const { id, version, updatedAt, deletedAt } = entity;
    return { ...this.toInput(entity), id, version, updatedAt: updatedAt.toISOString(), deletedAt: deletedAt?.toISOString() ?? null };
  }

  async list({ after, limit = 100, removed = false }: ListQuery): Promise<Page<Input & Kept>> {
    const size = Math.min(MOST_PER_PAGE, limit);
    const place = after === undefined ? undefined : decodeCursor(after);
    const where = {
      workspace: this.scope.id,
      deletedAt: removed ? { $ne: null } : null,
      ...(place ? { $or: [{ name: { $gt: place.name } }, { name: place.name, id: { $gt: place.id } }] } : {}),
    } as FilterQuery<Entity>;
    const found = await this.em.find(this.entity, where, { orderBy: [{ name: 'asc' }, { id: 'asc' }] as never, limit: size + 1, populate: this.populate as never, disableIdentityMap: true });
    const items = found.slice(0, size);
    const last = items.at(-1);
    return { items: items.map((e) => this.toRecord(e as Entity)), next: found.length > size && last ? encodeCursor(last) : null };
  }

  async get(id: string): Promise<Input & Kept> {
    return this.toRecord(await this.load(this.em, id));
  }

  /** Whether the workspace has a record with this id, present or removed. */
  async has(id: string): Promise<boolean> {
    return (await this.em.count(this.entity, { id, workspace: this.scope.id } as FilterQuery<Entity>)) > 0;
  }

  async create(input: Input, id: string = randomUUID()): Promise<Input & Kept> {
    return this.em.transactional(async (em) => {
      await this.check(input, em);
      const entity = this.blank();
      Object.assign(entity, { id, workspace: this.scope.id, updatedAt: new Date() });
      this.fill(entity, input, em);
      em.persist(entity);
      await this.journal(em, entity, 'create', null, input);
      return this.flushed(em, entity);
    });
  }

  async update(id: string, version: number, input: Input, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'update', undoes, async (entity, em) => {
      await this.check(input, em);
      if (entity.deletedAt) throw notFound(this.kind);
      this.fill(entity, input, em);
    });
  }

  async remove(id: string, version: number, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'remove', undoes, (entity) => {
      entity.deletedAt ??= new Date();
    });
  }

  async restore(id: string, version: number, undoes: string | null = null): Promise<Input & Kept> {
    return this.change(id, version, 'restore', undoes, (entity) => {
      entity.deletedAt = null;
    });
  }

  private async change(id: string, version: number, action: JournalAction, undoes: string | null, alter: (entity: Entity, em: EntityManager) => void | Promise<void>): Promise<Input & Kept> {
    return this.em.transactional(async (em) => {
      const entity = await this.load(em, id, true);
      if (entity.version !== version) throw conflict(this.toRecord(entity));
      const before = this.toInput(entity);
      await alter(entity, em);
      entity.updatedAt = new Date();
      await this.journal(em, entity, action, before, this.toInput(entity), undoes);
      return this.flushed(em, entity);
    });
  }

  /** The record inside the workspace, locked when it is about to change, or 404. */
  private async load(em: EntityManager, id: string, lock = false): Promise<Entity> {
    const where = { id, workspace: this.scope.id } as FilterQuery<Entity>;
    if (lock) await em.findOne(this.entity, where, { lockMode: LockMode.PESSIMISTIC_WRITE, refresh: true });
    const entity = await em.findOne(this.entity, where, { populate: this.populate as never });
    if (!entity) throw notFound(this.kind);
    return entity;
  }

  private async check(input: Input, em: EntityManager): Promise<void> {
    const problems = await this.problems(input, em);
    if (problems.length > 0) throw invalid(problems);
  }

  private async journal(em: EntityManager, entity: Entity, action: JournalAction, before: Input | null, after: Input, undoes: string | null = null): Promise<void> {
    const entry = em.create(JournalEntry, { workspace: this.scope.id, at: new Date(), who: this.scope.who, kind: this.kind, recordId: entity.id, name: entity.name, action, undoes, before, after });
    em.persist(entry);
  }

  private async flushed(em: EntityManager, entity: Entity): Promise<Input & Kept> {
    await em.flush();
    return this.toRecord(entity);
  }
}
