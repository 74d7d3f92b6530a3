export * from './reading.js';
export * from './readLabel.js';
export { analyteNamed, type NamedAnalyte } from './names.js';
export { findValues, type FoundValue } from './values.js';
