import type { InputOf, RecordKind } from './kinds.js';

/** What the server adds to an input it keeps. */
export interface Kept {
  readonly id: string;
  /** Rises with every change; sent back in If-Match. */
  readonly version: number;
  readonly updatedAt: string;
  readonly deletedAt: string | null;
}

const ADDED: readonly string[] = ['id', 'version', 'updatedAt', 'deletedAt'] satisfies readonly (keyof Kept)[];
/** A kept record without what the server added: the input that would make it again. */
export const inputOf = <T extends Kept>(record: T): Omit<T, keyof Kept> =>
  Object.fromEntries(Object.entries(record).filter(([field]) => !ADDED.includes(field))) as unknown as Omit<
    T,
    keyof Kept
  >;

/** A kept record of a kind. */
export type RecordOf<K extends RecordKind> = InputOf<K> & Kept;
export type SoilReportRecord = RecordOf<'soil'>;
export type PlotRecord = RecordOf<'plot'>;
export type ProductRecord = RecordOf<'product'>;
export type RecipeRecord = RecordOf<'recipe'>;
export type ClaimRecord = RecordOf<'claim'>;
export type AttachmentRecord = RecordOf<'attachment'>;
export type StudyRecord = RecordOf<'study'>;
export type HeapRecord = RecordOf<'heap'>;
export type JarTestRecord = RecordOf<'jar'>;
export type LoggerRecord = RecordOf<'logger'>;
export type EntryRecord = RecordOf<'entry'>;
export type HarvestRecord = RecordOf<'harvest'>;
export type LeafTestRecord = RecordOf<'leaf'>;
export type PourRecord = RecordOf<'pour'>;
export type TrialRecord = RecordOf<'trial'>;
export type TrialSheetRecord = RecordOf<'sheet'>;
export type MovementRecord = RecordOf<'movement'>;
export type CropRecord = RecordOf<'crop'>;
export type SeasonRecord = RecordOf<'season'>;
export type ProgrammeRecord = RecordOf<'programme'>;
export type KeptFilterRecord = RecordOf<'filter'>;
export type KeptSearchRecord = RecordOf<'search'>;

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
  /** What it was a part of, and what that was for; empty for a single change. */
  readonly operation: string;
  readonly why: string;
  /** The operation that one takes back, when it is an undo. */
  readonly undoes: string | null;
  readonly before: unknown;
  readonly after: unknown;
  /** Whether nothing was built on its operation since, so that it can be undone. */
  readonly undoable: boolean;
}

/** What taking an operation back did. */
export interface OperationUndone {
  /** The undo's own name: undoing that does the first again. */
  readonly operation: string;
  /** Records that stand as they did before. */
  readonly undone: number;
  /** Records that were changed since, and stay. */
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

/** How many records of a kind speak of another one. */
export interface Use {
  readonly kind: RecordKind;
  readonly count: number;
}
