import {
  BigIntType,
  Cascade,
  Collection,
  Entity,
  ManyToOne,
  OneToMany,
  PrimaryKey,
  Property,
  type Rel,
} from '@mikro-orm/core';
import { Stored } from '../common/stored.entity.js';

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

  @OneToMany({
    entity: () => RecipePart,
    mappedBy: (part) => part.recipe,
    orderBy: { position: 'asc' },
    orphanRemoval: true,
    cascade: [Cascade.ALL],
  })
  parts = new Collection<RecipePart>(this);
}

@Entity({ tableName: 'recipe_part' })
export class RecipePart {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @ManyToOne({ entity: () => Recipe, fieldName: 'recipe_id', deleteRule: 'cascade' })
  recipe!: Rel<Recipe>;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  productId!: string;

  @Property({ type: 'double' })
  parts!: number;
}
