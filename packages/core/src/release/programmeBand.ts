import { percentileOf, triangular, uniformDraws, type Range } from '../quantity/index.js';
import type { Figure } from '../figure/index.js';
import { followCase, type ProgrammeCase, type Taken } from './programmeCase.js';
import { weekly, windowWeeks } from './productRelease.js';
import type { ReleaseRun } from './simulate.js';
import type { Band } from './band.js';

/** What is drawn of a programme, week by week, kg N/ha. */
export const BANDED = ['available', 'takenUp', 'lost'] as const;
export type Banded = (typeof BANDED)[number];

/** How much of the answer's variance one uncertain quantity explains by itself. */
export interface Influence {
  readonly figure: Figure;
  /** Of which material or product; empty for what all share. */
  readonly of: string;
  /** First-order share of the variance, 0 to 1. */
  readonly share: number;
}

/** The band of a programme over draws of all that is assumed. */
export interface ProgrammeBand {
  readonly draws: number;
  readonly bands: Readonly<Record<Banded, Band>>;
  /** What moves most how much the crop can have had by the end of its window. */
  readonly influences: readonly Influence[];
}

const lostOf = (run: ReleaseRun): Float64Array =>
  run.leached.map((leached, d) => leached + (run.volatilised[d] ?? 0) + (run.denitrified[d] ?? 0));

/** Quantities that were drawn, each with its draws. */
class Drawn {
  private readonly places = new Map<string, number>();
  readonly quantities: { readonly figure: Figure; readonly of: string; readonly values: Float64Array }[] = [];
  private current: (number | undefined)[] = [];
  private draw = 0;
  constructor(
    private readonly uniform: () => number,
    private readonly draws: number,
  ) {}
  begin(draw: number): void {
    this.draw = draw;
    this.current = [];
  }
  /** One and the same quantity is drawn once in a run, whoever asks for it. */
  readonly take: Taken = (range: Range, figure: Figure, of: string): number => {
    if (range.low === range.high) return range.mid;
    const key = `${of}|${figure.label}`;
    let place = this.places.get(key);
    if (place === undefined) {
      place = this.quantities.length;
      this.places.set(key, place);
      this.quantities.push({ figure, of, values: new Float64Array(this.draws) });
    }
    const known = this.current[place];
    if (known !== undefined) return known;
    const value = triangular(range, this.uniform());
    this.current[place] = value;
    const column = this.quantities[place]?.values;
    if (column) column[this.draw] = value;
    return value;
  };
}

const BINS = 20;
const varianceOf = (values: ArrayLike<number>, from: number, to: number): { mean: number; variance: number } => {
  let mean = 0;
  for (let i = from; i < to; i++) mean += values[i] ?? 0;
  mean /= Math.max(1, to - from);
  let square = 0;
  for (let i = from; i < to; i++) square += ((values[i] ?? 0) - mean) ** 2;
  return { mean, variance: square / Math.max(1, to - from) };
};

/**
 * First-order share of variance: Var(E[y | x]) ÷ Var(y), E by the mean of y in bins of as many draws each, x from low to high. What chance alone would
 * give in so many bins is taken off.
 * @example firstOrderShare(x, x.map((v) => 2 * v)) // about 1
 */
export function firstOrderShare(x: ArrayLike<number>, y: ArrayLike<number>): number {
  const n = Math.min(x.length, y.length);
  const { mean, variance } = varianceOf(y, 0, n);
  const bins = Math.min(BINS, Math.floor(n / 10));
  if (!(variance > 0) || bins < 2) return 0;
  const order = Array.from({ length: n }, (_, i) => i).sort((a, b) => (x[a] ?? 0) - (x[b] ?? 0));
  const sorted = Float64Array.from(order, (i) => y[i] ?? 0);
  let between = 0;
  for (let bin = 0; bin < bins; bin++) {
    const [from, to] = [Math.floor((bin * n) / bins), Math.floor(((bin + 1) * n) / bins)];
    between += ((to - from) / n) * (varianceOf(sorted, from, to).mean - mean) ** 2;
  }
  const raw = between / variance;
  const chance = (bins - 1) / (n - 1);
  return Math.max(0, Math.min(1, (raw - chance) / (1 - chance)));
}

const TOLD = 8;
function influencesOf({ quantities }: Drawn, draws: number, answer: Float64Array): readonly Influence[] {
  return quantities
    .map(({ figure, of, values }) => ({
      figure,
      of,
      share: firstOrderShare(values.subarray(0, draws), answer.subarray(0, draws)),
    }))
    .sort((a, b) => b.share - a.share)
    .slice(0, TOLD);
}

/** A first picture is drawn after so few runs, then each time there are twice as many. */
const FIRST_PICTURE = 25;

/**
 * Draws every uncertain quantity of a programme – parameters, the year's climate, the doses' own ranges, the soil's supply – and follows it again, many
 * times, with a seed: the 10th, 50th and 90th percentile of each week, and which quantity moves most what the crop can have had. One and the same quantity is
 * drawn once in each run; the critical C:N is one for all materials.
 * @param onPicture called with what there is after 25 runs and each doubling; returning false stops
 * @returns undefined when stopped
 */
export function programmeBand(
  c: ProgrammeCase,
  draws: number,
  seed: number,
  onPicture: (soFar: ProgrammeBand, share: number) => boolean = () => true,
): ProgrammeBand | undefined {
  const drawn = new Drawn(uniformDraws(seed), draws);
  const weeks = weekly({ length: c.days.temperatureC.length + 1 }).length;
  const columns = Object.fromEntries(
    BANDED.map((name) => [name, Array.from({ length: weeks }, () => new Float64Array(draws))]),
  ) as unknown as Readonly<Record<Banded, readonly Float64Array[]>>;
  const answer = new Float64Array(draws);
  const endDay = windowWeeks(c.site, c.days) * 7;
  const picture = (done: number): ProgrammeBand => ({
    draws: done,
    bands: Object.fromEntries(BANDED.map((name) => [name, bandOf(columns[name], done)])) as ProgrammeBand['bands'],
    influences: influencesOf(drawn, done, answer),
  });
  let next = FIRST_PICTURE;
  for (let draw = 0; draw < draws; draw++) {
    drawn.begin(draw);
    const run = followCase(c, drawn.take);
    const series = { available: run.available, takenUp: run.takenUp, lost: lostOf(run) };
    for (const name of BANDED)
      columns[name].forEach((column, w) => {
        column[draw] = series[name][w * 7] ?? 0;
      });
    answer[draw] = run.available[endDay] ?? 0;
    if (draw + 1 === next && draw + 1 < draws) {
      if (!onPicture(picture(next), next / draws)) return undefined;
      next *= 2;
    }
  }
  return picture(draws);
}

function bandOf(columns: readonly Float64Array[], done: number): Band {
  const sorted = columns.map((column) => column.slice(0, done).sort());
  const percentile = (share: number): number[] => sorted.map((column) => percentileOf(column, share));
  return { low: percentile(0.1), median: percentile(0.5), high: percentile(0.9) };
}
