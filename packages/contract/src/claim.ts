import { ArrayMaxSize, IsArray, IsBoolean, IsUUID, Matches } from 'class-validator';
import {
  ANSWER_WORDS,
  CHECKS,
  CLAIM_KIND_KEYS,
  CONDITIONS,
  INTERESTS,
  NUTRIENTS,
  SURENESS,
  VERDICTS,
  type Answer,
  type CheckKey,
  type ClaimKindKey,
  type Condition,
  type Interest,
  type Nutrient,
  type Sureness,
  type Verdict,
} from '@wheat-ledger/core';
import { Day, EachOneOf, Maybe, NumberBetween, OneOf, Part, Parts, Text } from './decorators.js';
import { CROP_KEYS, RangeInput } from './crop.js';
import { DirectionInput } from './product.js';

export class ClaimConditionInput {
  @OneOf(CONDITIONS, 'a condition of the ground')
  condition!: Condition;

  /** Whether it has to hold, or must not. */
  @IsBoolean({ message: 'Expected yes or no.' })
  holds!: boolean;
}

export class ClaimStudyInput {
  @IsUUID('all', { message: 'Expected a study of this workspace.' })
  studyId!: string;

  /** Why it does not count; empty where it does. */
  @Text(0, 300, 'why it is left out')
  leftOut!: string;
}

/** A search for studies, whatever it found. */
export class SearchInput {
  @Text(1, 200, 'where it was searched')
  where!: string;

  @Day()
  on!: string;

  @Text(0, 300, 'the words')
  words!: string;

  @Text(0, 500, 'what was found')
  found!: string;
}

/** A verdict of one's own in the place of the program's; both are kept. */
export class OverruleInput {
  @OneOf(VERDICTS, 'a verdict')
  verdict!: Verdict;

  @Text(1, 1000, 'the reason')
  reason!: string;
}

/** What a person says of one check; an answer of theirs counts in the place of the program's. */
export class CheckNoteInput {
  @OneOf(CHECKS.map((c) => c.key), 'a check')
  check!: CheckKey;

  @Maybe()
  @OneOf(Object.keys(ANSWER_WORDS), 'an answer')
  answer?: Answer;

  @Text(1, 1000, 'the reason')
  reason!: string;
}

/** What a laboratory found in one lot, in the unit in which the label gives it. */
export class LabSlipInput {
  @OneOf(NUTRIENTS, 'an element')
  nutrient!: Nutrient;

  @NumberBetween(0, 1e6, 'what was found')
  found!: number;

  /** Half the width of its 95 % interval. */
  @Maybe()
  @NumberBetween(0, 1e6, 'the error')
  error?: number;

  @Text(0, 80, 'the lot')
  lot!: string;

  @Maybe()
  @Day()
  on?: string;

  @Text(0, 120, 'the laboratory')
  laboratory!: string;
}

/** What is at stake on a square metre, and a trial that is thought of. */
export class StakeInput {
  @Part(() => RangeInput, 'a yield')
  baseKgPerM2!: RangeInput;

  @Part(() => RangeInput, 'a value')
  valuePerKg!: RangeInput;

  @Matches(/^[A-Z]{3}$/, { message: 'Read "$value", expected a three-letter currency code such as EUR.' })
  currency!: string;

  /** Ground it would be used on, m². */
  @Maybe()
  @NumberBetween(0.01, 1e8, 'an area')
  areaM2?: number;

  @Maybe()
  @NumberBetween(1, 100, 'a number of seasons')
  seasons?: number;

  /** Units of each arm. */
  @Maybe()
  @NumberBetween(1, 1000, 'units of each arm')
  units?: number;

  /** Standard deviation between like units as a share of their mean. */
  @Maybe()
  @NumberBetween(0.001, 5, 'a spread')
  cv?: number;
}

/** A verdict as it once was. */
export class PastVerdictInput {
  @Day()
  on!: string;

  @OneOf(VERDICTS, 'a verdict')
  verdict!: Verdict;

  @OneOf(SURENESS, 'how sure')
  sure!: Sureness;

  /** What it was made of. */
  @Text(0, 500, 'what it was made of')
  by!: string;
}

export class ClaimInput {
  @Text(1, 500, 'the claim, as it is made')
  statement!: string;

  @Text(0, 120, 'who says it')
  saidBy!: string;

  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;

  @OneOf(CROP_KEYS, 'a crop')
  crop!: string;

  @IsArray()
  @ArrayMaxSize(12, { message: 'Expected at most 12 elements.' })
  @EachOneOf(NUTRIENTS, 'an element')
  needs!: Nutrient[];

  @Maybe()
  @OneOf(CLAIM_KIND_KEYS, 'a kind of claim')
  kind?: ClaimKindKey;

  /** The claim as something that can be counted. */
  @Maybe()
  @Text(0, 500, 'the claim restated')
  countable?: string;

  /** Gain that is promised, as a share. */
  @Maybe()
  @NumberBetween(0.001, 100, 'a gain')
  gain?: number;

  /** Whether less is better. */
  @Maybe()
  @IsBoolean({ message: 'Expected yes or no.' })
  less?: boolean;

  @Maybe()
  @OneOf(INTERESTS, 'what they earn by it')
  interest?: Interest;

  @Maybe()
  @Parts(() => ClaimConditionInput, 8, 'conditions')
  conditions?: ClaimConditionInput[];

  @Maybe()
  @Parts(() => ClaimStudyInput, 200, 'studies')
  studies?: ClaimStudyInput[];

  @Maybe()
  @Parts(() => SearchInput, 50, 'searches')
  searches?: SearchInput[];

  @Maybe()
  @Part(() => OverruleInput, 'a verdict of one’s own')
  overrule?: OverruleInput;

  @Maybe()
  @Parts(() => CheckNoteInput, 9, 'notes')
  notes?: CheckNoteInput[];

  /** A dose of one's own in the place of the label's. */
  @Maybe()
  @Part(() => DirectionInput, 'a rate')
  rate?: DirectionInput;

  @Maybe()
  @Parts(() => LabSlipInput, 100, 'lab slips')
  slips?: LabSlipInput[];

  /** How far short local code lets a bag fall, as a share of the guarantee. */
  @Maybe()
  @NumberBetween(0, 1, 'a tolerance')
  tolerance?: number;

  @Maybe()
  @Part(() => StakeInput, 'what is at stake')
  stake?: StakeInput;

  /** Verdicts as they were, the oldest first. */
  @Maybe()
  @Parts(() => PastVerdictInput, 100, 'past verdicts')
  history?: PastVerdictInput[];
}
