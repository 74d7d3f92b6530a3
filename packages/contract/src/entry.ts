import { IsUUID } from 'class-validator';
import { WHERE_WORDS, type Where } from '@wheat-ledger/core';
import { Day, Maybe, NumberBetween, OneOf, Parts, Text } from './decorators.js';
import { PACKAGE_UNITS } from './product.js';

/** How much of one bag really went on. */
export class EntryItemInput {
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;

  @NumberBetween(0, 1e7, 'an amount')
  amount!: number;

  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit!: string;

  /** The batch it came from; empty when nobody wrote it down. */
  @Text(0, 60, 'a lot')
  lot!: string;
}

/** On which ground and day something was. */
export class OnGroundInput {
  @IsUUID('all', { message: 'Expected a plot of this workspace.' })
  plotId!: string;

  /** The season whose ground it was; all of the plot where missing. */
  @Maybe()
  @IsUUID('all', { message: 'Expected a season of this workspace.' })
  seasonId?: string;

  @Day()
  on!: string;
}

/** What was really done on a day: never changed, only corrected by an entry that stands in its place. */
export class EntryInput extends OnGroundInput {
  /** What it was called in the round, or what a person calls it. */
  @Text(1, 200, 'what was done')
  what!: string;

  /** The task of a round that it ticks off; by hand where missing. A task is ticked off once. */
  @Maybe()
  @Text(1, 120, 'a task')
  task?: string;

  /** None where it was plain water. */
  @Parts(() => EntryItemInput, 30, 'bags')
  items!: EntryItemInput[];

  /** Ground it went on, m²; all of the season's where missing. */
  @Maybe()
  @NumberBetween(0.01, 1e8, 'an area')
  areaM2?: number;

  /** Water that was given with it, L. */
  @Maybe()
  @NumberBetween(0, 1e8, 'litres of water')
  waterL?: number;

  @Maybe()
  @OneOf(Object.keys(WHERE_WORDS), 'where it went')
  where?: Where['kind'];

  /** Minutes that it took, fetching and cleaning up included. */
  @Maybe()
  @NumberBetween(0, 100_000, 'minutes')
  minutes?: number;

  /** Who did it. */
  @Text(0, 120, 'who')
  by!: string;

  @Text(0, 300, 'the weather')
  weather!: string;

  @Text(0, 2000, 'a note')
  note!: string;

  /** The entry that this one stands in the place of. */
  @Maybe()
  @IsUUID('all', { message: 'Expected an entry of this workspace.' })
  corrects?: string;

  /** Why more went on than was on hand, where it did. */
  @Maybe()
  @Text(1, 500, 'a reason')
  beyondStock?: string;
}

/** What was picked, cut or lifted on a day. */
export class HarvestInput extends OnGroundInput {
  @NumberBetween(0.001, 1e7, 'kg')
  kg!: number;

  /** How many, where they were counted. */
  @Maybe()
  @NumberBetween(1, 1e7, 'a count')
  count?: number;

  @Text(0, 500, 'a note')
  note!: string;
}
