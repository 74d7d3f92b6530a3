import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { CatalogueSearchInput, KeptSearchInput } from '@wheat-ledger/contract';
import { detailsOf } from '../records/details.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { WorkspaceScope } from '../common/workspaceScope.js';

@Entity({ tableName: 'catalogue_search' })
export class KeptSearchEntity extends Stored {
  @Property({ type: 'json' })
  search!: CatalogueSearchInput;
}

@Injectable()
export class KeptSearchStore extends RecordStore<KeptSearchEntity, KeptSearchInput> {
  readonly kind = 'search';
  protected readonly entity = KeptSearchEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected columns({ name, search }: KeptSearchInput): Columns {
    return { own: { name, search: detailsOf(search) } };
  }

  protected toInput({ name, search }: KeptSearchEntity): KeptSearchInput {
    return { name, search };
  }
}
