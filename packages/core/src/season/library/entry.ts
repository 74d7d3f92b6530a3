import type { Nutrient } from '../../nutrient/index.js';
import { between, scaleRange, type Range } from '../../quantity/index.js';
import type {
  AgeTable,
  Crop,
  CropGroup,
  HarvestUnit,
  Mycorrhiza,
  NitrogenTaste,
  Sensitivity,
  UptakeCourse,
} from '../crop.js';

import { CROP_NAMES } from './names.js';

/** Middles of N, P, K, Ca, Mg and S; the rest of a shorter list is not known. */
type Six = readonly number[];
const SIX = ['N', 'P', 'K', 'Ca', 'Mg', 'S'] as const;
/** How far class averages lie apart: lowest and highest over the middle, by nutrient. */
const UPTAKE_SPREAD = {
  N: [0.7, 1.35],
  P: [0.7, 1.4],
  K: [0.7, 1.4],
  Ca: [0.6, 1.6],
  Mg: [0.6, 1.6],
  S: [0.6, 1.6],
} as const;
const REMOVED_SPREAD = {
  N: [0.75, 1.25],
  P: [0.7, 1.3],
  K: [0.7, 1.3],
  Ca: [0.6, 1.6],
  Mg: [0.6, 1.6],
  S: [0.6, 1.6],
} as const;

type ByNutrient = Readonly<Partial<Record<Nutrient, Range>>>;
const spreadOut = (
  middles: Six,
  spread: Readonly<Record<(typeof SIX)[number], readonly [number, number]>>,
): ByNutrient =>
  Object.fromEntries(
    middles.flatMap((mid, i) => {
      const nutrient = SIX[i];
      if (!nutrient) return [];
      // A class average has two figures worth telling, not five.
      const [low, high] = spread[nutrient].map((share) => Number((mid * share).toPrecision(2))) as [number, number];
      return [[nutrient, between(low, mid, high)]];
    }),
  );

/** A crop as the tables write it: middles, from which the class's spread makes ranges, or ranges of its own. */
export interface CropRow {
  readonly group: CropGroup;
  /** t/ha fresh: least, usual, most. */
  readonly yieldT?: readonly [number, number, number];
  readonly uptake?: Six | ByNutrient;
  readonly removed?: Six;
  /** Base °C, degree days at half and at the end; a year's months; or steady. */
  readonly course?: readonly [number, number, number] | { readonly months: readonly number[] } | 'steady';
  readonly pH?: readonly [number, number];
  readonly taste?: NitrogenTaste;
  readonly chloride?: Sensitivity;
  readonly boron?: Sensitivity;
  readonly salt?: readonly [number, number];
  /** Low and high of N, P and K in dry matter, what is sampled, and when. */
  readonly tissue?: readonly [
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
    string,
    string,
  ];
  readonly spacing?: readonly [number, number];
  readonly roots?: readonly [number, number, number];
  readonly mycorrhiza?: Mycorrhiza;
  readonly units?: readonly (readonly [string, number])[];
  readonly followsLight?: boolean;
  readonly ages?: AgeTable;
  readonly metals?: readonly Nutrient[];
  readonly late?: readonly ['harvest' | 'frost', number];
}

const isList = (x: Six | ByNutrient): x is Six => Array.isArray(x);

function courseOf(course: CropRow['course']): UptakeCourse | undefined {
  if (course === undefined) return undefined;
  if (course === 'steady') return { kind: 'steady' };
  if ('months' in course) {
    const whole = course.months.reduce((a, b) => a + b, 0);
    return { kind: 'yearly', months: course.months.map((m) => m / whole) };
  }
  const [baseC, halfDegreeDays, endDegreeDays] = course;
  return { kind: 'warmth', baseC, halfDegreeDays, endDegreeDays };
}

/** Crates and bushels are filled by eye. */
const UNIT_SPREAD = 0.1;
const unitOf = ([name, kg]: readonly [string, number]): HarvestUnit => ({
  name,
  kg: scaleRange(between(1 - UNIT_SPREAD, 1, 1 + UNIT_SPREAD), kg),
});

/** A row of the tables as a crop. */
export function toCrop(key: string, row: CropRow): Crop {
  const { uptake = [], removed = [], tissue } = row;
  return {
    key,
    name: CROP_NAMES[key] ?? key,
    group: row.group,
    yieldTPerHa: row.yieldT && between(...row.yieldT),
    uptakeKgPerHa: isList(uptake) ? spreadOut(uptake, UPTAKE_SPREAD) : uptake,
    removedKgPerT: spreadOut(removed, REMOVED_SPREAD),
    course: courseOf(row.course),
    pH: row.pH && { low: row.pH[0], high: row.pH[1] },
    nitrogenTaste: row.taste,
    chloride: row.chloride,
    boron: row.boron,
    salt: row.salt && { thresholdMsPerCm: row.salt[0], slopePercent: row.salt[1] },
    tissue: tissue
      ? (['N', 'P', 'K'] as const).map((nutrient, i) => {
          const [lowPercent, highPercent] = tissue[i] as readonly [number, number];
          return { nutrient, lowPercent, highPercent, part: tissue[3], when: tissue[4] };
        })
      : [],
    spacing: row.spacing && { rowM: row.spacing[0], plantM: row.spacing[1] },
    rootingM: row.roots && between(...row.roots),
    mycorrhiza: row.mycorrhiza,
    harvestUnits: (row.units ?? []).map(unitOf),
    followsLight: row.followsLight ?? false,
    ages: row.ages,
    metals: row.metals ?? [],
    latestNitrogen: row.late && { before: row.late[0], days: row.late[1] },
  };
}

/** Ages of a tree or bush: first and last year, grams of 10-10-10 a plant, ring from and to in m. */
export const ages = (
  capG: number,
  ...rows: readonly (readonly [number, number | undefined, number, number, number])[]
): AgeTable => ({
  grade: '10-10-10',
  capG,
  rows: rows.map(([fromYear, toYear, grams, innerM, outerM]) => ({
    fromYear,
    ...(toYear === undefined ? {} : { toYear }),
    gPerPlant: scaleRange(between(0.75, 1, 1.25), grams),
    innerM,
    outerM,
  })),
});
