import { defineConfig, type MikroORM } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import { JournalEntry } from '../book/journal.entity.js';
import { ClaimEntity } from '../claims/claim.entity.js';
import { Workspace } from '../ledgers/workspace.entity.js';
import { Plot } from '../ground/plot.entity.js';
import { Recipe, RecipePart } from '../mix/recipe.entity.js';
import { AnalysisLine, OfferLine, ProductEntity } from '../shelf/product.entity.js';
import { Migration0001First } from './migrations/Migration0001First.js';
import { Migration0002Shelf } from './migrations/Migration0002Shelf.js';
import { Migration0003Ground } from './migrations/Migration0003Ground.js';
import { Migration0004Papers } from './migrations/Migration0004Papers.js';
import { Migration0005Filters } from './migrations/Migration0005Filters.js';
import { Migration0006Directions } from './migrations/Migration0006Directions.js';
import { Migration0007Mend } from './migrations/Migration0007Mend.js';
import { Migration0008Lines } from './migrations/Migration0008Lines.js';
import { Migration0009Operations } from './migrations/Migration0009Operations.js';
import { Migration0010Ledgers } from './migrations/Migration0010Ledgers.js';
import { Operation } from '../records/operation.entity.js';
import { JarTestEntity } from '../ground/jarTest.store.js';
import { LoggerEntity } from '../ground/logger.store.js';
import { SoilFigureLine, SoilReportEntity } from '../ground/soilReport.entity.js';
import { AttachmentContent, AttachmentEntity } from '../shelf/attachment.entity.js';
import { ShelfFilterEntity } from '../shelf/shelfFilter.store.js';

/** The database as the server uses it: entities and migrations named outright, no folder scanned, no schema sync. */
export const ormConfig = (clientUrl: string) =>
  defineConfig({
    clientUrl,
    entities: [
      Workspace,
      Plot,
      SoilReportEntity,
      SoilFigureLine,
      ProductEntity,
      AnalysisLine,
      OfferLine,
      Recipe,
      RecipePart,
      ClaimEntity,
      Operation,
      JournalEntry,
      AttachmentContent,
      AttachmentEntity,
      JarTestEntity,
      LoggerEntity,
      ShelfFilterEntity,
    ],
    extensions: [Migrator],
    migrations: {
      migrationsList: [
        { name: 'Migration0001First', class: Migration0001First },
        { name: 'Migration0002Shelf', class: Migration0002Shelf },
        { name: 'Migration0003Ground', class: Migration0003Ground },
        { name: 'Migration0004Papers', class: Migration0004Papers },
        { name: 'Migration0005Filters', class: Migration0005Filters },
        { name: 'Migration0006Directions', class: Migration0006Directions },
        { name: 'Migration0007Mend', class: Migration0007Mend },
        { name: 'Migration0008Lines', class: Migration0008Lines },
        { name: 'Migration0009Operations', class: Migration0009Operations },
        { name: 'Migration0010Ledgers', class: Migration0010Ledgers },
      ],
      snapshot: false,
      silent: true,
      tableName: 'migration',
    },
    forceUtcTimezone: true,
    debug: false,
  });

/** Any number, the same for every server of a database. */
const LOCK = 4_180_001;

/** Does some work while no other server of the same database does its own: two started at once must not migrate, or load the sample, twice. */
export async function alone<T>(orm: MikroORM, work: () => Promise<T>): Promise<T> {
  const em = orm.em.fork();
  await em.begin();
  try {
    await em.execute('select pg_advisory_xact_lock(?)', [LOCK]);
    return await work();
  } finally {
    await em.rollback();
  }
}

/** Brings the database to what this program expects. */
export const migrate = (orm: MikroORM): Promise<unknown> => alone(orm, () => orm.getMigrator().up());
