export { ORGANIC_CLASS_NAMES, type OrganicClass } from './organicClass.js';
export {
  findMaterial,
  type Material,
  MATERIALS,
  type OrganicMaterial,
  readIngredients,
  type Trait,
} from './materials.js';
export {
  ANALYSIS_UNITS,
  type AnalysisFigure,
  type AnalysisUnit,
  basisWord,
  type Direction,
  type Handling,
  type InsideBound,
  type Incubation,
  type Offer,
  ORGANIC_STATUSES,
  type OrganicStatus,
  type Origin,
  ORIGINS,
  type Product,
  PRODUCT_FORMS,
  type ProductForm,
  readBasisWord,
} from './product.js';
export { densityFigure, densityMid, densityRange } from './density.js';
export { bestLine, declaredNutrients, inBasis, massFraction, midFraction, type Reading } from './massFraction.js';
export { coatedIsOwnPart } from './nitrogenForms.js';
export {
  STOCK_REASON_WORDS,
  STOCK_REASONS,
  type StockMovement,
  type StockOnHand,
  openLot,
  stockOnHand,
  type StockReason,
} from './stock.js';
export { type Counted, COUNTED_WORDS, midSupply, supplyFraction, supplyRange } from './supply.js';
export { type Grade, type GradePart, parseGrade, printGrade } from './grade.js';
export { type Finding, labelChecks } from './labelChecks.js';
export { perProduct } from './perProduct.js';
export { packageMass } from './packageMass.js';
export { cautionsOf } from './cautions.js';
export { CHANGE_WORDS, compareLabels, type FigureChange, type WordChange } from './compareLabels.js';
export { dilutedMgPerL } from './dilution.js';
export { freeOfForm, type Keeping, keepingWords, KEEPINGS, keeps } from './keeping.js';
export { directionsBy, directionWords } from './directions.js';
export { type Extract, KITCHEN_ACIDS, KITCHEN_SOLIDS, kitchenExtract, weakAcidPh } from './homeChemistry.js';
export { PROTEIN_FACTOR_KEYS, PROTEIN_FACTORS } from './protein.js';
export * from './label/index.js';
export * from './library/index.js';
export { type InsideBag, insideBag, type InsideShare, leavesRoom, withInside } from './insideBag.js';
