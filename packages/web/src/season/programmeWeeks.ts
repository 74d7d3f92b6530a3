import Papa from 'papaparse';
import { addDays, weekly, type ProgrammeRelease } from '@wheat-ledger/core';

/** A programme by the end of a week, kg N/ha; what is not known is missing. */
export interface ProgrammeWeek {
  readonly week: number;
  readonly date: string;
  readonly given: number;
  readonly available: number;
  readonly soil?: number;
  readonly demand?: number;
  readonly takenUp: number;
  /** What the crop wanted by then and did not get. */
  readonly short?: number;
  /** What lies unused in the soil. */
  readonly over: number;
  readonly lost: number;
}

/** A followed programme week by week. @param from the season's first day */
export function programmeWeeks(release: ProgrammeRelease, from: string): readonly ProgrammeWeek[] {
  const { run, soilAlone, given, demandKgPerHa } = release;
  const lost = run.leached.map((n, d) => n + (run.volatilised[d] ?? 0) + (run.denitrified[d] ?? 0));
  const [all, available, taken, mineral, gone, soil, wanted] = [
    given,
    run.available,
    run.takenUp,
    run.mineral,
    lost,
    soilAlone?.available ?? [],
    demandKgPerHa ?? [],
  ].map((v) => weekly(v));
  return (all ?? []).map((g, week): ProgrammeWeek => {
    const takenUp = taken?.[week] ?? 0;
    const demand = demandKgPerHa ? (wanted?.[week] ?? 0) : undefined;
    return {
      week,
      date: addDays(from, week * 7),
      given: g,
      available: available?.[week] ?? 0,
      takenUp,
      over: Math.max(0, mineral?.[week] ?? 0),
      lost: gone?.[week] ?? 0,
      ...(soilAlone ? { soil: soil?.[week] ?? 0 } : {}),
      ...(demand === undefined ? {} : { demand, short: Math.max(0, demand - takenUp) }),
    };
  });
}

const HEADINGS = [
  ['week', 'week'],
  ['date', 'by'],
  ['given', 'given, kg N/ha'],
  ['available', 'available, kg N/ha'],
  ['soil', 'soil alone, kg N/ha'],
  ['demand', 'crop wants, kg N/ha'],
  ['takenUp', 'taken up, kg N/ha'],
  ['short', 'short, kg N/ha'],
  ['over', 'unused in the soil, kg N/ha'],
  ['lost', 'lost, kg N/ha'],
] as const satisfies readonly (readonly [keyof ProgrammeWeek, string])[];

const cell = (value: number | string | undefined): number | string =>
  typeof value === 'number' ? Number(value.toFixed(2)) : (value ?? '');
/** The weeks as a CSV file; what is not known is an empty cell. */
export const weeksCsv = (weeks: readonly ProgrammeWeek[]): string =>
  Papa.unparse({
    fields: HEADINGS.map(([, words]) => words),
    data: weeks.map((w) => HEADINGS.map(([key]) => cell(w[key]))),
  });

const SHARES: readonly (readonly [least: number, words: string])[] = [
  [0.95, 'nearly all'],
  [0.85, 'nine tenths'],
  [0.77, 'four fifths'],
  [0.7, 'three quarters'],
  [0.62, 'two thirds'],
  [0.55, 'three fifths'],
  [0.45, 'about half'],
  [0.36, 'two fifths'],
  [0.29, 'a third'],
  [0.22, 'a quarter'],
  [0.15, 'a fifth'],
  [0.07, 'a tenth'],
];
/** A share as people say it. @example shareWords(0.51) // 'about half' */
export const shareWords = (share: number): string => SHARES.find(([least]) => share >= least)?.[1] ?? 'next to nothing';

/**
 * What a programme does, as a label would say it: when a half and four fifths of what was given can be had, and what never is.
 * @returns undefined where nothing is given
 */
export function weeksSentence(weeks: readonly ProgrammeWeek[]): string | undefined {
  const end = weeks.at(-1);
  if (!end || end.given <= 0) return undefined;
  const ofGiven = (w: ProgrammeWeek): number => (w.available - (w.soil ?? 0)) / end.given;
  const by = (share: number): ProgrammeWeek | undefined => weeks.find((w) => ofGiven(w) >= share);
  const [half, most] = [by(0.5), by(0.8)];
  const rest = 1 - ofGiven(end);
  const parts = [
    half ? `about half by week ${half.week}` : `${shareWords(Math.max(0, ofGiven(end)))} by week ${end.week}`,
    ...(most && most !== half ? [`four fifths by week ${most.week}`] : []),
  ];
  const never = rest >= 0.07 ? `; ${shareWords(rest)} does not come to the crop within ${end.week} weeks` : '';
  return `Of what is given, ${parts.join(', ')}${never}.`;
}
