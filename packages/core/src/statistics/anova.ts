import fCdf from '@stdlib/stats-base-dists-f-cdf';
import { Matrix, QrDecomposition } from 'ml-matrix';

/** One unit of a trial with what was found in it; block, row and column where the layout has them. */
export interface Observation {
  readonly arm: number;
  readonly value: number;
  readonly block?: number | undefined;
  readonly row?: number | undefined;
  readonly column?: number | undefined;
}
export interface Source {
  readonly df: number;
  readonly ss: number;
  readonly ms: number;
}
/** An analysis of variance of arms, what the layout takes out being taken out first. */
export interface Anova {
  readonly arms: Source;
  /** What blocks, rows or columns take out; df 0 where there are none. */
  readonly layout: Source;
  readonly error: Source;
  /** Undefined where nothing is left to judge by. */
  readonly f: number | undefined;
  readonly p: number | undefined;
  readonly grandMean: number;
  /** Spread of a unit within its arm and block, as a share of the mean. */
  readonly cv: number | undefined;
}

/** The chance of an F as large or larger. @example fBeyond(4.846, 2, 27) // 0.0159 */
export const fBeyond = (f: number, df1: number, df2: number): number =>
  // The other end of the inverse's distribution: a difference from 1 would lose what is below 1e-16.
  f > 0 ? fCdf(1 / f, df2, df1) : 1;

const levelsOf = (values: readonly (number | undefined)[]): readonly number[] => [
  ...new Set(values.flatMap((v) => (v === undefined ? [] : [v]))),
];
/** Columns of 0 and 1 for each level of a factor but the first. */
const dummies = (values: readonly (number | undefined)[]): readonly (readonly number[])[] =>
  levelsOf(values)
    .slice(1)
    .map((level) => values.map((v) => (v === level ? 1 : 0)));

/** Sum of squares that is left, and how many columns really took something out. */
function residual(
  columns: readonly (readonly number[])[],
  y: readonly number[],
): { readonly ss: number; readonly rank: number } {
  const ones = y.map(() => 1);
  const x = new Matrix([ones, ...columns].map((c) => [...c])).transpose();
  const qr = new QrDecomposition(x);
  // Columns that say nothing new leave a zero on the diagonal.
  const r = qr.upperTriangularMatrix;
  const size = Math.abs(r.get(0, 0));
  const keeps = Array.from({ length: x.columns }, (_, i) => Math.abs(r.get(i, i)) > 1e-9 * size);
  if (keeps.includes(false)) {
    const kept = [ones, ...columns].filter((_, i) => keeps[i]).slice(1);
    return residual(kept, y);
  }
  const fitted = x.mmul(qr.solve(Matrix.columnVector([...y])));
  const ss = y.reduce((all, v, i) => all + (v - fitted.get(i, 0)) ** 2, 0);
  return { ss, rank: x.columns };
}

const source = (df: number, ss: number): Source => ({ df, ss, ms: df > 0 ? ss / df : Number.NaN });

/** Sums of squares of a layout without blocks, by means alone: exact where numbers are large and lie close together. */
function byMeans(
  y: readonly number[],
  arms: readonly number[],
): { readonly between: number; readonly within: number; readonly groups: number } {
  const groups = new Map<number, number[]>();
  y.forEach((v, i) => {
    const own = groups.get(arms[i] ?? 0);
    if (own) own.push(v);
    else groups.set(arms[i] ?? 0, [v]);
  });
  const mean = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0) / of.length;
  const grand = mean(y);
  let [between, within] = [0, 0];
  for (const group of groups.values()) {
    const own = mean(group);
    between += group.length * (own - grand) ** 2;
    for (const v of group) within += (v - own) ** 2;
  }
  return { between, within, groups: groups.size };
}

/**
 * Analysis of variance of arms, by least squares where blocks, rows or columns are taken out first; units may be missing.
 * @throws RangeError where there are fewer than two units
 * @example anova(plantGrowth).f // 4.846
 */
export function anova(observations: readonly Observation[]): Anova {
  const [first] = observations;
  if (!first || observations.length < 2)
    throw new RangeError(`Read ${observations.length} units, expected two or more.`);
  // Counted from the first value: large numbers that lie close together lose nothing.
  const y = observations.map((o) => o.value - first.value);
  const n = y.length;
  const nuisance = [
    ...dummies(observations.map((o) => o.block)),
    ...dummies(observations.map((o) => o.row)),
    ...dummies(observations.map((o) => o.column)),
  ];
  const armOf = observations.map((o) => o.arm);
  const { arms, layout, error } =
    nuisance.length === 0
      ? (({ between, within, groups }) => ({
          arms: source(groups - 1, between),
          layout: source(0, 0),
          error: source(n - groups, within),
        }))(byMeans(y, armOf))
      : (() => {
          const total = residual([], y);
          const without = residual(nuisance, y);
          const withArms = residual([...nuisance, ...dummies(armOf)], y);
          return {
            arms: source(withArms.rank - without.rank, without.ss - withArms.ss),
            layout: source(without.rank - 1, total.ss - without.ss),
            error: source(n - withArms.rank, withArms.ss),
          };
        })();
  const grandMean = first.value + y.reduce((a, b) => a + b, 0) / n;
  const judged = error.df > 0 && error.ms > 0 && arms.df > 0;
  const f = judged ? arms.ms / error.ms : undefined;
  return {
    arms,
    layout,
    error,
    f,
    p: f === undefined ? undefined : fBeyond(f, arms.df, error.df),
    grandMean,
    cv: error.df > 0 && grandMean !== 0 ? Math.sqrt(error.ms) / Math.abs(grandMean) : undefined,
  };
}
