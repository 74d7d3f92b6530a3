import { defineConfig } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import { JournalEntry } from '../book/journal.entity.js';
import { ClaimEntity } from '../claims/claim.entity.js';
import { Workspace } from '../common/workspace.entity.js';
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
      ],
      snapshot: false,
      silent: true,
      tableName: 'migration',
    },
    forceUtcTimezone: true,
    debug: false,
  });
