import { useMemo } from 'react';
import { Link } from 'react-router';
import { toSite, toSoilReport, type PlotRecord, type SoilReportRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  condition,
  CONDITION_NAMES,
  CONDITIONS,
  type Condition,
  formatGiven,
  pHAvailability,
  shownDeclared,
  SOIL_ANALYTE_NAMES,
  SOIL_METHOD_NAMES,
  soilClass,
  soilPH,
  type DeclaredValue,
  type Site,
  type SoilFigure,
  printDay,
} from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { Term } from '../glossary/Term';
import type { TermKey } from '../glossary/terms';
import { FigureButton } from '../ui/FigureButton';
import { DerivedFigures } from './DerivedFigures';
import { SoilTerm } from './SoilTerm';
import { useNewestJar, useReportsOf } from '../app/soil';

/** Which nutrients the soil's pH keeps from roots though they may be there. */
function PHLetsThrough({ pH, site }: { pH: number | undefined; site: Site }) {
  const all = pH === undefined ? [] : pHAvailability(pH, site);
  const held = all.filter((a) => a.effect !== 'easy');
  return (
    <>
      <h3 className="mt-6 mb-1 text-lg">What its pH lets through</h3>
      {pH === undefined ? (
        <p className="text-slate">Unknown: test pH. It is cheap, and decides more than most feeds.</p>
      ) : (
        <>
          <p data-testid="ph-easy">
            {held.length === 0
              ? `At pH ${pH} everything is as easy to get as it can be.`
              : `At pH ${pH} these are held back or set loose by the pH itself, however much is there; put the pH right before feeding them. As easy as can be: ${
                  all
                    .filter((a) => a.effect === 'easy')
                    .map((a) => a.nutrient)
                    .join(', ') || 'none'
                }.`}
          </p>
          {held.length > 0 && (
            <table className="ledger mt-1" data-testid="ph-held">
              <caption className="sr-only">Nutrients this pH makes hard to get</caption>
              <tbody>
                {held.map((a) => (
                  <tr key={a.nutrient}>
                    <th scope="row">
                      <b>{a.nutrient}</b> {analyteName(a.nutrient)}
                    </th>
                    <td className="font-semibold">{a.effect === 'harder' ? 'harder to get' : 'too much of it'}</td>
                    <td className="text-faint">{a.words}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          <p className="mt-1 text-sm text-faint">
            A guide for soils in general, not a measurement: a leaf or soil test outranks it.
          </p>
        </>
      )}
    </>
  );
}

const rowKey = (f: Pick<SoilFigure, 'analyte' | 'method' | 'unit'>): string => `${f.analyte}|${f.method}|${f.unit}`;

/** A tiny line through the numbers of a row, oldest first; nothing with fewer than two. */
function Trend({ values }: { values: readonly number[] }) {
  if (values.length < 2) return null;
  const low = Math.min(...values);
  const span = Math.max(...values) - low || 1;
  const points = values
    .map((v, i) => `${2 + (i / (values.length - 1)) * 56},${18 - ((v - low) / span) * 14}`)
    .join(' ');
  return (
    <svg
      width="60"
      height="20"
      role="img"
      aria-label={`from ${formatGiven(values[0])} to ${formatGiven(values.at(-1))}`}
    >
      <polyline points={points} fill="none" stroke="var(--slate)" strokeWidth="1.8" />
    </svg>
  );
}

function History({ reports }: { reports: readonly SoilReportRecord[] }) {
  const rows = useMemo(() => {
    const found = new Map<string, SoilFigure>();
    for (const r of reports)
      for (const f of toSoilReport(r).figures) if (!found.has(rowKey(f))) found.set(rowKey(f), f);
    return [...found.values()];
  }, [reports]);
  const oldestFirst = [...reports].reverse();
  const at = (report: SoilReportRecord, row: SoilFigure): DeclaredValue | undefined =>
    toSoilReport(report).figures.find((f) => rowKey(f) === rowKey(row))?.value;
  return (
    <div className="overflow-x-auto">
      <table className="ledger" data-testid="soil-history">
        <caption className="pb-1 text-left text-sm text-faint">
          What was found, with its method: only figures of one method are compared
        </caption>
        <thead>
          <tr>
            <th scope="col">Measured</th>
            <th scope="col">how</th>
            {oldestFirst.map((r) => (
              <th key={r.id} scope="col" className="num">
                <Link
                  to={`/ground/${r.plotId}/soil/${r.id}`}
                  className="whitespace-nowrap underline underline-offset-2"
                >
                  {printDay(r.sampledOn)}
                </Link>
              </th>
            ))}
            <th scope="col">
              <span className="sr-only">Trend</span>
            </th>
            <th scope="col">class</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const values = oldestFirst.map((r) => at(r, row));
            return (
              <tr key={rowKey(row)}>
                <th scope="row">
                  <SoilTerm about={row.analyte}>{SOIL_ANALYTE_NAMES[row.analyte]}</SoilTerm>
                  {row.unit && <span className="text-faint">, {row.unit}</span>}
                </th>
                <td className="text-faint sm:whitespace-nowrap">{SOIL_METHOD_NAMES[row.method]}</td>
                {values.map((v, i) => (
                  <td key={oldestFirst[i]?.id} className="num">
                    {v ? shownDeclared(v) : '–'}
                  </td>
                ))}
                <td>
                  <Trend values={values.flatMap((v) => (v?.kind === 'number' ? [v.value] : []))} />
                </td>
                <td>{soilClass(row) ?? <span className="text-faint">–</span>}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

const CONDITION_TERMS: Readonly<Partial<Record<Condition, TermKey>>> = {
  sodic: 'sodic',
  dispersive: 'dispersive',
  saline: 'saline',
  pottingMedium: 'medium',
};
function ConditionTerm({ condition: c }: { condition: Condition }) {
  const term = CONDITION_TERMS[c];
  return term ? <Term of={term}>{CONDITION_NAMES[c]}</Term> : CONDITION_NAMES[c];
}

/** What is known of a plot's soil: its reports, what follows from the newest, and what it can be called. */
export function SoilReports({ plot }: { plot: PlotRecord }) {
  const reports = useReportsOf(plot.id);
  const [newest] = reports;
  const report = newest && toSoilReport(newest);
  const site = toSite(plot);
  const jar = useNewestJar(plot.id);
  const school = useAppSelector((s) => s.settings.sodicSchool);
  return (
    <section>
      <div className="mb-2 flex items-end gap-3">
        <h2 className="mr-auto text-xl">Soil reports</h2>
        <Link to={`/ground/${plot.id}/soil/new`} className="action">
          Enter a soil report
        </Link>
      </div>
      {reports.length === 0 ? (
        <p className="text-faint">
          None yet. Paste a lab slip, and sodium, lime, sulfur and what the soil holds follow from it.
        </p>
      ) : (
        <History reports={reports} />
      )}
      {report && <DerivedFigures report={report} site={site} />}
      <h3 className="mt-6 mb-1 text-lg">What this soil is</h3>
      <table className="ledger" data-testid="conditions">
        <caption className="sr-only">Conditions of the soil, each with the reason or the test that would tell</caption>
        <tbody>
          {CONDITIONS.map((c) => {
            const found = condition(c, site, report, school, jar);
            return (
              <tr key={c}>
                <th scope="row">
                  <ConditionTerm condition={c} />
                </th>
                <td className={`font-semibold ${found.answer === 'unknown' ? 'text-slate' : ''}`}>{found.answer}</td>
                <td className="text-faint">
                  {found.answer === 'unknown' ? (
                    <>test {found.test}</>
                  ) : found.figure ? (
                    <FigureButton figure={found.figure}>{found.because}</FigureButton>
                  ) : (
                    found.because
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <PHLetsThrough pH={soilPH(site, report)} site={site} />
    </section>
  );
}
