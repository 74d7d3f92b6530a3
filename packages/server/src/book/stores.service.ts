import { Injectable } from '@nestjs/common';
import type { RecordKind } from '@wheat-ledger/contract';
import { ClaimStore } from '../claims/claim.store.js';
import type { RecordStore } from '../common/recordStore.js';
import type { Stored } from '../common/stored.entity.js';
import { JarTestStore } from '../ground/jarTest.store.js';
import { LoggerStore } from '../ground/logger.store.js';
import { PlotStore } from '../ground/plot.store.js';
import { SoilReportStore } from '../ground/soilReport.store.js';
import { RecipeStore } from '../mix/recipe.store.js';
import { AttachmentStore } from '../shelf/attachment.store.js';
import { ProductStore } from '../shelf/product.store.js';
import { ShelfFilterStore } from '../shelf/shelfFilter.store.js';

export type AnyStore = RecordStore<Stored, object>;

/** Every kind of record's store, for what concerns them all alike: undo, export, import. */
@Injectable()
export class Stores {
  private readonly byKind: Readonly<Record<RecordKind, unknown>>;

  constructor(
    plot: PlotStore,
    product: ProductStore,
    recipe: RecipeStore,
    claim: ClaimStore,
    soil: SoilReportStore,
    attachment: AttachmentStore,
    jar: JarTestStore,
    logger: LoggerStore,
    filter: ShelfFilterStore,
  ) {
    this.byKind = { plot, product, recipe, claim, soil, attachment, jar, logger, filter };
  }

  of(kind: RecordKind): AnyStore {
    return this.byKind[kind] as AnyStore;
  }
}
