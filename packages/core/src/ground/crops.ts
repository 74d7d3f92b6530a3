import type { Nutrient } from '../nutrient/index.js';
import { between, type Range } from '../quantity/index.js';

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

/** Typical ranges for moderate yields, as class averages; a tissue test or the grower's own figure replaces them. */
export const CROPS: readonly CropTemplate[] = [
  {
    key: 'wheat',
    name: 'Heritage bread wheat',
    growth: { baseC: 0, halfDegreeDays: 950, endDegreeDays: 1750 },
    uptakeKgPerHa: {
      N: between(80, 110, 150),
      P: between(13, 18, 25),
      K: between(65, 90, 130),
      Ca: between(12, 18, 28),
      Mg: between(8, 12, 18),
      S: between(9, 13, 20),
      Si: between(60, 110, 180),
    },
  },
  {
    key: 'garlic',
    name: 'Winter garlic',
    growth: { baseC: 0, halfDegreeDays: 1350, endDegreeDays: 2000 },
    uptakeKgPerHa: {
      N: between(90, 125, 170),
      P: between(13, 20, 28),
      K: between(70, 110, 150),
      Ca: between(30, 50, 75),
      Mg: between(7, 12, 18),
      S: between(20, 30, 45),
    },
  },
  {
    key: 'leek',
    name: 'Leeks',
    growth: { baseC: 4, halfDegreeDays: 1000, endDegreeDays: 1750 },
    uptakeKgPerHa: {
      N: between(110, 160, 210),
      P: between(14, 22, 30),
      K: between(120, 180, 240),
      Ca: between(35, 55, 80),
      Mg: between(8, 13, 20),
      S: between(18, 28, 40),
    },
  },
  {
    key: 'sweetcorn',
    name: 'Sweetcorn',
    growth: { baseC: 8, halfDegreeDays: 420, endDegreeDays: 850 },
    uptakeKgPerHa: {
      N: between(110, 150, 200),
      P: between(18, 25, 35),
      K: between(90, 140, 190),
      Ca: between(20, 30, 45),
      Mg: between(14, 22, 32),
      S: between(9, 14, 20),
      Si: between(40, 80, 140),
    },
  },
  {
    key: 'asparagus',
    name: 'Asparagus bed',
    growth: { baseC: 5, halfDegreeDays: 800, endDegreeDays: 1600 },
    uptakeKgPerHa: {
      N: between(70, 110, 160),
      P: between(8, 13, 20),
      K: between(70, 110, 160),
      Ca: between(30, 50, 80),
      Mg: between(7, 12, 18),
      S: between(10, 16, 25),
    },
  },
  {
    key: 'dahlia',
    name: 'Cut dahlias',
    growth: { baseC: 6, halfDegreeDays: 700, endDegreeDays: 1350 },
    uptakeKgPerHa: {
      N: between(70, 110, 150),
      P: between(12, 18, 26),
      K: between(90, 140, 200),
      Ca: between(40, 60, 90),
      Mg: between(12, 20, 30),
      S: between(8, 13, 20),
    },
  },
];

/** Uptake of trace elements in a season by field and garden crops in general, kg/ha: wide, since templates of their own are not at hand. */
export const TRACE_UPTAKE_KG_PER_HA: Readonly<Partial<Record<Nutrient, Range>>> = {
  Fe: between(0.3, 0.7, 1.5),
  Mn: between(0.15, 0.4, 1),
  Zn: between(0.1, 0.25, 0.6),
  Cu: between(0.02, 0.06, 0.15),
  B: between(0.03, 0.12, 0.4),
  Mo: between(0.002, 0.008, 0.03),
  Ni: between(0.001, 0.003, 0.01),
  Cl: between(2, 8, 25),
};

/** The template with this key. @throws RangeError when there is none. */
export function cropOf(key: string): CropTemplate {
  const crop = CROPS.find((c) => c.key === key);
  if (!crop) throw new RangeError(`No crop is called "${key}".`);
  return crop;
}
