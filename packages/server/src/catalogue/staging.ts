import { once } from 'node:events';
import { finished } from 'node:stream/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import { from as copyFrom } from 'pg-copy-streams';
import { withConnection } from '../database/connections.js';
import { STAGED, type RowsRead } from './readRows.worker.js';

/** Rows that could not be read are told no further. */
export const MOST_PROBLEMS = 200;

/** Takes lines that the database copies into the staging table. */
type Write = (lines: Uint8Array) => Promise<void>;

/** Copies into the staging table what some work writes; all of it is there when this is over, or nothing. */
async function copyStaged<T>(em: EntityManager, work: (write: Write) => Promise<T>): Promise<T> {
  return withConnection(em, async (connection) => {
    const copy = connection.query(copyFrom(`copy catalogue_staging (${STAGED.join(', ')}) from stdin`));
    const done = finished(copy);
    // Told where it is awaited.
    done.catch(() => undefined);
    try {
      const found = await work(async (lines) => {
        if (lines.length > 0 && !copy.write(lines)) await once(copy, 'drain');
      });
      copy.end();
      await done;
      return found;
    } catch (error) {
      copy.destroy(error instanceof Error ? error : new Error('stopped'));
      await done.catch(() => undefined);
      throw error;
    }
  });
}

/** Works at a few pieces at once as they come, and hands over what they became in their order. @param most pieces that are worked at */
export async function inOrder<Piece, Made>(
  pieces: AsyncIterable<Piece>,
  most: number,
  work: (piece: Piece) => Promise<Made>,
  handOver: (made: Made) => Promise<void>,
): Promise<void> {
  const underWay: Promise<Made>[] = [];
  const settle = async (): Promise<void> => {
    const [first] = underWay.splice(0, 1);
    if (first) await handOver(await first);
  };
  for await (const piece of pieces) {
    const made = work(piece);
    // Told where it is awaited.
    made.catch(() => undefined);
    underWay.push(made);
    if (underWay.length >= most) await settle();
  }
  while (underWay.length > 0) await settle();
}

/**
 * Reads pieces of an upload a few at a time and copies what they become into the staging table.
 * @param most pieces that are worked at
 * @returns how many rows there were, how many could be read, and what was wrong with the others
 */
export async function stageInOrder<Piece>(
  em: EntityManager,
  pieces: AsyncIterable<Piece>,
  most: number,
  read: (piece: Piece) => Promise<RowsRead>,
): Promise<Omit<RowsRead, 'copy'>> {
  const found = { rows: 0, good: 0, problems: [] as { row: number; message: string }[] };
  await copyStaged(em, (write) =>
    inOrder(pieces, most, read, async ({ copy, rows, good, problems }) => {
      found.rows += rows;
      found.good += good;
      found.problems.push(...problems.slice(0, MOST_PROBLEMS - found.problems.length));
      await write(copy);
    }),
  );
  return found;
}
