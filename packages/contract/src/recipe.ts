import { IsUUID } from 'class-validator';
import { NumberBetween, OneOf, Parts, Text } from './decorators.js';

export class RecipePartInput {
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;

  @NumberBetween(0, 1e6, 'a number of parts')
  parts!: number;
}

/** A mix as the grower keeps it: the target it was solved for, or the parts that were typed. */
export class RecipeInput {
  @Text(1, 120, 'a name')
  name!: string;

  @Text(0, 80, 'a target')
  target!: string;

  @OneOf(['grade', 'ratio'], 'a kind of target')
  strength!: 'grade' | 'ratio';

  @NumberBetween(0, 0.5, 'a tolerance')
  tolerance!: number;

  @OneOf(['weight', 'volume'], 'a way to measure parts')
  by!: 'weight' | 'volume';

  @Parts(() => RecipePartInput, 40, 'parts')
  parts!: RecipePartInput[];

  @NumberBetween(0.001, 1e6, 'a batch in kg')
  batchKg!: number;
}
