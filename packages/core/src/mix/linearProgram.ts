/** A linear programme over non-negative unknowns, as plain numbers. */
export interface LinearProgram {
  readonly minimise: readonly number[];
  readonly rows: readonly Row[];
}
/** `low ≤ Σ coefficients·x ≤ high`; a missing bound does not bind. */
export interface Row {
  readonly coefficients: readonly number[];
  readonly low?: number;
  readonly high?: number;
}

/** The part of an LP solver the mix needs: model text in CPLEX LP format in, a solution out. */
export interface LpSolver {
  solve(
    problem: string,
    options?: { readonly time_limit?: number; readonly mip_rel_gap?: number },
  ): {
    readonly Status: string;
    readonly Columns: Readonly<Record<string, object>>;
  };
}

export type LpOutcome =
  | { readonly kind: 'optimal'; readonly x: readonly number[] }
  | { readonly kind: 'infeasible' }
  | { readonly kind: 'failed'; readonly status: string };

const SOLVER_SECONDS = 10;

const term = (coefficient: number, j: number): string =>
  `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient).toExponential(12)} x${j}`;
const expression = (coefficients: readonly number[]): string =>
  coefficients
    .map((c, j) => (c === 0 ? '' : term(c, j)))
    .filter(Boolean)
    .join(' ') || '0 x0';

/** The programme as CPLEX LP text. A row with two bounds is written as two rows. */
export function lpText({ minimise, rows }: LinearProgram): string {
  const lines = rows.flatMap((row, i) => [
    ...(row.low === undefined ? [] : [` a${i}: ${expression(row.coefficients)} >= ${row.low.toExponential(12)}`]),
    ...(row.high === undefined ? [] : [` b${i}: ${expression(row.coefficients)} <= ${row.high.toExponential(12)}`]),
  ]);
  const bounds = minimise.map((_, j) => ` x${j} >= 0`);
  return ['Minimize', ` cost: ${expression(minimise)}`, 'Subject To', ...lines, 'Bounds', ...bounds, 'End'].join('\n');
}

/** Solves a programme; round-off below a billionth is cleared to zero. */
export function solve(program: LinearProgram, solver: LpSolver): LpOutcome {
  const solution = solver.solve(lpText(program), { time_limit: SOLVER_SECONDS, mip_rel_gap: 1e-6 });
  if (solution.Status === 'Infeasible') return { kind: 'infeasible' };
  if (solution.Status !== 'Optimal') return { kind: 'failed', status: solution.Status };
  const primal = (j: number): number => {
    const column = solution.Columns[`x${j}`] as { readonly Primal?: number } | undefined;
    return column?.Primal ?? 0;
  };
  return { kind: 'optimal', x: program.minimise.map((_, j) => (Math.abs(primal(j)) < 1e-9 ? 0 : primal(j))) };
}
