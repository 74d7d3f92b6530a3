import { Entity, Property } from '@mikro-orm/core';
import type { Nutrient } from '@wheat-ledger/core';
import { Stored } from '../records/stored.entity.js';

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
}
