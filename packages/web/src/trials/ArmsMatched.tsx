import type { TrialInput } from '@wheat-ledger/contract';
import { equalFactors, formatTrimmed } from '@wheat-ledger/core';

/** Nitrogen of every arm side by side, and how much more of each would make them equal. */
export function ArmsMatched({ trial }: { trial: TrialInput }) {
  const brought = trial.arms.map((a) => a.nitrogenKgPerHa);
  if (!brought.some((n) => n !== undefined && n > 0)) return null;
  const factors = equalFactors(brought);
  return (
    <table className="ledger max-w-xl" data-testid="matched">
      <caption className="pb-1 text-left text-sm text-faint">Nitrogen of each arm, kg/ha</caption>
      <tbody>
        {trial.arms.map((a, i) => (
          <tr key={a.name}>
            <th scope="row">{a.name}</th>
            <td className="num">
              {brought[i] === undefined ? <span className="text-faint">not known</span> : formatTrimmed(brought[i], 3)}
            </td>
            <td className="text-faint">
              {factors[i] !== undefined && Math.abs(factors[i] - 1) > 0.01 && !trial.asksNutrients
                ? `${formatTrimmed(factors[i], 3)} times as much makes it equal`
                : ''}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
