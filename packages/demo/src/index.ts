export * from './station.js';
export { KITCHEN_SCALE, PracticeScale, scaleLine, type ScaleReading, type ScaleTraits } from './scale.js';
export { PRICE_LIST_SELLER, priceListCsv } from './priceList.js';
export { EARLIER_LABELS, PRODUCTS } from './products.js';
export { JAR_TESTS, LOGS, PLOTS, SOIL_REPORTS, type NamedSoilReport } from './plots.js';
export { STUDIES } from './studies.js';
export { CATALOGUE_LIST, catalogueListCsv, cataloguePricesCsv, KEPT_SEARCH } from './catalogueList.js';
export { type NamedTrial, TRIALS } from './trials.js';
export { CROPS, type NamedProgramme, type NamedSeason, PROGRAMMES, SEASONS } from './seasons.js';
export {
  BENCH,
  CLAIMS,
  claimWithStudies,
  HEAPS,
  MOVEMENTS,
  RECIPES,
  type NamedClaim,
  type NamedMovement,
  type NamedRecipe,
} from './stories.js';
export {
  ENTRIES,
  HARVESTS,
  LEAF_TESTS,
  type NamedEntry,
  type NamedHarvest,
  type NamedLeafTest,
  type NamedPour,
  POUR_READINGS,
} from './log.js';
