import type { AttachmentInput } from './attachment.js';
import type { ClaimInput } from './claim.js';
import type { JarTestInput } from './jarTest.js';
import type { LoggerInput } from './logger.js';
import type { PlotInput } from './plot.js';
import type { ProductInput } from './product.js';
import type { RecipeInput } from './recipe.js';
import type { RecordKind } from './records.js';
import type { KeptFilterInput } from './shelfFilter.js';
import type { SoilReportInput } from './soil.js';
import type { FieldProblem } from './validate.js';

export const WORKSPACE_FORMAT = 'wheat-ledger.workspace';
export const WORKSPACE_VERSION = 1;

/** A record in the file: its input, the id others point to it by, and whether it had been taken out. */
export type Exchanged<Input> = Input & { readonly id: string; readonly removed?: true };

/** A file's bytes as they travel inside the workspace file. */
export interface ExchangedContent {
  readonly sha256: string;
  readonly base64: string;
}

/** The whole workspace in one file. The journal stays behind: it is the history of one ledger, not part of what it holds. */
export interface WorkspaceFile {
  readonly format: typeof WORKSPACE_FORMAT;
  readonly version: typeof WORKSPACE_VERSION;
  readonly plots: readonly Exchanged<PlotInput>[];
  readonly products: readonly Exchanged<ProductInput>[];
  readonly soilReports: readonly Exchanged<SoilReportInput>[];
  readonly jarTests: readonly Exchanged<JarTestInput>[];
  readonly loggers: readonly Exchanged<LoggerInput>[];
  readonly recipes: readonly Exchanged<RecipeInput>[];
  readonly claims: readonly Exchanged<ClaimInput>[];
  /** The bytes that attachments name, each once. */
  readonly contents: readonly ExchangedContent[];
  readonly attachments: readonly Exchanged<AttachmentInput>[];
  readonly shelfFilters: readonly Exchanged<KeptFilterInput>[];
}

/** The lists of the file in the order they must be read, since later ones point to earlier ones. */
export const WORKSPACE_LISTS = [
  { list: 'plots', kind: 'plot' },
  { list: 'products', kind: 'product' },
  { list: 'soilReports', kind: 'soil' },
  { list: 'jarTests', kind: 'jar' },
  { list: 'loggers', kind: 'logger' },
  { list: 'recipes', kind: 'recipe' },
  { list: 'claims', kind: 'claim' },
  { list: 'attachments', kind: 'attachment' },
  { list: 'shelfFilters', kind: 'filter' },
] as const satisfies readonly { readonly list: Exclude<keyof WorkspaceFile, 'contents'>; readonly kind: RecordKind }[];
export type WorkspaceList = (typeof WORKSPACE_LISTS)[number]['list'];

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
  /** Names what was written, so that it can be taken back together; null when nothing was. */
  readonly batch: string | null;
}

/** What an import would do, or did. */
export interface ImportReport {
  readonly found: Readonly<Record<WorkspaceList, number>>;
  /** Records new here. */
  readonly added: number;
  /** Records whose id is here already: left as they are. */
  readonly alreadyHere: number;
  readonly problems: readonly FieldProblem[];
  readonly written: boolean;
  readonly batch: string | null;
}
