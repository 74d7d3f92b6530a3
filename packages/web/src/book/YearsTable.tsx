import {
  commonestCurrency,
  formatFixed,
  formatGiven,
  formatRange,
  loggedCost,
  type Figure,
  type YearBalance,
} from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { FigureButton } from '../ui/FigureButton';
import type { PlotYears } from '../app/usePlotYears';

const SHOWN = ['N', 'P', 'K'] as const;
const of = (year: YearBalance, n: (typeof SHOWN)[number], what: 'brought' | 'left'): Figure | undefined =>
  year.rows.find((r) => r.nutrient === n)?.[what];

const Cell = ({ figure }: { figure: Figure | undefined }) => (
  <td className="num">
    {figure ? (
      <FigureButton figure={figure}>{formatRange(figure.value, 2)}</FigureButton>
    ) : (
      <span className="text-faint">–</span>
    )}
  </td>
);

/** Year against year: what went on, what it cost, what came off and what is left. */
export function YearsTable({ found, onOpen }: { found: PlotYears; onOpen: (year: number) => void }) {
  const hour = useAppSelector((s) => s.settings.hour);
  const currency = commonestCurrency(found.shelf.map((s) => s.product)) ?? '';
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger" data-testid="years">
        <caption className="pb-1 text-left text-sm text-faint">
          kg of element a hectare; the cost of all of the plot
        </caption>
        <thead>
          <tr>
            <th scope="col">Year</th>
            <th scope="col" className="num">
              harvest, kg
            </th>
            <th scope="col" className="num">
              cost{currency && `, ${currency}`}
            </th>
            {SHOWN.map((n) => (
              <th key={n} scope="col" className="num">
                {n} on
              </th>
            ))}
            {SHOWN.map((n) => (
              <th key={n} scope="col" className="num">
                {n} left
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...found.years].reverse().map((year) => {
            const within = (on: string): boolean => on.startsWith(`${year.year}-`);
            const harvests = found.harvests.filter((h) => within(h.on));
            const entries = found.here.map((l) => l.entry).filter((e) => within(e.on));
            const { all } = loggedCost(entries, currency, hour);
            return (
              <tr key={year.year}>
                <th scope="row">
                  <button type="button" className="plain" onClick={() => onOpen(year.year)}>
                    {year.year}
                  </button>
                </th>
                <td className="num">
                  {harvests.length > 0 ? (
                    formatGiven(Number(harvests.reduce((sum, h) => sum + h.kg, 0).toPrecision(6)))
                  ) : (
                    <span className="text-faint">–</span>
                  )}
                </td>
                <td className="num">
                  {all ? (
                    <FigureButton figure={all}>{formatFixed(all.value.mid, 2)}</FigureButton>
                  ) : (
                    <span className="text-faint">–</span>
                  )}
                </td>
                {SHOWN.map((n) => (
                  <Cell key={n} figure={of(year, n, 'brought')} />
                ))}
                {SHOWN.map((n) => (
                  <Cell key={n} figure={of(year, n, 'left')} />
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
