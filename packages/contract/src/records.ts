import type { ClaimInput } from './claim.js';
import type { PlotInput } from './plot.js';
import type { ProductInput } from './product.js';
import type { RecipeInput } from './recipe.js';
import type { SoilReportInput } from './soil.js';

/** What the server adds to an input it keeps. */
export interface Kept {
  readonly id: string;
  /** Rises with every change; sent back in If-Match. */
  readonly version: number;
  readonly updatedAt: string;
  readonly deletedAt: string | null;
}

export type SoilReportRecord = SoilReportInput & Kept;
export type PlotRecord = PlotInput & Kept;
export type ProductRecord = ProductInput & Kept;
export type RecipeRecord = RecipeInput & Kept;
export type ClaimRecord = ClaimInput & Kept;

export const RECORD_KINDS = ['plot', 'product', 'recipe', 'claim', 'soil'] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];
export type JournalAction = 'create' | 'update' | 'remove' | 'restore';

/** One change in the book: who, when, what, before and after. */
export interface JournalRecord {
  readonly id: string;
  readonly at: string;
  readonly who: string;
  readonly kind: RecordKind;
  readonly recordId: string;
  readonly name: string;
  readonly action: JournalAction;
  /** The entry this one takes back, when it is an undo. */
  readonly undoes: string | null;
  readonly before: unknown;
  readonly after: unknown;
  /** Whether it is the record's latest change and can be undone. */
  readonly undoable: boolean;
}

export interface Page<T> {
  readonly items: readonly T[];
  /** Pass as `after` for the next page; null on the last. */
  readonly next: string | null;
}
