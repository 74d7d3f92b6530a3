import { CartesianGrid, Line, LineChart, ReferenceArea, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import {
  analyteName,
  formatFixed,
  placeInBand,
  printDay,
  type Crop,
  type Nutrient,
  type TissueTest,
} from '@wheat-ledger/core';
import { EDGE } from '../ui/weekAxes';

interface Tested {
  readonly test: TissueTest;
  readonly crop: Crop;
}
const LINES: readonly (readonly [Nutrient, string, string])[] = [
  ['N', 'var(--pine)', ''],
  ['P', 'var(--wheat)', '6 3'],
  ['K', 'var(--beet)', '2 3'],
  ['Mg', 'var(--moss)', '8 3 2 3'],
];

/** Where each element stood in its band at each test: 0 at the low edge, 100 at the high one. */
function pointsOf(tests: readonly Tested[]) {
  return [...tests]
    .sort((a, b) => a.test.on.localeCompare(b.test.on))
    .map(({ test, crop }) => ({
      day: Date.parse(test.on),
      ...Object.fromEntries(
        test.found.flatMap(({ nutrient, percent }) => {
          const band = crop.tissue.find((b) => b.nutrient === nutrient);
          return band ? [[nutrient, placeInBand(percent, band) * 100]] : [];
        }),
      ),
    }));
}

/** Leaf tests over time: every element on one picture, as it stood in its own band. */
export function LeafHistory({ tests }: { tests: readonly Tested[] }) {
  const points = pointsOf(tests);
  const shown = LINES.filter(([n]) => points.some((p) => n in p));
  if (points.length < 2) return <p className="text-faint">From the second test on they are drawn.</p>;
  if (shown.length === 0)
    return <p className="text-faint">No band is known of what was tested: nothing can be drawn.</p>;
  const span = 40 * 86_400_000;
  const words = shown.map(([n]) => analyteName(n)).join(', ');
  return (
    <figure>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-faint">
        <span>Where each stood in its band: 0 is the low edge, 100 the high one; the band is shaded.</span>
        {shown.map(([n, colour]) => (
          <span key={n} className="flex items-center gap-1.5">
            <span className="size-2.5 rounded-full" style={{ background: colour }} />
            {analyteName(n)}
          </span>
        ))}
      </figcaption>
      <div className="h-48" role="img" aria-label={`${points.length} tests of ${words}`}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 12, bottom: 4, left: 6 }}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis
              {...EDGE}
              dataKey="day"
              type="number"
              domain={[`dataMin - ${span}`, `dataMax + ${span}`]}
              ticks={points.map((p) => p.day)}
              tickFormatter={(day: number) => printDay(new Date(day).toISOString().slice(0, 10)).replace(/^\d+ /, '')}
            />
            <YAxis
              {...EDGE}
              width={44}
              ticks={[0, 50, 100]}
              domain={[(min: number) => Math.min(-25, Math.floor(min)), (max: number) => Math.max(125, Math.ceil(max))]}
            />
            <ReferenceArea y1={0} y2={100} fill="var(--moss)" fillOpacity={0.18} />
            <Tooltip
              isAnimationActive={false}
              labelFormatter={(day) => printDay(new Date(Number(day)).toISOString().slice(0, 10))}
              formatter={(value) => `${formatFixed(Number(value), 0)} % of the way through its band`}
            />
            {shown.map(([n, colour, dash]) => (
              <Line
                key={n}
                dataKey={n}
                name={analyteName(n)}
                stroke={colour}
                strokeDasharray={dash}
                strokeWidth={2}
                connectNulls
                isAnimationActive={false}
                dot={{ r: 4, fill: colour }}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
