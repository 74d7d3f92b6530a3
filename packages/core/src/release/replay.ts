import type { WeatherYear } from '../ground/index.js';
import { computeProgramme, type Doing, type DosedPlot, type SiteInSeason } from '../season/index.js';
import { siteDays, windowWeeks } from './productRelease.js';
import { followCase, programmeCase } from './programmeCase.js';
import type { SoilNitrogen } from './soilNitrogen.js';

/** How one year of a plot's own weather would have gone for a programme, kg N/ha. */
export interface ReplayedYear {
  readonly year: number;
  /** What the crop would have taken up, and did. */
  readonly demand: number;
  readonly takenUp: number;
  /** How far it was behind at half of its uptake. */
  readonly behindAtHalf: number;
  readonly drained: number;
  readonly short: boolean;
  readonly late: boolean;
  readonly drains: boolean;
}

/** When a year counts as short, late or drained. */
export const REPLAY_LIMITS = {
  /** A crop short of more than this share of its nitrogen by the end went short. */
  short: 0.1,
  /** Behind by more than this share at half of its uptake, nitrogen came late. */
  late: 0.1,
  /** kg N/ha below the roots are a loss worth a name. */
  drainedKgPerHa: 20,
} as const;

const HALF = 0.5;

function replayedYear(
  doings: readonly Doing[],
  plot: DosedPlot,
  site: SiteInSeason,
  soil: SoilNitrogen | undefined,
  { year, logged }: WeatherYear,
): ReplayedYear | undefined {
  const there = { ...site, logged };
  const days = siteDays(there);
  const { demandKgPerHa: demand } = days;
  if (!demand) return undefined;
  const inNumbers = computeProgramme(doings, plot, site.season, days.temperatureC);
  const run = followCase(programmeCase(inNumbers, there, days, soil));
  const end = Math.min(windowWeeks(there, days) * 7, run.takenUp.length - 1);
  const whole = demand[end] ?? 0;
  const half = Math.max(
    0,
    demand.findIndex((n) => n >= HALF * whole),
  );
  const takenUp = run.takenUp[end] ?? 0;
  const behindAtHalf = Math.max(0, (demand[half] ?? 0) - (run.takenUp[half] ?? 0));
  const drained = run.leached[end] ?? 0;
  return {
    year,
    demand: whole,
    takenUp,
    behindAtHalf,
    drained,
    short: takenUp < (1 - REPLAY_LIMITS.short) * whole,
    late: behindAtHalf > REPLAY_LIMITS.late * (demand[half] ?? 0),
    drains: drained > REPLAY_LIMITS.drainedKgPerHa,
  };
}

/**
 * Runs a programme through years of the plot's own weather, each at the middle of every assumption: warmth, rain and growth are that year's, the programme
 * and the crop are this year's.
 * @param onYear hears how many years are done; returning false stops
 * @returns undefined when stopped, or where the crop's uptake is not known
 */
export function replay(
  doings: readonly Doing[],
  plot: DosedPlot,
  site: SiteInSeason,
  soil: SoilNitrogen | undefined,
  years: readonly WeatherYear[],
  onYear: (done: number) => boolean = () => true,
): readonly ReplayedYear[] | undefined {
  const found: ReplayedYear[] = [];
  for (const [i, year] of years.entries()) {
    const one = replayedYear(doings, plot, site, soil, year);
    if (!one || !onYear(i + 1)) return undefined;
    found.push(one);
  }
  return found;
}

/** In how many years something was so. @example yearsThat(years, 'short') // 3 */
export const yearsThat = (years: readonly ReplayedYear[], what: 'short' | 'late' | 'drains'): number =>
  years.filter((y) => y[what]).length;

const HOLDS = 0.8;
/** Whether a programme holds: the crop goes short in no more than two years of ten. */
export const holds = (years: readonly ReplayedYear[]): boolean =>
  years.length > 0 && yearsThat(years, 'short') <= (1 - HOLDS) * years.length + 1e-9;
