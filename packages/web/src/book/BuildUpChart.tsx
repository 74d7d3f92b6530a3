import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { toSoilReport, type SoilReportRecord } from '@wheat-ledger/contract';
import { buildUp, formatFixed, soilFigure, type YearBalance } from '@wheat-ledger/core';
import { EDGE } from '../ui/weekAxes';

/** The years in which something was done or the soil was tested, with both. */
function pointsOf(years: readonly YearBalance[], reports: readonly SoilReportRecord[]) {
  const [p, k] = [buildUp(years, 'P'), buildUp(years, 'K')];
  const tested = reports.map((record) => {
    const report = toSoilReport(record);
    const mgPerKg = (of: 'P' | 'K'): number | undefined => soilFigure(report, of, undefined, ['mg/kg'])?.value.mid;
    return { year: Number(record.sampledOn.slice(0, 4)), soilP: mgPerKg('P'), soilK: mgPerKg('K') };
  });
  const all = [...new Set([...years.map((y) => y.year), ...tested.map((t) => t.year)])].sort((a, b) => a - b);
  return all.map((year) => {
    const at = years.findIndex((y) => y.year === year);
    const soil = tested.find((t) => t.year === year);
    return { year, P: p[at]?.kgPerHa, K: k[at]?.kgPerHa, soilP: soil?.soilP, soilK: soil?.soilK };
  });
}

/** How phosphorus and potassium build up or run down over the years, kg/ha since the first, with what soil reports found. */
export function BuildUpChart({
  years,
  reports,
}: {
  years: readonly YearBalance[];
  reports: readonly SoilReportRecord[];
}) {
  if (years.length < 2) return null;
  const points = pointsOf(years, reports);
  const last = years.length - 1;
  const words = `Since ${years[0]?.year ?? ''} phosphorus went ${formatFixed(buildUp(years, 'P')[last]?.kgPerHa ?? 0, 0)} and potassium ${formatFixed(buildUp(years, 'K')[last]?.kgPerHa ?? 0, 0)} kg a hectare.`;
  return (
    <figure className="mt-3">
      <figcaption className="text-sm text-faint">
        What is left, added up over the years, kg/ha (left): phosphorus drawn through, potassium dashed. What soil
        reports found, mg/kg (right): phosphorus as rounds, potassium as diamonds.
      </figcaption>
      <div className="h-44" role="img" aria-label={words}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={points} margin={{ top: 8, right: 6, bottom: 4, left: 6 }}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis {...EDGE} dataKey="year" type="number" domain={['dataMin', 'dataMax']} allowDecimals={false} />
            <YAxis {...EDGE} yAxisId="left" width={52} />
            <YAxis {...EDGE} yAxisId="right" orientation="right" width={52} domain={[0, 'auto']} />
            <ReferenceLine y={0} yAxisId="left" stroke="var(--pine)" />
            <Tooltip
              isAnimationActive={false}
              formatter={(value, name) =>
                `${formatFixed(Number(value), 1)} ${String(name).startsWith('soil') ? 'mg/kg' : 'kg/ha'}`
              }
            />
            <Line
              dataKey="P"
              yAxisId="left"
              name="phosphorus left"
              stroke="var(--wheat)"
              strokeWidth={2}
              connectNulls
              isAnimationActive={false}
            />
            <Line
              dataKey="K"
              yAxisId="left"
              name="potassium left"
              stroke="var(--beet)"
              strokeWidth={2}
              strokeDasharray="6 4"
              connectNulls
              isAnimationActive={false}
            />
            <Scatter
              dataKey="soilP"
              yAxisId="right"
              name="soil phosphorus"
              fill="var(--wheat)"
              isAnimationActive={false}
            />
            <Scatter
              dataKey="soilK"
              yAxisId="right"
              name="soil potassium"
              fill="var(--beet)"
              shape="diamond"
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
