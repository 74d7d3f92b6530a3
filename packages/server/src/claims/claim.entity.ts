import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { ClaimInput } from '@wheat-ledger/contract';
import type { Nutrient } from '@wheat-ledger/core';
import { Stored } from '../records/stored.entity.js';

/** What a claim says besides what has a column of its own. */
export type ClaimDetails = Omit<ClaimInput, 'statement' | 'saidBy' | 'productId' | 'crop' | 'needs' | 'studies'>;

/** A claim; its statement is its name. */
@Entity({ tableName: 'claim' })
export class ClaimEntity extends Stored {
  @Property({ type: 'text', fieldName: 'said_by' })
  saidBy!: string;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  productId!: string;

  @Property({ type: 'text' })
  crop!: string;

  @Property({ type: 'json' })
  needs: Nutrient[] = [];

  @Property({ type: 'json' })
  details: ClaimDetails = {};
}

/** A study that is weighed for a claim. */
@Entity({ tableName: 'claim_study' })
export class ClaimStudy {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'claim_id' })
  claim!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'study_id' })
  studyId!: string;

  @Property({ type: 'text', fieldName: 'left_out' })
  leftOut!: string;
}

/** A claim with its studies. */
export interface ClaimRow extends ClaimEntity {
  readonly studies: readonly ClaimStudy[];
}
