import { parseAmounts } from './amounts.js';

const kg = (target: string, madeFor?: string): readonly (readonly [string, string, number])[] | string => {
  const read = parseAmounts(target, madeFor);
  return read.ok ? read.parts.map((p) => [p.nutrient, p.basis, p.amount] as const) : `${read.field}: ${read.reason}`;
};

test('amounts as such, with the name before or behind, in any unit of weight', () => {
  expect(kg('120 g N, 60 g K2O')).toEqual([
    ['N', 'element', 0.12],
    ['K', 'K2O', 0.06],
  ]);
  expect(kg('N: 1,5 kg; P₂O₅ 0.4 kg')).toEqual([
    ['N', 'element', 1.5],
    ['P', 'P2O5', 0.4],
  ]);
  expect(kg('1 lb N and 8 oz of Mg')).toEqual([
    ['N', 'element', 0.45359237],
    ['Mg', 'element', 0.226796185],
  ]);
});

test('for each of so many, and for an area', () => {
  expect(kg('5 g N, 2 g P2O5', '12 plants')).toEqual([
    ['N', 'element', 0.06],
    ['P', 'P2O5', 0.024],
  ]);
  expect(kg('60 kg/ha N, 8 g/m2 K2O', '50 m²')).toEqual([
    ['N', 'element', 0.3],
    ['K', 'K2O', 0.4],
  ]);
  expect(kg('100 g N', '4 ft x 8 ft')).toEqual([['N', 'element', 0.1]]);
});

test('what cannot be read is told with what was expected', () => {
  expect(kg('')).toMatch(/^target: Read nothing, expected such as 120 g N/);
  expect(kg('120 g')).toMatch(/^target: Read “120 g”, expected such as/);
  expect(kg('5 L N')).toMatch(/^target: L measures volume/);
  expect(kg('5 g N, 3 g N')).toBe('target: Read N twice, expected it once.');
  expect(kg('60 kg/ha N')).toMatch(/say for which area/);
  expect(kg('60 kg/week N', '5 m²')).toMatch(/expected an area such as m² or ha/);
  expect(kg('5 g N', 'many')).toMatch(/^madeFor: Read “many”/);
  expect(kg('5 g N', '3 kg')).toMatch(/^madeFor: Read “3 kg”/);
});
