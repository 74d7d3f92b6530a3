import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { ApplicationInput } from '@wheat-ledger/contract';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'programme' })
export class ProgrammeEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'season_id' })
  seasonId!: string;

  @Property({ type: 'text' })
  note!: string;
}

/** How much, when, where and on which part. */
export type Doing = Omit<ApplicationInput, 'productId' | 'recipeId'>;

@Entity({ tableName: 'application' })
export class ApplicationLine {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'programme_id' })
  programme!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'product_id', nullable: true })
  productId: string | null = null;

  @Property({ type: 'uuid', fieldName: 'recipe_id', nullable: true })
  recipeId: string | null = null;

  @Property({ type: 'json' })
  doing!: Doing;
}

/** A programme with what is given in it. */
export interface ProgrammeRow extends ProgrammeEntity {
  readonly applications: readonly ApplicationLine[];
}
