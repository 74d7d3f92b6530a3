export { biologyFactor, MEDIA, type Medium, MEDIUM_NAMES, type Site, type Texture, TEXTURES } from './site.js';
export { dayOfYear, MONTH_LENGTHS, type TemperatureRecord, YEAR_DAYS } from './soilTemperature.js';
export { mediumVolume, plotArea, type Shape, type ShapeKind, SHAPES } from './shape.js';
export { MOST_SIDES, type Point, type PolygonPlan, polygonPlan } from './polygon.js';
export { soilMass, type SodicSchool } from './soilChemistry.js';
export {
  type Cation,
  SOIL_ANALYTE_NAMES,
  SOIL_ANALYTES,
  SOIL_METHOD_NAMES,
  SOIL_METHODS,
  SOIL_UNITS,
  type SoilAnalyte,
  soilClass,
  type SoilFigure,
  soilFigure,
  soilFigureProblem,
  type SoilMethod,
  type SoilReport,
  type SoilUnit,
  soilUnits,
} from './soilReport.js';
export { readSoilSlip, type SoilChoice, type SoilLine } from './slip/index.js';
export { type Condition, condition, CONDITION_NAMES, CONDITIONS, soilPH } from './conditions.js';
export { type Implication } from './implication.js';
export { type Lime, soilImplications } from './implications.js';
export { CHECK_COSTS, SIGN_PLACE_NAMES, SIGN_PLACES, SIGNS, sortCauses } from './causes.js';
export {
  type FactPlace,
  type PlotFact,
  plotFacts,
  type PlotGap,
  plotGaps,
  type PlotKnown,
  SUPPOSED_YEAR,
} from './plotFacts.js';
export { pHAvailability } from './availability.js';
export {
  type DailyLog,
  firstSoaking,
  LOGGED,
  type Logged,
  LOGGED_LIMITS,
  LOGGED_NAMES,
  loggedDays,
  loggedOn,
  siteSoilTemperature,
} from './climate.js';
export { ROOT_LAYER_M, siteWaterBalance, waterAssumptions, type WaterBalance, waterYear } from './waterBalance.js';
export { type Advice, parseAdvice } from './advice.js';
export { type WeatherYear, weatherYears } from './weatherYears.js';
export { MOST_LOGGED_DAYS, readLogger } from './logger.js';
export { waterImplications } from './irrigationWater.js';
export {
  CLOUD_WORDS,
  dispersionResult,
  JAR_KINDS,
  JAR_START,
  JAR_STEPS,
  type JarKind,
  type JarReadings,
  type JarStep,
  textureResult,
} from './jarTest.js';
export { wetness } from './wetness.js';
