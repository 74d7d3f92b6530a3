export { nitrogenPools } from './nitrogenPools.js';
export { add, type Dose, settle } from './state.js';
export { type Day, step } from './step.js';
export { nitrogenBalance, simulate } from './simulate.js';
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
  weekly,
} from './productRelease.js';
export { type Band, releaseBand } from './band.js';
export { type ProgrammeRelease, programmeRelease } from './programmeRelease.js';
