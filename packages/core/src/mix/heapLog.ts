import { daysBetween } from '../quantity/index.js';

/** What was found or done at a heap on a day. */
export interface HeapEntry {
  /** ISO date. */
  readonly on: string;
  /** In the middle of it, °C. */
  readonly celsius: number | undefined;
  readonly turned: boolean;
}

/** How far a heap is: not measured, warming up, hot, cooling after it was hot, ripening since, or cold without having been hot. */
export type HeapPhase = 'notMeasured' | 'warming' | 'hot' | 'cooling' | 'ripening' | 'neverHot';

/** °C: from here on it is hot; where weeds and germs suffer; and above which its own helpers die. */
export const HEAP_HEAT = { hot: 45, killing: 55, tooHot: 70, cool: 30 } as const;
/** A heap that has not come to be hot in so many days will not by itself. */
const TIME_TO_WARM_DAYS = 14;
/** Cool for so many days after the heat, it ripens. */
const RIPENS_AFTER_DAYS = 14;

export interface HeapCourse {
  readonly phase: HeapPhase;
  /** Days from its first to its last reading at 55 °C or above, each stretch counted by itself. */
  readonly killingDays: number;
  /** How often it was turned while it was that hot. */
  readonly turnedHot: number;
  readonly hottest: number | undefined;
  /** What to do now, as it is said. */
  readonly advice: string;
}

type Measured = HeapEntry & { readonly celsius: number };

/** Days at or above 55 °C: each stretch of readings in a row, its first and last day counted. */
function killing(readings: readonly Measured[]): number {
  let days = 0;
  let from: string | undefined;
  let to: string | undefined;
  const close = (): void => {
    if (from !== undefined && to !== undefined) days += daysBetween(from, to) + 1;
    from = undefined;
  };
  for (const { on, celsius } of readings) {
    if (celsius < HEAP_HEAT.killing) close();
    else {
      from ??= on;
      to = on;
    }
  }
  close();
  return days;
}

function phaseOf(readings: readonly Measured[], last: Measured): HeapPhase {
  const { hot, cool } = HEAP_HEAT;
  const first = readings[0] ?? last;
  const heated = readings.filter((r) => r.celsius >= hot);
  const lastHot = heated.at(-1);
  if (!lastHot) return daysBetween(first.on, last.on) >= TIME_TO_WARM_DAYS ? 'neverHot' : 'warming';
  if (last.celsius >= hot) return 'hot';
  return last.celsius < cool && daysBetween(lastHot.on, last.on) >= RIPENS_AFTER_DAYS ? 'ripening' : 'cooling';
}

const ADVICE: Readonly<Record<HeapPhase, string>> = {
  notMeasured: 'Push a long thermometer into the middle every few days and write down what it says.',
  warming: 'It is warming up. Measure again in two or three days.',
  hot: 'It is hot. Keep it moist, and turn it when it begins to cool.',
  cooling: 'It cools. Turn it and moisten it: if it warms up again, it is not done.',
  ripening: 'It stayed cool after its heat. Let it ripen, and test it with cress before it meets young plants.',
  neverHot:
    'It has not become hot. Look for water first, then nitrogen, then air and size: under a cubic metre it seldom heats.',
};

/**
 * How far a heap is, by its temperatures.
 * @param log in any order
 * @example heapCourse([{ on: '2026-04-01', celsius: 20, turned: false }, { on: '2026-04-05', celsius: 58, turned: false }]).phase // 'hot'
 */
export function heapCourse(log: readonly HeapEntry[]): HeapCourse {
  const days = [...log].sort((a, b) => a.on.localeCompare(b.on));
  const readings = days.filter((e): e is Measured => e.celsius !== undefined);
  const last = readings.at(-1);
  if (!last)
    return { phase: 'notMeasured', killingDays: 0, turnedHot: 0, hottest: undefined, advice: ADVICE.notMeasured };
  const hottest = Math.max(...readings.map((r) => r.celsius));
  // It was that hot when it was turned, if the reading of that day or the one before says so.
  const hotAt = (on: string): boolean => (readings.filter((r) => r.on <= on).at(-1)?.celsius ?? 0) >= HEAP_HEAT.killing;
  const phase = phaseOf(readings, last);
  return {
    phase,
    killingDays: killing(readings),
    turnedHot: days.filter((e) => e.turned && hotAt(e.on)).length,
    hottest,
    advice:
      last.celsius > HEAP_HEAT.tooHot
        ? 'Above 70 °C what works in it dies, and it can catch fire when it is large and dry. Turn it and water it now.'
        : ADVICE[phase],
  };
}
