export { asDone, doneAsProgramme } from './asDone.js';
export {
  balance,
  type Balance,
  type BalanceRow,
  buildUp,
  type Harvested,
  type YearBalance,
  yearlyBalances,
} from './balance.js';
export { CAKED, type CanFill, canOf, type CanRate, canRate, cansFor, isPowder, type Poured } from './can.js';
export { loggedCost, type LoggedCost } from './cost.js';
export { againstLimits, type LimitUse, type PlannedDose } from './limits.js';
export { metalMeter, type MetalLoad, type MetalMeter, TOPSOIL_KG_PER_HA } from './metals.js';
export { type LogEntry, standing } from './went.js';
export {
  acrossOrOut,
  ageDose,
  type AgeDose,
  ageTableDoubts,
  dilutionReadings,
  type DilutionReadings,
  mixerParts,
  mlPerCan,
  ringArea,
  shareOfFeed,
  sprayerRate,
  spreaderRate,
  tankPpm,
} from './dose.js';
export {
  bagsFor,
  baleLitres,
  byParts,
  layerLitres,
  POUR_ADVICE,
  type PourAdvice,
  type PourThrough,
  pourVerdicts,
  type PourVerdict,
  starterWeeks,
  USUAL_POUR_BAND,
} from './media.js';
export { doseFromNeed, labelMost, type NeedDose } from './need.js';
export {
  bagsOf,
  BEFORE_PLANTING_DAYS,
  carry,
  type Carried,
  type Carrying,
  HOT_C,
  latestNitrogen,
  type Mind,
  MOST_AT_ONCE_ON_SAND,
  type Planned,
  type Task,
  TASK_STATES,
  taskKey,
  tasksBetween,
  type TaskState,
  WATERED_IN_MM,
  weatherWords,
} from './round.js';
export {
  judgeTissue,
  nextRate,
  placeInBand,
  TISSUE_STANDINGS,
  tissueDoubts,
  type TissueResult,
  type TissueStanding,
  type TissueTest,
  USUAL_STEP_PERCENT,
} from './tissue.js';
export { waterBrings, type WaterBrings, type WaterHolds } from './waterBrings.js';
export { equalAmount, type PerEach, perEach, type PotDose, potDose } from './perEach.js';
export { inOwnScoop, type InScoops } from './scoop.js';
export { type Acting, actingOf, type SourceRemark, sourceRemarks, sourcesOf } from './sources.js';
