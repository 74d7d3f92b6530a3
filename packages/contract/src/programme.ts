import { IsInt, IsUUID } from 'class-validator';
import { GROWTH_STAGES, WHERE_WORDS, type GrowthStage, type Where } from '@wheat-ledger/core';
import { RangeInput } from './crop.js';
import { Day, Maybe, NumberBetween, OneOf, Part, Parts, Text, When } from './decorators.js';
import { PACKAGE_UNITS, RatePerInput } from './product.js';

const PER = ['plant', 'm²', 'part'] as const;
type Per = (typeof PER)[number];

/** Litres of the ready feed, for each plant, square metre or the whole part. */
export class WaterGivenInput {
  @Part(() => RangeInput, 'litres')
  litres!: RangeInput;

  @OneOf(PER, 'plant, m² or part')
  per!: Per;
}

/** How much is given; what has to be there follows from its kind. */
export class AmountInput {
  @OneOf(['rate', 'measure', 'layer', 'whole'], 'a way to tell an amount')
  kind!: 'rate' | 'measure' | 'layer' | 'whole';

  /** Of a rate, the most of it; of a can or scoop, what it holds; of a whole amount, the amount. */
  @When<AmountInput>((a) => a.kind !== 'layer')
  @NumberBetween(0.000001, 1e7, 'an amount')
  amount?: number;

  /** The least of a range. */
  @Maybe()
  @NumberBetween(0, 1e7, 'the least of an amount')
  least?: number;

  @When<AmountInput>((a) => a.kind !== 'layer')
  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit?: string;

  @When<AmountInput>((a) => a.kind === 'rate')
  @Part(() => RatePerInput, 'what the rate is for each of')
  per?: RatePerInput;

  /** Of a rate in water. */
  @Maybe()
  @Part(() => WaterGivenInput, 'the water that is given')
  water?: WaterGivenInput;

  /** How many cans or scoops. */
  @When<AmountInput>((a) => a.kind === 'measure')
  @Part(() => RangeInput, 'how many')
  count?: RangeInput;

  @When<AmountInput>((a) => a.kind === 'measure')
  @OneOf(PER, 'plant, m² or part')
  countedPer?: Per;

  @When<AmountInput>((a) => a.kind === 'layer')
  @Part(() => RangeInput, 'a thickness in m')
  thicknessM?: RangeInput;
}

export class WhenInput {
  @OneOf(['date', 'repeat', 'afterPlanting', 'stage'], 'a way to tell when')
  kind!: 'date' | 'repeat' | 'afterPlanting' | 'stage';

  @When<WhenInput>((w) => w.kind === 'date')
  @Day()
  on?: string;

  @When<WhenInput>((w) => w.kind === 'repeat')
  @Day()
  from?: string;

  @When<WhenInput>((w) => w.kind === 'repeat')
  @Day()
  to?: string;

  @When<WhenInput>((w) => w.kind === 'repeat')
  @NumberBetween(1, 366, 'a number of days')
  @IsInt({ message: 'Expected whole days.' })
  everyDays?: number;

  @When<WhenInput>((w) => w.kind === 'afterPlanting')
  @NumberBetween(-366, 3660, 'days from planting')
  @IsInt({ message: 'Expected whole days.' })
  days?: number;

  @When<WhenInput>((w) => w.kind === 'stage')
  @OneOf(GROWTH_STAGES, 'a growth stage')
  stage?: GrowthStage;
}

export class WhereInput {
  @OneOf(Object.keys(WHERE_WORDS), 'where it goes')
  kind!: Where['kind'];

  @When<WhereInput>((w) => w.kind === 'workedIn')
  @NumberBetween(0.005, 2, 'a depth in m')
  depthM?: number;

  @When<WhereInput>((w) => w.kind === 'ring')
  @NumberBetween(0, 20, 'an inner edge in m')
  innerM?: number;

  @When<WhereInput>((w) => w.kind === 'ring')
  @NumberBetween(0.01, 20, 'an outer edge in m')
  outerM?: number;
}

/** On which part of the season's ground. */
export class OnPartInput {
  @NumberBetween(0.001, 1, 'a share of the ground')
  share!: number;

  @Maybe()
  @NumberBetween(1, 1e7, 'a number of plants')
  plants?: number;

  @Maybe()
  @NumberBetween(0.01, 1e6, 'metres of row')
  rowM?: number;

  @Maybe()
  @NumberBetween(0.01, 1e7, 'litres of medium')
  mediumL?: number;
}

/** One thing that is given: a bag, a recipe or plain water; how much, when, where and on which part. */
export class ApplicationInput {
  @OneOf(['product', 'recipe', 'water'], 'a bag, a recipe or water')
  what!: 'product' | 'recipe' | 'water';

  @When<ApplicationInput>((a) => a.what === 'product')
  @IsUUID('all', { message: 'Expected a product of this ledger.' })
  productId?: string;

  @When<ApplicationInput>((a) => a.what === 'recipe')
  @IsUUID('all', { message: 'Expected a recipe of this ledger.' })
  recipeId?: string;

  @Part(() => AmountInput, 'how much')
  amount!: AmountInput;

  @Part(() => WhenInput, 'when')
  when!: WhenInput;

  @Part(() => WhereInput, 'where it goes')
  where!: WhereInput;

  @Part(() => OnPartInput, 'on which part')
  part!: OnPartInput;

  @Text(0, 500, 'a note')
  note!: string;
}

/** What is to be given to a season, in order. */
export class ProgrammeInput {
  @Text(1, 120, 'a name')
  name!: string;

  @IsUUID('all', { message: 'Expected a season of this ledger.' })
  seasonId!: string;

  @Parts(() => ApplicationInput, 60, 'applications')
  applications!: ApplicationInput[];

  @Text(0, 2000, 'a note')
  note!: string;
}
