import { IsBoolean } from 'class-validator';
import {
  NUTRIENTS,
  ORGANIC_STATUSES,
  ORIGINS,
  PRODUCT_FORMS,
  type Nutrient,
  type OrganicStatus,
  type Origin,
  type ProductForm,
} from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Part, Text } from './decorators.js';

/** Which bags are wanted; what is missing does not matter. */
export class ShelfFilterInput {
  @Text(0, 200, 'words')
  text!: string;

  @Maybe()
  @OneOf(NUTRIENTS, 'a nutrient')
  nutrient?: Nutrient;

  /** Per cent of the element by mass; with a nutrient and no number, any declared amount will do. */
  @Maybe()
  @NumberBetween(0, 100, 'a percentage')
  atLeastPercent?: number;

  @Maybe()
  @OneOf(PRODUCT_FORMS, 'a form')
  form?: ProductForm;

  @Maybe()
  @OneOf(ORIGINS, 'an origin')
  origin?: Origin;

  @Maybe()
  @OneOf(ORGANIC_STATUSES, 'yes, no or unknown')
  organic?: OrganicStatus;

  @Maybe()
  @IsBoolean({ message: 'Expected yes or no.' })
  priced?: boolean;

  @Maybe()
  @IsBoolean({ message: 'Expected yes or no.' })
  inStock?: boolean;
}

/** A filter of the shelf, kept under a name. */
export class KeptFilterInput {
  @Text(1, 80, 'a name')
  name!: string;

  @Part(() => ShelfFilterInput, 'a filter')
  filter!: ShelfFilterInput;
}
