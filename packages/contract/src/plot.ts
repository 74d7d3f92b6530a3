import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsInt, IsNumber, Max, Min } from 'class-validator';
import {
  MEDIA,
  MOST_SIDES,
  SHAPES,
  TEXTURES,
  type Medium,
  type ShapeKind,
  type Texture,
  NUTRIENTS,
  type Nutrient,
} from '@wheat-ledger/core';
import { applyDecorators } from './applyDecorators.js';
import { Maybe, NumberBetween, OneOf, Part, Parts, Text, When } from './decorators.js';
import { MOST_OWN_FIGURES, OwnFigureInput } from './ownFigure.js';

/** Soil temperature: twelve monthly means, or a yearly sine. */
export class TemperatureInput {
  @OneOf(['monthly', 'sine'], 'a kind of record')
  kind!: 'monthly' | 'sine';

  @When<TemperatureInput>((t) => t.kind === 'monthly')
  @IsArray()
  @ArrayMinSize(12, { message: 'Expected twelve monthly means, January first.' })
  @ArrayMaxSize(12, { message: 'Expected twelve monthly means, January first.' })
  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { each: true, message: 'Expected each month as a number of °C.' },
  )
  @Min(-40, { each: true, message: 'Expected soil no colder than −40 °C.' })
  @Max(60, { each: true, message: 'Expected soil no warmer than 60 °C.' })
  meansC?: number[];

  @When<TemperatureInput>((t) => t.kind === 'sine')
  @NumberBetween(-20, 45, 'a yearly mean in °C')
  meanC?: number;

  @When<TemperatureInput>((t) => t.kind === 'sine')
  @NumberBetween(0, 30, 'an amplitude in °C')
  amplitudeC?: number;

  @When<TemperatureInput>((t) => t.kind === 'sine')
  @NumberBetween(0, 364, 'the warmest day of the year')
  warmestDay?: number;
}

const twelve = (what: string, most: number): PropertyDecorator =>
  applyDecorators(
    IsArray(),
    ArrayMinSize(12, { message: `Expected twelve monthly sums of ${what}, January first.` }),
    ArrayMaxSize(12, { message: `Expected twelve monthly sums of ${what}, January first.` }),
    IsNumber(
      { allowNaN: false, allowInfinity: false },
      { each: true, message: `Expected each month of ${what} as a number of mm.` },
    ),
    Min(0, { each: true, message: `Expected ${what} of zero or more.` }),
    Max(most, { each: true, message: `Expected ${what} of at most ${most} mm a month.` }),
  );

/** Water that comes and goes in a usual year, month by month in mm. */
export class ClimateInput {
  @twelve('rain', 3000)
  rainMm!: number[];

  @twelve('irrigation', 3000)
  irrigationMm!: number[];

  @twelve('evapotranspiration', 600)
  etMm!: number[];
}

/** What an analysis of the water a plot is given says; what was not measured is missing. */
export class IrrigationWaterInput {
  @Maybe()
  @NumberBetween(0, 100, 'an electrical conductivity in mS/cm')
  ecMsPerCm?: number;

  @Maybe()
  @NumberBetween(0, 50_000, 'sodium in mg/L')
  sodiumMgPerL?: number;

  @Maybe()
  @NumberBetween(0, 50_000, 'calcium in mg/L')
  calciumMgPerL?: number;

  @Maybe()
  @NumberBetween(0, 50_000, 'magnesium in mg/L')
  magnesiumMgPerL?: number;

  /** As CaCO3. */
  @Maybe()
  @NumberBetween(0, 5000, 'an alkalinity in mg/L of CaCO₃')
  alkalinityMgPerL?: number;

  @Maybe()
  @NumberBetween(0, 1000, 'nitrate N in mg/L')
  nitrateNMgPerL?: number;
}

/** Twelve sides and nine diagonals. */
export const MOST_LENGTHS = 2 * MOST_SIDES - 3;

/** A shape measured with a tape; which lengths are meant follows from its kind, and a count for beds, rows and containers. */
export class ShapeInput {
  @OneOf(SHAPES, 'a shape')
  kind!: ShapeKind;

  @IsArray()
  @ArrayMinSize(1, { message: 'Expected the lengths of the shape.' })
  @ArrayMaxSize(MOST_LENGTHS, { message: `Expected at most ${MOST_LENGTHS} lengths.` })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'Expected each length in metres.' })
  @Min(0, { each: true, message: 'Expected lengths of zero or more.' })
  @Max(100_000, { each: true, message: 'Expected lengths of at most 100 km.' })
  lengthsM!: number[];

  @Maybe()
  @NumberBetween(1, 10_000, 'a count')
  count?: number;

  /** What one container holds. */
  @Maybe()
  @NumberBetween(0.01, 100_000, 'litres')
  litres?: number;

  /** Corners of uneven sides that turn in, counted from 0. */
  @Maybe()
  @IsArray()
  @ArrayMaxSize(MOST_SIDES, { message: `Expected at most ${MOST_SIDES} corners.` })
  @ArrayUnique({ message: 'Expected each corner once.' })
  @IsInt({ each: true, message: 'Expected corners counted from 0.' })
  @Min(0, { each: true, message: 'Expected corners counted from 0.' })
  @Max(MOST_SIDES - 1, { each: true, message: `Expected corners of at most ${MOST_SIDES - 1}.` })
  inward?: number[];

  /** Which of several outlines with the same lengths and corners. */
  @Maybe()
  @NumberBetween(0, 600, 'an outline')
  @IsInt({ message: 'Expected an outline counted from 0.' })
  outline?: number;
}

/** The most of an element in a year, from local code. */
export class LimitInput {
  @OneOf(NUTRIENTS, 'an element')
  analyte!: Nutrient;

  @NumberBetween(0.001, 1e5, 'a limit in kg/ha')
  kgPerHa!: number;

  /** Which rule it is from. */
  @Text(0, 300, 'the rule')
  rule!: string;
}

export class PlotInput {
  @Text(1, 120, 'a name')
  name!: string;

  @NumberBetween(0.01, 1e7, 'an area in m²')
  areaM2!: number;

  @OneOf(MEDIA, 'a medium')
  medium!: Medium;

  @OneOf(TEXTURES, 'a soil texture')
  texture!: Texture;

  @Maybe()
  @NumberBetween(2, 11, 'a pH')
  pH?: number;

  @Part(() => TemperatureInput, 'a soil temperature')
  temperature!: TemperatureInput;

  /** The shape its area was worked out from; an area typed outright has none. */
  @Maybe()
  @Part(() => ShapeInput, 'a shape')
  shape?: ShapeInput;

  @Maybe()
  @Part(() => ClimateInput, 'a climate')
  climate?: ClimateInput;

  @Maybe()
  @Part(() => IrrigationWaterInput, 'a water analysis')
  water?: IrrigationWaterInput;

  /** Figures of the grower's own in the place of assumptions. */
  @Maybe()
  @Parts(() => OwnFigureInput, MOST_OWN_FIGURES, 'own figures')
  ownFigures?: OwnFigureInput[];

  /** Limits of local code, each for a year. */
  @Maybe()
  @Parts(() => LimitInput, 20, 'limits')
  limits?: LimitInput[];
}
