import { RecipeInput, validateInput } from '@wheat-ledger/contract';
import { blankRecipe, readRecipe, recipeText } from './recipeText';

const kept: RecipeInput = {
  name: 'Mix',
  target: '6-3-5',
  strength: 'grade',
  tolerance: 0.1,
  by: 'volume',
  batchKg: 10,
  parts: [{ productId: '00000000-0000-4000-8000-000000000001', parts: 2.5 }],
};

test('a kept recipe turned into text and read again is the same', () => {
  const { plain, problems } = readRecipe(recipeText(kept));
  expect([plain, problems]).toEqual([kept, []]);
  expect(validateInput(RecipeInput, plain).ok).toBe(true);
});
test('a batch in pounds is kept in kilograms; half-typed parts are left out', () => {
  const { plain, rows } = readRecipe({
    ...blankRecipe(),
    name: 'x',
    batch: '22 lb',
    parts: [
      { productId: '', parts: '1' },
      { productId: 'a', parts: '1/2' },
    ],
  });
  expect(plain.batchKg).toBeCloseTo(9.979, 3);
  expect([plain.parts, rows]).toEqual([[{ productId: 'a', parts: 0.5 }], { parts: [1] }]);
});
test('what cannot be read is told on its field', () => {
  expect(
    readRecipe({ ...blankRecipe(), batch: 'a lot', tolerance: 'some' })
      .problems.map((p) => p.path)
      .sort(),
  ).toEqual(['batch', 'tolerance']);
});
