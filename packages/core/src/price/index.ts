export { type Cost, COST_REASONS, costAtOffer, type CostQuestion, costsPerUnit } from './costPerUnit.js';
export { rankByCost, type RankedCost, type RankedList, type Ranking } from './rank.js';
export { currentOffers } from './currentOffers.js';
export { priceHistory, pricePerKg, pricesPerKg } from './pricePerKg.js';
