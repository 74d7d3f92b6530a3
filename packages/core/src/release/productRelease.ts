import { computed, type Figure } from '../figure/index.js';
import {
  siteSoilTemperature,
  siteWaterBalance,
  waterAssumptions,
  type Site,
  type WaterBalance,
} from '../ground/index.js';
import type { Product } from '../shelf/index.js';
import { nitrogenPools, type NitrogenPools } from './nitrogenPools.js';
import { numbersFrom, parametersFor, type ParameterFigures } from './parameters.js';
import { relevantParameters } from './relevant.js';
import { simulate, type ReleaseRun, type Surroundings } from './simulate.js';

export const RELEASE_WEEKS = 26;
export const RELEASE_DAYS = RELEASE_WEEKS * 7;

export interface ReleaseCase {
  readonly pools: NitrogenPools;
  readonly around: Surroundings;
  readonly parameters: ParameterFigures;
}

/** A product's nitrogen followed for 26 weeks on a site, or why it cannot be. */
export type ProductRelease =
  | {
      readonly kind: 'release';
      readonly product: Product;
      readonly setup: ReleaseCase;
      readonly run: ReleaseRun;
      readonly supposed: readonly string[];
      /** Share of the bag's nitrogen that is plant-available by the end of the run, with its working. */
      readonly available: Figure;
      readonly assumptions: readonly Figure[];
    }
  | { readonly kind: 'unknown'; readonly product: Product; readonly why: string };

/** How the dose is placed: worked in, or left on the surface for so many days before 12 mm of water. */
export interface Placement {
  readonly daysOnSurface: number;
}

/** What a site does to any dose from its planting date on: warmth, and water where rain and evapotranspiration are known. */
export interface SiteDays {
  readonly temperatureC: readonly number[];
  readonly water: WaterBalance | undefined;
}
export function siteDays(site: Site): SiteDays {
  return {
    temperatureC: siteSoilTemperature(site, site.plantedOn, RELEASE_DAYS),
    water: siteWaterBalance(site, site.plantedOn, RELEASE_DAYS)?.balance,
  };
}

/** Runs the release model for one product applied on the site's planting date. */
export function productRelease(
  product: Product,
  site: Site,
  placement: Placement,
  { temperatureC, water }: SiteDays = siteDays(site),
): ProductRelease {
  const reading = nitrogenPools(product);
  if (reading.kind === 'unknown') return { kind: 'unknown', product, why: reading.why };
  const parameters = parametersFor(reading.classes, site.medium, site.pH, product.carbonToNitrogen);
  const around: Surroundings = {
    temperatureC,
    daysOnSurface: placement.daysOnSurface,
    longevity: product.longevity,
    waterFilled: water?.waterFilled,
    drainage: water,
  };
  const run = simulate(reading.pools, around, numbersFrom(parameters));
  const assumptions = [
    ...relevantParameters(reading.pools, parameters, around),
    ...(water ? waterAssumptions(site.texture) : []),
  ];
  const available = computed(
    `Nitrogen of ${product.name} available by week ${RELEASE_WEEKS}`,
    (run.mineral[RELEASE_DAYS] ?? 0) * 100,
    '% of the bag’s N',
    'simulate',
    `followed day by day through soluble, urea, coated and organic pools at the plot’s soil temperature${water ? ', with the plot’s own rain and evapotranspiration' : ''}`,
    assumptions,
  );
  return {
    kind: 'release',
    product,
    setup: { pools: reading.pools, around, parameters },
    run,
    supposed: reading.supposed,
    available,
    assumptions,
  };
}

/** Values at the end of each week, index 0 the start. */
export const weekly = (daily: ArrayLike<number>): number[] =>
  Array.from({ length: Math.floor((daily.length - 1) / 7) + 1 }, (_, w) => daily[w * 7] ?? 0);
