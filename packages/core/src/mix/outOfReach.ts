import { symbolIn } from '../nutrient/index.js';
import { formatTrimmed } from '../quantity/index.js';
import type { Product } from '../shelf/index.js';
import { solve, type LinearModel, type LpSolver, type Row } from '../solve/index.js';
import { chosenBy, perKg, total, type Blend, type Shortfall } from './found.js';
import { mixture } from './mixture.js';
import { FULL, inTarget, nutrientRows, partWords, type BlendTarget } from './model.js';

const ones = (n: number): readonly number[] => Array.from({ length: n }, () => 1);

/** A model that makes some cost of products as small as can be. */
const least = (products: readonly Product[], costs: readonly number[], rows: readonly Row[]): LinearModel => ({
  goal: 'least',
  columns: products.map(({ name }, j) => ({ name, cost: costs[j] ?? 0 })),
  rows,
});

/** Nearest mix when the nutrients cannot all be had: the least sum of deviations, each relative to the largest part. */
export function nearest(products: readonly Product[], target: BlendTarget, solver: LpSolver): Blend {
  const rows = nutrientRows(products, target);
  const n = products.length;
  const k = rows.length;
  // Unknowns: products, then a shortfall and an excess for each nutrient; a breath of mass cost keeps it from padding.
  const elastic = (row: Row, i: number): Row => ({
    ...row,
    coefficients: [...row.coefficients, ...ones(2 * k).map((_, s) => (s === i ? 1 : s === k + i ? -1 : 0))],
  });
  const limit: readonly Row[] =
    target.kind === 'grade' ? [{ name: FULL, coefficients: [...ones(n), ...ones(2 * k).map(() => 0)], high: 1 }] : [];
  const model: LinearModel = {
    goal: 'least',
    columns: [
      ...products.map(({ name }) => ({ name, cost: 1e-6 })),
      ...['short', 'over'].flatMap((side) => rows.map(({ name }) => ({ name: `${name} ${side}`, cost: 1 }))),
    ],
    rows: [...rows.map(elastic), ...limit],
  };
  const outcome = solve(model, solver);
  if (outcome.kind !== 'optimal') return { kind: 'failed', message: 'The solver could not find even the nearest mix.' };
  const x = outcome.x.slice(0, n);
  const shortfalls = target.parts.flatMap((part, i): Shortfall[] => {
    const symbol = symbolIn(part.nutrient, part.basis);
    const { kind } = target;
    const reached = inTarget(rows[i]?.coefficients.reduce((s, c, j) => s + c * (x[j] ?? 0), 0) ?? 0, kind);
    const short = inTarget(outcome.x[n + i] ?? 0, kind);
    const over = inTarget(outcome.x[n + k + i] ?? 0, kind);
    const told = partWords({ ...part, amount: Number(reached.toPrecision(3)) }, kind);
    if (short > 1e-6) {
      const none = (rows[i]?.coefficients ?? []).every((c) => c === 0);
      return [
        {
          part,
          symbol,
          reached,
          kind: 'short',
          message: none ? `Nothing chosen contains ${symbol}.` : `${told} are reached of ${partWords(part, kind)}.`,
        },
      ];
    }
    return over > 1e-6
      ? [
          {
            part,
            symbol,
            reached,
            kind: 'over',
            message: `${symbol} comes along with the other nutrients: ${told} where ${partWords(part, kind)} are wanted.`,
          },
        ]
      : [];
  });
  const closest =
    total(x) > 1e-9 ? mixture(perKg(products, x), 0, chosenBy('least deviation from the target', outcome)) : undefined;
  return {
    kind: 'unreachable',
    shortfalls,
    closest,
    message: `${THIS[target.kind]} cannot be made from these materials. ${shortfalls.map((s) => s.message).join(' ')}`,
  };
}

/** A target as messages call it. */
export const THIS: Readonly<Record<BlendTarget['kind'], string>> = {
  grade: 'This grade',
  ratio: 'This ratio',
  amount: 'These amounts',
};

/** The ratio can be made but not at this strength: the most concentrated mix at that ratio. */
export function strongest(products: readonly Product[], target: BlendTarget, solver: LpSolver): Blend {
  const outcome = solve(least(products, ones(products.length), nutrientRows(products, target)), solver);
  if (outcome.kind !== 'optimal') return nearest(products, target, solver);
  const mass = total(outcome.x);
  const reachable = target.parts.map((part) => ({ ...part, amount: Number((part.amount / mass).toPrecision(4)) }));
  const needs = mass * 100;
  const shown = reachable.map((p) => `${formatTrimmed(p.amount)} % ${symbolIn(p.nutrient, p.basis)}`).join(', ');
  return {
    kind: 'tooStrong',
    needsPercent: needs,
    strongest: mixture(perKg(products, outcome.x), 0, chosenBy('least mass', outcome)),
    strongestGrade: reachable,
    message: `The materials for this grade would fill ${formatTrimmed(needs)} % of the bag. The strongest at this ratio is ${shown}.`,
  };
}
