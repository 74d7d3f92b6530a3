export * from './station.js';
export { EARLIER_LABELS, PRODUCTS } from './products.js';
export { JAR_TESTS, LOGS, PLOTS, SOIL_REPORTS, type NamedSoilReport } from './plots.js';
export { CROPS, type NamedProgramme, type NamedSeason, PROGRAMMES, SEASONS } from './seasons.js';
export { BENCH, CLAIMS, MOVEMENTS, RECIPES, type NamedClaim, type NamedMovement, type NamedRecipe } from './stories.js';
