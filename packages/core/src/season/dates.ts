import { addDays, daysBetween } from '../quantity/index.js';
import type { Site } from '../ground/index.js';
import type { When } from './application.js';
import type { Crop } from './crop.js';
import { daysToStage } from './demand.js';

/** The ground a crop stands on and for how long. */
export interface Season {
  readonly crop: Crop;
  /** ISO date of sowing, planting or the start of spring growth. */
  readonly from: string;
  /** The last day; still standing, or not said, when missing. */
  readonly to?: string | undefined;
  /** Its share of the plot. */
  readonly share: number;
}

/** A plot with the season that is looked at. */
export type SiteInSeason = Site & {
  readonly season: Season;
  /** Other seasons on the same ground, which feed from it too. */
  readonly also?: readonly Season[] | undefined;
};

/** More days than anybody goes out in a season. */
const MOST_TIMES = 400;

/**
 * The days something is given on, ISO, in order.
 * @param temperatureC daily mean soil temperature from the season's first day on, for growth stages
 * @returns undefined when a growth stage is not reached or its course is not known; that is not the same as never
 * @example datesOf({ kind: 'repeat', from: '2026-05-01', to: '2026-05-31', everyDays: 14 }, season, []) // 1, 15 and 29 May
 */
export function datesOf(when: When, season: Season, temperatureC: readonly number[]): readonly string[] | undefined {
  switch (when.kind) {
    case 'date':
      return [when.on];
    case 'afterPlanting':
      return [addDays(season.from, when.days)];
    case 'stage': {
      const days = daysToStage(season.crop, when.stage, season.from, temperatureC);
      return days === undefined ? undefined : [addDays(season.from, days)];
    }
    case 'repeat': {
      const every = Math.max(1, Math.round(when.everyDays));
      const span = daysBetween(when.from, when.to);
      const times = span < 0 ? 0 : Math.min(MOST_TIMES, Math.floor(span / every) + 1);
      return Array.from({ length: times }, (_, i) => addDays(when.from, i * every));
    }
  }
}
