import fc from 'fast-check';
import { logRiskRatio, type Effect } from './effects.js';
import { leaveOneOut, pool, subgroups, TAU_METHODS } from './pool.js';
import { smallStudies } from './smallStudies.js';

/** The thirteen trials of BCG vaccine against tuberculosis (Colditz et al. 1994): ill and not ill, vaccinated and not, and how they were allotted. */
const BCG = [
  [4, 119, 11, 128, 'random'],
  [6, 300, 29, 274, 'random'],
  [3, 228, 11, 209, 'random'],
  [62, 13536, 248, 12619, 'random'],
  [33, 5036, 47, 5761, 'alternate'],
  [180, 1361, 372, 1079, 'alternate'],
  [8, 2537, 10, 619, 'random'],
  [505, 87886, 499, 87892, 'random'],
  [29, 7470, 45, 7232, 'random'],
  [17, 1699, 65, 1600, 'systematic'],
  [186, 50448, 141, 27197, 'systematic'],
  [5, 2493, 3, 2338, 'systematic'],
  [27, 16886, 29, 17825, 'systematic'],
] as const;
const bcg = BCG.map(([a, b, c, d]) => logRiskRatio({ events: a, n: a + b }, { events: c, n: c + d }));

/** As it is printed. */
const printed = (x: number, digits = 4): number => Number(x.toFixed(digits));

describe('the BCG trials, log risk ratio, to the printed digits', () => {
  test('each trial with its variance', () => {
    expect(bcg.map((e) => [printed(e.effect), printed(e.variance)])).toEqual([
      [-0.8893, 0.3256],
      [-1.5854, 0.1946],
      [-1.3481, 0.4154],
      [-1.4416, 0.02],
      [-0.2175, 0.0512],
      [-0.7861, 0.0069],
      [-1.6209, 0.223],
      [0.012, 0.004],
      [-0.4694, 0.0564],
      [-1.3713, 0.073],
      [-0.3394, 0.0124],
      [0.4459, 0.5325],
      [-0.0173, 0.0714],
    ]);
  });

  test('DerSimonian & Laird: −0.7141, SE 0.1787, τ² 0.3088, Q 152.2330, I² 92.12 %', () => {
    const found = pool(bcg, { tau: 'DL', interval: 'normal' });
    expect([found.effect, found.se, found.tau2, found.q].map((x) => printed(x))).toEqual([
      -0.7141, 0.1787, 0.3088, 152.233,
    ]);
    expect([printed(found.interval.low), printed(found.interval.high)]).toEqual([-1.0644, -0.3638]);
    expect(printed(found.i2 * 100, 2)).toBe(92.12);
    expect([found.studies, found.degreesOfFreedom]).toEqual([13, 12]);
    expect(found.p).toBeLessThan(1e-4);
  });

  test('restricted maximum likelihood: −0.7145, SE 0.1798, τ² 0.3132, from −1.0669 to −0.3622', () => {
    const found = pool(bcg, { tau: 'REML', interval: 'normal' });
    expect([found.effect, found.se, found.tau2].map((x) => printed(x))).toEqual([-0.7145, 0.1798, 0.3132]);
    expect([printed(found.interval.low), printed(found.interval.high)]).toEqual([-1.0669, -0.3622]);
  });

  test('Paule & Mandel leaves as many weighted squares as degrees of freedom', () => {
    const found = pool(bcg, { tau: 'PM', interval: 'hartungKnappUnbounded' });
    expect(found.factor).toBeCloseTo(1, 9);
    expect(printed(found.tau2, 3)).toBe(0.318);
  });

  test('groups are pooled by themselves', () => {
    const found = subgroups(
      bcg,
      BCG.map((row) => row[4]),
      { tau: 'DL' },
    );
    expect(found.map((g) => [g.group, g.studies])).toEqual([
      ['random', 7],
      ['alternate', 2],
      ['systematic', 4],
    ]);
    expect(subgroups(bcg.slice(0, 2), ['a', 'b']).every((g) => g.pooled === undefined)).toBe(true);
  });
});

describe('by hand', () => {
  // Weights 100 and 50: mean (10 + 15) ÷ 150. Q = 100 × 0.0667² + 50 × 0.1333² = 1.3333, C = 150 − 12500 ÷ 150 = 66.667, τ² = 0.3333 ÷ 66.667.
  const two: readonly Effect[] = [
    { effect: 0.1, variance: 0.01 },
    { effect: 0.3, variance: 0.02 },
  ];
  test('two studies: Q 4/3, τ² 0.005, weights 66.7 and 40', () => {
    const found = pool(two, { interval: 'hartungKnappUnbounded' });
    expect([found.q, found.tau2]).toEqual([expect.closeTo(4 / 3, 9), expect.closeTo(0.005, 9)]);
    const mean = (0.1 / 0.015 + 0.3 / 0.025) / (1 / 0.015 + 1 / 0.025);
    expect(found.effect).toBeCloseTo(mean, 12);
    expect(found.weights).toEqual([expect.closeTo(0.625, 9), expect.closeTo(0.375, 9)]);
    expect(found.prediction).toBeUndefined();
    expect(leaveOneOut(two)).toEqual([]);
    // Squares at τ²: (0.075² ÷ 0.015 + 0.125² ÷ 0.025) ÷ 1 = 1, so that t(1) = 12.706 times the plain error.
    expect(found.factor).toBeCloseTo(1, 9);
    expect(found.interval.high - found.effect).toBeCloseTo(12.7062047 * Math.sqrt(1 / (1 / 0.015 + 1 / 0.025)), 5);
  });

  test('three alike: no variance between, the factor is zero and held at one, the prediction has one degree of freedom', () => {
    const alike = [1, 1, 1].map(() => ({ effect: 0.2, variance: 0.03 }));
    const found = pool(alike);
    expect([found.tau2, found.i2, found.factor, found.effect]).toEqual([0, 0, 1, expect.closeTo(0.2, 12)]);
    expect(pool(alike, { interval: 'hartungKnappUnbounded' }).factor).toBeCloseTo(0, 9);
    // SE = √(0.03 ÷ 3) = 0.1; t(2) = 4.3027 and t(1) = 12.7062.
    expect(found.interval.high).toBeCloseTo(0.2 + 0.43026527, 6);
    expect(found.prediction!.high).toBeCloseTo(0.2 + 1.27062047, 6);
    expect(leaveOneOut(alike).map((p) => p.studies)).toEqual([2, 2, 2]);
  });

  test('Hartung & Knapp stretches what differs more than its errors tell', () => {
    const apart = [0, 0.5, 1].map((effect) => ({ effect, variance: 1e-6 }));
    const found = pool(apart, { tau: 'DL' });
    // Then it is the plain t interval of the three numbers: 0.5 ± 4.3027 × 0.5 ÷ √3.
    expect(found.interval.high).toBeCloseTo(0.5 + (4.30265273 * 0.5) / Math.sqrt(3), 4);
  });
});

test('one study, or a variance of none, is never pooled', () => {
  expect(() => pool([{ effect: 1, variance: 1 }])).toThrow(/Read 1 study, expected two or more/);
  expect(() => pool([])).toThrow(RangeError);
  expect(() =>
    pool([
      { effect: 1, variance: 0 },
      { effect: 1, variance: 1 },
    ]),
  ).toThrow(/variance above zero/);
});

const study = fc.record({
  effect: fc.double({ min: -3, max: 3, noNaN: true }),
  variance: fc.double({ min: 1e-3, max: 2, noNaN: true }),
});
const studies = fc.array(study, { minLength: 2, maxLength: 12 });
const options = fc.record({ tau: fc.constantFrom(...TAU_METHODS) });

test('the pooled effect lies within those of the studies, whatever their order, and its intervals are as they must be', () => {
  fc.assert(
    fc.property(studies, options, (list, how) => {
      const found = pool(list, how);
      const effects = list.map((s) => s.effect);
      expect(found.effect).toBeGreaterThanOrEqual(Math.min(...effects) - 1e-9);
      expect(found.effect).toBeLessThanOrEqual(Math.max(...effects) + 1e-9);
      const turned = pool([...list].reverse(), how);
      expect(turned.effect).toBeCloseTo(found.effect, 8);
      expect(turned.tau2).toBeCloseTo(found.tau2, 8);
      expect(found.factor).toBeGreaterThanOrEqual(1);
      expect(found.weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      expect(found.i2).toBeGreaterThanOrEqual(0);
      expect(found.i2).toBeLessThan(1);
      const plain = pool(list, { ...how, interval: 'normal' }).interval;
      expect(found.interval.low).toBeLessThanOrEqual(plain.low + 1e-12);
      expect(found.interval.high).toBeGreaterThanOrEqual(plain.high - 1e-12);
    }),
  );
});

test('equal studies have no variance between them; moved or mirrored they move and mirror', () => {
  fc.assert(
    fc.property(study, fc.integer({ min: 2, max: 8 }), options, (one, k, how) => {
      expect(
        pool(
          Array.from({ length: k }, () => one),
          how,
        ).tau2,
      ).toBeCloseTo(0, 9);
    }),
  );
  fc.assert(
    fc.property(studies, fc.double({ min: -2, max: 2, noNaN: true }), (list, by) => {
      const found = pool(list);
      expect(pool(list.map((s) => ({ ...s, effect: s.effect + by }))).effect).toBeCloseTo(found.effect + by, 8);
      expect(pool(list.map((s) => ({ ...s, effect: -s.effect }))).effect).toBeCloseTo(-found.effect, 8);
    }),
  );
});

test('restricted likelihood is at its top: a little more or less variance between makes it less likely', () => {
  const logLikelihood = (list: readonly Effect[], tau2: number): number => {
    const w = list.map((s) => 1 / (s.variance + tau2));
    const all = w.reduce((a, b) => a + b, 0);
    const mean = list.reduce((s, e, i) => s + e.effect * w[i]!, 0) / all;
    return (
      w.reduce((s, x) => s + Math.log(x), 0) / 2 -
      Math.log(all) / 2 -
      list.reduce((s, e, i) => s + w[i]! * (e.effect - mean) ** 2, 0) / 2
    );
  };
  fc.assert(
    fc.property(fc.array(study, { minLength: 3, maxLength: 12 }), (list) => {
      const { tau2 } = pool(list, { tau: 'REML' });
      const best = logLikelihood(list, tau2);
      for (const other of [tau2 * 1.02 + 1e-4, Math.max(0, tau2 * 0.98 - 1e-4)])
        expect(logLikelihood(list, other)).toBeLessThanOrEqual(best + 1e-6);
    }),
  );
});

describe('small studies', () => {
  test('where small studies find more the intercept is above zero; with few of them it is said that it tells little', () => {
    const grows = [0.01, 0.04, 0.09, 0.16, 0.25].map((variance) => ({
      effect: 0.1 + 2 * Math.sqrt(variance) + (variance === 0.09 ? 0.01 : 0),
      variance,
    }));
    const found = smallStudies(grows)!;
    // effect ÷ SE = 0.1 ÷ SE + 2: the intercept is 2.
    expect(found.intercept).toBeCloseTo(2, 1);
    expect(found.p).toBeLessThan(0.05);
    expect(found.enough).toBe(false);
    expect(smallStudies(bcg)!.enough).toBe(true);
  });
  test('two studies, or all equally large, tell nothing', () => {
    expect(smallStudies(bcg.slice(0, 2))).toBeUndefined();
    expect(smallStudies([1, 2, 3].map((effect) => ({ effect, variance: 0.1 })))).toBeUndefined();
  });
});

test.each(['REML', 'PM'] as const)(
  'τ² by %s is as exact where effects are small: a thousandth of the effects is a millionth of it',
  (tau) => {
    const effects = [
      { effect: 0.1, variance: 0.02 },
      { effect: 0.9, variance: 0.03 },
      { effect: -0.4, variance: 0.01 },
      { effect: 0.5, variance: 0.05 },
    ];
    const small = effects.map((e) => ({ effect: e.effect * 1e-6, variance: e.variance * 1e-12 }));
    const [whole, tiny] = [effects, small].map((e) => pool(e, { tau }).tau2);
    expect((tiny! * 1e12) / whole!).toBeCloseTo(1, 9);
  },
);
