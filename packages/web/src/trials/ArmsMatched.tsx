import type { TrialInput } from '@wheat-ledger/contract';
import {
  compoundPerElement,
  equalBy,
  equalDoses,
  EQUALISED,
  formatTrimmed,
  formulaText,
  type ArmBrought,
  type EqualDose,
  type Equalised,
  type Figure,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import type { ArmBrings } from './useArms';

const OF = { N: 'N', P2O5: 'P', K2O: 'K' } as const;
const timesElement = (of: Equalised): number => (of === 'N' ? 1 : compoundPerElement(of));

/** What one arm brings of N or an oxide, kg/ha. */
function Brings({ figure, of, typed }: { figure: Figure | undefined; of: Equalised; typed: number | undefined }) {
  return (
    <td className="num">
      {figure ? (
        <FigureButton figure={figure}>{formatTrimmed(figure.value.mid * timesElement(of), 3)}</FigureButton>
      ) : typed === undefined ? (
        <span className="text-faint">not known</span>
      ) : (
        formatTrimmed(typed, 3)
      )}
    </td>
  );
}

/** What makes an arm equal, in words. */
function equalWords({ factor, lacks }: EqualDose): string {
  const dose =
    factor !== undefined && Math.abs(factor - 1) > 0.01 ? `${formatTrimmed(factor, 3)} times as much of it` : '';
  const more = EQUALISED.flatMap((of) => {
    const short = lacks[of] ?? 0;
    return short > 0.5 ? [`${formatTrimmed(short, 3)} kg/ha ${formulaText(of)} from something else`] : [];
  }).join(' and ');
  return [dose, more && `${dose && 'then '}${more}`].filter(Boolean).join(', ');
}

/** What every arm brings side by side, and what would make them equal. */
export function ArmsMatched({ trial, arms }: { trial: TrialInput; arms: readonly ArmBrings[] }) {
  const brought = arms.map((a): ArmBrought => {
    const oxides = (['P2O5', 'K2O'] as const).flatMap((of) => {
      const figure = a.figures[OF[of]];
      return figure ? [[of, figure.value.mid * timesElement(of)] as const] : [];
    });
    return { ...(a.nitrogen === undefined ? {} : { N: a.nitrogen }), ...Object.fromEntries(oxides) };
  });
  if (!brought.some((b) => EQUALISED.some((of) => (b[of] ?? 0) > 0))) return null;
  const by = equalBy(brought);
  const doses = by && !trial.asksNutrients ? equalDoses(brought, by) : [];
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger max-w-3xl" data-testid="matched">
        <caption className="pb-1 text-left text-sm text-faint">
          What each arm brings, kg/ha: by its programme, else the nitrogen that is typed
        </caption>
        <thead>
          <tr>
            <th scope="col">Arm</th>
            {EQUALISED.map((of) => (
              <th key={of} scope="col" className="num">
                {formulaText(of)}
              </th>
            ))}
            {by && !trial.asksNutrients && <th scope="col">to make {formulaText(by)} equal, then the others</th>}
          </tr>
        </thead>
        <tbody>
          {trial.arms.map((a, i) => {
            const dose = doses[i];
            return (
              <tr key={a.name}>
                <th scope="row">{a.name}</th>
                {EQUALISED.map((of) => (
                  <Brings
                    key={of}
                    of={of}
                    figure={arms[i]?.figures[OF[of]]}
                    typed={of === 'N' ? arms[i]?.nitrogen : undefined}
                  />
                ))}
                {dose && <td className="text-faint">{equalWords(dose)}</td>}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
