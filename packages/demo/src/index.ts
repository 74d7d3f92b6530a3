export { PRODUCTS } from './products.js';
export { PLOTS } from './plots.js';
export { CLAIMS, RECIPES, type NamedClaim, type NamedRecipe } from './stories.js';
