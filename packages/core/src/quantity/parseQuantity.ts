import { AMBIGUOUS_MEASURES, findUnit, type Dimension, type Unit } from './units.js';
import { parseNumber } from './parseNumber.js';

/** What a typed quantity was read as; `which` lists the measures when the word names several. */
export type ParsedQuantity =
  | { readonly ok: true; readonly value: number; readonly unit: Unit; readonly digits: number }
  | { readonly ok: false; readonly reason: string; readonly which?: readonly string[] };

/**
 * Reads a number with its unit. A bare number takes `assumedUnit`, when one is given.
 *
 * @param input text such as `50 lb`, `1/2 US cup`, `2,5 kg`
 * @param dimension the kind of quantity expected
 * @example parseQuantity('50 lb', 'mass') // { ok: true, value: 50, unit: lb, digits: 2 }
 */
export function parseQuantity(input: string, dimension: Dimension, assumedUnit?: string): ParsedQuantity {
  const text = input.trim();
  const split = /^((?:[\d\s.,/½⅓⅔¼¾⅛⅜⅝⅞+−–-]|['’](?=\d))+(?:e[+-]?\d+)?)\s*(.*)$/i.exec(text);
  if (!split)
    return {
      ok: false,
      reason: `Read "${text.slice(0, 40)}", expected a number and a unit such as ${example(dimension)}.`,
    };
  const number = parseNumber(split[1] ?? '');
  if (!number.ok) return number;
  const word = (split[2] ?? '').trim() || assumedUnit || '';
  if (word === '')
    return { ok: false, reason: `Read ${number.value} with no unit, expected one such as ${example(dimension)}.` };

  const candidates = AMBIGUOUS_MEASURES[word.toLowerCase()];
  if (candidates)
    return { ok: false, reason: `"${word}" differs by country: say ${candidates.join(' or ')}.`, which: candidates };
  const unit = findUnit(word);
  if (!unit)
    return { ok: false, reason: `Read the unit "${word.slice(0, 20)}", expected one such as ${example(dimension)}.` };
  if (unit.dimension !== dimension)
    return {
      ok: false,
      reason: `${unit.symbol} measures ${unit.dimension}, expected ${dimension} such as ${example(dimension)}.`,
    };
  return { ok: true, value: number.value, unit, digits: number.digits };
}

const EXAMPLES: Readonly<Record<Dimension, string>> = {
  mass: '20 kg or 50 lb',
  volume: '1 L or 1 US gal',
  area: '12 m² or 100 ft²',
  length: '1.2 m or 4 ft',
  fraction: '5 % or 350 mg/kg',
  density: '1.1 kg/L',
  count: '12',
};
const example = (dimension: Dimension): string => EXAMPLES[dimension];
