import { formatFixed, formatNumber, measuredWords, weighedWords, type WeighOut } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';

const Box = () => <td className="hidden text-center text-xl leading-none print:table-cell">☐</td>;

const volume = (litres: number | undefined): string => (litres === undefined ? 'no density' : measuredWords(litres));

/** What to weigh out of each material, rounded to what a scale or a jug shows, with a box to tick on paper. */
export function WeighOutTable({
  lines,
  batchKg,
  fillerKg,
  massUnit,
}: {
  lines: readonly WeighOut[];
  batchKg: number;
  fillerKg: number;
  massUnit: 'kg' | 'lb';
}) {
  return (
    <div className="overflow-x-auto">
      <table className="ledger" data-testid="weigh-out">
        <caption className="pb-1 text-left text-sm text-faint">
          To make {weighedWords(batchKg, massUnit)}, rounded to what a scale shows. Volume goes through each bag’s
          density, and a heaped scoop is not a level one.
        </caption>
        <thead>
          <tr>
            <th scope="col" className="hidden print:table-cell">
              done
            </th>
            <th scope="col">Material</th>
            <th scope="col" className="num">
              weigh out
            </th>
            <th scope="col" className="num">
              share
            </th>
            <th scope="col" className="num">
              parts by weight
            </th>
            <th scope="col" className="num">
              or measure
            </th>
            <th scope="col" className="num">
              parts by volume
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.productId}>
              <Box />
              <th scope="row">{l.name}</th>
              <td className="num font-semibold">
                <FigureButton figure={l.mass}>{weighedWords(l.kg, massUnit)}</FigureButton>
              </td>
              <td className="num">
                <FigureButton figure={l.percent}>{formatFixed(l.percent.value.mid, 1)} %</FigureButton>
              </td>
              <td className="num">{formatNumber(l.partsByWeight)}</td>
              <td className="num">{volume(l.litres)}</td>
              <td className="num">{l.partsByVolume === undefined ? '–' : formatNumber(l.partsByVolume)}</td>
            </tr>
          ))}
          {fillerKg > 0 && (
            <tr>
              <Box />
              <th scope="row">Filler that brings nothing (sand, dry soil)</th>
              <td className="num font-semibold">{weighedWords(fillerKg, massUnit)}</td>
              <td className="num">{formatFixed((fillerKg / batchKg) * 100, 1)} %</td>
              <td className="num">–</td>
              <td className="num">–</td>
              <td className="num">–</td>
            </tr>
          )}
          <tr className="total">
            <td className="hidden print:table-cell" />
            <th scope="row">The batch</th>
            <td className="num">{weighedWords(batchKg, massUnit)}</td>
            <td className="num">100 %</td>
            <td />
            <td />
            <td />
          </tr>
        </tbody>
      </table>
    </div>
  );
}
