import { useState } from 'react';
import { Link } from 'react-router';
import type { HarvestRecord, PlotRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  formatGiven,
  formatRange,
  metalMeter,
  printDay,
  type BalanceRow,
  type Figure,
  type YearBalance,
} from '@wheat-ledger/core';
import { limitsOf } from '../app/useLimits';
import { useSeasons } from '../app/seasons';
import { useReportsOf } from '../app/soil';
import { today } from '../app/today';
import type { Logged } from '../app/useLogged';
import { useGround, usePlans } from '../app/usePlans';
import { usePlot, type ShelfProduct } from '../app/workspace';
import { FormPart } from '../ui/EditForm';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Failed, Loading, Remark, Sheet } from '../ui/Sheet';
import { BookPages } from './BookPages';
import { BuildUpChart } from './BuildUpChart';
import { HarvestPart } from './HarvestPart';
import { LimitsPart } from './LimitsPart';
import { LearnedPart } from './LearnedPart';
import { usePlotYears } from '../app/usePlotYears';
import { YearCost } from './YearCost';
import { YearsTable } from './YearsTable';

const Cell = ({ figure }: { figure: Figure | undefined }) => (
  <td className="num">
    {figure ? (
      <FigureButton figure={figure}>{formatRange(figure.value, 2)}</FigureButton>
    ) : (
      <span className="text-faint">not known</span>
    )}
  </td>
);
/** In, out and what is left of each element. */
function BalanceTable({ rows, without }: { rows: readonly BalanceRow[]; without: readonly string[] }) {
  return (
    <>
      <div className="relative overflow-x-auto">
        <table className="ledger" data-testid="balance">
          <caption className="pb-1 text-left text-sm text-faint">kg of element a hectare</caption>
          <thead>
            <tr>
              <th scope="col">Element</th>
              <th scope="col" className="num">
                went on
              </th>
              <th scope="col" className="num">
                taken off
              </th>
              <th scope="col" className="num">
                left
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.nutrient}>
                <th scope="row">{analyteName(r.nutrient)}</th>
                <Cell figure={r.brought} />
                <Cell figure={r.taken} />
                <Cell figure={r.left} />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {without.length > 0 && (
        <Remark tone="note">Without a figure, and so not counted everywhere: {without.join(', ')}.</Remark>
      )}
    </>
  );
}

function Done({ done, shelf }: { done: readonly Logged[]; shelf: readonly ShelfProduct[] }) {
  return (
    <>
      <ul data-testid="done">
        {done.map(({ record: e }) => (
          <li key={e.id} className="flex flex-wrap gap-x-3 border-b border-rule py-1">
            <span className="w-28 shrink-0">{printDay(e.on)}</span>
            <span className="min-w-0 flex-1">
              <b>{e.what}</b>
              {e.items.map((i) => (
                <span key={i.productId}>
                  , {formatGiven(i.amount)} {i.unit} of{' '}
                  {shelf.find((s) => s.record.id === i.productId)?.product.name ?? 'a bag that is gone'}
                </span>
              ))}
              {e.note && <span className="text-faint"> · {e.note}</span>}
            </span>
          </li>
        ))}
      </ul>
      <YearCost done={done} shelf={shelf} />
    </>
  );
}

function Year({ plot, year, found }: { plot: PlotRecord; year: YearBalance; found: ReturnType<typeof usePlotYears> }) {
  const { ground } = useGround();
  const { plans } = usePlans();
  const inYear = (on: string): boolean => on.startsWith(`${year.year}-`);
  const done = found.here.filter((l) => inYear(l.entry.on)).sort((a, b) => a.entry.on.localeCompare(b.entry.on));
  const harvests = found.harvests.filter((h) => inYear(h.on));
  const { loads, silent } = metalMeter(
    done.map((l) => l.entry),
    plot.areaM2,
  );
  const cropOf = (h: HarvestRecord): string =>
    ground.get(h.seasonId ?? '')?.season.crop.name ?? 'a crop that is not said';
  return (
    <>
      <FormPart title="What was done">
        {done.length > 0 ? <Done done={done} shelf={found.shelf} /> : <p className="text-faint">Nothing is logged.</p>}
      </FormPart>
      <FormPart title="What was harvested">
        <HarvestPart plot={plot} harvests={harvests} cropOf={cropOf} />
      </FormPart>
      <FormPart title="What it adds up to">
        <BalanceTable rows={year.rows} without={year.without} />
      </FormPart>
      <FormPart title="Limits of local code">
        <LimitsPart plot={plot} uses={limitsOf(plot, year.year, found.all, plans)} />
      </FormPart>
      <FormPart title="Metals that came along">
        {loads.length > 0 && (
          <ul className="ml-5 list-disc" data-testid="metals">
            {loads.map(({ metal, perHa }) => (
              <li key={metal}>
                {analyteName(metal)}: <FigureButton figure={perHa} /> g/ha
              </li>
            ))}
          </ul>
        )}
        <p className="text-[0.9375rem] text-faint">
          {silent.length > 0
            ? `No figure is given by ${silent.join(', ')}: that is unknown, not clean.`
            : loads.length === 0
              ? 'Nothing went on that could bring any.'
              : ''}
        </p>
      </FormPart>
    </>
  );
}

/** A plot's year: what went on, what it brought, what was harvested and what is left. */
export function PlotYearView() {
  const { plot } = usePlot();
  const found = usePlotYears(plot);
  const reports = useReportsOf(plot?.id);
  const [chosen, setChosen] = useState<number>();
  const { seasons } = useSeasons(plot?.id);
  if (found.isLoading) return <Loading what="the book" />;
  const now = Number(today().slice(0, 4));
  const years: readonly YearBalance[] = found.years.some((y) => y.year === now)
    ? found.years
    : [...found.years, { year: now, rows: [], without: [] }];
  const year = years.find((y) => y.year === (chosen ?? years.at(-1)?.year));
  return (
    <Sheet
      title={plot ? `${plot.name}, ${year?.year ?? ''}` : 'A plot’s year'}
      question="What went on, what came off, and what is left?"
      actions={
        <>
          <label className="flex items-center gap-2 text-faint">
            Year
            <select
              className="field !w-auto"
              value={year?.year ?? ''}
              onChange={(e) => setChosen(Number(e.target.value))}
            >
              {[...years].reverse().map((y) => (
                <option key={y.year} value={y.year}>
                  {y.year}
                </option>
              ))}
            </select>
          </label>
          <PrintButton />
        </>
      }
    >
      <BookPages />
      {found.error !== undefined ? (
        <Failed error={found.error} />
      ) : !plot || !year ? (
        <Empty>
          The book of a year is of a plot: make one under <Link to="/ground">Ground</Link> first.
        </Empty>
      ) : (
        <div className="flex flex-col gap-5">
          <Year plot={plot} year={year} found={found} />
          <FormPart title="What was learned">
            <LearnedPart seasons={seasons} year={year.year} />
          </FormPart>
          <FormPart title="Over the years">
            <YearsTable found={found} onOpen={setChosen} />
            {found.years.length < 2 ? (
              <p className="text-faint">From the second year on it is drawn how phosphorus and potassium build up.</p>
            ) : (
              <BuildUpChart years={found.years} reports={reports} />
            )}
          </FormPart>
        </div>
      )}
      <MarginNotes>
        <MarginNote title="What is counted">
          <p>
            What the log says really went on, times what each bag holds; less each harvest, times what its crop takes
            off in a tonne. What the water brings is in it where its analysis names it; what is washed out or goes off
            as gas is not.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
