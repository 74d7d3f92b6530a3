import { daysBetween } from '../quantity/index.js';
import { ROOT_LAYER_M } from '../ground/index.js';
import type { ComputedProgramme, ComputedRow, SiteInSeason } from '../season/index.js';
import { readIngredients, type Product } from '../shelf/index.js';
import { nitrogenPools } from './nitrogenPools.js';
import { numbersFrom, parametersFor } from './parameters.js';
import { RELEASE_DAYS, siteDays, WORKED_IN_M, type SiteDays } from './productRelease.js';
import { follow, toDose, type DatedDose, type ReleaseRun } from './simulate.js';

/** A programme's nitrogen followed day by day, kg N/ha of the season's ground. */
export interface ProgrammeRelease {
  readonly run: ReleaseRun;
  /** What was given by the end of each day. */
  readonly given: Float64Array;
  /** What the crop takes up by the end of each day if it can get it; undefined when that is not known. */
  readonly demandKgPerHa: readonly number[] | undefined;
  /** What is not in it, with the reason. */
  readonly left: readonly { readonly name: string; readonly why: string }[];
  /** What had to be supposed, in words. */
  readonly supposed: readonly string[];
}

/** What the place does to a dose: left on top until the first soaking, or within the soil from the start. */
function placing(row: ComputedRow): { readonly onTop: boolean; readonly workedInM: number } {
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
const USUAL_DAYS_ON_TOP = 7;

/** kg N/ha of one product at one time, on the season's ground. */
function nitrogenOf(row: ComputedRow, product: Product): number | undefined {
  if (row.applied.kind !== 'applied') return undefined;
  const part = row.doing.given.parts.find((p) => p.product === product);
  const reading = nitrogenPools(product);
  if (!part || reading.kind === 'unknown') return undefined;
  return row.applied.perHa.value.mid * part.share * reading.nitrogenFraction * row.doing.application.part.share;
}

interface Doses {
  readonly doses: DatedDose[];
  readonly left: { readonly name: string; readonly why: string }[];
  readonly supposed: Set<string>;
}

function takeRow(
  row: ComputedRow,
  site: SiteInSeason,
  soakedAfter: (day: number) => number | undefined,
  into: Doses,
): void {
  const { given } = row.doing;
  if (given.parts.length === 0 && given.unknown === undefined) return;
  if (row.applied.kind === 'unknown') {
    into.left.push({ name: given.name, why: row.applied.why });
    return;
  }
  if (!row.dates) {
    into.left.push({ name: given.name, why: 'When its growth stage comes is not known.' });
    return;
  }
  const days = row.dates.map((date) => daysBetween(site.season.from, date));
  for (const { product } of given.parts) {
    const reading = nitrogenPools(product);
    const nitrogen = nitrogenOf(row, product);
    if (reading.kind === 'unknown' || nitrogen === undefined) {
      into.left.push({
        name: product.name,
        why: reading.kind === 'unknown' ? reading.why : 'its nitrogen is not known',
      });
      continue;
    }
    for (const words of reading.supposed) into.supposed.add(`${product.name}: ${words}`);
    const fromManure = readIngredients(product.derivedFrom).known.some((m) => m.traits.includes('pathogens'));
    const figures = parametersFor(reading.materials, site.medium, site.pH, {
      measuredCN: product.carbonToNitrogen,
      fromManure,
    });
    const { onTop, workedInM } = placing(row);
    for (const day of days) {
      if (day < 0 || day >= RELEASE_DAYS) continue;
      const lies = onTop ? Math.min(USUAL_DAYS_ON_TOP, soakedAfter(day) ?? Infinity) : 0;
      into.doses.push({
        day,
        dose: toDose(
          reading.pools,
          product.longevity,
          numbersFrom(figures),
          nitrogen,
          lies > 0 ? 'surface' : workedInM,
        ),
        settlesOn: lies > 0 ? day + lies : undefined,
      });
    }
  }
}

/**
 * Follows a programme of any number of doses on a site from the season's first day: they share the decomposers, what these owe the soil, and the
 * leaching. What is given before the first day or after 26 weeks is not followed.
 */
export function programmeRelease(
  inNumbers: ComputedProgramme,
  site: SiteInSeason,
  days: SiteDays = siteDays(site),
): ProgrammeRelease {
  const into: Doses = { doses: [], left: [], supposed: new Set() };
  for (const row of inNumbers.rows) takeRow(row, site, days.soakedAfter, into);
  const parameters = numbersFrom(parametersFor([], site.medium, site.pH));
  const run = follow(
    into.doses,
    {
      temperatureC: days.temperatureC,
      layerM: ROOT_LAYER_M,
      lifeEases: site.medium === 'organicPotting',
      demand: days.demandKgPerHa,
      water: days.water,
    },
    parameters,
    parameters.soilMineralKgPerHa,
  );
  const given = new Float64Array(days.temperatureC.length + 1);
  for (const { day, dose } of into.doses) {
    const whole =
      dose.nitrate + dose.ammonium + dose.urea + dose.coated + dose.organic.reduce((s, o) => s + o.nitrogen, 0);
    for (let d = day; d < given.length; d++) given[d] = (given[d] ?? 0) + whole;
  }
  return { run, given, demandKgPerHa: days.demandKgPerHa, left: into.left, supposed: [...into.supposed] };
}
