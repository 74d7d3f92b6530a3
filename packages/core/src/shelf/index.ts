export * from './organicClass.js';
export * from './materials.js';
export * from './product.js';
export * from './massFraction.js';
export * from './grade.js';
export * from './labelChecks.js';
export * from './packageMass.js';
