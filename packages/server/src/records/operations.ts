import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
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

  /** Does some work as one operation in one transaction; inside another it becomes a part of that. */
  run<T>(work: () => Promise<T>, { id = randomUUID(), why = '', undoes = null }: Partial<Meant> = {}): Promise<T> {
    return this.open.getStore() ? work() : this.em.transactional(() => this.open.run({ id, why, undoes }, work));
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
