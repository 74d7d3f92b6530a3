import type { ComputedProgramme, SiteInSeason } from '../season/index.js';
import { siteDays, type SiteDays } from './productRelease.js';
import { assumptionsIn, type Figure } from '../figure/index.js';
import type { Product } from '../shelf/index.js';
import {
  followCase,
  givenByDay,
  programmeCase,
  USUAL_DAYS_ON_TOP,
  type Left,
  type ProgrammeCase,
} from './programmeCase.js';
import { relevantParameters } from './relevant.js';
import type { ReleaseRun } from './simulate.js';
import type { SoilNitrogen } from './soilNitrogen.js';

/** What is assumed of a bag, or of the plot and the year. */
export interface AssumedOf {
  readonly product: Product | undefined;
  readonly assumptions: readonly Figure[];
}
function assumedBy({ parts, days, climate, soil }: ProgrammeCase): readonly AssumedOf[] {
  const { water } = days;
  const ofBags = parts.map(({ product, pools, parameters, onTop }): AssumedOf => {
    const daysOnSurface = onTop ? USUAL_DAYS_ON_TOP : 0;
    return { product, assumptions: relevantParameters(pools, parameters, { daysOnSurface, water }) };
  });
  const ofSoil = soil ? [soil.mineral, soil.organic, soil.yearlyShare].flatMap((f) => assumptionsIn(f)) : [];
  const ofYear = [climate.warmer, ...(water ? [climate.drainage] : [])];
  return [...ofBags, { product: undefined, assumptions: [...ofSoil, ...ofYear] }];
}

/** A programme's nitrogen followed day by day, kg N/ha of the season's ground. */
export interface ProgrammeRelease {
  readonly run: ReleaseRun;
  /** The same ground with nothing given; undefined where the soil's own nitrogen is not counted. */
  readonly soilAlone: ReleaseRun | undefined;
  /** What was given by the end of each day. */
  readonly given: Float64Array;
  /** What the crop takes up by the end of each day if it can get it; undefined when that is not known. */
  readonly demandKgPerHa: readonly number[] | undefined;
  /** What is not in it, with the reason. */
  readonly left: readonly Left[];
  /** What had to be supposed, in words. */
  readonly supposed: readonly string[];
  /** What it assumes, by the bag it is assumed of; of none where it is the plot’s or the year’s. */
  readonly assumed: readonly AssumedOf[];
}

/**
 * Follows a programme of any number of doses on a site from the season's first day: they share the decomposers, what these owe the soil, and the
 * leaching. What is given before the first day or after 26 weeks is not followed.
 * @param soil what the soil itself has and gives; left out when missing
 */
export function programmeRelease(
  inNumbers: ComputedProgramme,
  site: SiteInSeason,
  days: SiteDays = siteDays(site),
  soil?: SoilNitrogen,
): ProgrammeRelease {
  const c = programmeCase(inNumbers, site, days, soil);
  return {
    run: followCase(c),
    soilAlone: soil && followCase(c, undefined, []),
    given: givenByDay(c),
    demandKgPerHa: days.demandKgPerHa,
    left: c.left,
    supposed: c.supposed,
    assumed: assumedBy(c),
  };
}
