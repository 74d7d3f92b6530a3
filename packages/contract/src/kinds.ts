import type { AttachmentInput } from './attachment.js';
import type { KeptSearchInput } from './catalogueSearch.js';
import type { ClaimInput } from './claim.js';
import type { CropInput } from './crop.js';
import type { EntryInput, HarvestInput } from './entry.js';
import type { HeapInput } from './heap.js';
import type { JarTestInput } from './jarTest.js';
import type { LoggerInput } from './logger.js';
import type { LeafTestInput, PourInput } from './measured.js';
import type { MovementInput } from './movement.js';
import type { PlotInput } from './plot.js';
import type { ProductInput } from './product.js';
import type { ProgrammeInput } from './programme.js';
import type { RecipeInput } from './recipe.js';
import type { SeasonInput } from './season.js';
import type { StudyInput } from './study.js';
import type { TrialInput, TrialSheetInput } from './trial.js';
import type { KeptFilterInput } from './shelfFilter.js';
import type { SoilReportInput } from './soil.js';

/** A field that names another record; `*` stands for every entry of a list. */
export interface Reference {
  readonly at: string;
  readonly to: string;
}

/** What everything that treats records alike has to know of a kind. */
export interface KindOfRecord {
  /** Its list in the workspace file. */
  readonly list: string;
  /** Its part of the address, below `/api/v1/`. */
  readonly path: string;
  /** What a person calls one of them; `pluralOf` makes several of it. */
  readonly word: string;
  /** What its lists are sorted by before the id: a field that is never missing. */
  readonly sort: string;
  /** What it refers to. By a reference that is a field of its own its lists can be asked for, under the name of the other kind. */
  readonly refers: readonly Reference[];
  /** The day its lists can be asked from and to; sorted by it where they are. */
  readonly day?: string;
}

/** A kind whose records are made from an input of this type. */
const of =
  <Input extends object>() =>
  <const Kind extends KindOfRecord>(kind: Kind): Kind & { readonly input?: Input } =>
    kind;

const ofPlot = { at: 'plotId', to: 'plot' } as const;
const ofProduct = { at: 'productId', to: 'product' } as const;

/**
 * Every kind of record, in the order in which a file must be read, since later ones refer to earlier ones. Routes and their description, the web's
 * own types, the workspace file and its schema, the words of the book and the tests that throw rubbish at every field derive from it.
 */
export const KINDS = {
  crop: of<CropInput>()({ list: 'crops', path: 'crops', word: 'crop', sort: 'name', refers: [] }),
  plot: of<PlotInput>()({ list: 'plots', path: 'plots', word: 'plot', sort: 'name', refers: [] }),
  season: of<SeasonInput>()({
    list: 'seasons',
    path: 'seasons',
    word: 'season',
    sort: 'from',
    day: 'from',
    refers: [ofPlot, { at: 'cropId', to: 'crop' }],
  }),
  product: of<ProductInput>()({ list: 'products', path: 'products', word: 'bag', sort: 'name', refers: [] }),
  soil: of<SoilReportInput>()({
    list: 'soilReports',
    path: 'soil-reports',
    word: 'soil report',
    sort: 'sampledOn',
    day: 'sampledOn',
    refers: [ofPlot],
  }),
  jar: of<JarTestInput>()({ list: 'jarTests', path: 'jar-tests', word: 'jar test', sort: 'name', refers: [ofPlot] }),
  logger: of<LoggerInput>()({
    list: 'loggers',
    path: 'loggers',
    word: 'log',
    sort: 'from',
    day: 'from',
    refers: [ofPlot],
  }),
  recipe: of<RecipeInput>()({
    list: 'recipes',
    path: 'recipes',
    word: 'recipe',
    sort: 'name',
    refers: [
      { at: 'parts.*.productId', to: 'product' },
      { at: 'rules.*.productId', to: 'product' },
    ],
  }),
  heap: of<HeapInput>()({ list: 'heaps', path: 'heaps', word: 'heap', sort: 'name', refers: [] }),
  programme: of<ProgrammeInput>()({
    list: 'programmes',
    path: 'programmes',
    word: 'programme',
    sort: 'name',
    refers: [
      { at: 'seasonId', to: 'season' },
      { at: 'applications.*.productId', to: 'product' },
      { at: 'applications.*.recipeId', to: 'recipe' },
    ],
  }),
  study: of<StudyInput>()({ list: 'studies', path: 'studies', word: 'study', sort: 'title', refers: [] }),
  claim: of<ClaimInput>()({
    list: 'claims',
    path: 'claims',
    word: 'claim',
    sort: 'statement',
    refers: [ofProduct, { at: 'studies.*.studyId', to: 'study' }],
  }),
  entry: of<EntryInput>()({
    list: 'logEntries',
    path: 'log-entries',
    word: 'log entry',
    sort: 'on',
    day: 'on',
    refers: [
      ofPlot,
      { at: 'seasonId', to: 'season' },
      { at: 'items.*.productId', to: 'product' },
      { at: 'corrects', to: 'entry' },
    ],
  }),
  harvest: of<HarvestInput>()({
    list: 'harvests',
    path: 'harvests',
    word: 'harvest',
    sort: 'on',
    day: 'on',
    refers: [ofPlot, { at: 'seasonId', to: 'season' }],
  }),
  leaf: of<LeafTestInput>()({
    list: 'leafTests',
    path: 'leaf-tests',
    word: 'leaf test',
    sort: 'on',
    day: 'on',
    refers: [ofPlot, { at: 'seasonId', to: 'season' }],
  }),
  pour: of<PourInput>()({
    list: 'pourReadings',
    path: 'pour-readings',
    word: 'pot reading',
    sort: 'on',
    day: 'on',
    refers: [ofPlot, { at: 'seasonId', to: 'season' }],
  }),
  trial: of<TrialInput>()({
    list: 'trials',
    path: 'trials',
    word: 'trial',
    sort: 'name',
    refers: [ofPlot, { at: 'claimId', to: 'claim' }],
  }),
  sheet: of<TrialSheetInput>()({
    list: 'trialSheets',
    path: 'trial-sheets',
    word: 'trial sheet',
    sort: 'on',
    day: 'on',
    refers: [{ at: 'trialId', to: 'trial' }],
  }),
  attachment: of<AttachmentInput>()({
    list: 'attachments',
    path: 'attachments',
    word: 'attachment',
    sort: 'name',
    refers: [ofProduct, { at: 'entryId', to: 'entry' }, { at: 'trialId', to: 'trial' }],
  }),
  movement: of<MovementInput>()({
    list: 'stockMovements',
    path: 'stock-movements',
    word: 'stock movement',
    sort: 'on',
    day: 'on',
    refers: [ofProduct, { at: 'entryId', to: 'entry' }],
  }),
  filter: of<KeptFilterInput>()({
    list: 'shelfFilters',
    path: 'shelf-filters',
    word: 'filter',
    sort: 'name',
    refers: [],
  }),
  search: of<KeptSearchInput>()({
    list: 'catalogueSearches',
    path: 'catalogue-searches',
    word: 'kept search',
    sort: 'name',
    refers: [],
  }),
} as const;

export type RecordKind = keyof typeof KINDS;
export type InputOf<K extends RecordKind> = NonNullable<(typeof KINDS)[K]['input']>;
export type WorkspaceList = (typeof KINDS)[RecordKind]['list'];

export const RECORD_KINDS = Object.keys(KINDS) as readonly RecordKind[];
/** A kind by its plain description. */
export const kindOf = (kind: RecordKind): KindOfRecord => KINDS[kind];

/** What several of a kind are called. @example pluralOf('study') // 'studies' */
export const pluralOf = (kind: RecordKind): string => `${KINDS[kind].word.replace(/y$/, 'ie').replace(/ch$/, 'che')}s`;

/** So many of a kind, in words. @example countWords('claim', 2) // '2 claims' */
export const countWords = (kind: RecordKind, count: number): string =>
  `${count} ${count === 1 ? KINDS[kind].word : pluralOf(kind)}`;

/** What lists of a kind can be asked by: the other kind's name, and the field that names it. */
export const parentsOf = (kind: RecordKind): readonly Reference[] =>
  kindOf(kind).refers.filter(({ at }) => !at.includes('*'));

/** The values at a reference's place in an input, with `*` standing for every entry of a list. */
export function referencesAt(input: unknown, at: string): readonly string[] {
  const [step = '', ...rest] = at.split('.');
  if (step === '') return typeof input === 'string' ? [input] : [];
  if (step === '*') return Array.isArray(input) ? input.flatMap((entry) => referencesAt(entry, rest.join('.'))) : [];
  return typeof input === 'object' && input !== null
    ? referencesAt((input as Readonly<Record<string, unknown>>)[step], rest.join('.'))
    : [];
}
