import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import {
  midSupply,
  nitrogenPools,
  type ComparedCourse,
  type Placement,
  type Product,
  type SiteInSeason,
} from '@wheat-ledger/core';
import { useBench } from '../app/bench';
import { useSite } from '../app/seasons';
import { useAppSelector } from '../app/store';
import { styleOf } from '../ui/lineStyles';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useTask, type Job } from '../ui/useTask';
import { nitrogenAxis, WEEK_AXIS } from '../ui/weekAxes';
import type { Comparisons, ReleaseWorker } from '../workers/release.worker';

interface Asked {
  readonly product: Product | undefined;
  readonly site: SiteInSeason;
  readonly placement: Placement;
}
const COMPARISONS: Job<ReleaseWorker, Asked, Comparisons> = {
  what: 'the comparison',
  start: () => new Worker(new URL('../workers/release.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { product, site, placement }) => remote.comparisons(product, site, placement),
};

const WEEKS_TOLD = [2, 6, 12, 26] as const;
const percent = (share: number | undefined): string => (share === undefined ? '–' : String(Math.round(share * 100)));

/** Courses in one picture, and what each comes to in figures. */
function Courses({ courses, label, id }: { courses: readonly ComparedCourse[]; label: string; id: string }) {
  const points = useMemo(
    () =>
      (courses[0]?.weeks ?? []).map((_, week) => ({
        week,
        ...Object.fromEntries(courses.map((c) => [c.key, (c.weeks[week] ?? 0) * 100])),
      })),
    [courses],
  );
  return (
    <>
      <div className="h-64" role="img" aria-label={`${label}; the figures are in the table below.`}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 12, right: 26, bottom: 18, left: 6 }}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis {...WEEK_AXIS} ticks={[...WEEK_AXIS.ticks]} />
            <YAxis {...nitrogenAxis('% of the N')} />
            <Tooltip
              isAnimationActive={false}
              formatter={(value) => `${Math.round(Number(value))} %`}
              labelFormatter={(week) => `Week ${Number(week)}`}
            />
            {courses.map((c, i) => (
              <Line
                key={c.key}
                dataKey={c.key}
                name={c.name}
                stroke={styleOf(i).ink}
                strokeDasharray={styleOf(i).dash}
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <table className="ledger" data-testid={id}>
        <caption className="sr-only">{label}, per cent of its nitrogen by week</caption>
        <thead>
          <tr>
            <th scope="col">% of its N by week</th>
            {WEEKS_TOLD.map((w) => (
              <th key={w} scope="col" className="num">
                {w}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {courses.map((c, i) => (
            <tr key={c.key}>
              <th scope="row">
                <span className="flex items-center gap-2 font-normal">
                  <svg width="26" height="6" aria-hidden="true" className="shrink-0">
                    <path d="M0 3H26" stroke={styleOf(i).ink} strokeWidth="2" strokeDasharray={styleOf(i).dash} />
                  </svg>
                  {c.name}
                </span>
              </th>
              {WEEKS_TOLD.map((w) => (
                <td key={w} className="num">
                  {percent(c.weeks[w])}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

const isOrganic = (product: Product): boolean => {
  const reading = nitrogenPools(product);
  return reading.kind === 'pools' && reading.pools.organic > 0.5;
};
const SIDES = { animal: 'from animals', plant: 'from plants' } as const;

function Comparison({ site }: { site: SiteInSeason }) {
  const { compared } = useBench();
  const { daysOnSurface } = useAppSelector((s) => s.settings);
  const [chosen, setChosen] = useState<string>();
  const bags = useMemo(() => compared.filter((p) => midSupply(p, 'N') > 0), [compared]);
  // The medium matters most to what has to decompose.
  const product = bags.find((b) => b.id === chosen) ?? bags.find(isOrganic) ?? bags[0];
  const asked = useMemo(() => ({ product, site, placement: { daysOnSurface } }), [product, site, daysOnSurface]);
  const task = useTask(COMPARISONS, asked);
  const found = task.latest;
  const classes = useMemo(
    () => (found?.classes ?? []).map((c) => ({ ...c, name: `${c.name}, ${SIDES[c.side]}` })),
    [found],
  );
  return (
    <>
      <section>
        <h2 className="mb-2 text-xl">One bag in four media</h2>
        {product ? (
          <>
            <label className="no-print mb-2 block text-[0.9375rem]">
              Bag{' '}
              <select
                className="field !inline-block !w-auto"
                value={product.id}
                onChange={(e) => setChosen(e.target.value)}
              >
                {bags.map((b) => (
                  <option key={b.id} value={b.id}>
                    {b.name}
                  </option>
                ))}
              </select>
            </label>
            {found?.media ? (
              <Courses courses={found.media} label={`${product.name} in four media`} id="media" />
            ) : (
              found && <Remark tone="note">{product.name} cannot be followed.</Remark>
            )}
          </>
        ) : (
          <Empty>Put a bag with nitrogen on the bench to see it in every medium.</Empty>
        )}
      </section>
      <section className="mt-8">
        <h2 className="mb-2 text-xl">Animal and plant meals at equal nitrogen</h2>
        {classes.length > 0 && <Courses courses={classes} label="Class averages of meals" id="classes" />}
      </section>
      <TaskNote task={task} what="the comparison" />
      <MarginNotes>
        <MarginNote title="Why the medium counts">
          <p>
            The same meal can give two to four times as much in its first fortnight in an organic potting mix as in a
            garden bed. After some ten weeks the mix is much like soil.
          </p>
        </MarginNote>
        <MarginNote title="What it rests on">
          <p>
            The plot’s own warmth. Its rain counts in the ground alone. The meals are class averages, not your bags.
          </p>
          <p>
            The band of each bag is on{' '}
            <Link to="/release" className="plain">
              Release
            </Link>
            .
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** The same bag in every medium, and animal beside plant meals. */
export function CompareView() {
  const { site, plot, isLoading } = useSite();
  if (isLoading) return <Loading what="the plot" />;
  return (
    <Sheet title="Release" question="What do the medium and the kind of meal change?">
      {site ? (
        <Comparison site={site} />
      ) : (
        <Empty>
          It needs a plot, what grows on it and how warm its soil is.{' '}
          <Link to={plot ? `/ground/${plot.id}#seasons` : '/ground'} className="plain">
            Enter them
          </Link>{' '}
          first.
        </Empty>
      )}
    </Sheet>
  );
}
