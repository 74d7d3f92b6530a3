import { bagAs, PLAIN_WATER, type ComputedRow, type Doing, type Where } from '../season/index.js';
import { taskKey } from './round.js';
import { standing, type LogEntry } from './went.js';

/** Where something went, as far as an entry says it: depths and rings are what is usual. */
const USUAL_WHERE: Readonly<Partial<Record<Where['kind'], Where>>> = {
  workedIn: { kind: 'workedIn', depthM: 0.1 },
  ring: { kind: 'ring', innerM: 0.2, outerM: 0.6 },
};
const whereOf = (kind: Where['kind'] = 'surface'): Where => USUAL_WHERE[kind] ?? ({ kind } as Where);

/** One entry of the log as what a programme would say of it: a row for each bag, on its day and its share of the ground. */
function doingsOf({ on, items, areaM2, where }: LogEntry, groundM2: number): readonly Doing[] {
  const rest = {
    when: { kind: 'date', on },
    where: whereOf(where),
    part: { share: Math.min(1, areaM2 / groundM2) },
  } as const;
  return items.map(({ product, amount, unit }) => ({
    application: { ...rest, amount: { kind: 'whole', amount: { low: amount, mid: amount, high: amount }, unit } },
    given: product
      ? bagAs(product)
      : { ...PLAIN_WATER, name: 'A bag that is not here', unknown: 'The bag is not here.' },
  }));
}

/**
 * What was done, as a programme: every entry that stands and used something.
 * @param groundM2 ground of the season
 * @example doneAsProgramme(entriesOfTheSeason, 900).length
 */
export const doneAsProgramme = (entries: readonly LogEntry[], groundM2: number): readonly Doing[] =>
  standing(entries).flatMap((e) => doingsOf(e, groundM2));

/**
 * A programme as it really goes: up to today the log stands in the place of the plan, what was ticked off as it went, what was left out not at all; from
 * today on the plan holds for what is not ticked off yet.
 * @param rows of the programme in numbers, with their days; a row whose days are not known stays as it is
 * @param entries of the season, those that were corrected too
 * @param today ISO date
 * @example asDone(rows, 'p', entries, '2026-05-10', 900) // what went on before 10 May as it was logged, what is planned after it as planned
 */
export function asDone(
  rows: readonly ComputedRow[],
  programmeId: string,
  entries: readonly LogEntry[],
  today: string,
  groundM2: number,
): readonly Doing[] {
  // A correction stands in the place of the entry that ticked the task off: it stays ticked off.
  const ticked = new Set(entries.flatMap((e) => e.task ?? []));
  const planned = rows.flatMap(({ doing, dates }, i): Doing[] => {
    if (!dates) return [doing];
    return dates
      .filter((on) => on >= today && !ticked.has(taskKey(programmeId, i, on)))
      .map((on) => ({ ...doing, application: { ...doing.application, when: { kind: 'date', on } } }));
  });
  return [...doneAsProgramme(entries, groundM2), ...planned];
}
