export { PRODUCTS } from './products.js';
export { PLOTS, SOIL_REPORTS, type NamedSoilReport } from './plots.js';
export { CLAIMS, RECIPES, type NamedClaim, type NamedRecipe } from './stories.js';
