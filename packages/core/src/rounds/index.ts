export {
  balance,
  type Balance,
  type BalanceRow,
  buildUp,
  type Harvested,
  type YearBalance,
  yearlyBalances,
} from './balance.js';
export { materialCost, type MaterialCost } from './cost.js';
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
  ecAdded,
  mixerParts,
  mlPerCan,
  ppm,
  ringArea,
  shareOfFeed,
  sprayerRate,
  spreaderRate,
  tankPpm,
} from './dose.js';
export { doseFromNeed, labelMost, type NeedDose } from './need.js';
export {
  bagsOf,
  carry,
  type Carried,
  type Carrying,
  HOT_C,
  latestNitrogen,
  type Mind,
  type Planned,
  type Task,
  TASK_STATES,
  taskKey,
  tasksBetween,
  type TaskState,
  WATERED_IN_MM,
  weatherWords,
} from './round.js';
