import { bag, direction, line, priced } from '../../test/bags.js';
import { compareLabels } from './compareLabels.js';

const lastYear = bag({
  name: 'Meadow Feed',
  grade: '5-3-4',
  analysis: [
    line('N', 5),
    line('P', 3, 'P2O5'),
    line('K', 4, 'K2O'),
    line('Mg', [0.5, 1, 1.5]),
    line('Zn', { below: 20 }, 'element', 'mg/kg'),
  ],
  derivedFrom: ['feather meal', 'bone meal'],
  offers: [priced(20, 'kg', '18.00')],
  directions: [direction('100 g/m²', 2)],
});

test('every nutrient is compared by its element, whatever basis and unit either version declares', () => {
  const thisYear = bag({
    ...lastYear,
    analysis: [
      line('N', 4.5),
      line('P', 13.09, 'element', 'g/kg'),
      line('K', 4, 'K2O'),
      line('Mg', [1.2, 1.8, 2.2]),
      line('Zn', 15, 'element', 'mg/kg'),
      line('S', 6),
    ],
  });
  const of = new Map(compareLabels(lastYear, thisYear).figures.map((f) => [f.analyte, f.change]));
  expect(Object.fromEntries(of)).toEqual({ N: 'less', P: 'same', K: 'same', Mg: 'tie', Zn: 'cannotTell', S: 'added' });
});

test('oxide and element of the same amount are the same, as rounded on labels; a hundredth more is more', () => {
  const twice = (basis: 'P2O5' | 'element', percent: number) => bag({ analysis: [line('P', percent, basis)] });
  const change = (percent: number) => compareLabels(twice('P2O5', 8), twice('element', percent)).figures[0]?.change;
  expect([change(3.49), change(3.5), change(3.53), change(3.4)]).toEqual(['same', 'same', 'more', 'less']);
});

test('words that changed stand beside each other, those that did not are left out', () => {
  const thisYear = bag({
    ...lastYear,
    grade: '5-2-4',
    derivedFrom: ['bone meal', 'blood meal'],
    offers: [priced(18, 'kg', '18.00')],
  });
  expect(compareLabels(lastYear, thisYear).words).toEqual([
    { what: 'grade line', before: '5-3-4', after: '5-2-4' },
    { what: 'ingredients only here', before: 'feather meal', after: 'blood meal' },
    { what: 'package sizes', before: '20 kg', after: '18 kg' },
  ]);
  expect(compareLabels(lastYear, bag({ ...lastYear, derivedFrom: ['bone meal', 'feather meal'] })).words).toEqual([
    { what: 'order of ingredients', before: 'feather meal, bone meal', after: 'bone meal, feather meal' },
  ]);
  const same = compareLabels(lastYear, lastYear);
  expect([same.words, same.figures.map((f) => f.change)]).toEqual([[], Array(5).fill('same')]);
});

const zinc = (value: Parameters<typeof line>[1]) => bag({ analysis: [line('Zn', value, 'element', 'mg/kg')] });
const zincChange = (before: Parameters<typeof line>[1], after: Parameters<typeof line>[1]) =>
  compareLabels(zinc(before), zinc(after)).figures[0]?.change;
test('of two figures below detection only the same limit is the same; a limit and a number cannot be told apart', () => {
  expect(zincChange({ below: 20 }, { below: 20 })).toBe('same');
  expect(zincChange({ below: 20 }, { below: 10 })).toBe('cannotTell');
  expect(zincChange(20, { below: 20 })).toBe('cannotTell');
});
test('ranges that touch in one point are tied; a hair apart they are not', () => {
  expect(zincChange([10, 15, 20], [20, 25, 30])).toBe('tie');
  expect(zincChange([20, 25, 30], [10, 15, 20])).toBe('tie');
  expect(zincChange([10, 15, 20], [20.01, 25, 30])).toBe('more');
  expect(zincChange([20.01, 25, 30], [10, 15, 20])).toBe('less');
});
