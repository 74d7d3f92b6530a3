import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'recipe' })
export class Recipe extends Stored {
  @Property({ type: 'text' })
  target!: string;

  @Property({ type: 'text' })
  strength!: 'grade' | 'ratio';

  @Property({ type: 'double' })
  tolerance!: number;

  @Property({ type: 'text', fieldName: 'measured_by' })
  by!: 'weight' | 'volume';

  @Property({ type: 'double', fieldName: 'batch_kg' })
  batchKg!: number;
}

@Entity({ tableName: 'recipe_part' })
export class RecipePart {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'recipe_id' })
  recipe!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  productId!: string;

  @Property({ type: 'double' })
  parts!: number;
}

/** A recipe with its parts. */
export interface RecipeRow extends Recipe {
  readonly parts: readonly RecipePart[];
}
