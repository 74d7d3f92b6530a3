export {
  type Component,
  labelBasis,
  type Mixture,
  mixture,
  type OnePart,
  readParts,
  type TypedPart,
} from './mixture.js';
export { type MixCharacter, mixCharacter, type OfMix } from './character.js';
export { mixAsProduct } from './asProduct.js';
export { type Conflict, conflictsIn } from './incompatible.js';
export { limingFigure } from './liming.js';
export { blend } from './blend.js';
export type { Blend } from './found.js';
export {
  type Aim,
  AIMS,
  type AimWeights,
  type BlendTarget,
  type Brief,
  EVEN_WEIGHTS,
  partWords,
  TARGET_KINDS,
  type TargetKind,
} from './model.js';
export { parseAmounts, type ParsedAmounts } from './amounts.js';
export { type Batch, type Shopping, shoppingFor, type ShoppingLine } from './buying.js';
export { type Change } from './breach.js';
export { allows, type BlendRule, type Limited, LIMITED, limitName, limitUnit, RULE_KINDS, ruleWords } from './rules.js';
export { around, type Around, type Entering, type Neighbour, type Step } from './around.js';
export { type SaltStep, saltCurve } from './saltCurve.js';
export { equalDose } from './equalDose.js';
export {
  type Dissolving,
  dissolving,
  type FeedContent,
  type FeedStrength,
  feedStrength,
  type StockTank,
  stockTanks,
  type StockTanks,
} from './solution.js';
export { type EqualBy, substitute, type Substitution, type SwapChange } from './substitute.js';
export { type WeighOut, weighOut } from './parts.js';
export { measuredWords, weighedWords } from './weighable.js';
export {
  mixedFrom,
  rebalanced,
  type Rebalanced,
  type WeighPart,
  type WeighRoom,
  type WeighState,
  weighState,
} from './weighing.js';
export { errorWords, inScoops, NEAR_ENOUGH, type Scooping, type ScoopRecipe, withScoop } from './scoops.js';
export { HEAP_GOAL, HEAP_KEYS, HEAP_MATERIALS, heapMaterial, type HeapMaterial } from './heapMaterials.js';
export { type FinishedHeap, type HeapPart, type HeapReading, type HeapSide, readHeap } from './heap.js';
export { type HeapLine, type HeapPlan, planHeap } from './heapPlan.js';
export { type HeapCourse, heapCourse, type HeapEntry, HEAP_HEAT, type HeapPhase } from './heapLog.js';
export { ratioCheck, type RatioCheck, type RatioShort, writtenAsRatio } from './ratio.js';
