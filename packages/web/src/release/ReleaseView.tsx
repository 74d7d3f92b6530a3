import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { formatNumber, parseNumber } from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useBench } from '../app/bench';
import { useSite } from '../app/seasons';
import { Term } from '../glossary/Term';
import { Choice } from '../ui/Choice';
import { FillBench } from '../ui/FillBench';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { Assumptions } from '../ui/Assumptions';
import { CourseTable } from './CourseTable';
import { ReleaseRests } from './ReleaseRests';
import { ReleaseChart } from './ReleaseChart';
import { weekPoints, type Count, type Course } from './series';
import { TaskNote } from '../ui/TaskNote';
import { useReleases, type Bands } from '../app/useReleases';

const MOST_DOSE = 1000;
/** What is followed where nothing is typed and the crop's uptake is not known, kg N/ha. */
const USUAL_DOSE = 100;

function DoseField({ dose, usual }: { dose: number; usual: number | undefined }) {
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
          ? usual === undefined
            ? 'what the crop takes up is not known'
            : `the crop takes up about ${formatNumber(usual)}`
          : `Read “${text}”, expected more than 0 and at most ${MOST_DOSE}.`}
      </span>
    </label>
  );
}

const NO_BANDS: Bands = {};

/** When the nitrogen arrives, against when the crop wants it. */
export function ReleaseView() {
  const { items, compared, isLoading } = useBench();
  const { site, crop, plot, isLoading: siteLoading } = useSite();
  const { nitrogenKgPerHa, daysOnSurface } = useAppSelector((s) => s.settings);
  const dispatch = useAppDispatch();
  const [count, setCount] = useState<Count>('cumulative');
  const usual = crop?.uptakeKgPerHa.N?.mid;
  // Typing stays ahead of the drawing: the chart follows when there is time, once a frame at most.
  const dose = nitrogenKgPerHa ?? usual ?? USUAL_DOSE;
  const drawnDose = useDeferredValue(dose);
  const placement = useMemo(() => ({ daysOnSurface, doseKgPerHa: drawnDose }), [daysOnSurface, drawnDose]);
  const { courses: followed, bands: banded } = useReleases(compared, site, placement);
  const releases = followed.latest;
  const bands = banded.result ?? NO_BANDS;
  const courses = useMemo(() => (releases ?? []).filter((r): r is Course => r.kind === 'release'), [releases]);
  const unknown = (releases ?? []).filter((r) => r.kind === 'unknown');
  const points = useMemo(() => weekPoints(courses, bands, count), [courses, bands, count]);
  const numbers = useMemo(() => new Map(items.map((item, i) => [item.id, i + 1])), [items]);
  const watered = courses.some((c) => c.setup.around.water);
  const numberOf = useCallback((id: string): number => numbers.get(id) ?? 0, [numbers]);
  if (isLoading) return <Loading what="the bench" />;
  return (
    <Sheet
      title="Release"
      question={`When does the nitrogen arrive, and when does ${crop ? crop.name.toLowerCase() : 'the crop'} want it?`}
      actions={
        plot && (
          <>
            <Link to="/release/compare" className="action">
              Media and kinds
            </Link>
            <Link to={`/ground/${plot.id}/programmes`} className="action">
              Follow a programme
            </Link>
          </>
        )
      }
    >
      {plot && !site && !siteLoading && (
        <Empty>
          Release needs to know what grows here and from when.{' '}
          <Link to={`/ground/${plot.id}#seasons`} className="plain">
            Enter it
          </Link>
          .
        </Empty>
      )}
      {!plot && (
        <Empty>
          Release needs a plot: its crop and how warm its soil is.{' '}
          <Link to="/ground" className="plain">
            Enter one
          </Link>
          .
        </Empty>
      )}
      {compared.length === 0 && <FillBench what="to follow their nitrogen." />}
      {plot && site && compared.length > 0 && (
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
            {site.season.crop.uptakeKgPerHa.N && site.season.crop.course
              ? `The bold line is what ${site.season.crop.name.toLowerCase()} takes up.`
              : `What ${site.season.crop.name.toLowerCase()} takes up is not known here.`}{' '}
            The <Term of="band">tint</Term> around each line holds eight in ten of 2 000 draws over the{' '}
            <Term of="assumption">assumptions</Term>.
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
          {courses.length > 0 && <Assumptions assumed={courses} plot={plot} />}
        </>
      )}
      <MarginNotes>
        {plot && site && courses.length > 0 && <ReleaseRests plot={plot} site={site} courses={courses} />}
        {courses.some((c) => (c.run.available[28] ?? 0) < 0) && (
          <MarginNote title="Tied up first">
            <p>
              <Term of="tied">Tied up</Term>: below zero, decomposers take nitrogen out of the soil before they give any
              back: the material has more carbon than its nitrogen can feed.
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
              : 'Rain and leaching are not in it. '}
            Class averages are used until the material is tested.
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
