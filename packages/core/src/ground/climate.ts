import { dayOfYear, MONTH_LENGTHS, soilTemperature, YEAR_DAYS, type TemperatureRecord } from './soilTemperature.js';

/** Water in a usual year: twelve monthly sums in mm each, January first. */
export interface Climate {
  readonly rainMm: readonly number[];
  readonly irrigationMm: readonly number[];
  /** Evapotranspiration: what soil and crop give back to the air. */
  readonly etMm: readonly number[];
}

/** What a logger can measure day by day. */
export const LOGGED = ['soilC', 'airC', 'rainMm', 'irrigationMm', 'etMm'] as const;
export type Logged = (typeof LOGGED)[number];
export const LOGGED_NAMES: Readonly<Record<Logged, string>> = {
  soilC: 'soil temperature, °C',
  airC: 'air temperature, °C',
  rainMm: 'rain, mm',
  irrigationMm: 'irrigation, mm',
  etMm: 'evapotranspiration, mm',
};

/** What a reading can be at all, lowest and highest. */
export const LOGGED_LIMITS: Readonly<Record<Logged, readonly [number, number]>> = {
  soilC: [-40, 70],
  airC: [-60, 60],
  rainMm: [0, 1000],
  irrigationMm: [0, 1000],
  etMm: [-2, 30],
};

/** Daily values from a first day on; null where nothing was measured, which is not zero. */
export interface DailyLog {
  readonly from: string;
  readonly series: Readonly<Partial<Record<Logged, readonly (number | null)[]>>>;
}

const DAY_MS = 86_400_000;
const dayNumber = (isoDate: string): number => Math.round(Date.parse(`${isoDate}T00:00:00Z`) / DAY_MS);
const isoOf = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);

/** What the logs measured on each day of the year, the latest year outranking earlier ones; undefined where none did. */
function byDayOfYear(logs: readonly DailyLog[], what: Logged): readonly (number | undefined)[] {
  const found: { value: number; on: number }[] = [];
  for (const { from, series } of logs) {
    const first = dayNumber(from);
    series[what]?.forEach((value, i) => {
      if (value === null) return;
      const at = dayOfYear(isoOf(first + i));
      if ((found[at]?.on ?? -Infinity) <= first + i) found[at] = { value, on: first + i };
    });
  }
  return Array.from({ length: YEAR_DAYS }, (_, day) => found[day]?.value);
}

/** Days of a year that a log covers for a quantity. @returns 0 to 365 */
export const loggedDays = (logs: readonly DailyLog[], what: Logged): number =>
  byDayOfYear(logs, what).filter((v) => v !== undefined).length;

/**
 * Daily soil temperature of a site in °C from a date on: what a logger measured on that day of the year, and between those days
 * the site's monthly means or yearly sine.
 */
export function siteSoilTemperature(
  site: { readonly temperature: TemperatureRecord; readonly logged?: readonly DailyLog[] | undefined },
  from: string,
  days: number,
): readonly number[] {
  const first = dayOfYear(from);
  const usual = soilTemperature(site.temperature, first, days);
  const logged = byDayOfYear(site.logged ?? [], 'soilC');
  return usual.map((t, i) => logged[(first + i) % YEAR_DAYS] ?? t);
}

export type DailyWater = Readonly<Record<'rainMm' | 'irrigationMm' | 'etMm', readonly number[]>>;

/**
 * Daily rain, irrigation and evapotranspiration of a site from a date on, in mm: as logged on that day of the year, else the usual
 * month spread evenly over its days.
 * @returns undefined when rain or evapotranspiration is neither logged nor known for some day: unknown is not dry
 */
export function dailyWater(
  site: { readonly climate?: Climate | undefined; readonly logged?: readonly DailyLog[] | undefined },
  from: string,
  days: number,
): DailyWater | undefined {
  const first = dayOfYear(from);
  const month = MONTH_LENGTHS.flatMap((length, m) => Array.from({ length }, () => m));
  const series = (what: keyof DailyWater, whenUnknown?: number): readonly number[] | undefined => {
    const logged = byDayOfYear(site.logged ?? [], what);
    const daily = Array.from({ length: days }, (_, i) => {
      const day = (first + i) % YEAR_DAYS;
      const m = month[day] ?? 0;
      const usual = site.climate?.[what][m];
      return logged[day] ?? (usual === undefined ? whenUnknown : usual / (MONTH_LENGTHS[m] ?? 30));
    });
    return daily.every((v) => v !== undefined) ? daily : undefined;
  };
  const rainMm = series('rainMm');
  const etMm = series('etMm');
  // Nobody irrigating is the usual case; nobody measuring rain is not the same as none.
  const irrigationMm = series('irrigationMm', 0);
  return rainMm && etMm && irrigationMm ? { rainMm, irrigationMm, etMm } : undefined;
}
