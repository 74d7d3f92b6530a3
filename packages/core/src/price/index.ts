export * from './costPerUnit.js';
export * from './costRange.js';
export * from './currentOffers.js';
export * from './rank.js';
export * from './pricePerKg.js';
