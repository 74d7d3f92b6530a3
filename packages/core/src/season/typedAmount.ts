import {
  formatGivenRange,
  isExact,
  parseQuantityRange,
  parseRate,
  printRate,
  rateBasis,
  tooLong,
  type Range,
} from '../quantity/index.js';
import type { Amount, WaterGiven } from './application.js';

export type ParsedAmount =
  { readonly ok: true; readonly amount: Amount } | { readonly ok: false; readonly reason: string };

const AMOUNTS = '40 g/m², 20 g/plant, 5 mL/L of water and 2 L/plant, 3 × 250 mL per m², 2 cm, or 10 kg for all of it';
const PER_WORDS = {
  plant: /^(?:plants?|pots?|bush(?:es)?|trees?)$/i,
  'm²': /^(?:m²|m2|sq\.? ?m|square metres?)$/i,
} as const;
const perOf = (word: string): WaterGiven['per'] | undefined =>
  PER_WORDS.plant.test(word) ? 'plant' : PER_WORDS['m²'].test(word) ? 'm²' : undefined;

const scaled = ({ low, mid, high }: Range, factor: number): Range => ({
  low: low * factor,
  mid: mid * factor,
  high: high * factor,
});

/** Litres of feed: "2 L/plant", "1.5–2.5 L per m²", or "10 L" on all of the part. */
function parseWater(text: string): { readonly water: WaterGiven } | { readonly reason: string } {
  const [, amount = text, word] = /^(.*?)\s*(?:\/|\bper\b|\bfor each\b)\s*(\S.*)$/i.exec(text) ?? [];
  const per = word === undefined ? 'part' : perOf(word.trim());
  if (!per)
    return { reason: `Read "${text}", expected the water given such as 2 L/plant, 5 L/m² or 10 L for all of it.` };
  const read = parseQuantityRange(amount.replace(/\bfor all(?: of it)?$/i, '').trim(), 'volume');
  return read.ok ? { water: { litres: scaled(read.range, read.unit.factor), per } } : { reason: read.reason };
}

/** So many cans or scoops: "3 × 250 mL per m²". */
function parseMeasure(text: string): Amount | { readonly reason: string } | undefined {
  const [, count, holds, word] =
    /^([\d.,–-]+)\s*(?:[x×]|(?:cans?|scoops?|cups?|buckets?) of)\s*(.+?)(?:\s*(?:\/|\bper\b)\s*(\S.*))?$/i.exec(text) ??
    [];
  if (count === undefined || holds === undefined) return undefined;
  const per = word === undefined ? 'part' : perOf(word.trim());
  if (!per) return { reason: `Read "${word}", expected plant or m².` };
  const number = parseQuantityRange(`${count} m`, 'length');
  if (!number.ok) return { reason: number.reason };
  const mass = parseQuantityRange(holds, 'mass');
  const read = mass.ok ? mass : parseQuantityRange(holds, 'volume');
  if (!read.ok) return { reason: read.reason };
  if (!isExact(read.range)) return { reason: `Read "${holds}", expected one size of the can or scoop.` };
  return { kind: 'measure', count: number.range, holds: { amount: read.range.mid, unit: read.unit.symbol }, per };
}

/**
 * Reads how much is given, as people say it; rates are those of label directions.
 * @example parseAmount('40 g/m²') // a rate
 * @example parseAmount('5 mL/L of water, 2 L/plant') // a rate in water, and the water
 * @example parseAmount('3 × 250 mL per m²') // scoops
 * @example parseAmount('2–3 cm') // a layer
 * @example parseAmount('10 kg') // on all of the part
 */
export function parseAmount(input: string): ParsedAmount {
  const long = tooLong(input, `an amount such as ${AMOUNTS}`);
  if (long) return { ok: false, reason: long };
  const text = input.trim();
  const measure = parseMeasure(text);
  if (measure) return 'reason' in measure ? { ok: false, reason: measure.reason } : { ok: true, amount: measure };
  const [first = '', second] = text.split(/\s*(?:[;,]\s|\band\b)\s*/);
  const rate = parseRate(second === undefined ? text : first);
  if (rate.ok) {
    if (rate.nutrient)
      return {
        ok: false,
        reason: `Read an amount of ${rate.nutrient}, expected one of what is given, such as ${AMOUNTS}.`,
      };
    if (second === undefined) return { ok: true, amount: { kind: 'rate', rate: rate.rate } };
    if (rateBasis(rate.rate) !== 'water')
      return { ok: false, reason: `Read "${second}" behind the rate, expected it only behind a rate in water.` };
    const water = parseWater(second);
    return 'water' in water
      ? { ok: true, amount: { kind: 'rate', rate: rate.rate, water: water.water } }
      : { ok: false, reason: water.reason };
  }
  if (/\/|\bper\b/.test(text)) return { ok: false, reason: rate.reason };
  const bare = text.replace(/\s*\b(?:thick|deep|layer|for all(?: of it)?)$/i, '');
  const layer = parseQuantityRange(bare, 'length');
  if (layer.ok) return { ok: true, amount: { kind: 'layer', thicknessM: scaled(layer.range, layer.unit.factor) } };
  const mass = parseQuantityRange(bare, 'mass');
  const whole = mass.ok ? mass : parseQuantityRange(bare, 'volume');
  if (whole.ok) return { ok: true, amount: { kind: 'whole', amount: whole.range, unit: whole.unit.symbol } };
  return { ok: false, reason: `Read "${text.slice(0, 40)}", expected an amount such as ${AMOUNTS}.` };
}

const perWords = (per: WaterGiven['per']): string => (per === 'part' ? '' : `/${per}`);

/** An amount in the words that are read back as the same. */
export function printAmount(amount: Amount): string {
  switch (amount.kind) {
    case 'rate':
      return `${printRate(amount.rate)}${amount.water ? `, ${formatGivenRange(amount.water.litres)} L${perWords(amount.water.per)}` : ''}`;
    case 'measure':
      return `${formatGivenRange(amount.count)} × ${amount.holds.amount} ${amount.holds.unit}${perWords(amount.per)}`;
    case 'layer':
      return `${formatGivenRange(scaled(amount.thicknessM, 100))} cm`;
    case 'whole':
      return `${formatGivenRange(amount.amount)} ${amount.unit}`;
  }
}
