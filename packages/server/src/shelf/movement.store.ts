import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { FieldProblem, MovementInput } from '@wheat-ledger/contract';
import { formatGiven, STOCK_REASON_WORDS, type StockReason } from '@wheat-ledger/core';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { missingProducts } from './knownProducts.js';

@Entity({ tableName: 'stock_movement' })
export class MovementEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'product_id' })
  productId!: string;

  @Property({ type: 'double' })
  amount!: number;

  @Property({ type: 'text' })
  unit!: string;

  @Property({ type: 'text' })
  reason!: StockReason;

  @Property({ type: 'date', fieldName: 'on_day' })
  on!: string;

  @Property({ type: 'text' })
  lot!: string;

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class MovementStore extends RecordStore<MovementEntity, MovementInput> {
  readonly kind = 'movement';
  protected readonly entity = MovementEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(
    { productId, amount }: MovementInput,
    em: EntityManager,
  ): Promise<readonly FieldProblem[]> {
    const nothing = amount === 0 ? [{ path: 'amount', message: 'Read 0, expected an amount that came or went.' }] : [];
    return [...nothing, ...(await missingProducts(em, this.scope.id, [{ path: 'productId', id: productId }]))];
  }

  protected columns({ productId, amount, unit, reason, on, lot, note }: MovementInput): Columns {
    const name = `${formatGiven(amount)} ${unit} ${STOCK_REASON_WORDS[reason]}`;
    return { own: { name, productId, amount, unit, reason, on, lot, note } };
  }

  protected toInput({ productId, amount, unit, reason, on, lot, note }: MovementEntity): MovementInput {
    return { productId, amount, unit, reason, on, lot, note };
  }
}
