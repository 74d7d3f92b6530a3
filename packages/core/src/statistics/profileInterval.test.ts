import { fitCurve, type FitProblem } from './nonlinearFit.js';
import { profileIntervals } from './profileInterval.js';
import { tQuantile } from './studentT.js';

const fitted = (problem: FitProblem) => {
  const fit = fitCurve(problem);
  if (fit.kind !== 'fitted') throw new Error(fit.why);
  return fit;
};

test.each([
  [0.975, 1, 12.706204736174694],
  [0.975, 10, 2.2281388519649385],
  [0.95, 3, 2.3533634348018264],
  [0.5, 7, 0],
])('t below which %d lies with %i degrees of freedom is %d', (share, dof, t) =>
  expect(tQuantile(share, dof)).toBeCloseTo(t, 9),
);
test('no degrees of freedom are refused', () => expect(() => tQuantile(0.9, 0)).toThrow('expected 1 or more'));

test('of a straight line the profile interval is the usual one: estimate ± t × standard error', () => {
  const problem: FitProblem = {
    curve: (x, [a = 0, b = 0]) => a + b * x,
    x: [0, 1, 2, 3, 4],
    y: [1.1, 2.9, 5.2, 6.8, 9.1],
    start: [0, 1],
  };
  const fit = fitted(problem);
  const t = tQuantile(0.975, 3);
  profileIntervals(problem, fit).forEach(({ low, high }, i) => {
    const [p = 0, e = 0] = [fit.parameters[i], fit.standardErrors[i]];
    expect(low).toBeCloseTo(p - t * e, 7);
    expect(high).toBeCloseTo(p + t * e, 7);
  });
});

test('of a curve it is not even: further up than down for a rate that few early points settle, and 60 % is narrower than 95 %', () => {
  const problem: FitProblem = {
    curve: (x, [a = 0, k = 0]) => a * (1 - Math.exp(-k * x)),
    x: [1, 2, 3, 5, 7, 10],
    y: [109, 149, 149, 191, 213, 224],
    start: [100, 0.75],
  };
  const fit = fitted(problem);
  const [, k] = profileIntervals(problem, fit);
  const [, narrow] = profileIntervals(problem, fit, 0.6);
  const best = fit.parameters[1]!;
  expect(k!.high! - best).toBeGreaterThan(best - k!.low!);
  expect(narrow!.low!).toBeGreaterThan(k!.low!);
  expect(narrow!.high!).toBeLessThan(k!.high!);
  // At an end the best fit of the other parameter raises the sum of squares by t² × variance.
  const held = fitted({ ...problem, curve: (x, [a = 0]) => a * (1 - Math.exp(-k!.high! * x)), start: [200] });
  const t = tQuantile(0.975, 4);
  expect(held.residualSumOfSquares / (fit.residualSumOfSquares * (1 + t ** 2 / 4))).toBeCloseTo(1, 6);
});

test('an end that the data do not settle is open', () => {
  // Points that are still on the straight beginning of the curve: how high it goes is not known.
  const problem: FitProblem = {
    curve: (x, [a = 0, k = 0]) => a * (1 - Math.exp(-k * x)),
    x: [1, 2, 3, 4],
    y: [0.0101, 0.0198, 0.0303, 0.0395],
    start: [0.2, 0.05],
  };
  const [a, k] = profileIntervals(problem, fitted(problem), 0.95, [
    [0, 1],
    [0, 10],
  ]);
  expect(a!.high).toBeUndefined();
  expect(a!.low).toBeGreaterThan(0.04);
  expect(k!.high).toBeGreaterThan(0);
});
