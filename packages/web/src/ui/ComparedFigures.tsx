import { analyteName, CHANGE_WORDS, type FigureChange, type Reading, type WordChange } from '@wheat-ledger/core';
import { amountWords } from './amountWords';
import { FigureButton } from './FigureButton';

function Shown({ reading }: { reading: Reading }) {
  if (reading.kind === 'figure')
    return <FigureButton figure={reading.figure}>{amountWords(reading.figure.value, false)}</FigureButton>;
  if (reading.kind === 'below')
    return <FigureButton figure={reading.limit}>{amountWords(reading.limit.value, true)}</FigureButton>;
  return <span className="text-faint">{reading.kind === 'needsDensity' ? 'needs a density' : 'not declared'}</span>;
}
const inkOf = (change: FigureChange['change']): string =>
  change === 'same' || change === 'tie'
    ? 'text-faint'
    : change === 'less' || change === 'dropped'
      ? 'font-semibold text-beet'
      : 'font-semibold';

/** Two analyses side by side, and what became of each nutrient. */
export function ComparedFigures({ figures, caption }: { figures: readonly FigureChange[]; caption: string }) {
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger" data-testid="version-figures">
        <caption className="pb-1 text-left text-sm text-faint">{caption}</caption>
        <thead>
          <tr>
            <th scope="col">Nutrient</th>
            <th scope="col" className="num">
              before
            </th>
            <th scope="col" className="num">
              after
            </th>
            <th scope="col">so it is</th>
          </tr>
        </thead>
        <tbody>
          {figures.map((f) => (
            <tr key={f.analyte}>
              <th scope="row">{analyteName(f.analyte)}</th>
              <td className="num">
                <Shown reading={f.before} />
              </td>
              <td className="num">
                <Shown reading={f.after} />
              </td>
              <td className={inkOf(f.change)}>{CHANGE_WORDS[f.change]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What differs besides figures: what, before, after. */
export function ComparedWords({ words, caption }: { words: readonly WordChange[]; caption: string }) {
  if (words.length === 0) return null;
  return (
    <div className="relative mt-5 overflow-x-auto">
      <table className="ledger" data-testid="version-words">
        <caption className="pb-1 text-left text-sm text-faint">{caption}</caption>
        <tbody>
          {words.map((w) => (
            <tr key={w.what}>
              <th scope="row">{w.what}</th>
              <td>{w.before || <span className="text-faint">nothing</span>}</td>
              <td>{w.after || <span className="text-faint">nothing</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** How many things differ, in words. */
export const differWords = (changes: number): string =>
  changes === 0 ? 'No difference is shown.' : changes === 1 ? '1 thing differs.' : `${changes} things differ.`;
