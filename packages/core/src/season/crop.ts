import type { Nutrient } from '../nutrient/index.js';
import type { Range } from '../quantity/index.js';

export const CROP_GROUPS = [
  'leaf',
  'root',
  'fruit',
  'pod',
  'bulb',
  'brassica',
  'tuber',
  'stem',
  'soft fruit',
  'tree fruit',
  'vine',
  'acid-loving',
  'cereal',
  'pulse',
  'oilseed',
  'grass',
  'flower',
  'herb',
  'potted',
  'green manure',
] as const;
export type CropGroup = (typeof CROP_GROUPS)[number];

/** When a crop takes its nitrogen up. */
export type UptakeCourse =
  /** By the warmth since planting: degree days above a base temperature, at half of the uptake and at its end. */
  | {
      readonly kind: 'warmth';
      readonly baseC: number;
      readonly halfDegreeDays: number;
      readonly endDegreeDays: number;
    }
  /** A perennial's or a lawn's year: shares of the yearly uptake by month, January first, adding to 1 (northern half of the earth). */
  | { readonly kind: 'yearly'; readonly months: readonly number[] }
  /** Evenly for as long as it stands, as a potted plant does. */
  | { readonly kind: 'steady' };

export const MYCORRHIZAS = ['arbuscular', 'ecto', 'ericoid', 'none'] as const;
export type Mycorrhiza = (typeof MYCORRHIZAS)[number];
export const SENSITIVITIES = ['sensitive', 'middling', 'tolerant'] as const;
export type Sensitivity = (typeof SENSITIVITIES)[number];
export const NITROGEN_TASTES = ['ammonium', 'nitrate', 'either'] as const;
export type NitrogenTaste = (typeof NITROGEN_TASTES)[number];

/** What lies between which values in a leaf or stalk of a well-fed plant, of dry matter. */
export interface TissueBand {
  readonly nutrient: Nutrient;
  readonly lowPercent: number;
  readonly highPercent: number;
  /** What is sampled, and when. */
  readonly part: string;
  readonly when: string;
}

/** A measure its harvest is counted in, and what one weighs. */
export interface HarvestUnit {
  readonly name: string;
  readonly kg: Range;
}

/** What a woody perennial gets of a reference grade, by age. */
export interface AgeTable {
  readonly grade: string;
  readonly rows: readonly {
    readonly fromYear: number;
    /** The last year the row holds for; missing in the last row. */
    readonly toYear?: number | undefined;
    readonly gPerPlant: Range;
    readonly innerM: number;
    readonly outerM: number;
  }[];
  /** Never more than this in a year. */
  readonly capG: number;
}

/**
 * What is known of a crop. A missing figure is not known, and never zero. The library gives class averages with ranges; a grower's own crop
 * overrules them field by field.
 */
export interface Crop {
  /** The library's key or the record's id. */
  readonly key: string;
  readonly name: string;
  readonly group: CropGroup | undefined;
  /** Fresh harvest the uptake is told for, t/ha. */
  readonly yieldTPerHa: Range | undefined;
  /** Whole-season uptake by the crop, kg of element per ha. */
  readonly uptakeKgPerHa: Readonly<Partial<Record<Nutrient, Range>>>;
  /** What a tonne of fresh harvest takes away, kg of element. */
  readonly removedKgPerT: Readonly<Partial<Record<Nutrient, Range>>>;
  readonly course: UptakeCourse | undefined;
  readonly pH: { readonly low: number; readonly high: number } | undefined;
  readonly nitrogenTaste: NitrogenTaste | undefined;
  readonly chloride: Sensitivity | undefined;
  readonly boron: Sensitivity | undefined;
  /** Soil salinity above which yield falls, mS/cm of a saturated paste, and by how many per cent for each mS/cm more (Maas & Hoffman 1977). */
  readonly salt: { readonly thresholdMsPerCm: number; readonly slopePercent: number } | undefined;
  readonly tissue: readonly TissueBand[];
  readonly spacing: { readonly rowM: number; readonly plantM: number } | undefined;
  readonly rootingM: Range | undefined;
  readonly mycorrhiza: Mycorrhiza | undefined;
  readonly harvestUnits: readonly HarvestUnit[];
  /** Whether it is fed by light and season rather than by the calendar. */
  readonly followsLight: boolean;
  readonly ages: AgeTable | undefined;
  /** Metals it takes up more readily than others do. */
  readonly metals: readonly Nutrient[];
  /** The latest nitrogen does good: so many days before it is harvested, or before the first frost. */
  readonly latestNitrogen: { readonly before: 'harvest' | 'frost'; readonly days: number } | undefined;
  /** The share of the nitrogen that is in when feeding stops, where it stops before the end. */
  readonly fedTo?: number | undefined;
  /** The grower's own figure of the nitrogen it takes up this season, kg/ha. */
  readonly ownNitrogenKgPerHa?: number | undefined;
}

/** A crop nothing is known of but its name. @example unknownCrop('k', 'Kale').uptakeKgPerHa // {} */
export const unknownCrop = (key: string, name: string): Crop => ({
  key,
  name,
  group: undefined,
  yieldTPerHa: undefined,
  uptakeKgPerHa: {},
  removedKgPerT: {},
  course: undefined,
  pH: undefined,
  nitrogenTaste: undefined,
  chloride: undefined,
  boron: undefined,
  salt: undefined,
  tissue: [],
  spacing: undefined,
  rootingM: undefined,
  mycorrhiza: undefined,
  harvestUnits: [],
  followsLight: false,
  ages: undefined,
  metals: [],
  latestNitrogen: undefined,
});
