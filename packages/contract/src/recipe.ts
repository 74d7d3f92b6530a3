import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsUUID, ValidateNested } from 'class-validator';
import { NumberBetween, OneOf, Text } from './decorators.js';

export class RecipePartInput {
  @IsUUID('4', { message: 'Expected a product of this workspace.' })
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

  @IsArray()
  @ArrayMaxSize(40, { message: 'Expected at most 40 parts.' })
  @ValidateNested({ each: true })
  @Type(() => RecipePartInput)
  parts!: RecipePartInput[];

  @NumberBetween(0.001, 1e6, 'a batch in kg')
  batchKg!: number;
}
