import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { FieldProblem, LeafTestInput, OnGroundInput, PourInput } from '@wheat-ledger/contract';
import { formatGiven } from '@wheat-ledger/core';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { detailsOf } from '../records/details.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { OnGround } from './onGround.entity.js';
import { missingGround } from './missingGround.js';

/** What was measured on some ground on a day. */
abstract class Measured extends OnGround {
  @Property({ type: 'json' })
  details!: object;
}

@Entity({ tableName: 'leaf_test' })
export class LeafTestEntity extends Measured {}

@Entity({ tableName: 'pour_reading' })
export class PourEntity extends Measured {}

/** Keeps what was measured: its ground and day as columns, the rest as it came. */
abstract class MeasuredStore<Input extends OnGroundInput> extends RecordStore<Measured, Input> {
  protected abstract nameOf(input: Input): string;

  protected override problems(input: Input, em: EntityManager): Promise<readonly FieldProblem[]> {
    return missingGround(em, this.scope.id, input);
  }

  protected columns(input: Input): Columns {
    const { plotId, seasonId, on, ...details } = input;
    return {
      own: { name: this.nameOf(input), plotId, seasonId: seasonId ?? null, on, details: detailsOf(details) },
    };
  }

  protected toInput({ plotId, seasonId, on, details }: Measured): Input {
    return { plotId, ...(seasonId === null ? {} : { seasonId }), on, ...details } as Input;
  }
}

@Injectable()
export class LeafTestStore extends MeasuredStore<LeafTestInput> {
  readonly kind = 'leaf';
  protected readonly entity = LeafTestEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected nameOf({ part }: LeafTestInput): string {
    return `leaf test, ${part}`;
  }
}

@Injectable()
export class PourStore extends MeasuredStore<PourInput> {
  readonly kind = 'pour';
  protected readonly entity = PourEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected nameOf({ ecMsPerCm }: PourInput): string {
    return `${formatGiven(ecMsPerCm)} mS/cm through the pot`;
  }
}
