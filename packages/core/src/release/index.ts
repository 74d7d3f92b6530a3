export * from './defaults.js';
export * from './nitrogenPools.js';
export * from './responses.js';
export * from './simulate.js';
export * from './parameters.js';
export * from './demand.js';
export * from './productRelease.js';
export * from './band.js';
