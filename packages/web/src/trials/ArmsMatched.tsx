import type { TrialInput } from '@wheat-ledger/contract';
import { compoundPerElement, equalFactors, formatTrimmed, type Figure } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import type { ArmBrings } from './useArms';

/** An element as its oxide, kg/ha. */
function AsOxide({ figure, oxide }: { figure: Figure | undefined; oxide: 'P2O5' | 'K2O' }) {
  return (
    <td className="num">
      {figure ? (
        <FigureButton figure={figure}>{formatTrimmed(figure.value.mid * compoundPerElement(oxide), 3)}</FigureButton>
      ) : (
        <span className="text-faint">not known</span>
      )}
    </td>
  );
}

/** What every arm brings side by side, and how much more of each would make their nitrogen equal. */
export function ArmsMatched({ trial, arms }: { trial: TrialInput; arms: readonly ArmBrings[] }) {
  const nitrogen = arms.map((a) => a.nitrogen);
  if (!nitrogen.some((n) => n !== undefined && n > 0)) return null;
  const factors = equalFactors(nitrogen);
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger max-w-2xl" data-testid="matched">
        <caption className="pb-1 text-left text-sm text-faint">
          What each arm brings, kg/ha: by its programme, else the nitrogen that is typed
        </caption>
        <thead>
          <tr>
            <th scope="col">Arm</th>
            <th scope="col" className="num">
              N
            </th>
            <th scope="col" className="num">
              P₂O₅
            </th>
            <th scope="col" className="num">
              K₂O
            </th>
            <th scope="col">to make nitrogen equal</th>
          </tr>
        </thead>
        <tbody>
          {trial.arms.map((a, i) => {
            const factor = factors[i];
            const figure = arms[i]?.figures.N;
            return (
              <tr key={a.name}>
                <th scope="row">{a.name}</th>
                <td className="num">
                  {figure ? (
                    <FigureButton figure={figure} />
                  ) : nitrogen[i] === undefined ? (
                    <span className="text-faint">not known</span>
                  ) : (
                    formatTrimmed(nitrogen[i], 3)
                  )}
                </td>
                <AsOxide figure={arms[i]?.figures.P} oxide="P2O5" />
                <AsOxide figure={arms[i]?.figures.K} oxide="K2O" />
                <td className="text-faint">
                  {factor !== undefined && Math.abs(factor - 1) > 0.01 && !trial.asksNutrients
                    ? `${formatTrimmed(factor, 3)} times as much of it`
                    : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
