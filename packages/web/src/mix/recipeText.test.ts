import { Reader, RecipeInput, validateInput } from '@wheat-ledger/contract';
import { blankRecipe, readPart, readRecipe, recipeText } from './recipeText';

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

test('parts are counted, or told in a unit of their own, and come back as they were', () => {
  const read = new Reader();
  expect([readPart(read, 'a', '4'), readPart(read, 'b', '1/2'), readPart(read, 'c', '300 g')]).toEqual([
    { parts: 4 },
    { parts: 0.5 },
    { parts: 300, unit: 'g' },
  ]);
  expect(readPart(read, 'd', '2 US cups')).toEqual({ parts: 2, unit: 'US cup' });
  expect(read.problems).toEqual([]);
  readPart(read, 'parts.0.parts', '2 cups');
  expect(read.problems).toEqual([{ path: 'parts.0.parts', message: expect.stringMatching(/cup/) }]);
  const mixed = {
    ...readRecipe(blankRecipe()).plain,
    name: 'Mixed',
    parts: [
      { productId: 'x', parts: 2, unit: 'US cup' },
      { productId: 'y', parts: 0.5 },
    ],
    onePart: '1 US cup',
  };
  expect(readRecipe(recipeText(mixed)).plain).toEqual(mixed);
});
