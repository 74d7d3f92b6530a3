import fc from 'fast-check';
import { bag, line } from '../../test/bags.js';
import type { Incubation } from '../shelf/index.js';
import { calibrate, netShares, ownCurve } from './calibrate.js';
import { nitrogenPools } from './nitrogenPools.js';
import { numbersFrom, parametersFor } from './parameters.js';
import { nitrogenBalance, simulate, type Surroundings } from './simulate.js';

const jar = (points: readonly (readonly [number, number, number])[], applied = 200): Incubation => ({
  applied,
  temperatureC: 20,
  medium: 'mineralSoil',
  points: points.map(([day, treated, untreated]) => ({ day, treated, untreated })),
});
const onCurve = (n0: number, k: number, days: readonly number[], background = 12): Incubation =>
  jar(days.map((t) => [t, background + 200 * n0 * (1 - Math.exp(-k * t)), background] as const));
const fitted = (incubation: Incubation) => {
  const found = calibrate(incubation);
  if (found.kind !== 'fitted') throw new Error(found.why);
  return found;
};

test('net share is treated less untreated over applied: (90 − 10) ÷ 200 = 0.4', () =>
  expect(netShares(jar([[14, 90, 10]]))).toEqual([{ day: 14, share: 0.4 }]));

test('samplings on a first-order curve give N0 and k back', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 0.95, noNaN: true }),
      fc.double({ min: 0.01, max: 0.15, noNaN: true }),
      (n0, k) => {
        const found = fitted(onCurve(n0, k, [7, 14, 28, 56, 84]));
        expect(found.n0.value).toBeCloseTo(n0, 6);
        expect(found.kPerDay.value).toBeCloseTo(k, 6);
      },
    ),
  ));

const NOISY = jar([
  [7, 50, 12],
  [14, 85, 14],
  [28, 118, 17],
  [56, 146, 22],
  [84, 151, 27],
]);
test('real samplings have intervals about the fit, and few of them wide ones', () => {
  const { n0, kPerDay, degreesOfFreedom, remarks } = fitted(NOISY);
  expect(degreesOfFreedom).toBe(3);
  expect(n0.low!).toBeLessThan(n0.value);
  expect(n0.high!).toBeGreaterThan(n0.value);
  expect(n0.value).toBeCloseTo(0.632, 2);
  expect(kPerDay.value).toBeGreaterThan(0.02);
  expect(kPerDay.high! - kPerDay.value).toBeGreaterThan(kPerDay.value - kPerDay.low!);
  expect(remarks).toEqual([]);
  const three = fitted({ ...NOISY, points: NOISY.points.filter((p) => [7, 28, 84].includes(p.day)) });
  expect(three.degreesOfFreedom).toBe(1);
  expect(three.remarks[0]).toMatch(/one degree of freedom/);
});

test.each([
  ['two samplings', jar([[7, 40, 10], [28, 90, 10]]), /3 days or more.*there are 2/],
  ['three on two days', jar([[7, 40, 10], [7, 44, 10], [28, 90, 10]]), /there are 2/],
  ['the start counts for nothing', jar([[0, 10, 10], [7, 40, 10], [28, 90, 10]]), /there are 2/],
  ['tied up', jar([[7, 4, 10], [28, 6, 12], [56, 9, 14]]), /tied up/],
  ['a straight line', jar([[10, 30, 10], [20, 50, 10], [40, 90, 10], [80, 170, 10]]), /straight line/],
  ['falling', jar([[7, 90, 10], [28, 60, 10], [56, 40, 10]]), /first sampling|do not rise/],
] as const)('%s cannot be fitted, and why is said', (_, incubation, why) => {
  const found = calibrate(incubation);
  expect(found.kind).toBe('cannotFit');
  if (found.kind === 'cannotFit') expect(found.why).toMatch(why);
}); // prettier-ignore

test('more than was applied is told', () =>
  expect(fitted(onCurve(1.2, 0.06, [7, 14, 28, 56, 84])).remarks.join()).toMatch(
    /More nitrogen came than was applied/,
  ));

const AROUND: Surroundings = {
  temperatureC: Array.from({ length: 120 }, () => 20),
  daysOnSurface: 0,
  workedInM: 0.15,
  doseKgPerHa: 100,
  lifeEases: false,
  longevity: undefined,
};
const run = (incubation: Incubation, temperatureC = 20) => {
  const product = { ...bag({ analysis: [line('N', 6)], derivedFrom: ['straw'] }), incubation };
  const reading = nitrogenPools(product);
  if (reading.kind === 'unknown') throw new Error(reading.why);
  const parameters = { ...numbersFrom(parametersFor([], 'mineralSoil', 6.5, { curve: reading.own })), wetness: 1 };
  return simulate(reading.pools, { ...AROUND, temperatureC: AROUND.temperatureC.map(() => temperatureC) }, parameters);
};
test('a bag with its own curve follows it where it is as warm and moist as in the jar, and keeps its balance', () => {
  const incubation = onCurve(0.6, 0.05, [7, 14, 28, 56, 84]);
  const there = run(incubation);
  for (const t of [0, 7, 30, 100]) {
    expect(there.available[t]).toBeCloseTo(0.6 * (1 - Math.exp(-0.05 * t)), 6);
    expect(nitrogenBalance(there, t)).toBeCloseTo(1, 12);
  }
  // Ten degrees cooler it goes half as fast: Q10 is 2.
  expect(run(incubation, 10).available[60]).toBeCloseTo(there.available[30]!, 9);
});
test('the curve of a bag is worked out once, and a bag without one keeps its class', () => {
  const incubation = onCurve(0.6, 0.05, [7, 14, 28, 56]);
  expect(ownCurve(incubation)).toBe(ownCurve(incubation));
  expect(ownCurve(undefined)).toBeUndefined();
  expect(ownCurve(jar([[7, 40, 10]]))).toBeUndefined();
  const { n0, kPerDay } = ownCurve(NOISY)!;
  for (const range of [n0, kPerDay]) {
    expect(range.low).toBeLessThan(range.mid);
    expect(range.high).toBeGreaterThan(range.mid);
  }
});
