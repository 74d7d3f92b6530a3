export { adjustedArms, type AdjustedArm, invertAgainst, type LaidOut, type Nuisance, nuisanceOf } from './armFit.js';
export { anova, type Anova, fBeyond, type Observation } from './anova.js';
export { logRank, logRankScores, meanTime, type Timed } from './logRank.js';
export { errorDf, leastDifference, power } from './power.js';
export { type Fit, fitCurve, type FitProblem, type FitResult } from './nonlinearFit.js';
export { type ProfileInterval, profileIntervals } from './profileInterval.js';
export { tQuantile } from './studentT.js';
export { chiSquareBeyond, normalShare, tBeyond, tShare, zQuantile } from './distributions.js';
export {
  type ArmCount,
  type ArmMean,
  type Effect,
  hedgesG,
  logOddsRatio,
  logResponseRatio,
  logRiskRatio,
  meanOfArms,
} from './effects.js';
export {
  INTERVAL_METHODS,
  type Interval,
  type IntervalMethod,
  leaveOneOut,
  pool,
  type Pooled,
  type PoolOptions,
  type Subgroup,
  subgroups,
  TAU_METHODS,
  type TauMethod,
} from './pool.js';
export { type SmallStudies, smallStudies } from './smallStudies.js';
export { intervalFromSe, sdFromDifference, sdFromSe, seFromInterval, seFromLsd, seFromP, seFromSd } from './spreads.js';
