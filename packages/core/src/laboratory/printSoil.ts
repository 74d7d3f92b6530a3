import type { SoilAnalyte, SoilFigure, SoilMethod } from '../ground/index.js';
import type { DeclaredValue } from '../quantity/index.js';
import { inColumns, printNumber, printValue } from './printing.js';
import { FRAME, paperName, SOIL_NAMES, type PaperLanguage } from './words.js';

/** Ways to lay out a soil report. */
export const SOIL_LAYOUTS = ['lines', 'wide', 'tabs', 'units', 'wanted'] as const;
export type SoilLayout = (typeof SOIL_LAYOUTS)[number];
export interface SoilStyle {
  readonly layout: SoilLayout;
  readonly language: PaperLanguage;
  readonly decimal: 'point' | 'comma';
  /** How contents of mg/kg are told. */
  readonly contents: 'mg/kg' | 'ppm' | 'mg/100 g' | 'mg kg-1';
}

/** Methods as reports name them, in every language. */
const METHODS: Readonly<Partial<Record<SoilMethod, string>>> = {
  olsen: 'Olsen',
  bray: 'Bray P1',
  mehlich3: 'Mehlich 3',
  CaCl2: 'CaCl2',
  KCl: 'KCl',
  water: 'H2O',
};
const NUTRIENTS = ['P', 'K', 'Ca', 'Mg', 'Na', 'S', 'B', 'Zn', 'Mn', 'Cu', 'Fe'] as const;
type SoilNutrient = (typeof NUTRIENTS)[number];
const isNutrient = (analyte: SoilAnalyte): analyte is SoilNutrient =>
  (NUTRIENTS as readonly string[]).includes(analyte);

/** Analytes the practice laboratory can print. */
export const printable = ({ analyte }: SoilFigure): boolean => isNutrient(analyte) || analyte in SOIL_NAMES;

function nameOf({ analyte, method }: SoilFigure, language: PaperLanguage): string {
  const name = isNutrient(analyte)
    ? paperName(analyte, 'element', language)
    : (SOIL_NAMES[analyte as keyof typeof SOIL_NAMES]?.[language] ?? analyte);
  const by = METHODS[method];
  return by === undefined ? name : `${name} (${by})`;
}

/** A value in the unit the style tells contents in. */
function told(
  { unit, value }: SoilFigure,
  contents: SoilStyle['contents'],
): { readonly value: DeclaredValue; readonly unit: string } {
  if (unit !== 'mg/kg') return { value, unit: unit === 'cmol_c/kg' ? 'cmol(+)/kg' : unit };
  if (contents !== 'mg/100 g') return { value, unit: contents };
  const by = (n: number): number => Number((n / 10).toPrecision(6));
  if (value.kind === 'number') return { value: { kind: 'number', value: by(value.value) }, unit: contents };
  if (value.kind === 'below') return { value: { kind: 'below', limit: by(value.limit) }, unit: contents };
  return { value: { ...value, low: by(value.low), mid: by(value.mid), high: by(value.high) }, unit: contents };
}

/** Some value that advice could want beside what was found. */
const wanted = (value: DeclaredValue, decimal: SoilStyle['decimal']): string => {
  const found = value.kind === 'number' ? value.value : value.kind === 'below' ? value.limit : value.high;
  return printNumber(Number((found * 1.3).toPrecision(2)), decimal);
};

/**
 * A soil report as a laboratory prints it.
 * @param figures those without a name in the laboratory's words are left out
 * @example printSoil([{ analyte: 'P', value: { kind: 'number', value: 32 }, unit: 'mg/kg', method: 'olsen' }], style) // 'Phosphorus (P) (Olsen) 32 mg/kg'
 */
export function printSoil(figures: readonly SoilFigure[], { layout, language, decimal, contents }: SoilStyle): string {
  const rows = figures.filter(printable).map((figure) => {
    const { value, unit } = told(figure, contents);
    return { name: nameOf(figure, language), value: printValue(value, decimal), unit, wanted: wanted(value, decimal) };
  });
  switch (layout) {
    case 'lines':
      return rows.map((r) => `${r.name} ${r.value} ${r.unit}`.trimEnd()).join('\n');
    case 'wide':
      return inColumns(rows.map((r) => [r.name, `${r.value} ${r.unit}`])).join('\n');
    case 'tabs':
      return rows.map((r) => [r.name, r.value, r.unit].join('\t').trimEnd()).join('\n');
    case 'units':
      return inColumns([
        [FRAME.parameter[language], FRAME.unit[language], FRAME.result[language]],
        ...rows.map((r) => [r.name, r.unit, r.value]),
      ]).join('\n');
    case 'wanted':
      return inColumns([
        [FRAME.parameter[language], FRAME.result[language], FRAME.wanted[language], FRAME.unit[language]],
        ...rows.map((r) => [r.name, r.value, r.wanted, r.unit]),
      ]).join('\n');
  }
}
