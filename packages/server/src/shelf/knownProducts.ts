import type { EntityManager } from '@mikro-orm/postgresql';
import type { FieldProblem } from '@wheat-ledger/contract';
import { missingRecords, type Named } from '../records/missing.js';
import { ProductEntity } from './product.entity.js';

/** A problem for each path whose product is not in this workspace. */
export const missingProducts = (
  em: EntityManager,
  workspace: string,
  wanted: readonly Named[],
): Promise<FieldProblem[]> =>
  missingRecords(em, ProductEntity, workspace, wanted, 'That product is not on this shelf.');
