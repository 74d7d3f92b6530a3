import { Matrix, QrDecomposition } from 'ml-matrix';

/** Where a unit lies, as far as the layout takes something out: its block, or its row and column, or neither. */
export interface LaidOut {
  readonly block?: number | undefined;
  readonly row?: number | undefined;
  readonly column?: number | undefined;
}
/** What a layout takes out of values before treatments are compared: blocks, rows and columns, or the mean alone. */
export interface Nuisance {
  /** Degrees of freedom that it takes. */
  readonly rank: number;
  /** Values less what the layout explains of them, by least squares. */
  readonly residuals: (values: ArrayLike<number>) => Float64Array;
  /** Writes X'MX into `into` (arms × arms, by rows), X being which arm each unit has and M what takes the layout out. */
  readonly cross: (armAt: ArrayLike<number>, arms: number, into: Float64Array) => void;
  /** Weights of the units in the mean over all blocks (or rows and columns) alike. */
  readonly average: Float64Array;
}

/** Units that lie together in the one factor a layout has: blocks, or all. */
function byGroups(groupAt: Int32Array, groups: number): Nuisance {
  const sizes = new Float64Array(groups);
  for (const g of groupAt) sizes[g] = (sizes[g] ?? 0) + 1;
  let counts = new Float64Array(0);
  return {
    rank: groups,
    residuals: (values) => {
      const means = new Float64Array(groups);
      groupAt.forEach((g, i) => (means[g] = (means[g] ?? 0) + (values[i] ?? 0) / (sizes[g] ?? 1)));
      return Float64Array.from(groupAt, (g, i) => (values[i] ?? 0) - (means[g] ?? 0));
    },
    cross: (armAt, arms, into) => {
      if (counts.length !== groups * arms) counts = new Float64Array(groups * arms);
      counts.fill(0);
      into.fill(0);
      for (let i = 0; i < groupAt.length; i++) {
        const [g, a] = [groupAt[i] as number, armAt[i] as number];
        counts[g * arms + a] = (counts[g * arms + a] as number) + 1;
        into[a * arms + a] = (into[a * arms + a] as number) + 1;
      }
      for (let g = 0; g < groups; g++)
        for (let a = 0; a < arms; a++) {
          const share = (counts[g * arms + a] as number) / (sizes[g] as number);
          if (share === 0) continue;
          for (let b = 0; b < arms; b++)
            into[a * arms + b] = (into[a * arms + b] as number) - share * (counts[g * arms + b] as number);
        }
    },
    average: Float64Array.from(groupAt, (g) => 1 / (groups * (sizes[g] ?? 1))),
  };
}

/** Rows and columns together: what they explain has to be found by least squares, since lost units leave them uneven. */
function byRowsAndColumns(rows: readonly number[], columns: readonly number[]): Nuisance {
  const [rowLevels, columnLevels] = [[...new Set(rows)], [...new Set(columns)]];
  const raw: readonly (readonly number[])[] = [
    ...rowLevels.map((r) => rows.map((v) => (v === r ? 1 : 0))),
    ...columnLevels.slice(1).map((c) => columns.map((v) => (v === c ? 1 : 0))),
  ];
  // Columns that say nothing new are left out, so that what is left can be solved.
  const kept: (readonly number[])[] = [];
  for (const column of raw) if (rankOf([...kept, column]) > kept.length) kept.push(column);
  const x = new Matrix(kept.map((c) => [...c])).transpose();
  const n = rows.length;
  const solve = new QrDecomposition(x).solve(Matrix.eye(n));
  const project = x.mmul(solve);
  const residuals = (values: ArrayLike<number>): Float64Array =>
    Float64Array.from({ length: n }, (_, i) => {
      let fitted = 0;
      for (let j = 0; j < n; j++) fitted += project.get(i, j) * (values[j] ?? 0);
      return (values[i] ?? 0) - fitted;
    });
  // The mean over all cells of rows × columns: each row effect by 1 / rows, each column effect by 1 / columns.
  const weightOf = (column: readonly number[]): number =>
    raw.indexOf(column) < rowLevels.length ? 1 / rowLevels.length : 1 / columnLevels.length;
  const average = Float64Array.from({ length: n }, (_, j) =>
    kept.reduce((sum, column, k) => sum + weightOf(column) * solve.get(k, j), 0),
  );
  return {
    rank: kept.length,
    residuals,
    cross: (armAt, arms, into) => {
      into.fill(0);
      for (let i = 0; i < n; i++) {
        const a = armAt[i] as number;
        for (let j = 0; j < n; j++) {
          const at = a * arms + (armAt[j] as number);
          into[at] = (into[at] as number) + (i === j ? 1 : 0) - project.get(i, j);
        }
      }
    },
    average,
  };
}
function rankOf(columns: readonly (readonly number[])[]): number {
  const r = new QrDecomposition(new Matrix(columns.map((c) => [...c])).transpose()).upperTriangularMatrix;
  return columns.filter((_, i) => Math.abs(r.get(i, i)) > 1e-9).length;
}

/** What the layout of some units takes out: rows and columns where units have a column, blocks where they have a block, else their mean. */
export function nuisanceOf(units: readonly LaidOut[]): Nuisance {
  if (units.some((u) => u.column !== undefined))
    return byRowsAndColumns(
      units.map((u) => u.row ?? 0),
      units.map((u) => u.column ?? 0),
    );
  const levels = new Map<number, number>();
  const groupAt = Int32Array.from(units, ({ block = 0 }) => {
    const level = levels.get(block) ?? levels.size;
    levels.set(block, level);
    return level;
  });
  return byGroups(groupAt, levels.size);
}

/**
 * Inverts what is left of X'MX when one arm is the one others are set against (its row and column are left out), in place; by Cholesky.
 * @returns whether it can be: false where an arm is not there, or cannot be compared with the others through shared blocks
 */
export function invertAgainst(cross: Float64Array, arms: number, control: number, inverse: Float64Array): boolean {
  const n = arms - 1;
  const at = (k: number): number => (k < control ? k : k + 1);
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = cross[at(i) * arms + at(j)] as number;
      for (let k = 0; k < j; k++) sum -= (l[i * n + k] as number) * (l[j * n + k] as number);
      if (i === j) {
        if (!(sum > 1e-9)) return false;
        l[i * n + i] = Math.sqrt(sum);
      } else l[i * n + j] = sum / (l[j * n + j] as number);
    }
  inverse.fill(0);
  const column = new Float64Array(n);
  for (let c = 0; c < n; c++) {
    for (let i = 0; i < n; i++) {
      let sum = i === c ? 1 : 0;
      for (let k = 0; k < i; k++) sum -= (l[i * n + k] as number) * (column[k] as number);
      column[i] = sum / (l[i * n + i] as number);
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = column[i] as number;
      for (let k = i + 1; k < n; k++) sum -= (l[k * n + i] as number) * (column[k] as number);
      column[i] = sum / (l[i * n + i] as number);
      inverse[at(i) * arms + at(c)] = column[i] as number;
    }
  }
  return true;
}

/** An arm's mean and what it is more than the one it is set against, both as if every block had every arm; squared errors for one unit of error variance. */
export interface AdjustedArm {
  readonly mean: number;
  readonly meanVariance: number;
  readonly difference: number;
  readonly differenceVariance: number;
}
/**
 * Adjusted means of arms by least squares of arm + layout: what each would have had, had no unit been lost.
 * @param units those that were measured; every arm from 0 to `arms` − 1 has one at least
 * @returns undefined where arms share no blocks through which they could be compared
 * @example adjustedArms(units, 3, 0)?.[1].difference
 */
export function adjustedArms(
  units: readonly (LaidOut & { readonly arm: number; readonly value: number })[],
  arms: number,
  control: number,
): readonly AdjustedArm[] | undefined {
  const nuisance = nuisanceOf(units);
  const armAt = units.map((u) => u.arm);
  const cross = new Float64Array(arms * arms);
  const inverse = new Float64Array(arms * arms);
  nuisance.cross(armAt, arms, cross);
  if (!invertAgainst(cross, arms, control, inverse)) return undefined;
  const values = units.map((u) => u.value);
  const left = nuisance.residuals(values);
  const sums = new Float64Array(arms);
  const shares = new Float64Array(arms);
  let [average, averageVariance] = [0, 0];
  armAt.forEach((a, i) => {
    const weight = nuisance.average[i] ?? 0;
    sums[a] = (sums[a] ?? 0) + (left[i] ?? 0);
    shares[a] = (shares[a] ?? 0) + weight;
    average += weight * (values[i] ?? 0);
    averageVariance += weight ** 2;
  });
  const all = Array.from({ length: arms }, (_, a) => a);
  const of = (weights: (arm: number) => number, row: (arm: number) => number): number =>
    all.reduce((sum, a) => sum + weights(a) * row(a), 0);
  const inverseAt = (a: number, b: number): number => inverse[a * arms + b] ?? 0;
  const effects = all.map((a) =>
    of(
      (b) => inverseAt(a, b),
      (b) => sums[b] ?? 0,
    ),
  );
  const taken = of(
    (a) => shares[a] ?? 0,
    (a) => effects[a] ?? 0,
  );
  return all.map((arm) => {
    const contrast = (b: number): number => (b === arm ? 1 : 0) - (shares[b] ?? 0);
    return {
      mean: average + (effects[arm] ?? 0) - taken,
      meanVariance: averageVariance + of(contrast, (a) => of((b) => inverseAt(a, b), contrast)),
      difference: effects[arm] ?? 0,
      differenceVariance: inverseAt(arm, arm),
    };
  });
}
