import { addDays, daysBetween } from '../quantity/index.js';
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

type ByDay = readonly (number | undefined)[];
/** Logs never change in place: what was read off some once holds as long as they are there. */
const readOff = new WeakMap<readonly DailyLog[], Map<Logged, ByDay>>();

/** What the logs measured on each day of the year, the latest year outranking earlier ones; undefined where none did. */
function byDayOfYear(logs: readonly DailyLog[], what: Logged): ByDay {
  const known = readOff.get(logs) ?? new Map<Logged, ByDay>();
  readOff.set(logs, known);
  const held = known.get(what);
  if (held) return held;
  const found: { value: number; on: string }[] = [];
  for (const { from, series } of logs) {
    series[what]?.forEach((value, i) => {
      if (value === null) return;
      const on = addDays(from, i);
      const at = dayOfYear(on);
      if ((found[at]?.on ?? '') <= on) found[at] = { value, on };
    });
  }
  const byDay = Array.from({ length: YEAR_DAYS }, (_, day) => found[day]?.value);
  known.set(what, byDay);
  return byDay;
}

/** What a logger measured on a day itself, the last log outranking earlier ones; undefined where none did. */
export function loggedOn(logs: readonly DailyLog[], what: Logged, on: string): number | undefined {
  let found: number | undefined;
  for (const { from, series } of logs) {
    const value = series[what]?.[daysBetween(from, on)];
    if (value !== undefined && value !== null) found = value;
  }
  return found;
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

const MONTH_STARTS = MONTH_LENGTHS.map((_, m) => MONTH_LENGTHS.slice(0, m).reduce((a, b) => a + b, 0));

/** Water that carries urea into the soil, mm in a day. */
export const SOAKING_MM = 12;

/** Days from a date until rain or irrigation of 12 mm or more was logged on that day of the year; undefined when none was. */
export function firstSoaking(
  site: { readonly logged?: readonly DailyLog[] | undefined },
  from: string,
  days: number,
): number | undefined {
  const first = dayOfYear(from);
  const [rain, irrigation] = (['rainMm', 'irrigationMm'] as const).map((what) => byDayOfYear(site.logged ?? [], what));
  for (let i = 0; i < days; i++) {
    const day = (first + i) % YEAR_DAYS;
    if ((rain?.[day] ?? 0) + (irrigation?.[day] ?? 0) >= SOAKING_MM) return i;
  }
  return undefined;
}

/** About how much falls at once where only a month's sum is known, mm. */
const STORM_MM = 10;

/** A month's sum as storms or waterings of about 10 mm, evenly apart: drizzle every day would never drain. */
function stormOn(dayOfMonth: number, monthMm: number, monthDays: number): number {
  const storms = Math.max(1, Math.min(monthDays, Math.round(monthMm / STORM_MM)));
  const before = (day: number): number => Math.floor((day * storms) / monthDays + 0.5);
  return (monthMm / storms) * (before(dayOfMonth + 1) - before(dayOfMonth));
}

/**
 * Daily rain, irrigation and evapotranspiration of a site from a date on, in mm: as logged on that day of the year, else the usual
 * month: its evapotranspiration spread evenly over its days, its rain and irrigation in storms and waterings of about 10 mm.
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
      if (logged[day] !== undefined) return logged[day];
      if (usual === undefined) return whenUnknown;
      const length = MONTH_LENGTHS[m] ?? 30;
      return what === 'etMm' ? usual / length : stormOn(day - (MONTH_STARTS[m] ?? 0), usual, length);
    });
    return daily.every((v) => v !== undefined) ? daily : undefined;
  };
  const rainMm = series('rainMm');
  const etMm = series('etMm');
  // Nobody irrigating is the usual case; nobody measuring rain is not the same as none.
  const irrigationMm = series('irrigationMm', 0);
  return rainMm && etMm && irrigationMm ? { rainMm, irrigationMm, etMm } : undefined;
}
