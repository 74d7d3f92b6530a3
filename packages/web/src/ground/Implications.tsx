import { formatRange, fromCanonical, scaleRange, type Figure, type Implication } from '@wheat-ledger/core';
import { Explained } from './Explained';
import { FigureButton } from '../ui/FigureButton';

/** A need per m² is read in grams; everything else as it is. */
function Shown({ figure }: { figure: Figure }) {
  if (figure.unit.text !== 'kg/m²')
    return (
      <>
        <FigureButton figure={figure} /> {figure.unit.text}
      </>
    );
  return (
    <>
      <FigureButton figure={figure}>{formatRange(scaleRange(figure.value, fromCanonical(1, 'g')))}</FigureButton> g/m²
    </>
  );
}

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
      {rows.map(({ name, figure, whole, lacks, explained }) => (
        <tr key={name}>
          <th scope="row" className="first-letter:uppercase">
            {name}
            {explained && <Explained>{explained}</Explained>}
          </th>
          <td className="num">
            {figure ? (
              <>
                <Shown figure={figure} />
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
