import type { CompoundBasis, Nutrient } from '../nutrient/index.js';
import { unitOf } from '../quantity/index.js';

/** Units that figures of papers are told in, each retold in one of a few. */
export type FigureUnit =
  '%' | 'g/kg' | 'mg/kg' | '% w/v' | 'g/L' | 'mg/L' | 'kg/ha' | 'cmol_c/kg' | 'mmol_c/L' | 'mS/cm' | 'kg/L';

/** A unit found in a line: what it is retold in and by which factor, or one that tells no content. */
export interface FoundUnit {
  /** As printed. */
  readonly text: string;
  readonly end: number;
  /** Undefined for units such as CFU/g, that no figure here is told in. */
  readonly unit: FigureUnit | undefined;
  /** Times this the number is in `unit`. */
  readonly factor: number;
  /** "mg P2O5/100 g": what the unit is of. */
  readonly of: Nutrient | CompoundBasis | undefined;
}

const gramsOf = (symbol: string): number => unitOf(symbol).factor * 1000;
const POUND = gramsOf('lb');
/** Grams of what stands above the stroke. */
const GRAMS: Readonly<Record<string, number>> = {
  ...Object.fromEntries(['kg', 'g', 'mg'].map((symbol) => [symbol, gramsOf(symbol)])),
  ...Object.fromEntries(['lb', 'lbs', 'pound', 'pounds'].map((word) => [word, POUND])),
  ...Object.fromEntries(['mcg', 'ug', 'µg', 'μg'].map((word) => [word, 1e-6])),
  gr: 1,
  ng: 1e-9,
};
/** Grams, or litres, of what a figure is for. A ton without a word for whose is the short one. */
const PER_MASS: Readonly<Record<string, number>> = {
  ...GRAMS,
  ...Object.fromEntries(['t', 'tonne', 'tonnes', 'metric ton'].map((word) => [word, gramsOf('t')])),
  ...Object.fromEntries(['ton', 'short ton'].map((word) => [word, gramsOf('US ton')])),
  'long ton': gramsOf('long ton'),
  gram: 1,
  grams: 1,
};
const PER_LITRES: Readonly<Record<string, number>> = {
  ...Object.fromEntries(['l', 'litre', 'liter', 'litro', 'lt', 'dm3', 'dm³'].map((word) => [word, 1])),
  ...Object.fromEntries(['ml', 'cm3', 'cm³', 'cc'].map((word) => [word, 1e-3])),
  ...Object.fromEntries(['m3', 'm³'].map((word) => [word, 1e3])),
  ...Object.fromEntries(
    ['gal', 'gallon', 'gallons', 'us gal', 'us gallon'].map((word) => [word, unitOf('US gal').factor]),
  ),
};
const PER_AREA: Readonly<Record<string, number>> = { ha: 1, hectare: 1 };
const ACRES_PER_HECTARE = unitOf('ha').factor / unitOf('acre').factor;
const ACRES = new Set(['a', 'ac', 'acre']);

const OF = String.raw`(P2O5|K2O|CaO|MgO|SO3|SO4|PO4|NO3|NH4|CaCO3|Na2O|Cl|N|P|K|Ca|Mg|S|Na|B|Zn|Mn|Cu|Fe|C)`;
const TOP = String.raw`(kg|gr?|grams?|mg|mcg|[uµμ]g|ng|lbs?|pounds?)\.?`;
const BOTTOM = String.raw`(kg|grams?|g|mg|tonnes?|t(?![a-z])|short ton|metric ton|ton|litre|liter|litro|lt|l|ml|dm[3³]|m[3³]|cm[3³]|cc|(?:us )?gal(?:lons?)?|ha|hectare|acre|ac|a(?![a-z]))`;
const SLASH = String.raw`\s?(?:\/|\bper\b|\bpr\.?\s|\bje\b|\bpro\b|\bpar\b|\bpor\b|\bna\b)\s?`;
/** "mg P2O5/100 g", "kg/t". */
const STROKE = new RegExp(
  String.raw`${TOP}(?:\s${OF}(?=\s?(?:\/|per\b|pr\b|je\b|pro\b|par\b|por\b)))?${SLASH}(1000?\s?)?${BOTTOM}\.?(?![\p{L}\d])`,
  'iuy',
);
/** "mg kg-1", "g L⁻¹", "mg P kg-1". */
const POWER = new RegExp(
  String.raw`${TOP}[\s·.*]{1,2}(?:${OF}[\s·.*]{1,2})?(100\s?)?${BOTTOM}\s?\^?(?:-1|⁻¹|−1|–1)`,
  'iuy',
);

/** Units with a name of their own, tried in this order. */
const NAMED: readonly (readonly [RegExp, FigureUnit | undefined, number])[] = [
  [/%\s?(?:\(\s?)?(?:w|m|p)\s?\/\s?v\s?\)?|(?:w|m|p)\s?\/\s?v\s?%|g\s?(?:\/|per)\s?100\s?ml\b/iy, '% w/v', 1],
  [/%\s?(?:\(\s?)?v\s?\/\s?v\s?\)?|vol\.?\s?-?%|%\s?vol\b/iy, undefined, 1],
  [/%\s?(?:\(\s?)?(?:w|m|p)\s?\/\s?(?:w|m|p)\s?\)?|(?:w|m|p)\s?\/\s?(?:w|m|p)\s?%|%\s?w\s?t\b|wt\.?\s?%|gew\.?\s?-?%|m\.?-%|% by (?:weight|mass)/iy, '%', 1],
  [/(?:c?mol)\s?(?:_?c|\(\s?\+\s?\)|\+|\(c\)|\(p\+\))?\s?(?:\/|per)\s?kg\b|c?mol\s?(?:_?c|\(\s?\+\s?\)|\+|\(c\))?\s?kg\s?\^?(?:-1|⁻¹)/iy, 'cmol_c/kg', 1],
  [/mmol\s?(?:_?c|\(\s?\+\s?\)|\+|\(c\)|\(p\+\))?\s?(?:(?:\/|per)\s?kg\b|kg\s?\^?(?:-1|⁻¹))/iy, 'cmol_c/kg', 0.1],
  [/cmol\s?(?:_?c|\(\s?\+\s?\)|\+)\s?(?:\/|per)\s?(?:l|dm3|dm³)(?![\p{L}\d])/iuy, 'mmol_c/L', 10],
  [/dag\s?(?:\/|per)\s?kg\b/iy, '%', 1],
  [/m\.?[eé]\.?q?\.?\s?(?:\/|per)\s?100\s?g(?:r|rams?)?\b|meq\s?%/iy, 'cmol_c/kg', 1],
  [/(?:meq|me|mmol\s?_?c|mmol\s?\(\+\)|mmol\+)\s?(?:\/|per)\s?(?:l(?:it(?:re|er))?|dm3|dm³)(?![\p{L}\d])/iuy, 'mmol_c/L', 1],
  [/mmol\s?(?:\/|per)\s?(?:l|dm3|dm³)(?![\p{L}\d])/iuy, undefined, 1],
  [/[mM]mhos?\s?(?:\/|per)\s?cm\b|d[sS]\s?(?:\/|per)\s?m\b|dS\s?m\s?\^?(?:-1|⁻¹)|m[sS]\s?(?:\/|per)\s?cm\b|mS\s?cm\s?\^?(?:-1|⁻¹)/y, 'mS/cm', 1],
  [/[µμu][sS]\s?\/\s?cm\b|[µμu]mhos?\s?\/\s?cm\b/y, 'mS/cm', 1e-3],
  [/[µμu]S(?![\p{L}\d/]|\s?\/)/uy, 'mS/cm', 1e-3],
  [/mS\s?\/\s?m\b/y, 'mS/cm', 0.01],
  [/(?:cfu|ufc|kbe|iu|ie|ui|spores|propagules|cells|kcal|mj|kj|cal)\s?(?:\/|per)\s?\p{L}+/iuy, undefined, 1],
  [/g\s?\/\s?100\s?g(?:rams?)?\b/iy, '%', 1],
  [/mg\s?(?:\/|per)\s?100\s?g(?:rams?)?\b/iy, 'mg/kg', 10],
  [/kg\s?(?:\/|per)\s?(?:100\s?kg|dt|q)\b/iy, '%', 1],
  [/%|per\s?cent\b|pct\b|procent\b|prozent\b|por ciento\b|percentage\b|vikt-?%/iy, '%', 1],
  [/‰|(?:per|pour|pro|por)\s?mill?e?\b|promille\b/iy, 'g/kg', 1],
  [/ppm\b|parts per million\b/iy, 'mg/kg', 1],
  [/ppb\b/iy, 'mg/kg', 1e-3],
]; // prettier-ignore

const tidy = (value: number): number => Number(value.toPrecision(9));

/** The unit and the factor of so many grams in so much. */
function ratio(top: string, hundred: number, bottom: string): Pick<FoundUnit, 'unit' | 'factor'> {
  const grams = GRAMS[top.toLowerCase().replace(/^grams?$/, 'g')] ?? Number.NaN;
  const low = bottom.toLowerCase();
  const mass = PER_MASS[low];
  if (mass !== undefined) {
    // A ton with kilograms above the stroke is the metric one.
    const whole = low === 'ton' && /^(?:k?g|gr|mg)/i.test(top) ? PER_MASS.t : mass;
    const share = grams / ((whole ?? mass) * hundred);
    const perKg = share * 1000;
    // More than the whole is no share: "g/mg" is a slip of the pen.
    if (top.toLowerCase() === low || share > 1) return { unit: undefined, factor: 1 };
    return perKg >= 0.1 ? { unit: 'g/kg', factor: tidy(perKg) } : { unit: 'mg/kg', factor: tidy(share * 1e6) };
  }
  const litres = PER_LITRES[low];
  if (litres !== undefined) {
    const perLitre = grams / (litres * hundred);
    if (perLitre >= 500) return { unit: 'kg/L', factor: tidy(perLitre / 1000) };
    return perLitre >= 0.1 ? { unit: 'g/L', factor: tidy(perLitre) } : { unit: 'mg/L', factor: tidy(perLitre * 1000) };
  }
  if (ACRES.has(low) && /^k?g/i.test(top)) return { unit: undefined, factor: 1 };
  if (ACRES.has(low)) return { unit: 'kg/ha', factor: tidy((grams / 1000) * ACRES_PER_HECTARE) };
  return PER_AREA[low] === undefined ? { unit: undefined, factor: 1 } : { unit: 'kg/ha', factor: tidy(grams / 1000) };
}

function sticky(pattern: RegExp, line: string, at: number): RegExpExecArray | null {
  pattern.lastIndex = at;
  return pattern.exec(line);
}

/** The unit of a figure that begins at a place of a line. @example unitAt('12 mg P/kg', 3)?.unit // 'mg/kg' */
export function unitAt(line: string, at: number): FoundUnit | undefined {
  if (/\p{L}/u.test(line[at - 1] ?? '') && /\p{L}/u.test(line[at] ?? '')) return undefined;
  // "Mg mg/kg" is magnesium with its unit.
  if (/^Mg\s+[kmµμu]?g\b/.test(line.slice(at, at + 8))) return undefined;
  for (const [pattern, unit, factor] of NAMED) {
    const match = sticky(pattern, line, at);
    if (match) return { text: match[0], end: at + match[0].length, unit, factor, of: undefined };
  }
  const match = sticky(STROKE, line, at) ?? sticky(POWER, line, at);
  if (!match) return undefined;
  const [text, top = '', of, hundred, bottom = ''] = match;
  const many = hundred === undefined ? 1 : Number(hundred.trim());
  return { text, end: at + text.length, ...ratio(top, many, bottom), of: of as FoundUnit['of'] };
}
