import { lazy, Suspense } from 'react';
import { useFormContext } from 'react-hook-form';
import { formatFixed, formatTrimmed, type SaltStep } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import type { RecipeText } from './recipeText';
import { ruleTextOf } from './ruleText';

const SaltChart = lazy(async () => ({ default: (await import('./SaltChart')).SaltChart }));

/** Cost against salt as a picture and as a table, with a button that holds the salt where a recipe has it. */
export function SaltCurve({ curve, currency }: { curve: readonly SaltStep[]; currency: string | undefined }) {
  const { getValues, setValue } = useFormContext<RecipeText>();
  return (
    <div>
      <h3 className="mb-1 font-semibold">Less salt for more money</h3>
      <Suspense fallback={<div className="h-56" />}>
        <SaltChart points={curve} currency={currency ?? ''} />
      </Suspense>
      <div className="overflow-x-auto">
        <table className="ledger" data-testid="salt-curve">
          <caption className="pb-1 text-left text-sm text-faint">The cheapest mix at each salt index</caption>
          <thead>
            <tr>
              <th scope="col" className="num">
                salt index
              </th>
              <th scope="col" className="num">
                {currency} per kg
              </th>
              <th scope="col">made of</th>
              <th scope="col" className="no-print">
                <span className="sr-only">Take it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {curve.map(({ salt, recipe }) => (
              <tr key={salt}>
                <td className="num">{formatTrimmed(salt, 3)}</td>
                <td className="num">
                  {recipe.mixture.costPerKg && <FigureButton figure={recipe.mixture.costPerKg} />}
                </td>
                <td className="text-[0.9375rem]">
                  {recipe.mixture.components
                    .map((c) => `${formatFixed((c.kg / recipe.mixture.totalKg) * 100, 0)} % ${c.product.name}`)
                    .join(', ')}
                </td>
                <td className="no-print">
                  <button
                    type="button"
                    className="plain"
                    aria-label={`Hold the salt index at ${formatTrimmed(salt, 3)}`}
                    onClick={() =>
                      setValue(
                        'rules',
                        [
                          ...getValues('rules').filter((r) => !(r.kind === 'limit' && r.of === 'salt')),
                          ruleTextOf({
                            kind: 'limit',
                            of: 'salt',
                            high: Number((salt * 1.0005 + 0.005).toPrecision(3)),
                          }),
                        ],
                        { shouldDirty: true },
                      )
                    }
                  >
                    hold it there
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
