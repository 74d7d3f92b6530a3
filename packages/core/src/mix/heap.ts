import { assumption, computed, literal, spreadAs, type Figure } from '../figure/index.js';
import { isExact, percentileOf, triangular, uniformDraws, unitOf, type Range } from '../quantity/index.js';
import { HEAP_COURSE, HEAP_GOAL, HEAP_SOURCE, nitrogenLost, type HeapMaterial } from './heapMaterials.js';

/** So much of a material on a heap. */
export interface HeapPart {
  readonly material: HeapMaterial;
  readonly amount: number;
  /** Symbol of a unit of weight or volume. */
  readonly unit: string;
  /** Measured, in the place of what is typical. */
  readonly own?: { readonly carbonToNitrogen?: number | undefined; readonly moisture?: number | undefined };
}

/** Below, within or above what a heap works at; `maybe` where its range reaches both within and out of it. */
export type HeapSide = 'low' | 'right' | 'high' | 'maybe';
/** A heap in numbers, before and after; each range holds eight draws in ten. */
export interface HeapReading {
  readonly carbonToNitrogen: Figure;
  readonly cnSide: HeapSide;
  /** Water, % of the weight. */
  readonly moisture: Figure;
  readonly moistureSide: HeapSide;
  readonly kg: Figure;
  readonly litres: Figure;
  /** Water to add for the middle of what it works at, kg, which are litres; zero where it is moist enough. */
  readonly waterKg: number;
  readonly finished: FinishedHeap;
}
/** A heap when it is done, by usual ranges. */
export interface FinishedHeap {
  readonly kg: Figure;
  readonly litres: Figure;
  /** Shares of it as it comes, %. */
  readonly nitrogen: Figure;
  readonly p2o5: Figure;
  readonly k2o: Figure;
}

/** What is not known for sure of a part, each a figure with its range. */
interface PartFigures {
  readonly amount: Figure;
  readonly byWeight: boolean;
  readonly density: Figure;
  readonly moisture: Figure;
  readonly carbonToNitrogen: Figure;
  readonly carbon: Figure;
  readonly p2o5: Figure;
  readonly k2o: Figure;
}
const SHARE = 'kg/kg';
function figuresOf({ material, amount, unit, own }: HeapPart): PartFigures {
  const { name } = material;
  const { dimension, factor } = unitOf(unit);
  const typical = (what: string, value: Range, of: string): Figure =>
    assumption(`${what} of ${name}`, value, of, HEAP_SOURCE);
  const measured = (what: string, value: number): Figure =>
    literal(`${what} of ${name}`, value, SHARE, 'measured', 'your own figure');
  const byWeight = dimension === 'mass';
  const { carbonToNitrogen, moisture } = own ?? {};
  return {
    amount: literal(name, amount * factor, byWeight ? 'kg' : 'L', 'chosen', 'as typed'),
    byWeight,
    density: typical('density, loosely piled,', material.densityKgPerL, 'kg/L'),
    moisture: moisture === undefined ? typical('water', material.moisture, SHARE) : measured('water', moisture),
    carbonToNitrogen:
      carbonToNitrogen === undefined
        ? typical('C:N', material.carbonToNitrogen, SHARE)
        : measured('C:N', carbonToNitrogen),
    carbon: typical('carbon in the dry matter', material.carbon, SHARE),
    p2o5: typical('P₂O₅ in the dry matter', material.p2o5, SHARE),
    k2o: typical('K₂O in the dry matter', material.k2o, SHARE),
  };
}
type Course = Readonly<Record<'dryLost' | 'nitrogenLost' | 'volumeLeft' | 'wet' | 'potassiumLost', Figure>>;
const courseOf = (carbonToNitrogen: number): Course => {
  const usual = (label: string, range: Range): Figure => assumption(label, range, SHARE, HEAP_SOURCE);
  return {
    dryLost: usual('dry matter lost', HEAP_COURSE.dryMatterLost),
    nitrogenLost: usual('nitrogen lost as ammonia and with the water', nitrogenLost(carbonToNitrogen)),
    volumeLeft: usual('volume left', HEAP_COURSE.volumeLeft),
    wet: usual('water in the finished heap', HEAP_COURSE.finishedMoisture),
    potassiumLost: usual('potassium washed out', HEAP_COURSE.potassiumLost),
  };
};

/** Everything about a heap in plain numbers. */
type Numbers = Readonly<
  Record<'carbonToNitrogen' | 'water' | 'kg' | 'litres' | 'doneKg' | 'doneLitres' | 'nitrogen' | 'p2o5' | 'k2o', number>
>;
/** Takes a number for a figure: its middle, or a draw from its range. */
type Take = (figure: Figure) => number;

/** A heap with a number taken for each figure. C:N is all carbon over all nitrogen; what is lost leaves the rest more concentrated. */
function numbersOf(parts: readonly PartFigures[], course: Course, take: Take): Numbers {
  const sums = { kg: 0, litres: 0, water: 0, dry: 0, carbon: 0, nitrogen: 0, p2o5: 0, k2o: 0 };
  for (const part of parts) {
    const density = take(part.density);
    const given = part.amount.value.mid;
    const kg = part.byWeight ? given : given * density;
    const water = kg * take(part.moisture);
    const dry = kg - water;
    const carbon = dry * take(part.carbon);
    sums.kg += kg;
    sums.litres += part.byWeight ? given / density : given;
    sums.water += water;
    sums.dry += dry;
    sums.carbon += carbon;
    sums.nitrogen += carbon / take(part.carbonToNitrogen);
    sums.p2o5 += dry * take(part.p2o5);
    sums.k2o += dry * take(part.k2o);
  }
  const doneKg = (sums.dry * (1 - take(course.dryLost))) / (1 - take(course.wet));
  const inDone = (kg: number, lost: number): number => ((kg * (1 - lost)) / doneKg) * 100;
  return {
    carbonToNitrogen: sums.carbon / sums.nitrogen,
    water: (sums.water / sums.kg) * 100,
    kg: sums.kg,
    litres: sums.litres,
    doneKg,
    doneLitres: sums.litres * take(course.volumeLeft),
    nitrogen: inDone(sums.nitrogen, take(course.nitrogenLost)),
    p2o5: inDone(sums.p2o5, 0),
    k2o: inDone(sums.k2o, take(course.potassiumLost)),
  };
}

const DRAWS = 1000;
const SEED = 1;
const WITHIN = 0.8;
/** Each number at the middle of all figures, with the range of eight draws in ten. */
function banded(parts: readonly PartFigures[], course: Course): (key: keyof Numbers) => Range {
  const mid = numbersOf(parts, course, (f) => f.value.mid);
  const uniform = uniformDraws(SEED);
  const drawn = Array.from({ length: DRAWS }, () => {
    // A figure that is asked for twice in one draw is the same number: each is asked for once.
    return numbersOf(parts, course, (f) => (isExact(f.value) ? f.value.mid : triangular(f.value, uniform())));
  });
  return (key) => {
    const sorted = Float64Array.from(drawn, (n) => n[key]).sort();
    const at = mid[key];
    const edge = (1 - WITHIN) / 2;
    return {
      low: Math.min(at, percentileOf(sorted, edge)),
      mid: at,
      high: Math.max(at, percentileOf(sorted, 1 - edge)),
    };
  };
}

/** What is at a bound but for round-off is within it. */
const ROUND_OFF = 1e-6;
function side({ low, mid, high }: Range, goal: { readonly low: number; readonly high: number }): HeapSide {
  const within = (x: number): boolean => x >= goal.low - ROUND_OFF && x <= goal.high + ROUND_OFF;
  if (within(low) && within(high)) return 'right';
  if (within(mid)) return 'maybe';
  return mid < goal.low ? 'low' : 'high';
}

/**
 * What a heap is before it works and what it becomes: C:N, water, weight, volume; then what is left of it, with nitrogen, P₂O₅ and K₂O. The C:N of a heap
 * is its carbon over its nitrogen, so that a kg of straw and a kg of clippings count by their dry matter. What is typical is a range, and so is what
 * follows: the middle, and what eight in ten seeded draws lie within.
 * @returns undefined where nothing is on it
 * @example readHeap([{ material: straw, amount: 10, unit: 'kg' }, { material: clippings, amount: 40, unit: 'kg' }])?.carbonToNitrogen.value.mid // about 29
 */
export function readHeap(all: readonly HeapPart[]): HeapReading | undefined {
  const parts = all.filter((p) => p.amount > 0).map(figuresOf);
  if (parts.length === 0) return undefined;
  const start = numbersOf(parts, courseOf(0), (f) => f.value.mid);
  const course = courseOf(start.carbonToNitrogen);
  const range = banded(parts, course);
  const inputs = (...keys: readonly (keyof Omit<PartFigures, 'byWeight'>)[]): readonly Figure[] =>
    parts.flatMap((p) => keys.map((key) => p[key]));
  const figure = (key: keyof Numbers, label: string, unit: string, text: string, of: readonly Figure[]): Figure => {
    const made = computed(label, range(key), unit, 'heap', text, of);
    return isExact(made.value) ? made : spreadAs(made, { kind: 'draws', share: WITHIN });
  };
  const weights = inputs('amount', 'density');
  const moisture = figure('water', 'water in the heap', '%', 'kg × water of each, over all kg', [
    ...weights,
    ...inputs('moisture'),
  ]);
  const carbonToNitrogen = figure(
    'carbonToNitrogen',
    'C:N of the heap',
    '',
    'kg × (1 − water) × carbon of each, over the same ÷ its C:N',
    [...weights, ...inputs('moisture', 'carbon', 'carbonToNitrogen')],
  );
  const goal = HEAP_GOAL.moisture;
  const wet = start.water / 100;
  const dry = [...weights, ...inputs('moisture'), course.dryLost, course.wet];
  return {
    carbonToNitrogen,
    cnSide: side(carbonToNitrogen.value, HEAP_GOAL.carbonToNitrogen),
    moisture,
    moistureSide: side(moisture.value, { low: goal.low * 100, high: goal.high * 100 }),
    kg: figure('kg', 'weight of the heap', 'kg', 'all of it added up', weights),
    litres: figure('litres', 'volume of the heap', 'L', 'all of it added up, loosely piled', weights),
    waterKg: wet < goal.low ? (start.kg * (goal.mid - wet)) / (1 - goal.mid) : 0,
    finished: {
      kg: figure(
        'doneKg',
        'weight of the finished heap',
        'kg',
        'dry matter × (1 − what is lost of it) ÷ (1 − water of the finished heap)',
        dry,
      ),
      litres: figure('doneLitres', 'volume of the finished heap', 'L', 'volume × what is left of it', [
        ...weights,
        course.volumeLeft,
      ]),
      nitrogen: figure('nitrogen', 'nitrogen in the finished heap', '%', 'nitrogen × (1 − what is lost of it) ÷ kg', [
        ...dry,
        ...inputs('carbon', 'carbonToNitrogen'),
        course.nitrogenLost,
      ]),
      p2o5: figure('p2o5', 'P₂O₅ in the finished heap', '%', 'P₂O₅ ÷ kg: none of it is lost', [
        ...dry,
        ...inputs('p2o5'),
      ]),
      k2o: figure('k2o', 'K₂O in the finished heap', '%', 'K₂O × (1 − what is washed out) ÷ kg', [
        ...dry,
        ...inputs('k2o'),
        course.potassiumLost,
      ]),
    },
  };
}
