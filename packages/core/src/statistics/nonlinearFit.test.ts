import fc from 'fast-check';
import { fitCurve, type FitProblem } from './nonlinearFit.js';

/** A set of the NIST Statistical Reference Datasets for nonlinear regression, with its certified results. */
interface Certified extends Pick<FitProblem, 'curve' | 'x' | 'y'> {
  readonly starts: readonly (readonly number[])[];
  readonly parameters: readonly number[];
  readonly errors: readonly number[];
  readonly rss: number;
}
const n = (p: readonly number[], i: number): number => p[i] ?? Number.NaN;
const MISRA1 = {
  x: [77.6, 114.9, 141.1, 190.8, 239.9, 289, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760],
  y: [10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78],
};
const CERTIFIED: Readonly<Record<string, Certified>> = {
  Misra1a: {
    ...MISRA1,
    curve: (x, p) => n(p, 0) * (1 - Math.exp(-n(p, 1) * x)),
    starts: [[500, 0.0001], [250, 0.0005]],
    parameters: [2.3894212918e2, 5.5015643181e-4],
    errors: [2.7070075241, 7.2668688436e-6],
    rss: 1.2455138894e-1,
  },
  Misra1b: {
    ...MISRA1,
    curve: (x, p) => n(p, 0) * (1 - (1 + (n(p, 1) * x) / 2) ** -2),
    starts: [[500, 0.0001], [300, 0.0002]],
    parameters: [3.3799746163e2, 3.9039091287e-4],
    errors: [3.1643950207, 4.2547321834e-6],
    rss: 7.5464681533e-2,
  },
  Misra1c: {
    ...MISRA1,
    curve: (x, p) => n(p, 0) * (1 - (1 + 2 * n(p, 1) * x) ** -0.5),
    starts: [[500, 0.0001], [600, 0.0002]],
    parameters: [6.3642725809e2, 2.0813627256e-4],
    errors: [4.6638326572, 1.7728423155e-6],
    rss: 4.0966836971e-2,
  },
  Misra1d: {
    ...MISRA1,
    curve: (x, p) => (n(p, 0) * n(p, 1) * x) / (1 + n(p, 1) * x),
    starts: [[500, 0.0001], [450, 0.0003]],
    parameters: [4.3736970754e2, 3.0227324449e-4],
    errors: [3.6489174345, 2.9334354479e-6],
    rss: 5.6419295283e-2,
  },
  BoxBOD: {
    x: [1, 2, 3, 5, 7, 10],
    y: [109, 149, 149, 191, 213, 224],
    curve: (x, p) => n(p, 0) * (1 - Math.exp(-n(p, 1) * x)),
    starts: [[1, 1], [100, 0.75]],
    parameters: [2.1380940889e2, 5.4723748542e-1],
    errors: [1.2354515176e1, 1.0455993237e-1],
    rss: 1.1680088766e3,
  },
  DanWood: {
    x: [1.309, 1.471, 1.49, 1.565, 1.611, 1.68],
    y: [2.138, 3.421, 3.597, 4.34, 4.882, 5.66],
    curve: (x, p) => n(p, 0) * x ** n(p, 1),
    starts: [[1, 5], [0.7, 4]],
    parameters: [7.6886226176e-1, 3.8604055871],
    errors: [1.8281973860e-2, 5.1726610913e-2],
    rss: 4.3173084083e-3,
  },
  Rat42: {
    x: [9, 14, 21, 28, 42, 57, 63, 70, 79],
    y: [8.93, 10.8, 18.59, 22.33, 39.35, 56.11, 61.73, 64.62, 67.08],
    curve: (x, p) => n(p, 0) / (1 + Math.exp(n(p, 1) - n(p, 2) * x)),
    starts: [[100, 1, 0.1], [75, 2.5, 0.07]],
    parameters: [7.2462237576e1, 2.6180768402, 6.7359200066e-2],
    errors: [1.7340283401, 8.8295217536e-2, 3.4465663377e-3],
    rss: 8.0565229338,
  },
  MGH09: {
    x: [4, 2, 1, 0.5, 0.25, 0.167, 0.125, 0.1, 0.0833, 0.0714, 0.0625],
    y: [0.1957, 0.1947, 0.1735, 0.16, 0.0844, 0.0627, 0.0456, 0.0342, 0.0323, 0.0235, 0.0246],
    curve: (x, p) => (n(p, 0) * (x * x + x * n(p, 1))) / (x * x + x * n(p, 2) + n(p, 3)),
    starts: [[25, 39, 41.5, 39], [0.25, 0.39, 0.415, 0.39]],
    parameters: [1.9280693458e-1, 1.9128232873e-1, 1.2305650693e-1, 1.3606233068e-1],
    errors: [1.1435312227e-2, 1.9633220911e-1, 8.0842031232e-2, 9.0025542308e-2],
    rss: 3.0750560385e-4,
  },
  MGH10: {
    x: Array.from({ length: 16 }, (_, i) => 50 + 5 * i),
    y: [34780, 28610, 23650, 19630, 16370, 13720, 11540, 9744, 8261, 7030, 6005, 5147, 4427, 3820, 3307, 2872],
    curve: (x, p) => n(p, 0) * Math.exp(n(p, 1) / (x + n(p, 2))),
    starts: [
      [2, 400000, 25000],
      [0.02, 4000, 250],
    ],
    parameters: [5.6096364710e-3, 6.1813463463e3, 3.4522363462e2],
    errors: [1.5687892471e-4, 2.3309021107e1, 7.8486103508e-1],
    rss: 8.7945855171e1,
  },
}; // prettier-ignore

/** Digits that two numbers share. */
const digits = (found: number, certified: number): number => -Math.log10(Math.abs(found / certified - 1) || 1e-16);
const CASES = Object.entries(CERTIFIED).flatMap(([name, set]) =>
  set.starts.map((start, i) => [name, i + 1, set, start] as const),
);

test.each(CASES)('NIST StRD %s from its start %i: six digits or more', (_, __, set, start) => {
  const fit = fitCurve({ ...set, start });
  if (fit.kind !== 'fitted') throw new Error(fit.why);
  set.parameters.forEach((p, i) => expect(digits(n(fit.parameters, i), p)).toBeGreaterThan(6));
  set.errors.forEach((e, i) => expect(digits(n(fit.standardErrors, i), e)).toBeGreaterThan(6));
  expect(digits(fit.residualSumOfSquares, set.rss)).toBeGreaterThan(6);
  expect(fit.degreesOfFreedom).toBe(set.x.length - set.parameters.length);
});

const firstOrder: FitProblem['curve'] = (t, p) => n(p, 0) * (1 - Math.exp(-n(p, 1) * t));
test('points on a curve give its parameters back, whatever the units of x and y', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      fc.double({ min: 0.01, max: 0.2, noNaN: true }),
      fc.constantFrom(1e-3, 1, 1e4),
      (n0, k, units) => {
        const x = [3, 7, 14, 28, 56];
        const y = x.map((t) => units * firstOrder(t, [n0, k]));
        const fit = fitCurve({ curve: firstOrder, x, y, start: [units, 0.05] });
        if (fit.kind !== 'fitted') throw new Error(fit.why);
        expect(n(fit.parameters, 0) / (n0 * units)).toBeCloseTo(1, 8);
        expect(n(fit.parameters, 1) / k).toBeCloseTo(1, 8);
      },
    ),
  ));

test('what cannot be fitted says why: as many parameters as points, no number, and two parameters that do the same', () => {
  expect(fitCurve({ curve: firstOrder, x: [1, 2], y: [1, 2], start: [1, 1] })).toEqual({
    kind: 'failed',
    why: 'tooFewPoints',
  });
  expect(fitCurve({ curve: () => Number.NaN, x: [1, 2], y: [1, 2], start: [1] })).toMatchObject({ why: 'notFinite' });
  const twice: FitProblem['curve'] = (x, p) => (n(p, 0) + n(p, 1)) * x;
  expect(fitCurve({ curve: twice, x: [1, 2, 3], y: [1, 2, 3.1], start: [1, 1] })).toEqual({
    kind: 'failed',
    why: 'undetermined',
  });
});

test('a start in a valley of its own finds the deeper one: a wave of another length fits better', () => {
  const x = Array.from({ length: 40 }, (_, i) => i / 4);
  const curve = (t: number, [a = 0, b = 0]: readonly number[]): number => a * Math.sin(b * t);
  const y = x.map((t) => curve(t, [2, 6]));
  const alone = fitCurve({ curve, x, y, start: [2, 0.61], goodStart: true });
  const found = fitCurve({ curve, x, y, start: [2, 0.61] });
  expect(alone.kind !== 'fitted' || alone.residualSumOfSquares > 1).toBe(true);
  if (found.kind !== 'fitted') throw new Error(found.why);
  expect(found.residualSumOfSquares).toBeLessThan(1e-9);
  expect(Math.abs(found.parameters[1]!)).toBeCloseTo(6, 6);
});
