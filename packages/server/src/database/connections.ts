import type { EntityManager } from '@mikro-orm/postgresql';
import type { Client } from 'pg';

/** What of the pool is used here. */
interface Pool {
  acquireConnection(): Promise<Client>;
  releaseConnection(connection: Client): Promise<void>;
  /** Calls off what a connection works at, over one of its own that is none of the pool. */
  cancelQuery(connection: Client): Promise<unknown>;
}
const poolOf = (em: EntityManager): Pool => em.getConnection().getKnex().client as Pool;

/** Does some work with a connection of the pool, and gives it back. */
export async function withConnection<T>(em: EntityManager, work: (connection: Client) => Promise<T>): Promise<T> {
  const pool = poolOf(em);
  const connection = await pool.acquireConnection();
  try {
    return await work(connection);
  } finally {
    await pool.releaseConnection(connection);
  }
}

/**
 * Rows that a statement finds. Once nobody waits for them any more it is called off in the database too, where it would go on otherwise.
 * @param sql with a question mark for each of the values
 * @param waiting aborted when nobody waits
 * @throws whatever the database says, also that it was called off
 */
export function rowsWhileAwaited<Row>(
  em: EntityManager,
  sql: string,
  values: readonly unknown[],
  waiting: AbortSignal,
): Promise<readonly Row[]> {
  return withConnection(em, async (connection) => {
    waiting.throwIfAborted();
    let calledOff: Promise<unknown> | undefined;
    const callOff = (): void => {
      // Where that fails, the statement goes on to its end.
      calledOff = poolOf(em)
        .cancelQuery(connection)
        .catch(() => undefined);
    };
    waiting.addEventListener('abort', callOff, { once: true });
    try {
      const knex = em.getConnection().getKnex();
      const found = (await knex.raw(sql, [...values] as never).connection(connection)) as { readonly rows: Row[] };
      return found.rows;
    } finally {
      waiting.removeEventListener('abort', callOff);
      // Whoever has the connection next must not be called off in its place.
      await calledOff;
    }
  });
}
