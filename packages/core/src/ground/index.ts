export * from './crops.js';
export * from './site.js';
export * from './soilTemperature.js';
