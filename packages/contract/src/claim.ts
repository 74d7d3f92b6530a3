import { ArrayMaxSize, IsArray, IsUUID } from 'class-validator';
import { NUTRIENTS, type Nutrient } from '@wheat-ledger/core';
import { EachOneOf, OneOf, Text } from './decorators.js';
import { CROP_KEYS } from './crop.js';

export class ClaimInput {
  @Text(1, 500, 'the claim, as it is made')
  statement!: string;

  @Text(0, 120, 'who says it')
  saidBy!: string;

  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;

  @OneOf(CROP_KEYS, 'a crop')
  crop!: string;

  @IsArray()
  @ArrayMaxSize(12, { message: 'Expected at most 12 elements.' })
  @EachOneOf(NUTRIENTS, 'an element')
  needs!: Nutrient[];
}
