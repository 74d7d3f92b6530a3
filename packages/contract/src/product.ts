import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsISO8601, Matches, ValidateNested } from 'class-validator';
import { ANALYSIS_UNITS, ANALYTES, COMPOUND_BASES, ORIGINS, PRODUCT_FORMS, PROVENANCES, unitsOf, type Analyte, type AnalysisUnit, type Basis, type Origin, type ProductForm, type Provenance } from '@wheat-ledger/core';
import { EachOneOf, EachText, Maybe, NumberBetween, OneOf, Text, When } from './decorators.js';

export const BASES: readonly Basis[] = ['element', ...COMPOUND_BASES];
export const PACKAGE_UNITS: readonly string[] = [...unitsOf('mass'), ...unitsOf('volume')];
export const RATE_UNITS: readonly string[] = [...unitsOf('arealRate'), ...unitsOf('arealVolume')];

/** A value as declared: a number, a range, or "below" a limit. Which fields are read follows from `kind`. */
export class DeclaredValueInput {
  @OneOf(['number', 'range', 'below'], 'a kind of value')
  kind!: 'number' | 'range' | 'below';

  @When<DeclaredValueInput>((v) => v.kind === 'number')
  @NumberBetween(0, 1e6, 'a value')
  value?: number;

  @When<DeclaredValueInput>((v) => v.kind === 'range')
  @NumberBetween(0, 1e6, 'the low end')
  low?: number;

  @When<DeclaredValueInput>((v) => v.kind === 'range')
  @NumberBetween(0, 1e6, 'the middle')
  mid?: number;

  @When<DeclaredValueInput>((v) => v.kind === 'range')
  @NumberBetween(0, 1e6, 'the high end')
  high?: number;

  @When<DeclaredValueInput>((v) => v.kind === 'below')
  @NumberBetween(0, 1e6, 'a detection limit')
  limit?: number;
}

export class AnalysisFigureInput {
  @OneOf(ANALYTES, 'a nutrient or form of nitrogen')
  analyte!: Analyte;

  @OneOf(BASES, 'the element or a compound')
  basis!: Basis;

  @ValidateNested()
  @Type(() => DeclaredValueInput)
  value!: DeclaredValueInput;

  @OneOf(ANALYSIS_UNITS, 'a unit')
  unit!: AnalysisUnit;

  @OneOf(PROVENANCES, 'where the figure is from')
  provenance!: Provenance;

  @Text(0, 300, 'a source note')
  source!: string;
}

export class MoneyInput {
  @Matches(/^\d{1,9}(\.\d{1,4})?$/, { message: 'Read "$value", expected an amount such as 24.90.' })
  amount!: string;

  @Matches(/^[A-Z]{3}$/, { message: 'Read "$value", expected a three-letter currency code such as EUR.' })
  currency!: string;
}

export class OfferInput {
  @NumberBetween(0.000001, 1e6, 'a package size')
  size!: number;

  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit!: string;

  @Maybe()
  @ValidateNested()
  @Type(() => MoneyInput)
  price?: MoneyInput;

  @Maybe()
  @IsISO8601({ strict: true }, { message: 'Read "$value", expected a date such as 2026-03-14.' })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Read "$value", expected a date such as 2026-03-14.' })
  seenOn?: string;

  /** Who asked that price, when it is not the product's own seller. */
  @Maybe()
  @Text(0, 120, 'a seller')
  seller?: string;
}

export class LabelRateInput {
  @NumberBetween(0, 1e6, 'a rate')
  amount!: number;

  @OneOf(RATE_UNITS, 'a rate unit')
  unit!: string;

  @NumberBetween(1, 365, 'a number of applications a year')
  perYear!: number;
}

export class LongevityInput {
  @NumberBetween(1, 1000, 'a longevity in days')
  days!: number;

  @NumberBetween(0, 40, 'a reference temperature in °C')
  referenceC!: number;
}

/** Whether a body of the grower's own country lists it for organic growing. Not looked up is unknown, not no. */
export class OrganicInput {
  @OneOf(['yes', 'no', 'unknown'], 'yes, no or unknown')
  status!: 'yes' | 'no' | 'unknown';

  @Text(0, 120, 'a body')
  body!: string;
}

export class StockInput {
  @NumberBetween(0, 1e6, 'an amount')
  amount!: number;

  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit!: string;
}

export class ProductInput {
  @Text(1, 120, 'a name')
  name!: string;

  @Text(0, 120, 'a seller')
  seller!: string;

  @OneOf(PRODUCT_FORMS, 'a form')
  form!: ProductForm;

  @Maybe()
  @NumberBetween(0.01, 5, 'a density in kg/L')
  densityKgPerL?: number;

  @Maybe()
  @Text(0, 80, 'a grade')
  grade?: string;

  @IsArray()
  @ArrayMaxSize(60, { message: 'Expected at most 60 lines of analysis.' })
  @ValidateNested({ each: true })
  @Type(() => AnalysisFigureInput)
  analysis!: AnalysisFigureInput[];

  @IsArray()
  @ArrayMaxSize(40, { message: 'Expected at most 40 ingredients.' })
  @EachText(1, 120, 'an ingredient')
  derivedFrom!: string[];

  @IsArray()
  @ArrayMaxSize(30, { message: 'Expected at most 30 package sizes.' })
  @ValidateNested({ each: true })
  @Type(() => OfferInput)
  offers!: OfferInput[];

  @Maybe()
  @ValidateNested()
  @Type(() => LabelRateInput)
  labelRate?: LabelRateInput;

  @Maybe()
  @ValidateNested()
  @Type(() => LongevityInput)
  longevity?: LongevityInput;

  @Text(0, 2000, 'a note')
  note!: string;

  /** The label's own words, as pasted. */
  @Maybe()
  @Text(0, 20_000, 'the text of a label')
  labelText?: string;

  @Maybe()
  @ValidateNested()
  @Type(() => OrganicInput)
  organic?: OrganicInput;

  @Maybe()
  @IsArray()
  @ArrayMaxSize(5, { message: 'Expected at most 5 origins.' })
  @EachOneOf(ORIGINS, 'an origin')
  origins?: Origin[];

  @Maybe()
  @NumberBetween(0.5, 1000, 'a C:N ratio')
  carbonToNitrogen?: number;

  @Maybe()
  @NumberBetween(0, 200, 'a salt index')
  saltIndex?: number;

  /** kg CaCO3 equivalent per 100 kg; negative acidifies. */
  @Maybe()
  @NumberBetween(-400, 250, 'a liming effect')
  limingPer100Kg?: number;

  @Maybe()
  @ValidateNested()
  @Type(() => StockInput)
  stock?: StockInput;

  @Maybe()
  @Text(0, 500, 'a note on storage')
  storage?: string;
}
