export { type Carriage, carriageOf, type CarriageTerms, type Order, type Ordered, ordersOf } from './carriage.js';
export { type Cost, COST_REASONS, costAtOffer, costPerUnit, type CostQuestion, costsPerUnit } from './costPerUnit.js';
export { rankByCost, type RankedCost, type RankedList, type Ranking } from './rank.js';
export { currentOffers } from './currentOffers.js';
export {
  asCounted,
  type Counting,
  type ExchangeRate,
  handlingCost,
  handlingPerKg,
  type HourlyRate,
} from './counted.js';
export { priceHistory, pricePerKg, pricesPerKg, type SeenPrice } from './pricePerKg.js';
export {
  cheapestSupply,
  type Cheapest,
  pricedShelf,
  type PricedBag,
  type PricedShelf,
  type Wanted,
} from './pricedShelf.js';
export { type Replacement, replacementValue } from './replacement.js';
export { type ReferencePrices, referencePrices, type Residual, residualCost } from './residual.js';
export {
  cheapestPurchase,
  type Crossing,
  crossings,
  type Package,
  packagesOf,
  paysFrom,
  type PaysFrom,
  type Purchase,
} from './wholePackages.js';
export { type ArrivingCost, costArriving } from './arriving.js';
export { commonestCurrency } from './commonestCurrency.js';
export { type Preference, type PreferencePrice, preferencePrices } from './preferences.js';
export { type ProgrammeCost, programmeCost } from './programmeCost.js';
export {
  type ListCells,
  type ListedPrice,
  offersAfter,
  type PriceChange,
  priceChanges,
  nameOf as productNameOf,
  sameSize,
  readListed,
} from './priceList.js';
export {
  catalogueFacts,
  type CatalogueFacts,
  type FractionBounds,
  RANKED_AS,
  RANKED_NUTRIENTS,
  type RankedNutrient,
} from './catalogueFacts.js';
export {
  type Amounts,
  type CatalogueColumn,
  type CheapestOfAll,
  cheapestOfAll,
  type HeldEnd,
  type NutrientPrices,
  type OfAll,
  OTHER_END,
  reducedCost,
  type WantedOfAll,
} from './cheapestOfAll.js';
export { costOfAll, type PartOfAll } from './ofAllFigures.js';
export { type ReplacementOfAll, type ToReplace, replacementOfAll } from './replacementOfAll.js';
export { type CataloguePackage, type MoreOfAll, type Restricted, type WholeOfAll, wholeOfAll } from './wholeOfAll.js';
