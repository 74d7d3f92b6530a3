import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { Aim, TargetKind } from '@wheat-ledger/core';
import type { AimWeightsInput, RecipeRuleInput } from '@wheat-ledger/contract';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'recipe' })
export class Recipe extends Stored {
  @Property({ type: 'text' })
  target!: string;

  @Property({ type: 'text' })
  strength!: TargetKind;

  @Property({ type: 'double' })
  tolerance!: number;

  @Property({ type: 'text', fieldName: 'measured_by' })
  by!: 'weight' | 'volume';

  @Property({ type: 'double', fieldName: 'batch_kg' })
  batchKg!: number;

  @Property({ type: 'text', nullable: true })
  aim: Aim | null = null;

  @Property({ type: 'json', nullable: true })
  weights: AimWeightsInput | null = null;

  @Property({ type: 'text', fieldName: 'one_part', nullable: true })
  onePart: string | null = null;

  @Property({ type: 'text', fieldName: 'made_for', nullable: true })
  madeFor: string | null = null;

  @Property({ type: 'text', nullable: true })
  hold: 'low' | null = null;
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

  @Property({ type: 'text', nullable: true })
  unit: string | null = null;
}

/** What a rule says besides the bag it is of. */
export type RuleSaying = Omit<RecipeRuleInput, 'productId'>;

@Entity({ tableName: 'recipe_rule' })
export class RecipeRule {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'recipe_id' })
  recipe!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'product_id', nullable: true })
  productId: string | null = null;

  @Property({ type: 'json' })
  saying!: RuleSaying;
}

/** A recipe with its parts and its rules. */
export interface RecipeRow extends Recipe {
  readonly parts: readonly RecipePart[];
  readonly rules: readonly RecipeRule[];
}
