import { AttachmentInput } from './attachment.js';
import { KeptSearchInput } from './catalogueSearch.js';
import { ClaimInput } from './claim.js';
import { CropInput } from './crop.js';
import { EntryInput, HarvestInput } from './entry.js';
import { HeapInput } from './heap.js';
import { JarTestInput } from './jarTest.js';
import type { InputOf, RecordKind } from './kinds.js';
import { LoggerInput } from './logger.js';
import { LeafTestInput, PourInput } from './measured.js';
import { MovementInput } from './movement.js';
import { PlotInput } from './plot.js';
import { ProductInput } from './product.js';
import { ProgrammeInput } from './programme.js';
import { RecipeInput } from './recipe.js';
import { SeasonInput } from './season.js';
import { KeptFilterInput } from './shelfFilter.js';
import { SoilReportInput } from './soil.js';
import { StudyInput } from './study.js';
import { TrialInput, TrialSheetInput } from './trial.js';

/** The class each kind's input is checked by; apart from the registry, so that a page that checks nothing need not fetch them. */
export const KIND_INPUTS: { readonly [K in RecordKind]: new () => InputOf<K> } = {
  crop: CropInput,
  plot: PlotInput,
  season: SeasonInput,
  product: ProductInput,
  soil: SoilReportInput,
  jar: JarTestInput,
  logger: LoggerInput,
  recipe: RecipeInput,
  heap: HeapInput,
  programme: ProgrammeInput,
  study: StudyInput,
  claim: ClaimInput,
  attachment: AttachmentInput,
  entry: EntryInput,
  harvest: HarvestInput,
  leaf: LeafTestInput,
  pour: PourInput,
  trial: TrialInput,
  sheet: TrialSheetInput,
  movement: MovementInput,
  filter: KeptFilterInput,
  search: KeptSearchInput,
};
