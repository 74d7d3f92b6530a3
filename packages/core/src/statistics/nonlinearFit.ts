import { Matrix, QrDecomposition } from 'ml-matrix';

/** A curve with parameters, and the points it is to go through. */
export interface FitProblem {
  /** The curve's value at x. */
  readonly curve: (x: number, parameters: readonly number[]) => number;
  /** Its derivative by each parameter; worked out from differences where it is not given. */
  readonly gradient?: ((x: number, parameters: readonly number[]) => readonly number[]) | undefined;
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly start: readonly number[];
  /** Where the start is a good one, the long walk of a bad one is not worth its time. */
  readonly goodStart?: boolean | undefined;
}

/** A fit by least squares. */
export interface Fit {
  readonly kind: 'fitted';
  readonly parameters: readonly number[];
  /** Standard error of each parameter, from the curvature at the fit. */
  readonly standardErrors: readonly number[];
  readonly residualSumOfSquares: number;
  readonly degreesOfFreedom: number;
  /** √(residual sum of squares ÷ degrees of freedom). */
  readonly residualDeviation: number;
}
export type FitResult =
  Fit | { readonly kind: 'failed'; readonly why: 'tooFewPoints' | 'notFinite' | 'noEnd' | 'undetermined' };

const MOST_STEPS = 20_000;
const FEW_STEPS = 400;
const LAST_STEPS = 200;
const FIRST_DAMPING = 0.01;
const MOST_DAMPING = 1e30;
/** Share of what the straight-line picture promised that a step must bring. */
const LEAST_GAIN = 1e-3;
/** A step that promises a smaller share of the sum of squares is the last. */
const ENOUGH = 1e-9;
const CUBE_ROOT_OF_EPSILON = Math.cbrt(Number.EPSILON);

const sumOfSquares = (values: readonly number[]): number => values.reduce((sum, v) => sum + v * v, 0);
const residuals = ({ curve, x, y }: FitProblem, at: readonly number[]): readonly number[] =>
  x.map((xi, i) => (y[i] ?? 0) - curve(xi, at));

/** Derivatives of the curve at each x by central differences, each step in proportion to its parameter. */
function differences(curve: FitProblem['curve'], x: number, at: readonly number[]): readonly number[] {
  return at.map((p, j) => {
    const h = CUBE_ROOT_OF_EPSILON * (Math.abs(p) || 1);
    const moved = (by: number): readonly number[] => at.map((q, k) => (k === j ? q + by : q));
    return (curve(x, moved(h)) - curve(x, moved(-h))) / (2 * h);
  });
}
const jacobian = ({ curve, gradient, x }: FitProblem, at: readonly number[]): Matrix =>
  new Matrix(x.map((xi) => [...(gradient?.(xi, at) ?? differences(curve, xi, at))]));

/** Columns scaled to length one, so that 5e-4 beside 240 is no trouble; a column of zeros stays. */
const columnLengths = (j: Matrix): readonly number[] =>
  Array.from({ length: j.columns }, (_, c) => Math.sqrt(sumOfSquares(j.getColumn(c))) || 1);
const scaledBy = (j: Matrix, scale: readonly number[]): Matrix =>
  new Matrix(j.to2DArray().map((row) => row.map((v, c) => v / (scale[c] ?? 1))));

/** The step that a damped Gauss–Newton iteration takes: least squares of J·step ≈ residual, with damping rows below it. */
function stepOf(
  j: Matrix,
  scale: readonly number[],
  residual: readonly number[],
  damping: number,
): readonly number[] | undefined {
  const root = Math.sqrt(damping);
  const damped = scale.map((_, r) => scale.map((__, c) => (r === c ? root : 0)));
  const right = Matrix.columnVector([...residual, ...scale.map(() => 0)]);
  const qr = new QrDecomposition(new Matrix([...scaledBy(j, scale).to2DArray(), ...damped]));
  if (!qr.isFullRank()) return undefined;
  return qr
    .solve(right)
    .to1DArray()
    .map((s, i) => s / (scale[i] ?? 1));
}

/** Standard errors from (JᵀJ)⁻¹ × residual variance; undefined where the data do not settle the parameters. */
function errorsOf(j: Matrix, variance: number): readonly number[] | undefined {
  const scale = columnLengths(j);
  const qr = new QrDecomposition(scaledBy(j, scale));
  // Columns of length one that lean on each other leave next to nothing on the diagonal.
  if (qr.upperTriangularMatrix.diagonal().some((d) => Math.abs(d) < 1e-9)) return undefined;
  // (JᵀJ)⁻¹ = R⁻¹R⁻ᵀ: its diagonal is the squared length of each row of R⁻¹.
  const inverse = new QrDecomposition(qr.upperTriangularMatrix).solve(Matrix.eye(j.columns));
  const errors = scale.map((s, i) => Math.sqrt(variance * sumOfSquares(inverse.getRow(i))) / s);
  return errors.every(Number.isFinite) ? errors : undefined;
}

/** Where a fit stands. */
interface Place {
  readonly at: readonly number[];
  readonly off: readonly number[];
  readonly rss: number;
}
const placeAt = (problem: FitProblem, at: readonly number[]): Place => {
  const off = residuals(problem, at);
  return { at, off, rss: sumOfSquares(off) };
};
const moved = (at: readonly number[], by: readonly number[]): readonly number[] => at.map((p, i) => p + (by[i] ?? 0));

/** How damping follows steps: boldly, which is quick; or by how well each kept its promise (Nielsen's rule), which follows a long narrow valley to its end. */
const PACES = ['bold', 'patient'] as const;
type Pace = (typeof PACES)[number];
const SLOWER: Readonly<Record<Pace, number>> = { bold: 4, patient: 2 };
const eased = (pace: Pace, gain: number): number =>
  pace === 'bold' ? (gain > 0.75 ? 0.1 : 0.5) : Math.max(1 / 3, 1 - (2 * gain - 1) ** 3);

/** Goes downhill with damping until a step promises next to nothing more; or why it does not get there. */
function downhill(
  problem: FitProblem,
  start: Place,
  pace: Pace,
): Place | Extract<FitResult, { kind: 'failed' }>['why'] {
  let place = start;
  let j = jacobian(problem, place.at);
  let scale = columnLengths(j);
  const most = problem.goodStart ? FEW_STEPS : MOST_STEPS;
  let damping = FIRST_DAMPING;
  let growth: number = SLOWER[pace];
  const size = Math.sqrt(sumOfSquares(problem.y)) || 1;
  // Below this the points lie on the curve as far as numbers can tell.
  const nothing = (1e-14 * size) ** 2;
  for (let steps = 0; steps < most && place.rss > nothing; steps++) {
    const step = stepOf(j, scale, place.off, damping);
    if (!step) return 'undetermined';
    const change = j.mmul(Matrix.columnVector([...step])).to1DArray();
    const promised = place.rss - sumOfSquares(place.off.map((r, i) => r - (change[i] ?? 0)));
    if (damping < 1 && promised <= ENOUGH * place.rss) return place;
    const next = placeAt(problem, moved(place.at, step));
    const gain = (place.rss - next.rss) / promised;
    if (gain > LEAST_GAIN) {
      place = next;
      j = jacobian(problem, place.at);
      scale = columnLengths(j);
      damping *= eased(pace, gain);
      growth = SLOWER[pace];
    } else {
      damping *= growth;
      if (pace === 'patient') growth *= 2;
      if (damping > MOST_DAMPING) return Number.isFinite(next.rss) ? 'noEnd' : 'notFinite';
    }
  }
  return place.rss > nothing ? 'noEnd' : place;
}

/** A few whole steps at the bottom, for the last digits: none that makes the fit worse. */
function polished(problem: FitProblem, found: Place): Place {
  let place = found;
  for (let steps = 0; steps < LAST_STEPS; steps++) {
    const j = jacobian(problem, place.at);
    const step = stepOf(j, columnLengths(j), place.off, 0);
    const next = step && placeAt(problem, moved(place.at, step));
    if (!next || !(next.rss <= place.rss * (1 + ENOUGH))) break;
    place = next;
    if (step.every((by, i) => Math.abs(by) <= 1e-12 * Math.abs(place.at[i] ?? 0))) break;
  }
  return place;
}

/**
 * Fits a curve to points by least squares: Gauss–Newton steps on scaled parameters, damped as Levenberg and Marquardt do wherever a whole step would
 * not bring what it promises, each solved by QR so that no square of a badly scaled matrix is formed; whole steps at the end. Without a good start several
 * are tried around the one given, and the best fit is kept.
 * @returns parameters with standard errors, or why there is no fit
 * @example fitCurve({ curve: (t, [n0, k]) => n0 * (1 - Math.exp(-k * t)), x: days, y: shares, start: [1, 0.05] })
 */
export function fitCurve(problem: FitProblem): FitResult {
  const { x, y, start } = problem;
  const degreesOfFreedom = Math.min(x.length, y.length) - start.length;
  if (degreesOfFreedom < 1) return { kind: 'failed', why: 'tooFewPoints' };
  const own = fitAtSomePace(problem, start, degreesOfFreedom);
  if (problem.goodStart) return own;
  // A valley of its own may hold the start: the deepest of several is taken.
  return startsAround(start)
    .map((at) => fitAtSomePace({ ...problem, goodStart: true }, at, degreesOfFreedom))
    .reduce(
      (best, found) =>
        found.kind === 'fitted' &&
        (best.kind !== 'fitted' || found.residualSumOfSquares < best.residualSumOfSquares * (1 - CLEARLY))
          ? found
          : best,
      own,
    );
}

/** Less better than this is the same valley. */
const CLEARLY = 1e-6;
const AROUND = [0.03, 0.1, 0.3, 3, 10, 30] as const;
/** Starts with one parameter after the other much smaller and much larger. */
const startsAround = (start: readonly number[]): readonly (readonly number[])[] =>
  start.flatMap((_, i) => AROUND.map((factor) => start.map((p, k) => (k === i ? p * factor : p))));

function fitAtSomePace(problem: FitProblem, start: readonly number[], degreesOfFreedom: number): FitResult {
  const first = placeAt(problem, start);
  if (!Number.isFinite(first.rss)) return { kind: 'failed', why: 'notFinite' };
  let result: FitResult = { kind: 'failed', why: 'noEnd' };
  for (const pace of problem.goodStart ? PACES.slice(0, 1) : PACES) {
    result = fitFrom(problem, first, pace, degreesOfFreedom);
    if (result.kind === 'fitted') break;
  }
  return result;
}

function fitFrom(problem: FitProblem, first: Place, pace: Pace, degreesOfFreedom: number): FitResult {
  const found = downhill(problem, first, pace);
  if (typeof found === 'string') return { kind: 'failed', why: found };
  const { at, rss } = polished(problem, found);
  const variance = rss / degreesOfFreedom;
  const standardErrors = errorsOf(jacobian(problem, at), variance);
  if (!standardErrors) return { kind: 'failed', why: 'undetermined' };
  return {
    kind: 'fitted',
    parameters: at,
    standardErrors,
    residualSumOfSquares: rss,
    degreesOfFreedom,
    residualDeviation: Math.sqrt(variance),
  };
}
