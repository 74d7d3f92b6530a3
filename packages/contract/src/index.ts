export * from './product.js';
export * from './plot.js';
export * from './soil.js';
export * from './recipe.js';
export * from './claim.js';
export * from './records.js';
export * from './validate.js';
export * from './toCore.js';
