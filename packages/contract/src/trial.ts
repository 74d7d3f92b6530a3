import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsInt, IsNumber, IsUUID, Matches } from 'class-validator';
import {
  HELD_EQUAL,
  LAYOUTS,
  MOST_UNITS,
  OUTCOME_KINDS,
  STUDY_CONTROLS,
  type HeldEqual,
  type OutcomeKind,
  type StudyControl,
  type TrialLayout,
} from '@wheat-ledger/core';
import { JarsInput } from './product.js';
import { Day, EachOneOf, Maybe, NumberBetween, OneOf, Part, Parts, Text } from './decorators.js';

/** One of the things that are set side by side. */
export class TrialArmInput {
  @Text(1, 120, 'a name')
  name!: string;

  /** What is given, where no programme says it. */
  @Text(0, 500, 'what is given')
  what!: string;

  /** N that it brings, kg/ha; of its programme where it has one. */
  @Maybe()
  @NumberBetween(0, 5000, 'nitrogen in kg/ha')
  nitrogenKgPerHa?: number;

  /** What it is planned as. A programme that is gone says nothing. */
  @Maybe()
  @IsUUID('all', { message: 'Expected a programme of this ledger.' })
  programmeId?: string;

  /** The bag it is, where jars are to say how fast its nitrogen comes free. A bag that is gone says nothing. */
  @Maybe()
  @IsUUID('all', { message: 'Expected a bag of this ledger.' })
  productId?: string;

  /** For a unit, in the grower's money. */
  @Maybe()
  @NumberBetween(0, 1e6, 'a cost')
  cost?: number;

  /** 1 hard to 5 easy. */
  @Maybe()
  @NumberBetween(1, 5, 'an ease of use')
  ease?: number;
}

/** What is measured in every unit. */
export class TrialOutcomeInput {
  @Matches(/^[a-z0-9]{1,12}$/, { message: 'Expected a key of small letters and digits.' })
  key!: string;

  @Text(1, 80, 'a name')
  name!: string;

  @OneOf(OUTCOME_KINDS, 'a kind of measure')
  kind!: OutcomeKind;

  @Text(0, 20, 'a unit')
  unit!: string;

  @OneOf(['more', 'less'], 'which way is better')
  better!: 'more' | 'less';

  /** Of water that soaks in: how much, and on which ground. */
  @Maybe()
  @NumberBetween(0.01, 10_000, 'litres')
  litres?: number;

  @Maybe()
  @NumberBetween(0.0001, 10_000, 'ground in m²')
  groundM2?: number;
}

/** A unit that was lost, eaten or replaced: it is read with and without. */
export class OddUnitInput {
  @IsInt({ message: 'Expected the number of a unit.' })
  @NumberBetween(1, MOST_UNITS, 'the number of a unit')
  unit!: number;

  @OneOf(['lost', 'odd'], 'lost or odd')
  state!: 'lost' | 'odd';

  @Text(0, 300, 'what happened')
  why!: string;
}

/** What another garden found of one arm against the control, block by block. */
export class GardenResultInput {
  @Text(1, 120, 'a garden')
  garden!: string;

  @Text(1, 12, 'an outcome')
  outcome!: string;

  @Text(1, 120, 'an arm')
  arm!: string;

  @IsArray()
  @ArrayMinSize(1, { message: 'Expected a block or more.' })
  @ArrayMaxSize(100, { message: 'Expected at most 100 blocks.' })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'Expected each difference as a number.' })
  differences!: number[];
}

/** Where a block stands on the plot: its left upper corner, m from that of the plot. */
export class BlockPlaceInput {
  @NumberBetween(0, 1000, 'metres to the right')
  xM!: number;

  @NumberBetween(0, 1000, 'metres down')
  yM!: number;
}

/** A side-by-side test: the question and the layout, which are fixed once it has begun. Who stands where follows from the seed. */
export class TrialInput {
  @Text(1, 120, 'a name')
  name!: string;

  @Maybe()
  @IsUUID('all', { message: 'Expected a plot of this ledger.' })
  plotId?: string;

  @Maybe()
  @IsUUID('all', { message: 'Expected a claim of this ledger.' })
  claimId?: string;

  @Text(1, 500, 'a question')
  question!: string;

  /** The day on which the deciding outcome is read. */
  @Day()
  until!: string;

  /** A difference that would change what the grower does, per cent. */
  @NumberBetween(0.1, 1000, 'a difference in per cent')
  wouldChangePercent!: number;

  /** Spread of a unit, per cent of the mean, expected before the start. */
  @NumberBetween(0.1, 300, 'a spread in per cent')
  cvPercent!: number;

  /** The key of the outcome that was named beforehand as the one that decides. */
  @Text(1, 12, 'the outcome that decides')
  decides!: string;

  @OneOf(LAYOUTS, 'a layout')
  layout!: TrialLayout;

  @IsInt({ message: 'Expected a whole number of replicates.' })
  @NumberBetween(1, 100, 'a number of replicates')
  replicates!: number;

  @IsInt({ message: 'Expected a whole number as the seed.' })
  @NumberBetween(1, 2_147_483_647, 'a seed')
  seed!: number;

  @Parts(() => TrialArmInput, 20, 'arms')
  @ArrayMinSize(2, { message: 'Expected two arms or more.' })
  arms!: TrialArmInput[];

  /** Which arm the others are set against, counted from 0. */
  @IsInt({ message: 'Expected the place of the control among the arms.' })
  @NumberBetween(0, 20, 'the place of the control among the arms')
  control!: number;

  /** What the control is. */
  @OneOf(STUDY_CONTROLS, 'what the control is')
  controlIs!: StudyControl;

  @Parts(() => TrialOutcomeInput, 12, 'outcomes')
  @ArrayMinSize(1, { message: 'Expected one outcome or more.' })
  outcomes!: TrialOutcomeInput[];

  @NumberBetween(1, 1000, 'plants in a unit')
  plantsPerUnit!: number;

  @NumberBetween(0.05, 100, 'the width of a unit in m')
  unitWidthM!: number;

  @NumberBetween(0.05, 100, 'the depth of a unit in m')
  unitDepthM!: number;

  @IsArray()
  @ArrayMaxSize(HELD_EQUAL.length, { message: 'Expected each of what is held equal once.' })
  @EachOneOf(HELD_EQUAL, 'what is held equal')
  heldEqual!: HeldEqual[];

  /** Where each block stands, if not one below the other; the whole trial is one block where the layout has none. */
  @Maybe()
  @Parts(() => BlockPlaceInput, 100, 'places of blocks')
  blockPlaces?: BlockPlaceInput[];

  /** Where the units are jars that say how fast nitrogen comes free. */
  @Maybe()
  @Part(() => JarsInput, 'jars')
  jars?: JarsInput;

  @IsBoolean({ message: 'Expected yes or no.' })
  shaded!: boolean;

  @IsBoolean({ message: 'Expected yes or no.' })
  usedLastYear!: boolean;

  @IsBoolean({ message: 'Expected yes or no.' })
  asksNutrients!: boolean;

  /** The day it began; question and layout are fixed from then on. */
  @Maybe()
  @Day()
  startedOn?: string;

  @Parts(() => OddUnitInput, MOST_UNITS, 'units')
  odd!: OddUnitInput[];

  /** The trial of the year before that it goes on with; one that is gone says nothing. */
  @Maybe()
  @IsUUID('all', { message: 'Expected a trial of this ledger.' })
  follows?: string;

  /** What gardens of neighbours found, from their files. */
  @Maybe()
  @Parts(() => GardenResultInput, 400, 'results of gardens')
  gardens?: GardenResultInput[];

  @Text(0, 2000, 'a note')
  note!: string;
}

/** What was found in one unit. */
export class SheetValueInput {
  @IsInt({ message: 'Expected the number of a unit.' })
  @NumberBetween(1, MOST_UNITS, 'the number of a unit')
  unit!: number;

  @NumberBetween(-1e9, 1e9, 'a value')
  value!: number;

  /** Of a timed run: it was not over when watching stopped. */
  @Maybe()
  @IsBoolean({ message: 'Expected yes or no.' })
  notOver?: boolean;
}

/** One outcome of a trial on one day, unit by unit. */
export class TrialSheetInput {
  @IsUUID('all', { message: 'Expected a trial of this ledger.' })
  trialId!: string;

  @Day()
  on!: string;

  @Text(1, 12, 'an outcome')
  outcome!: string;

  @Parts(() => SheetValueInput, MOST_UNITS, 'values')
  values!: SheetValueInput[];

  @Text(0, 500, 'a note')
  note!: string;
}
