import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Trash2, Upload } from 'lucide-react';
import {
  quantitiesOf,
  toLog,
  toSite,
  type LoggerRecord,
  type LoggerReport,
  type PlotRecord,
} from '@wheat-ledger/contract';
import {
  LOGGED,
  LOGGED_NAMES,
  loggedDays,
  printDay,
  waterImplications,
  waterYear,
  type Site,
} from '@wheat-ledger/core';
import { asTableFile, TABLE_FILES } from '../papers/sheets';
import { problemOf, useRecords, useTakeLogMutation } from '../app/api';
import { dataAt } from '../app/ledger';
import { today } from '../app/today';
import { ofPlot } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Remark, Sheet } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { Implications } from './Implications';
import { PlotPages } from '../ui/PlotPages';
import { Station } from './Station';
import { usePlotPage } from '../ui/usePlotPage';
import { YearOfWarmth } from './YearOfWarmth';

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** The logs of a plot, the newest first. */
function useLogsOf(plotId: string): readonly LoggerRecord[] {
  const { records } = useRecords('logger', ofPlot(plotId));
  return useMemo(() => [...records].sort((a, b) => b.from.localeCompare(a.from)), [records]);
}

const daysOf = (log: LoggerRecord): number => log.series[quantitiesOf(log.series)[0] ?? 'soilC']?.length ?? 0;

function Logs({ logs, plotId }: { logs: readonly LoggerRecord[]; plotId: string }) {
  const takeOut = useTakeOut('logger', `/ground/${plotId}/weather`);
  if (logs.length === 0)
    return <p className="text-faint">No logger’s file yet. Until there is one, the usual year stands in.</p>;
  return (
    <table className="ledger" data-testid="logs">
      <thead>
        <tr>
          <th scope="col">Log</th>
          <th scope="col">from</th>
          <th scope="col" className="num">
            days
          </th>
          <th scope="col">holds</th>
          <th scope="col">
            <span className="sr-only">Take out</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {logs.map((log) => (
          <tr key={log.id}>
            <th scope="row">{log.name}</th>
            <td className="whitespace-nowrap">{printDay(log.from)}</td>
            <td className="num">{daysOf(log)}</td>
            <td className="text-faint">
              {quantitiesOf(log.series)
                .map((q) => LOGGED_NAMES[q].split(',')[0])
                .join(', ')}
            </td>
            <td className="num">
              <button
                type="button"
                className="cursor-pointer p-2"
                title={`Take out ${log.name}`}
                onClick={() => void takeOut(log, `Took the log “${log.name}” out.`)}
              >
                <Trash2 size={15} aria-hidden="true" />
                <span className="sr-only">Take out {log.name}</span>
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is known of each quantity over the year, and what the water balance makes of it. */
function YearOfWater({ site }: { site: Site }) {
  const water = waterYear(site);
  const logged = LOGGED.map((q) => ({ q, days: loggedDays(site.logged ?? [], q) })).filter(({ days }) => days > 0);
  return (
    <>
      <p data-testid="logged-days">
        {logged.length === 0
          ? 'Nothing is logged.'
          : `Logged, of 365 days of the year: ${logged.map(({ q, days }) => `${LOGGED_NAMES[q].split(',')[0]} ${days}`).join(', ')}.`}
      </p>
      {water ? (
        <table className="ledger mt-2" data-testid="water-year">
          <caption className="pb-1 text-left text-sm text-faint">
            A year of water in the upper 30 cm of {site.texture}, mm
          </caption>
          <tbody>
            <tr>
              <th scope="row">rain</th>
              <td className="num">
                <FigureButton figure={water.rain} />
              </td>
            </tr>
            <tr>
              <th scope="row">
                irrigation
                {water.irrigation.how.kind === 'assumption' && (
                  <span className="font-normal text-faint">, not entered: taken as none</span>
                )}
              </th>
              <td className="num">
                <FigureButton figure={water.irrigation} />
              </td>
            </tr>
            <tr>
              <th scope="row">back to the air from soil and crop</th>
              <td className="num">
                <FigureButton figure={water.evaporated} />
              </td>
            </tr>
            <tr>
              <th scope="row">drained below, taking nitrate along</th>
              <td className="num font-semibold">
                <FigureButton figure={water.drained} />
              </td>
            </tr>
          </tbody>
        </table>
      ) : (
        <p className="mt-1 text-slate">
          How moist the soil is and what washes out: unknown.{' '}
          {site.medium === 'mineralSoil'
            ? 'It needs rain and evapotranspiration for every day, from the usual year or from a logger.'
            : 'Pots and potting media drain in ways that a field’s balance does not describe.'}
        </p>
      )}
    </>
  );
}

function TakeFile({ plot }: { plot: PlotRecord }) {
  const [send, { isLoading }] = useTakeLogMutation();
  const [outcome, setOutcome] = useState<{ readonly report: LoggerReport } | { readonly trouble: string }>();
  const takeFile = async (file: File): Promise<void> => {
    try {
      const table = await asTableFile(file);
      await take(file.name.replace(/\.\w+$/, '').slice(0, 120) || 'Logger', table);
    } catch (error) {
      setOutcome({ trouble: error instanceof Error ? error.message : `“${file.name}” could not be read.` });
    }
  };
  const take = async (name: string, csv: Blob): Promise<void> => {
    const result = await send({ plotId: plot.id, name, csv });
    setOutcome(result.error ? { trouble: problemOf(result.error).detail } : { report: result.data });
  };
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <label htmlFor="log-file" className="action focus-within:outline-2">
          <Upload size={16} aria-hidden="true" />
          {isLoading ? 'Reading …' : 'A logger’s file, CSV or XLSX'}
          <input
            id="log-file"
            type="file"
            accept={TABLE_FILES}
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) void takeFile(file);
              e.target.value = '';
            }}
          />
        </label>
        <Station end={today()} onReadings={take} busy={isLoading} />
      </div>
      <div aria-live="polite" className="mt-2" data-testid="log-outcome">
        {outcome && 'trouble' in outcome && <Remark tone="caution">{outcome.trouble}</Remark>}
        {outcome && 'report' in outcome && (
          <>
            <p>
              {outcome.report.days} {outcome.report.days === 1 ? 'day was' : 'days were'} read into “
              {outcome.report.record.name}”.
              {outcome.report.ignored.length > 0 &&
                ` Columns that mean nothing here were left out: ${outcome.report.ignored.join(', ')}.`}
            </p>
            {outcome.report.problems.length > 0 && (
              <ul className="max-h-40 overflow-auto text-[0.9375rem] text-beet">
                {outcome.report.problems.map((p) => (
                  <li key={`${p.row}${p.message}`}>
                    row {p.row}: {p.message} Left out.
                  </li>
                ))}
              </ul>
            )}
          </>
        )}
      </div>
    </>
  );
}

function WaterBrought({ plot, site }: { plot: PlotRecord; site: Site }) {
  const irrigation = site.climate ? sum(site.climate.irrigationMm) : undefined;
  if (!plot.water)
    return (
      <p className="text-faint">
        Nothing is known of the water it is given.{' '}
        <Link to={`/ground/${plot.id}/weather/edit`} className="plain">
          Enter a water analysis
        </Link>
        .
      </p>
    );
  return (
    <Implications
      rows={waterImplications(plot.water, irrigation)}
      caption="What follows from the water analysis"
      testId="water-figures"
    />
  );
}

/** How warm and how wet a plot is, from its usual year and from what loggers measured. */
export function WeatherView() {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  return <PlotWeather key={page.plot.id} plot={page.plot} />;
}

function PlotWeather({ plot }: { plot: PlotRecord }) {
  const logs = useLogsOf(plot.id);
  const site = useMemo(() => toSite(plot, logs), [plot, logs]);
  return (
    <Sheet
      title="Ground"
      question={`How warm and how wet is it in ${plot.name}?`}
      actions={
        <Link to={`/ground/${plot.id}/weather/edit`} className="action">
          Change the usual year
        </Link>
      }
    >
      <PlotPages plotId={plot.id} />
      <section className="mb-6">
        <h2 className="mb-2 text-xl">Logs</h2>
        <Logs logs={logs} plotId={plot.id} />
      </section>
      <section className="mb-6">
        <h2 className="mb-2 text-xl">Read in a file</h2>
        <TakeFile plot={plot} />
      </section>
      <section className="mb-6">
        <h2 className="mb-2 text-xl">The year’s water</h2>
        <YearOfWater site={site} />
      </section>
      <section>
        <h2 className="mb-2 text-xl">What its water brings</h2>
        <WaterBrought plot={plot} site={site} />
      </section>
      <MarginNotes>
        <MarginNote title="The year’s warmth">
          <YearOfWarmth site={{ temperature: site.temperature, logged: logs.map(toLog) }} />
          <p>Where a logger measured, its value is used; on all other days, the usual year.</p>
        </MarginNote>
        <MarginNote title="Loggers that send by themselves">
          <p>A logger or station on this machine can send its CSV by itself:</p>
          <pre className="text-[0.8125rem] break-all whitespace-pre-wrap">
            POST {dataAt(`plots/${plot.id}/log`)}
            {'\n'}Content-Type: text/csv
          </pre>
          <p>
            It needs a date column and one of soil °C, air °C, rain mm, irrigation mm or ET mm. °F and inches are
            converted.
          </p>
        </MarginNote>
        <MarginNote title="What rests on this">
          <p>
            Release: how fast anything organic, coated or urea gives its nitrogen, and how much nitrate drains away.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
