export { type Answer, ANSWER_WORDS, type CheckKey, CHECKS } from './checks.js';
export {
  type Around as ClaimAround,
  type CheckResult,
  type CheckNote,
  type Claim,
  type ClaimCondition,
  type Interest,
  INTERESTS,
} from './claim.js';
export {
  CLAIM_KIND_KEYS,
  CLAIM_KINDS,
  type ClaimAbout,
  type ClaimKind,
  claimKind,
  type ClaimKindKey,
} from './kinds.js';
export { contentCheck } from './content.js';
export { shareOfNeed, yearlyRate } from './dose.js';
export { elementChecklist, type ElementMark, type ElementRow, loadPerHa, MARK_WORDS } from './elementChecklist.js';
export {
  type Evidence,
  evidenceOf,
  effectWords,
  type Promised,
  type Search,
  SURENESS,
  type Sureness,
  type Weighed,
} from './evidence.js';
export { READ_FIRST, READING_LIST, type Published, type PublishedKind } from './readingList.js';
export {
  DESIGN_WORDS,
  type Funding,
  FUNDINGS,
  type Scale,
  scaleFor,
  SCALES,
  SPREAD_KINDS,
  type SpreadKind,
  type Study,
  STUDY_CONTROLS,
  STUDY_DESIGNS,
  type StudyControl,
  type StudyDesign,
  type StudyEffect,
  studyEffect,
  type StudyResult,
  YES_NO_UNKNOWN,
  type YesNoUnknown,
} from './study.js';
export { kindOfClaim } from './surroundings.js';
export {
  decidedWords,
  type Answers,
  judge,
  type Judgement,
  ruleFor,
  surenessOf,
  tempered,
  type Use,
  useOf,
  type Verdict,
  VERDICT_RULES,
  verdictOf,
  VERDICTS,
} from './verdict.js';
export {
  type AtStake,
  type BreakEven,
  breakEven,
  type Chance,
  chanceFigure,
  testingFigure,
  chanceThatItPays,
  type ChanceThatItPays,
  type ThoughtTrial,
  valueOfTesting,
  type ValueOfTesting,
} from './worth.js';
export { type Practice, type PracticeCost, PRACTICES, practicesFor } from './practices.js';
export { type Looks, type PooledUnit } from './together.js';
export { type LabSlip, type LotFinding, runningVerdict, shortBag, type ShortBag, type Slips } from './shortBag.js';
export { carbonBound, type CarbonBound } from './carbon.js';
export { type Exclusion, exclusions } from './exclude.js';
