import fc from 'fast-check';
import { blocksToReach, layOut, leastP, type TrialUnit } from './layout.js';

const count = (units: readonly TrialUnit[], of: (u: TrialUnit) => unknown): number => new Set(units.map(of)).size;

test('every block holds every arm once, and a seed gives the same layout every time', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 8 }),
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 1e6 }),
      (arms, blocks, seed) => {
        const units = layOut('blocks', arms, blocks, seed);
        expect(units).toHaveLength(arms * blocks);
        for (let b = 0; b < blocks; b++)
          expect(
            count(
              units.filter((u) => u.block === b),
              (u) => u.arm,
            ),
          ).toBe(arms);
        expect(layOut('blocks', arms, blocks, seed)).toEqual(units);
      },
    ),
  );
});

test('a Latin square holds every arm once in each row and column; all mixed holds each as often', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 8 }), fc.integer({ min: 1, max: 1e6 }), (arms, seed) => {
      const square = layOut('latin', arms, 1, seed);
      for (let i = 0; i < arms; i++) {
        expect(
          count(
            square.filter((u) => u.row === i),
            (u) => u.arm,
          ),
        ).toBe(arms);
        expect(
          count(
            square.filter((u) => u.column === i),
            (u) => u.arm,
          ),
        ).toBe(arms);
      }
      const mixed = layOut('random', arms, 3, seed);
      for (let a = 0; a < arms; a++) expect(mixed.filter((u) => u.arm === a)).toHaveLength(3);
    }),
  );
});

test('codes are each there once, and what they are made of says nothing of an arm or a place', () => {
  const units = layOut('blocks', 4, 12, 5);
  expect(count(units, (u) => u.code)).toBe(48);
  for (const u of units) expect(u.code).toMatch(/^[ACDEFHJKMNPRTUWXY]{3}$/);
  // The codes are the same whatever stands where: they are drawn apart from the arms.
  expect(layOut('random', 4, 12, 5).map((u) => u.code)).toEqual(units.map((u) => u.code));
  // No letter stands with one arm alone.
  const armsWith = (letter: string) =>
    count(
      units.filter((u) => u.code.startsWith(letter)),
      (u) => u.arm,
    );
  const often = [...new Set(units.map((u) => u.code[0]!))].filter(
    (l) => units.filter((u) => u.code.startsWith(l)).length >= 4,
  );
  expect(often.some((l) => armsWith(l) > 1)).toBe(true);
});

test('where an arm comes is chance: over 400 seeds each of three arms stands first about as often', () => {
  const first = Array.from({ length: 400 }, (_, seed) => layOut('blocks', 3, 1, seed + 1)[0]!.arm);
  for (const arm of [0, 1, 2]) expect(Math.abs(first.filter((a) => a === arm).length - 400 / 3)).toBeLessThan(45);
});

test('two arms need six blocks to reach 0.05, three need four; all mixed, two arms of four each reach 2 of 70', () => {
  expect(leastP('blocks', 2, 6)).toBeCloseTo(1 / 32, 12);
  expect(leastP('blocks', 2, 5)).toBeGreaterThan(0.05);
  expect([blocksToReach(0.05, 2), blocksToReach(0.05, 3)]).toEqual([6, 4]);
  expect(leastP('random', 2, 4)).toBeCloseTo(2 / 70, 12);
  expect(leastP('random', 3, 2)).toBeCloseTo(1 / 15, 12);
  expect(leastP('blocks', 4, 1)).toBe(1);
});

test('one arm, no replicate and a field of units are refused', () => {
  expect(() => layOut('blocks', 1, 4, 1)).toThrow(/two arms/);
  expect(() => layOut('blocks', 3, 0, 1)).toThrow(/one of each/);
  expect(() => layOut('blocks', 20, 40, 1)).toThrow(/at most 600/);
});
