import {
  formatGivenRange,
  isExact,
  parseDay,
  parseQuantityRange,
  parseRate,
  printDay,
  printRate,
  rateBasis,
  tooLong,
  type Range,
} from '../quantity/index.js';
import type { Amount, WaterGiven, When } from './application.js';
import { GROWTH_STAGES, type GrowthStage } from './demand.js';

export type ParsedAmount =
  { readonly ok: true; readonly amount: Amount } | { readonly ok: false; readonly reason: string };
export type ParsedWhen = { readonly ok: true; readonly when: When } | { readonly ok: false; readonly reason: string };

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

const STAGE_WORDS: Readonly<Record<GrowthStage, string>> = {
  planting: 'at planting',
  quarter: 'at a quarter of its uptake',
  half: 'at half of its uptake',
  threeQuarters: 'at three quarters of its uptake',
  end: 'at the end of its uptake',
};
const WHENS =
  '2 May 2026, at planting, 20 days after planting, at half of its uptake, or every 14 days, 1 May 2026 to 15 Jul 2026';
const UNIT_DAYS = { day: 1, week: 7 } as const;

/**
 * Reads when something is given.
 * @example parseWhen('every 2 weeks from 1 May 2026 to 15 Jul 2026')
 * @example parseWhen('20 days after planting')
 */
export function parseWhen(input: string): ParsedWhen {
  const long = tooLong(input, `a time such as ${WHENS}`);
  if (long) return { ok: false, reason: long };
  const text = input.trim();
  const [, every, unit, from, to] =
    /^every\s+(?:(\d{1,3})\s+)?(day|week)s?,?\s*(?:from\s+)?(.+?)\s+(?:to|until|–|-)\s+(.+)$/i.exec(text) ?? [];
  if (unit !== undefined && from !== undefined && to !== undefined) {
    const [first, last] = [parseDay(from), parseDay(to)];
    if (!first.ok) return first;
    if (!last.ok) return last;
    if (last.value < first.value)
      return { ok: false, reason: `Read ${printDay(last.value)}, expected a day after ${printDay(first.value)}.` };
    const everyDays = Number(every ?? 1) * UNIT_DAYS[unit.toLowerCase() as 'day' | 'week'];
    if (everyDays < 1 || everyDays > 366)
      return { ok: false, reason: `Read every ${everyDays} days, expected 1 to 366.` };
    return { ok: true, when: { kind: 'repeat', from: first.value, to: last.value, everyDays } };
  }
  const [, count, span, side] = /^(\d{1,4})\s+(day|week)s?\s+(after|before)\s+(?:planting|sowing)$/i.exec(text) ?? [];
  if (count !== undefined && span !== undefined) {
    const days = Number(count) * UNIT_DAYS[span.toLowerCase() as 'day' | 'week'];
    return { ok: true, when: { kind: 'afterPlanting', days: side?.toLowerCase() === 'before' ? -days : days } };
  }
  if (/^at (?:planting|sowing)$/i.test(text)) return { ok: true, when: { kind: 'afterPlanting', days: 0 } };
  const stage = GROWTH_STAGES.find((s) => STAGE_WORDS[s] === text.toLowerCase());
  if (stage) return { ok: true, when: { kind: 'stage', stage } };
  const day = parseDay(text);
  if (day.ok) return { ok: true, when: { kind: 'date', on: day.value } };
  return {
    ok: false,
    reason: day.reason.includes(' or ') ? day.reason : `Read "${text.slice(0, 40)}", expected a time such as ${WHENS}.`,
  };
}

/** A time in the words that are read back as the same. */
export function printWhen(when: When): string {
  switch (when.kind) {
    case 'date':
      return printDay(when.on);
    case 'repeat':
      return `every ${when.everyDays} days, ${printDay(when.from)} to ${printDay(when.to)}`;
    case 'stage':
      return STAGE_WORDS[when.stage];
    case 'afterPlanting':
      if (when.days === 0) return STAGE_WORDS.planting;
      return `${Math.abs(when.days)} days ${when.days < 0 ? 'before' : 'after'} planting`;
  }
}
