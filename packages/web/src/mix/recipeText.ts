import { EVEN_WEIGHTS, typedNumber, type Aim, type AimWeights } from '@wheat-ledger/core';
import { Reader, rowsWith, whenTyped, type ReadText, type RecipeInput } from '@wheat-ledger/contract';
import { readRule, ruleText, type RuleText } from './ruleText';

export interface PartText {
  productId: string;
  parts: string;
}
/** A recipe as a person types it. */
export interface RecipeText {
  name: string;
  target: string;
  strength: string;
  tolerance: string;
  by: string;
  batch: string;
  parts: PartText[];
  aim: Aim;
  /** How much cost, salt and weight count, where the aim is weighted. */
  weights: { cost: string; salt: string; mass: string };
  rules: RuleText[];
  /** For how much amounts are told. */
  madeFor: string;
  /** `low` where the target holds even at the low end; else empty. */
  hold: string;
  /** What one part is, where parts stand beside amounts. */
  onePart: string;
}

const weightsText = ({ cost, salt, mass }: AimWeights): RecipeText['weights'] => ({
  cost: typedNumber(cost),
  salt: typedNumber(salt),
  mass: typedNumber(mass),
});
/** How much each counts, as it is typed; what is blank does not count. */
export const readWeights = (read: Reader, { cost, salt, mass }: RecipeText['weights']): AimWeights => ({
  cost: whenTyped(cost, () => read.number('weights.cost', cost)) ?? 0,
  salt: whenTyped(salt, () => read.number('weights.salt', salt)) ?? 0,
  mass: whenTyped(mass, () => read.number('weights.mass', mass)) ?? 0,
});

export const blankRecipe = (): RecipeText => ({
  name: '',
  target: '',
  strength: 'grade',
  tolerance: '10',
  by: 'weight',
  batch: '10 kg',
  parts: [],
  aim: 'cost',
  weights: weightsText(EVEN_WEIGHTS),
  rules: [],
  onePart: '',
  madeFor: '',
  hold: '',
});

export const recipeText = (r: RecipeInput): RecipeText => ({
  name: r.name,
  target: r.target,
  strength: r.strength,
  tolerance: typedNumber(Number((r.tolerance * 100).toPrecision(4))),
  by: r.by,
  batch: `${typedNumber(r.batchKg)} kg`,
  parts: r.parts.map((p) => ({ productId: p.productId, parts: partText(p) })),
  onePart: r.onePart ?? '',
  madeFor: r.madeFor ?? '',
  hold: r.hold ?? '',
  aim: r.aim ?? 'cost',
  weights: weightsText(r.weights ?? EVEN_WEIGHTS),
  rules: (r.rules ?? []).map(ruleText),
});

/** So many parts, or so much, as it is typed. @example partText({ parts: 2, unit: 'US cup' }) // '2 US cup' */
const partText = ({ parts, unit }: Pick<RecipeInput['parts'][number], 'parts' | 'unit'>): string =>
  unit === undefined ? typedNumber(parts) : `${typedNumber(parts)} ${unit}`;

/** "4", "1/2", "300 g" or "2 US cups": parts, or an amount of its own. */
export function readPart(read: Reader, path: string, text: string): { readonly parts: number; readonly unit?: string } {
  if (!/\p{L}/u.test(text)) return { parts: read.number(path, text) ?? 0 };
  const quantity = read.quantity(path, text, ['volume', 'mass']);
  return quantity ? { parts: quantity.value, unit: quantity.unit.symbol } : { parts: 0 };
}

/** Reads a typed recipe; parts without a product or a number are left out. */
export function readRecipe(text: RecipeText): ReadText & { readonly plain: RecipeInput } {
  const read = new Reader();
  const rows = rowsWith(text.parts, (part) => part.productId !== '' && part.parts.trim() !== '');
  const plain: RecipeInput = {
    name: text.name.trim(),
    target: text.target.trim(),
    strength: text.strength as RecipeInput['strength'],
    tolerance: (read.number('tolerance', text.tolerance) ?? 0) / 100,
    by: text.by as RecipeInput['by'],
    parts: rows.map(([part, i]) => ({
      productId: part.productId,
      ...readPart(read, `parts.${i}.parts`, part.parts),
    })),
    batchKg: read.canonical('batch', text.batch, 'mass', 'kg') ?? 0,
    ...(text.onePart.trim() === '' ? {} : { onePart: text.onePart.trim() }),
    ...(text.madeFor.trim() === '' ? {} : { madeFor: text.madeFor.trim() }),
    ...(text.hold === 'low' ? { hold: 'low' as const } : {}),
    ...(text.aim === 'cost' ? {} : { aim: text.aim }),
    ...(text.aim === 'weighted' ? { weights: readWeights(read, text.weights) } : {}),
    ...(text.rules.length === 0 ? {} : { rules: text.rules.map((r, i) => readRule(read, `rules.${i}`, r)) }),
  };
  return { plain, problems: read.problems, rows: { parts: rows.map(([, i]) => i) } };
}
