import fc from 'fast-check';
import { bag, line } from '../../test/bags.js';
import { mixture } from './mixture.js';
import { errorWords, inScoops, NEAR_ENOUGH, withScoop, type ScoopRecipe } from './scoops.js';

const meal = bag({ name: 'Meal', densityKgPerL: 0.6, analysis: [line('N', 12), line('P', 1, 'P2O5')] });
const potash = bag({ name: 'Potash', densityKgPerL: 1.2, analysis: [line('K', 50, 'K2O')] });
const scoops = (found: ReturnType<typeof inScoops>): Extract<typeof found, { kind: 'scoops' }> => {
  if (found.kind !== 'scoops') throw new Error(found.kind);
  return found;
};

test('three litres of meal and one of potash are three scoops and one, and nothing is off', () => {
  const { nearest, fewest } = scoops(
    inScoops(
      mixture([
        { product: meal, kg: 1.8 },
        { product: potash, kg: 1.2 },
      ]),
      0.25,
    ),
  );
  expect(nearest.counts.map((c) => c.count)).toEqual([3, 1]);
  expect(nearest.error).toBeCloseTo(0, 12);
  expect(fewest?.scoops).toBe(4);
  expect(nearest.mixture.totalKg).toBeCloseTo(3 * 0.25 * 0.6 + 0.25 * 1.2, 12);
});

test('without a density it says whose is missing', () => {
  const mix = mixture([
    { product: { ...meal, densityKgPerL: undefined }, kg: 1 },
    { product: potash, kg: 1 },
  ]);
  expect(inScoops(mix, 0.25)).toEqual({ kind: 'needsDensity', products: ['Meal'] });
});

test('a larger scoop makes more of the same', () => {
  const { nearest } = scoops(
    inScoops(
      mixture([
        { product: meal, kg: 2 },
        { product: potash, kg: 1 },
      ]),
      0.06,
    ),
  );
  const large = withScoop(nearest, 0.6);
  expect(large.mixture.totalKg).toBeCloseTo(10 * nearest.mixture.totalKg, 9);
  expect(large.counts).toEqual(nearest.counts);
});

test('an error in words', () =>
  expect(
    errorWords([
      { nutrient: 'N', error: 0.0312 },
      { nutrient: 'K', error: -0.05 },
      { nutrient: 'P', error: 0.001 },
    ]),
  ).toEqual(['nitrogen 3.1 % too much', 'potassium 5.0 % too little']));

/** The error of counts, reckoned from masses alone. */
function trueError(ideal: ReturnType<typeof mixture>, { counts, scoopL }: ScoopRecipe): number {
  const kg = counts.map(({ product, count }) => count * scoopL * (product.densityKgPerL as number));
  const total = kg.reduce((a, b) => a + b, 0);
  return Math.max(
    ...ideal.analysis
      .filter((n) => n.percent.value.mid >= 0.1)
      .map(({ nutrient, percent }) => {
        const got = counts.reduce((sum, { product }, i) => {
          const declared = product.analysis.find((l) => l.analyte === nutrient)?.value;
          return sum + kg[i]! * (declared?.kind === 'number' ? declared.value : 0);
        }, 0);
        return Math.abs(got / total / percent.value.mid - 1);
      }),
  );
}

test('the error that is stated is the true one, every material is in, and the fewest scoops are near enough', () => {
  const anyBag = (i: number) =>
    fc
      .record({
        density: fc.double({ min: 0.2, max: 1.6, noNaN: true }),
        N: fc.integer({ min: 1, max: 40 }),
        kg: fc.double({ min: 0.05, max: 5, noNaN: true }),
      })
      .map(({ density, N, kg }) => ({
        product: bag({
          id: `b${i}`,
          name: `Bag ${i}`,
          densityKgPerL: density,
          analysis: [line('N', N), line('S', i + 2)],
        }),
        kg,
      }));
  fc.assert(
    fc.property(fc.tuple(anyBag(0), anyBag(1), anyBag(2)), fc.constantFrom(0.05, 0.25, 1), (parts, scoop) => {
      const ideal = mixture(parts);
      const { nearest, fewest } = scoops(inScoops(ideal, scoop));
      for (const found of [nearest, ...(fewest ? [fewest] : [])]) {
        expect(found.error).toBeCloseTo(trueError(ideal, found), 9);
        expect(found.counts.every((c) => c.count >= 1)).toBe(true);
      }
      if (fewest) {
        expect(fewest.error).toBeLessThanOrEqual(NEAR_ENOUGH);
        expect(fewest.scoops).toBeLessThanOrEqual(Math.max(nearest.scoops, fewest.scoops));
      } else expect(nearest.error).toBeGreaterThan(NEAR_ENOUGH);
      expect(nearest.error).toBeLessThanOrEqual(fewest?.error ?? Infinity);
    }),
    { numRuns: 100 },
  );
});
