/** An unknown: what one of it adds to the objective, and between what it lies; from zero up unless said. */
export interface Column {
  readonly name: string;
  readonly cost: number;
  readonly low?: number;
  readonly high?: number;
  /** Only whole numbers will do. */
  readonly integer?: boolean;
}

/** `low ≤ Σ coefficients·x ≤ high`; a missing bound does not bind. */
export interface Row {
  readonly name: string;
  readonly coefficients: readonly number[];
  readonly low?: number;
  readonly high?: number;
}

/** A linear or mixed-integer programme, as plain numbers. */
export interface LinearModel {
  readonly goal: 'least' | 'most';
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}

/** The part of a solver that is needed: model text in CPLEX LP format in, a solution out. */
export interface LpSolver {
  solve(
    problem: string,
    options?: { readonly time_limit?: number; readonly mip_rel_gap?: number },
  ): {
    readonly Status: string;
    readonly ObjectiveValue?: number;
    readonly Columns: Readonly<Record<string, object>>;
    readonly Rows: readonly object[];
  };
}

export interface SolvedRow {
  readonly name: string;
  readonly activity: number;
  /** The bound it stands at; undefined when it has room. */
  readonly binds: 'low' | 'high' | undefined;
  /** What one more of the bound would add to the objective; undefined with whole numbers, where there is no such price. */
  readonly dual: number | undefined;
}
export interface SolvedColumn {
  readonly name: string;
  readonly value: number;
  /** How much the objective would change with one of it put in; undefined with whole numbers. */
  readonly reducedCost: number | undefined;
}
export interface Solution {
  readonly objective: number;
  readonly x: readonly number[];
  readonly columns: readonly SolvedColumn[];
  readonly rows: readonly SolvedRow[];
}
export type Outcome =
  | ({ readonly kind: 'optimal' } & Solution)
  | { readonly kind: 'infeasible' }
  /** Nothing keeps the objective from going on for ever: a bound is missing. */
  | { readonly kind: 'unbounded' }
  /** The time was up; the best so far, when there is one. */
  | { readonly kind: 'stopped'; readonly best: Solution | undefined }
  | { readonly kind: 'failed'; readonly status: string };

/** How long a solver may take and how near the best is near enough, for whole numbers. */
export interface Limits {
  readonly seconds?: number;
  readonly gap?: number;
}
const SOLVER_SECONDS = 10;
const GAP = 1e-6;

/** The shortest digits that are read back as the same number. */
const number = String;
const term = (coefficient: number, j: number): string =>
  `${coefficient < 0 ? '-' : '+'} ${number(Math.abs(coefficient))} x${j}`;
/** A solver reads no empty sum: nothing of the first unknown stands for it. */
function expression(coefficients: readonly number[]): string {
  let text = '';
  coefficients.forEach((c, j) => {
    if (c !== 0) text += `${text === '' ? '' : ' '}${term(c, j)}`;
  });
  return text === '' ? '0 x0' : text;
}

/** The model as CPLEX LP text. A row with two bounds is written as two; names are numbers there, since people's names are not read by solvers. */
export function lpText({ goal, columns, rows }: LinearModel): string {
  const lines = rows.flatMap((row, i) => [
    ...(row.low === undefined ? [] : [` a${i}: ${expression(row.coefficients)} >= ${number(row.low)}`]),
    ...(row.high === undefined ? [] : [` b${i}: ${expression(row.coefficients)} <= ${number(row.high)}`]),
  ]);
  const bounds = columns.map(
    ({ low = 0, high }, j) =>
      ` ${low === -Infinity ? '-inf' : number(low)} <= x${j}${high === undefined ? '' : ` <= ${number(high)}`}`,
  );
  const whole = columns.flatMap(({ integer }, j) => (integer ? [` x${j}`] : []));
  return [
    goal === 'least' ? 'Minimize' : 'Maximize',
    ` cost: ${expression(columns.map((c) => c.cost))}`,
    'Subject To',
    ...lines,
    'Bounds',
    ...bounds,
    ...(whole.length > 0 ? ['General', ...whole] : []),
    'End',
  ].join('\n');
}

/** Below this, relative to what it stands beside, a number is round-off. */
const ROUND_OFF = 1e-9;
const cleared = (x: number): number => (Math.abs(x) < ROUND_OFF ? 0 : x);
const at = (activity: number, bound: number | undefined): boolean =>
  bound !== undefined && Math.abs(activity - bound) <= 1e-7 * Math.max(1, Math.abs(bound));

const activityOf = ({ coefficients }: Row, x: readonly number[]): number =>
  coefficients.reduce((sum, c, j) => sum + c * (x[j] ?? 0), 0);

/** What a solution says of each row and column, in the model's own names. */
function readSolution(model: LinearModel, solution: ReturnType<LpSolver['solve']>): Solution {
  const columns = model.columns.map(({ name }, j): SolvedColumn => {
    const found = solution.Columns[`x${j}`] as { readonly Primal?: number; readonly Dual?: number } | undefined;
    return { name, value: cleared(found?.Primal ?? 0), reducedCost: found?.Dual };
  });
  const x = columns.map((c) => c.value);
  const duals = new Map(
    (solution.Rows as readonly { readonly Name: string; readonly Dual?: number }[]).map((r) => [r.Name, r.Dual]),
  );
  const rows = model.rows.map((row, i): SolvedRow => {
    const activity = activityOf(row, x);
    const sides = [duals.get(`a${i}`), duals.get(`b${i}`)].filter((d) => d !== undefined);
    return {
      name: row.name,
      activity,
      binds: at(activity, row.low) ? 'low' : at(activity, row.high) ? 'high' : undefined,
      dual: sides.length === 0 ? undefined : sides.reduce((a, b) => a + b, 0),
    };
  });
  const objective = model.columns.reduce((sum, { cost }, j) => sum + cost * (x[j] ?? 0), 0);
  return { objective, x, columns, rows };
}

/**
 * Solves a model. Round-off below a billionth is cleared to zero.
 * @param solver HiGHS in the program
 * @param limits ten seconds and a millionth unless said
 * @example solve({ goal: 'least', columns: [{ name: 'urea', cost: 0.8 }], rows: [{ name: 'N', coefficients: [0.46], low: 1 }] }, highs) // x = 2.17
 */
export function solve(
  model: LinearModel,
  solver: LpSolver,
  { seconds = SOLVER_SECONDS, gap = GAP }: Limits = {},
): Outcome {
  const solution = solver.solve(lpText(model), { time_limit: seconds, mip_rel_gap: gap });
  switch (solution.Status) {
    case 'Optimal':
      return { kind: 'optimal', ...readSolution(model, solution) };
    case 'Infeasible':
      return { kind: 'infeasible' };
    case 'Unbounded':
      return { kind: 'unbounded' };
    case 'Time limit reached': {
      const best = readSolution(model, solution);
      return { kind: 'stopped', best: meets(model, best.x) ? best : undefined };
    }
    default:
      return { kind: 'failed', status: solution.Status };
  }
}

/** Whether numbers meet every row and bound of a model, whole where they must be. @param within as a share of each bound */
export function meets({ columns, rows }: LinearModel, x: readonly number[], within = 1e-6): boolean {
  const inside = (value: number, low: number | undefined, high: number | undefined): boolean => {
    const room = (bound: number): number => within * Math.max(1, Math.abs(bound));
    return (low === undefined || value >= low - room(low)) && (high === undefined || value <= high + room(high));
  };
  return (
    columns.every(({ low = 0, high, integer }, j) => {
      const value = x[j] ?? 0;
      return inside(value, low, high) && (!integer || Math.abs(value - Math.round(value)) <= within);
    }) && rows.every((row) => inside(activityOf(row, x), row.low, row.high))
  );
}

/** A model without its demand for whole numbers: what no solution in whole numbers can better. */
export const relaxed = (model: LinearModel): LinearModel => ({
  ...model,
  columns: model.columns.map(({ integer: _, ...column }) => column),
});

/** Rows that cannot all hold together, of which none can be spared, found by leaving out one after another; undefined when the model can be met. */
function conflictRows(model: LinearModel, solver: LpSolver): readonly Row[] | undefined {
  const cannot = (rows: readonly Row[]): boolean =>
    // What is best does not matter here, only whether there is anything.
    solve({ ...model, columns: model.columns.map((c) => ({ ...c, cost: 0 })), rows }, solver).kind === 'infeasible';
  if (!cannot(model.rows)) return undefined;
  let kept = model.rows;
  for (const row of model.rows) {
    const without = kept.filter((r) => r !== row);
    if (cannot(without)) kept = without;
  }
  return kept;
}

/**
 * Sets of rows that cannot hold together, each without a row that could be spared. After the first, a set is looked for without each row of it in turn:
 * where there is one, taking that row away would not have helped.
 * @param most so many sets at most are looked for
 * @returns the names of each; empty when the model can be met
 * @example conflictSets(model, highs) // [['N', 'the bag is full'], ['K2O', 'no chloride']]
 */
export function conflictSets(model: LinearModel, solver: LpSolver, most = 3): readonly (readonly string[])[] {
  const first = conflictRows(model, solver);
  if (!first) return [];
  const found = [first];
  for (const row of first) {
    if (found.length >= most) break;
    const next = conflictRows({ ...model, rows: model.rows.filter((r) => r !== row) }, solver);
    const isNew = next && !found.some((set) => set.length === next.length && set.every((r) => next.includes(r)));
    if (isNew) found.push(next);
  }
  return found.map((set) => set.map((r) => r.name));
}
