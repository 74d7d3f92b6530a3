import { CartesianGrid, Line, LineChart, ReferenceArea, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { type PourThrough } from '@wheat-ledger/core';
import { DAY_AXIS } from '../ui/dayAxis';
import { EDGE } from '../ui/weekAxes';

/** Readings of a pot over time, with the band in which it is left alone. */
export function PourChart({
  readings,
  band,
}: {
  readings: readonly PourThrough[];
  band: { readonly low: number; readonly high: number };
}) {
  const points = readings.map((r) => ({ day: Date.parse(r.on), ec: r.ecMsPerCm }));
  const words = `${readings.length} readings, from ${readings[0]?.ecMsPerCm ?? ''} to ${readings.at(-1)?.ecMsPerCm ?? ''} mS/cm.`;
  const most = Math.max(band.high, ...readings.map((r) => r.ecMsPerCm)) * 1.15;
  return (
    <figure className="w-72 max-w-full">
      <div className="h-36" role="img" aria-label={words}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 6, right: 8, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis {...DAY_AXIS} />
            <YAxis {...EDGE} width={34} domain={[0, Number(most.toFixed(1))]} />
            <ReferenceArea y1={band.low} y2={band.high} fill="var(--moss)" fillOpacity={0.18} />
            <Line dataKey="ec" stroke="var(--wheat)" strokeWidth={2} isAnimationActive={false} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-sm text-faint">mS/cm that ran through; shaded: left alone.</figcaption>
    </figure>
  );
}
