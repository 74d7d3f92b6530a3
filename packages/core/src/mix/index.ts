export * from './linearProgram.js';
export * from './mixture.js';
export * from './incompatible.js';
export * from './blend.js';
export * from './parts.js';
