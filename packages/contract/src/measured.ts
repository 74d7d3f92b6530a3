import { ArrayMinSize } from 'class-validator';
import { NUTRIENTS, type Nutrient, type TissueTest } from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Parts, Text } from './decorators.js';
import { OnGroundInput } from './entry.js';

/** What a leaf test found of one element, per cent of dry matter. */
export class LeafFigureInput {
  @OneOf(NUTRIENTS, 'an element')
  nutrient!: Nutrient;

  @NumberBetween(0, 100, 'a percentage')
  percent!: number;
}

/** Leaves or stalks sampled from a crop and what a laboratory found in them. */
export class LeafTestInput extends OnGroundInput {
  @Text(1, 120, 'the part that was sampled')
  part!: string;

  /** Leaves in the sample. */
  @Maybe()
  @NumberBetween(1, 10_000, 'a number of leaves')
  samples?: number;

  @Parts(() => LeafFigureInput, 40, 'elements')
  @ArrayMinSize(1, { message: 'Expected at least one element that was found.' })
  found!: LeafFigureInput[];

  /** How far next year's rate is moved where a result lies outside its band. */
  @NumberBetween(1, 90, 'a step in per cent')
  stepPercent!: number;

  @Text(0, 500, 'a note')
  note!: string;
}

/** What ran through a pot and was measured below it. */
export class PourInput extends OnGroundInput {
  @NumberBetween(0, 50, 'an electrical conductivity in mS/cm')
  ecMsPerCm!: number;

  @Maybe()
  @NumberBetween(2, 11, 'a pH')
  pH?: number;

  @Text(0, 500, 'a note')
  note!: string;
}

/** A leaf test as the core reads it. */
export const toTissueTest = ({ on, part, samples, found }: LeafTestInput): TissueTest => ({
  on,
  part,
  samples: samples ?? undefined,
  found,
});
