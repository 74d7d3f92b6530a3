import fc from 'fast-check';
import { ladderScale } from './ladderScale';

test('the ladder: equal ratios are equal steps, and everything stands on it', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.01, max: 1e5, noNaN: true }), { minLength: 1, maxLength: 8 }), (values) => {
      const { at, ticks } = ladderScale(values);
      for (const v of [...values, ...ticks]) expect(at(v) >= 0 && at(v) <= 1).toBe(true);
      expect(at(20) - at(10)).toBeCloseTo(at(200) - at(100), 9);
      expect(ticks.length).toBeGreaterThan(0);
    }),
  );
  expect(() => ladderScale([0, 1])).toThrow(/positive/);
});
