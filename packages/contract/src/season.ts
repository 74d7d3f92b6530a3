import { IsUUID } from 'class-validator';
import { FED_UNTIL, type FedUntil } from '@wheat-ledger/core';
import { CROP_KEYS } from './crop.js';
import { Day, Maybe, NumberBetween, OneOf, Text, When } from './decorators.js';

/** A crop on a plot, or a part of it, from a day to a day. A plot keeps several, one after another and side by side. */
export class SeasonInput {
  @IsUUID('all', { message: 'Expected a plot of this ledger.' })
  plotId!: string;

  /** A crop of the library, unless it is the grower's own. */
  @When<SeasonInput>((s) => s.cropId === undefined || s.cropId === null)
  @OneOf(CROP_KEYS, 'a crop')
  crop?: string;

  /** The grower's own crop. */
  @Maybe()
  @IsUUID('all', { message: 'Expected a crop of this ledger.' })
  cropId?: string;

  /** Sowing, planting or the start of spring growth. */
  @Day()
  from!: string;

  /** The last day; still standing, or not said, when missing. */
  @Maybe()
  @Day()
  to?: string;

  /** Its share of the plot, 1 for all. */
  @NumberBetween(0.001, 1, 'a share of the plot')
  share!: number;

  /** Fed to the end unless it says when feeding stops. */
  @Maybe()
  @OneOf(FED_UNTIL, 'when feeding stops')
  fedUntil?: FedUntil;

  /** The grower's own figure of the nitrogen it takes up, kg/ha. */
  @Maybe()
  @NumberBetween(0.1, 2000, 'nitrogen taken up in kg/ha')
  nitrogenKgPerHa?: number;

  @Text(0, 2000, 'a note')
  note!: string;
}
