import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsISO8601, IsUUID, Matches, ValidateNested } from 'class-validator';
import { SOIL_ANALYTES, SOIL_METHODS, SOIL_UNITS, type SoilAnalyte, type SoilMethod, type SoilUnit } from '@wheat-ledger/core';
import { NumberBetween, OneOf, Text } from './decorators.js';
import { DeclaredValueInput } from './product.js';

export class SoilFigureInput {
  @OneOf(SOIL_ANALYTES, 'what was measured')
  analyte!: SoilAnalyte;

  @ValidateNested()
  @Type(() => DeclaredValueInput)
  value!: DeclaredValueInput;

  @OneOf(SOIL_UNITS, 'a unit')
  unit!: SoilUnit;

  @OneOf(SOIL_METHODS, 'a method')
  method!: SoilMethod;
}

/** One report on a plot's soil, with the method of every figure. */
export class SoilReportInput {
  @IsUUID('4', { message: 'Expected a plot of this workspace.' })
  plotId!: string;

  @Text(1, 120, 'a name, such as the lab and the slip')
  name!: string;

  @IsISO8601({ strict: true }, { message: 'Read "$value", expected a date such as 2026-03-14.' })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Read "$value", expected a date such as 2026-03-14.' })
  sampledOn!: string;

  @NumberBetween(0.01, 3, 'a depth in m')
  depthM!: number;

  @IsArray()
  @ArrayMaxSize(60, { message: 'Expected at most 60 figures.' })
  @ValidateNested({ each: true })
  @Type(() => SoilFigureInput)
  figures!: SoilFigureInput[];

  @Text(0, 2000, 'a note')
  note!: string;
}
