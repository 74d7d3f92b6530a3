import { UNITS, type Dimension } from './units.js';

/** Powers of what a unit is made of: kg, m, day, mol, °C, plants, a currency by its code … */
export type Powers = Readonly<Record<string, number>>;

/** What a number is measured in, as a value: its powers, how many canonical units it is, and how it is printed. Printed at the edge, never taken apart again. */
export interface Measure {
  readonly text: string;
  readonly powers: Powers;
  /** How many of kg, m, day, mol … one of it is. */
  readonly factor: number;
  /** The code of the currency it is plain money of. */
  readonly currency?: string;
}

export const NO_UNIT: Measure = { text: '', powers: {}, factor: 1 };

const OF_DIMENSION: Readonly<Record<Dimension, { readonly powers: Powers; readonly factor: number }>> = {
  mass: { powers: { kg: 1 }, factor: 1 },
  volume: { powers: { m: 3 }, factor: 1e-3 },
  area: { powers: { m: 2 }, factor: 1 },
  length: { powers: { m: 1 }, factor: 1 },
  fraction: { powers: {}, factor: 1 },
  density: { powers: { kg: 1, m: -3 }, factor: 1000 },
  count: { powers: {}, factor: 1 },
};

const symbols = new Map<string, Measure>([
  ...UNITS.map(({ symbol, dimension, factor }): [string, Measure] => {
    const canonical = OF_DIMENSION[dimension];
    return [symbol, { text: symbol, powers: canonical.powers, factor: factor * canonical.factor }];
  }),
  ...(
    [
      ['% w/v', { kg: 1, m: -3 }, 10],
      ['mol', { mol: 1 }, 1],
      ['mmol', { mol: 1 }, 1e-3],
      ['mol_c', { mol: 1 }, 1],
      ['cmol_c', { mol: 1 }, 1e-2],
      ['mmol_c', { mol: 1 }, 1e-3],
      ['hour', { day: 1 }, 1 / 24],
      ['hours', { day: 1 }, 1 / 24],
      ['day', { day: 1 }, 1],
      ['days', { day: 1 }, 1],
      ['week', { day: 1 }, 7],
      ['year', { day: 1 }, 365.25],
      ['years', { day: 1 }, 365.25],
      ['°C', { '°C': 1 }, 1],
      ['mS/cm', { 'mS/cm': 1 }, 1],
      ['pH', { pH: 1 }, 1],
      ['×', {}, 1],
      ['plant', { plant: 1 }, 1],
      ['plants', { plant: 1 }, 1],
      ['applications', {}, 1],
    ] as const
  ).map(([text, powers, factor]): [string, Measure] => [text, { text, powers, factor }]),
]);
const BY_LENGTH = [...symbols.keys()].sort((a, b) => b.length - a.length);

const powersOf = (a: Measure, b: Measure, sign: 1 | -1): Powers => {
  const all = new Map(Object.entries(a.powers));
  for (const [base, power] of Object.entries(b.powers)) all.set(base, (all.get(base) ?? 0) + sign * power);
  return Object.fromEntries([...all].filter(([, power]) => power !== 0));
};

const compound = (m: Measure): boolean => m.text.includes('/') || m.text.includes(' per ');

/** One measure for each of another. @example per(measure('kg'), measure('ha')).text // 'kg/ha' */
export const per = (a: Measure, b: Measure): Measure => ({
  text: compound(a) || compound(b) ? `${a.text} per ${b.text}` : `${a.text}/${b.text}`,
  powers: powersOf(a, b, -1),
  factor: a.factor / b.factor,
});

/** A measure of something: the word is printed and changes nothing. @example ofWhat(measure('kg'), 'N').text // 'kg N' */
export const ofWhat = (m: Measure, what: string): Measure => ({
  text: `${m.text} ${what}`.trim(),
  powers: m.powers,
  factor: m.factor,
});

/** So many of a measure at once. @example manyOf(1000, measure('ft²')).text // '1000 ft²' */
export const manyOf = (count: number, m: Measure): Measure =>
  count === 1 ? m : { text: `${count} ${m.text}`, powers: m.powers, factor: m.factor * count };

/** pH: a kind of its own, written without a word behind the number. */
export const PH: Measure = { text: '', powers: { pH: 1 }, factor: 1 };

/** Money of a currency. Each currency is a kind of its own: none is turned into another. */
export const inCurrency = (code: string): Measure => ({
  text: code,
  powers: { [code]: 1 },
  factor: 1,
  currency: code,
});

/** A symbol of the table, with what it is of behind it: "kg N", "% of need". */
function single(notation: string): Measure {
  const symbol = BY_LENGTH.find((s) => notation === s || notation.startsWith(`${s} `));
  const found = symbol === undefined ? undefined : symbols.get(symbol);
  if (!found || symbol === undefined) throw new RangeError(`No unit is written "${notation}".`);
  return ofWhat(found, notation.slice(symbol.length).trim());
}

function read(notation: string): Measure {
  if (notation === '') return NO_UNIT;
  const whole = symbols.get(notation);
  if (whole) return whole;
  const [top = '', bottom] = notation.split(' per ');
  if (bottom !== undefined) return { ...per(read(top), read(bottom)), text: notation };
  const stroke = notation.indexOf('/');
  // The stroke of "% w/v of it" belongs to the symbol.
  if (stroke < 0 || notation.startsWith('% w/v')) return single(notation);
  const above = notation.slice(0, stroke);
  return { ...per(above === '' ? NO_UNIT : single(above), single(notation.slice(stroke + 1))), text: notation };
}

const known = new Map<string, Measure>();

/**
 * The measure a program text writes as `kg`, `kg/ha`, `kg N`, `% of need`, `g/m² per kg/ha`. For measures that are made up while the program runs
 * there are `per`, `ofWhat`, `manyOf` and `inCurrency`.
 * @throws RangeError for a symbol that is not in the table
 * @example measure('g/m²').factor // 0.001: kilograms for each square metre
 */
export function measure(notation: string): Measure {
  const held = known.get(notation);
  if (held) return held;
  const made = read(notation);
  known.set(notation, made);
  return made;
}

/** Whether two measures are of one kind, so that their numbers can be added once their factors are the same. */
export const sameKind = (a: Measure, b: Measure): boolean => {
  const bases = new Set([...Object.keys(a.powers), ...Object.keys(b.powers)]);
  return [...bases].every((base) => (a.powers[base] ?? 0) === (b.powers[base] ?? 0));
};

/** What a product of measures is made of. */
export const productOf = (of: readonly Measure[]): Measure =>
  of.reduce((all, m) => ({ text: '', powers: powersOf(all, m, 1), factor: all.factor * m.factor }), NO_UNIT);
