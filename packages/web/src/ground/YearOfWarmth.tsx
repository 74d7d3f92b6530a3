import { formatFixed, siteSoilTemperature, type Site } from '@wheat-ledger/core';
import { MONTHS } from './plotText';

const DAYS = 365;
const [LEFT, RIGHT, TOP, FOOT] = [26, 270, 10, 96];

/** The year's soil temperature: what loggers measured, and the usual year on the days they did not. */
export function YearOfWarmth({ site }: { site: Pick<Site, 'temperature' | 'logged'> }) {
  const days = siteSoilTemperature(site, '2026-01-01', DAYS);
  const low = Math.min(0, ...days);
  const high = Math.max(20, ...days);
  const x = (day: number): number => LEFT + (day / DAYS) * (RIGHT - LEFT);
  const y = (t: number): number => FOOT - ((t - low) / (high - low)) * (FOOT - TOP);
  const path = days.map((t, d) => `${d === 0 ? 'M' : 'L'}${x(d).toFixed(1)} ${y(t).toFixed(1)}`).join('');
  const grid = [0, 10, 20].filter((t) => t >= low && t <= high);
  return (
    <svg
      viewBox="0 0 276 116"
      role="img"
      aria-label={`Soil temperature over the year, from ${formatFixed(Math.min(...days), 0)} to ${formatFixed(Math.max(...days), 0)} °C`}
    >
      {grid.map((t) => (
        <g key={t}>
          <path d={`M${LEFT} ${y(t)}H${RIGHT}`} stroke="var(--rule)" />
          <text x="22" y={y(t) + 4} textAnchor="end" fontSize="10" fill="var(--faint)">
            {t}°
          </text>
        </g>
      ))}
      <path d={path} fill="none" stroke="var(--beet)" strokeWidth="2" />
      {MONTHS.map((m, i) => (
        <text key={m} x={x(i * 30.4 + 15)} y="110" textAnchor="middle" fontSize="9" fill="var(--faint)">
          {m[0]}
        </text>
      ))}
    </svg>
  );
}
