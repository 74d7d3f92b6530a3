import { parseNumber } from './parseNumber.js';
import { parseQuantity, type ParsedQuantity } from './parseQuantity.js';
import type { Range } from './range.js';
import { AMBIGUOUS_MEASURES, findUnit, unitOf } from './units.js';

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
export type ParsedRate = { readonly ok: true; readonly rate: Rate } | Refused;

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

/** A rate in the words that are read back as the same. @example '30–50 g/m²' */
export const printRate = (rate: Rate): string =>
  `${rate.least === undefined ? '' : `${rate.least}–`}${rate.amount} ${rateUnit(rate)}`;

const EXAMPLES = '50 g/m², 3 lb/1000 ft², 20 g/plant, 40 g/m of row or 5 mL/L of water';
const refuse = (reason: string): Refused => ({ ok: false, reason });

const PLANT = /^(?:plants?|bush(?:es)?|trees?|shrubs?|vines?|crowns?)$/i;
const OF: readonly (readonly [RateBasis, RegExp])[] = [
  ['row', /\s*(?:\bof\b\s*)?\b(?:rows?|drills?)$/i],
  ['water', /\s*(?:\bof\b\s*)?\bwater$/i],
  ['medium', /\s*(?:\bof\b\s*)?\b(?:growing |potting )?(?:medium|mix|compost|soil|substrate)$/i],
];

/** What stands behind the stroke. A bare litre or gallon is water for what is measured by volume; all else that could be two things is asked about. */
function readPer(text: string, byVolume: boolean): { readonly per: Rate['per'] } | Refused {
  const [, count = '', words = ''] = /^([\d.,\s]*\d)?\s*(.*)$/.exec(text.trim()) ?? [];
  const number = count === '' ? undefined : parseNumber(count);
  if (number && !number.ok) return number;
  const amount = number ? number.value : 1;
  if (amount <= 0) return refuse(`Read a rate for each ${count}, expected more than nothing.`);
  if (PLANT.test(words)) return { per: { amount, unit: 'plant' } };
  const told = OF.find(([, ending]) => ending.test(words));
  const name = told ? words.replace(told[1], '').trim() : words;
  const which = AMBIGUOUS_MEASURES[name.toLowerCase()];
  if (which) return { ok: false, reason: `"${name}" differs by country: say ${which.join(' or ')}.`, which };
  const unit = findUnit(name);
  if (!told && unit?.dimension === 'length')
    return refuse(`Read "${words}", expected a square measure such as m², or "${unit.symbol} of row".`);
  if (!told && unit?.dimension === 'volume' && !byVolume)
    return refuse(`Read "${words}": say "${unit.symbol} of water" or "${unit.symbol} of medium".`);
  const basis = told?.[0] ?? (unit?.dimension === 'volume' ? 'water' : 'area');
  const symbol = basis === 'area' ? unit?.symbol : `${unit?.symbol} of ${basis}`;
  return symbol !== undefined && perOf(symbol)
    ? { per: { amount, unit: symbol } }
    : refuse(`Read "${words.trim().slice(0, 30)}" behind the stroke, expected a rate such as ${EXAMPLES}.`);
}

/**
 * Reads a rate as labels and people write it: so much by weight or volume for ground, a plant, a length of row, water or medium. A range keeps both its ends.
 *
 * @param input text such as `50 g/m²`, `30–50 g per square metre`, `3 lb per 1,000 sq ft`, `2 metric tbsp/plant`, `1 lb/25 ft of row`, `5 mL/L`
 * @returns the rate, or a sentence that says what was read and what was expected; `which` lists the measures when a word names several
 * @example parseRate('3 lb per 1,000 sq ft') // { ok: true, rate: { amount: 3, unit: 'lb', per: { amount: 1000, unit: 'ft²' } } }
 */
export function parseRate(input: string): ParsedRate {
  const text = input.trim();
  if (/^1\s*:\s*\d+$/.test(text))
    return refuse(
      `"${text}" is one part in, or one part to, so many of water: say it as mL in each litre, such as 5 mL/L.`,
    );
  const [, left = '', right = ''] = /^(.+?\D)(?:\/|\bper\b|\b(?:in|to|for) (?:each|every|a)\b)(.+)$/i.exec(text) ?? [];
  if (left === '') return refuse(`Read "${text.slice(0, 40)}", expected a rate such as ${EXAMPLES}.`);
  const [, first, rest = left] = /^\s*([^–-]*?\d[^–-]*?)\s*(?:–|-|\bto\b)\s*(?=[\d.½⅓⅔¼¾⅛⅜⅝⅞])(.*)$/i.exec(left) ?? [];
  const byMass = parseQuantity(rest, 'mass');
  const most = byMass.ok ? byMass : parseQuantity(rest, 'volume');
  if (!most.ok)
    return most.which
      ? most
      : refuse(`Read "${left.trim().slice(0, 40)}", expected a weight or a volume in a rate such as ${EXAMPLES}.`);
  const low = first === undefined ? undefined : parseQuantity(first, most.unit.dimension, most.unit.symbol);
  if (low && !low.ok) return low;
  const least = low && (low.unit === most.unit ? low.value : (low.value * low.unit.factor) / most.unit.factor);
  if (most.value <= 0 || (least !== undefined && (least < 0 || least > most.value)))
    return refuse(`Read "${left.trim().slice(0, 40)}", expected more than nothing, the least before the most.`);
  const per = readPer(right, most.unit.dimension === 'volume');
  if (!('per' in per)) return per;
  return {
    ok: true,
    rate: {
      amount: most.value,
      ...(least !== undefined && least < most.value ? { least } : {}),
      unit: most.unit.symbol,
      per: per.per,
    },
  };
}
