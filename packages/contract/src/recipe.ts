import { IsBoolean, IsUUID } from 'class-validator';
import {
  AIMS,
  KEEPINGS,
  LIMITED,
  parseAmounts,
  parseGrade,
  parseQuantity,
  RULE_KINDS,
  TARGET_KINDS,
  type Aim,
  type AimWeights,
  type BlendRule,
  type Keeping,
  type Limited,
  type OnePart,
  type TargetKind,
} from '@wheat-ledger/core';
import { PACKAGE_UNITS } from './product.js';
import { Maybe, NumberBetween, OneOf, Part, Parts, Text } from './decorators.js';
import type { FieldProblem } from './validate.js';

export class RecipePartInput {
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;

  @NumberBetween(0, 1e6, 'a number of parts')
  parts!: number;

  /** A unit of weight or volume; parts where it is missing. */
  @Maybe()
  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit?: string;
}

/** A rule of a mix, as one of several kinds; which fields it has depends on that. */
export class RecipeRuleInput {
  @OneOf(RULE_KINDS, 'a kind of rule')
  kind!: BlendRule['kind'];

  /** Switched off it is kept, and does not hold. */
  @IsBoolean({ message: 'Expected yes or no.' })
  on!: boolean;

  @Maybe()
  @OneOf(KEEPINGS, 'a rule about bags')
  what?: Keeping;

  @Maybe()
  @NumberBetween(0.1, 40_000, 'a distance in km')
  km?: number;

  @Maybe()
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId?: string;

  @Maybe()
  @OneOf(LIMITED, 'what is bounded')
  of?: Limited;

  @Maybe()
  @NumberBetween(-400, 1e6, 'the least')
  low?: number;

  @Maybe()
  @NumberBetween(-400, 1e6, 'the most')
  high?: number;

  @Maybe()
  @NumberBetween(1, 40, 'a number of materials')
  most?: number;
}

/** A rule as the core holds to it; undefined where a field is missing that its kind needs. */
export function toRule({ kind, what, km, productId, of, low, high, most }: RecipeRuleInput): BlendRule | undefined {
  const bounded = (low ?? high) !== undefined;
  switch (kind) {
    case 'keep':
      return what && { kind, what, km };
    case 'leaveOut':
      return productId ? { kind, productId } : undefined;
    case 'limit':
      return of && bounded ? { kind, of, low, high } : undefined;
    case 'share':
      return productId && bounded ? { kind, productId, low, high } : undefined;
    case 'kinds':
      return most === undefined ? undefined : { kind, most: Math.round(most) };
    case 'apart':
    case 'stock':
    case 'packages':
      return { kind };
  }
}

/** A rule as it is kept. */
export const fromRule = (rule: BlendRule, on = true): RecipeRuleInput =>
  Object.fromEntries(Object.entries({ ...rule, on }).filter(([, v]) => v !== undefined)) as unknown as RecipeRuleInput;

/** How much cost, salt and weight count where several are made small together. */
export class AimWeightsInput implements AimWeights {
  @NumberBetween(0, 100, 'how much the cost counts')
  cost!: number;

  @NumberBetween(0, 100, 'how much the salt counts')
  salt!: number;

  @NumberBetween(0, 100, 'how much the weight counts')
  mass!: number;
}

/** A mix as the grower keeps it: the target it was solved for with its rules, or the parts that were typed. */
export class RecipeInput {
  @Text(1, 120, 'a name')
  name!: string;

  @Text(0, 80, 'a target')
  target!: string;

  @OneOf(TARGET_KINDS, 'a kind of target')
  strength!: TargetKind;

  @NumberBetween(0, 0.5, 'a tolerance')
  tolerance!: number;

  @OneOf(['weight', 'volume'], 'a way to measure parts')
  by!: 'weight' | 'volume';

  @Parts(() => RecipePartInput, 40, 'parts')
  parts!: RecipePartInput[];

  @NumberBetween(0.001, 1e6, 'a batch in kg')
  batchKg!: number;

  /** What is made small; the cost unless said. */
  @Maybe()
  @OneOf(AIMS, 'an aim')
  aim?: Aim;

  /** How much each counts, where the aim is weighted. */
  @Maybe()
  @Part(() => AimWeightsInput, 'how much each counts')
  weights?: AimWeightsInput;

  @Maybe()
  @Parts(() => RecipeRuleInput, 40, 'rules')
  rules?: RecipeRuleInput[];

  /** For how much amounts are told: an area, or so many of something. */
  @Maybe()
  @Text(0, 40, 'for how much')
  madeFor?: string;

  /** Whether the target has to hold even where each bag holds the least it may. */
  @Maybe()
  @OneOf(['low'], 'at which end it holds')
  hold?: 'low';

  /** What one part is, such as 1 US cup, where parts stand beside amounts. */
  @Maybe()
  @Text(0, 40, 'what one part is')
  onePart?: string;
}

/** What one part is, as it was typed; undefined where nothing was, or nothing that can be read. */
export function toOnePart(typed: string | undefined): OnePart | undefined {
  if (!typed?.trim()) return undefined;
  const reads = (['volume', 'mass'] as const).map((dimension) => parseQuantity(typed, dimension));
  const read = reads.find((r) => r.ok);
  return read?.ok && read.value > 0 ? { amount: read.value, unit: read.unit.symbol } : undefined;
}

function targetProblems(target: string, strength: TargetKind, madeFor: string | undefined): readonly FieldProblem[] {
  if (target === '') return [];
  if (strength === 'amount') {
    const amounts = parseAmounts(target, madeFor);
    return amounts.ok ? [] : [{ path: amounts.field, message: amounts.reason }];
  }
  const grade = parseGrade(target);
  return grade.kind === 'none' ? [{ path: 'target', message: grade.reason }] : [];
}

/** What no field's own rule can see: a rule that lacks what its kind needs, or bounds the wrong way round. */
export const recipeProblems = ({
  target,
  strength,
  madeFor,
  rules,
  onePart,
}: Pick<RecipeInput, 'target' | 'strength' | 'madeFor' | 'rules' | 'onePart'>): readonly FieldProblem[] => [
  ...targetProblems(target, strength, madeFor),
  ...(onePart?.trim() && !toOnePart(onePart)
    ? [{ path: 'onePart', message: `Read “${onePart}”, expected a weight or a volume such as 1 US cup or 50 g.` }]
    : []),
  ...(rules ?? []).flatMap((rule, i): FieldProblem[] => {
    if (!toRule(rule))
      return [{ path: `rules.${i}.kind`, message: 'Expected a rule that is whole: something is missing.' }];
    const { low, high } = rule;
    return low !== undefined && high !== undefined && low > high
      ? [{ path: `rules.${i}.high`, message: `Read ${low} to ${high}, expected the least before the most.` }]
      : [];
  }),
];
