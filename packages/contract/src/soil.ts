import { IsUUID } from 'class-validator';
import {
  SOIL_ANALYTES,
  SOIL_METHODS,
  SOIL_UNITS,
  type SoilAnalyte,
  type SoilMethod,
  type SoilUnit,
} from '@wheat-ledger/core';
import { Day, Maybe, NumberBetween, OneOf, Part, Parts, Text } from './decorators.js';
import { DeclaredValueInput } from './product.js';

export class SoilFigureInput {
  @OneOf(SOIL_ANALYTES, 'what was measured')
  analyte!: SoilAnalyte;

  @Part(() => DeclaredValueInput, 'a value')
  value!: DeclaredValueInput;

  @OneOf(SOIL_UNITS, 'a unit')
  unit!: SoilUnit;

  @OneOf(SOIL_METHODS, 'a method')
  method!: SoilMethod;
}

/** One report on a plot's soil, with the method of every figure. */
export class SoilReportInput {
  @IsUUID('all', { message: 'Expected a plot of this workspace.' })
  plotId!: string;

  @Text(1, 120, 'a name, such as the lab and the slip')
  name!: string;

  @Day()
  sampledOn!: string;

  @NumberBetween(0.01, 3, 'a depth in m')
  depthM!: number;

  @Parts(() => SoilFigureInput, 60, 'figures')
  figures!: SoilFigureInput[];

  /** What the laboratory recommends to give, as its slip says: N 120, P2O5 60 kg/ha. */
  @Maybe()
  @Text(0, 300, 'what the laboratory recommends')
  advice?: string;

  @Text(0, 2000, 'a note')
  note!: string;
}
