import { useEffect, useRef, useState } from 'react';
import type { RecipeRecord } from '@wheat-ledger/contract';
import { analyteName, formatFixed, printDay, symbolIn, weighedWords, type Mixture } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { today } from '../app/today';

interface WeighDoneProps {
  readonly recipe: RecipeRecord;
  readonly planned: Mixture;
  readonly weighed: Mixture;
  readonly saving: boolean;
  readonly onKeep: (name: string, lot: string) => void;
  readonly onBack: (() => void) | undefined;
  readonly onAgain: () => void;
}

/** A batch that is all in the tub: what it really is beside what it should be, and its name on the shelf. */
export function WeighDone({ recipe, planned, weighed, saving, onKeep, onBack, onAgain }: WeighDoneProps) {
  const [name, setName] = useState(`${recipe.name}, ${printDay(today())}`.slice(0, 120));
  const [lot, setLot] = useState(today().replace(/-/g, ''));
  const main = useRef<HTMLButtonElement>(null);
  useEffect(() => main.current?.focus(), []);
  const wanted = (nutrient: string): number | undefined =>
    planned.analysis.find((n) => n.nutrient === nutrient)?.percent.value.mid;
  return (
    <section aria-label="The batch is weighed" data-testid="weigh-done">
      <h2 className="text-3xl">All of it is in the tub</h2>
      <p className="text-5xl font-semibold tabular-nums">{weighedWords(weighed.totalKg, 'kg')}</p>
      <table className="ledger mt-4" data-testid="true-analysis">
        <caption className="pb-1 text-left text-sm text-faint">What it really is, by what was weighed</caption>
        <thead>
          <tr>
            <th scope="col">Nutrient</th>
            <th scope="col" className="num">
              really, %
            </th>
            <th scope="col" className="num">
              meant, %
            </th>
          </tr>
        </thead>
        <tbody>
          {weighed.analysis.map(({ nutrient, basis, percent }) => (
            <tr key={nutrient}>
              <th scope="row">
                {symbolIn(nutrient, basis)} <span className="text-faint">{analyteName(nutrient)}</span>
              </th>
              <td className="num">
                <FigureButton figure={percent} />
              </td>
              <td className="num">{wanted(nutrient) === undefined ? '–' : formatFixed(wanted(nutrient) ?? 0, 2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <form
        className="no-print mt-4 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim() !== '') onKeep(name.trim(), lot.trim());
        }}
      >
        <label className="text-sm text-faint">
          Its name on the shelf
          <input
            className="field mt-1 block !w-72"
            value={name}
            maxLength={120}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <label className="text-sm text-faint">
          Lot
          <input
            className="field mt-1 block !w-32"
            value={lot}
            maxLength={60}
            onChange={(e) => setLot(e.target.value)}
          />
        </label>
        <button ref={main} type="submit" className="action main text-lg" disabled={saving}>
          Put it on the shelf
        </button>
        {onBack && (
          <button type="button" className="action" onClick={onBack}>
            Undo the last weight
          </button>
        )}
        <button type="button" className="action" onClick={onAgain}>
          Begin again
        </button>
      </form>
    </section>
  );
}
