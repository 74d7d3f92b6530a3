import type { Implication } from '@wheat-ledger/core';
import { SoilTerm } from './SoilTerm';
import { FigureButton } from '../ui/FigureButton';
import { ReadableFigure } from '../ui/ReadableFigure';

/** What follows from a report or an analysis, line by line, each figure with its working or with what it needs. */
export const Implications = ({
  rows,
  caption,
  testId,
}: {
  rows: readonly Implication[];
  caption: string;
  testId: string;
}) => (
  <table className="ledger" data-testid={testId}>
    <caption className="sr-only">{caption}</caption>
    <tbody>
      {rows.map(({ name, figure, whole, lacks, about }) => (
        <tr key={name}>
          <th scope="row" className="first-letter:uppercase">
            <SoilTerm about={about}>{name}</SoilTerm>
          </th>
          <td className="num">
            {figure ? (
              <>
                <ReadableFigure figure={figure} />
                {whole && whole.value.high > 0 && (
                  <span className="block text-sm text-faint">
                    <FigureButton figure={whole} /> kg on the whole plot
                  </span>
                )}
              </>
            ) : (
              <span className="text-faint">needs {lacks}</span>
            )}
          </td>
        </tr>
      ))}
    </tbody>
  </table>
);
