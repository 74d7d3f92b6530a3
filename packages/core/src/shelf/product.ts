import type { Medium } from '../ground/index.js';
import type { Analyte, Basis } from '../nutrient/index.js';
import type { Figure, OwnFigure, Provenance } from '../figure/index.js';
import type { DeclaredValue, Money, Range, Rate } from '../quantity/index.js';

/** A basis with the word for what only an extract holds, as forms and files write it. @example basisWord('P2O5', 'available') // 'P2O5 available' */
export const basisWord = (basis: Basis, extract: AnalysisFigure['extract']): string =>
  extract ? `${basis} ${extract}` : basis;
/** The basis and the extract in such a word. */
export const readBasisWord = (word: string): Pick<AnalysisFigure, 'basis' | 'extract'> =>
  word.endsWith(' available')
    ? { basis: word.slice(0, -' available'.length) as Basis, extract: 'available' }
    : { basis: word as Basis };

/** Units an analysis is declared in. The last two are mass per volume and need a density. */
export const ANALYSIS_UNITS = ['%', 'g/kg', 'mg/kg', '% w/v', 'g/L'] as const;
export type AnalysisUnit = (typeof ANALYSIS_UNITS)[number];

/** One line of an analysis, as declared, with where it came from. */
export interface AnalysisFigure {
  readonly analyte: Analyte;
  readonly basis: Basis;
  readonly value: DeclaredValue;
  readonly unit: AnalysisUnit;
  readonly provenance: Provenance;
  readonly source: string;
  /** What water or a weak acid takes out at once, as a lab reports it; missing for a total or a label's guarantee. */
  readonly extract?: 'available' | undefined;
}

export const PRODUCT_FORMS = ['granule', 'prill', 'powder', 'pellet', 'crystal', 'liquid', 'meal', 'bulk'] as const;
export type ProductForm = (typeof PRODUCT_FORMS)[number];

/** A package size with the price asked for it, when one is known. */
export interface Offer {
  readonly size: number;
  readonly unit: string;
  readonly price: Money | undefined;
  /** ISO date the price was seen. */
  readonly seenOn: string | undefined;
  /** Who asked it, when it is not the product's own seller. */
  readonly seller?: string | undefined;
  /** How the price came about, where it is not what is asked: converted, or with handling on top. */
  readonly madeOf?: Figure | undefined;
}

/** What it takes to fetch and spread a bag, as far as it is said. */
export interface Handling {
  /** 1 hard to 5 easy. */
  readonly ease?: number | undefined;
  readonly hoursPer100Kg?: number | undefined;
  /** Money, in the currency of its prices. */
  readonly haulagePer100Kg?: number | undefined;
  readonly distanceKm?: number | undefined;
}

/** How long a coated material takes to give 80 % of its nitrogen, and at which temperature that was rated. */
export interface Longevity {
  readonly days: number;
  readonly referenceC: number;
}

/** An incubation of a bag in jars: mineral nitrogen of treated and untreated ones by day, and what was applied, all in one unit such as mg N/kg. */
export interface Incubation {
  readonly applied: number;
  readonly temperatureC: number;
  readonly medium: Medium;
  readonly points: readonly { readonly day: number; readonly treated: number; readonly untreated: number }[];
}

/** One rate of a label's directions for use: at one application, or in the water it is fed with. */
export interface Direction extends Rate {
  /** What it is for, as the label says; empty when it says nothing. */
  readonly use: string;
  /** Applications a year, when the label tells. */
  readonly perYear: number | undefined;
}

/** Between which shares of its mass an ingredient lies in a bag, as far as its label or its recipe tells. */
export interface InsideBound {
  /** A material by its name in the library. */
  readonly name: string;
  readonly low: number;
  readonly high: number;
}

/** What the core needs to know of a product. */
export interface Product {
  readonly id: string;
  readonly name: string;
  /** Who sells it, where that is known. */
  readonly seller?: string | undefined;
  readonly form: ProductForm;
  /** Measured or from the label: a number; typical of the material: a range. */
  readonly densityKgPerL: number | Range | undefined;
  readonly grade: string | undefined;
  readonly analysis: readonly AnalysisFigure[];
  readonly derivedFrom: readonly string[];
  readonly offers: readonly Offer[];
  /** As the label's directions say; a product with none gets no dose. */
  readonly directions: readonly Direction[];
  readonly longevity: Longevity | undefined;
  /** Measured C:N, which replaces the class average in the release model. */
  readonly carbonToNitrogen: number | undefined;
  /** Salt index by weight, sodium nitrate = 100, as declared. */
  readonly saltIndex?: number | undefined;
  readonly handling?: Handling | undefined;
  /** What a level scoop of it weighs, weighed once by the grower. */
  readonly scoop?: { readonly grams: number; readonly name: string } | undefined;
  /** Whether it is listed for organic growing. */
  readonly organic?: OrganicStatus | undefined;
  /** What it comes from; undefined where nobody said. */
  readonly origins?: readonly Origin[] | undefined;
  /** How far it is from what grew or was dug, in words. */
  readonly processing?: string | undefined;
  /** kg of CaCO₃ that 100 kg are worth as lime, as declared; below zero it acidifies. */
  readonly limingPer100Kg?: number | undefined;
  /** What its ingredients weigh in it, where that was worked out; they are guessed from their order otherwise. */
  readonly inside?: readonly InsideBound[] | undefined;
  /** The grower's own incubation, whose curve replaces the class averages. */
  readonly incubation?: Incubation | undefined;
  /** Figures of the grower's own in the place of what is assumed of its materials. */
  readonly ownFigures?: readonly OwnFigure[] | undefined;
}

/** Whether a bag is listed for organic growing; `unknown` where it was looked for and not found. */
export const ORGANIC_STATUSES = ['yes', 'no', 'unknown'] as const;
export type OrganicStatus = (typeof ORGANIC_STATUSES)[number];

/** Where a material comes from, for those who choose by it. */
export const ORIGINS = ['animal', 'plant', 'mineral', 'synthetic', 'waste'] as const;
export type Origin = (typeof ORIGINS)[number];
