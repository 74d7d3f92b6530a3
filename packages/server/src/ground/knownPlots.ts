import type { EntityManager } from '@mikro-orm/postgresql';
import type { FieldProblem } from '@wheat-ledger/contract';
import { Plot } from './plot.entity.js';

/** A problem when the plot is not in this workspace. */
export const missingPlot = async (em: EntityManager, workspace: string, plotId: string): Promise<FieldProblem[]> =>
  (await em.count(Plot, { id: plotId, workspace })) > 0
    ? []
    : [{ path: 'plotId', message: 'There is no such plot here.' }];
