import { Injectable, type Type } from '@nestjs/common';
import { ModuleRef } from '@nestjs/core';
import { kindOf, RECORD_KINDS, type RecordKind, type Use } from '@wheat-ledger/contract';
import { KeptSearchStore } from '../catalogue/keptSearch.store.js';
import { StudyStore } from '../claims/study.store.js';
import { ClaimStore } from '../claims/claim.store.js';
import { JarTestStore } from '../ground/jarTest.store.js';
import { LoggerStore } from '../ground/logger.store.js';
import { PlotStore } from '../ground/plot.store.js';
import { SoilReportStore } from '../ground/soilReport.store.js';
import { HeapStore } from '../mix/heap.store.js';
import { RecipeStore } from '../mix/recipe.store.js';
import { EntryStore } from '../rounds/entry.store.js';
import { HarvestStore } from '../rounds/harvest.store.js';
import { LeafTestStore, PourStore } from '../rounds/measured.store.js';
import { AttachmentStore } from '../shelf/attachment.store.js';
import { MovementStore } from '../shelf/movement.store.js';
import { ProductStore } from '../shelf/product.store.js';
import { ShelfFilterStore } from '../shelf/shelfFilter.store.js';
import { CropStore } from '../season/crop.store.js';
import { ProgrammeStore } from '../season/programme.store.js';
import { SeasonStore } from '../season/season.store.js';
import { TrialSheetStore, TrialStore } from '../trials/trial.store.js';
import type { RecordStore } from './recordStore.js';
import type { Stored } from './stored.entity.js';

export type AnyStore = RecordStore<Stored, object>;

/** Which store keeps which kind. */
export const STORES: Readonly<Record<RecordKind, Type<unknown>>> = {
  crop: CropStore,
  plot: PlotStore,
  season: SeasonStore,
  product: ProductStore,
  soil: SoilReportStore,
  jar: JarTestStore,
  logger: LoggerStore,
  recipe: RecipeStore,
  heap: HeapStore,
  programme: ProgrammeStore,
  study: StudyStore,
  claim: ClaimStore,
  entry: EntryStore,
  attachment: AttachmentStore,
  harvest: HarvestStore,
  leaf: LeafTestStore,
  pour: PourStore,
  trial: TrialStore,
  sheet: TrialSheetStore,
  movement: MovementStore,
  filter: ShelfFilterStore,
  search: KeptSearchStore,
};

/** Every kind of record's store, for what concerns them all alike: routes, undo, export, import. */
@Injectable()
export class Stores {
  constructor(private readonly modules: ModuleRef) {}

  of(kind: RecordKind): AnyStore {
    return this.modules.get<AnyStore>(STORES[kind], { strict: false });
  }

  /** How many present records of each kind speak of one. */
  async usesOf(kind: RecordKind, id: string): Promise<readonly Use[]> {
    const uses: Use[] = [];
    for (const user of RECORD_KINDS) {
      const counts = await Promise.all(
        kindOf(user)
          .refers.filter(({ to }) => to === kind)
          .map(({ at }) => this.of(user).countReferring(at, id)),
      );
      const count = counts.reduce((a, b) => a + b, 0);
      if (count > 0) uses.push({ kind: user, count });
    }
    return uses;
  }
}
