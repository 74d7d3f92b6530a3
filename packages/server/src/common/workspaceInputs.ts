import {
  AttachmentInput,
  ClaimInput,
  JarTestInput,
  KeptFilterInput,
  LoggerInput,
  PlotInput,
  ProductInput,
  RecipeInput,
  SoilReportInput,
  type WorkspaceList,
} from '@wheat-ledger/contract';

/** The rules that each list of a workspace file is read by. */
export const WORKSPACE_INPUTS: Readonly<Record<WorkspaceList, new () => object>> = {
  plots: PlotInput,
  products: ProductInput,
  soilReports: SoilReportInput,
  jarTests: JarTestInput,
  loggers: LoggerInput,
  recipes: RecipeInput,
  claims: ClaimInput,
  attachments: AttachmentInput,
  shelfFilters: KeptFilterInput,
};
