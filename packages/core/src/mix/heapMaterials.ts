import { between, type Range } from '../quantity/index.js';

/** What goes on a compost heap, with what is typical of it as it comes. */
export interface HeapMaterial {
  readonly key: string;
  readonly name: string;
  /** Rich in nitrogen and wet, or rich in carbon and dry. */
  readonly side: 'green' | 'brown';
  readonly carbonToNitrogen: Range;
  /** Water as a share of its weight. */
  readonly moisture: Range;
  /** Loosely piled. */
  readonly densityKgPerL: Range;
  /** Shares of its dry matter. */
  readonly carbon: Range;
  readonly p2o5: Range;
  readonly k2o: Range;
}

type Three = readonly [low: number, mid: number, high: number];
const range = ([low, mid, high]: Three): Range => between(low, mid, high);
const percent = ([low, mid, high]: Three): Range => between(low / 100, mid / 100, high / 100);

/** Carbon in the dry matter of plants, and of manures, which hold more ash. */
const PLANT: Three = [42, 45, 50];
const MANURE: Three = [30, 38, 45];

const material = (
  side: HeapMaterial['side'],
  name: string,
  [carbonToNitrogen, moisture, densityKgPerL, p2o5, k2o]: readonly [Three, Three, Three, Three, Three],
  carbon: Three = PLANT,
): HeapMaterial => ({
  key: name.replace(/\W+/g, '-'),
  name,
  side,
  carbonToNitrogen: range(carbonToNitrogen),
  moisture: percent(moisture),
  densityKgPerL: range(densityKgPerL),
  carbon: percent(carbon),
  p2o5: percent(p2o5),
  k2o: percent(k2o),
});

export const HEAP_SOURCE = 'textbook range';
/** What gardens and yards have for a heap: C:N, water %, kg/L loosely piled, P2O5 and K2O in % of dry matter. */
// prettier-ignore -- a table is read by its columns.
export const HEAP_MATERIALS: readonly HeapMaterial[] = [
  material('green', 'grass clippings', [
    [12, 17, 25],
    [70, 80, 85],
    [0.15, 0.3, 0.5],
    [0.6, 0.9, 1.2],
    [2, 3, 4],
  ]),
  material('green', 'kitchen scraps', [
    [11, 15, 20],
    [70, 80, 88],
    [0.4, 0.6, 0.9],
    [0.5, 0.8, 1.2],
    [1.5, 2.5, 3.5],
  ]),
  material('green', 'coffee grounds', [
    [18, 21, 25],
    [50, 60, 75],
    [0.35, 0.5, 0.65],
    [0.1, 0.3, 0.5],
    [0.3, 0.7, 1.2],
  ]),
  material('green', 'soft green cuttings', [
    [15, 22, 32],
    [60, 70, 80],
    [0.12, 0.22, 0.35],
    [0.4, 0.6, 0.9],
    [1.5, 2.2, 3],
  ]),
  material(
    'green',
    'cattle manure',
    [
      [12, 18, 28],
      [72, 80, 88],
      [0.7, 0.85, 1],
      [0.8, 1.2, 1.8],
      [1, 2, 3.5],
    ],
    MANURE,
  ),
  material(
    'green',
    'sheep manure',
    [
      [13, 17, 22],
      [60, 68, 75],
      [0.4, 0.55, 0.7],
      [0.8, 1.2, 1.8],
      [1.5, 2.5, 4],
    ],
    MANURE,
  ),
  material(
    'green',
    'poultry manure',
    [
      [5, 8, 12],
      [50, 65, 75],
      [0.5, 0.7, 0.85],
      [2.5, 4, 6],
      [1.5, 2.5, 4],
    ],
    MANURE,
  ),
  material(
    'green',
    'poultry litter',
    [
      [9, 13, 20],
      [20, 30, 40],
      [0.35, 0.45, 0.55],
      [2, 3, 4.5],
      [1.5, 2.5, 3.5],
    ],
    MANURE,
  ),
  material('green', 'feather or horn meal', [
    [3.5, 4, 4.5],
    [6, 9, 12],
    [0.4, 0.5, 0.65],
    [0.2, 0.7, 1.2],
    [0.1, 0.3, 0.5],
  ]),
  material(
    'brown',
    'horse manure with bedding',
    [
      [22, 32, 50],
      [60, 70, 78],
      [0.35, 0.5, 0.75],
      [0.6, 0.9, 1.4],
      [1, 2, 3],
    ],
    MANURE,
  ),
  material('brown', 'hay', [
    [18, 28, 40],
    [8, 12, 20],
    [0.05, 0.08, 0.15],
    [0.4, 0.6, 0.8],
    [1.5, 2.2, 3],
  ]),
  material('brown', 'fallen leaves', [
    [40, 55, 80],
    [20, 38, 60],
    [0.06, 0.12, 0.25],
    [0.1, 0.3, 0.5],
    [0.3, 0.6, 1.2],
  ]),
  material('brown', 'straw', [
    [50, 80, 120],
    [8, 12, 20],
    [0.03, 0.06, 0.12],
    [0.1, 0.25, 0.4],
    [1, 1.6, 2.4],
  ]),
  material('brown', 'shredded twigs', [
    [40, 70, 120],
    [30, 45, 55],
    [0.15, 0.25, 0.35],
    [0.1, 0.25, 0.4],
    [0.3, 0.6, 1],
  ]),
  material('brown', 'wood chips', [
    [100, 250, 500],
    [25, 40, 55],
    [0.2, 0.3, 0.4],
    [0.05, 0.1, 0.2],
    [0.1, 0.3, 0.5],
  ]),
  material('brown', 'sawdust', [
    [200, 400, 600],
    [10, 35, 60],
    [0.15, 0.22, 0.35],
    [0.02, 0.05, 0.1],
    [0.05, 0.15, 0.3],
  ]),
  material('brown', 'cardboard and paper', [
    [150, 300, 560],
    [5, 8, 15],
    [0.05, 0.1, 0.2],
    [0, 0.03, 0.1],
    [0, 0.05, 0.1],
  ]),
];
export const HEAP_KEYS: readonly string[] = HEAP_MATERIALS.map((m) => m.key);

/** A material by its key. @example heapMaterial('straw')?.side // 'brown' */
export const heapMaterial = (key: string): HeapMaterial | undefined => HEAP_MATERIALS.find((m) => m.key === key);

/** Between what a heap works: C:N and water as a share of its weight. */
export const HEAP_GOAL = {
  carbonToNitrogen: { low: 25, mid: 30, high: 35 },
  moisture: { low: 0.5, mid: 0.55, high: 0.6 },
} as const;

/** What becomes of a heap, as shares: usual ranges, which weighing the finished heap replaces. */
export const HEAP_COURSE = {
  dryMatterLost: between(0.3, 0.45, 0.6),
  volumeLeft: between(0.35, 0.5, 0.65),
  finishedMoisture: between(0.3, 0.4, 0.5),
  potassiumLost: between(0, 0.1, 0.3),
} as const;
/** Nitrogen that leaves as ammonia and with the water, by the C:N a heap begins with: the narrower, the more. */
export const nitrogenLost = (carbonToNitrogen: number): Range =>
  carbonToNitrogen < 20
    ? between(0.25, 0.4, 0.6)
    : carbonToNitrogen <= 35
      ? between(0.1, 0.25, 0.4)
      : between(0, 0.1, 0.2);
