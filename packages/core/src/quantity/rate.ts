import { manyOf, measure, per, type Measure } from './measure.js';
import { parseNumber, typedNumber, type DecimalMark } from './parseNumber.js';
import { parseQuantityRange, whoseWords, type ParsedQuantity } from './parseQuantity.js';
import type { Range } from './range.js';
import { findUnit, measuresNamed, unitOf } from './units.js';
import { tooLong } from './words.js';

/** What a rate is told by: ground, a plant, a length of row, water to feed with, or medium to mix into. */
export const RATE_BASES = ['area', 'plant', 'row', 'water', 'medium'] as const;
export type RateBasis = (typeof RATE_BASES)[number];

interface PerUnit {
  readonly symbol: string;
  readonly basis: RateBasis;
  /** How many m², plants, m of row, L of water or L of medium one is. */
  readonly factor: number;
}
const pers = (basis: RateBasis, symbols: readonly string[]): readonly PerUnit[] =>
  symbols.map((s) => ({ symbol: basis === 'area' ? s : `${s} of ${basis}`, basis, factor: unitOf(s).factor }));

const PER_UNITS: readonly PerUnit[] = [
  ...pers('area', ['m²', 'ha', 'ft²', 'yd²', 'acre']),
  { symbol: 'plant', basis: 'plant', factor: 1 },
  ...pers('row', ['m', 'ft']),
  ...pers('water', ['L', 'US gal', 'imp gal']),
  ...pers('medium', ['L', 'm³', 'ft³', 'yd³']),
];
export const RATE_PER: readonly string[] = PER_UNITS.map((p) => p.symbol);
const perOf = (symbol: string): PerUnit | undefined => PER_UNITS.find((p) => p.symbol === symbol);

/** So much of a product, by weight or by volume, for so much of something. */
export interface Rate {
  /** The most where a range is given. */
  readonly amount: number;
  /** The least of a range. */
  readonly least?: number | undefined;
  readonly unit: string;
  readonly per: { readonly amount: number; readonly unit: string };
}

type Refused = Extract<ParsedQuantity, { ok: false }>;
/** `nutrient` is the symbol of the element that the amount is of, when it is not of the product: "1 lb N/1000 ft²". */
export type ParsedRate = { readonly ok: true; readonly rate: Rate; readonly nutrient?: string } | Refused;

/** What a rate is told by. @throws RangeError for a unit that is not in the table @example rateBasis(rate('5 mL/L')) // 'water' */
export function rateBasis({ per }: Rate): RateBasis {
  const found = perOf(per.unit);
  if (!found) throw new RangeError(`No rate is told by "${per.unit}".`);
  return found.basis;
}

/** How many kg or L of product one of the rate's unit is for each m², plant, m of row, L of water or L of medium. @example rateFactor of lb/1000 ft² // 0.004882 */
export const rateFactor = ({ unit, per }: Rate): number =>
  unitOf(unit).factor / (per.amount * (perOf(per.unit)?.factor ?? NaN));

/** A rate's amount from its least to its most, with the middle between. */
export const rateRange = ({ amount, least = amount }: Rate): Range => ({
  low: least,
  mid: (least + amount) / 2,
  high: amount,
});

/** A rate's unit in one piece. @example rateUnit({ amount: 3, unit: 'lb', per: { amount: 1000, unit: 'ft²' } }) // 'lb/1000 ft²' */
export const rateUnit = ({ unit, per }: Rate): string =>
  `${unit}/${per.amount === 1 ? '' : `${per.amount} `}${per.unit}`;

/** The same as a measure to work with: a weight or volume for each of what it is told by. */
export function rateMeasure(rate: Rate): Measure {
  const basis = rateBasis(rate);
  const each = manyOf(rate.per.amount * (perOf(rate.per.unit)?.factor ?? NaN), measure(CANONICAL[basis]));
  return { ...per(measure(rate.unit), each), text: rateUnit(rate) };
}
const CANONICAL: Readonly<Record<RateBasis, string>> = {
  area: 'm²',
  plant: 'plant',
  row: 'm of row',
  water: 'L of water',
  medium: 'L of medium',
};

/** A rate in the words that are read back as the same. @example '30–50 g/m²' */
export const printRate = (rate: Rate): string =>
  `${rate.least === undefined ? '' : `${typedNumber(rate.least)}–`}${typedNumber(rate.amount)} ${rateUnit(rate)}`;

const EXAMPLES = '50 g/m², 3 lb/1000 ft², 20 g/plant, 40 g/m of row or 5 mL/L of water';
const refuse = (reason: string): Refused => ({ ok: false, reason });

const PLANT = /^(?:plants?|pots?|bush(?:es)?|trees?|shrubs?|vines?|crowns?)$/i;
const OF: readonly (readonly [RateBasis, RegExp])[] = [
  ['row', /\s*(?:\bof\b\s*)?\b(?:rows?|drills?)$/i],
  ['water', /\s*(?:\bof\b\s*)?\bwater$/i],
  ['medium', /\s*(?:\bof\b\s*)?\b(?:growing |potting )?(?:medium|mix|compost|soil|substrate)$/i],
];

/** What stands behind the stroke. A bare litre or gallon is water; all else that could be two things is asked about. */
function readPer(text: string): { readonly per: Rate['per'] } | Refused {
  const [, count = '', words = ''] = /^([\d.,\s]*\d)?\s*(.*)$/.exec(text.trim()) ?? [];
  // Nobody tells a rate by a thousandth of a square foot: a mark before three digits is one between thousands here.
  const number = count === '' ? undefined : parseNumber(count, count.includes(',') ? 'point' : 'comma');
  if (number && !number.ok) return number;
  const amount = number ? number.value : 1;
  if (amount <= 0) return refuse(`Read a rate for each ${count}, expected more than nothing.`);
  if (PLANT.test(words)) return { per: { amount, unit: 'plant' } };
  const told = OF.find(([, ending]) => ending.test(words));
  const name = told ? words.replace(told[1], '').trim() : words;
  const which = measuresNamed(name);
  if (which) return { ok: false, reason: whoseWords(name, which), which };
  const unit = findUnit(name);
  if (!told && unit?.dimension === 'length')
    return refuse(`Read "${words}", expected a square measure such as m², or "${unit.symbol} of row".`);
  const basis = told?.[0] ?? (unit?.dimension === 'volume' ? 'water' : 'area');
  const symbol = basis === 'area' ? unit?.symbol : `${unit?.symbol} of ${basis}`;
  return symbol !== undefined && perOf(symbol)
    ? { per: { amount, unit: symbol } }
    : refuse(`Read "${words.trim().slice(0, 30)}" behind the stroke, expected a rate such as ${EXAMPLES}.`);
}

/**
 * Reads a rate as labels and people write it: so much by weight or volume for ground, a plant, a length of row, water or medium. A range keeps both its ends.
 *
 * @param input text such as `50 g/m²`, `30–50 g per square metre`, `3 lb per 1,000 sq ft`, `2 metric tbsp/plant`, `10 g per pot`, `1 lb/25 ft of row`, `5 mL/L`
 * @param mark the decimal mark the person writes, once it is known
 * @returns the rate, or a sentence that says what was read and what was expected; `which` lists the measures when a word names several
 * @example parseRate('3 lb per 1,000 sq ft') // { ok: true, rate: { amount: 3, unit: 'lb', per: { amount: 1000, unit: 'ft²' } } }
 */
export function parseRate(input: string, mark?: DecimalMark): ParsedRate {
  const long = tooLong(input, `a rate such as ${EXAMPLES}`);
  if (long) return refuse(long);
  const text = input.trim();
  if (/^1\s*:\s*\d+$/.test(text))
    return refuse(
      `"${text}" is one part in, or one part to, so many of water: say it as mL in each litre, such as 5 mL/L.`,
    );
  const [, left = '', right = ''] =
    /^(.*?[\d½⅓⅔¼¾⅛⅜⅝⅞].*?[a-z#].*?)\s*(?:\/|\bper\b|\b(?:in|to|for) (?:each|every|a)\b)(.+)$/i.exec(text) ?? [];
  if (left === '') return refuse(`Read "${text.slice(0, 40)}", expected a rate such as ${EXAMPLES}.`);
  const { amount, nutrient } = nutrientIn(left);
  // On a hectare a milligram is nothing: there "Mg" is the megagram.
  const weight = /^\s*(?:ha|hectares?|acres?|ac)\b/i.test(right) ? amount.replace(/\bMg$/, 't') : amount;
  const byMass = parseQuantityRange(weight, 'mass', mark);
  const read = byMass.ok ? byMass : parseQuantityRange(weight, 'volume', mark);
  if (!read.ok) {
    const told = [byMass, read].find((q) => !q.ok && (q.which ?? q.readings ?? q.order));
    if (told && !told.ok) return told;
    return refuse(`Read "${left.trim().slice(0, 40)}", expected a weight or a volume in a rate such as ${EXAMPLES}.`);
  }
  const { low, high } = read.range;
  if (high <= 0)
    return refuse(`Read "${left.trim().slice(0, 40)}", expected more than nothing, the least before the most.`);
  const per = readPer(right);
  if (!('per' in per)) return per;
  return {
    ok: true,
    rate: { amount: high, ...(low < high ? { least: low } : {}), unit: read.unit.symbol, per: per.per },
    ...(nutrient === undefined ? {} : { nutrient }),
  };
}

/** "1 lb N" as 1 lb, of nitrogen; "2 kg of P2O5" as 2 kg, of phosphate. */
function nutrientIn(left: string): { readonly amount: string; readonly nutrient: string | undefined } {
  const [, amount, nutrient] =
    /^(.*?[A-Za-z].*?)\s+(?:of\s+)?(N|P|K|P2O5|K2O|P₂O₅|K₂O|nitrogen|phosphate|potash)$/.exec(left.trim()) ?? [];
  const plain = nutrient && { nitrogen: 'N', phosphate: 'P2O5', potash: 'K2O' }[nutrient];
  return amount === undefined || nutrient === undefined
    ? { amount: left, nutrient: undefined }
    : { amount, nutrient: plain || nutrient.replace('₂O₅', '2O5').replace('₂', '2') };
}
