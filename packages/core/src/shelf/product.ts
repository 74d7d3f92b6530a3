import type { Analyte, Basis } from '../nutrient/index.js';
import type { Provenance } from '../figure/index.js';
import type { Money } from '../quantity/index.js';

/** A value as it stands on paper. A figure below the detection limit is censored: neither zero nor the limit. */
export type DeclaredValue =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'range'; readonly low: number; readonly mid: number; readonly high: number }
  | { readonly kind: 'below'; readonly limit: number };

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
}

/** How long a coated material takes to give 80 % of its nitrogen, and at which temperature that was rated. */
export interface Longevity {
  readonly days: number;
  readonly referenceC: number;
}

/** Most that the label allows at one application. */
export interface LabelRate {
  readonly amount: number;
  readonly unit: string;
  readonly perYear: number;
}

/** What the core needs to know of a product. */
export interface Product {
  readonly id: string;
  readonly name: string;
  readonly form: ProductForm;
  readonly densityKgPerL: number | undefined;
  readonly grade: string | undefined;
  readonly analysis: readonly AnalysisFigure[];
  readonly derivedFrom: readonly string[];
  readonly offers: readonly Offer[];
  readonly labelRate: LabelRate | undefined;
  readonly longevity: Longevity | undefined;
  /** Measured C:N, which replaces the class average in the release model. */
  readonly carbonToNitrogen: number | undefined;
}

/** Where a material comes from, for those who choose by it. */
export const ORIGINS = ['animal', 'plant', 'mineral', 'synthetic', 'waste'] as const;
export type Origin = (typeof ORIGINS)[number];
