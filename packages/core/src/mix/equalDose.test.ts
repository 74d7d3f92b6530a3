import { bag, line, potash, urea } from '../../test/bags.js';
import { equalDose } from './equalDose.js';
import { mixture } from './mixture.js';

const N = (amount: number) => ({ nutrient: 'N', basis: 'element', amount }) as const;

test('a mix of 23 % N stands for 4.6 times as much of what was meant to hold 5 %', () => {
  const mix = mixture([
    { product: urea, kg: 1 },
    { product: potash, kg: 1 },
  ]);
  expect(equalDose(mix, N(5))?.value.mid).toBeCloseTo(5 / 23, 9);
  expect(equalDose(mix, { nutrient: 'K', basis: 'K2O', amount: 25 })?.value.mid).toBeCloseTo(1, 9);
});

test('a range stays one, and what is not there has no dose', () => {
  const ranged = mixture([{ product: bag({ analysis: [line('N', [8, 10, 12])] }), kg: 1 }]);
  expect(equalDose(ranged, N(6))?.value).toEqual({
    low: expect.closeTo(0.5, 9),
    mid: expect.closeTo(0.6, 9),
    high: expect.closeTo(0.75, 9),
  });
  expect(equalDose(ranged, { nutrient: 'P', basis: 'P2O5', amount: 3 })).toBeUndefined();
  expect(equalDose(ranged, N(0))).toBeUndefined();
});
