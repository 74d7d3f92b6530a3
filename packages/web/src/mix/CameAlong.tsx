import { useFormContext } from 'react-hook-form';
import { formatTrimmed, symbolIn, type BlendTarget, type Mixture } from '@wheat-ledger/core';
import type { RecipeText } from './recipeText';
import { ruleTextOf } from './ruleText';

/** Less than this, %, is not told. */
const NOTHING = 5e-3;

/** What was asked to be none and came along with the rest, with a button that forbids it. */
export function CameAlong({ mix, target }: { mix: Mixture; target: BlendTarget }) {
  const { getValues, setValue } = useFormContext<RecipeText>();
  const found = target.parts.flatMap((part) => {
    const brought = mix.analysis.find((n) => n.nutrient === part.nutrient);
    const percent = brought?.percent.value.mid ?? 0;
    if (part.amount > 0 || percent < NOTHING) return [];
    const from = mix.components.filter(({ product }) => !brought?.silent.includes(product.name));
    return [{ ...part, percent, from: from.map((c) => c.product.name) }];
  });
  if (found.length === 0) return null;
  return (
    <ul className="mb-3" data-testid="came-along">
      {found.map(({ nutrient, basis, percent, from }) => (
        <li key={nutrient}>
          No {symbolIn(nutrient, basis)} was asked for, and {formatTrimmed(percent)} % came along, from{' '}
          {from.join(' and ')}.{' '}
          <button
            type="button"
            className="plain no-print"
            onClick={() =>
              setValue('rules', [...getValues('rules'), ruleTextOf({ kind: 'limit', of: nutrient, high: 0 })], {
                shouldDirty: true,
              })
            }
          >
            Forbid it
          </button>
        </li>
      ))}
    </ul>
  );
}
