export * from './atoms.js';
export * from './nutrients.js';
export * from './formula.js';
