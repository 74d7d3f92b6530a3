import { defineConfig, type MikroORM } from '@mikro-orm/postgresql';
import { Migrator, type Migration } from '@mikro-orm/migrations';
import type { Type } from '@nestjs/common';
import { KeptSearchEntity } from '../catalogue/keptSearch.store.js';
import { JournalEntry } from '../book/journal.entity.js';
import { ClaimEntity, ClaimStudy } from '../claims/claim.entity.js';
import { BenchPlace } from '../ledgers/benchPlace.entity.js';
import { Workspace } from '../ledgers/workspace.entity.js';
import { Plot } from '../ground/plot.entity.js';
import { Recipe, RecipePart, RecipeRule } from '../mix/recipe.entity.js';
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
import { Migration0011Stock } from './migrations/Migration0011Stock.js';
import { Migration0012Details } from './migrations/Migration0012Details.js';
import { Migration0013Seasons } from './migrations/Migration0013Seasons.js';
import { Migration0014Bench } from './migrations/Migration0014Bench.js';
import { Migration0015Incubations } from './migrations/Migration0015Incubations.js';
import { Migration0016OwnFigures } from './migrations/Migration0016OwnFigures.js';
import { Migration0017Advice } from './migrations/Migration0017Advice.js';
import { Migration0018RecipeRules } from './migrations/Migration0018RecipeRules.js';
import { Migration0019RecipeAmounts } from './migrations/Migration0019RecipeAmounts.js';
import { Migration0020Heaps } from './migrations/Migration0020Heaps.js';
import { Migration0021AimWeights } from './migrations/Migration0021AimWeights.js';
import { Migration0022Studies } from './migrations/Migration0022Studies.js';
import { Migration0023Log } from './migrations/Migration0023Log.js';
import { Migration0024Limits } from './migrations/Migration0024Limits.js';
import { Migration0025Measured } from './migrations/Migration0025Measured.js';
import { Migration0026Trials } from './migrations/Migration0026Trials.js';
import { Migration0027UnitPhotos } from './migrations/Migration0027UnitPhotos.js';
import { Migration0028Catalogue } from './migrations/Migration0028Catalogue.js';
import { Migration0029Progress } from './migrations/Migration0029Progress.js';
import { Migration0030Packages } from './migrations/Migration0030Packages.js';
import { Migration0031Counts } from './migrations/Migration0031Counts.js';
import { Migration0032Searches } from './migrations/Migration0032Searches.js';
import { Migration0033WordsRanked } from './migrations/Migration0033WordsRanked.js';
import { Migration0034CatalogueWords } from './migrations/Migration0034CatalogueWords.js';
import { Migration0035AllRanked } from './migrations/Migration0035AllRanked.js';
import { StudyEntity } from '../claims/study.store.js';
import { CropEntity } from '../season/crop.store.js';
import { ApplicationLine, ProgrammeEntity } from '../season/programme.entity.js';
import { SeasonEntity } from '../season/season.store.js';
import { Operation } from '../records/operation.entity.js';
import { HeapEntity } from '../mix/heap.store.js';
import { JarTestEntity } from '../ground/jarTest.store.js';
import { LoggerEntity } from '../ground/logger.store.js';
import { SoilFigureLine, SoilReportEntity } from '../ground/soilReport.entity.js';
import { AttachmentContent, AttachmentEntity } from '../shelf/attachment.entity.js';
import { EntryEntity, EntryItem } from '../rounds/entry.entity.js';
import { HarvestEntity } from '../rounds/harvest.store.js';
import { LeafTestEntity, PourEntity } from '../rounds/measured.store.js';
import { TrialEntity, TrialSheetEntity } from '../trials/trial.store.js';
import { MovementEntity } from '../shelf/movement.store.js';
import { ShelfFilterEntity } from '../shelf/shelfFilter.store.js';

/** Every table's entity. */
export const ENTITIES: Type<object>[] = [
  Workspace,
  BenchPlace,
  Plot,
  SoilReportEntity,
  SoilFigureLine,
  ProductEntity,
  AnalysisLine,
  OfferLine,
  Recipe,
  RecipePart,
  RecipeRule,
  ClaimEntity,
  ClaimStudy,
  StudyEntity,
  Operation,
  MovementEntity,
  JournalEntry,
  AttachmentContent,
  AttachmentEntity,
  JarTestEntity,
  HeapEntity,
  EntryEntity,
  EntryItem,
  HarvestEntity,
  LeafTestEntity,
  TrialEntity,
  TrialSheetEntity,
  PourEntity,
  LoggerEntity,
  ShelfFilterEntity,
  KeptSearchEntity,
  CropEntity,
  SeasonEntity,
  ProgrammeEntity,
  ApplicationLine,
];

/** In the order they are made. */
export const MIGRATIONS: (new (...args: ConstructorParameters<typeof Migration>) => Migration)[] = [
  Migration0001First,
  Migration0002Shelf,
  Migration0003Ground,
  Migration0004Papers,
  Migration0005Filters,
  Migration0006Directions,
  Migration0007Mend,
  Migration0008Lines,
  Migration0009Operations,
  Migration0010Ledgers,
  Migration0011Stock,
  Migration0012Details,
  Migration0013Seasons,
  Migration0014Bench,
  Migration0015Incubations,
  Migration0016OwnFigures,
  Migration0017Advice,
  Migration0018RecipeRules,
  Migration0019RecipeAmounts,
  Migration0020Heaps,
  Migration0021AimWeights,
  Migration0022Studies,
  Migration0023Log,
  Migration0024Limits,
  Migration0025Measured,
  Migration0026Trials,
  Migration0027UnitPhotos,
  Migration0028Catalogue,
  Migration0029Progress,
  Migration0030Packages,
  Migration0031Counts,
  Migration0032Searches,
  Migration0033WordsRanked,
  Migration0034CatalogueWords,
  Migration0035AllRanked,
];

/** The database as the server uses it: entities and migrations named outright, no folder scanned, no schema sync. */
export const ormConfig = (clientUrl: string) =>
  defineConfig({
    clientUrl,
    entities: [...ENTITIES],
    extensions: [Migrator],
    migrations: {
      migrationsList: MIGRATIONS.map((migration) => ({ name: migration.name, class: migration })),
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

/** A database that this program must not be started on, in words. */
export class UnfitDatabase extends Error {}

/** Refuses a database that is not written in UTF-8, or that a newer version of the program has changed. */
async function checkFits(orm: MikroORM): Promise<void> {
  const connection = orm.em.getConnection();
  const [encoding] = await connection.execute<{ server_encoding: string }[]>('show server_encoding');
  if (encoding?.server_encoding !== 'UTF8')
    throw new UnfitDatabase(
      `The database is written in ${encoding?.server_encoding ?? 'another encoding'}, and the ledger needs UTF8. Make one with: create database NAME encoding 'UTF8' template template0`,
    );
  const known = new Set<string>(MIGRATIONS.map((migration) => migration.name));
  const [table] = await connection.execute<{ there: string | null }[]>("select to_regclass('migration') as there");
  if (!table?.there) return;
  const done = await connection.execute<{ name: string }[]>('select name from migration');
  const newer = done.find(({ name }) => !known.has(name));
  if (newer)
    throw new UnfitDatabase(
      `The database was changed by a newer version of Wheat Ledger (${newer.name}). Start that version, or restore a backup made before it: npm run restore FILE`,
    );
}

/** Brings the database to what this program expects. @throws UnfitDatabase where it must not be touched */
export const migrate = (orm: MikroORM): Promise<unknown> =>
  alone(orm, async () => {
    await checkFits(orm);
    await orm.getMigrator().up();
  });
