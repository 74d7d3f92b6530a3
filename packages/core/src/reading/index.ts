export type { Meaning } from './words/lookup.js';
export type { MethodWord } from './words/markWords.js';
export { loggerWord, mayRun } from './loggerWords.js';
export { meaningsIn, tells, tokenize, type Token } from './tokens.js';
export { type FoundValue, twoNumbers, valuesIn } from './values.js';
export { type NutrientSubject, type SoilWord, type Subject, subjectOf } from './subjects.js';
export { bindLine, type BoundLine, type Bracket, isPart, type Pair } from './binding.js';
export { type Column, columnsOf } from './tables.js';
export { type Fate, type FateKind, fatesOf, type Told } from './fate.js';
export { freeUnit, isDry, ofAll, prepared, type Prepared, type TellingUnit, unitAmong } from './prepare.js';
export {
  besideRow,
  joined,
  roleBefore,
  rowOf,
  type Row,
  toldBeside,
  underTheirUnits,
  WANTED,
  withLimits,
} from './rows.js';
export { type Stack, stackedBelow } from './stacks.js';
export { linesOf, MOST_LINES, MOST_PER_LINE, printedLine } from './paper.js';
export { type Package, readPackages } from './packages.js';
