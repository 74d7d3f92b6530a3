import { ArrayMaxSize, IsArray, Matches } from 'class-validator';
import {
  AMOUNT,
  ANALYSIS_UNITS,
  ANALYTES,
  COMPOUND_BASES,
  MEDIA,
  ORGANIC_STATUSES,
  ORIGINS,
  PRODUCT_FORMS,
  PROVENANCES,
  RATE_PER,
  unitsOf,
  type Analyte,
  type AnalysisUnit,
  type Basis,
  type Medium,
  type OrganicStatus,
  type Origin,
  type ProductForm,
  type Provenance,
} from '@wheat-ledger/core';
import { MOST_OWN_FIGURES, OwnFigureInput } from './ownFigure.js';
import { Day, EachOneOf, EachText, Maybe, NumberBetween, OneOf, Part, Parts, Text, When } from './decorators.js';

export const BASES: readonly Basis[] = ['element', ...COMPOUND_BASES];
export const PACKAGE_UNITS: readonly string[] = [...unitsOf('mass'), ...unitsOf('volume')];

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

  @Part(() => DeclaredValueInput, 'a value')
  value!: DeclaredValueInput;

  @OneOf(ANALYSIS_UNITS, 'a unit')
  unit!: AnalysisUnit;

  @OneOf(PROVENANCES, 'where the figure is from')
  provenance!: Provenance;

  @Text(0, 300, 'a source note')
  source!: string;

  /** What water or a weak acid takes out; missing for a total or a label's guarantee. */
  @Maybe()
  @OneOf(['available'], 'an extract')
  extract?: 'available';
}

export class MoneyInput {
  @Matches(AMOUNT, { message: 'Read "$value", expected an amount such as 24.90.' })
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
  @Part(() => MoneyInput, 'a price')
  price?: MoneyInput;

  @Maybe()
  @Day()
  seenOn?: string;

  /** Who asked that price, when it is not the product's own seller. */
  @Maybe()
  @Text(0, 120, 'a seller')
  seller?: string;
}

export class RatePerInput {
  @NumberBetween(0.000001, 1e6, 'how much')
  amount!: number;

  @OneOf(RATE_PER, 'ground, a plant, row, water or medium')
  unit!: string;
}

/** One rate of a label's directions. */
export class DirectionInput {
  @Text(0, 80, 'what it is for')
  use!: string;

  @NumberBetween(0.000001, 1e6, 'a rate')
  amount!: number;

  /** The least, where the label gives a range; `amount` is the most. */
  @Maybe()
  @NumberBetween(0, 1e6, 'the least of a rate')
  least?: number;

  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit!: string;

  @Part(() => RatePerInput, 'what the rate is for each of')
  per!: RatePerInput;

  @Maybe()
  @NumberBetween(1, 365, 'a number of applications a year')
  perYear?: number;
}

export class LongevityInput {
  @NumberBetween(1, 1000, 'a longevity in days')
  days!: number;

  @NumberBetween(0, 40, 'a reference temperature in °C')
  referenceC!: number;
}

export class IncubationPointInput {
  @NumberBetween(0, 2000, 'a day of sampling')
  day!: number;

  @NumberBetween(0, 1e6, 'mineral nitrogen of the treated jars')
  treated!: number;

  @NumberBetween(0, 1e6, 'mineral nitrogen of the untreated jars')
  untreated!: number;
}

/** What jars that are kept warm and sampled have in common: what was applied is in the unit of what is found. */
export class JarsInput {
  /** N given to every jar but the untreated ones. */
  @NumberBetween(0.001, 1e6, 'the nitrogen applied')
  applied!: number;

  @NumberBetween(1, 45, 'a temperature in °C')
  temperatureC!: number;

  @OneOf(MEDIA, 'a medium')
  medium!: Medium;
}

/** The grower's own incubation; what was applied and what was found are in one unit. */
export class IncubationInput extends JarsInput {
  @Parts(() => IncubationPointInput, 60, 'samplings')
  points!: IncubationPointInput[];
}

/** Whether a body of the grower's own country lists it for organic growing. Not looked up is unknown, not no. */
export class OrganicInput {
  @OneOf(ORGANIC_STATUSES, 'yes, no or unknown')
  status!: OrganicStatus;

  @Text(0, 120, 'a body')
  body!: string;
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

  @Parts(() => AnalysisFigureInput, 60, 'lines of analysis')
  analysis!: AnalysisFigureInput[];

  @IsArray()
  @ArrayMaxSize(40, { message: 'Expected at most 40 ingredients.' })
  @EachText(1, 120, 'an ingredient')
  derivedFrom!: string[];

  @Parts(() => OfferInput, 30, 'package sizes')
  offers!: OfferInput[];

  @Maybe()
  @Parts(() => DirectionInput, 12, 'rates of the directions')
  directions?: DirectionInput[];

  @Maybe()
  @Part(() => LongevityInput, 'a longevity')
  longevity?: LongevityInput;

  @Maybe()
  @Part(() => IncubationInput, 'an incubation')
  incubation?: IncubationInput;

  /** Figures of the grower's own in the place of what is assumed of its materials. */
  @Maybe()
  @Parts(() => OwnFigureInput, MOST_OWN_FIGURES, 'own figures')
  ownFigures?: OwnFigureInput[];

  @Text(0, 2000, 'a note')
  note!: string;

  /** The label's own words, as pasted. */
  @Maybe()
  @Text(0, 20_000, 'the text of a label')
  labelText?: string;

  @Maybe()
  @Part(() => OrganicInput, 'an organic listing')
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

  /** 1 hard to 5 easy to use. */
  @Maybe()
  @NumberBetween(1, 5, 'an ease of use')
  ease?: number;

  /** Hours to fetch, carry and spread 100 kg. */
  @Maybe()
  @NumberBetween(0, 1000, 'hours for 100 kg')
  hoursPer100Kg?: number;

  /** What a level scoop of it weighs, weighed once. */
  @Maybe()
  @NumberBetween(0.1, 100_000, 'g in a level scoop')
  scoopG?: number;

  /** Which scoop that is. */
  @Maybe()
  @Text(0, 60, 'a scoop')
  scoopName?: string;

  /** In the currency of its prices. */
  @Maybe()
  @NumberBetween(0, 100_000, 'a haulage for 100 kg')
  haulagePer100Kg?: number;

  @Maybe()
  @NumberBetween(0, 40_000, 'a distance in km')
  distanceKm?: number;

  /** kg CaCO3 equivalent per 100 kg; negative acidifies. */
  @Maybe()
  @NumberBetween(-400, 250, 'a liming effect')
  limingPer100Kg?: number;

  @Maybe()
  @Text(0, 500, 'a note on storage')
  storage?: string;

  @Maybe()
  @Text(0, 300, 'how it is handled')
  handling?: string;

  /** How far it is from what grew or was dug: raw, ground, composted, hydrolysed. */
  @Maybe()
  @Text(0, 120, 'a degree of processing')
  processing?: string;

  @Maybe()
  @Text(0, 120, 'how an extract was made')
  extraction?: string;

  /** Certificates by lot, as they are numbered. */
  @Maybe()
  @Text(0, 500, 'certificates')
  certificates?: string;

  @Maybe()
  @Text(0, 200, 'an organism')
  organism?: string;

  /** With its unit, as declared: 1e9 per g. */
  @Maybe()
  @Text(0, 120, 'a viable count')
  viableCount?: string;

  @Maybe()
  @Day()
  expiresOn?: string;

  /** Humic, amino or hormone content, as declared. */
  @Maybe()
  @Text(0, 200, 'a content')
  bioactiveContent?: string;

  /** The method that content was measured by, without which it means little. */
  @Maybe()
  @Text(0, 200, 'a method')
  bioactiveMethod?: string;
}
