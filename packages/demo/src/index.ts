export * from './station.js';
export { EARLIER_LABELS, PRODUCTS } from './products.js';
export { JAR_TESTS, LOGS, PLOTS, SOIL_REPORTS, type NamedSoilReport } from './plots.js';
export { CLAIMS, MOVEMENTS, RECIPES, type NamedClaim, type NamedMovement, type NamedRecipe } from './stories.js';
