export {
  addRanges,
  between,
  divideRanges,
  exact,
  isExact,
  multiplyRanges,
  overlap,
  type Range,
  ROUNDING,
  scaleRange,
  subtractRanges,
} from './range.js';
export { type Dimension, findUnit, measuresNamed, fromCanonical, type Unit, unitOf, unitsOf } from './units.js';
export {
  type DecimalMark,
  decimalMarkIn,
  parseNumber,
  twoReadings,
  typedNumber,
  writtenPlainly,
} from './parseNumber.js';
export { type ParsedQuantity, parseQuantity, parseQuantityRange } from './parseQuantity.js';
export {
  type ParsedRate,
  parseRate,
  printRate,
  type Rate,
  RATE_PER,
  type RateBasis,
  rateBasis,
  rateFactor,
  rateMeasure,
  rateRange,
  rateUnit,
} from './rate.js';
export {
  decimalsOf,
  formatFixed,
  formatGiven,
  formatGivenRange,
  formatNumber,
  formatRange,
  formatTrimmed,
  formatTrimmedRange,
} from './format.js';
export { AMOUNT, formatMoney, type Money, money, moneyValue, plainAmount } from './money.js';
export { readable } from './readable.js';
export { capital, tooLong } from './words.js';
export { addDays, daysBetween, parseDay, printDay, readDate, orderBySteps, slashOrder } from './day.js';
export { inCurrency, manyOf, type Measure, measure, NO_UNIT, ofWhat, per, PH, productOf, sameKind } from './measure.js';
export { percentileOf, triangular, uniformDraws } from './draws.js';
export {
  declaredRange,
  type DeclaredValue,
  parseDeclared,
  printDeclared,
  rangeValue,
  scaleDeclared,
  shownDeclared,
} from './declaredValue.js';
export { readTemperature, type ReadTemperature } from './temperature.js';
export { stockStrength } from './injector.js';
