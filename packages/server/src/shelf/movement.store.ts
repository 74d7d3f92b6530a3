import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import type { FieldProblem, Kept, MovementInput } from '@wheat-ledger/contract';
import { formatGiven, STOCK_REASON_WORDS, type StockReason } from '@wheat-ledger/core';
import { ProblemException } from '../common/problems.js';
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

  @Property({ type: 'uuid', fieldName: 'entry_id', nullable: true })
  entryId: string | null = null;
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

  override async update(id: string, version: number, input: MovementInput): Promise<MovementInput & Kept> {
    await this.byHand(id);
    return super.update(id, version, input);
  }
  override async remove(id: string, version: number): Promise<MovementInput & Kept> {
    await this.byHand(id);
    return super.remove(id, version);
  }
  /** What a log entry took stays with it. */
  private async byHand(id: string): Promise<void> {
    const caused = { id, workspace: this.scope.id, entryId: { $ne: null } };
    if ((await this.em.count(MovementEntity, caused)) > 0)
      throw new ProblemException(
        'of-an-entry',
        HttpStatus.CONFLICT,
        'This was taken by a log entry. Correct the entry, or undo it in the book.',
      );
  }

  protected columns({ productId, amount, unit, reason, on, lot, note, entryId }: MovementInput): Columns {
    const name = `${formatGiven(amount)} ${unit} ${STOCK_REASON_WORDS[reason]}`;
    return { own: { name, productId, amount, unit, reason, on, lot, note, entryId: entryId ?? null } };
  }

  protected toInput({ productId, amount, unit, reason, on, lot, note, entryId }: MovementEntity): MovementInput {
    return { productId, amount, unit, reason, on, lot, note, ...(entryId === null ? {} : { entryId }) };
  }
}
