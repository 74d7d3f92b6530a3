import { useMemo } from 'react';
import {
  parseAmounts,
  parseGrade,
  parseNumber,
  TARGET_KINDS,
  typedNumber,
  type Batch,
  type BlendRule,
  type BlendTarget,
  type Brief,
  type Mixture,
  type TargetKind,
} from '@wheat-ledger/core';
import { Reader } from '@wheat-ledger/contract';
import { readWeights, type PartText, type RecipeText } from './recipeText';
import { held, readRule } from './ruleText';

/** The rules of the list, those that do not hold left open, and what is made small. */
export function useBrief(
  { rules, aim, weights, hold }: RecipeText,
  batch: Batch | undefined,
): {
  readonly brief: Brief;
  readonly holding: readonly (BlendRule | undefined)[];
} {
  const holding = useMemo(() => rules.map((r) => held(readRule(new Reader(), '', r))), [rules]);
  const brief = useMemo(
    (): Brief => ({
      rules: holding.flatMap((r) => r ?? []),
      aim,
      ...(aim === 'weighted' ? { weights: readWeights(new Reader(), weights) } : {}),
      ...(batch ? { batch } : {}),
      ...(hold === 'low' ? { hold } : {}),
    }),
    [holding, aim, weights, batch, hold],
  );
  return { brief, holding };
}

/** A target that was read, or why not, or several things it could be. */
export type ParsedTarget = ReturnType<typeof parseGrade>;
function readTarget(kind: TargetKind, text: string, madeFor: string): ParsedTarget {
  if (kind !== 'amount') return parseGrade(text);
  const amounts = parseAmounts(text, madeFor);
  return amounts.ok ? { kind: 'one', grade: amounts.parts } : { kind: 'none', reason: amounts.reason };
}

/** The target as it was typed and read. */
export function useTarget(text: RecipeText): {
  readonly parsed: ParsedTarget | undefined;
  readonly target: BlendTarget | undefined;
} {
  const kind = TARGET_KINDS.find((k) => k === text.strength) ?? 'grade';
  const parsed = useMemo(
    () => (text.target.trim() === '' ? undefined : readTarget(kind, text.target, text.madeFor)),
    [kind, text.target, text.madeFor],
  );
  const tolerance = parseNumber(text.tolerance);
  const share = tolerance.ok ? tolerance.value / 100 : 0;
  const target = useMemo(
    (): BlendTarget | undefined =>
      parsed?.kind === 'one' && share >= 0 && share <= 0.5
        ? { kind, parts: parsed.grade, tolerance: share }
        : undefined,
    [parsed, kind, share],
  );
  return { parsed, target };
}

/** Parts by weight per 100, as they are typed into the check. */
export const partsOf = (mix: Mixture): readonly PartText[] =>
  mix.components.map((c) => ({
    productId: c.product.id,
    parts: typedNumber(Number(((c.kg / mix.totalKg) * 100).toPrecision(4))),
  }));
