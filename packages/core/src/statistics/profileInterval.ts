import { fitCurve, type Fit, type FitProblem } from './nonlinearFit.js';
import { tQuantile } from './studentT.js';

/** Where a parameter can lie; an end that the data do not settle is undefined. */
export interface ProfileInterval {
  readonly low: number | undefined;
  readonly high: number | undefined;
}

const MOST_WIDENINGS = 60;
const MOST_HALVINGS = 200;

/** The least sum of squares with one parameter held at a value, the others fitted from where they were. */
function heldAt(problem: FitProblem, index: number, value: number, others: readonly number[]): Place {
  const whole = (free: readonly number[]): readonly number[] => [...free.slice(0, index), value, ...free.slice(index)];
  const fit = fitCurve({
    ...problem,
    curve: (x, free) => problem.curve(x, whole(free)),
    gradient: problem.gradient && ((x, free) => problem.gradient?.(x, whole(free)).filter((_, i) => i !== index) ?? []),
    start: others,
    goodStart: true,
  });
  if (fit.kind === 'failed') return { rss: Number.POSITIVE_INFINITY, others };
  return { rss: fit.residualSumOfSquares, others: fit.parameters };
}
interface Place {
  readonly rss: number;
  readonly others: readonly number[];
}

/**
 * Profile-likelihood intervals of a fit's parameters: all values of a parameter at which the best fit of the others raises the residual sum of
 * squares by no more than t² × its variance (Bates & Watts' profile t). Unlike an interval from the standard error it need not be even on both sides,
 * and an end is open where no value is far enough.
 * @param confidence share between 0 and 1, 0.95 unless said
 * @param bounds what each parameter can be at all: a search stops there and the end is open
 * @example profileIntervals(problem, fit)[1] // { low: 0.03, high: 0.11 }
 */
export function profileIntervals(
  problem: FitProblem,
  fit: Fit,
  confidence = 0.95,
  bounds: readonly (readonly [number, number])[] = [],
): readonly ProfileInterval[] {
  const t = tQuantile((1 + confidence) / 2, fit.degreesOfFreedom);
  const most = fit.residualSumOfSquares * (1 + t ** 2 / fit.degreesOfFreedom);
  return fit.parameters.map((best, index): ProfileInterval => {
    const error = fit.standardErrors[index] || Math.abs(best) * 1e-9 || 1e-9;
    const [least, greatest] = bounds[index] ?? [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    const end = (side: 1 | -1): number | undefined => {
      let others: readonly number[] = fit.parameters.filter((_, i) => i !== index);
      let inside = best;
      let step = error;
      let outside: number | undefined;
      for (let i = 0; i < MOST_WIDENINGS && outside === undefined; i++) {
        const value = Math.min(greatest, Math.max(least, best + side * step));
        const place = heldAt(problem, index, value, others);
        if (place.rss > most) outside = value;
        else if (value === least || value === greatest) return undefined;
        else {
          inside = value;
          others = place.others;
          step *= 1.6;
        }
      }
      if (outside === undefined) return undefined;
      for (let i = 0; i < MOST_HALVINGS && Math.abs(outside - inside) > 1e-10 * Math.abs(outside); i++) {
        const middle: number = (inside + outside) / 2;
        const place = heldAt(problem, index, middle, others);
        if (place.rss > most) outside = middle;
        else {
          inside = middle;
          others = place.others;
        }
      }
      return inside;
    };
    return { low: end(-1), high: end(1) };
  });
}
