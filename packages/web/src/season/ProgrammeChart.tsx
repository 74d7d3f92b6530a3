import { memo, useMemo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { formatNumber, weekly, type ProgrammeRelease } from '@wheat-ledger/core';
import { nitrogenAxis, WEEK_AXIS } from '../ui/weekAxes';

const LINES = [
  { key: 'given', name: 'given', dash: '2 4', ink: 'var(--faint)' },
  { key: 'available', name: 'available so far', dash: '', ink: 'var(--n)' },
  { key: 'lost', name: 'lost', dash: '7 3', ink: 'var(--beet)' },
] as const;

/** A programme's nitrogen, week by week, against what the crop takes up. */
export const ProgrammeChart = memo(function ProgrammeChart({ release }: { release: ProgrammeRelease }) {
  const points = useMemo(() => {
    const { run, given, demandKgPerHa } = release;
    const lost = Float64Array.from(
      run.leached,
      (leached, d) => leached + (run.volatilised[d] ?? 0) + (run.denitrified[d] ?? 0),
    );
    const [wanted, all, available, gone] = [demandKgPerHa ?? [0], given, run.available, lost].map((v) => weekly(v));
    return (all ?? []).map((g, week) => ({
      week,
      given: g,
      available: available?.[week] ?? 0,
      lost: gone?.[week] ?? 0,
      ...(demandKgPerHa ? { demand: wanted?.[week] ?? 0 } : {}),
    }));
  }, [release]);
  const end = points.at(-1);
  return (
    <div
      className="h-[17rem]"
      role="img"
      aria-label={`Nitrogen of the programme over 26 weeks: ${formatNumber(end?.given ?? 0)} kg N/ha given, ${formatNumber(end?.available ?? 0)} available, ${formatNumber(end?.lost ?? 0)} lost by the end.`}
      data-testid="programme-chart"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={points} margin={{ top: 12, right: 26, bottom: 18, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis {...WEEK_AXIS} ticks={[...WEEK_AXIS.ticks]} />
          <YAxis {...nitrogenAxis('kg N/ha')} />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => `${formatNumber(Number(value))} kg N/ha`}
            labelFormatter={(week) => `Week ${Number(week)}`}
          />
          <ReferenceLine y={0} stroke="var(--line-strong)" />
          <Area
            dataKey="demand"
            name="the crop takes up"
            stroke="var(--pine)"
            strokeWidth={2.5}
            fill="none"
            isAnimationActive={false}
          />
          {LINES.map(({ key, name, dash, ink }) => (
            <Line
              key={key}
              dataKey={key}
              name={name}
              type={key === 'given' ? 'stepAfter' : 'linear'}
              stroke={ink}
              strokeWidth={2}
              strokeDasharray={dash}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
});

/** What each line of the drawing is. */
export const ChartKey = () => (
  <ul className="mb-3 flex flex-wrap gap-x-5 gap-y-1 text-sm text-faint">
    <li className="flex items-center gap-2">
      <svg width="26" height="6" aria-hidden="true">
        <path d="M0 3H26" stroke="var(--pine)" strokeWidth="2.5" />
      </svg>
      the crop takes up
    </li>
    {LINES.map(({ key, name, dash, ink }) => (
      <li key={key} className="flex items-center gap-2">
        <svg width="26" height="6" aria-hidden="true">
          <path d="M0 3H26" stroke={ink} strokeWidth="2" strokeDasharray={dash} />
        </svg>
        {name}
      </li>
    ))}
  </ul>
);
