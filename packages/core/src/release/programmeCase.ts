import { assumption, owned, type Figure } from '../figure/index.js';
import { siteSoilTemperature, type Site } from '../ground/index.js';
import { between, daysBetween, type Range } from '../quantity/index.js';
import type { ComputedProgramme, ComputedRow, SiteInSeason } from '../season/index.js';
import { readIngredients, type Product } from '../shelf/index.js';
import { nitrogenPools, type NitrogenPools } from './nitrogenPools.js';
import { numbersFrom, parametersFor, type ParameterFigures } from './parameters.js';
import { RELEASE_DAYS, siteDays, WORKED_IN_M, type SiteDays } from './productRelease.js';
import { follow, toDose, type DatedDose, type ReleaseRun } from './simulate.js';
import type { Dose } from './state.js';
import { soilStart, yearOf, type SoilNitrogen } from './soilNitrogen.js';

/** One product of one row, as often as it is given. */
interface CasePart {
  readonly product: Product;
  readonly pools: NitrogenPools;
  readonly parameters: ParameterFigures;
  /** kg N/ha of the season's ground each time. */
  readonly nitrogen: Figure;
  readonly days: readonly number[];
  readonly onTop: boolean;
  readonly workedInM: number;
}
export interface Left {
  readonly name: string;
  readonly why: string;
}

/** A programme made ready to be followed any number of times, with other numbers each time. */
export interface ProgrammeCase {
  readonly parts: readonly CasePart[];
  readonly site: SiteInSeason;
  readonly days: SiteDays;
  /** Daily soil temperature of a year from the season's first day, for the soil's own supply. */
  readonly yearC: readonly number[];
  readonly shared: ParameterFigures;
  /** How this year may differ from the usual one. */
  readonly climate: YearFigures;
  /** The soil's own nitrogen; not counted when missing. */
  readonly soil: SoilNitrogen | undefined;
  /** What is not in it, with the reason. */
  readonly left: readonly Left[];
  /** What had to be supposed, in words. */
  readonly supposed: readonly string[];
}

/** How this year may differ from the usual one that is followed. */
const CLIMATE = {
  warmer: assumption(
    'how much warmer or colder this year is than the usual one',
    between(-1.5, 0, 1.5),
    '°C',
    'years differ; a logger replaces it',
  ),
  drainage: assumption(
    'how much drains against the usual year',
    between(0.6, 1, 1.4),
    '×',
    'years differ; a weather log replaces it',
  ),
} as const;
type YearFigures = Readonly<Record<keyof typeof CLIMATE, Figure>>;
const climateOf = ({ ownFigures }: Site): YearFigures => ({
  warmer: owned(CLIMATE.warmer, 'warmer', ownFigures),
  drainage: owned(CLIMATE.drainage, 'drainage', ownFigures),
});

/** What the place does to a dose: left on top until the first soaking, or within the soil from the start. */
function placing(row: ComputedRow): Pick<CasePart, 'onTop' | 'workedInM'> {
  const { where } = row.doing.application;
  switch (where.kind) {
    case 'surface':
    case 'ring':
    case 'band':
      return { onTop: true, workedInM: 0.05 };
    case 'workedIn':
      return { onTop: false, workedInM: where.depthM };
    case 'hole':
    case 'medium':
      return { onTop: false, workedInM: WORKED_IN_M };
    case 'wateredIn':
    case 'inWater':
    case 'foliar':
      return { onTop: false, workedInM: 0.05 };
  }
}

/** Days something left on top lies there where no soaking is logged. */
export const USUAL_DAYS_ON_TOP = 7;

function partsOf(row: ComputedRow, site: SiteInSeason, left: Left[], supposed: Set<string>): readonly CasePart[] {
  const { given } = row.doing;
  const { applied, dates } = row;
  if (given.parts.length === 0 && given.unknown === undefined) return [];
  const leave = (name: string, why: string): readonly CasePart[] => {
    left.push({ name, why });
    return [];
  };
  if (applied.kind === 'unknown') return leave(given.name, applied.why);
  if (!dates) return leave(given.name, 'When its growth stage comes is not known.');
  const days = dates.map((date) => daysBetween(site.season.from, date));
  return given.parts.flatMap(({ product, share }): readonly CasePart[] => {
    const reading = nitrogenPools(product);
    if (reading.kind === 'unknown') return leave(product.name, reading.why);
    for (const words of reading.supposed) supposed.add(`${product.name}: ${words}`);
    const fromManure = readIngredients(product.derivedFrom).known.some((m) => m.traits.includes('pathogens'));
    const parameters = parametersFor(reading.materials, site.medium, site.pH, {
      measuredCN: product.carbonToNitrogen,
      fromManure,
      curve: reading.own,
      ofPlot: site.ownFigures,
      ofBag: product.ownFigures,
      inside: product.inside,
      notOrganic: reading.pools.notOrganic,
      coatedWithout: reading.pools.coated > 0 && !product.longevity,
      rootingM: site.season.crop.rootingM,
    });
    const factor = share * reading.nitrogenFraction * row.doing.application.part.share;
    const { low, mid, high } = applied.perHa.value;
    const nitrogen: Figure = {
      ...applied.perHa,
      label: `nitrogen of ${product.name} each time`,
      value: { low: low * factor, mid: mid * factor, high: high * factor },
    };
    const within = days.filter((day) => day >= 0 && day < RELEASE_DAYS);
    return [{ product, pools: reading.pools, parameters, nitrogen, days: within, ...placing(row) }];
  });
}

const YEAR = 365;
/** Makes a programme ready to be followed on a site from the season's first day. */
export function programmeCase(
  inNumbers: ComputedProgramme,
  site: SiteInSeason,
  days: SiteDays = siteDays(site),
  soil?: SoilNitrogen,
): ProgrammeCase {
  const left: Left[] = [];
  const supposed = new Set<string>();
  for (const crop of days.demandWithout)
    supposed.add(`What ${crop.toLowerCase()} takes up is not known, and is not counted`);
  const parts = inNumbers.rows.flatMap((row) => partsOf(row, site, left, supposed));
  return {
    parts,
    site,
    days,
    yearC: soil ? siteSoilTemperature(site, site.season.from, YEAR) : [],
    shared: parametersFor([], site.medium, site.pH, { ofPlot: site.ownFigures, rootingM: site.season.crop.rootingM }),
    climate: climateOf(site),
    soil,
    left,
    supposed: [...supposed],
  };
}

/** Takes a number for a quantity of a case: its middle, or a draw from its range. */
export type Taken = (range: Range, figure: Figure, of: string) => number;
const middle: Taken = (range) => range.mid;

/** The doses of a case with some numbers. */
function dosesOf({ parts, days }: ProgrammeCase, take: Taken): readonly DatedDose[] {
  return parts.flatMap(({ product, pools, parameters, nitrogen, days: on, onTop, workedInM }): readonly DatedDose[] => {
    const numbers = numbersFrom(parameters, (range, figure, material) =>
      take(range, figure, material === '' ? '' : `${product.id} ${material}`),
    );
    const amount = take(nitrogen.value, nitrogen, product.id);
    return on.map((day): DatedDose => {
      const lies = onTop ? Math.min(USUAL_DAYS_ON_TOP, days.soakedAfter(day) ?? Infinity) : 0;
      const dose = toDose(pools, product.longevity, numbers, amount, lies > 0 ? 'surface' : workedInM);
      return { day, dose, settlesOn: lies > 0 ? day + lies : undefined };
    });
  });
}

const NITRATE_ALONE: Dose = {
  nitrate: 0,
  ammonium: 0,
  urea: 0,
  coated: 0,
  coatedForms: { urea: 1, ammonium: 0, nitrate: 0 },
  longevity: undefined,
  organic: [],
  volatileAmmonium: 0,
  workedInM: 0.05,
};
/** mg/L × mm is g for 100 m². */
const KG_PER_HA = 0.01;
/** Nitrate that comes with the water that is given, a dose on each day of it. */
function inWater({ soil, days }: ProgrammeCase): readonly DatedDose[] {
  const mgPerL = soil?.inWater?.value.mid ?? 0;
  if (mgPerL <= 0) return [];
  return days.irrigationMm.flatMap((mm, day): DatedDose[] =>
    mm > 0 ? [{ day, dose: { ...NITRATE_ALONE, nitrate: mgPerL * mm * KG_PER_HA } }] : [],
  );
}

/** The days of a case in a year that is warmer and drains more or less than the usual one. */
function daysIn({ days }: ProgrammeCase, warmer: number, drainage: number): Pick<SiteDays, 'temperatureC' | 'water'> {
  const temperatureC = warmer === 0 ? days.temperatureC : days.temperatureC.map((t) => t + warmer);
  const water =
    days.water && drainage !== 1
      ? { ...days.water, drainedMm: days.water.drainedMm.map((mm) => mm * drainage) }
      : days.water;
  return { temperatureC, water };
}

/**
 * Follows a case once.
 * @param take numbers for its quantities; the middle of each unless said
 * @param doses other doses than its own, such as none
 * @returns kg N/ha
 */
export function followCase(c: ProgrammeCase, take: Taken = middle, doses?: readonly DatedDose[]): ReleaseRun {
  const p = numbersFrom(c.shared, take);
  const { warmer, drainage } = c.climate;
  const { temperatureC, water } = daysIn(c, take(warmer.value, warmer, ''), take(drainage.value, drainage, ''));
  const wetness = (day: number): number => water?.wetness[day] ?? p.wetness;
  const soil =
    c.soil &&
    soilStart(
      take(c.soil.mineral.value, c.soil.mineral, 'soil'),
      take(c.soil.organic.value, c.soil.organic, 'soil'),
      take(c.soil.yearlyShare.value, c.soil.yearlyShare, 'soil'),
      yearOf(c.yearC, wetness, p.q10),
    );
  return follow(
    [...(doses ?? dosesOf(c, take)), ...inWater(c)],
    {
      temperatureC,
      lifeEases: c.site.medium === 'organicPotting',
      demand: c.days.demandKgPerHa,
      water,
      soil,
    },
    p,
    p.soilMineralKgPerHa,
  );
}

/** What is given by the end of each day, kg N/ha. */
export function givenByDay(c: ProgrammeCase): Float64Array {
  const given = new Float64Array(c.days.temperatureC.length + 1);
  for (const { nitrogen, days } of c.parts)
    for (const day of days) for (let d = day; d < given.length; d++) given[d] = (given[d] ?? 0) + nitrogen.value.mid;
  return given;
}
