import type { AttachmentInput } from './attachment.js';
import type { ClaimInput } from './claim.js';
import type { JarTestInput } from './jarTest.js';
import type { LoggerInput } from './logger.js';
import type { PlotInput } from './plot.js';
import type { ProductInput } from './product.js';
import type { RecipeInput } from './recipe.js';
import type { KeptFilterInput } from './shelfFilter.js';
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
export type AttachmentRecord = AttachmentInput & Kept;
export type JarTestRecord = JarTestInput & Kept;
export type LoggerRecord = LoggerInput & Kept;
export type KeptFilterRecord = KeptFilterInput & Kept;

export const RECORD_KINDS = [
  'plot',
  'product',
  'recipe',
  'claim',
  'soil',
  'attachment',
  'jar',
  'logger',
  'filter',
] as const;
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

/** What taking an import back did. */
export interface BatchUndone {
  readonly takenOut: number;
  /** Records that were changed after they came in, and stay. */
  readonly changedSince: number;
}

/** What came of a logger's file: the record, and the rows that were left out. */
export interface LoggerReport {
  readonly record: LoggerRecord;
  readonly days: number;
  /** Columns that mean nothing here. */
  readonly ignored: readonly string[];
  readonly problems: readonly { readonly row: number; readonly message: string }[];
}

export interface Page<T> {
  readonly items: readonly T[];
  /** Pass as `after` for the next page; null on the last. */
  readonly next: string | null;
}
