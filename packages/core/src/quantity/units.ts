/**
 * Units and household measures. Canonical: kg, m², L, m, day, fraction by mass.
 * Factors are exact by definition (international pound 0.45359237 kg, inch 0.0254 m, US gallon 231 in³).
 */
export type Dimension = 'mass' | 'volume' | 'area' | 'length' | 'fraction' | 'density' | 'count';

export interface Unit {
  readonly symbol: string;
  readonly dimension: Dimension;
  /** How many canonical units one of this unit is. */
  readonly factor: number;
  readonly aliases: readonly string[];
}

const POUND_KG = 0.45359237;
const FOOT_M = 0.3048;
const ACRE_M2 = 43560 * FOOT_M ** 2;
const US_GALLON_L = 3.785411784;
const IMPERIAL_GALLON_L = 4.54609;
const US_BUSHEL_L = 35.23907016688;

const unit = (symbol: string, dimension: Dimension, factor: number, ...aliases: string[]): Unit => ({
  symbol,
  dimension,
  factor,
  aliases,
});

export const UNITS: readonly Unit[] = [
  unit('kg', 'mass', 1, 'kilo', 'kilos', 'kilogram', 'kilograms', 'kgs'),
  unit('g', 'mass', 1e-3, 'gram', 'grams', 'gr', 'gm'),
  unit('mg', 'mass', 1e-6, 'milligram', 'milligrams'),
  unit('t', 'mass', 1000, 'tonne', 'tonnes'),
  unit('lb', 'mass', POUND_KG, 'lbs', 'pound', 'pounds', '#'),
  unit('US ton', 'mass', POUND_KG * 2000, 'us tons', 'short ton', 'short tons'),
  unit('long ton', 'mass', POUND_KG * 2240, 'long tons', 'uk ton', 'uk tons', 'imp ton', 'imperial ton'),
  unit(
    'oz',
    'mass',
    POUND_KG / 16,
    'ounce',
    'ounces',
    'ozs',
    'oz by weight',
    'oz wt',
    'oz weight',
    'ounces by weight',
    'oz av',
  ),
  unit('L', 'volume', 1, 'l', 'litre', 'litres', 'liter', 'liters', 'ltr', 'ltrs'),
  unit('dL', 'volume', 0.1, 'dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'),
  unit('cL', 'volume', 0.01, 'cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'),
  unit('mL', 'volume', 1e-3, 'ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'),
  unit('m³', 'volume', 1000, 'm3', 'cubic metre', 'cubic metres', 'cubic meter', 'cubic meters'),
  unit('ft³', 'volume', 1000 * FOOT_M ** 3, 'ft3', 'ft^3', 'cu ft', 'cu. ft.', 'cubic foot', 'cubic feet'),
  unit('yd³', 'volume', 27000 * FOOT_M ** 3, 'yd3', 'yd^3', 'cu yd', 'cu. yd.', 'cubic yard', 'cubic yards'),
  unit('US gal', 'volume', US_GALLON_L, 'us gallon', 'us gallons'),
  unit('imp gal', 'volume', IMPERIAL_GALLON_L, 'imperial gallon', 'imperial gallons', 'uk gal'),
  unit('US bu', 'volume', US_BUSHEL_L, 'us bushel', 'us bushels'),
  unit('imp bu', 'volume', 8 * IMPERIAL_GALLON_L, 'imperial bushel', 'imperial bushels'),
  unit('US qt', 'volume', US_GALLON_L / 4, 'us quart', 'us quarts'),
  unit('imp qt', 'volume', IMPERIAL_GALLON_L / 4, 'imperial quart', 'imperial quarts'),
  unit('US pt', 'volume', US_GALLON_L / 8, 'us pint', 'us pints'),
  unit('imp pt', 'volume', IMPERIAL_GALLON_L / 8, 'imperial pint', 'imperial pints'),
  unit('US fl oz', 'volume', US_GALLON_L / 128, 'us fluid ounce', 'us fluid ounces'),
  unit('imp fl oz', 'volume', IMPERIAL_GALLON_L / 160, 'imperial fluid ounce', 'imperial fluid ounces'),
  unit('US cup', 'volume', US_GALLON_L / 16, 'us cups'),
  unit('metric cup', 'volume', 0.25, 'metric cups'),
  unit('US tbsp', 'volume', US_GALLON_L / 256, 'us tablespoon', 'us tablespoons'),
  unit('metric tbsp', 'volume', 0.015, 'metric tablespoon', 'metric tablespoons'),
  unit('AU tbsp', 'volume', 0.02, 'australian tbsp', 'australian tablespoon', 'australian tablespoons'),
  unit('US tsp', 'volume', US_GALLON_L / 768, 'us teaspoon', 'us teaspoons'),
  unit('metric tsp', 'volume', 0.005, 'metric teaspoon', 'metric teaspoons'),
  unit('m²', 'area', 1),
  unit('ha', 'area', 10000, 'hectare', 'hectares'),
  unit('ft²', 'area', FOOT_M ** 2),
  unit(
    'yd²',
    'area',
    (3 * FOOT_M) ** 2,
    'square yard',
    'square yards',
    'sq yd',
    'sq. yd',
    'sq. yd.',
    'sq yds',
    'yd2',
    'yd^2',
  ),
  unit('acre', 'area', ACRE_M2, 'acres', 'ac'),
  unit('m', 'length', 1, 'metre', 'metres', 'meter', 'meters'),
  unit('cm', 'length', 0.01, 'centimetre', 'centimetres', 'centimeter', 'centimeters'),
  unit('mm', 'length', 0.001, 'millimetre', 'millimetres'),
  unit('ft', 'length', FOOT_M, 'foot', 'feet', "'"),
  unit('in', 'length', FOOT_M / 12, 'inch', 'inches', '"'),
  unit('%', 'fraction', 0.01, 'percent', 'per cent', '% w/w'),
  unit('g/kg', 'fraction', 1e-3),
  unit('mg/kg', 'fraction', 1e-6, 'ppm'),
  unit('kg/L', 'density', 1, 'g/ml', 'g/cm3', 'g/cm³'),
  unit('g/L', 'density', 1e-3),
];

const TABLESPOONS = ['US tbsp', 'metric tbsp', 'AU tbsp'];
const TEASPOONS = ['US tsp', 'metric tsp'];
const words = (which: readonly string[], ...names: string[]): readonly (readonly [string, readonly string[]])[] =>
  names.map((name) => [name, which] as const);

/** Words that name several different measures: the person is asked whose. */
const AMBIGUOUS: ReadonlyMap<string, readonly string[]> = new Map([
  ...words(['US cup', 'metric cup'], 'cup', 'cups'),
  ...words(TABLESPOONS, 'tbsp', 'tbsps', 'tbs', 'tbls', 'tblsp', 'tablespoon', 'tablespoons'),
  ...words(TEASPOONS, 'tsp', 'tsps', 'teaspoon', 'teaspoons'),
  ...words(['US gal', 'imp gal'], 'gal', 'gals', 'gallon', 'gallons'),
  ...words(['US pt', 'imp pt'], 'pint', 'pints', 'pt', 'pts'),
  ...words(['US qt', 'imp qt'], 'quart', 'quarts', 'qt', 'qts'),
  ...words(['US bu', 'imp bu'], 'bu', 'bushel', 'bushels'),
  ...words(['US fl oz', 'imp fl oz'], 'fl oz', 'floz', 'fluid ounce', 'fluid ounces', 'oz fl'),
  ...words(['t', 'US ton'], 'ton', 'tons'),
]);
/** Letters whose case is all that tells two units apart, which few people mind. */
const AMBIGUOUS_LETTERS: ReadonlyMap<string, readonly string[]> = new Map([
  ['Mg', ['t', 'mg']],
  ['T', ['t', 'US ton']],
]);

const COUNTRY = /\s*\(\s*(u\.?s\.?(?:a\.?)?|metric|imp\.?|imperial|u\.?k\.?|au|australian)\s*\)$/i;
/** A unit word as it is looked up: no full stops, a country in brackets in front. @example unitWord('gal (US)') // 'US gal' */
function unitWord(typed: string): string {
  const [bracket, country = ''] = COUNTRY.exec(typed) ?? [];
  const bare = (bracket === undefined ? typed : typed.slice(0, -bracket.length))
    .replace(/\.(?=\s|$)/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (bracket === undefined) return bare;
  const whose = country.replaceAll('.', '').toLowerCase();
  const prefix =
    whose === 'usa' || whose === 'us' ? 'us' : whose === 'au' || whose === 'australian' ? 'australian' : whose;
  return `${prefix === 'uk' || prefix === 'imp' ? 'imperial' : prefix} ${bare}`;
}

/** The measures a word could name, when it names several. @example measuresNamed('cups') // ['US cup', 'metric cup'] */
export function measuresNamed(typed: string): readonly string[] | undefined {
  const word = unitWord(typed);
  return AMBIGUOUS_LETTERS.get(word) ?? AMBIGUOUS.get(word.toLowerCase());
}

/** A unit's name in one spelling: small letters, "per" as a stroke, square measures as ft² and m². */
const plain = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/ ?(?:\/|\bper\b) ?/g, '/')
    .replace(/ ?(?:square (?:feet|foot)|sq\.? ?(?:ft|feet)\.?|ft\^?2)$/, ' ft²')
    .replace(/ ?(?:square met(?:re|er)s?|sq\.? ?m(?:et(?:re|er)s?)?\.?|m\^?2)$/, ' m²')
    .trim();

const bySymbol = new Map<string, Unit>(UNITS.map((u) => [u.symbol, u]));
const byName = new Map<string, Unit>();
for (const u of UNITS) for (const name of [u.symbol, ...u.aliases]) byName.set(plain(name), u);

/** Measures with their country in front, in every spelling that has one: "us tablespoons", "imperial fl oz". */
const byWhose = new Map<string, Unit>();
for (const [word, symbols] of AMBIGUOUS)
  for (const symbol of symbols) {
    const [whose = ''] = symbol.split(' ');
    const named = bySymbol.get(symbol);
    const countries = { US: ['us'], imp: ['imp', 'imperial', 'uk'], metric: ['metric'], AU: ['au', 'australian'] }[
      whose
    ];
    for (const country of countries ?? []) if (named) byWhose.set(plain(`${country} ${word}`), named);
  }

/** The unit with exactly this symbol. @throws RangeError for a symbol that is not in the table. */
export function unitOf(symbol: string): Unit {
  const found = bySymbol.get(symbol);
  if (!found) throw new RangeError(`No unit is called "${symbol}".`);
  return found;
}

/** The unit a person means by a word, any case, or undefined. @example findUnit('Pounds')?.symbol // 'lb' */
export const findUnit = (name: string): Unit | undefined =>
  bySymbol.get(name.trim()) ?? byName.get(plain(unitWord(name))) ?? byWhose.get(plain(unitWord(name)));

/**
 * A value in canonical units (kg, L, m², m, fraction).
 * @example toCanonical(50, 'lb') // 22.6796185
 */
export const toCanonical = (value: number, symbol: string): number => value * unitOf(symbol).factor;

/** A canonical value in the named unit. @example fromCanonical(1, 'g') // 1000 */
export const fromCanonical = (value: number, symbol: string): number => value / unitOf(symbol).factor;

/** All symbols of a dimension, for a choice list. */
export const unitsOf = (dimension: Dimension): readonly string[] =>
  UNITS.filter((u) => u.dimension === dimension).map((u) => u.symbol);
