import { findValues, type AnalysisUnit, type DeclaredValue } from '../shelf/index.js';
import type { Range } from '../quantity/index.js';

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

const NAMES: readonly (readonly [RegExp, SoilAnalyte])[] = [
  [/\bph\b/, 'pH'], [/\borganic matter\b|\bom\b|\bhumus\b/, 'organicMatter'], [/\bcec\b|\bcation exchange\b/, 'CEC'], [/\bec\b|\bconductivity\b|\bsoluble salts\b/, 'EC'],
  [/\bnitrate\b|\bno3\b/, 'nitrateN'], [/\bammonium n|\bnh4\b/, 'ammoniumN'], [/\bfree lime\b|\bcarbonate\b|\bcaco3\b/, 'freeLime'], [/\bacidity\b/, 'acidity'],
  [/\bphosphorus\b|\bphosphate\b|\bp\b/, 'P'], [/\bpotassium\b|\bk\b/, 'K'], [/\bcalcium\b|\bca\b/, 'Ca'], [/\bmagnesium\b|\bmg\b(?!\s*(\/|per|kg))/, 'Mg'], [/\bsodium\b|\bna\b/, 'Na'], [/\bsul(f|ph)ur\b|\bsul(f|ph)ate\b|\bs\b/, 'S'],
  [/\bboron\b|\bb\b/, 'B'], [/\bzinc\b|\bzn\b/, 'Zn'], [/\bmanganese\b|\bmn\b/, 'Mn'], [/\bcopper\b|\bcu\b/, 'Cu'], [/\biron\b|\bfe\b/, 'Fe'],
];
const METHODS: readonly (readonly [RegExp, SoilMethod])[] = [
  [/\bolsen\b|\bbicarbonate\b/, 'olsen'], [/\bbray\b/, 'bray'], [/\bmehlich\b|\bm3\b/, 'mehlich3'], [/\bammonium acetate\b|\bexchangeable\b|\bnh4oac\b/, 'ammoniumAcetate'],
  [/\bsaturat(ed|ion) (paste|extract)\b|\bece\b/, 'saturatedPaste'], [/\bcacl2\b|\bcalcium chloride\b/, 'CaCl2'], [/\bwater\b|\bh2o\b/, 'water'],
];
const methodIn = (text: string): SoilMethod | undefined => METHODS.find(([pattern]) => pattern.test(text))?.[1];

const UNIT_WORDS: readonly (readonly [RegExp, SoilUnit])[] = [[/cmol|meq\s*\/\s*100|me\s*\/\s*100/, 'cmol_c/kg'], [/ms\s*\/\s*cm|ds\s*\/\s*m|mmho/, 'mS/cm'], [/mg\s*\/\s*l\b/, 'mg/L']];
const FROM_LABEL: Readonly<Partial<Record<AnalysisUnit, SoilUnit>>> = { '%': '%', 'mg/kg': 'mg/kg' };
/** Units that need no saying. */
const OBVIOUS: Readonly<Partial<Record<SoilAnalyte, SoilUnit>>> = { pH: '', EC: 'mS/cm', CEC: 'cmol_c/kg', organicMatter: '%', acidity: 'cmol_c/kg' };

export interface SoilLine {
  readonly number: number;
  readonly text: string;
  readonly figure: SoilFigure | undefined;
  /** What it was taken to be, or why not. */
  readonly says: string;
}

function figureOf(text: string, general: SoilMethod, generalUnit: SoilUnit | undefined): SoilLine['figure'] | string {
  const plain = text.toLowerCase();
  const [found] = findValues(text.replace(/\b(no3|nh4|cacl2|h2o|caco3|m3|nh4oac)\b/gi, (w) => w.replace(/\d/g, '')).replace(/mehlich[- ]?(3|iii)/i, 'mehlich'));
  if (!found) return 'words without figures';
  const name = plain.slice(0, Math.max(found.start, 1)) || plain;
  const analyte = NAMES.find(([pattern]) => pattern.test(name))?.[1] ?? NAMES.find(([pattern]) => pattern.test(plain))?.[1];
  if (!analyte) return 'a number without a name that is known';
  const unit = UNIT_WORDS.find(([pattern]) => pattern.test(plain))?.[1] ?? (found.unit ? FROM_LABEL[found.unit] : undefined) ?? OBVIOUS[analyte] ?? generalUnit;
  if (unit === undefined) return `${SOIL_ANALYTE_NAMES[analyte]}: no unit is given, expected mg/kg, mg/L, % or cmol_c/kg`;
  return { analyte, value: found.value, unit, method: methodIn(plain) ?? (analyte === 'pH' || analyte === 'CEC' || analyte === 'organicMatter' ? 'notSaid' : general) };
}

/**
 * Reads a soil report as pasted text or as a CSV's rows joined by spaces: one figure a line, with its unit and method. A line that
 * names only a method or a unit holds for the lines after it. Nothing is guessed: what has no unit or no known name is told.
 * @example readSoilSlip('pH 6.4\nPhosphorus (Olsen) 32 mg/kg')
 */
export function readSoilSlip(text: string): readonly SoilLine[] {
  let general: SoilMethod = 'notSaid';
  let unit: SoilUnit | undefined;
  return text.slice(0, 20_000).split(/\r\n|\r|\n/).slice(0, 200).map((raw, i): SoilLine => {
    const line = raw.replace(/[\t;|]/g, ' ').replace(/[.]{2,}/g, ' ').replace(/\s+/g, ' ').trim().slice(0, 200);
    if (line === '') return { number: i + 1, text: '', figure: undefined, says: '' };
    const read = figureOf(line, general, unit);
    if (typeof read === 'object') return { number: i + 1, text: line, figure: read, says: `${SOIL_ANALYTE_NAMES[read.analyte]}, ${SOIL_METHOD_NAMES[read.method]}` };
    const plain = line.toLowerCase();
    const method = methodIn(plain);
    const named = UNIT_WORDS.find(([pattern]) => pattern.test(plain))?.[1] ?? (/mg\s*\/\s*kg|ppm/.test(plain) ? 'mg/kg' : undefined);
    if (!/\d/.test(line) || findValues(line).length === 0) {
      if (method) general = method;
      if (named) unit = named;
      const told = [method && SOIL_METHOD_NAMES[method], named].filter(Boolean).join(', ');
      return { number: i + 1, text: line, figure: undefined, says: told ? `holds for the lines below: ${told}` : (read ?? '') };
    }
    return { number: i + 1, text: line, figure: undefined, says: read ?? '' };
  });
}
