import { logRank, logRankScores, meanTime, type Timed } from './logRank.js';
import { errorDf, leastDifference, power } from './power.js';

test.each([
  // Two arms, two-sided 0.05, as tables of the noncentral t have it (Cohen 1988).
  [0.2, 393, 0.8],
  [0.5, 64, 0.8],
  [0.8, 26, 0.8],
  [0.5, 86, 0.9],
  [0.8, 34, 0.9],
])('a difference of %d standard deviations with %d each is found with a chance of %d', (d, n, chance) => {
  expect(power(d, 1, n, 2 * (n - 1))).toBeGreaterThan(chance - 0.002);
  expect(power(d, 1, n - 1, 2 * (n - 2))).toBeLessThan(chance + 0.002);
});

test('with two each, a CV of 12 % and no blocks only about 70 % can be seen, in two blocks about 200 %', () => {
  expect(leastDifference(0.12, 2, errorDf('random', 2, 2))).toBeCloseTo(0.7, 1);
  expect(leastDifference(0.12, 2, errorDf('blocks', 2, 2))).toBeGreaterThan(1.7);
  expect(leastDifference(0.12, 2, errorDf('blocks', 2, 2))).toBeLessThan(2.3);
});

test('no difference is found as often as it may be by chance, more units find more, one unit finds nothing', () => {
  expect(power(0, 0.2, 6, 10)).toBeCloseTo(0.05, 6);
  expect(power(0.3, 0.2, 8, 14)).toBeGreaterThan(power(0.3, 0.2, 6, 10));
  expect(power(0.3, 0.2, 1, 0)).toBe(0);
  expect(leastDifference(0.2, 1, 0)).toBeUndefined();
  expect([errorDf('random', 3, 4), errorDf('blocks', 3, 4), errorDf('latin', 4, 4)]).toEqual([9, 6, 6]);
});

/** Weeks in remission (Freireich et al. 1963), a mark for those still in it. */
const timed = (...of: readonly (number | string)[]): readonly Timed[] =>
  of.map((t) => ({ minutes: Number(String(t).replace('+', '')), over: typeof t === 'number' }));
const TREATED = timed(
  6,
  6,
  6,
  '6+',
  7,
  '9+',
  10,
  '10+',
  '11+',
  13,
  16,
  '17+',
  '19+',
  '20+',
  22,
  23,
  '25+',
  '32+',
  '32+',
  '34+',
  '35+',
);
const PLACEBO = timed(1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23);

test('the log-rank test of a textbook example: χ² 16.79', () => {
  expect(logRank(TREATED, PLACEBO)!.chiSquare).toBeCloseTo(16.793, 3);
  expect(logRank(PLACEBO, TREATED)!.chiSquare).toBeCloseTo(16.793, 3);
  expect(logRank(TREATED, PLACEBO)!.p).toBeLessThan(5e-5);
  expect(logRank(timed('15+', '15+'), timed('15+'))).toBeUndefined();
});

test('log-rank scores add up to nothing, and those of an arm to 19.25 expected less 9 observed', () => {
  const scores = logRankScores([...TREATED, ...PLACEBO]);
  const sum = (of: readonly number[]) => of.reduce((a, b) => a + b, 0);
  expect(sum(scores)).toBeCloseTo(0, 12);
  expect(sum(scores.slice(0, TREATED.length))).toBeCloseTo(19.25 - 9, 2);
  expect(logRankScores(timed(3, '5+'))).toEqual([-0.5, 0.5]);
  expect(logRankScores(timed('15+', '15+'))).toEqual([0, 0]);
});

test('a mean of times that were not over has no upper end', () => {
  expect(meanTime(timed(5, 10))).toEqual({ low: 7.5, high: 7.5 });
  expect(meanTime(timed(5, '15+'))).toEqual({ low: 10, high: undefined });
});
