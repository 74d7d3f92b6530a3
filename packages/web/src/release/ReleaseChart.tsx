import { memo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { formatNumber } from '@wheat-ledger/core';
import { styleOf } from '../ui/lineStyles';
import { spread } from '../ui/spread';
import { nitrogenAxis, WEEK_AXIS } from '../ui/weekAxes';
import type { Count, Course, WeekPoint } from './series';

interface ReleaseChartProps {
  readonly points: readonly WeekPoint[];
  readonly courses: readonly Course[];
  /** Number on the bench by product. */
  readonly numberOf: (productId: string) => number;
  readonly count: Count;
}

const LAST = 26;
const PLOT_HEIGHT = 236;
const LABEL_GAP = 13;

/** How far down each line's number moves so that numbers at the right edge do not cover each other, in pixels. */
function labelShifts(points: readonly WeekPoint[], courses: readonly Course[]): ReadonlyMap<string, number> {
  const every = points.flatMap((p) =>
    Object.entries(p).flatMap(([key, v]) => (key === 'week' ? [] : typeof v === 'number' ? [v] : [...(v ?? [])])),
  );
  const span = Math.max(...every, 1) - Math.min(...every, 0);
  const last = points[LAST];
  const ends = courses
    .map((c) => ({ id: c.product.id, y: (-Number(last?.[`line-${c.product.id}`] ?? 0) / span) * PLOT_HEIGHT }))
    .sort((a, b) => a.y - b.y);
  const placed = spread(
    ends.map((e) => e.y),
    LABEL_GAP,
    Number.POSITIVE_INFINITY,
  );
  return new Map(ends.map((e, i) => [e.id, (placed[i] ?? e.y) - e.y]));
}

/** Nitrogen available against what the crop wants, week by week. */
export const ReleaseChart = memo(function ReleaseChart({ points, courses, numberOf, count }: ReleaseChartProps) {
  const shift = labelShifts(points, courses);
  return (
    <div
      className="h-[18.5rem]"
      role="img"
      aria-label={`${count === 'weekly' ? 'Nitrogen arriving each week' : 'Nitrogen available so far'} from ${courses.length} products against the crop’s demand, week 0 to ${LAST}; the figures are in the table below.`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={[...points]} margin={{ top: 12, right: 26, bottom: 18, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis {...WEEK_AXIS} ticks={[...WEEK_AXIS.ticks]} />
          <YAxis {...nitrogenAxis(count === 'weekly' ? 'kg N/ha a week' : 'kg N/ha')} />
          <Tooltip
            isAnimationActive={false}
            content={({ active, payload, label }) =>
              active && payload ? (
                <WeekCard
                  week={Number(label)}
                  rows={payload
                    .map((p) => ({ name: String(p.name), value: p.value }))
                    .filter((p) => typeof p.value === 'number')}
                />
              ) : null
            }
          />
          <ReferenceLine y={0} stroke="var(--line-strong)" />
          {courses.map((c) => (
            <Area
              key={`band-${c.product.id}`}
              dataKey={`band-${c.product.id}`}
              name="band"
              stroke="none"
              fill={styleOf(numberOf(c.product.id) - 1).ink}
              fillOpacity={0.13}
              isAnimationActive={false}
              activeDot={false}
              tooltipType="none"
            />
          ))}
          <Area
            dataKey="demand"
            name="the crop wants"
            stroke="var(--pine)"
            strokeWidth={2.5}
            fill="none"
            isAnimationActive={false}
          />
          {courses.map((c) => {
            const number = numberOf(c.product.id);
            const { dash, ink } = styleOf(number - 1);
            return (
              <Line
                key={c.product.id}
                dataKey={`line-${c.product.id}`}
                name={`${number} ${c.product.name}`}
                stroke={ink}
                strokeWidth={2}
                strokeDasharray={dash}
                dot={false}
                isAnimationActive={false}
              />
            );
          })}
          {courses.map((c) => {
            const number = numberOf(c.product.id);
            const end = points[LAST]?.[`line-${c.product.id}`];
            if (typeof end !== 'number') return null;
            // One mark at each line's end: labels of the line itself are made for every one of its points.
            return (
              <ReferenceDot
                key={`end-${c.product.id}`}
                x={LAST}
                y={end}
                ifOverflow="visible"
                shape={({ cx = 0, cy = 0 }: { cx?: number; cy?: number }) => (
                  <text
                    x={cx + 6}
                    y={cy + 4 + (shift.get(c.product.id) ?? 0)}
                    fontSize="13"
                    fontWeight="700"
                    fill={styleOf(number - 1).ink}
                  >
                    {number}
                  </text>
                )}
              />
            );
          })}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
});

const WeekCard = ({ week, rows }: { week: number; rows: readonly { name: string; value: unknown }[] }) => (
  <div className="border border-line-strong bg-paper px-3 py-2 text-sm">
    <p className="font-semibold">Week {week}</p>
    {rows.map((r) => (
      <p key={r.name} className="flex justify-between gap-4">
        <span>{r.name}</span>
        <span>{formatNumber(Number(r.value))} kg N/ha</span>
      </p>
    ))}
  </div>
);
