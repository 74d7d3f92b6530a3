import fc from 'fast-check';
import { inOwnScoop } from './scoop.js';

const own = { scoop: { grams: 240, name: 'blue tub' } };

test('840 g in a scoop of 240 are 3½; a bag without a scoop is weighed', () => {
  expect(inOwnScoop(own, 0.84)).toEqual({ scoops: 3.5, grams: 840, words: '3½ level scoops, blue tub (840 g)' });
  expect(inOwnScoop({ scoop: undefined }, 0.84)).toBeUndefined();
});

test('one is one, half is half, next to nothing and cartloads are weighed', () => {
  expect(inOwnScoop({ scoop: { grams: 240, name: '' } }, 0.24)!.words).toBe('1 level scoop (240 g)');
  expect(inOwnScoop(own, 0.12)!.words).toMatch(/^½ level scoop,/);
  expect(inOwnScoop(own, 0.02)).toBeUndefined();
  expect(inOwnScoop(own, 100)).toBeUndefined();
});

test('it is never more than an eighth of a scoop off', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.03, max: 40, noNaN: true }), (kg) => {
      const found = inOwnScoop(own, kg)!;
      expect(Math.abs(found.grams - kg * 1000)).toBeLessThanOrEqual(30 + 1e-9);
      expect((found.scoops * 4) % 1).toBe(0);
    }),
  );
});
