export {
  type Calibration,
  calibrate,
  type FittedNumber,
  netShares,
  type NetShare,
  type OwnCurve,
  ownCurve,
} from './calibrate.js';
export { nitrogenPools } from './nitrogenPools.js';
export { add, type Dose, settle } from './state.js';
export { type Day, step } from './step.js';
export { nitrogenBalance, simulate } from './simulate.js';
export { BAG_FIGURES, ownBounds, PLOT_FIGURES } from './ownBounds.js';
export { numbersFrom } from './parameters.js';
export {
  type Placement,
  type ProductRelease,
  courseFigure,
  courseSum,
  type NitrogenPlace,
  productRelease,
  RELEASE_DAYS,
  siteDays,
  type SiteDays,
  weekly,
  windowWeeks,
} from './productRelease.js';
export { type Band, releaseBand } from './band.js';
export { type AssumedOf, type ProgrammeRelease, programmeRelease } from './programmeRelease.js';
export { followCase, type Left, type ProgrammeCase, programmeCase } from './programmeCase.js';
export { holds, replay, REPLAY_LIMITS, type ReplayedYear, yearsThat } from './replay.js';
export { type Banded, firstOrderShare, type Influence, type ProgrammeBand, programmeBand } from './programmeBand.js';
export { organicMatterAdded } from './organicMatter.js';
export { type SoilNitrogen, soilNitrogen } from './soilNitrogen.js';
export {
  findSplits,
  MOST_SPLITS,
  type Split,
  type SplitOutcome,
  splitOutcome,
  type SplitQuestion,
  type SplitWeights,
  USUAL_WEIGHTS,
} from './splitFinder.js';
export { classCourses, type ClassSide, type ComparedCourse, inEachMedium } from './comparisons.js';
