import {
  analyteName,
  cropUptake,
  printDay,
  scaleRange,
  compoundPerElement,
  formatTrimmedRange,
  literal,
  type Advice,
  type Crop,
  type Nutrient,
  type ComputedProgramme,
  type ComputedRow,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { Swatch } from '../ui/patterns';

const MOST_DAYS = 3;

function daysWords({ dates }: ComputedRow): string {
  if (!dates) return 'its stage is not reached, or not known';
  if (dates.length === 0) return 'never';
  const named = dates.slice(0, MOST_DAYS).map(printDay).join(', ');
  return dates.length > MOST_DAYS ? `${dates.length} times: ${named} …` : named;
}

/** Each row in numbers: how much on the part, and what it brings each time. */
export function RowNumbers({ rows, numbers }: { rows: readonly ComputedRow[]; numbers: readonly number[] }) {
  return (
    <table className="ledger">
      <caption className="sr-only">What each row comes to</caption>
      <thead>
        <tr>
          <th scope="col">Row</th>
          <th scope="col">Days</th>
          <th scope="col" className="num">
            Each time, kg
          </th>
          <th scope="col" className="num">
            g/m²
          </th>
          <th scope="col" className="num hidden sm:table-cell">
            g/plant
          </th>
          <th scope="col" className="num">
            N each time, kg/ha
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => {
          const { applied } = row;
          return (
            <tr key={i} data-testid="row-numbers">
              <td>
                <b>{numbers[i] ?? i + 1}</b> {row.doing.given.name}
              </td>
              <td className="text-[0.9375rem]">{daysWords(row)}</td>
              {applied.kind === 'unknown' ? (
                <td colSpan={4} className="text-[0.9375rem] text-faint">
                  {applied.why}
                </td>
              ) : (
                <>
                  <td className="num">
                    <FigureButton figure={applied.whole} />
                  </td>
                  <td className="num">
                    <FigureButton figure={applied.perM2}>
                      {formatTrimmedRange(scaleRange(applied.perM2.value, 1000), 3)}
                    </FigureButton>
                  </td>
                  <td className="num hidden sm:table-cell">
                    {applied.perPlant && <FigureButton figure={applied.perPlant} />}
                  </td>
                  <td className="num">
                    {applied.brings
                      .filter((b) => b.analyte === 'N')
                      .map((b) => (
                        <FigureButton key={b.analyte} figure={b.figure} />
                      ))}
                  </td>
                </>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const SHOWN: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];

function adviceCell(advice: Advice, n: Nutrient) {
  const amount = advice[n];
  return amount ? (
    <FigureButton
      figure={literal(`${analyteName(n)} the laboratory recommends`, amount, 'kg/ha', 'measured', 'newest soil report')}
    />
  ) : (
    <span className="text-faint">–</span>
  );
}

/** All of a programme against what the crop takes up. */
export function ProgrammeTotals({
  inNumbers,
  crop,
  advice,
}: {
  inNumbers: ComputedProgramme;
  crop: Crop;
  advice: Advice | undefined;
}) {
  const apart = inNumbers.totals.some((t) => t.supply !== t.figure);
  return (
    <>
      <table className="ledger" data-testid="programme-totals">
        <caption className="sr-only">What the programme brings in all, beside what the crop takes up</caption>
        <thead>
          <tr>
            <th scope="col">In all</th>
            <th scope="col" className="num">
              Brought, kg/ha
            </th>
            {apart && (
              <th scope="col" className="num">
                of it available
              </th>
            )}
            <th scope="col" className="num">
              The crop takes up
            </th>
            {advice && (
              <th scope="col" className="num">
                The soil report recommends
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {SHOWN.map((n) => {
            const total = inNumbers.totals.find((t) => t.analyte === n);
            const need = cropUptake(crop, n);
            return (
              <tr key={n}>
                <th scope="row">
                  <span className="flex items-center gap-2">
                    <Swatch nutrient={n} /> {analyteName(n)}
                    {(n === 'P' || n === 'K') && (
                      <span className="hidden text-sm font-normal text-faint sm:inline">
                        × {compoundPerElement(n === 'P' ? 'P2O5' : 'K2O').toFixed(2)} as {n === 'P' ? 'P₂O₅' : 'K₂O'}
                      </span>
                    )}
                  </span>
                </th>
                <td className="num">
                  {total ? <FigureButton figure={total.figure} /> : <span className="text-faint">not declared</span>}
                </td>
                {apart && (
                  <td className="num">
                    {total && total.supply !== total.figure && <FigureButton figure={total.supply} />}
                  </td>
                )}
                <td className="num">
                  {need.kind === 'figure' ? (
                    <FigureButton figure={need.figure} />
                  ) : (
                    <span className="text-faint">not known</span>
                  )}
                </td>
                {advice && <td className="num">{adviceCell(advice, n)}</td>}
              </tr>
            );
          })}
        </tbody>
      </table>
      {inNumbers.without.length > 0 && (
        <p className="mt-1 text-[0.9375rem] text-beet">
          Without {inNumbers.without.join(', ')}, whose amount or time is not known.
        </p>
      )}
    </>
  );
}
