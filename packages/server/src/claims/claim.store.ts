import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ClaimInput, FieldProblem } from '@wheat-ledger/contract';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { ClaimEntity } from './claim.entity.js';

@Injectable()
export class ClaimStore extends RecordStore<ClaimEntity, ClaimInput> {
  readonly kind = 'claim';
  protected readonly entity = ClaimEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: ClaimInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    return missingProducts(em, this.scope.id, [{ path: 'productId', id: input.productId }]);
  }

  protected columns({ statement, saidBy, productId, crop, needs }: ClaimInput): Columns {
    return { own: { name: statement, saidBy, productId, crop, needs: [...new Set(needs)] } };
  }

  protected toInput({ name, saidBy, productId, crop, needs }: ClaimEntity): ClaimInput {
    return { statement: name, saidBy, productId, crop, needs };
  }
}
