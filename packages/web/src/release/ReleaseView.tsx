import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  formatFixed,
  formatGiven,
  formatGivenRange,
  formatNumber,
  formatRange,
  isExact,
  nitrogenBalance,
  parseNumber,
  RELEASE_DAYS,
  type Band,
  type Figure,
} from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useBench, useSite } from '../app/workspace';
import { Choice } from '../ui/Choice';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { ReleaseChart, styleOf } from './ReleaseChart';
import { weekPoints, type Count, type Course } from './series';
import { TaskNote } from '../ui/TaskNote';
import { useReleases, type Bands } from './useReleases';

const SHOWN_WEEKS = [4, 8, 13, 26] as const;
const MOST_DOSE = 1000;
const percent = (share: number | undefined): string => (share === undefined ? '–' : `${formatFixed(share * 100, 0)} %`);

function DoseField({ dose, usual }: { dose: number; usual: number }) {
  const dispatch = useAppDispatch();
  const [text, setText] = useState(String(dose));
  const read = parseNumber(text);
  const fits = read.ok && read.value > 0 && read.value <= MOST_DOSE;
  return (
    <label className="text-sm text-faint">
      Nitrogen applied, kg N/ha
      <input
        className="field block !w-40 text-pine"
        inputMode="decimal"
        value={text}
        aria-invalid={!fits}
        onChange={(e) => {
          setText(e.target.value);
          const typed = parseNumber(e.target.value);
          if (typed.ok && typed.value > 0 && typed.value <= MOST_DOSE)
            dispatch(settingsSlice.actions.changed({ nitrogenKgPerHa: typed.value }));
        }}
      />
      <span className={fits ? '' : 'text-beet'}>
        {fits
          ? `the crop takes up about ${formatNumber(usual)}`
          : `Read “${text}”, expected more than 0 and at most ${MOST_DOSE}.`}
      </span>
    </label>
  );
}

/** Eight in ten draws fall between these at week 26; nothing when they do not differ. */
function BandWords({ band }: { band: Band | undefined }) {
  const [low, high] = [percent(band?.low.at(-1)), percent(band?.high.at(-1))];
  return band && low !== high ? (
    <div className="text-[0.8125rem] text-faint">
      {low.replace(' %', '')} to {high}
    </div>
  ) : null;
}

function CourseTable({
  courses,
  bands,
  numberOf,
  watered,
}: {
  courses: readonly Course[];
  bands: Bands;
  numberOf: (id: string) => number;
  watered: boolean;
}) {
  return (
    <div className="overflow-x-auto">
      <table className="ledger" data-testid="release-table">
        <caption className="pb-1 text-left text-sm text-faint">
          Share of the bag’s nitrogen that the crop has taken or can take by the end of each week, and where the rest is
          at week 26
        </caption>
        <thead>
          <tr>
            <th scope="col">Bag</th>
            {SHOWN_WEEKS.map((w) => (
              <th key={w} scope="col" className="num whitespace-nowrap">
                week {w}
              </th>
            ))}
            <th scope="col" className="num">
              not yet released
            </th>
            <th scope="col" className="num">
              in microbes and humus
            </th>
            <th scope="col" className="num">
              lost as gas
            </th>
            {watered && (
              <th scope="col" className="num">
                drained below 30 cm
              </th>
            )}
            <th scope="col" className="num">
              sum
            </th>
          </tr>
        </thead>
        <tbody>
          {courses.map(({ product, run, available }) => {
            const end = RELEASE_DAYS;
            const number = numberOf(product.id);
            return (
              <tr key={product.id}>
                <th scope="row" className="min-w-44">
                  <svg width="26" height="8" aria-hidden="true" className="mr-1.5 inline">
                    <path
                      d="M0 4H26"
                      stroke={styleOf(number - 1).ink}
                      strokeWidth="2.5"
                      strokeDasharray={styleOf(number - 1).dash}
                    />
                  </svg>
                  {number} {product.name}
                </th>
                {SHOWN_WEEKS.map((w) => (
                  <td key={w} className={`num ${(run.available[w * 7] ?? 0) < 0 ? 'text-beet' : ''}`}>
                    {w === 26 ? (
                      <>
                        <FigureButton figure={available}>{percent(run.available[end])}</FigureButton>
                        <BandWords band={bands[product.id]} />
                      </>
                    ) : (
                      percent(run.available[w * 7])
                    )}
                  </td>
                ))}
                <td className="num">
                  {percent((run.urea[end] ?? 0) + (run.coated[end] ?? 0) + (run.undecomposed[end] ?? 0))}
                </td>
                <td className="num">{percent((run.microbial[end] ?? 0) + (run.humus[end] ?? 0))}</td>
                <td className="num">{percent((run.volatilised[end] ?? 0) + (run.denitrified[end] ?? 0))}</td>
                {watered && <td className="num">{percent(run.leached[end])}</td>}
                <td className="num">{percent(nitrogenBalance(run, end))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** Each assumption once, over all courses; those that differ by material keep the names of their bags. */
function Assumptions({ courses }: { courses: readonly Course[] }) {
  const rows = useMemo(() => {
    const found = new Map<string, { figure: Figure; bags: string[] }>();
    for (const c of courses)
      for (const figure of c.assumptions) {
        const key = `${figure.label}|${formatRange(figure.value)}`;
        const row = found.get(key) ?? { figure, bags: [] };
        row.bags.push(c.product.name);
        found.set(key, row);
      }
    return [...found.values()];
  }, [courses]);
  return (
    <details className="mt-6" data-testid="assumptions">
      <summary className="cursor-pointer font-slab text-lg font-semibold">What was assumed ({rows.length})</summary>
      <table className="ledger mt-2 text-[0.9375rem]">
        <thead>
          <tr>
            <th scope="col">Assumption</th>
            <th scope="col" className="num">
              used
            </th>
            <th scope="col" className="num">
              range
            </th>
            <th scope="col">unit</th>
            <th scope="col">from, and for which bags</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ figure, bags }) => (
            <tr key={figure.label + bags.join()}>
              <th scope="row">{figure.label}</th>
              <td className="num">{formatGiven(figure.value.mid)}</td>
              <td className="num">{isExact(figure.value) ? 'fixed' : formatGivenRange(figure.value)}</td>
              <td>{figure.unit}</td>
              <td className="text-faint">
                {figure.how.kind === 'assumption' ? figure.how.source : ''}
                {bags.length < courses.length && `; ${bags.join(', ')}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

const NO_BANDS: Bands = {};

/** When the nitrogen arrives, against when the crop wants it. */
export function ReleaseView() {
  const { bags, compared, isLoading } = useBench();
  const { site, crop, plot } = useSite();
  const { nitrogenKgPerHa, daysOnSurface } = useAppSelector((s) => s.settings);
  const dispatch = useAppDispatch();
  const [count, setCount] = useState<Count>('cumulative');
  const usual = crop?.uptakeKgPerHa.N?.mid ?? 100;
  // Typing stays ahead of the drawing: the chart follows when there is time, once a frame at most.
  const dose = nitrogenKgPerHa ?? usual;
  const drawnDose = useDeferredValue(dose);
  const placement = useMemo(() => ({ daysOnSurface, doseKgPerHa: drawnDose }), [daysOnSurface, drawnDose]);
  const { courses: followed, bands: banded } = useReleases(compared, site, placement);
  const releases = followed.latest;
  const bands = banded.result ?? NO_BANDS;
  const courses = useMemo(() => (releases ?? []).filter((r): r is Course => r.kind === 'release'), [releases]);
  const unknown = (releases ?? []).filter((r) => r.kind === 'unknown');
  const points = useMemo(() => weekPoints(courses, bands, count), [courses, bands, count]);
  const numbers = useMemo(() => new Map(bags.map((b, i) => [b.record.id, i + 1])), [bags]);
  const watered = courses.some((c) => c.setup.around.water);
  const numberOf = useCallback((id: string): number => numbers.get(id) ?? 0, [numbers]);
  if (isLoading) return <Loading what="the bench" />;
  return (
    <Sheet
      title="Release"
      question={`When does the nitrogen arrive, and when does ${crop ? crop.name.toLowerCase() : 'the crop'} want it?`}
    >
      {!plot && (
        <Empty>
          Release needs a plot: its crop and how warm its soil is.{' '}
          <Link to="/ground" className="plain">
            Enter one
          </Link>
          .
        </Empty>
      )}
      {compared.length === 0 && (
        <Empty>
          {bags.length > 0 ? (
            'Every bag on the bench is set aside. Press its number to take it back.'
          ) : (
            <>
              Put bags on the bench from the{' '}
              <Link to="/shelf" className="plain">
                shelf
              </Link>{' '}
              to follow their nitrogen.
            </>
          )}
        </Empty>
      )}
      {plot && compared.length > 0 && (
        <>
          <div className="mb-3 flex flex-wrap items-start gap-x-6 gap-y-2">
            <DoseField key={plot.id} dose={dose} usual={usual} />
            <div className="text-sm text-faint">
              Counted
              <div className="text-base text-pine">
                <Choice
                  label="Counted"
                  value={count}
                  onChange={setCount}
                  options={[
                    { value: 'cumulative', text: 'so far' },
                    { value: 'weekly', text: 'each week' },
                  ]}
                />
              </div>
            </div>
            <div className="text-sm text-faint">
              Placed
              <div className="text-base text-pine">
                <Choice
                  label="Placed"
                  value={daysOnSurface > 0 ? 'surface' : 'in'}
                  onChange={(v) => dispatch(settingsSlice.actions.changed({ daysOnSurface: v === 'in' ? 0 : 14 }))}
                  options={[
                    { value: 'in', text: 'worked or watered in' },
                    { value: 'surface', text: 'left 14 days on top' },
                  ]}
                />
              </div>
            </div>
          </div>
          {courses.length > 0 && <ReleaseChart points={points} courses={courses} numberOf={numberOf} count={count} />}
          <TaskNote task={followed} what="the release" />
          <TaskNote task={banded} what="the bands" />
          <p className="mb-4 text-sm text-faint">
            The bold line is what {crop?.name.toLowerCase()} takes up. The tint around each line holds eight in ten of 2
            000 draws over the assumptions.
          </p>
          {courses.length > 0 && <CourseTable courses={courses} bands={bands} numberOf={numberOf} watered={watered} />}
          {unknown.length > 0 && (
            <div className="mt-4 flex flex-col gap-1">
              {unknown.map((u) => (
                <Remark key={u.product.id} tone="note">
                  <b>{u.product.name}</b> cannot be followed: {u.why}.
                </Remark>
              ))}
            </div>
          )}
          {courses.length > 0 && <Assumptions courses={courses} />}
        </>
      )}
      <MarginNotes>
        {courses.some((c) => (c.run.available[28] ?? 0) < 0) && (
          <MarginNote title="Tied up first">
            <p>
              Below zero, decomposers take nitrogen out of the soil before they give any back: the material has more
              carbon than its nitrogen can feed.
            </p>
          </MarginNote>
        )}
        {courses.some((c) => c.supposed.length > 0) && (
          <MarginNote title="Supposed">
            {courses.flatMap((c) =>
              c.supposed.map((s) => (
                <p key={c.product.id + s}>
                  <b>{c.product.name}:</b> {s}.
                </p>
              )),
            )}
          </MarginNote>
        )}
        <MarginNote title="What this leaves out">
          <p>
            {watered
              ? 'What the crop has taken up no longer drains; the crop is counted as taking from this bag first, before the soil’s own nitrogen. '
              : 'Rain and leaching are not in it: enter the plot’s rain and evapotranspiration on its ground page, or give it a logger’s file. '}
            Class averages stand in until the material is incubated or tested.
          </p>
          <Remark tone="caution">
            Nitrate that the crop does not take can reach ground and surface water. Keep setbacks and limits of your
            local code, and never go above the label’s rate.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
