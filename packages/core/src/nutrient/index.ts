export * from './atoms.js';
export * from './nutrients.js';
