import { inCurrency } from '../quantity/index.js';
import { constant, literal } from './figure.js';
import { unitProblems } from './dimensions.js';
import { difference, product, quotient, sum } from './operations.js';

const kg = (value: number) => literal('weight', value, 'kg', 'label', '');
const g = literal('weight', 5, 'g', 'label', '');

test('what fits is silent, with the conversion written out', () => {
  const perArea = quotient('rate', 'kg/m²', kg(6), literal('area', 3, 'm²', 'label', ''))!;
  const inGrams = product('rate', 'g/m²', [perArea, constant('g per kg', 1000, 'g/kg', '')]);
  expect(unitProblems(inGrams)).toEqual([]);
});

test('unlike things added up are told', () => {
  expect(unitProblems(sum('both', 'kg', [kg(1), g]))).toEqual(['both: g is added up as kg.']);
  expect(
    unitProblems(difference('left', 'kg', kg(1), literal('price', 1, inCurrency('EUR'), 'label', ''))),
  ).toHaveLength(1);
});

test('a unit that does not follow is told, and so is a number that lacks a conversion', () => {
  expect(unitProblems(product('x', 'kg/m²', [kg(1), kg(2)]))).toEqual([
    'x: kg/m² does not follow from what it was made of.',
  ]);
  expect(unitProblems(product('x', 'g', [kg(1), literal('share', 0.1, 'kg/kg', 'label', '')]))[0]).toContain(
    'x: 0.0001 is shown',
  );
  expect(unitProblems(quotient('x', 'kg', kg(1), kg(2))!)).toEqual(['x: kg does not follow from what it was made of.']);
});

test('a fault deep in the working is found', () =>
  expect(
    unitProblems(sum('all', 'kg', [kg(1), product('wrong', 'kg', [g, literal('n', 2, '', 'label', '')])])),
  ).toHaveLength(1));
