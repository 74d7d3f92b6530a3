import { weighedWords } from '@wheat-ledger/core';

/** Hands for the practice scale: what a person would pour onto it. */
export function PracticePan({ toGoKg, order }: { toGoKg: number; order: (path: string) => Promise<void> }) {
  const pour = (kg: number): void => void order(`put?kg=${Number(kg.toFixed(4))}`);
  const offers: readonly (readonly [words: string, kg: number])[] = [
    ...(toGoKg > 0.0005
      ? ([
          [`Pour most of it`, toGoKg * 0.9],
          [`Pour the missing ${weighedWords(toGoKg, 'kg')}`, toGoKg],
          ['Pour too much', toGoKg * 1.2],
        ] as const)
      : []),
    ['A pinch more', 0.002],
    ['Take a spoon off', -0.02],
  ];
  return (
    <details className="no-print mt-6 border-t border-rule pt-2 text-[0.9375rem]" open>
      <summary className="cursor-pointer text-faint">
        A practice scale stands in here: pour onto it with these buttons.
      </summary>
      <div className="mt-2 flex flex-wrap gap-2">
        {offers.map(([words, kg]) => (
          <button key={words} type="button" className="action" onClick={() => pour(kg)}>
            {words}
          </button>
        ))}
        <button type="button" className="action" onClick={() => void order('clear')}>
          Empty the pan
        </button>
      </div>
    </details>
  );
}
