import { LockMode, type EntityManager, type FilterQuery, type QueryOrderMap } from '@mikro-orm/postgresql';
import type { WorkspaceScope } from '../common/workspaceScope.js';

/** Rows in one statement. */
const MOST_ROWS = 1000;

/** A table, named by its entity. */
export type Table = new () => object;
type Where = FilterQuery<object> & object;

export interface FindRows {
  readonly orderBy?: readonly QueryOrderMap<object>[];
  readonly limit?: number;
  /** Held until the transaction ends. */
  readonly lock?: boolean;
}

/**
 * Rows of the workspace's tables, read and written by property name in the transaction that is open. Every statement names the workspace, and
 * nothing watches the rows afterwards: a list is read far more often than changed, and thousands of watched entities would cost more than writing them.
 */
export class Rows {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {}

  async find<Row extends object>(
    table: new () => object,
    where: object,
    { orderBy = [], limit, lock }: FindRows = {},
  ): Promise<Row[]> {
    const { className } = this.em.getMetadata().get(table.name);
    const ctx: unknown = this.em.getTransactionContext();
    const found: object[] = await this.em.getDriver().find<object>(className, this.here(where), {
      orderBy: [...orderBy],
      ctx,
      ...(limit === undefined ? {} : { limit }),
      ...(lock ? { lockMode: LockMode.PESSIMISTIC_WRITE } : {}),
    });
    return found as Row[];
  }

  count(table: Table, where: object): Promise<number> {
    return this.em.count<object>(table, this.here(where));
  }

  async insert(table: Table, rows: readonly object[]): Promise<void> {
    for (let from = 0; from < rows.length; from += MOST_ROWS)
      await this.em.insertMany<object>(
        table,
        rows.slice(from, from + MOST_ROWS).map((row) => ({ ...row, workspace: this.scope.id })),
      );
  }

  async update(table: Table, where: object, data: object): Promise<void> {
    await this.em.nativeUpdate<object>(table, this.here(where), data);
  }

  async delete(table: Table, where: object): Promise<void> {
    await this.em.nativeDelete<object>(table, this.here(where));
  }

  private here(where: object): Where {
    return { ...where, workspace: this.scope.id };
  }
}
