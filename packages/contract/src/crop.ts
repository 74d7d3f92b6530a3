import { ArrayMaxSize, ArrayMinSize, IsArray, IsNumber, Max, Min } from 'class-validator';
import {
  CROP_GROUPS,
  CROP_LIBRARY,
  MYCORRHIZAS,
  NITROGEN_TASTES,
  NUTRIENTS,
  SENSITIVITIES,
  type CropGroup,
  type Mycorrhiza,
  type NitrogenTaste,
  type Nutrient,
  type Sensitivity,
  type UptakeCourse,
} from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Part, Parts, Text, When } from './decorators.js';

/** The library's crops, which a season or an own crop can name. */
export const CROP_KEYS: readonly string[] = CROP_LIBRARY.map((c) => c.key);

/** A figure from its least over its usual to its most. */
export class RangeInput {
  @NumberBetween(0, 1e6, 'the least')
  low!: number;

  @NumberBetween(0, 1e6, 'the usual')
  mid!: number;

  @NumberBetween(0, 1e6, 'the most')
  high!: number;
}

export class NutrientRangeInput extends RangeInput {
  @OneOf(NUTRIENTS, 'an element')
  nutrient!: Nutrient;
}

/** When its nitrogen is taken up. */
export class CourseInput {
  @OneOf(['warmth', 'yearly', 'steady'], 'a course')
  kind!: UptakeCourse['kind'];

  @When<CourseInput>((c) => c.kind === 'warmth')
  @NumberBetween(-5, 20, 'a base temperature in °C')
  baseC?: number;

  @When<CourseInput>((c) => c.kind === 'warmth')
  @NumberBetween(1, 10_000, 'degree days')
  halfDegreeDays?: number;

  @When<CourseInput>((c) => c.kind === 'warmth')
  @NumberBetween(2, 20_000, 'degree days')
  endDegreeDays?: number;

  /** Parts of a year's uptake, January first; they need not add to anything. */
  @When<CourseInput>((c) => c.kind === 'yearly')
  @IsArray()
  @ArrayMinSize(12, { message: 'Expected twelve months, January first.' })
  @ArrayMaxSize(12, { message: 'Expected twelve months, January first.' })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'Expected each month as a number.' })
  @Min(0, { each: true, message: 'Expected months of zero or more.' })
  @Max(1000, { each: true, message: 'Expected months of at most 1000.' })
  months?: number[];
}

/** What lies in a well-fed leaf or stalk, per cent of dry matter. */
export class TissueBandInput {
  @OneOf(NUTRIENTS, 'an element')
  nutrient!: Nutrient;

  @NumberBetween(0, 100, 'a percentage')
  lowPercent!: number;

  @NumberBetween(0, 100, 'a percentage')
  highPercent!: number;

  @Text(0, 120, 'the part that is sampled')
  part!: string;

  @Text(0, 120, 'when it is sampled')
  when!: string;
}

/** What a woody plant gets by its age. */
export class AgeRowInput {
  @NumberBetween(0, 200, 'a first year')
  fromYear!: number;

  /** The last year it holds for; for good where missing. */
  @Maybe()
  @NumberBetween(0, 200, 'a last year')
  toYear?: number;

  @Part(() => RangeInput, 'g for each plant')
  gPerPlant!: RangeInput;

  @NumberBetween(0, 20, 'the inner edge of the ring in m')
  innerM!: number;

  @NumberBetween(0.01, 20, 'the outer edge of the ring in m')
  outerM!: number;
}

export class AgeTableInput {
  /** The grade it is told for. */
  @Text(1, 40, 'a grade')
  grade!: string;

  @Parts(() => AgeRowInput, 20, 'rows')
  rows!: AgeRowInput[];

  /** Never more than this for a plant in a year. */
  @NumberBetween(0.1, 1e6, 'a cap in g')
  capG!: number;
}

/** A grower's own crop. What is missing is read from the library's crop it is based on, or is not known. */
export class CropInput {
  @Text(1, 120, 'a name')
  name!: string;

  /** The library's crop that the rest comes from. */
  @Maybe()
  @OneOf(CROP_KEYS, 'a crop of the library')
  basedOn?: string;

  @Maybe()
  @OneOf(CROP_GROUPS, 'a group of crops')
  group?: CropGroup;

  /** Fresh harvest, t/ha. */
  @Maybe()
  @Part(() => RangeInput, 'a yield')
  yieldTPerHa?: RangeInput;

  /** kg of element per ha and season. */
  @Maybe()
  @Parts(() => NutrientRangeInput, 60, 'elements')
  uptakeKgPerHa?: NutrientRangeInput[];

  /** kg of element per t of fresh harvest. */
  @Maybe()
  @Parts(() => NutrientRangeInput, 60, 'elements')
  removedKgPerT?: NutrientRangeInput[];

  @Maybe()
  @Part(() => CourseInput, 'a course')
  course?: CourseInput;

  @Maybe()
  @NumberBetween(2, 11, 'a pH')
  pHLow?: number;

  @Maybe()
  @NumberBetween(2, 11, 'a pH')
  pHHigh?: number;

  @Maybe()
  @OneOf(NITROGEN_TASTES, 'ammonium, nitrate or either')
  nitrogenTaste?: NitrogenTaste;

  @Maybe()
  @OneOf(SENSITIVITIES, 'a sensitivity')
  chloride?: Sensitivity;

  @Maybe()
  @OneOf(SENSITIVITIES, 'a sensitivity')
  boron?: Sensitivity;

  @Maybe()
  @NumberBetween(0, 50, 'a salinity in mS/cm')
  saltThresholdMsPerCm?: number;

  @Maybe()
  @NumberBetween(0, 100, 'per cent of yield for each mS/cm')
  saltSlopePercent?: number;

  @Maybe()
  @Parts(() => TissueBandInput, 60, 'tissue bands')
  tissue?: TissueBandInput[];

  @Maybe()
  @NumberBetween(0.01, 100, 'a distance from row to row in m')
  rowM?: number;

  @Maybe()
  @NumberBetween(0.005, 100, 'a distance in the row in m')
  plantM?: number;

  @Maybe()
  @Part(() => RangeInput, 'a rooting depth')
  rootingM?: RangeInput;

  /** What it gets by age, in the place of the library's table. */
  @Maybe()
  @Part(() => AgeTableInput, 'a table of ages')
  ages?: AgeTableInput;

  @Maybe()
  @OneOf(MYCORRHIZAS, 'a mycorrhiza')
  mycorrhiza?: Mycorrhiza;

  @Text(0, 2000, 'a note')
  note!: string;
}
