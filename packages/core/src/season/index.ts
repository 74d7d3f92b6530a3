export { type Burden, productsOf, programmeBurden, saltIndexOf } from './burden.js';
export { movedWhen, scaledAmount } from './change.js';
export {
  type AgeTable,
  type Crop,
  CROP_GROUPS,
  type CropGroup,
  type HarvestUnit,
  type Mycorrhiza,
  MYCORRHIZAS,
  NITROGEN_TASTES,
  type NitrogenTaste,
  SENSITIVITIES,
  type Sensitivity,
  type TissueBand,
  type UptakeCourse,
  unknownCrop,
} from './crop.js';
export { asSchool, type School, SCHOOL_WORDS, SCHOOLS, timesOf } from './school.js';
export { asFed, FED_UNTIL, type FedUntil, FRUIT_SET_SHARE } from './fed.js';
export { type CropFact, cropFacts } from './facts.js';
export { CROP_LIBRARY, libraryCrop } from './library/index.js';
export { CROP_NAMES } from './library/names.js';
export { type CropFigure, cropNeed, cropRemoval, cropStand, cropUptake } from './uptake.js';
export { groundDemand, type GroundDemand, sharingGround } from './groundDemand.js';
export { daysToStage, GROWTH_STAGES, type GrowthStage, nitrogenDemand } from './demand.js';
export {
  type Doing,
  type ComputedProgramme,
  type ComputedRow,
  computeProgramme,
  productGiven,
  shareOfMix,
  type Total,
} from './programme.js';
export { type ParsedAmount, parseAmount, printAmount } from './typedAmount.js';
export { type ParsedLines, parseAgeRows, parseTissueBands, printAgeRows, printTissueBands } from './typedLines.js';
export { type ParsedWhen, parseWhen, printWhen } from './typedWhen.js';
export { datesOf, type Season, type SiteInSeason } from './dates.js';
export {
  type Amount,
  type Application,
  type Part,
  type WaterGiven,
  type When,
  type Where,
  WHERE_WORDS,
} from './application.js';
export { type Applied, applied, type DosedPlot, partArea } from './applied.js';
export { type Brought } from './brought.js';
export { bagAs, type Given, PLAIN_WATER } from './given.js';
