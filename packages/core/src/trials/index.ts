export {
  areaOf,
  leastOf,
  type TrialOutcome,
  OUTCOME_KINDS,
  OUTCOME_WORDS,
  type OutcomeKind,
  mmPerMinute,
  type Odd,
  oddOnes,
  slopeOf,
  SUMMARIES,
  type CourseSummary,
  type TrialReading,
  valueOf,
} from './course.js';
export { costPerGain, type Criterion, decide, type Decision } from './decide.js';
export { type ArmBrought, equalBy, type EqualDose, equalDoses, EQUALISED, type Equalised } from './equalise.js';
export { JAR_WEEKS, type JarPoint, jarPoints, missedWeeks, missedWords } from './incubate.js';
export { arrangementsOf, blocksToReach, leastP, leastPAlone, MOST_EXACT } from './arrangements.js';
export { layOut, type TrialLayout, LAYOUT_WORDS, LAYOUTS, MOST_UNITS, type TrialUnit } from './layout.js';
export { type Leader, leaders } from './leaders.js';
export { type ArmLosses, lossesOf, lossWords } from './losses.js';
export { type GardenResult, type Gardens, mergeGardens } from './neighbours.js';
export { fairP, lastUsefulLook, peek } from './peek.js';
export {
  blockBoxes,
  blockOf,
  moved,
  offPlot,
  overlapping,
  type Place,
  placesInRows,
  STEP_M,
  unitPlaces,
  type UnitSize,
} from './places.js';
export { type ArmAgainst, permute, type Permuted, type PermuteOptions, type Placed } from './permute.js';
export { ranked, rankedUnits } from './ranks.js';
export {
  answerWords,
  type ArmReading,
  type Doubt,
  HELD_EQUAL,
  HELD_WORDS,
  type HeldEqual,
  type OutcomeReading,
  readOutcome,
  seeWords,
  sureWords,
  type TrialGround,
  trialDoubts,
  type TrialPlan,
} from './read.js';
