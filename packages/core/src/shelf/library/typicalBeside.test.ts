import { bag, line } from '../../../test/bags.js';
import { massFraction } from '../massFraction.js';
import { typicalBeside, typicalEntry } from './index.js';

test('typical materials stand beside a shelf, each said to be typical, without a price and with its range', () => {
  const all = typicalBeside([]);
  const urea = all.find((p) => p.name === 'Urea, typical')!;
  expect(urea.offers).toEqual([]);
  const meal = massFraction(
    all.find((p) => p.name === 'Bone meal, typical')!,
    'N',
  );
  if (meal.kind !== 'figure') throw new Error(meal.kind);
  expect(meal.figure.value.low).toBeLessThan(meal.figure.value.high);
  expect([typicalEntry(urea.id)?.name, typicalEntry('a bag')]).toEqual(['urea', undefined]);
  expect(all.some((p) => /milk|sugar/i.test(p.name))).toBe(false);
});

test('a bag of one material alone stands for it; one of several, or of something nobody knows beside it, does not', () => {
  const offered = (derivedFrom: readonly string[]) =>
    typicalBeside([bag({ analysis: [line('N', 46)], derivedFrom })]).some((p) => p.name === 'Urea, typical');
  expect([offered(['carbamide']), offered(['urea', 'bone meal']), offered(['urea', 'star dust'])]).toEqual([
    false,
    true,
    true,
  ]);
});
