import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { isDeadlock } from '../common/databaseAway.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operation } from './operation.entity.js';
import { Rows } from './rows.js';

interface Meant {
  readonly id: string;
  readonly why: string;
  readonly undoes: string | null;
}
interface Open extends Meant {
  /** Its own row, written with its first change. */
  row?: Promise<void>;
}

/** An operation that lost to another is tried so often. */
const MOST_TRIES = 6;
const PAUSE_MS = 20;

/** Groups every change made for one reason: all of them or none, under one name that they are undone by. */
@Injectable()
export class Operations {
  private readonly open = new AsyncLocalStorage<Open>();
  private readonly rows: Rows;

  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {
    this.rows = new Rows(em, scope);
  }

  /**
   * Does some work as one operation in one transaction; inside another it becomes a part of that. Where two operations wait for each other the database
   * ends one of them: it is done again from its beginning.
   */
  async run<T>(
    work: () => Promise<T>,
    { id = randomUUID(), why = '', undoes = null }: Partial<Meant> = {},
  ): Promise<T> {
    if (this.open.getStore()) return work();
    for (let tries = 1; ; tries++)
      try {
        return await this.em.transactional(() => this.open.run({ id, why, undoes }, work));
      } catch (error) {
        if (tries >= MOST_TRIES || !isDeadlock(error)) throw error;
        await setTimeout(Math.random() * PAUSE_MS * tries);
      }
  }

  /** The name of the operation that is open. @throws Error outside of one: a change belongs to an operation */
  async current(): Promise<string> {
    const open = this.open.getStore();
    if (!open) throw new Error('A change was made outside of an operation.');
    const { id, why, undoes } = open;
    open.row ??= this.rows.insert(Operation, [{ id, at: new Date(), who: this.scope.who, why, undoes }]);
    await open.row;
    return id;
  }
}
