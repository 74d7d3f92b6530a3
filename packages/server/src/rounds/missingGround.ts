import type { EntityManager } from '@mikro-orm/postgresql';
import type { EntryInput, FieldProblem } from '@wheat-ledger/contract';
import { missingPlot } from '../ground/knownPlots.js';
import { missingRecords } from '../records/missing.js';
import { SeasonEntity } from '../season/season.store.js';

/** A problem where the plot or the season is not in this workspace. */
export const missingGround = async (
  em: EntityManager,
  workspace: string,
  { plotId, seasonId }: Pick<EntryInput, 'plotId' | 'seasonId'>,
): Promise<FieldProblem[]> => {
  const seasons = seasonId ? [{ path: 'seasonId', id: seasonId }] : [];
  return [
    ...(await missingPlot(em, workspace, plotId)),
    ...(await missingRecords(em, SeasonEntity, workspace, seasons, 'That season is not in this ledger.')),
  ];
};
