import type { EntityManager } from '@mikro-orm/postgresql';
import type { FieldProblem } from '@wheat-ledger/contract';
import type { Stored } from './stored.entity.js';

/** A record that is named somewhere in an input. */
export interface Named {
  readonly path: string;
  readonly id: string;
}

/** A problem for each path whose record is not in this workspace, present or taken out, found in one query. */
export async function missingRecords(
  em: EntityManager,
  entity: new () => Stored,
  workspace: string,
  wanted: readonly Named[],
  message: string,
): Promise<FieldProblem[]> {
  if (wanted.length === 0) return [];
  const ids = [...new Set(wanted.map((w) => w.id))];
  const found: readonly Stored[] = await em.find<Stored>(entity, { workspace, id: { $in: ids } });
  const known = new Set(found.map((record) => record.id));
  return wanted.filter((w) => !known.has(w.id)).map(({ path }) => ({ path, message }));
}
