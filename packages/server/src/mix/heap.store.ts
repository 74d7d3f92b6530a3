import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import type { HeapEntryInput, HeapInput, HeapPartInput } from '@wheat-ledger/contract';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'heap' })
export class HeapEntity extends Stored {
  @Property({ type: 'date', fieldName: 'begun_on', nullable: true })
  begunOn: string | null = null;

  @Property({ type: 'double', fieldName: 'bin_l', nullable: true })
  binL: number | null = null;

  @Property({ type: 'json' })
  parts!: HeapPartInput[];

  @Property({ type: 'json' })
  log!: HeapEntryInput[];

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class HeapStore extends RecordStore<HeapEntity, HeapInput> {
  readonly kind = 'heap';
  protected readonly entity = HeapEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected columns({ name, begunOn, binL, parts, log, note }: HeapInput): Columns {
    const plain = (list: object[]): object => instanceToPlain(list, { exposeUnsetFields: false });
    return {
      own: { name, begunOn: begunOn ?? null, binL: binL ?? null, parts: plain(parts), log: plain(log), note },
    };
  }

  protected toInput({ name, begunOn, binL, parts, log, note }: HeapEntity): HeapInput {
    return {
      name,
      ...(begunOn === null ? {} : { begunOn }),
      ...(binL === null ? {} : { binL }),
      parts,
      log,
      note,
    };
  }
}
