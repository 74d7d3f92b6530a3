import type { EntityManager } from '@mikro-orm/postgresql';
import type { FieldProblem } from '@wheat-ledger/contract';
import { ProductEntity } from './product.entity.js';

/** A problem for each path whose product is not in this workspace, found in one query. */
export async function missingProducts(
  em: EntityManager,
  workspace: string,
  wanted: readonly { readonly path: string; readonly id: string }[],
): Promise<FieldProblem[]> {
  if (wanted.length === 0) return [];
  const found = await em.find(
    ProductEntity,
    { workspace, id: { $in: [...new Set(wanted.map((w) => w.id))] } },
    { fields: ['id'] },
  );
  const known = new Set(found.map((p) => p.id));
  return wanted
    .filter((w) => !known.has(w.id))
    .map(({ path }) => ({ path, message: 'That product is not on this shelf.' }));
}
