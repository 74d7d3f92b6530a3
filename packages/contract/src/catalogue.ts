import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import {
  PRODUCT_FORMS,
  RANKED_NUTRIENTS,
  type FractionBounds,
  type HeldEnd,
  type ProductForm,
  type RankedNutrient,
} from '@wheat-ledger/core';
import type { ProductInput } from './product.js';
import { Day, Moment } from './decorators.js';

/** A product of a list as a line of the catalogue shows it. */
export interface CatalogueProduct {
  readonly id: string;
  readonly listId: string;
  readonly name: string;
  readonly seller: string;
  readonly form: ProductForm;
  readonly organic: 'yes' | 'no' | 'unknown';
  /** Money for a kg; none where no price is known. */
  readonly pricePerKg: number | null;
  readonly currency: string | null;
  readonly seenOn: string | null;
  readonly inStock: boolean | null;
  readonly fractions: Readonly<Partial<Record<RankedNutrient, FractionBounds>>>;
  /** What a kg of the nutrient that is asked for costs, from the most it may hold to the least. */
  readonly cost: { readonly low: number; readonly mid: number; readonly high: number | null } | null;
}
export interface CataloguePage {
  readonly items: readonly CatalogueProduct[];
  readonly next: string | null;
}
/** How many there are, counted no further than is worth it. */
export interface CatalogueCount {
  readonly count: number;
  readonly more: boolean;
}
/** One list, as it stands. */
export interface CatalogueList {
  readonly id: string;
  readonly name: string;
  readonly seller: string;
  readonly revision: number;
  readonly products: number;
  readonly takenAt: string | null;
  /** Whether it belongs to the whole installation and is read only here. */
  readonly shared: boolean;
}

export const CATALOGUE_CHANGES = ['new', 'dearer', 'cheaper', 'reformulated', 'changed', 'gone'] as const;
export type CatalogueChangeKind = (typeof CATALOGUE_CHANGES)[number];
export type CatalogueDifferences = Readonly<Record<CatalogueChangeKind, number>>;

/** What reading a list came to, before anything of it is taken over. */
export interface CataloguePreview {
  /** Under this it is taken over. */
  readonly importId: string;
  readonly rows: number;
  readonly good: number;
  readonly problems: readonly { readonly row: number; readonly message: string }[];
  readonly differences: CatalogueDifferences;
}

const asNumber = ({ value }: { value: unknown }): unknown => (typeof value === 'string' ? Number(value) : value);
const asFlag = ({ value }: { value: unknown }): unknown => (value === 'yes' ? true : value === 'no' ? false : value);
const asAll = ({ value }: { value: unknown }): unknown => (typeof value === 'string' ? value.split(',') : value);

/** Most conditions of one question. */
const MOST = 12;
/** A share of a product, %: `N:5` for 5 % or more. */
const AT_LEAST = /^(?:N|P2O5|K2O|Ca|Mg|S):\d{1,3}(?:\.\d{1,4})?$/;

/** What a catalogue is asked. */
export class CatalogueQuery {
  /** Ranked by what a kg of it costs; by name without it. */
  @IsOptional()
  @IsIn(RANKED_NUTRIENTS, { message: 'Expected by as one of N, P2O5, K2O, Ca, Mg, S.' })
  by?: RankedNutrient;

  /** Only prices in it are ranked: money of several kinds is never mixed. */
  @IsOptional()
  @Matches(/^[A-Z]{3}$/, { message: 'Expected a three-letter currency code such as EUR.' })
  currency?: string;

  @IsOptional()
  @IsString()
  @MaxLength(100, { message: 'Expected at most 100 characters.' })
  words?: string;

  @IsOptional()
  @Transform(asAll)
  @IsArray()
  @ArrayMaxSize(MOST, { message: `Expected at most ${MOST} nutrients.` })
  @Matches(AT_LEAST, { each: true, message: 'Expected a nutrient and a percentage such as N:5.' })
  atLeast?: string[];

  @IsOptional()
  @Transform(asAll)
  @IsArray()
  @ArrayMaxSize(MOST)
  @IsIn(PRODUCT_FORMS, { each: true, message: `Expected forms such as ${PRODUCT_FORMS.slice(0, 3).join(', ')}.` })
  form?: ProductForm[];

  @IsOptional()
  @IsIn(['yes', 'no', 'unknown'], { message: 'Expected organic as yes, no or unknown.' })
  organic?: 'yes' | 'no' | 'unknown';

  @IsOptional()
  @IsString()
  @MaxLength(120, { message: 'Expected at most 120 characters.' })
  seller?: string;

  @IsOptional()
  @IsString()
  @MaxLength(60, { message: 'Expected at most 60 characters.' })
  origin?: string;

  /** Where it is sold. */
  @IsOptional()
  @IsString()
  @MaxLength(120, { message: 'Expected at most 120 characters.' })
  place?: string;

  @IsOptional()
  @IsUUID('all', { message: 'Expected a list by its id.' })
  list?: string;

  /** The most chloride, %; what is not known does not count as little. */
  @IsOptional()
  @Transform(asNumber)
  @Min(0)
  @Max(100, { message: 'Expected a percentage.' })
  chloride?: number;

  @IsOptional()
  @Transform(asFlag)
  @IsBoolean({ message: 'Expected inStock as yes or no.' })
  inStock?: boolean;

  /** Prices seen on this day or later. */
  @IsOptional()
  @Day()
  seenSince?: string;

  @IsOptional()
  @Matches(/^[A-Za-z0-9_-]{1,900}$/, { message: 'The place to go on from could not be read. Start the list again.' })
  after?: string;

  @IsOptional()
  @Type(() => Number)
  @IsInt({ message: 'Expected limit as a whole number.' })
  @Min(1, { message: 'Expected limit from 1 to 100.' })
  @Max(100, { message: 'Expected limit from 1 to 100.' })
  limit?: number;
}

/** The whole record of a product of a list, as the shelf would keep it. */
export interface CatalogueRecord extends CatalogueProduct {
  readonly record: ProductInput;
  /** What the list and its seller are called, and which row of it this last came with. */
  readonly list: string;
  readonly row: number | null;
  /** Where it is sold, as the list says. */
  readonly place: string;
  readonly shared: boolean;
}
/** What changed with the last revisions of a list. */
export interface CatalogueChange {
  readonly kind: CatalogueChangeKind;
  readonly name: string;
  readonly revision: number;
  readonly priceBefore: number | null;
  readonly priceAfter: number | null;
}

const HELD_ENDS = ['low', 'mid', 'high'] as const satisfies readonly HeldEnd[];
/** Money for a kg of a nutrient: `N:1.95`. */
const WORTH = /^(?:N|P2O5|K2O|Ca|Mg|S):\d{1,9}(?:\.\d{1,12})?$/;

/** What a catalogue is asked while a recipe is made of it: which products cost least beyond what they are worth to it. */
export class CataloguePricedQuery extends CatalogueQuery {
  /** What a kg of each nutrient is worth. */
  @Transform(asAll)
  @IsArray({ message: 'Expected worth as nutrients with prices such as N:1.95.' })
  @ArrayMaxSize(MOST, { message: `Expected at most ${MOST} nutrients.` })
  @Matches(WORTH, { each: true, message: 'Expected a nutrient and a price such as N:1.95.' })
  worth!: string[];

  /** What a kg of a nutrient costs that there should be no more of. */
  @IsOptional()
  @Transform(asAll)
  @IsArray()
  @ArrayMaxSize(MOST, { message: `Expected at most ${MOST} nutrients.` })
  @Matches(WORTH, { each: true, message: 'Expected a nutrient and a price such as N:1.95.' })
  burden?: string[];

  /** Which end of what a product holds is worth something; its other end is a burden. The low one unless said. */
  @IsOptional()
  @IsIn(HELD_ENDS, { message: 'Expected held as low, mid or high.' })
  held?: HeldEnd;
}

/** The same of whole packages, of which what is left over is worth nothing. */
export class CataloguePackagedQuery extends CataloguePricedQuery {
  /** So many packages at most. */
  @Type(() => Number)
  @IsInt({ message: 'Expected most as a whole number.' })
  @Min(1)
  @Max(1000, { message: 'Expected most up to 1000.' })
  most!: number;

  /** Only those that cost no more than this beyond what they are worth. */
  @IsOptional()
  @Transform(asNumber)
  @Min(0, { message: 'Expected within as an amount of money.' })
  @Max(1e12, { message: 'Expected within as an amount of money.' })
  within?: number;
}

/** What a catalogue is asked for products that bring everything by themselves, the cheapest first. */
export class CatalogueAloneQuery extends CatalogueQuery {
  /** How much of each nutrient, kg. */
  @Transform(asAll)
  @IsArray({ message: 'Expected wanted as nutrients with kg such as N:10.' })
  @ArrayMaxSize(MOST, { message: `Expected at most ${MOST} nutrients.` })
  @Matches(WORTH, { each: true, message: 'Expected a nutrient and an amount such as N:10.' })
  wanted!: string[];

  @IsOptional()
  @IsIn(HELD_ENDS, { message: 'Expected held as low, mid or high.' })
  held?: HeldEnd;
}

/** A package of a product of a list. */
export interface CataloguePackaged {
  readonly product: CatalogueProduct;
  readonly kg: number;
  readonly price: number;
}

/** What changed among the products that fit, since a moment. */
export class CatalogueSinceQuery extends CatalogueQuery {
  @Moment()
  since!: string;
}
