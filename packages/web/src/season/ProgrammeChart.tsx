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
import { formatNumber, type ProgrammeBand } from '@wheat-ledger/core';
import { nitrogenAxis, WEEK_AXIS } from '../ui/weekAxes';
import type { ProgrammeWeek } from './programmeWeeks';

const LINES = [
  { key: 'given', name: 'given', dash: '2 4', ink: 'var(--faint)' },
  { key: 'soil', name: 'from the soil alone', dash: '10 3 2 3', ink: 'var(--moss)' },
  { key: 'available', name: 'available so far', dash: '', ink: 'var(--n)' },
  { key: 'lost', name: 'lost', dash: '7 3', ink: 'var(--beet)' },
] as const;

/** A programme's nitrogen, week by week, with the soil's own, against what the crop takes up. */
export const ProgrammeChart = memo(function ProgrammeChart({
  weeks,
  band,
}: {
  weeks: readonly ProgrammeWeek[];
  band: ProgrammeBand | undefined;
}) {
  const points = useMemo(() => {
    const { low, high } = band?.bands.available ?? {};
    return weeks.map((w) => ({ ...w, ...(low && high ? { band: [low[w.week] ?? 0, high[w.week] ?? 0] } : {}) }));
  }, [weeks, band]);
  const end = weeks.at(-1);
  return (
    <div
      className="h-[17rem]"
      role="img"
      aria-label={`Nitrogen over 26 weeks: ${formatNumber(end?.given ?? 0)} kg N/ha given, ${formatNumber(end?.available ?? 0)} available with the soil’s own, ${formatNumber(end?.lost ?? 0)} lost by the end.`}
      data-testid="programme-chart"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={points} margin={{ top: 12, right: 26, bottom: 18, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis {...WEEK_AXIS} ticks={[...WEEK_AXIS.ticks]} />
          <YAxis {...nitrogenAxis('kg N/ha')} />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) =>
              Array.isArray(value)
                ? `${formatNumber(Number(value[0]))} to ${formatNumber(Number(value[1]))} kg N/ha`
                : `${formatNumber(Number(value))} kg N/ha`
            }
            labelFormatter={(week) => `Week ${Number(week)}`}
          />
          <ReferenceLine y={0} stroke="var(--line-strong)" />
          <Area
            dataKey="band"
            name="eight draws in ten"
            stroke="none"
            fill="var(--n)"
            fillOpacity={0.13}
            isAnimationActive={false}
            activeDot={false}
          />
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
    <li className="flex items-center gap-2">
      <svg width="26" height="10" aria-hidden="true">
        <rect width="26" height="10" fill="var(--n)" fillOpacity="0.18" />
      </svg>
      eight draws in ten
    </li>
  </ul>
);
