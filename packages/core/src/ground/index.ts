export * from './crops.js';
export * from './site.js';
export * from './soilTemperature.js';
export * from './shape.js';
export * from './soilChemistry.js';
export * from './soilReport.js';
export * from './conditions.js';
export * from './causes.js';
