import { typedNumber } from '@wheat-ledger/core';
import { Reader, rowsWith, type ReadText, type RecipeInput } from '@wheat-ledger/contract';

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
}

export const blankRecipe = (): RecipeText => ({
  name: '',
  target: '',
  strength: 'grade',
  tolerance: '10',
  by: 'weight',
  batch: '10 kg',
  parts: [],
});

export const recipeText = (r: RecipeInput): RecipeText => ({
  name: r.name,
  target: r.target,
  strength: r.strength,
  tolerance: typedNumber(Number((r.tolerance * 100).toPrecision(4))),
  by: r.by,
  batch: `${typedNumber(r.batchKg)} kg`,
  parts: r.parts.map((p) => ({ productId: p.productId, parts: typedNumber(p.parts) })),
});

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
      parts: read.number(`parts.${i}.parts`, part.parts) ?? 0,
    })),
    batchKg: read.canonical('batch', text.batch, 'mass', 'kg') ?? 0,
  };
  return { plain, problems: read.problems, rows: { parts: rows.map(([, i]) => i) } };
}
