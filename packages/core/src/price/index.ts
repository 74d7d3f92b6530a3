export * from './costPerUnit.js';
export * from './rank.js';
export * from './pricePerKg.js';
