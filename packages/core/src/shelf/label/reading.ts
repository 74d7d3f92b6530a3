import type { Analyte, Basis } from '../../nutrient/index.js';
import type { Package } from '../../reading/index.js';
import type { Finding } from '../labelChecks.js';
import type { ProteinFactor } from '../protein.js';
import type { AnalysisFigure, Direction } from '../product.js';

/** What a line of a label was taken to be. */
export type LineKind =
  | 'grade'
  | 'analysis'
  | 'part'
  | 'derivedFrom'
  | 'package'
  | 'density'
  | 'liming'
  | 'ratio'
  | 'rate'
  | 'heading'
  | 'setAside'
  | 'blank'
  | 'notUnderstood';

export interface LabelLine {
  /** From 1, as people count. */
  readonly number: number;
  readonly text: string;
  readonly kind: LineKind;
  /** What it was taken to be, in words; empty for a blank line. */
  readonly says: string;
  readonly figures: readonly AnalysisFigure[];
}

/** A person's word on a line the program misread. */
export type Correction =
  | { readonly kind: 'analyte'; readonly analyte: Analyte; readonly basis: Basis }
  | { readonly kind: 'protein'; readonly factor: ProteinFactor }
  | { readonly kind: 'ignore' };

export interface LabelReading {
  readonly lines: readonly LabelLine[];
  readonly grade: string | undefined;
  readonly analysis: readonly AnalysisFigure[];
  readonly derivedFrom: readonly string[];
  readonly packages: readonly Package[];
  readonly densityKgPerL: number | undefined;
  /** kg CaCO₃ equivalent per 100 kg. */
  readonly limingPer100Kg: number | undefined;
  /** C:N by mass. */
  readonly carbonToNitrogen: number | undefined;
  readonly directions: readonly Direction[];
  /** What contradicts, or had to be supposed about the whole label. */
  readonly findings: readonly Finding[];
}

/** What one line was read as, before the whole label is put together. */
export interface Read {
  readonly kind: LineKind;
  readonly says: string;
  readonly figures?: readonly AnalysisFigure[];
  readonly grade?: string;
  readonly ingredients?: readonly string[];
  readonly packages?: readonly Package[];
  readonly density?: number;
  readonly liming?: number;
  readonly carbonToNitrogen?: number;
  readonly directions?: readonly Direction[];
  readonly finding?: Omit<Finding, 'path'>;
}

/** What was taken from a part of a line, and the parts of the line beside it. */
export interface Taken {
  readonly read: Read;
  readonly besides: readonly string[];
}

/** The parts of a line before and behind what was taken from it. */
export const around = (line: string, from: number, to: number): readonly string[] =>
  [line.slice(0, from), line.slice(to)].map((part) => part.trim()).filter(Boolean);
