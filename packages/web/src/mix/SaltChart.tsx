import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { formatFixed, formatTrimmed } from '@wheat-ledger/core';
import { EDGE } from '../ui/weekAxes';

interface SaltChartProps {
  readonly points: readonly { readonly salt: number; readonly cost: number }[];
  readonly currency: string;
}
/** Cost against salt, a dot for each recipe. */
export function SaltChart({ points, currency }: SaltChartProps) {
  const [least, most] = [points[0], points.at(-1)];
  const words =
    least && most
      ? `From a salt index of ${formatTrimmed(least.salt, 3)} at ${formatFixed(least.cost, 2)} to ${formatTrimmed(most.salt, 3)} at ${formatFixed(most.cost, 2)} ${currency} per kg.`
      : '';
  return (
    <div className="h-56 max-w-xl" role="img" aria-label={words} data-testid="salt-chart">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={[...points]} margin={{ top: 8, right: 20, bottom: 18, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            {...EDGE}
            dataKey="salt"
            type="number"
            domain={['auto', 'auto']}
            tickFormatter={(v: number) => formatTrimmed(v, 3)}
            label={{ value: 'salt index', position: 'insideBottom', offset: -10, fill: 'var(--faint)', fontSize: 13 }}
          />
          <YAxis
            {...EDGE}
            width={60}
            domain={['auto', 'auto']}
            tickFormatter={(v: number) => formatFixed(v, 2)}
            label={{
              value: `${currency} per kg`,
              angle: -90,
              position: 'insideLeft',
              fill: 'var(--faint)',
              fontSize: 13,
              dy: 34,
            }}
          />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => [`${formatFixed(Number(value), 3)} ${currency} per kg`, 'the cheapest']}
            labelFormatter={(salt) => `salt index ${formatTrimmed(Number(salt), 3)}`}
          />
          <Line
            dataKey="cost"
            stroke="var(--pine)"
            strokeWidth={2}
            dot={{ r: 4, fill: 'var(--wheat)', stroke: 'var(--pine)' }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
