import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import { cropProblems, type CropInput, type FieldProblem } from '@wheat-ledger/contract';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';

type Details = Omit<CropInput, 'name' | 'note'>;

@Entity({ tableName: 'crop' })
export class CropEntity extends Stored {
  /** What the grower says of it; the rest is read from the library. */
  @Property({ type: 'json' })
  details!: Details;

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class CropStore extends RecordStore<CropEntity, CropInput> {
  readonly kind = 'crop';
  protected readonly entity = CropEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override problems(input: CropInput): Promise<readonly FieldProblem[]> {
    return Promise.resolve(cropProblems(input));
  }

  protected columns({ name, note, ...details }: CropInput): Columns {
    return { own: { name, note, details: instanceToPlain(details, { exposeUnsetFields: false }) } };
  }

  protected toInput({ name, note, details }: CropEntity): CropInput {
    return { name, ...details, note };
  }
}
