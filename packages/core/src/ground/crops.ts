import type { Nutrient } from '../nutrient/index.js';
import type { Range } from '../quantity/index.js';

/** What a crop takes up in a season and when. */
export interface CropTemplate {
  readonly key: string;
  readonly name: string;
  /** Whole-season uptake by the crop, kg of element per ha. Elements not listed are not known, not zero. */
  readonly uptakeKgPerHa: Readonly<Partial<Record<Nutrient, Range>>>;
  /** When it takes nitrogen up, by the warmth it has had since planting: degree days above a base temperature. */
  readonly growth: CropGrowth;
}

export interface CropGrowth {
  readonly baseC: number;
  /** Degree days when half of the nitrogen is in. */
  readonly halfDegreeDays: number;
  /** Degree days when its uptake ends. */
  readonly endDegreeDays: number;
}

const r = (low: number, mid: number, high: number): Range => ({ low, mid, high });

/** Typical ranges for moderate yields, as class averages; a tissue test or the grower's own figure replaces them. */
export const CROPS: readonly CropTemplate[] = [
  {
    key: 'wheat',
    name: 'Heritage bread wheat',
    growth: { baseC: 0, halfDegreeDays: 950, endDegreeDays: 1750 },
    uptakeKgPerHa: {
      N: r(80, 110, 150),
      P: r(13, 18, 25),
      K: r(65, 90, 130),
      Ca: r(12, 18, 28),
      Mg: r(8, 12, 18),
      S: r(9, 13, 20),
      Si: r(60, 110, 180),
    },
  },
  {
    key: 'garlic',
    name: 'Winter garlic',
    growth: { baseC: 0, halfDegreeDays: 1350, endDegreeDays: 2000 },
    uptakeKgPerHa: {
      N: r(90, 125, 170),
      P: r(13, 20, 28),
      K: r(70, 110, 150),
      Ca: r(30, 50, 75),
      Mg: r(7, 12, 18),
      S: r(20, 30, 45),
    },
  },
  {
    key: 'leek',
    name: 'Leeks',
    growth: { baseC: 4, halfDegreeDays: 1000, endDegreeDays: 1750 },
    uptakeKgPerHa: {
      N: r(110, 160, 210),
      P: r(14, 22, 30),
      K: r(120, 180, 240),
      Ca: r(35, 55, 80),
      Mg: r(8, 13, 20),
      S: r(18, 28, 40),
    },
  },
  {
    key: 'sweetcorn',
    name: 'Sweetcorn',
    growth: { baseC: 8, halfDegreeDays: 420, endDegreeDays: 850 },
    uptakeKgPerHa: {
      N: r(110, 150, 200),
      P: r(18, 25, 35),
      K: r(90, 140, 190),
      Ca: r(20, 30, 45),
      Mg: r(14, 22, 32),
      S: r(9, 14, 20),
      Si: r(40, 80, 140),
    },
  },
  {
    key: 'asparagus',
    name: 'Asparagus bed',
    growth: { baseC: 5, halfDegreeDays: 800, endDegreeDays: 1600 },
    uptakeKgPerHa: {
      N: r(70, 110, 160),
      P: r(8, 13, 20),
      K: r(70, 110, 160),
      Ca: r(30, 50, 80),
      Mg: r(7, 12, 18),
      S: r(10, 16, 25),
    },
  },
  {
    key: 'dahlia',
    name: 'Cut dahlias',
    growth: { baseC: 6, halfDegreeDays: 700, endDegreeDays: 1350 },
    uptakeKgPerHa: {
      N: r(70, 110, 150),
      P: r(12, 18, 26),
      K: r(90, 140, 200),
      Ca: r(40, 60, 90),
      Mg: r(12, 20, 30),
      S: r(8, 13, 20),
    },
  },
];

/** Uptake of trace elements in a season by field and garden crops in general, kg/ha: wide, since templates of their own are not at hand. */
export const TRACE_UPTAKE_KG_PER_HA: Readonly<Partial<Record<Nutrient, Range>>> = {
  Fe: r(0.3, 0.7, 1.5),
  Mn: r(0.15, 0.4, 1),
  Zn: r(0.1, 0.25, 0.6),
  Cu: r(0.02, 0.06, 0.15),
  B: r(0.03, 0.12, 0.4),
  Mo: r(0.002, 0.008, 0.03),
  Ni: r(0.001, 0.003, 0.01),
  Cl: r(2, 8, 25),
};

/** The template with this key. @throws RangeError when there is none. */
export function cropOf(key: string): CropTemplate {
  const crop = CROPS.find((c) => c.key === key);
  if (!crop) throw new RangeError(`No crop is called "${key}".`);
  return crop;
}
