import { IsBoolean } from 'class-validator';
import {
  ORGANIC_STATUSES,
  PRODUCT_FORMS,
  RANKED_NUTRIENTS,
  type OrganicStatus,
  type ProductForm,
  type RankedNutrient,
} from '@wheat-ledger/core';
import { Day, Maybe, NumberBetween, OneOf, Part, Parts, Text } from './decorators.js';

/** A nutrient of which there should be so much, % by mass as labels tell it. */
export class LeastShareInput {
  @OneOf(RANKED_NUTRIENTS, 'one of N, P2O5, K2O, Ca, Mg, S')
  nutrient!: RankedNutrient;

  @NumberBetween(0, 100, 'a percentage')
  percent!: number;
}

/** What is looked for in the catalogue; what is missing does not matter. */
export class CatalogueSearchInput {
  @Text(0, 100, 'words')
  words!: string;

  /** Ranked by what a kg of it costs; by name without it. */
  @Maybe()
  @OneOf(RANKED_NUTRIENTS, 'one of N, P2O5, K2O, Ca, Mg, S')
  by?: RankedNutrient;

  @Maybe()
  @Text(3, 3, 'a currency')
  currency?: string;

  @Parts(() => LeastShareInput, RANKED_NUTRIENTS.length, 'shares')
  atLeast!: LeastShareInput[];

  @Maybe()
  @OneOf(PRODUCT_FORMS, 'a form')
  form?: ProductForm;

  @Maybe()
  @OneOf(ORGANIC_STATUSES, 'yes, no or unknown')
  organic?: OrganicStatus;

  @Maybe()
  @Text(1, 120, 'a seller')
  seller?: string;

  @Maybe()
  @Text(1, 60, 'an origin')
  origin?: string;

  @Maybe()
  @Text(1, 120, 'a place')
  place?: string;

  /** A list by its id. */
  @Maybe()
  @Text(36, 36, 'a list')
  list?: string;

  @Maybe()
  @NumberBetween(0, 100, 'a percentage')
  chloridePercent?: number;

  @Maybe()
  @IsBoolean({ message: 'Expected yes or no.' })
  inStock?: boolean;

  @Maybe()
  @Day()
  seenSince?: string;
}

/** A search of the catalogue, kept under a name. */
export class KeptSearchInput {
  @Text(1, 80, 'a name')
  name!: string;

  @Part(() => CatalogueSearchInput, 'a search')
  search!: CatalogueSearchInput;
}
