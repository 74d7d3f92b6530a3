import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsISO8601, IsNumber, Matches, Max, Min, ValidateNested } from 'class-validator';
import { CROPS, MEDIA, SHAPES, TEXTURES, type Medium, type ShapeKind, type Texture } from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Text, When } from './decorators.js';

export const CROP_KEYS: readonly string[] = CROPS.map((c) => c.key);

/** Soil temperature: twelve monthly means, or a yearly sine. */
export class TemperatureInput {
  @OneOf(['monthly', 'sine'], 'a kind of record')
  kind!: 'monthly' | 'sine';

  @When<TemperatureInput>((t) => t.kind === 'monthly')
  @IsArray()
  @ArrayMinSize(12, { message: 'Expected twelve monthly means, January first.' })
  @ArrayMaxSize(12, { message: 'Expected twelve monthly means, January first.' })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'Expected each month as a number of °C.' })
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

/** A shape measured with a tape; which lengths are meant follows from its kind, and a count for beds and rows. */
export class ShapeInput {
  @OneOf(SHAPES, 'a shape')
  kind!: ShapeKind;

  @IsArray()
  @ArrayMinSize(1, { message: 'Expected the lengths of the shape.' })
  @ArrayMaxSize(5, { message: 'Expected at most five lengths.' })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'Expected each length in metres.' })
  @Min(0, { each: true, message: 'Expected lengths of zero or more.' })
  @Max(100_000, { each: true, message: 'Expected lengths of at most 100 km.' })
  lengthsM!: number[];

  @Maybe()
  @NumberBetween(1, 10_000, 'a count')
  count?: number;
}

export class PlotInput {
  @Text(1, 120, 'a name')
  name!: string;

  @NumberBetween(0.01, 1e7, 'an area in m²')
  areaM2!: number;

  @OneOf(CROP_KEYS, 'a crop')
  crop!: string;

  @OneOf(MEDIA, 'a medium')
  medium!: Medium;

  @OneOf(TEXTURES, 'a soil texture')
  texture!: Texture;

  @Maybe()
  @NumberBetween(2, 11, 'a pH')
  pH?: number;

  @ValidateNested()
  @Type(() => TemperatureInput)
  temperature!: TemperatureInput;

  @IsISO8601({ strict: true }, { message: 'Read "$value", expected a date such as 2026-03-14.' })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Read "$value", expected a date such as 2026-03-14.' })
  plantedOn!: string;

  /** The shape its area was worked out from; an area typed outright has none. */
  @Maybe()
  @ValidateNested()
  @Type(() => ShapeInput)
  shape?: ShapeInput;
}
