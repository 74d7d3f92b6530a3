export * from './range.js';
export * from './units.js';
export * from './parseNumber.js';
export * from './parseQuantity.js';
export * from './rate.js';
export * from './format.js';
export * from './money.js';
export * from './words.js';
