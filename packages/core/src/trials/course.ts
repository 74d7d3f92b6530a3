import { daysBetween, findUnit } from '../quantity/index.js';

export const OUTCOME_KINDS = ['number', 'harvest', 'timed', 'count', 'score'] as const;
export type OutcomeKind = (typeof OUTCOME_KINDS)[number];
export const OUTCOME_WORDS: Readonly<Record<OutcomeKind, string>> = {
  number: 'a number, again and again',
  harvest: 'what is harvested, added up',
  timed: 'how long it takes',
  count: 'a count',
  score: 'a score of 1 to 5',
};
/** What cannot be less: nothing is harvested, counted or timed below 0, and no score is below 1. */
const LEAST: Readonly<Record<OutcomeKind, number | undefined>> = {
  number: undefined,
  harvest: 0,
  timed: 0,
  count: 0,
  score: 1,
};
/** The least an outcome can be; of a number 0 where it is a mass, length, area or volume. @example leastOf({ kind: 'number', unit: 'cm' }) // 0 */
export function leastOf({ kind, unit }: Pick<TrialOutcome, 'kind' | 'unit'>): number | undefined {
  if (kind !== 'number') return LEAST[kind];
  const dimension = findUnit(unit)?.dimension;
  return dimension === 'mass' || dimension === 'length' || dimension === 'area' || dimension === 'volume'
    ? 0
    : undefined;
}
/** Something that is measured in every unit. */
export interface TrialOutcome {
  readonly key: string;
  readonly name: string;
  readonly kind: OutcomeKind;
  readonly unit: string;
  /** Which way is better. */
  readonly better: 'more' | 'less';
}
/** One value of one unit on one day. */
export interface TrialReading {
  readonly measure: string;
  readonly unit: number;
  /** ISO date. */
  readonly on: string;
  readonly value: number;
  /** Of a timed run: whether it was not over yet when watching stopped. */
  readonly notOver?: boolean | undefined;
}
const sorted = (readings: readonly TrialReading[]): readonly TrialReading[] =>
  [...readings].sort((a, b) => a.on.localeCompare(b.on));

/** How a course of one unit is told in one number. */
export const SUMMARIES = ['last', 'slope', 'area'] as const;
export type CourseSummary = (typeof SUMMARIES)[number];

/** Change a day, by least squares; undefined below two days. @example slopeOf(readings) // 1.2 cm a day */
export function slopeOf(readings: readonly TrialReading[]): number | undefined {
  const [first, ...rest] = sorted(readings);
  if (!first || rest.length === 0) return undefined;
  const points = readings.map((r) => [daysBetween(first.on, r.on), r.value] as const);
  const mean = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0) / of.length;
  const [mx, my] = [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))];
  const spread = points.reduce((all, [x]) => all + (x - mx) ** 2, 0);
  return spread > 0 ? points.reduce((all, [x, y]) => all + (x - mx) * (y - my), 0) / spread : undefined;
}
/** Mean over the days between the first and the last, by trapezes; undefined below two days. */
export function areaOf(readings: readonly TrialReading[]): number | undefined {
  const all = sorted(readings);
  const [first] = all;
  const last = all.at(-1);
  const days = first && last ? daysBetween(first.on, last.on) : 0;
  if (days <= 0) return undefined;
  const area = all.slice(1).reduce((sum, r, i) => {
    const before = all[i] ?? r;
    return sum + (daysBetween(before.on, r.on) * (before.value + r.value)) / 2;
  }, 0);
  return area / days;
}

/**
 * What one unit comes to in one measure: harvests added up, the rest by its last value, its slope or the mean of its course; NaN where there is none.
 * @param until the last day that counts
 */
export function valueOf(
  measure: TrialOutcome,
  readings: readonly TrialReading[],
  summary: CourseSummary = 'last',
  until?: string,
): number {
  const own = readings.filter((r) => r.measure === measure.key && (until === undefined || r.on <= until));
  if (own.length === 0) return Number.NaN;
  if (measure.kind === 'harvest') return own.reduce((sum, r) => sum + r.value, 0);
  if (summary === 'slope') return slopeOf(own) ?? Number.NaN;
  if (summary === 'area') return areaOf(own) ?? Number.NaN;
  return sorted(own).at(-1)?.value ?? Number.NaN;
}

/** Water that went in, mm a minute, so that pots of other sizes compare. @example mmPerMinute(1, 0.07, 5) // a litre on 0.07 m² in 5 minutes is 2.9 */
export function mmPerMinute(litres: number, areaM2: number, minutes: number): number {
  if (!(areaM2 > 0 && minutes > 0)) throw new RangeError('Expected ground and minutes above zero.');
  return litres / areaM2 / minutes;
}

/** A value that does not fit the course of its own unit: it is asked about. */
export interface Odd {
  readonly reading: TrialReading;
  readonly why: string;
}
/** Other readings than this of a unit say too little to call one odd. */
const LEAST_COURSE = 3;
const FAR = 4;
/**
 * Values of one day that do not fit the course of their unit: each step from the value before is set against the median of the steps of all other units.
 * A tenfold slip of the pen stands out, a storm that laid all units does not.
 * @param day values of one measure on one day
 * @param all readings there are; what is of another measure, or not from before, is passed over
 * @param unit what it is measured in, for the words
 */
export function oddOnes(day: readonly TrialReading[], all: readonly TrialReading[], unit = ''): readonly Odd[] {
  const [first] = day;
  if (!first) return [];
  const before = new Map<number, TrialReading>();
  for (const r of all) {
    const last = before.get(r.unit);
    if (r.measure === first.measure && r.on < first.on && (!last || r.on > last.on)) before.set(r.unit, r);
  }
  const steps = day.flatMap((reading) => {
    const last = before.get(reading.unit);
    return last ? [{ reading, last: last.value, step: reading.value - last.value }] : [];
  });
  if (steps.length <= LEAST_COURSE) return [];
  const of = unit === '' ? '' : ` ${unit}`;
  return steps.flatMap(({ reading, last, step }): readonly Odd[] => {
    const others = steps.filter((s) => s.reading !== reading).map((s) => s.step);
    const middle = median(others);
    const spread = median(others.map((s) => Math.abs(s - middle))) * 1.4826;
    const least = 0.1 * Math.max(Math.abs(last), Math.abs(middle));
    if (Math.abs(step - middle) <= FAR * Math.max(spread, least)) return [];
    return [
      {
        reading,
        why: `it was ${last}${of} before, and the others changed by about ${Number(middle.toPrecision(3))}${of}`,
      },
    ];
  });
}
export function median(values: readonly number[]): number {
  const all = [...values].sort((a, b) => a - b);
  const half = Math.floor(all.length / 2);
  return all.length % 2 === 1
    ? (all[half] ?? Number.NaN)
    : ((all[half - 1] ?? Number.NaN) + (all[half] ?? Number.NaN)) / 2;
}
