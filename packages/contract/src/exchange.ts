import type { ClaimInput } from './claim.js';
import type { PlotInput } from './plot.js';
import type { ProductInput } from './product.js';
import type { RecipeInput } from './recipe.js';
import type { RecordKind } from './records.js';
import type { SoilReportInput } from './soil.js';
import type { FieldProblem } from './validate.js';

export const WORKSPACE_FORMAT = 'wheat-ledger.workspace';
export const WORKSPACE_VERSION = 1;

/** A record in the file: its input, the id others point to it by, and whether it had been taken out. */
export type Exchanged<Input> = Input & { readonly id: string; readonly removed?: true };

/** The whole workspace in one file. The journal stays behind: it is the history of one ledger, not part of what it holds. */
export interface WorkspaceFile {
  readonly format: typeof WORKSPACE_FORMAT;
  readonly version: typeof WORKSPACE_VERSION;
  readonly plots: readonly Exchanged<PlotInput>[];
  readonly products: readonly Exchanged<ProductInput>[];
  readonly soilReports: readonly Exchanged<SoilReportInput>[];
  readonly recipes: readonly Exchanged<RecipeInput>[];
  readonly claims: readonly Exchanged<ClaimInput>[];
}

/** The lists of the file in the order they must be read, since later ones point to earlier ones. */
export const WORKSPACE_LISTS = [
  { list: 'plots', kind: 'plot' },
  { list: 'products', kind: 'product' },
  { list: 'soilReports', kind: 'soil' },
  { list: 'recipes', kind: 'recipe' },
  { list: 'claims', kind: 'claim' },
] as const satisfies readonly { readonly list: keyof WorkspaceFile; readonly kind: RecordKind }[];
export type WorkspaceList = (typeof WORKSPACE_LISTS)[number]['list'];

/** What an import would do, or did. */
export interface ImportReport {
  readonly found: Readonly<Record<WorkspaceList, number>>;
  /** Records new here. */
  readonly added: number;
  /** Records whose id is here already: left as they are. */
  readonly alreadyHere: number;
  readonly problems: readonly FieldProblem[];
  readonly written: boolean;
}
