import fc from 'fast-check';
import { dayOfYear, soilTemperature } from './soilTemperature.js';

const LOGGER = [3.8, 3.9, 5.8, 8.9, 12.8, 16.2, 18.3, 17.9, 15.1, 11.2, 7.2, 4.7];

test('counts days from 1 January', () => {
  expect(dayOfYear('2026-01-01')).toBe(0);
  expect(dayOfYear('2026-03-01')).toBe(59);
  expect(dayOfYear('2026-12-31')).toBe(364);
  expect(dayOfYear('2028-02-29')).toBe(dayOfYear('2028-02-28'));
});

test('monthly means stand at the middles of months and are linear between', () => {
  const year = soilTemperature({ kind: 'monthly', meansC: LOGGER }, 0, 365);
  expect(year[15]).toBeCloseTo(3.8, 10);
  expect(year[196]).toBeCloseTo(18.3, 10);
  expect(year[60]).toBeCloseTo(3.9 + ((5.8 - 3.9) * (60 - 45)) / (74 - 45), 10);
  // New Year lies between December (day 349) and January (day 15, 31 days on): 4.7 − 0.9 × 16/31.
  expect(year[0]).toBeCloseTo(4.7 - 0.9 * (16 / 31), 10);
});

test('the sine swings about its mean, warmest on its day, damped and late at depth (damping depth 2 m)', () => {
  const sine = { kind: 'sine', meanC: 10, amplitudeC: 8, warmestDay: 200 } as const;
  const surface = soilTemperature(sine, 0, 365, 0);
  expect(surface[200]).toBeCloseTo(18, 10);
  const deep = soilTemperature(sine, 0, 365, 2);
  expect(Math.max(...deep) - 10).toBeCloseTo(8 / Math.E, 2);
  expect(deep.indexOf(Math.max(...deep))).toBe(200 + Math.round(365 / (2 * Math.PI)));
});

test('never leaves the range of its means, and runs on over the year’s end', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -10, max: 40, noNaN: true }), { minLength: 12, maxLength: 12 }),
      fc.integer({ min: 0, max: 364 }),
      (meansC, first) => {
        const days = soilTemperature({ kind: 'monthly', meansC }, first, 400);
        expect(Math.min(...days)).toBeGreaterThanOrEqual(Math.min(...meansC) - 1e-9);
        expect(Math.max(...days)).toBeLessThanOrEqual(Math.max(...meansC) + 1e-9);
        expect(days[365]).toBeCloseTo(days[0]!, 9);
      },
    ),
  );
});
