export type { Meaning } from './words/lookup.js';
export type { MethodWord } from './words/markWords.js';
export { inOtherLanguage, loggerWord, mayRun } from './loggerWords.js';
export { type Amount, sharesOf } from './amounts.js';
export { isSign, tells, type Token } from './token.js';
export { meaningsIn, tokenize } from './tokens.js';
export { type FoundValue, twoNumbers, valuesIn } from './values.js';
export { type NutrientSubject, type SoilWord, type Subject, subjectOf } from './subjects.js';
export { bindLine, type BoundLine, type Bracket, isPart, type Pair } from './binding.js';
export { type Column, columnsOf } from './tables.js';
export { type Fate, type FateKind, fatesOf, type Told } from './fate.js';
export {
  freeUnit,
  isDry,
  ofAll,
  statesDry,
  preparedLines,
  type Prepared,
  type TellingUnit,
  unitAmong,
  withGaps,
} from './prepare.js';
export {
  besideRow,
  joined,
  lastUnit,
  roleBefore,
  rowOf,
  type Row,
  toldBeside,
  underTheirUnits,
  unitOfValue,
  WANTED,
  withLimits,
} from './rows.js';
export { type Stack, stackedBelow } from './stacks.js';
export { linesOf, MOST_LINES, MOST_PER_LINE, printedLine } from './paper.js';
export { type Package, readPackages } from './packages.js';
