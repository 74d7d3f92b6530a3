import { uniformDraws } from '../quantity/index.js';
import { latinSquare, type TrialLayout } from './layout.js';

/** A unit as far as it is judged. */
export interface Placed {
  readonly arm: number;
  readonly block?: number | undefined;
  readonly row?: number | undefined;
  readonly column?: number | undefined;
  /** One value for each outcome; NaN where the unit is lost. */
  readonly values: readonly number[];
}
export interface PermuteOptions {
  readonly layout: TrialLayout;
  /** The arm that the others are set against. */
  readonly control: number;
  readonly seed?: number;
  /** Arrangements that are drawn where there are too many to go through them all. */
  readonly draws?: number;
  /** Told how far it is, 0 to 1; it stops where this returns false. */
  readonly onProgress?: (share: number) => boolean;
}
/** One arm against the control in one outcome. */
export interface ArmAgainst {
  readonly arm: number;
  readonly difference: number;
  /** The difference over its error. */
  readonly t: number;
  /** The chance of any arm standing out so far if none did anything. */
  readonly p: number;
}
export interface Permuted {
  /** For each outcome, every arm but the control. */
  readonly outcomes: readonly (readonly ArmAgainst[])[];
  readonly arrangements: number;
  /** Whether all arrangements there are were gone through. */
  readonly exact: boolean;
}

/** Up to so many arrangements all are gone through. */
export const MOST_EXACT = 50_000;
const HAIR = 1e-9;

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
/** Every order of some places. */
function* orders(n: number): Generator<readonly number[]> {
  if (n === 0) {
    yield [];
    return;
  }
  for (const rest of orders(n - 1))
    for (let at = 0; at < n; at++) yield [...rest.slice(0, at), n - 1, ...rest.slice(at)];
}

/** Units that change places with each other: those of a block, or all. */
function groupsOf(units: readonly Placed[], layout: TrialLayout): readonly (readonly number[])[] {
  if (layout !== 'blocks') return [units.map((_, i) => i)];
  const blocks = new Map<number, number[]>();
  units.forEach((u, i) => {
    const own = blocks.get(u.block ?? 0);
    if (own) own.push(i);
    else blocks.set(u.block ?? 0, [i]);
  });
  return [...blocks.values()];
}

/** Values less what the layout takes out of them, so that only arms and chance are left. */
function takenOut(units: readonly Placed[], outcome: number, layout: TrialLayout): Float64Array {
  const values = Float64Array.from(units, (u) => u.values[outcome] ?? Number.NaN);
  const centre = (keyOf: (u: Placed) => number): void => {
    const sums = new Map<number, { total: number; count: number }>();
    units.forEach((u, i) => {
      const v = values[i] ?? Number.NaN;
      if (Number.isNaN(v)) return;
      const own = sums.get(keyOf(u)) ?? { total: 0, count: 0 };
      own.total += v;
      own.count += 1;
      sums.set(keyOf(u), own);
    });
    units.forEach((u, i) => {
      const own = sums.get(keyOf(u));
      if (own) values[i] = (values[i] ?? 0) - own.total / own.count;
    });
  };
  if (layout === 'blocks') centre((u) => u.block ?? 0);
  else centre(() => 0);
  if (layout === 'latin') {
    centre((u) => u.row ?? 0);
    centre((u) => u.column ?? 0);
  }
  return values;
}

/** What is kept of one outcome for every arrangement. */
interface Judged {
  readonly values: Float64Array;
  /** Units that are there. */
  readonly present: Int32Array;
  readonly total: number;
  readonly df: number;
}
function judgedOf(units: readonly Placed[], outcome: number, layout: TrialLayout, arms: number): Judged {
  const values = takenOut(units, outcome, layout);
  const present = Int32Array.from([...values.keys()].filter((i) => !Number.isNaN(values[i] ?? Number.NaN)));
  const count = (keyOf: (u: Placed) => number): number =>
    new Set([...present].map((i) => keyOf(units[i] ?? { arm: 0, values: [] }))).size;
  const lost =
    layout === 'blocks'
      ? count((u) => u.block ?? 0)
      : layout === 'latin'
        ? count((u) => u.row ?? 0) + count((u) => u.column ?? 0) - 1
        : 1;
  const total = [...present].reduce((all, i) => all + (values[i] ?? 0) ** 2, 0);
  return { values, present, total, df: present.length - lost - (arms - 1) };
}

/** Sums and counts of arms as they stand in an arrangement, and how much of the spread lies between them. */
function sumUp({ values, present }: Judged, armAt: Int32Array, sums: Float64Array, counts: Int32Array): number {
  sums.fill(0);
  counts.fill(0);
  for (let k = 0; k < present.length; k++) {
    const i = present[k] as number;
    const arm = armAt[i] as number;
    sums[arm] = (sums[arm] as number) + (values[i] as number);
    counts[arm] = (counts[arm] as number) + 1;
  }
  let between = 0;
  for (let a = 0; a < sums.length; a++) {
    const count = counts[a] ?? 0;
    if (count > 0) between += (sums[a] ?? 0) ** 2 / count;
  }
  return between;
}
/** A difference over its error. Where nothing is left of the error, any difference stands out without end. */
function overError(difference: number, error: number): number {
  if (Math.abs(difference) < HAIR) return 0;
  return error < HAIR * Math.abs(difference) ? Infinity : difference / error;
}
/** Room for what one arrangement comes to, used again for the next. */
interface Room {
  readonly sums: Float64Array;
  readonly counts: Int32Array;
  readonly t: Float64Array;
}
const roomFor = (arms: number): Room => ({
  sums: new Float64Array(arms),
  counts: new Int32Array(arms),
  t: new Float64Array(arms),
});
/** Differences to the control, each over its own error, for arms as they stand in an arrangement. */
function statistics(judged: Judged, armAt: Int32Array, control: number, { sums, counts, t }: Room): void {
  const between = sumUp(judged, armAt, sums, counts);
  const ms = Math.max(0, judged.total - between) / judged.df;
  const ofControl = counts[control] ?? 1;
  const controlMean = (sums[control] ?? 0) / ofControl;
  for (let a = 0; a < t.length; a++) {
    const count = counts[a] ?? 1;
    const difference = (sums[a] ?? 0) / count - controlMean;
    t[a] = a === control ? 0 : overError(difference, Math.sqrt(ms * (1 / count + 1 / ofControl)));
  }
}

/** All arrangements of arms that a layout could have had, each written into the same array. */
function* everyArrangement(start: Int32Array, groups: readonly (readonly number[])[]): Generator<Int32Array> {
  const now = Int32Array.from(start);
  function* from(at: number): Generator<Int32Array> {
    const group = groups[at];
    if (!group) {
      yield now;
      return;
    }
    const own = group.map((i) => start[i] ?? 0);
    for (const order of orders(group.length)) {
      group.forEach((i, k) => (now[i] = own[order[k] ?? 0] ?? 0));
      yield* from(at + 1);
    }
  }
  yield* from(0);
}
/** Mixes the arms of some places in place (Fisher & Yates); from whatever order they stand in. */
function shuffleWithin(armAt: Int32Array, places: readonly number[], draw: () => number): void {
  for (let i = places.length - 1; i > 0; i--) {
    const from = places[i] as number;
    const to = places[Math.floor(draw() * (i + 1))] as number;
    const arm = armAt[from] ?? 0;
    armAt[from] = armAt[to] ?? 0;
    armAt[to] = arm;
  }
}
function* drawnArrangements(
  units: readonly Placed[],
  start: Int32Array,
  groups: readonly (readonly number[])[],
  { layout, seed = 1, draws = 10_000 }: PermuteOptions,
  arms: number,
): Generator<Int32Array> {
  const draw = uniformDraws(seed);
  const now = Int32Array.from(start);
  for (let n = 0; n < draws; n++) {
    if (layout === 'latin') {
      const square = latinSquare(arms, draw);
      units.forEach((u, i) => (now[i] = square[u.row ?? 0]?.[u.column ?? 0] ?? 0));
    } else for (const group of groups) shuffleWithin(now, group, draw);
    yield now;
  }
}

/** One outcome with what it really came to, and how often an arrangement stood out as far as each arm. */
interface Counted {
  readonly judged: Judged;
  readonly observed: Float64Array;
  readonly beyond: Float64Array;
}
/** Counts one arrangement. */
function count({ judged, observed, beyond }: Counted, armAt: Int32Array, control: number, room: Room): void {
  statistics(judged, armAt, control, room);
  let most = 0;
  for (let a = 0; a < room.t.length; a++) most = Math.max(most, Math.abs(room.t[a] as number));
  for (let a = 0; a < observed.length; a++)
    if (most >= Math.abs(observed[a] as number) * (1 - HAIR)) beyond[a] = (beyond[a] as number) + 1;
}
/** What an outcome came to, arm by arm. */
function told(
  { judged, observed, beyond }: Counted,
  start: Int32Array,
  control: number,
  pOf: (count: number) => number,
): readonly ArmAgainst[] {
  const meanOf = (arm: number): number => {
    const own = [...judged.present].filter((i) => start[i] === arm);
    return own.reduce((sum, i) => sum + (judged.values[i] ?? 0), 0) / own.length;
  };
  return [...observed].flatMap((t, arm) =>
    arm === control ? [] : [{ arm, difference: meanOf(arm) - meanOf(control), t, p: pOf(beyond[arm] ?? 0) }],
  );
}

/**
 * Each arm against the control by a permutation test: arms change places as the layout could have put them, the largest difference over its own error is
 * kept of every arrangement (max-T, Westfall & Young 1993, studentised), and p is the share of arrangements that stand out as far.
 * @param units with a value for each outcome; a lost unit changes no places
 * @returns undefined where one arm has a single unit, nothing is left to judge by, or it was stopped
 * @example permute(units, { layout: 'blocks', control: 0 })?.outcomes[0][0].p
 */
export function permute(units: readonly Placed[], options: PermuteOptions): Permuted | undefined {
  const { layout, control, draws = 10_000, onProgress = () => true } = options;
  const arms = 1 + Math.max(...units.map((u) => u.arm));
  const start = Int32Array.from(units, (u) => u.arm);
  const room = roomFor(arms);
  const outcomes = (units[0]?.values ?? []).map((_, k): Counted => {
    const judged = judgedOf(units, k, layout, arms);
    statistics(judged, start, control, room);
    return { judged, observed: Float64Array.from(room.t), beyond: new Float64Array(arms) };
  });
  if (outcomes.length === 0 || outcomes.some((o) => o.judged.df < 1)) return undefined;
  const groups = groupsOf(units, layout);
  const all = groups.reduce((n, g) => n * factorial(g.length), 1);
  const exact = layout !== 'latin' && all <= MOST_EXACT;
  const wanted = exact ? all : draws;
  let seen = 0;
  for (const armAt of exact
    ? everyArrangement(start, groups)
    : drawnArrangements(units, start, groups, options, arms)) {
    for (const outcome of outcomes) count(outcome, armAt, control, room);
    seen += 1;
    if (seen % 500 === 0 && !onProgress(seen / wanted)) return undefined;
  }
  const pOf = (beyond: number): number => (exact ? beyond / seen : (beyond + 1) / (seen + 1));
  return { outcomes: outcomes.map((o) => told(o, start, control, pOf)), arrangements: seen, exact };
}

/** Values turned into ranks within a block, ties sharing theirs: for scores, and whatever has no even steps. @example ranked([3, 1, 3]) // [2.5, 1, 2.5] */
export function ranked(values: readonly number[]): readonly number[] {
  return values.map((v) => {
    if (Number.isNaN(v)) return Number.NaN;
    const less = values.filter((w) => w < v).length;
    const same = values.filter((w) => w === v).length;
    return less + (same + 1) / 2;
  });
}
/** Units with their values as ranks: within their block, or among all. */
export function rankedUnits(units: readonly Placed[], layout: TrialLayout): readonly Placed[] {
  const made = units.map((u) => ({ ...u, values: [...u.values] }));
  const outcomes = units[0]?.values.length ?? 0;
  for (const group of groupsOf(units, layout))
    for (let k = 0; k < outcomes; k++) {
      const ranks = ranked(group.map((i) => units[i]?.values[k] ?? Number.NaN));
      group.forEach((i, at) => {
        const unit = made[i];
        if (unit) unit.values[k] = ranks[at] ?? Number.NaN;
      });
    }
  return made;
}
