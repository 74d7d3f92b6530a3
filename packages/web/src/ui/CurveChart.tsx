import { useMemo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, Tooltip, XAxis, YAxis } from 'recharts';
import { formatNumber, type Calibration } from '@wheat-ledger/core';
import { EDGE } from './weekAxes';

const STEPS = 60;

/** Samplings drawn over the curve that is fitted to them. */
export function CurveChart({ found }: { found: Extract<Calibration, { kind: 'fitted' }> }) {
  const { points, n0, kPerDay } = found;
  const last = Math.max(...points.map((p) => p.day)) * 1.1;
  const curve = useMemo(
    () =>
      Array.from({ length: STEPS + 1 }, (_, i) => {
        const day = (i / STEPS) * last;
        return { day, curve: 100 * n0.value * -Math.expm1(-kPerDay.value * day) };
      }),
    [n0, kPerDay, last],
  );
  const samplings = points.map(({ day, share }) => ({ day, sampled: share * 100 }));
  return (
    <div
      className="h-64"
      role="img"
      aria-label={`${points.length} samplings over the fitted curve: ${formatNumber(n0.value * 100)} % released in the end.`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart margin={{ top: 12, right: 20, bottom: 18, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            {...EDGE}
            dataKey="day"
            type="number"
            domain={[0, Math.ceil(last)]}
            label={{ value: 'days', position: 'insideBottom', offset: -10, fill: 'var(--faint)', fontSize: 13 }}
          />
          <YAxis
            {...EDGE}
            width={52}
            label={{
              value: '% of the N applied',
              angle: -90,
              position: 'insideLeft',
              fill: 'var(--faint)',
              fontSize: 13,
              dy: 50,
            }}
          />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => `${formatNumber(Number(value))} %`}
            labelFormatter={(day) => `Day ${formatNumber(Number(day))}`}
          />
          <Line
            data={curve}
            dataKey="curve"
            name="fitted"
            stroke="var(--n)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Scatter data={samplings} dataKey="sampled" name="sampled" fill="var(--pine)" isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
