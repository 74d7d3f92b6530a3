import { inputOf, type TrialInput, type TrialRecord } from '@wheat-ledger/contract';

/** A day a year later; 29 February becomes the 28th. */
const yearLater = (day: string): string => `${Number(day.slice(0, 4)) + 1}${day.slice(4).replace('-02-29', '-02-28')}`;

/**
 * The same trial for the year after: the same question and arms, read a year later, not begun.
 * @param seed a new one gives every arm other places; without it each arm stays where it was, and what was given there is carried over
 */
export function nextYear(trial: TrialRecord, seed?: number): TrialInput {
  const { startedOn, gardens, ...kept } = inputOf(trial) as TrialInput;
  // What belongs to the year that is over stays there.
  const over = startedOn !== undefined || gardens !== undefined;
  const until = yearLater(trial.until);
  const base = trial.name.replace(/, \d{4}$/, '').slice(0, 112);
  return {
    ...kept,
    name: `${base}, ${until.slice(0, 4)}`,
    until,
    seed: seed ?? trial.seed,
    usedLastYear: seed === undefined && over,
    odd: [],
    follows: trial.id,
  };
}

/** A trial with those of the years before it, the oldest first. */
export function chainOf(trial: TrialRecord, all: readonly TrialRecord[]): readonly TrialRecord[] {
  const chain: TrialRecord[] = [];
  let at: TrialRecord | undefined = trial;
  while (at && !chain.includes(at)) {
    chain.unshift(at);
    const before: string | undefined = at.follows;
    at = all.find((t) => t.id === before);
  }
  return chain;
}
