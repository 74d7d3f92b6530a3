import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import type { FieldProblem, Kept, MovementInput } from '@wheat-ledger/contract';
import { formatGiven, STOCK_REASON_WORDS, stockOnHand, type StockReason } from '@wheat-ledger/core';
import { ProblemException } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { missingProducts } from './knownProducts.js';
import { ProductEntity } from './product.entity.js';

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

/** Less than this, in the unit of a stock, is the rounding of a scale. */
const HAIR = 1e-6;

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
  override remove(id: string, version: number): Promise<MovementInput & Kept> {
    return this.operations.run(async () => {
      await this.byHand(id);
      const movement = await this.get(id);
      await this.holdStockOf([movement.productId]);
      await this.notUsedSince(id, movement);
      return super.remove(id, version);
    });
  }

  /** Holds the stock of some products until the transaction ends, in the order of their ids. */
  async holdStockOf(productIds: readonly string[]): Promise<void> {
    const ids = [...new Set(productIds)];
    if (ids.length > 0)
      await this.em.execute(
        `select id from product where workspace_id = ? and id in (${ids.map(() => '?').join(', ')}) order by id for no key update`,
        [this.scope.id, ...ids],
      );
  }

  /** What came in and was used since is not taken out of the count. */
  private async notUsedSince(id: string, { productId, amount }: MovementInput): Promise<void> {
    const all = await this.em.find(MovementEntity, { workspace: this.scope.id, deletedAt: null, productId });
    const product = await this.em.findOneOrFail(ProductEntity, { id: productId, workspace: this.scope.id });
    const bag = { name: product.name, densityKgPerL: product.densityKgPerL ?? undefined };
    const left = stockOnHand(
      bag,
      all.filter((m) => m.id !== id),
    );
    if (amount <= 0 || left.kind !== 'figure' || left.figure.value.mid >= -HAIR) return;
    const missing = `${formatGiven(Number((-left.figure.value.mid).toPrecision(4)))} ${left.figure.unit.text}`;
    throw new ProblemException(
      'used-since',
      HttpStatus.CONFLICT,
      `${product.name} was used since: without this, ${missing} more went out than came in. Correct what was used first, or enter a count.`,
    );
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
