import { computed, sum, type Figure } from '../figure/index.js';
import {
  firstSoaking,
  siteSoilTemperature,
  siteWaterBalance,
  waterAssumptions,
  type WaterBalance,
} from '../ground/index.js';
import { addDays } from '../quantity/index.js';
import { daysToStage, groundDemand, type SiteInSeason } from '../season/index.js';
import { readIngredients, type Product } from '../shelf/index.js';
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
      readonly assumptions: readonly Figure[];
    }
  | { readonly kind: 'unknown'; readonly product: Product; readonly why: string };

/** How much is applied and how: worked in, or left on the surface for so many days before 12 mm of water. */
export interface Placement {
  readonly daysOnSurface: number;
  /** kg N/ha, 100 unless said: against it stand what the soil can lend and what the crop takes up. */
  readonly doseKgPerHa?: number;
}
const USUAL_DOSE_KG_PER_HA = 100;
/** How deep "worked in" is, m. */
export const WORKED_IN_M = 0.15;

/** What a site does to any dose from a season's first day on: warmth, what its crop takes up, and water where rain and evapotranspiration are known. */
export interface SiteDays {
  readonly temperatureC: readonly number[];
  /** kg N/ha at the end of each day; undefined when the crop's uptake or its course is not known. */
  readonly demandKgPerHa: readonly number[] | undefined;
  /** Crops on the same ground whose uptake is not known. */
  readonly demandWithout: readonly string[];
  readonly water: WaterBalance | undefined;
  /** Water that is given on each day, mm; none where the water is not followed. */
  readonly irrigationMm: readonly number[];
  /** Days from a day of the season until the first logged water of 12 mm or more; undefined when none is logged. */
  readonly soakedAfter: (day: number) => number | undefined;
}
export function siteDays(site: SiteInSeason): SiteDays {
  const { season } = site;
  const warmth = (from: string, days: number): readonly number[] => siteSoilTemperature(site, from, days);
  const demand = groundDemand(site, RELEASE_DAYS, warmth);
  const watered = siteWaterBalance(site, season.from, RELEASE_DAYS);
  return {
    temperatureC: warmth(season.from, RELEASE_DAYS),
    demandKgPerHa: demand.kgPerHa,
    demandWithout: demand.without,
    water: watered?.balance,
    irrigationMm: watered?.daily.irrigationMm ?? [],
    soakedAfter: (day) => firstSoaking(site, addDays(season.from, day), RELEASE_DAYS),
  };
}

/** The week by whose end the crop has taken up what it takes, from the season's first day: what arrives later is too late. At most 26. */
export function windowWeeks(
  site: SiteInSeason,
  { temperatureC }: Pick<SiteDays, 'temperatureC'> = siteDays(site),
): number {
  const days = daysToStage(site.season.crop, 'end', site.season.from, temperatureC);
  return days === undefined ? RELEASE_WEEKS : Math.max(1, Math.min(RELEASE_WEEKS, Math.ceil(days / 7)));
}

/** Runs the release model for one product applied on the season's first day. */
export function productRelease(
  product: Product,
  site: SiteInSeason,
  placement: Placement,
  { temperatureC, demandKgPerHa, water, soakedAfter }: SiteDays = siteDays(site),
): ProductRelease {
  const reading = nitrogenPools(product);
  if (reading.kind === 'unknown') return { kind: 'unknown', product, why: reading.why };
  const fromManure = readIngredients(product.derivedFrom).known.some((m) => m.traits.includes('pathogens'));
  const measuredCN = product.carbonToNitrogen;
  const parameters = parametersFor(reading.materials, site.medium, site.pH, {
    measuredCN,
    fromManure,
    curve: reading.own,
    ofPlot: site.ownFigures,
    ofBag: product.ownFigures,
    inside: product.inside,
    notOrganic: reading.pools.notOrganic,
    coatedWithout: reading.pools.coated > 0 && !product.longevity,
    rootingM: site.season.crop.rootingM,
  });
  const around: Surroundings = {
    temperatureC,
    daysOnSurface: Math.min(placement.daysOnSurface, soakedAfter(0) ?? Infinity),
    workedInM: WORKED_IN_M,
    doseKgPerHa: placement.doseKgPerHa ?? USUAL_DOSE_KG_PER_HA,
    lifeEases: site.medium === 'organicPotting',
    demandKgPerHa,
    longevity: product.longevity,
    water,
  };
  const run = simulate(reading.pools, around, numbersFrom(parameters));
  const assumptions = [
    ...relevantParameters(reading.pools, parameters, around),
    ...(water ? waterAssumptions(site.texture) : []),
  ];
  return {
    kind: 'release',
    product,
    setup: { pools: reading.pools, around, parameters },
    run,
    supposed: reading.supposed,
    assumptions,
  };
}

/** Where a product's nitrogen can be, and the pools that are counted there. */
const PLACES = {
  available: { words: 'available', pools: ['available'] },
  notReleased: { words: 'not yet released', pools: ['urea', 'coated', 'undecomposed'] },
  inSoil: { words: 'in microbes and humus', pools: ['microbial', 'humus'] },
  gas: { words: 'lost as gas', pools: ['volatilised', 'denitrified'] },
  drained: { words: 'drained below the layer', pools: ['leached'] },
} as const satisfies Record<string, { readonly words: string; readonly pools: readonly (keyof ReleaseRun)[] }>;
export type NitrogenPlace = keyof typeof PLACES;

/** What share of a bag's nitrogen is somewhere at the end of a week, as a figure. */
export function courseFigure(
  { product, run, setup, assumptions }: Extract<ProductRelease, { kind: 'release' }>,
  place: NitrogenPlace,
  week: number,
): Figure {
  const { words, pools } = PLACES[place];
  const share = pools.reduce((sum, pool) => sum + (run[pool][week * 7] ?? 0), 0);
  return computed(
    `Nitrogen of ${product.name} ${words} by week ${week}`,
    share * 100,
    '% of the bag’s N',
    'simulate',
    `followed day by day through soluble, urea, coated and organic pools at the plot’s soil temperature${setup.around.water ? ', with the plot’s own rain and evapotranspiration' : ''}`,
    assumptions,
  );
}

/** All places together at the end of a week: 100 % when nothing is made or lost. */
export const courseSum = (release: Extract<ProductRelease, { kind: 'release' }>, week: number): Figure =>
  sum(
    `Nitrogen of ${release.product.name} accounted for by week ${week}`,
    '% of the bag’s N',
    (Object.keys(PLACES) as NitrogenPlace[]).map((place) => courseFigure(release, place, week)),
  );

/** Values at the end of each week, index 0 the start. */
export const weekly = (daily: ArrayLike<number>): number[] =>
  Array.from({ length: Math.floor((daily.length - 1) / 7) + 1 }, (_, w) => daily[w * 7] ?? 0);
