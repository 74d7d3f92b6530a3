import type { Analyte, Basis } from '../../nutrient/index.js';
import type { DecimalMark } from '../../quantity/index.js';
import type { Fate, Package, Told } from '../../reading/index.js';
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

/** One of several things a line can mean, for a person to choose. */
export interface Choice {
  /** What it would be, in words; it is also what the choice is kept by. */
  readonly says: string;
  readonly figures: readonly AnalysisFigure[];
}

export interface LabelLine {
  /** From 1, as people count. */
  readonly number: number;
  readonly text: string;
  readonly kind: LineKind;
  /** What it was taken to be, in words; empty for a blank line. */
  readonly says: string;
  readonly figures: readonly AnalysisFigure[];
  /** Where it could be one of several things: each of them, to choose from. */
  readonly choices: readonly Choice[];
  /** Every number of the line, and what became of it. */
  readonly numbers: readonly Fate[];
}

/** A person's word on a line the program misread, or was in doubt of. */
export type Correction =
  | { readonly kind: 'analyte'; readonly analyte: Analyte; readonly basis: Basis }
  | { readonly kind: 'protein'; readonly factor: ProteinFactor }
  | { readonly kind: 'choice'; readonly says: string }
  /** The line itself was not clear, as in a picture: nothing of it is taken until a person says so. */
  | { readonly kind: 'doubt' }
  | { readonly kind: 'ignore' };

/** What a person's answers on single lines say of the whole paper. */
export interface Taught {
  /** A word such as "phosphate (P)" was meant as the element, or as its oxide. */
  readonly eitherAs: 'element' | 'oxide' | undefined;
  /** The decimal mark that a number with two readings was meant with. */
  readonly mark: DecimalMark | undefined;
}

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
  /** What a person's answers say of the whole paper; nothing where none was given. */
  readonly taught: Taught | undefined;
  /** What contradicts, or had to be supposed about the whole label. */
  readonly findings: readonly Finding[];
}

/** What one line was read as, before the whole label is put together. */
export interface Read {
  readonly kind: LineKind;
  readonly says: string;
  readonly figures?: readonly AnalysisFigure[];
  readonly choices?: readonly Choice[];
  readonly grade?: string;
  readonly ingredients?: readonly string[];
  readonly packages?: readonly Package[];
  readonly density?: number;
  readonly liming?: number;
  /** The liming effect was told without saying whether as CaCO₃ or as CaO. */
  readonly limingBare?: true;
  readonly carbonToNitrogen?: number;
  readonly directions?: readonly Direction[];
  readonly finding?: Omit<Finding, 'path'>;
  /** What became of parts of the line. */
  readonly told?: readonly Told[];
}
/** What was taken from a part of a line, and the line with that part blank, each sign in its place. */
export interface Taken {
  readonly read: Read;
  readonly rest: string;
}

/** A line with a part of it blank. @example without('N 5 %; 20 kg', 7, 12) // 'N 5 %;      ' */
export const without = (line: string, from: number, to: number): string =>
  line.slice(0, from) + ' '.repeat(to - from) + line.slice(to);
