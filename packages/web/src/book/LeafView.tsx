import { Link } from 'react-router';
import { Trash2 } from 'lucide-react';
import { toTissueTest, type LeafTestRecord, type PlotRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  formatGiven,
  formatTrimmed,
  formatTrimmedRange,
  judgeTissue,
  nextRate,
  printDay,
  tissueDoubts,
  type Crop,
  type TissueResult,
  type YearBalance,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons } from '../app/seasons';
import { ofPlot, usePlot } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { FormPart } from '../ui/EditForm';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { BookPages } from './BookPages';
import { LeafForm } from './LeafForm';
import { LeafHistory } from './LeafHistory';
import { usePlotYears } from '../app/usePlotYears';

const STANDING_WORDS = {
  below: 'below it',
  within: 'within it',
  above: 'above it',
  unknown: 'no band known',
} as const;

/** Next year's rate of one element, by what went on this year. */
function NextRate({ result, year }: { result: TissueResult; year: YearBalance | undefined }) {
  const went = year?.rows.find((r) => r.nutrient === result.nutrient)?.brought;
  if (result.factor === undefined) return <span className="text-faint">not known</span>;
  const next = went && nextRate(result, went);
  const step =
    result.factor === 1
      ? 'as this year'
      : `${formatTrimmed(Math.abs(result.factor - 1) * 100, 3)} % ${result.factor > 1 ? 'more' : 'less'}`;
  return (
    <>
      {step}
      {next && next.value.mid > 0 && (
        <span className="whitespace-nowrap">
          : <FigureButton figure={next}>{formatTrimmedRange(next.value, 2)} kg/ha</FigureButton>
        </span>
      )}
    </>
  );
}

function TestResults({ record, crop, year }: { record: LeafTestRecord; crop: Crop; year: YearBalance | undefined }) {
  const takeOut = useTakeOut('leaf');
  const test = toTissueTest(record);
  const results = judgeTissue(crop, test, record.stepPercent);
  return (
    <FormPart title={`${printDay(record.on)}: ${crop.name.toLowerCase()}, ${record.part}`}>
      <div className="relative overflow-x-auto">
        <table className="ledger" data-testid="leaf">
          <caption className="pb-1 text-left text-sm text-faint">
            Per cent of dry matter{record.samples ? `, ${formatGiven(record.samples)} leaves` : ''}
            {record.note && ` · ${record.note}`}
          </caption>
          <thead>
            <tr>
              <th scope="col">Element</th>
              <th scope="col" className="num">
                found
              </th>
              <th scope="col" className="num">
                band
              </th>
              <th scope="col">stands</th>
              <th scope="col">next year</th>
            </tr>
          </thead>
          <tbody>
            {results.map((r) => (
              <tr key={r.nutrient}>
                <th scope="row">{analyteName(r.nutrient)}</th>
                <td className="num">{formatGiven(r.percent)}</td>
                <td className="num">
                  {r.band ? (
                    `${formatGiven(r.band.lowPercent)}–${formatGiven(r.band.highPercent)}`
                  ) : (
                    <span className="text-faint">–</span>
                  )}
                </td>
                <td className={r.standing === 'below' || r.standing === 'above' ? 'text-beet' : ''}>
                  {STANDING_WORDS[r.standing]}
                </td>
                <td>
                  <NextRate result={r} year={year} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {tissueDoubts(crop, test).map((doubt) => (
        <Remark key={doubt} tone="note">
          {doubt}
        </Remark>
      ))}
      <button
        type="button"
        className="plain no-print flex items-center gap-1 self-start"
        onClick={() => void takeOut(record, 'Took the leaf test out.')}
      >
        <Trash2 size={15} aria-hidden="true" /> Take this test out
      </button>
    </FormPart>
  );
}

function PlotTests({ plot }: { plot: PlotRecord }) {
  const { records, isLoading } = useRecords('leaf', ofPlot(plot.id));
  const { seasons, chosen, isLoading: seasonsLoading } = useSeasons(plot.id);
  const { years } = usePlotYears(plot);
  if (isLoading || seasonsLoading) return <Loading what="the leaf tests" />;
  const cropOf = (r: LeafTestRecord): Crop | undefined =>
    (seasons.find((s) => s.record.id === r.seasonId) ?? chosen)?.season.crop;
  const tests = [...records].sort((a, b) => b.on.localeCompare(a.on));
  return (
    <div className="flex flex-col gap-5">
      <LeafForm plot={plot} seasons={seasons} chosen={chosen} />
      {tests.length === 0 && (
        <Empty>
          No leaves of {plot.name} were tested yet. A test tells whether what was given also got into the plant: below
          its band next year’s rate goes up by a step, above it down.
        </Empty>
      )}
      {tests.map((record) => {
        const crop = cropOf(record);
        const year = years.find((y) => String(y.year) === record.on.slice(0, 4));
        return crop && <TestResults key={record.id} record={record} crop={crop} year={year} />;
      })}
      {tests.length > 0 && (
        <FormPart title="Over the years">
          <LeafHistory
            tests={tests.flatMap((record) => {
              const crop = cropOf(record);
              return crop ? [{ test: toTissueTest(record), crop }] : [];
            })}
          />
        </FormPart>
      )}
    </div>
  );
}

/** Leaf tests of a plot: where each element stands against its band, and what that does to next year's rate. */
export function LeafView() {
  const { plot } = usePlot();
  return (
    <Sheet
      title={plot ? `Leaf tests, ${plot.name}` : 'Leaf tests'}
      question="Did it get into the plant, and what about next year?"
    >
      <BookPages />
      {plot ? (
        <PlotTests key={plot.id} plot={plot} />
      ) : (
        <Empty>
          A leaf test is of a plot: make one under <Link to="/ground">Ground</Link> first.
        </Empty>
      )}
      <MarginNotes>
        <MarginNote title="How to sample">
          <p>
            Take the part the band is for, at its time, from twenty plants or more all over the plot, never wet or dusty
            ones. Bands of other parts or times say nothing.
          </p>
        </MarginNote>
        <MarginNote title="What a step is">
          <p>
            Below the band the next year’s rate goes up by your step, above it down, within it it stays. It never goes
            above the label’s rate or your local limits.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
