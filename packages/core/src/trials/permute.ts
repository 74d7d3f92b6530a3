import { uniformDraws } from '../quantity/index.js';
import { invertAgainst, nuisanceOf, type Nuisance } from '../statistics/index.js';
import {
  arrangementsOf,
  distinctOrders,
  DRAWS,
  everyArrangement,
  everySquare,
  leastP,
  MOST_EXACT,
  shuffleWithin,
  squareRepeats,
} from './arrangements.js';
import { latinSquare, type TrialLayout } from './layout.js';
import { groupsOf } from './ranks.js';

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
  /** Of adjusted means: what it would be had no unit been lost. */
  readonly difference: number;
  /** The difference over its error; infinite where nothing is left of the error. */
  readonly t: number;
  /** The chance of any arm standing out so far if none did anything. */
  readonly p: number;
}
export interface Permuted {
  /** For each outcome, every arm but the control that was measured. */
  readonly outcomes: readonly (readonly ArmAgainst[])[];
  /** For each outcome, the least p that this test can reach with the units that are left. */
  readonly least: readonly number[];
  readonly arrangements: number;
  /** Whether all arrangements there are were gone through. */
  readonly exact: boolean;
}

/** Error below this share of all spread is rounding: such arrangements are told apart by their differences alone. */
const FLOOR = 1e-11;
const HAIR = 1e-9;
/** Rounding of a sum of squares, as a share of all spread. */
const ROUNDING = 1e-14;

/** Which units were measured, and what the layout takes out of them. */
interface Measured {
  readonly present: Int32Array;
  readonly nuisance: Nuisance;
  readonly df: number;
  /** Whether a unit is lost, so that what can be compared changes with each arrangement. */
  readonly lost: boolean;
  readonly arms: number;
  readonly control: number;
}
function measuredOf({ units, armAt }: Kept, outcome: number, layout: TrialLayout, control: number): Measured {
  const present = Int32Array.from(
    [...units.keys()].filter((i) => !Number.isNaN(units[i]?.values[outcome] ?? Number.NaN)),
  );
  const nuisance = nuisanceOf(
    [...present].map((i) => {
      const { block, row, column } = units[i] ?? {};
      return layout === 'blocks' ? { block } : layout === 'latin' ? { row, column } : {};
    }),
  );
  const arms = armAt.size;
  const df = present.length - nuisance.rank - (arms - 1);
  // A square with an arm left out is uneven too.
  const lost = present.length < units.length || (layout === 'latin' && units.length < arms ** 2);
  return { present, nuisance, df, lost, arms, control };
}

/** Values of one outcome with the layout taken out, what they really came to, and how often an arrangement stood out as far. */
interface Judged {
  readonly left: Float64Array;
  readonly total: number;
  readonly observed: Float64Array;
  readonly slack: number;
  readonly beyond: Float64Array;
}
/** Differences to the control over their errors, for arms as they stand in an arrangement. */
function statisticsFor({ present, nuisance, df, lost, arms, control }: Measured) {
  const cross = new Float64Array(arms * arms);
  const inverse = new Float64Array(arms * arms);
  const own = new Int32Array(present.length);
  const sums = new Float64Array(arms);
  const found = { difference: new Float64Array(arms), t: new Float64Array(arms), ss: 0 };
  let inverted = false;
  return {
    found,
    /** Takes an arrangement. @returns false where an arm is unread in it, or cannot be compared */
    arrange: (armAt: Int32Array): boolean => {
      for (let k = 0; k < present.length; k++) own[k] = armAt[present[k] as number] as number;
      if (inverted) return true;
      nuisance.cross(own, arms, cross);
      const comparable = invertAgainst(cross, arms, control, inverse);
      inverted = comparable && !lost;
      return comparable;
    },
    of: (left: Float64Array, total: number): typeof found => {
      sums.fill(0);
      for (let k = 0; k < own.length; k++)
        sums[own[k] as number] = (sums[own[k] as number] as number) + (left[k] as number);
      let explained = 0;
      for (let a = 0; a < arms; a++) {
        let difference = 0;
        for (let b = 0; b < arms; b++) difference += (inverse[a * arms + b] as number) * (sums[b] as number);
        found.difference[a] = difference;
        explained += difference * (sums[a] as number);
      }
      found.ss = total - explained;
      const ms = Math.max(found.ss, FLOOR * total) / df;
      for (let a = 0; a < arms; a++) {
        const variance = ms * (inverse[a * arms + a] as number);
        found.t[a] = variance > 0 ? (found.difference[a] as number) / Math.sqrt(variance) : 0;
      }
      return found;
    },
  };
}
type Statistics = ReturnType<typeof statisticsFor>;

function judgedOf({ left, total }: Pick<Judged, 'left' | 'total'>, statistics: Statistics): Judged {
  const { t, ss } = statistics.of(left, total);
  const slack = 1 - HAIR - (ROUNDING * total) / Math.max(ss, FLOOR * total, Number.MIN_VALUE);
  return { left, total, observed: Float64Array.from(t), slack, beyond: new Float64Array(t.length) };
}
const residualsOf = (nuisance: Nuisance, values: ArrayLike<number>): Pick<Judged, 'left' | 'total'> => {
  const left = nuisance.residuals(values);
  return { left, total: left.reduce((all, v) => all + v * v, 0) };
};
/** Counts one arrangement; one that leaves an arm unread counts as standing out. */
function count({ left, total, observed, slack, beyond }: Judged, statistics: Statistics, comparable: boolean): void {
  let most = Infinity;
  if (comparable) {
    most = 0;
    const { t } = statistics.of(left, total);
    for (let a = 0; a < t.length; a++) most = Math.max(most, Math.abs(t[a] as number));
  }
  for (let a = 0; a < observed.length; a++)
    if (most >= Math.abs(observed[a] as number) * slack) beyond[a] = (beyond[a] as number) + 1;
}

/** Arms of units that are drawn anew as the layout could have put them. */
function* drawnArrangements(
  start: Int32Array,
  groups: readonly (readonly number[])[],
  draws: number,
  draw: () => number,
): Generator<Int32Array> {
  const now = Int32Array.from(start);
  for (let n = 0; n < draws; n++) {
    for (const group of groups) shuffleWithin(now, group, draw);
    yield now;
  }
}
/** Arms of units from squares; squares in which an arm that was never measured stands elsewhere are passed over. */
function* fromSquares(
  { units, unread, armAt }: Kept,
  squares: Iterable<readonly (readonly number[])[]>,
): Generator<Int32Array> {
  const now = new Int32Array(units.length);
  for (const square of squares) {
    if (unread.some((u) => square[u.row ?? 0]?.[u.column ?? 0] !== u.arm)) continue;
    units.forEach((u, i) => (now[i] = armAt.get(square[u.row ?? 0]?.[u.column ?? 0] ?? 0) ?? 0));
    yield now;
  }
}
function* drawnSquares(arms: number, draws: number, draw: () => number): Generator<readonly (readonly number[])[]> {
  for (let n = 0; n < draws; n++) yield latinSquare(arms, draw);
}

/** Units of the arms that were measured in an outcome, with those arms counted anew from 0. */
interface Kept {
  readonly units: readonly Placed[];
  /** Units of arms that were not measured at all: they keep their places. */
  readonly unread: readonly Placed[];
  readonly armAt: ReadonlyMap<number, number>;
  readonly start: Int32Array;
}
function keptOf(units: readonly Placed[], outcome: number): Kept {
  const read = [...new Set(units.filter((u) => !Number.isNaN(u.values[outcome] ?? Number.NaN)).map((u) => u.arm))].sort(
    (a, b) => a - b,
  );
  const armAt = new Map(read.map((arm, i) => [arm, i]));
  const own = units.filter((u) => armAt.has(u.arm));
  return {
    units: own,
    unread: units.filter((u) => !armAt.has(u.arm)),
    armAt,
    start: Int32Array.from(own, (u) => armAt.get(u.arm) ?? 0),
  };
}

interface Arrangements {
  readonly each: Iterable<Int32Array>;
  readonly all: number;
  readonly exact: boolean;
  /** How often each distinct one is among them. */
  readonly times: number;
}
/** Every arrangement that is counted, how many distinct ones they are, and whether those are all; undefined where none can be made. */
function arrangementsFor(kept: Kept, { layout, seed = 1, draws = DRAWS }: PermuteOptions): Arrangements | undefined {
  const { units, unread, start, armAt } = kept;
  const draw = uniformDraws(seed);
  if (layout === 'latin') {
    const side = new Set([...units, ...unread].map((u) => u.row)).size;
    const all = arrangementsOf('latin', side, side);
    if (all <= MOST_EXACT)
      return { each: fromSquares(kept, everySquare(side)), all, exact: true, times: squareRepeats(side) };
    return unread.length > 0
      ? undefined
      : { each: fromSquares(kept, drawnSquares(side, draws, draw)), all: draws, exact: false, times: 1 };
  }
  const groups = groupsOf(units, layout);
  const countsOf = (group: readonly number[]): readonly number[] =>
    Array.from({ length: armAt.size }, (_, a) => group.filter((i) => start[i] === a).length);
  const all = groups.reduce((n, g) => n * distinctOrders(countsOf(g)), 1);
  return all <= MOST_EXACT
    ? { each: everyArrangement(start, groups), all, exact: true, times: 1 }
    : { each: drawnArrangements(start, groups, draws, draw), all: draws, exact: false, times: 1 };
}

/** Values that separate arms as well as can be, one arm the furthest from the control. */
const bestSeparated = (kept: Kept, control: number, furthest: number): readonly number[] =>
  [...kept.start].map((arm) => (arm === control ? 0 : arm === furthest ? kept.armAt.size : 1 + arm / kept.armAt.size));

interface Tested {
  readonly arms: readonly ArmAgainst[];
  readonly least: number;
  readonly arrangements: number;
  readonly exact: boolean;
}
/** The test of one outcome; undefined where nothing is left to judge by, or it was stopped. */
function test(units: readonly Placed[], outcome: number, options: PermuteOptions): Tested | undefined {
  const kept = keptOf(units, outcome);
  const control = kept.armAt.get(options.control);
  const found = arrangementsFor(kept, options);
  if (control === undefined || kept.armAt.size < 2 || !found) return undefined;
  const measured = measuredOf(kept, outcome, options.layout, control);
  const statistics = statisticsFor(measured);
  if (measured.df < 1 || !statistics.arrange(kept.start)) return undefined;
  const valuesOf = (values: readonly number[]): Float64Array =>
    Float64Array.from(measured.present, (i) => values[i] ?? Number.NaN);
  const judge = (values: readonly number[]): Judged =>
    judgedOf(residualsOf(measured.nuisance, valuesOf(values)), statistics);
  const own = judge(kept.units.map((u) => u.values[outcome] ?? Number.NaN));
  // What the least p is with lost units shows in the best separated values, put through the same arrangements.
  const best =
    measured.lost && found.exact
      ? [...kept.armAt.values()].filter((a) => a !== control).map((a) => judge(bestSeparated(kept, control, a)))
      : [];
  const { difference, t } = { difference: [...statistics.of(own.left, own.total).difference], t: own.observed };
  const ss = statistics.found.ss;
  let [seen, unread] = [0, 0];
  for (const armAt of found.each) {
    const comparable = statistics.arrange(armAt);
    if (!comparable) unread += 1;
    for (const judged of [own, ...best]) count(judged, statistics, comparable);
    seen += 1;
    if (seen % 500 === 0 && options.onProgress?.(Math.min(1, seen / found.times / found.all)) === false)
      return undefined;
  }
  const pOf = (beyond: number): number => (found.exact ? beyond / seen : (beyond + 1) / (seen + 1));
  const ofBest = best.flatMap(({ beyond }) => [...beyond].filter((_, a) => a !== control));
  return {
    arms: [...kept.armAt].flatMap(([arm, at]): readonly ArmAgainst[] =>
      at === control
        ? []
        : [
            {
              arm,
              difference: difference[at] ?? 0,
              t:
                own.total > 0 && ss <= FLOOR * own.total && difference[at] !== 0
                  ? (t[at] ?? 0) * Infinity
                  : (t[at] ?? 0),
              p: pOf(own.beyond[at] ?? 0),
            },
          ],
    ),
    least:
      ofBest.length > 0 ? Math.min(...ofBest) / seen : Math.max(leastOf(kept, options), unread === 0 ? 0 : pOf(unread)),
    arrangements: seen / found.times,
    exact: found.exact,
  };
}
const leastOf = ({ armAt, units }: Kept, { layout, draws }: PermuteOptions): number =>
  leastP(layout, armAt.size, units.length / armAt.size, draws);

/**
 * Each arm against the control by a permutation test: arms change places as the layout could have put them, the largest difference over its own error is
 * kept of every arrangement (max-T, Westfall & Young 1993, studentised), and p is the share of arrangements that stand out as far. Differences are of
 * adjusted means (least squares of arm + layout), also in every arrangement.
 * @param units with a value for each outcome; a lost unit keeps its place and is lost in every arrangement. An arm without values is not judged
 * @returns undefined where the control was not measured, nothing is left to judge by in any outcome, or it was stopped
 * @example permute(units, { layout: 'blocks', control: 0 })?.outcomes[0][0].p
 */
export function permute(units: readonly Placed[], options: PermuteOptions): Permuted | undefined {
  const outcomes = units[0]?.values.length ?? 0;
  const tested: Tested[] = [];
  for (let k = 0; k < outcomes; k++) {
    const found = test(units, k, options);
    if (!found) return undefined;
    tested.push(found);
  }
  if (tested.length === 0) return undefined;
  return {
    outcomes: tested.map((o) => o.arms),
    least: tested.map((o) => o.least),
    arrangements: Math.max(...tested.map((o) => o.arrangements)),
    exact: tested.every((o) => o.exact),
  };
}
