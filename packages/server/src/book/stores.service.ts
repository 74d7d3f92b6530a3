import { Injectable } from '@nestjs/common';
import type { RecordKind } from '@wheat-ledger/contract';
import { ClaimStore } from '../claims/claim.store.js';
import type { RecordStore } from '../common/recordStore.js';
import type { Stored } from '../common/stored.entity.js';
import { PlotStore } from '../ground/plot.store.js';
import { SoilReportStore } from '../ground/soilReport.store.js';
import { RecipeStore } from '../mix/recipe.store.js';
import { ProductStore } from '../shelf/product.store.js';

export type AnyStore = RecordStore<Stored, object>;

/** Every kind of record's store, for what concerns them all alike: undo, export, import. */
@Injectable()
export class Stores {
  private readonly byKind: Readonly<Record<RecordKind, unknown>>;

  constructor(plot: PlotStore, product: ProductStore, recipe: RecipeStore, claim: ClaimStore, soil: SoilReportStore) {
    this.byKind = { plot, product, recipe, claim, soil };
  }

  of(kind: RecordKind): AnyStore {
    return this.byKind[kind] as AnyStore;
  }
}
