import { compoundPerElement, type Basis, type Nutrient } from '../nutrient/index.js';
import { parseQuantityRange, parseRate, scaleRange, findUnit, type Range } from '../quantity/index.js';

/** What a laboratory recommends to give, kg of the element per ha. */
export type Advice = Readonly<Partial<Record<Nutrient, Range>>>;
export type ParsedAdvice =
  { readonly ok: true; readonly advice: Advice } | { readonly ok: false; readonly reason: string };

const NAMES: Readonly<Record<string, readonly [Nutrient, Basis]>> = {
  N: ['N', 'element'],
  P: ['P', 'element'],
  P2O5: ['P', 'P2O5'],
  K: ['K', 'element'],
  K2O: ['K', 'K2O'],
  MG: ['Mg', 'element'],
  MGO: ['Mg', 'MgO'],
  CA: ['Ca', 'element'],
  CAO: ['Ca', 'CaO'],
  S: ['S', 'element'],
  SO3: ['S', 'SO3'],
};
const EXAMPLE = 'N 120, P2O5 60, K2O 80 kg/ha';
const M2_PER_HA = 10_000;
const plain = (symbol: string): string =>
  symbol.replace(/[₀-₉]/g, (digit) => String(digit.charCodeAt(0) - '₀'.charCodeAt(0))).toUpperCase();

/** The unit at the end holds for all that have none: "N 120, K2O 80 kg/ha". */
const UNIT_AT_END = /[\d½¼¾]\s*([a-z]+\s*(?:\/|per)\s*[\d,. ]*[a-z²]+(?:\s*ft)?)\s*$/i;

function kgPerHa(text: string): Range | string {
  const read = parseRate(text);
  if (!read.ok) return read.reason;
  const { amount, least = amount, unit, per } = read.rate;
  const [mass, ground] = [findUnit(unit), findUnit(per.unit)];
  if (mass?.dimension !== 'mass' || ground?.dimension !== 'area')
    return `Read “${text}”, expected a weight for an area, such as 120 kg/ha.`;
  const factor = (mass.factor * M2_PER_HA) / (per.amount * ground.factor);
  return { low: least * factor, mid: ((least + amount) / 2) * factor, high: amount * factor };
}

/**
 * Reads what a laboratory recommends, as it is written on a slip: names with amounts, in kg/ha unless another unit stands with them or at the end.
 * @example parseAdvice('N 120, P2O5 60 kg/ha') // { ok: true, advice: { N: 120, P: 26.2 } }
 */
export function parseAdvice(text: string): ParsedAdvice {
  const unit = UNIT_AT_END.exec(text)?.[1] ?? 'kg/ha';
  const advice: Partial<Record<Nutrient, Range>> = {};
  for (const part of text.split(/[;\n]|,(?=\s*[A-Za-z])/)) {
    const written = part.trim();
    if (written === '') continue;
    const [, symbol = '', rest = ''] = /^([A-Za-z][A-Za-z0-9₀-₉]*)\s*[:=]?\s+(.+)$/.exec(written) ?? [];
    const named = Object.hasOwn(NAMES, plain(symbol)) ? NAMES[plain(symbol)] : undefined;
    if (!named) return { ok: false, reason: `Read “${written.slice(0, 40)}”, expected such as ${EXAMPLE}.` };
    const amount = kgPerHa(parseQuantityRange(`${rest} kg`, 'mass').ok ? `${rest} ${unit}` : rest);
    if (typeof amount === 'string') return { ok: false, reason: amount };
    const [nutrient, basis] = named;
    if (advice[nutrient]) return { ok: false, reason: `Read ${nutrient} twice, expected it once.` };
    advice[nutrient] = scaleRange(amount, 1 / compoundPerElement(basis));
  }
  return { ok: true, advice };
}
