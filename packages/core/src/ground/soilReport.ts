import type { Range } from '../quantity/index.js';
import type { DeclaredValue } from '../shelf/index.js';

/** What a soil report speaks of. Elements are what an extract of the named method holds, not a total. */
export const SOIL_ANALYTES = ['pH', 'organicMatter', 'CEC', 'EC', 'P', 'K', 'Ca', 'Mg', 'Na', 'S', 'nitrateN', 'ammoniumN', 'B', 'Zn', 'Mn', 'Cu', 'Fe', 'freeLime', 'acidity'] as const;
export type SoilAnalyte = (typeof SOIL_ANALYTES)[number];

/** How it was taken out of the soil; the same number means different things under different methods. */
export const SOIL_METHODS = ['notSaid', 'water', 'CaCl2', 'olsen', 'bray', 'mehlich3', 'ammoniumAcetate', 'saturatedPaste', 'other'] as const;
export type SoilMethod = (typeof SOIL_METHODS)[number];

export const SOIL_UNITS = ['', '%', 'mg/kg', 'mg/L', 'cmol_c/kg', 'mS/cm'] as const;
export type SoilUnit = (typeof SOIL_UNITS)[number];

export const SOIL_ANALYTE_NAMES: Readonly<Record<SoilAnalyte, string>> = {
  pH: 'pH', organicMatter: 'organic matter', CEC: 'cation exchange capacity', EC: 'electrical conductivity', P: 'phosphorus', K: 'potassium', Ca: 'calcium', Mg: 'magnesium', Na: 'sodium', S: 'sulfur',
  nitrateN: 'nitrate N', ammoniumN: 'ammonium N', B: 'boron', Zn: 'zinc', Mn: 'manganese', Cu: 'copper', Fe: 'iron', freeLime: 'free lime', acidity: 'exchangeable acidity',
};
export const SOIL_METHOD_NAMES: Readonly<Record<SoilMethod, string>> = {
  notSaid: 'method not said', water: 'in water', CaCl2: 'in calcium chloride', olsen: 'Olsen', bray: 'Bray', mehlich3: 'Mehlich-3', ammoniumAcetate: 'ammonium acetate', saturatedPaste: 'saturated paste', other: 'another method',
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
}

/** The middle of a report's figure for an analyte under one of some methods; undefined when it is not there or below detection. */
export function soilValue(report: SoilReport, analyte: SoilAnalyte, methods: readonly SoilMethod[] = SOIL_METHODS, unit?: SoilUnit): number | undefined {
  const found = report.figures.find((f) => f.analyte === analyte && methods.includes(f.method) && (unit === undefined || f.unit === unit));
  if (!found || found.value.kind === 'below') return undefined;
  return found.value.kind === 'number' ? found.value.value : found.value.mid;
}

export type SoilClass = 'low' | 'medium' | 'high';
/** Bounds of "medium" in mg/kg, by element and method. Guidance as advisory tables commonly draw it; local calibration outranks it. */
const CLASS_BOUNDS: readonly { readonly analyte: SoilAnalyte; readonly method: SoilMethod; readonly medium: readonly [number, number] }[] = [
  { analyte: 'P', method: 'olsen', medium: [10, 25] },
  { analyte: 'P', method: 'bray', medium: [20, 40] },
  { analyte: 'P', method: 'mehlich3', medium: [25, 50] },
  { analyte: 'K', method: 'ammoniumAcetate', medium: [100, 200] },
  { analyte: 'K', method: 'mehlich3', medium: [100, 200] },
  { analyte: 'Mg', method: 'ammoniumAcetate', medium: [50, 120] },
  { analyte: 'Mg', method: 'mehlich3', medium: [50, 120] },
];

/** Low, medium or high, which only exists within a method. @returns undefined when the method is not said or has no table here */
export function soilClass({ analyte, method, value, unit }: SoilFigure): SoilClass | undefined {
  const bounds = CLASS_BOUNDS.find((b) => b.analyte === analyte && b.method === method);
  if (!bounds || unit !== 'mg/kg') return undefined;
  const at: Range = value.kind === 'number' ? { low: value.value, mid: value.value, high: value.value } : value.kind === 'below' ? { low: 0, mid: 0, high: value.limit } : value;
  const [low, high] = bounds.medium;
  if (at.high < low) return 'low';
  if (at.low > high) return 'high';
  return at.low >= low && at.high <= high ? 'medium' : undefined;
}
