import { addDays, daysBetween } from '../quantity/index.js';
import type { DailyLog, Logged } from './climate.js';

/** One year of a plot's own weather, for a season that begins on its day of the year. */
export interface WeatherYear {
  /** The calendar year in which the season would have begun. */
  readonly year: number;
  /** What was logged from half a year before the season's first day to its last. */
  readonly logged: readonly DailyLog[];
}

const NEEDED: readonly Logged[] = ['rainMm', 'etMm'];
/** Probes fail for days; a year with more gaps than this is no record of it. */
const LEAST_LOGGED = 0.9;
/** How long the soil's water remembers, days. */
const LEAD_DAYS = 182;

/** A log from a day up to, not including, another; nothing where it does not reach. */
function cut({ from, series }: DailyLog, first: string, end: string): DailyLog | undefined {
  const [start, stop] = [Math.max(0, daysBetween(from, first)), daysBetween(from, end)];
  const parts = Object.entries(series).flatMap(([what, values]) => {
    const part = stop > start ? values.slice(start, stop) : [];
    return part.length > 0 ? [[what, part] as const] : [];
  });
  return parts.length > 0 ? { from: addDays(from, start), series: Object.fromEntries(parts) } : undefined;
}

/** Days between two on which something was measured. */
function measured(logs: readonly DailyLog[], what: Logged, first: string, days: number): number {
  const known = new Set<number>();
  for (const { from, series } of logs)
    series[what]?.forEach((value, i) => {
      const day = daysBetween(first, from) + i;
      if (value !== null && day >= 0 && day < days) known.add(day);
    });
  return known.size;
}

/**
 * The years of a plot's own weather in which a season of so many days was logged, rain and evapotranspiration on nine days of ten; the earliest first.
 * @param from the season's first day, ISO; its month and day are looked for in each year
 * @example weatherYears(site.logged, '2026-03-15', 182).map((y) => y.year) // [2006, …, 2025]
 */
export function weatherYears(
  logged: readonly DailyLog[] | undefined,
  from: string,
  days: number,
): readonly WeatherYear[] {
  const logs = logged ?? [];
  const lengthOf = ({ series }: DailyLog): number => Math.max(0, ...Object.values(series).map((v) => v.length));
  const years = logs
    .flatMap((log) => [log.from, addDays(log.from, lengthOf(log))])
    .map((day) => Number(day.slice(0, 4)));
  if (years.length === 0) return [];
  const [first, last] = [Math.min(...years), Math.max(...years)];
  return Array.from({ length: last - first + 1 }, (_, i) => first + i).flatMap((year): WeatherYear[] => {
    // The last of February is there every year.
    const start = `${year}${from.slice(4)}`.replace(/-02-29$/, '-02-28');
    const end = addDays(start, days);
    const parts = logs.flatMap((log) => cut(log, addDays(start, -LEAD_DAYS), end) ?? []);
    return NEEDED.every((what) => measured(parts, what, start, days) >= LEAST_LOGGED * days)
      ? [{ year, logged: parts }]
      : [];
  });
}
