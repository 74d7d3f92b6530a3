import { memo } from 'react';
import { formatNumber, type SiteDays } from '@wheat-ledger/core';

const [LEFT, RIGHT, WEEKS, ROW] = [58, 734, 26, 22];
const mean = (values: readonly number[], week: number): number =>
  values.slice(week * 7, week * 7 + 7).reduce((a, b) => a + b, 0) / 7;

/** How warm the soil is and how much water drains, week by week, under the drawing and in line with it. */
export const SiteStrips = memo(function SiteStrips({ days }: { days: SiteDays }) {
  const warmth = Array.from({ length: WEEKS }, (_, w) => mean(days.temperatureC, w));
  const drained = days.water && Array.from({ length: WEEKS }, (_, w) => 7 * mean(days.water?.drainedMm ?? [], w));
  const cell = (RIGHT - LEFT) / WEEKS;
  const [coldest, warmest] = [Math.min(...warmth), Math.max(...warmth)];
  const most = Math.max(1, ...(drained ?? []));
  const all = drained?.reduce((a, b) => a + b, 0);
  return (
    <svg
      viewBox={`0 0 760 ${drained ? 2 * ROW + 6 : ROW + 2}`}
      className="mb-2 w-full"
      role="img"
      aria-label={`Soil ${formatNumber(coldest)} to ${formatNumber(warmest)} °C by the week${all === undefined ? '' : `; ${formatNumber(all)} mm drain in all`}.`}
      data-testid="site-strips"
    >
      <text x={LEFT - 6} y={15} textAnchor="end" fontSize="11" fill="var(--faint)">
        soil °C
      </text>
      {warmth.map((t, w) => (
        <g key={w}>
          <rect
            x={LEFT + w * cell}
            y={2}
            width={cell - 1}
            height={ROW - 4}
            fill="var(--wheat)"
            fillOpacity={0.08 + 0.5 * Math.max(0, Math.min(1, t / 25))}
          />
          <text x={LEFT + (w + 0.5) * cell} y={15} textAnchor="middle" fontSize="10.5" fill="var(--pine)">
            {Math.round(t)}
          </text>
        </g>
      ))}
      {drained && (
        <g transform={`translate(0 ${ROW + 2})`}>
          <text x={LEFT - 6} y={14} textAnchor="end" fontSize="11" fill="var(--faint)">
            drains
          </text>
          {drained.map((mm, w) => (
            <g key={w}>
              <rect
                x={LEFT + w * cell}
                y={ROW - 2 - (mm / most) * (ROW - 4)}
                width={cell - 1}
                height={(mm / most) * (ROW - 4)}
                fill="var(--slate)"
                fillOpacity={0.55}
              />
              <title>{`Week ${w + 1}: ${formatNumber(Number(mm.toFixed(1)))} mm`}</title>
            </g>
          ))}
          <path d={`M${LEFT} ${ROW - 2}H${RIGHT}`} stroke="var(--line-strong)" />
        </g>
      )}
    </svg>
  );
});
