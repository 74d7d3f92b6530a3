import type { Figure } from '../figure/index.js';
import { formatGivenRange, formatNumber, formatTrimmedRange } from '../quantity/index.js';
import { pHAvailability } from './availability.js';
import { condition } from './conditions.js';
import type { JarReadings } from './jarTest.js';
import { MEDIUM_NAMES, type Medium, type Site, type Texture } from './site.js';
import type { SodicSchool } from './soilChemistry.js';
import { pHInWater } from './soilPH.js';
import { soilClass, soilFigure, SOIL_METHOD_NAMES, type SoilReport } from './soilReport.js';
import { siteSoilTemperature } from './climate.js';
import { waterYear } from './waterBalance.js';

/** Where a fact is entered: the plot itself, its soil reports, its warmth and water, its jar tests, or its seasons. */
export type FactPlace = 'plot' | 'soil' | 'weather' | 'jars' | 'seasons';

/** One thing a plot's soil is, and what that means for whoever feeds it. */
export interface PlotFact {
  readonly name: string;
  /** What is known; undefined when it is not. */
  readonly says: string | undefined;
  /** What it means, or what would tell when it is not known. */
  readonly means: string;
  readonly figure?: Figure | undefined;
  readonly place: FactPlace;
}

/** Something that is not known of a plot, and why that matters. */
export interface PlotGap {
  readonly what: string;
  readonly why: string;
  readonly place: FactPlace;
}

/** Everything that is known of a plot. */
export interface PlotKnown {
  readonly site: Site;
  readonly report: SoilReport | undefined;
  readonly jar: JarReadings | undefined;
  readonly school: SodicSchool;
  /** The first day of the season that is looked at. */
  readonly from: string | undefined;
}

const TEXTURE_MEANS: Readonly<Record<Texture, string>> = {
  sand: 'water and nitrate run through it fast: feed little and often',
  loam: 'it holds water and feed well and still drains',
  clay: 'it holds much, but warms and drains slowly: keep off it when it is wet',
  peat: 'it holds much water and few minerals, and is acid by nature',
};
const MEDIUM_MEANS: Readonly<Record<Exclude<Medium, 'mineralSoil'>, string>> = {
  halfPotting: 'it drains faster than soil and holds less: feed a little more often',
  organicPotting: 'meals break down fast in it at first, and watering takes what is not used',
  inertPotting: 'it holds almost nothing itself: every nutrient comes with the water',
};

const texture = ({ medium, texture: t }: Site): PlotFact =>
  medium === 'mineralSoil'
    ? { name: 'Texture', says: t, means: TEXTURE_MEANS[t], place: 'plot' }
    : { name: 'Grown in', says: MEDIUM_NAMES[medium], means: MEDIUM_MEANS[medium], place: 'plot' };

/** Nutrients at most that are named before it becomes a list nobody reads. */
const MOST_NAMED = 5;

function acidity({ site, report }: PlotKnown): PlotFact {
  const measured = pHInWater(site, report);
  if (!measured)
    return {
      name: 'pH',
      says: undefined,
      means: 'test it first: it is cheap, and decides more than most feeds',
      place: 'plot',
    };
  const held = pHAvailability(measured.value.mid, site).filter((a) => a.effect !== 'easy');
  const named = held.slice(0, MOST_NAMED).map((a) => a.nutrient);
  const more = held.length > named.length ? ' and others' : '';
  return {
    name: 'pH',
    says: formatTrimmedRange(measured.value),
    means:
      held.length === 0
        ? 'roots get every nutrient as easily as they can'
        : `it keeps ${named.join(', ')}${more} from roots, or sets free too much: put the pH right before feeding them`,
    figure: measured.how.kind === 'operation' ? measured : undefined,
    place: report ? 'soil' : 'plot',
  };
}

/** What phosphorus or potassium is called by the method of the newest report. */
function stock(analyte: 'P' | 'K', name: string, { report }: PlotKnown): PlotFact {
  const classes = {
    high: 'there is plenty: more of it feeds nothing',
    medium: 'keep it up',
    low: 'it is short: feed it',
  };
  for (const figure of report?.figures.filter((f) => f.analyte === analyte) ?? []) {
    const found = soilClass(figure);
    if (found)
      return {
        name,
        says: `${found} by ${SOIL_METHOD_NAMES[figure.method]}`,
        means: classes[found],
        place: 'soil',
      };
  }
  return { name, says: undefined, means: 'a soil test by a named method would tell', place: 'soil' };
}

function salt(known: PlotKnown): PlotFact {
  const { site, report, school, jar } = known;
  const name = 'Salt and sodium';
  const [saline, sodic] = [condition('saline', site, report), condition('sodic', site, report, school, jar)];
  if (saline.answer === 'unknown' && sodic.answer === 'unknown')
    return {
      name,
      says: undefined,
      means: 'a saturated paste with EC, sodium, calcium and magnesium would tell',
      place: 'soil',
    };
  const is = [
    ...(saline.answer === 'yes' ? ['saline'] : []),
    ...(sodic.answer === 'yes' ? ['sodic'] : []),
    ...(saline.answer === 'unknown' ? ['salt not measured'] : []),
    ...(sodic.answer === 'unknown' ? ['sodium not measured'] : []),
  ];
  const troubled = saline.answer === 'yes' || sodic.answer === 'yes';
  return {
    name,
    says: is.length === 0 ? 'neither' : is.join(', '),
    means: troubled
      ? [saline, sodic].flatMap((c) => (c.answer === 'yes' ? [c.because] : [])).join('; ')
      : [saline, sodic].flatMap((c) => (c.answer === 'no' ? [c.because] : [])).join('; '),
    figure: sodic.answer === 'unknown' ? undefined : sodic.figure,
    place: 'soil',
  };
}

function humus({ report }: PlotKnown): PlotFact {
  const found = report && soilFigure(report, 'organicMatter', undefined, ['%']);
  const means = (percent: number): string =>
    percent < 2
      ? 'low: compost and residues build it, over years'
      : percent < 5
        ? 'usual for a field: it gives some nitrogen of its own each year'
        : 'high: it gives much nitrogen of its own each year';
  return found
    ? {
        name: 'Organic matter',
        says: `${formatGivenRange(found.value)} %`,
        means: means(found.value.mid),
        place: 'soil',
      }
    : { name: 'Organic matter', says: undefined, means: 'a soil report tells it', place: 'soil' };
}

/** Below these, °C, soil counts as cold, or as cool. */
const COLD_C = 8;
const COOL_C = 14;

function warmth({ site, from }: PlotKnown): PlotFact {
  if (from === undefined)
    return {
      name: 'Warmth at planting',
      says: undefined,
      means: 'say what grows here, and from when',
      place: 'seasons',
    };
  const [at = 0] = siteSoilTemperature(site, from, 1);
  return {
    name: 'Warmth at planting',
    says: `${formatNumber(at, 2)} °C`,
    means:
      at < COLD_C
        ? 'cold: organic and coated feeds give little until it warms'
        : at < COOL_C
          ? 'cool: organic and coated feeds start slowly'
          : 'warm: organic feeds give their nitrogen soon',
    place: 'weather',
  };
}

function water({ site }: PlotKnown): PlotFact {
  const name = 'Water that drains away';
  const year = waterYear(site);
  if (!year)
    return {
      name,
      says: undefined,
      means:
        site.medium === 'mineralSoil'
          ? 'rain and evapotranspiration of a usual year, or a logger, would tell'
          : 'pots drain in ways that a field’s balance does not describe',
      place: 'weather',
    };
  const drained = year.drained.value.mid;
  return {
    name,
    says: `${formatNumber(drained, 2)} mm a year`,
    means:
      drained < 50
        ? 'little nitrate is lost with it'
        : 'it takes nitrate along: give nitrogen when the crop can use it, not before',
    figure: year.drained,
    place: 'weather',
  };
}

/**
 * What a plot's soil is in a few facts, each with what it means; what is not known says what would tell.
 * @example plotFacts({ site, report: undefined, jar: undefined, school: 'US', from: '2026-03-15' })[1] // { name: 'pH', says: '6.4', … }
 */
export const plotFacts = (known: PlotKnown): readonly PlotFact[] => [
  texture(known.site),
  acidity(known),
  humus(known),
  stock('P', 'Phosphorus', known),
  stock('K', 'Potassium', known),
  salt(known),
  warmth(known),
  water(known),
];

/** After so many years a report speaks of another soil. */
const REPORT_YEARS = 4;

/** What a plot that was entered in haste is taken to have: a usual year of the temperate zone. */
export const SUPPOSED_YEAR = { kind: 'sine', meanC: 10.5, amplitudeC: 7, warmestDay: 205 } as const;

const isSupposed = ({ temperature: t }: Site): boolean =>
  t.kind === 'sine' &&
  t.meanC === SUPPOSED_YEAR.meanC &&
  t.amplitudeC === SUPPOSED_YEAR.amplitudeC &&
  t.warmestDay === SUPPOSED_YEAR.warmestDay;

/**
 * What is not known of a plot, what decides most first.
 * @param measured whether its sides were measured, not only its area typed
 * @param today an ISO day, against which reports grow old
 */
export function plotGaps(known: PlotKnown, measured: boolean, today: string): readonly PlotGap[] {
  const { site, report, from } = known;
  const mineral = site.medium === 'mineralSoil';
  const age = report ? Number(today.slice(0, 4)) - Number(report.sampledOn.slice(0, 4)) : 0;
  const logged = (site.logged ?? []).some((log) => (log.series.soilC ?? []).length > 0);
  const gap = (missing: boolean, place: FactPlace, what: string, why: string): PlotGap[] =>
    missing ? [{ what, why, place }] : [];
  return [
    ...gap(
      from === undefined,
      'seasons',
      'Say what grows here, and from when',
      'doses, release and claims are worked out for a crop',
    ),
    ...gap(
      mineral && pHInWater(site, report) === undefined,
      'plot',
      'Test the pH',
      'it decides what roots can get and how much urea is lost',
    ),
    ...gap(
      mineral && !report,
      'soil',
      'Send a soil sample in and enter the report',
      'without one, phosphorus, potassium, salt and lime are guesses',
    ),
    ...gap(
      report !== undefined && age > REPORT_YEARS,
      'soil',
      `Test the soil again: the newest report is from ${report?.sampledOn.slice(0, 4)}`,
      'a soil changes in a few years',
    ),
    ...gap(
      isSupposed(site) && !logged,
      'weather',
      'Enter how warm the soil is',
      'a usual temperate year is supposed, and every release curve follows it',
    ),
    ...gap(
      mineral && waterYear(site) === undefined,
      'weather',
      'Enter rain and evapotranspiration, or read a logger’s file',
      'how much nitrate washes out is not known',
    ),
    ...gap(!measured, 'plot', 'Measure the sides', 'the area is typed, so every dose rests on it'),
  ];
}
