import type { Provenance } from '../../figure/index.js';
import type { Amount, Column, NutrientSubject, TellingUnit } from '../../reading/index.js';
import type { AnalysisFigure } from '../product.js';
import type { ValueInUnit } from './agree.js';
import type { Taught } from './reading.js';

/** What lines before have said about lines to come. */
export interface Context {
  readonly provenance: Provenance;
  unit: TellingUnit | undefined;
  dry: boolean;
  /** Share of water, where a line tells it. */
  moisture: number | undefined;
  inIngredients: boolean;
  /** A heading such as "water extract" holds for the lines below it. */
  extract: boolean;
  /** "[elemental]": names of oxides are told as elements, or the other way round. */
  told: 'element' | 'oxide' | undefined;
  /** What a person's answers say of the whole paper. */
  readonly taught: Taught;
  /** What masses are told for, by a line above. */
  amount: Amount | undefined;
  /** The columns of the last table's heading; a row has to fit them. */
  columns: readonly Column[] | undefined;
  /** Of several beds side by side, the one a person chose. */
  sample: string | undefined;
  /** The figure before was nitrogen, so that "nitrate" below it is its part. */
  inNitrogen: boolean;
  /** A heading said that per cents are by volume. */
  byVolume: boolean;
  /** What the last figure was of. */
  last: NutrientSubject | undefined;
  /** The line before was a grade, whose additions may follow without a unit. */
  behindGrade: boolean;
  /** Which subject and which figures a part of the paper stands for. */
  readonly subjects: Map<AnalysisFigure, NutrientSubject>;
  /** Figures that are on dry matter. */
  readonly dryFigures: Set<AnalysisFigure>;
  /** What the same line has in a column on dry matter, by line number. */
  readonly besideDry: Map<number, ValueInUnit>;
  /** Values said again in another unit. */
  readonly again: (readonly [ValueInUnit, ValueInUnit])[];
}
