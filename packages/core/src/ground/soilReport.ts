import { constant, literal, product, type Figure } from '../figure/index.js';
import type { Advice } from './advice.js';
import { declaredRange, PH, type DeclaredValue } from '../quantity/index.js';

/** What a soil report speaks of. Elements are what an extract of the named method holds, not a total. */
export const SOIL_ANALYTES = [
  'pH',
  'pHBuffering',
  'organicMatter',
  'CEC',
  'EC',
  'P',
  'K',
  'Ca',
  'Mg',
  'Na',
  'S',
  'nitrateN',
  'ammoniumN',
  'B',
  'Zn',
  'Mn',
  'Cu',
  'Fe',
  'freeLime',
  'acidity',
  'bulkDensity',
  'SAR',
  'ESP',
] as const;
export type SoilAnalyte = (typeof SOIL_ANALYTES)[number];

/** How it was taken out of the soil; the same number means different things under different methods. */
export const SOIL_METHODS = [
  'notSaid',
  'water',
  'CaCl2',
  'KCl',
  'olsen',
  'bray',
  'mehlich3',
  'ammoniumAcetate',
  'saturatedPaste',
  'other',
] as const;
export type SoilMethod = (typeof SOIL_METHODS)[number];

export const SOIL_UNITS = [
  '',
  '%',
  'mg/kg',
  'mg/L',
  'mmol_c/L',
  'cmol_c/kg',
  'mS/cm',
  'kg/L',
  'mmol/kg per pH',
] as const;
export type SoilUnit = (typeof SOIL_UNITS)[number];

export const SOIL_ANALYTE_NAMES: Readonly<Record<SoilAnalyte, string>> = {
  pH: 'pH',
  pHBuffering: 'pH buffering',
  organicMatter: 'organic matter',
  CEC: 'cation exchange capacity',
  EC: 'electrical conductivity',
  P: 'phosphorus',
  K: 'potassium',
  Ca: 'calcium',
  Mg: 'magnesium',
  Na: 'sodium',
  S: 'sulfur',
  nitrateN: 'nitrate N',
  ammoniumN: 'ammonium N',
  B: 'boron',
  Zn: 'zinc',
  Mn: 'manganese',
  Cu: 'copper',
  Fe: 'iron',
  freeLime: 'free lime',
  acidity: 'exchangeable acidity',
  bulkDensity: 'bulk density',
  SAR: 'sodium adsorption ratio',
  ESP: 'exchangeable sodium',
};
export const SOIL_METHOD_NAMES: Readonly<Record<SoilMethod, string>> = {
  notSaid: 'method not said',
  water: 'in water',
  CaCl2: 'in calcium chloride',
  KCl: 'in potassium chloride',
  olsen: 'Olsen',
  bray: 'Bray',
  mehlich3: 'Mehlich-3',
  ammoniumAcetate: 'ammonium acetate',
  saturatedPaste: 'saturated paste',
  other: 'another method',
};

export interface SoilFigure {
  readonly analyte: SoilAnalyte;
  readonly value: DeclaredValue;
  readonly unit: SoilUnit;
  readonly method: SoilMethod;
}
export interface SoilReport {
  readonly sampledOn: string;
  readonly depthM: number;
  readonly figures: readonly SoilFigure[];
  /** What the laboratory recommends to give. */
  readonly advice?: Advice | undefined;
}

/**
 * A report's figure for an analyte under one of some methods. What is below detection lies anywhere from nothing to the limit.
 * @returns undefined when the report has none
 */
export function soilFigure(
  report: SoilReport | undefined,
  analyte: SoilAnalyte,
  methods: readonly SoilMethod[] = SOIL_METHODS,
  units: readonly SoilUnit[] = SOIL_UNITS,
): Figure | undefined {
  const found = report?.figures.find(
    (f) => f.analyte === analyte && methods.includes(f.method) && units.includes(f.unit),
  );
  return found && figureOfReport(found);
}

/** mg of a cation in a cmol of its charge. */
export const CMOL_MG = { Ca: 200.4, Mg: 121.5, K: 391, Na: 229.9 } as const;
export type Cation = keyof typeof CMOL_MG;
const isCation = (analyte: SoilAnalyte): analyte is Cation => analyte in CMOL_MG;

const OWN_UNITS: Readonly<Partial<Record<SoilAnalyte, SoilUnit>>> = {
  pH: '',
  pHBuffering: 'mmol/kg per pH',
  organicMatter: '%',
  CEC: 'cmol_c/kg',
  acidity: 'cmol_c/kg',
  EC: 'mS/cm',
  freeLime: '%',
  bulkDensity: 'kg/L',
  SAR: '',
  ESP: '%',
};
/** The units something can be reported in, the usual one first. */
export function soilUnits(analyte: SoilAnalyte): readonly SoilUnit[] {
  const own = OWN_UNITS[analyte];
  return own === undefined
    ? ['mg/kg', 'mg/L', '%', ...(isCation(analyte) ? (['cmol_c/kg', 'mmol_c/L'] as const) : [])]
    : [own];
}

const BOUNDS: Readonly<Partial<Record<SoilAnalyte, readonly [number, number]>>> = {
  pH: [2, 11],
  pHBuffering: [1, 500],
  bulkDensity: [0.05, 2.65],
  EC: [0, 200],
  CEC: [0, 300],
  SAR: [0, 500],
};
/** What cannot be about a figure of a report: a unit that is not its own, or a value no soil has. @returns the part and a sentence; undefined when nothing is wrong */
export function soilFigureProblem({
  analyte,
  value,
  unit,
}: SoilFigure): { readonly part: 'value' | 'unit'; readonly message: string } | undefined {
  const units = soilUnits(analyte);
  const name = SOIL_ANALYTE_NAMES[analyte];
  if (!units.includes(unit))
    return {
      part: 'unit',
      message: `Read ${unit === '' ? 'no unit' : unit} for ${name}, expected ${units.map((u) => u || 'none').join(', ')}.`,
    };
  const [least, most] = BOUNDS[analyte] ?? [0, unit === '%' ? 100 : unit === 'mg/kg' ? 1e6 : Infinity];
  const { low, high } = declaredRange(value);
  const outside = value.kind !== 'below' && low < least ? low : high > most ? high : undefined;
  return outside === undefined
    ? undefined
    : { part: 'value', message: `Read ${outside}${unit ? ` ${unit}` : ''} for ${name}, expected ${least} to ${most}.` };
}

/** A figure of a report brought to mg/kg; undefined for what was measured in a solution or is no content. */
export function inMgPerKg(figure: SoilFigure): Figure | undefined {
  const { analyte, unit } = figure;
  if (OWN_UNITS[analyte] !== undefined || unit === 'mg/L' || unit === 'mmol_c/L') return undefined;
  if (unit === 'mg/kg') return figureOfReport(figure);
  const factor = unit === '%' ? 10_000 : isCation(analyte) ? CMOL_MG[analyte] : undefined;
  return factor === undefined
    ? undefined
    : product(SOIL_ANALYTE_NAMES[analyte], 'mg/kg', [
        figureOfReport(figure),
        constant(
          `mg/kg per ${unit}`,
          factor,
          `mg/kg per ${unit}`,
          unit === '%' ? 'by definition' : 'atomic weight ÷ charge',
        ),
      ]);
}

/** One line of a report as a figure. */
export const figureOfReport = ({ analyte, value, unit, method }: SoilFigure): Figure =>
  literal(
    `${SOIL_ANALYTE_NAMES[analyte]}${method === 'notSaid' ? '' : `, ${SOIL_METHOD_NAMES[method]}`}`,
    declaredRange(value),
    analyte === 'pH' ? PH : unit,
    'measured',
    `soil report${value.kind === 'below' ? `, below ${value.limit}: anything up to it` : ''}`,
  );

export type SoilClass = 'low' | 'medium' | 'high';
/** Bounds of "medium" in mg/kg, by element and method. Guidance as advisory tables commonly draw it; local calibration outranks it. */
const CLASS_BOUNDS: readonly {
  readonly analyte: SoilAnalyte;
  readonly method: SoilMethod;
  readonly medium: readonly [number, number];
}[] = [
  { analyte: 'P', method: 'olsen', medium: [10, 25] },
  { analyte: 'P', method: 'bray', medium: [20, 40] },
  { analyte: 'P', method: 'mehlich3', medium: [25, 50] },
  { analyte: 'K', method: 'ammoniumAcetate', medium: [100, 200] },
  { analyte: 'K', method: 'mehlich3', medium: [100, 200] },
  { analyte: 'Mg', method: 'ammoniumAcetate', medium: [50, 120] },
  { analyte: 'Mg', method: 'mehlich3', medium: [50, 120] },
];

/** Low, medium or high, which only exists within a method. @returns undefined when the method is not said or has no table here */
export function soilClass(figure: SoilFigure): SoilClass | undefined {
  const { analyte, method } = figure;
  const bounds = CLASS_BOUNDS.find((b) => b.analyte === analyte && b.method === method);
  const at = inMgPerKg(figure)?.value;
  if (!bounds || !at) return undefined;
  const [low, high] = bounds.medium;
  if (at.high < low) return 'low';
  if (at.low > high) return 'high';
  return at.low >= low && at.high <= high ? 'medium' : undefined;
}
