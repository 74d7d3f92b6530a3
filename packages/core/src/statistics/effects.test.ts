import fc from 'fast-check';
import { hedgesG, logOddsRatio, logResponseRatio, logRiskRatio } from './effects.js';
import { intervalFromSe, sdFromDifference, sdFromSe, seFromInterval, seFromLsd, seFromP, seFromSd } from './spreads.js';

const arm = (mean: number, sd: number, n: number) => ({ mean, sd, n });

describe('log response ratio', () => {
  test('by hand: 12 ± 3 against 10 ± 2, five each', () => {
    // Squared relative errors 9 ÷ 720 = 0.0125 and 4 ÷ 500 = 0.008.
    const plain = logResponseRatio(arm(12, 3, 5), arm(10, 2, 5), { corrected: false });
    expect([plain.effect, plain.variance]).toEqual([expect.closeTo(Math.log(1.2), 12), expect.closeTo(0.0205, 12)]);
    const corrected = logResponseRatio(arm(12, 3, 5), arm(10, 2, 5));
    expect(corrected.effect).toBeCloseTo(Math.log(1.2) + (0.0125 - 0.008) / 2, 12);
    expect(corrected.variance).toBeCloseTo(0.0205 + (0.0125 ** 2 + 0.008 ** 2) / 2, 12);
  });
  test('scaling both arms changes nothing; swapping them turns the sign', () => {
    const positive = fc.double({ min: 0.1, max: 100, noNaN: true });
    fc.assert(
      fc.property(positive, positive, positive, positive, positive, (a, b, s, u, by) => {
        const [t, c] = [arm(a, s, 6), arm(b, u, 9)];
        const found = logResponseRatio(t, c);
        const scaled = logResponseRatio(arm(a * by, s * by, 6), arm(b * by, u * by, 9));
        expect(scaled.effect).toBeCloseTo(found.effect, 8);
        expect(scaled.variance / found.variance).toBeCloseTo(1, 8);
        expect(logResponseRatio(c, t).effect).toBeCloseTo(-found.effect, 8);
      }),
    );
  });
  test('of a mean of zero or below there is no ratio', () => {
    expect(() => logResponseRatio(arm(0, 1, 4), arm(1, 1, 4))).toThrow(/expected one above zero for a ratio/);
    expect(() => logResponseRatio(arm(1, 1, 4), arm(-1, 1, 4))).toThrow(RangeError);
  });
});

describe('Hedges’ g', () => {
  test('by hand: a difference of one standard deviation, ten each, is 0.9577', () => {
    // J = 1 − 3 ÷ 71; variance 20 ÷ 100 + g² ÷ 40.
    const found = hedgesG(arm(12, 2, 10), arm(10, 2, 10));
    expect(found.effect).toBeCloseTo(1 - 3 / 71, 12);
    expect(found.variance).toBeCloseTo(0.2 + (1 - 3 / 71) ** 2 / 40, 12);
  });
  test('it has no scale and minds no zero, but needs a spread', () => {
    expect(hedgesG(arm(0, 20, 10), arm(-20, 20, 10)).effect).toBeCloseTo(1 - 3 / 71, 12);
    expect(() => hedgesG(arm(1, 0, 4), arm(0, 0, 4))).toThrow(/expected a standard deviation above zero/);
  });
});

describe('counts', () => {
  const [t, c] = [
    { events: 4, n: 123 },
    { events: 11, n: 139 },
  ];
  test('by hand: 4 of 123 against 11 of 139', () => {
    expect(logRiskRatio(t, c).effect).toBeCloseTo(Math.log(4 / 123 / (11 / 139)), 12);
    expect(logRiskRatio(t, c).variance).toBeCloseTo(1 / 4 - 1 / 123 + 1 / 11 - 1 / 139, 12);
    expect(logOddsRatio(t, c).effect).toBeCloseTo(Math.log((4 * 128) / (119 * 11)), 12);
    expect(logOddsRatio(t, c).variance).toBeCloseTo(1 / 4 + 1 / 119 + 1 / 11 + 1 / 128, 12);
  });
  test('an empty cell gets half a unit, and so do the others then', () => {
    const none = logRiskRatio({ events: 0, n: 10 }, { events: 5, n: 10 });
    expect(none.effect).toBeCloseTo(Math.log(0.5 / 11 / (5.5 / 11)), 12);
    expect(() => logRiskRatio({ events: 11, n: 10 }, c)).toThrow(/expected at most all of them/);
  });
});

describe('spreads, there and back', () => {
  const positive = fc.double({ min: 0.01, max: 1000, noNaN: true });
  const size = fc.integer({ min: 2, max: 200 });
  test('standard error, deviation and interval', () => {
    fc.assert(
      fc.property(positive, size, fc.constantFrom(0.9, 0.95, 0.99), (sd, n, level) => {
        const se = seFromSd(sd, n);
        expect(sdFromSe(se, n) / sd).toBeCloseTo(1, 9);
        const [low, high] = intervalFromSe(50, se, n - 1, level);
        expect(seFromInterval(low, high, n - 1, level) / se).toBeCloseTo(1, 8);
      }),
    );
  });
  test('by hand: 8 to 12 of ten units is 2 ÷ 2.2622 each way; p 0.05 at 18 degrees of freedom is t 2.1009; LSD 3 at 20 is 3 ÷ 2.0860', () => {
    expect(seFromInterval(8, 12, 9)).toBeCloseTo(2 / 2.262157, 5);
    expect(seFromP(2, 0.05, 18)).toBeCloseTo(2 / 2.100922, 5);
    expect(seFromP(-2, 0.05, 18)).toBeCloseTo(2 / 2.100922, 5);
    expect(seFromLsd(3, 20)).toBeCloseTo(3 / 2.085963, 5);
    expect(sdFromDifference(1, 8, 8)).toBeCloseTo(2, 12);
  });
  test('a p that is none, or of no difference, tells no error', () => {
    expect(() => seFromP(2, 0, 18)).toThrow(/between 0 and 1/);
    expect(() => seFromP(2, 1, 18)).toThrow(RangeError);
    expect(() => seFromP(0, 0.5, 18)).toThrow(/difference of zero/);
  });
});
