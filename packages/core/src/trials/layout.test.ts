import fc from 'fast-check';
import { blocksToReach, leastP, leastPAlone } from './arrangements.js';
import { layOut, type TrialUnit } from './layout.js';

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

test('the least p counts all distinct arrangements: 2 (t − 1)! of them always stand out as far as the best', () => {
  expect(leastP('blocks', 2, 6)).toBeCloseTo(2 / 64, 12);
  expect(leastP('blocks', 2, 5)).toBeGreaterThan(0.05);
  expect(leastP('blocks', 3, 3)).toBeCloseTo(4 / 216, 12);
  expect(leastP('blocks', 5, 2)).toBeCloseTo(48 / 14_400, 12);
  expect(leastP('random', 2, 4)).toBeCloseTo(2 / 70, 12);
  expect(leastP('random', 2, 5)).toBeCloseTo(2 / 252, 12);
  expect(leastP('random', 3, 2)).toBeCloseTo(4 / 90, 12);
  expect(leastP('latin', 4, 4)).toBeCloseTo(12 / 432, 12);
  expect(leastP('blocks', 4, 1)).toBe(12 / 24);
  // 24^4 are too many to go through: of 10 000 that are drawn p is never below 1 of 10 001.
  expect(leastP('blocks', 4, 4)).toBeCloseTo(1 / 10_001, 12);
  expect([blocksToReach(0.05, 2), blocksToReach(0.05, 3)]).toEqual([6, 3]);
});

test('where one treatment alone stands out any arm may take its places, so that more blocks are needed', () => {
  expect(leastPAlone('blocks', 3, 3)).toBeCloseTo(1 / 9, 12);
  expect(leastPAlone('blocks', 2, 6)).toBeCloseTo(leastP('blocks', 2, 6), 12);
  expect(leastPAlone('random', 3, 3)).toBeCloseTo(3 / 84, 12);
  expect(leastPAlone('random', 2, 4)).toBeCloseTo(2 / 70, 12);
  expect(leastPAlone('latin', 4, 4)).toBeCloseTo(1 / 6, 12);
  expect([blocksToReach(0.05, 2, leastPAlone), blocksToReach(0.05, 3, leastPAlone)]).toEqual([6, 4]);
});

test('one arm, no replicate and a field of units are refused', () => {
  expect(() => layOut('blocks', 1, 4, 1)).toThrow(/two arms/);
  expect(() => layOut('blocks', 3, 0, 1)).toThrow(/one of each/);
  expect(() => layOut('blocks', 20, 40, 1)).toThrow(/at most 600/);
});
