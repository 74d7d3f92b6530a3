import { featherMeal, grade, potash, urea } from '../../test/bags.js';
import { midSupply } from '../shelf/index.js';
import { ratioCheck, writtenAsRatio } from './ratio.js';

test('2:0:1 is a ratio and 2-0-1 is a grade', () => {
  expect(['2:0:1', ' 3 : 1 : 2', '2,5:0:1'].map(writtenAsRatio)).toEqual([true, true, true]);
  expect(['2-0-1', '5/3/4', '12 0 0', 'N 2'].map(writtenAsRatio)).toEqual([false, false, false, false]);
});

test('says by what factor a nutrient is short, with the ingredient that brings it', () => {
  const [n, k] = [midSupply(urea, 'N'), midSupply(potash, 'K') * 1.2046];
  // As much K2O as N where twice as much N is asked: N is short by half.
  const mix = [
    { product: urea, kg: 1 / n },
    { product: potash, kg: 1 / k },
  ];
  const { now, short } = ratioCheck(mix, grade('2-0-1'));
  expect(short).toEqual([{ symbol: 'N', factor: expect.closeTo(2, 3) as number, ingredient: urea.name }]);
  expect(now.map((p) => Number(p.parts.toFixed(3)))).toEqual([1, 0, 1]);
  // Twice the N meets it, at any strength.
  expect(
    ratioCheck(
      [
        { product: urea, kg: 20 / n },
        { product: potash, kg: 10 / k },
      ],
      grade('2-0-1'),
    ).short,
  ).toEqual([]);
  expect(ratioCheck([{ product: urea, kg: 1 }], grade('2-0-1')).short).toEqual([
    { symbol: 'K₂O', factor: Infinity, ingredient: undefined },
  ]);
  expect(ratioCheck([{ product: featherMeal, kg: 1 }], grade('0-0-0')).short).toEqual([]);
});
