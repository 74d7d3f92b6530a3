import { anova, fBeyond, type Observation } from './anova.js';
import { chiSquareBeyond, tBeyond } from './distributions.js';

const groups = (...of: readonly (readonly number[])[]): readonly Observation[] =>
  of.flatMap((values, arm) => values.map((value) => ({ arm, value })));
/** Digits that agree with a certified value: the base-10 log of the relative error, turned round. */
const digits = (found: number, certified: number): number =>
  found === certified ? 15 : -Math.log10(Math.abs(found - certified) / Math.abs(certified));

describe('NIST StRD, one-way', () => {
  test('SiRstv: five instruments', () => {
    const found = anova(
      groups(
        [196.3052, 196.124, 196.189, 196.2569, 196.3403],
        [196.3042, 196.3825, 196.1669, 196.3257, 196.0422],
        [196.1303, 196.2005, 196.2889, 196.0343, 196.1811],
        [196.2795, 196.1748, 196.1494, 196.1485, 195.9885],
        [196.2119, 196.1051, 196.185, 196.0052, 196.209],
      ),
    );
    expect([found.arms.df, found.error.df]).toEqual([4, 20]);
    expect(digits(found.arms.ss, 5.11462616e-2)).toBeGreaterThan(8);
    expect(digits(found.error.ss, 2.1663656e-1)).toBeGreaterThan(8);
    expect(digits(found.f!, 1.18046237440255)).toBeGreaterThan(8);
  });

  /** Nine treatments: the first value of each, then by turns 0.1 below and above it. */
  const smLs = (base: number, times: number): readonly Observation[] =>
    groups(
      ...[0.4, 0.3, 0.5, 0.3, 0.5, 0.3, 0.5, 0.3, 0.5].map((middle) => [
        base + middle,
        ...Array.from({ length: times - 1 }, (_, i) => base + Number((middle + (i % 2 === 0 ? -0.1 : 0.1)).toFixed(1))),
      ]),
    );
  test.each([
    ['SmLs01', 1, 21, 21, 8],
    ['SmLs02', 1, 201, 201, 8],
    ['SmLs03', 1, 2001, 2001, 8],
    ['SmLs04', 1e6, 21, 21, 8],
    ['SmLs05', 1e6, 201, 201, 8],
    ['SmLs06', 1e6, 2001, 2001, 8],
    // With 13 leading digits that are the same, a double keeps four of the spread.
    ['SmLs07', 1e12, 21, 21, 2],
    ['SmLs08', 1e12, 201, 201, 2],
    ['SmLs09', 1e12, 2001, 2001, 2],
  ])('%s', (_, base, times, f, atLeast) => {
    const found = anova(smLs(base, times));
    expect([found.arms.df, found.error.df]).toEqual([8, 9 * (times - 1)]);
    expect(digits(found.f!, f)).toBeGreaterThan(atLeast);
  });
});

test('PlantGrowth: F 4.846 on 2 and 27, p 0.01591', () => {
  const found = anova(
    groups(
      [4.17, 5.58, 5.18, 6.11, 4.5, 4.61, 5.17, 4.53, 5.33, 5.14],
      [4.81, 4.17, 4.41, 3.59, 5.87, 3.83, 6.03, 4.89, 4.32, 4.69],
      [6.31, 5.12, 5.54, 5.5, 5.37, 5.29, 4.92, 6.15, 5.8, 5.26],
    ),
  );
  expect([found.arms.df, found.error.df]).toEqual([2, 27]);
  expect(found.f).toBeCloseTo(4.846, 3);
  expect(found.p).toBeCloseTo(0.01591, 5);
});

/** Soybean seeds that failed of 100, five treatments in five blocks, as in Snedecor & Cochran. */
const SOYBEANS = [
  [8, 10, 12, 13, 11],
  [2, 6, 7, 11, 5],
  [4, 10, 9, 8, 10],
  [3, 5, 9, 10, 6],
  [9, 7, 5, 5, 3],
];
const blocked = SOYBEANS.flatMap((values, arm) => values.map((value, block) => ({ arm, block, value })));

test('a classical trial in blocks: treatments 83.84, blocks 49.84, error 86.56, F 3.87', () => {
  const found = anova(blocked);
  expect([found.arms.ss, found.layout.ss, found.error.ss].map((s) => Number(s.toFixed(2)))).toEqual([
    83.84, 49.84, 86.56,
  ]);
  expect([found.arms.df, found.layout.df, found.error.df]).toEqual([4, 4, 16]);
  expect(found.f).toBeCloseTo(3.87, 2);
  expect(found.p).toBeCloseTo(0.022, 3);
});

test('adding a constant changes nothing, a lost unit costs a degree of freedom, and a Latin square takes out rows and columns', () => {
  const shifted = anova(blocked.map((o) => ({ ...o, value: o.value + 1000 })));
  expect(shifted.f).toBeCloseTo(anova(blocked).f!, 8);
  expect(anova(blocked.slice(1)).error.df).toBe(15);
  const square = [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map((column) => ({
      arm: (row + column) % 3,
      row,
      column,
      value: row * 10 + column * 3 + ((row + column) % 3),
    })),
  );
  const found = anova(square);
  expect([found.arms.df, found.layout.df, found.error.df]).toEqual([2, 4, 2]);
  // Rows, columns and arms make up all of it.
  expect(found.error.ss).toBeCloseTo(0, 9);
  expect(found.arms.ss).toBeCloseTo(6, 9);
});

test('one unit of each arm leaves nothing to judge by: no F and no p', () => {
  const found = anova(groups([5], [7], [9]));
  expect([found.error.df, found.f, found.p, found.cv]).toEqual([0, undefined, undefined, undefined]);
  expect(() => anova([])).toThrow(/expected two or more/);
});

test('the far ends of distributions are not lost in the rounding of 1: F 400 on 3 and 20 is 5.1e-18', () => {
  expect(fBeyond(400, 3, 20) / 5.1e-18).toBeCloseTo(1, 1);
  expect(fBeyond(4.846, 2, 27)).toBeCloseTo(0.0159, 4);
  expect([fBeyond(0, 2, 27), chiSquareBeyond(0, 1)]).toEqual([1, 1]);
  // χ² on 2 degrees is e^(−x/2); t on 1 degree is the Cauchy distribution, whose end is 1 / (π t).
  expect(chiSquareBeyond(100, 2) / Math.exp(-50)).toBeCloseTo(1, 9);
  expect(chiSquareBeyond(3.841459, 1)).toBeCloseTo(0.05, 7);
  expect(tBeyond(1e10, 1) * Math.PI * 1e10).toBeCloseTo(1, 6);
});
