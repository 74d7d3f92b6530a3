import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { FieldProblem, HarvestInput } from '@wheat-ledger/contract';
import { formatGiven } from '@wheat-ledger/core';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { OnGround } from './onGround.entity.js';
import { missingGround } from './missingGround.js';

@Entity({ tableName: 'harvest' })
export class HarvestEntity extends OnGround {
  @Property({ type: 'double' })
  kg!: number;

  @Property({ type: 'double', nullable: true })
  count: number | null = null;

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class HarvestStore extends RecordStore<HarvestEntity, HarvestInput> {
  readonly kind = 'harvest';
  protected readonly entity = HarvestEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override problems(input: HarvestInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    return missingGround(em, this.scope.id, input);
  }

  protected columns({ plotId, seasonId, on, kg, count, note }: HarvestInput): Columns {
    const name = `${formatGiven(kg)} kg harvested`;
    return { own: { name, plotId, seasonId: seasonId ?? null, on, kg, count: count ?? null, note } };
  }

  protected toInput({ plotId, seasonId, on, kg, count, note }: HarvestEntity): HarvestInput {
    return {
      plotId,
      ...(seasonId === null ? {} : { seasonId }),
      on,
      kg,
      ...(count === null ? {} : { count }),
      note,
    };
  }
}
