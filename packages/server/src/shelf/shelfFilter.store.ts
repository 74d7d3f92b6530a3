import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import type { ShelfFilterInput, KeptFilterInput } from '@wheat-ledger/contract';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { WorkspaceScope } from '../common/workspaceScope.js';

@Entity({ tableName: 'shelf_filter' })
export class ShelfFilterEntity extends Stored {
  @Property({ type: 'json' })
  filter!: ShelfFilterInput;
}

@Injectable()
export class ShelfFilterStore extends RecordStore<ShelfFilterEntity, KeptFilterInput> {
  readonly kind = 'filter';
  protected readonly entity = ShelfFilterEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected columns({ name, filter }: KeptFilterInput): Columns {
    return { own: { name, filter: instanceToPlain(filter, { exposeUnsetFields: false }) } };
  }

  protected toInput({ name, filter }: ShelfFilterEntity): KeptFilterInput {
    return { name, filter };
  }
}
