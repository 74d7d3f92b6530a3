import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { daysBetween, HEAP_HEAT, printDay, type HeapEntry } from '@wheat-ledger/core';
import { EDGE } from '../ui/weekAxes';

/** A heap's temperatures over its days, with the days it was turned. */
export function HeapChart({ log }: { log: readonly HeapEntry[] }) {
  const days = [...log].sort((a, b) => a.on.localeCompare(b.on));
  const [first] = days;
  if (!first) return null;
  const at = (on: string): number => daysBetween(first.on, on);
  const points = days.flatMap((e) => (e.celsius === undefined ? [] : [{ day: at(e.on), celsius: e.celsius }]));
  return (
    <div
      className="h-60 max-w-2xl"
      role="img"
      aria-label={`${points.length} temperatures from ${printDay(first.on)} on, the highest ${Math.max(...points.map((p) => p.celsius))} °C.`}
      data-testid="heap-chart"
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ top: 8, right: 20, bottom: 18, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            {...EDGE}
            dataKey="day"
            type="number"
            domain={[0, 'dataMax']}
            label={{
              value: `days from ${printDay(first.on)}`,
              position: 'insideBottom',
              offset: -10,
              fill: 'var(--faint)',
              fontSize: 13,
            }}
          />
          <YAxis {...EDGE} width={48} domain={[0, 80]} unit=" °C" />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => [`${Number(value)} °C`, 'in the middle']}
            labelFormatter={(day) => `day ${Number(day)}`}
          />
          <ReferenceLine
            y={HEAP_HEAT.killing}
            stroke="var(--beet)"
            strokeDasharray="4 3"
            label={{ value: '55 °C', fontSize: 12, fill: 'var(--faint)', position: 'insideTopRight' }}
          />
          {days
            .filter((e) => e.turned)
            .map((e) => (
              <ReferenceLine
                key={e.on}
                x={at(e.on)}
                stroke="var(--line-strong)"
                label={{ value: 'turned', fontSize: 12, fill: 'var(--faint)', position: 'insideBottomRight' }}
              />
            ))}
          <Line
            dataKey="celsius"
            stroke="var(--pine)"
            strokeWidth={2}
            dot={{ r: 3, fill: 'var(--pine)' }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
