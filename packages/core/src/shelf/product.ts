import type { Analyte, Basis } from '../nutrient/index.js';
import type { Provenance } from '../figure/index.js';
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
}

/** How long a coated material takes to give 80 % of its nitrogen, and at which temperature that was rated. */
export interface Longevity {
  readonly days: number;
  readonly referenceC: number;
}

/** One rate of a label's directions for use: at one application, or in the water it is fed with. */
export interface Direction extends Rate {
  /** What it is for, as the label says; empty when it says nothing. */
  readonly use: string;
  /** Applications a year, when the label tells. */
  readonly perYear: number | undefined;
}

/** What the core needs to know of a product. */
export interface Product {
  readonly id: string;
  readonly name: string;
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
}

/** Where a material comes from, for those who choose by it. */
export const ORIGINS = ['animal', 'plant', 'mineral', 'synthetic', 'waste'] as const;
export type Origin = (typeof ORIGINS)[number];
