import fc from 'fast-check';
import { equalAmount, perEach, potDose } from './perEach.js';

test('50 g/m² are 500 kg/ha, 446 lb/acre, 16.4 oz for 100 ft²; by 30 × 10 cm 15 g a metre of row and 1.5 g a plant', () => {
  const told = perEach(50, { rowM: 0.3, plantM: 0.1 });
  expect(told.map((t) => [t.of, Number(t.amount.toPrecision(3)), t.unit])).toEqual([
    ['ha', 500, 'kg'],
    ['acre', 446, 'lb'],
    ['100 ft²', 16.4, 'oz'],
    ['m of row', 15, 'g'],
    ['plant', 1.5, 'g'],
  ]);
  expect(perEach(50, undefined)).toHaveLength(3);
});

test('a pot of 30 cm and 15 L: 50 g/m² on its 0.071 m² are 3.5 g, 3 g/L in its medium are 45', () => {
  const pot = potDose(0.3, 15, 50, 3);
  expect(pot.surfaceM2).toBeCloseTo(0.0707, 4);
  expect(pot.bySurfaceG).toBeCloseTo(3.534, 3);
  expect(pot.byLitreG).toBe(45);
  // Twice as deep is twice by litre and the same by surface.
  expect(potDose(0.3, 30, 50, 3)).toMatchObject({ bySurfaceG: pot.bySurfaceG, byLitreG: 90 });
  expect(() => potDose(0, 15, 50, 3)).toThrow(RangeError);
});

test('as much nitrogen of another bag, and back again, is what it was', () => {
  expect(equalAmount(40, 0.13, 0.46)).toBeCloseTo(11.3, 1);
  expect(equalAmount(40, 0, 0.46)).toBeUndefined();
  expect(equalAmount(40, 0.13, 0)).toBeUndefined();
  const fraction = fc.double({ min: 0.001, max: 0.8, noNaN: true });
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 1e5, noNaN: true }), fraction, fraction, (amount, a, b) => {
      const there = equalAmount(amount, a, b)!;
      expect(there * b).toBeCloseTo(amount * a, 6);
      expect(equalAmount(there, b, a)! / amount).toBeCloseTo(1, 9);
    }),
  );
});
