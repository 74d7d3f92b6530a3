import { parseDay, printDay, tooLong } from '../quantity/index.js';
import type { When } from './application.js';
import { GROWTH_STAGES, type GrowthStage } from './demand.js';

export type ParsedWhen = { readonly ok: true; readonly when: When } | { readonly ok: false; readonly reason: string };

const STAGE_WORDS: Readonly<Record<GrowthStage, string>> = {
  planting: 'at planting',
  quarter: 'at a quarter of its uptake',
  half: 'at half of its uptake',
  threeQuarters: 'at three quarters of its uptake',
  end: 'at the end of its uptake',
};
const WHENS =
  '2 May 2026, at planting, 20 days after planting, at half of its uptake, or every 14 days, 1 May to 15 Jul 2026';
const UNIT_DAYS = { day: 1, week: 7 } as const;

const daysIn = (count: string, unit: string): number => Number(count) * UNIT_DAYS[unit.toLowerCase() as 'day' | 'week'];
const refuse = (reason: string): ParsedWhen => ({ ok: false, reason });

/** The first day of a span, which may leave its year to the last one: 1 Nov to 15 Feb 2027 begins in 2026. */
function parseFirst(text: string, last: string): ReturnType<typeof parseDay> {
  if (/\d{4}/.test(text)) return parseDay(text);
  const year = Number(last.slice(0, 4));
  const same = parseDay(`${text} ${year}`);
  return same.ok && same.value > last ? parseDay(`${text} ${year - 1}`) : same;
}

/** "every 14 days, 1 May to 15 Jul 2026"; undefined when it is not said so. */
function parseRepeat(text: string): ParsedWhen | undefined {
  const [, every = '1', unit, from, to] =
    /^every\s+(?:(\d{1,3})\s+)?(day|week)s?,?\s*(?:from\s+)?(.+?)\s+(?:to|until|–|-)\s+(.+)$/i.exec(text) ?? [];
  if (unit === undefined || from === undefined || to === undefined) return undefined;
  const last = parseDay(to);
  if (!last.ok) return last;
  const first = parseFirst(from, last.value);
  if (!first.ok) return first;
  if (last.value < first.value)
    return refuse(`Read ${printDay(last.value)}, expected a day after ${printDay(first.value)}.`);
  const everyDays = daysIn(every, unit);
  if (everyDays < 1 || everyDays > 366) return refuse(`Read every ${everyDays} days, expected 1 to 366.`);
  return { ok: true, when: { kind: 'repeat', from: first.value, to: last.value, everyDays } };
}

/** "20 days after planting", "at sowing"; undefined when it is not said so. */
function parseFromPlanting(text: string): ParsedWhen | undefined {
  if (/^at (?:planting|sowing)$/i.test(text)) return { ok: true, when: { kind: 'afterPlanting', days: 0 } };
  const [, count, unit, side] = /^(\d{1,4})\s+(day|week)s?\s+(after|before)\s+(?:planting|sowing)$/i.exec(text) ?? [];
  if (count === undefined || unit === undefined) return undefined;
  const days = daysIn(count, unit);
  return { ok: true, when: { kind: 'afterPlanting', days: side?.toLowerCase() === 'before' ? -days : days } };
}

/**
 * Reads when something is given.
 * @example parseWhen('every 2 weeks from 1 May to 15 Jul 2026')
 * @example parseWhen('20 days after planting')
 */
export function parseWhen(input: string): ParsedWhen {
  const long = tooLong(input, `a time such as ${WHENS}`);
  if (long) return refuse(long);
  const text = input.trim();
  const told = parseRepeat(text) ?? parseFromPlanting(text);
  if (told) return told;
  const stage = GROWTH_STAGES.find((s) => STAGE_WORDS[s] === text.toLowerCase());
  if (stage) return { ok: true, when: { kind: 'stage', stage } };
  const day = parseDay(text);
  if (day.ok) return { ok: true, when: { kind: 'date', on: day.value } };
  return refuse(
    day.reason.includes(' or ') ? day.reason : `Read "${text.slice(0, 40)}", expected a time such as ${WHENS}.`,
  );
}

/** Two days, the year said once where it is the same. */
const printSpan = (from: string, to: string): string =>
  `${from.slice(0, 4) === to.slice(0, 4) ? printDay(from).replace(/ \d{4}$/, '') : printDay(from)} to ${printDay(to)}`;

/** A time in the words that are read back as the same. */
export function printWhen(when: When): string {
  switch (when.kind) {
    case 'date':
      return printDay(when.on);
    case 'repeat':
      return `every ${when.everyDays} days, ${printSpan(when.from, when.to)}`;
    case 'stage':
      return STAGE_WORDS[when.stage];
    case 'afterPlanting':
      if (when.days === 0) return STAGE_WORDS.planting;
      return `${Math.abs(when.days)} days ${when.days < 0 ? 'before' : 'after'} planting`;
  }
}
