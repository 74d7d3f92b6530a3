/** What was measured of one arm of a study. */
export interface ArmMean {
  readonly mean: number;
  /** Standard deviation between units. */
  readonly sd: number;
  readonly n: number;
}
/** How many units of one arm had the outcome. */
export interface ArmCount {
  readonly events: number;
  readonly n: number;
}
/** The size of an effect with the variance of its estimate. */
export interface Effect {
  readonly effect: number;
  readonly variance: number;
}

/**
 * The natural logarithm of treated over control, with the small-sample correction: half the difference of the squared relative standard errors is added,
 * and half the sum of their squares to the variance.
 * Hedges, Gurevitch & Curtis 1999; corrected after Lajeunesse 2015.
 * @throws RangeError where a mean is not above zero: a ratio makes no sense then
 * @example logResponseRatio({ mean: 12, sd: 3, n: 5 }, { mean: 10, sd: 2, n: 5 }) // effect 0.185, variance 0.0206
 */
export function logResponseRatio(treated: ArmMean, control: ArmMean, { corrected = true } = {}): Effect {
  for (const { mean } of [treated, control])
    if (!(mean > 0)) throw new RangeError(`Read a mean of ${mean}, expected one above zero for a ratio.`);
  const relative = ({ mean, sd, n }: ArmMean): number => sd ** 2 / (n * mean ** 2);
  const [t, c] = [relative(treated), relative(control)];
  const effect = Math.log(treated.mean / control.mean);
  return corrected
    ? { effect: effect + (t - c) / 2, variance: t + c + (t ** 2 + c ** 2) / 2 }
    : { effect, variance: t + c };
}

/**
 * The difference of means in standard deviations, corrected for small samples by J = 1 − 3 / (4 df − 1).
 * Hedges 1981; variance (n_t + n_c) / (n_t n_c) + g² / (2 (n_t + n_c)).
 * @example hedgesG({ mean: 12, sd: 2, n: 10 }, { mean: 10, sd: 2, n: 10 }).effect // 0.958
 */
export function hedgesG(treated: ArmMean, control: ArmMean): Effect {
  const { n: nt } = treated;
  const { n: nc } = control;
  const df = nt + nc - 2;
  const pooled = Math.sqrt(((nt - 1) * treated.sd ** 2 + (nc - 1) * control.sd ** 2) / df);
  if (!(pooled > 0)) throw new RangeError('Read no spread between units, expected a standard deviation above zero.');
  const effect = ((treated.mean - control.mean) / pooled) * (1 - 3 / (4 * df - 1));
  return { effect, variance: (nt + nc) / (nt * nc) + effect ** 2 / (2 * (nt + nc)) };
}

/** Half a unit is put in each cell of a table that has an empty one, so that its logarithm exists. */
const HALF = 0.5;
function cells(treated: ArmCount, control: ArmCount): readonly [number, number, number, number] {
  const table = [treated.events, treated.n - treated.events, control.events, control.n - control.events] as const;
  if (table.some((x) => x < 0)) throw new RangeError('Read more events than units, expected at most all of them.');
  const add = table.some((x) => x === 0) ? HALF : 0;
  return [table[0] + add, table[1] + add, table[2] + add, table[3] + add];
}
/**
 * The natural logarithm of the ratio of two risks; variance 1/a − 1/n_t + 1/c − 1/n_c.
 * @example logRiskRatio({ events: 4, n: 123 }, { events: 11, n: 139 }) // effect −0.889, variance 0.326
 */
export function logRiskRatio(treated: ArmCount, control: ArmCount): Effect {
  const [a, b, c, d] = cells(treated, control);
  return {
    effect: Math.log(a / (a + b) / (c / (c + d))),
    variance: 1 / a - 1 / (a + b) + 1 / c - 1 / (c + d),
  };
}
/**
 * The natural logarithm of the ratio of two odds; variance 1/a + 1/b + 1/c + 1/d.
 * @example logOddsRatio({ events: 4, n: 123 }, { events: 11, n: 139 }) // effect −0.939, variance 0.357
 */
export function logOddsRatio(treated: ArmCount, control: ArmCount): Effect {
  const [a, b, c, d] = cells(treated, control);
  return { effect: Math.log((a * d) / (b * c)), variance: 1 / a + 1 / b + 1 / c + 1 / d };
}

/**
 * The mean of the effects of several arms of one trial. Arms that share a control are not independent: what is uncertain in the control is uncertain in all.
 * @param arms each with what the control adds to its variance, its covariance with the others; zero where the controls are apart
 * @throws RangeError without an arm
 * @example meanOfArms([{ effect: 0.1, variance: 0.02, shared: 0.01 }, { effect: 0.3, variance: 0.02, shared: 0.01 }]) // effect 0.2, variance 0.015
 */
export function meanOfArms(arms: readonly (Effect & { readonly shared: number })[]): Effect {
  const m = arms.length;
  if (m === 0) throw new RangeError('Read no arm, expected one or more.');
  const effect = arms.reduce((sum, a) => sum + a.effect, 0) / m;
  const variance = arms.reduce(
    (sum, a, i) => sum + arms.reduce((row, b, j) => row + (i === j ? a.variance : Math.sqrt(a.shared * b.shared)), 0),
    0,
  );
  return { effect, variance: variance / m ** 2 };
}
