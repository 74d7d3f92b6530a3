import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';

/** One place on a ledger's bench: a bag or a recipe. */
@Entity({ tableName: 'bench_place' })
export class BenchPlace {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'product_id', nullable: true })
  productId!: string | null;

  @Property({ type: 'uuid', fieldName: 'recipe_id', nullable: true })
  recipeId!: string | null;

  @Property({ type: 'boolean' })
  aside!: boolean;
}
