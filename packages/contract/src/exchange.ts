import type { BenchPlace } from './ledger.js';
import type { InputOf, KINDS, RecordKind, WorkspaceList } from './kinds.js';
import type { FieldProblem } from './validate.js';

export const WORKSPACE_FORMAT = 'wheat-ledger.workspace';
export const WORKSPACE_VERSION = 3;
/** Older files that are read too. */
export const WORKSPACE_VERSIONS: readonly number[] = [1, 2, WORKSPACE_VERSION];

/** A record in the file: its input, the id others point to it by, and whether it had been taken out. */
export type Exchanged<Input> = Input & { readonly id: string; readonly removed?: true };

/** A file's bytes as they travel inside the workspace file. */
export interface ExchangedContent {
  readonly sha256: string;
  readonly base64: string;
}

/** The whole workspace in one file, each kind's records in its list. The journal stays behind: it is the history of one ledger, not part of what it holds. */
export type WorkspaceFile = {
  readonly format: typeof WORKSPACE_FORMAT;
  readonly version: typeof WORKSPACE_VERSION;
  /** The bytes that attachments name, each once. */
  readonly contents: readonly ExchangedContent[];
  /** What lies on the bench; files without it are read too. */
  readonly bench?: readonly BenchPlace[];
} & { readonly [K in RecordKind as (typeof KINDS)[K]['list']]: readonly Exchanged<InputOf<K>>[] };

/** Largest CSV file that is taken: some hundred thousand bags. */
export const MOST_CSV_BYTES = 30_000_000;
export const MOST_CSV_COLUMNS = 400;

/** How far the reading of a CSV file is. */
export interface CsvProgress {
  readonly rows: number;
  readonly bytes: number;
  /** The whole file's bytes, when the sender said so. */
  readonly ofBytes: number | undefined;
}

/** What a CSV file of bags holds, row by row as a spreadsheet numbers them, and whether it was written. */
export interface CsvReport {
  readonly rows: number;
  /** Rows that fit, those that fit in part among them. */
  readonly good: number;
  /** Rows of which a cell was left out. */
  readonly partly: number;
  readonly bad: number;
  /** The first of the rows that do not fit, or fit in part. */
  readonly problems: readonly { readonly row: number; readonly message: string }[];
  readonly written: boolean;
  /** What was written, to be taken back together; null when nothing was. */
  readonly operation: string | null;
}

/** What an import would do, or did. */
export interface ImportReport {
  readonly found: Readonly<Record<WorkspaceList, number>>;
  /** Records new here. */
  readonly added: number;
  /** Records whose id is here already: left as they are. */
  readonly alreadyHere: number;
  /** Whether the file's bench is laid here too: only where the bench is empty. */
  readonly benchLaid: boolean;
  readonly problems: readonly FieldProblem[];
  readonly written: boolean;
  readonly operation: string | null;
}
