import type { Product } from '../shelf/index.js';
import { nitrogenPools } from './nitrogenPools.js';
import { numbersFrom } from './parameters.js';
import { followCase, type ProgrammeCase } from './programmeCase.js';
import { windowWeeks } from './productRelease.js';
import { toDose, type DatedDose, type ReleaseRun } from './simulate.js';

/** How much a kg N/ha of each counts against a plan. */
export interface SplitWeights {
  /** What the crop wanted and did not get. */
  readonly shortfall: number;
  /** What lies unused when the crop is done. */
  readonly surplus: number;
  /** What drained away or went off as gas. */
  readonly loss: number;
}
export const USUAL_WEIGHTS: SplitWeights = { shortfall: 1, surplus: 0.3, loss: 1 };

/** How a plan of doses comes out, kg N/ha. */
export interface SplitOutcome {
  readonly shortfall: number;
  readonly surplus: number;
  readonly loss: number;
  /** The three by their weights: less is better. */
  readonly score: number;
}
/** Doses on weeks of the season, with the share of the nitrogen that each has. */
export interface Split extends SplitOutcome {
  readonly weeks: readonly number[];
  readonly shares: readonly number[];
}

export interface SplitQuestion {
  readonly product: Product;
  readonly nitrogenKgPerHa: number;
  /** The last week something may be given in, counted from the season's first day. */
  readonly lastWeek: number;
  readonly mostDoses: number;
  readonly weights: SplitWeights;
  /** Whether the doses lie on top or are worked in. */
  readonly workedInM: number | 'surface';
}

export const MOST_SPLITS = 6;
const DAYS_ON_TOP = 7;

/** What a run comes to for a crop whose window ends with a week. */
export function splitOutcome(
  run: ReleaseRun,
  demand: readonly number[] | undefined,
  endWeek: number,
  weights: SplitWeights,
): SplitOutcome {
  const end = Math.min(endWeek * 7, run.takenUp.length - 1);
  const shortfall = Math.max(0, (demand?.[end] ?? 0) - (run.takenUp[end] ?? 0));
  const surplus = Math.max(0, run.mineral[end] ?? 0);
  const loss = (run.leached[end] ?? 0) + (run.volatilised[end] ?? 0) + (run.denitrified[end] ?? 0);
  return {
    shortfall,
    surplus,
    loss,
    score: weights.shortfall * shortfall + weights.surplus * surplus + weights.loss * loss,
  };
}

type Plan = Pick<Split, 'weeks' | 'shares'>;
const evenly = (weeks: readonly number[]): Plan => ({ weeks, shares: weeks.map(() => 1 / weeks.length) });
const without = (list: readonly number[], at: number): readonly number[] => list.filter((_, i) => i !== at);
const sorted = (weeks: readonly number[]): readonly number[] => [...weeks].sort((a, b) => a - b);
/** Parts of the whole by which a dose grows while another shrinks. */
const SHIFTS = [0.2, 0.1, 0.05];
const BETTER = 1e-9;

/**
 * The best days to split a bag's nitrogen: on a weekly grid up to the last allowed week, for one dose, two, and so on to six. Each number of doses begins
 * from the best with one fewer, puts the new one where it serves best, then moves doses and shifts amounts between them until nothing gets better.
 * @param c a case with nothing given: the site, its soil and its days
 * @param onShare hears how far it is; returning false stops
 * @returns the best plan for each number of doses, none worse than those before it; undefined when stopped
 */
export function findSplits(
  c: ProgrammeCase,
  question: SplitQuestion,
  onShare: (share: number) => boolean = () => true,
): readonly Split[] | undefined {
  const { product, nitrogenKgPerHa, lastWeek, weights, workedInM } = question;
  const reading = nitrogenPools(product);
  if (reading.kind === 'unknown') return [];
  const part = c.parts.find((p) => p.product.id === product.id);
  const numbers = part && numbersFrom(part.parameters);
  if (!numbers) return [];
  const endWeek = windowWeeks(c.site, c.days);
  const known = new Map<string, Split>();
  const dosesOf = ({ weeks, shares }: Plan): readonly DatedDose[] =>
    weeks.map((week, i) => {
      const day = week * 7;
      const nitrogen = nitrogenKgPerHa * (shares[i] ?? 0);
      const lies = workedInM === 'surface' ? Math.min(DAYS_ON_TOP, c.days.soakedAfter(day) ?? Infinity) : 0;
      return {
        day,
        dose: toDose(
          reading.pools,
          product.longevity,
          numbers,
          nitrogen,
          lies > 0 ? 'surface' : workedInM === 'surface' ? 0.05 : workedInM,
        ),
        settlesOn: lies > 0 ? day + lies : undefined,
      };
    });
  const judge = (plan: Plan): Split => {
    const key = plan.weeks.map((w, i) => `${w}:${(plan.shares[i] ?? 0).toFixed(4)}`).join();
    const held = known.get(key);
    if (held) return held;
    const run = followCase(c, undefined, dosesOf(plan));
    const found = { ...plan, ...splitOutcome(run, c.days.demandKgPerHa, endWeek, weights) };
    known.set(key, found);
    return found;
  };
  const grid = Array.from({ length: Math.max(1, Math.floor(lastWeek) + 1) }, (_, week) => week);
  const most = Math.min(question.mostDoses, MOST_SPLITS, grid.length);
  const better = (a: Split, b: Split): boolean => a.score < b.score - BETTER;
  const bestOf = (plans: readonly Plan[], from?: Split): Split | undefined =>
    plans.map(judge).reduce<Split | undefined>((best, p) => (best && !better(p, best) ? best : p), from);
  /** Plans with one dose on another week, and with some of one dose moved to another. */
  const near = (plan: Split): readonly Plan[] => [
    ...plan.weeks.flatMap((_, i) =>
      grid
        .filter((w) => !plan.weeks.includes(w))
        .map((w) => ({
          ...inOrder([...without(plan.weeks, i), w], [...without(plan.shares, i), plan.shares[i] ?? 0]),
        })),
    ),
    ...plan.weeks.flatMap((_, i) =>
      plan.weeks.flatMap((__, j) =>
        i === j
          ? []
          : SHIFTS.filter((by) => (plan.shares[i] ?? 0) > by + 0.02).map((by) => ({
              weeks: plan.weeks,
              shares: plan.shares.map((s, n) => (n === i ? s - by : n === j ? s + by : s)),
            })),
      ),
    ),
  ];
  const found: Split[] = [];
  for (let doses = 1; doses <= most; doses++) {
    const before = found.at(-1);
    const begun = before
      ? grid.filter((w) => !before.weeks.includes(w)).map((w) => evenly(sorted([...before.weeks, w])))
      : grid.map((w) => evenly([w]));
    let best = bestOf(begun);
    for (let moved = best !== undefined; moved && best;) {
      if (!onShare((doses - 1) / most)) return undefined;
      const next: Split | undefined = bestOf(near(best), best);
      moved = next !== undefined && next !== best;
      best = next ?? best;
    }
    if (best) found.push(best);
  }
  return found.map((split, i) => {
    const fewer = found.slice(0, i).reduce<Split | undefined>((b, s) => (b && b.score <= s.score ? b : s), undefined);
    return fewer && fewer.score < split.score ? fewer : split;
  });
}
function inOrder(weeks: readonly number[], shares: readonly number[]): Plan {
  const order = weeks.map((_, i) => i).sort((a, b) => (weeks[a] ?? 0) - (weeks[b] ?? 0));
  return { weeks: order.map((i) => weeks[i] ?? 0), shares: order.map((i) => shares[i] ?? 0) };
}
