import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ClaimInput, FieldProblem } from '@wheat-ledger/contract';
import { missingRecords } from '../records/missing.js';
import { detailsOf } from '../records/details.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { ClaimEntity, ClaimStudy, type ClaimRow } from './claim.entity.js';
import { StudyEntity } from './study.store.js';

@Injectable()
export class ClaimStore extends RecordStore<ClaimRow, ClaimInput> {
  readonly kind = 'claim';
  protected readonly entity = ClaimEntity;
  protected override readonly lines = [{ property: 'studies', entity: ClaimStudy, owner: 'claim' }];

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(
    { productId, studies }: ClaimInput,
    em: EntityManager,
  ): Promise<readonly FieldProblem[]> {
    const named = (studies ?? []).map((s, i) => ({ path: `studies.${i}.studyId`, id: s.studyId }));
    const twice = named.filter(({ id }, i) => named.findIndex((other) => other.id === id) < i);
    return [
      ...(await missingProducts(em, this.scope.id, [{ path: 'productId', id: productId }])),
      ...(await missingRecords(em, StudyEntity, this.scope.id, named, 'That study is not in this ledger.')),
      ...twice.map(({ path }) => ({ path, message: 'That study is there twice.' })),
    ];
  }

  protected columns({ statement, saidBy, productId, crop, needs, studies, ...details }: ClaimInput): Columns {
    return {
      own: {
        name: statement,
        saidBy,
        productId,
        crop,
        needs: [...new Set(needs)],
        details: detailsOf(details),
      },
      lines: { studies: (studies ?? []).map(({ studyId, leftOut }) => ({ studyId, leftOut })) },
    };
  }

  protected toInput({ name, saidBy, productId, crop, needs, details, studies }: ClaimRow): ClaimInput {
    return {
      statement: name,
      saidBy,
      productId,
      crop,
      needs,
      ...details,
      ...(studies.length === 0 ? {} : { studies: studies.map(({ studyId, leftOut }) => ({ studyId, leftOut })) }),
    };
  }
}
