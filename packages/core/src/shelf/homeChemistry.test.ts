import fc from 'fast-check';
import { KITCHEN_ACIDS, KITCHEN_SOLIDS, kitchenExtract, weakAcidPh } from './homeChemistry.js';
import { readLabel } from './label/index.js';
import type { ProteinFactor } from './protein.js';

test('a litre of 5 % vinegar: 50 g ÷ 60.05 = 0.833 mol, half of it CaCO3, 41.7 g; 100 g of shell hold more', () => {
  const read = kitchenExtract('acetic', 5, 1, 'eggshell', 100);
  expect(read.acidDissolves.value.mid).toBeCloseTo((50 / 60.05 / 2) * 100.09, 6);
  expect(read.present.value).toEqual({ low: 93, mid: 95, high: 97 });
  expect(read.limitedBy).toBe('acid');
  expect(read.calcium.value.mid).toBeCloseTo((50 / 60.05 / 2) * 40.078, 6);
  expect(read.calciumMgPerL.value.mid).toBeCloseTo((50_000 / 60.05 / 2) * 40.078, 3);
});

test('ten grams of shell in the same vinegar are used up: 9.5 g of CaCO3, 3.8 g of calcium', () => {
  const read = kitchenExtract('acetic', 5, 1, 'eggshell', 10);
  expect(read.limitedBy).toBe('solid');
  expect(read.calcium.value.mid).toBeCloseTo(9.5 * (40.078 / 100.09), 6);
});

test('law: an extract never holds more calcium than the solid has or the acid can take', () => {
  const pick = <T>(list: readonly T[]): fc.Arbitrary<T> => fc.constantFrom(...list);
  fc.assert(
    fc.property(
      pick(KITCHEN_ACIDS),
      pick(KITCHEN_SOLIDS),
      fc.double({ min: 0.01, max: 100, noNaN: true }),
      fc.double({ min: 0.01, max: 50, noNaN: true }),
      fc.double({ min: 0.01, max: 1e5, noNaN: true }),
      (acid, solid, percent, litres, grams) => {
        const { calcium, acidDissolves, present } = kitchenExtract(acid.key, percent, litres, solid.key, grams);
        for (const end of ['low', 'mid', 'high'] as const)
          expect(calcium.value[end]).toBeLessThanOrEqual(
            Math.min(acidDissolves.value[end], present.value[end]) * 0.4005,
          );
      },
    ),
  );
});

test('5 % acetic acid is pH 2.4; six times the strength is 0.39 lower, not six times on the scale', () => {
  expect(weakAcidPh('acetic', 5).value.mid).toBeCloseTo(2.42, 2);
  expect(weakAcidPh('acetic', 5).value.mid - weakAcidPh('acetic', 30).value.mid).toBeCloseTo(0.39, 2);
});

test.each([
  [0, 1, 10],
  [5, -1, 10],
  [5, 1, Infinity],
  [120, 1, 10],
  [NaN, 1, 10],
])('%p %% of %p L on %p g is refused in words', (percent, litres, grams) => {
  expect(() => kitchenExtract('acetic', percent, litres, 'eggshell', grams)).toThrow(/expected more than 0/);
});

test('protein ÷ 6.25 unless a food table’s factor is said: 38 % is 6.08 % N by feed law, 6.67 % as wheat', () => {
  const nitrogen = (factor?: ProteinFactor): unknown =>
    readLabel('Crude protein 38 %', 'label', factor ? { 1: { kind: 'protein', factor } } : {}).analysis[0]?.value;
  expect(nitrogen()).toEqual({ kind: 'number', value: 6.08 });
  expect(nitrogen('feed')).toEqual({ kind: 'number', value: 6.08 });
  expect(nitrogen('wheat')).toMatchObject({ value: expect.closeTo(38 / 5.7, 2) });
  expect(nitrogen('oats')).toMatchObject({ value: expect.closeTo(38 / 5.83, 2) });
  expect(nitrogen('soya')).toMatchObject({ value: expect.closeTo(38 / 5.71, 2) });
});

test('an extract with lemon juice holds tenths of a gram of calcium per litre, since calcium citrate settles out', () => {
  const lemon = kitchenExtract('citric', 6, 2, 'eggshell', 200);
  expect(lemon.acidDissolves.value.mid).toBeGreaterThan(90);
  expect(lemon.calcium.value).toEqual({ low: 0.2, mid: 0.4, high: 1 });
  expect(lemon.calciumMgPerL.value.mid).toBeCloseTo(200, 9);
  expect(lemon.caveat).toMatch(/settles out/);
  expect(kitchenExtract('acetic', 5, 1, 'eggshell', 100).caveat).toBe('');
});
