import type { RecipeInput } from '@wheat-ledger/contract';
import { readRecipeFile, recipeCsv, recipeJson } from './recipeFile';

const BAGS = [
  { id: '6f0f4f5e-0000-4000-8000-000000000001', name: 'Feather Meal' },
  { id: '6f0f4f5e-0000-4000-8000-000000000002', name: 'Bone Meal, steamed' },
];
const [FEATHER, BONE] = BAGS.map((b) => b.id) as [string, string];
const nameOf = (id: string): string => BAGS.find((b) => b.id === id)?.name ?? '';
const RECIPE: RecipeInput = {
  name: 'Spring feed',
  target: '120 g N, 40 g P2O5',
  strength: 'amount',
  tolerance: 0.1,
  by: 'weight',
  parts: [
    { productId: FEATHER, parts: 4 },
    { productId: BONE, parts: 1.5, unit: 'kg' },
  ],
  batchKg: 12,
  madeFor: '12 plants',
  rules: [
    { kind: 'share', on: true, productId: BONE, high: 40 },
    { kind: 'keep', on: false, what: 'plants' },
  ],
};
const again = (text: string) => {
  const read = readRecipeFile('file.json', text, BAGS);
  if (!read.ok) throw new Error(read.reason);
  return read;
};

test('a recipe comes back from its JSON as it was, its bags found by their names', () => {
  const { input, missing } = again(recipeJson(RECIPE, nameOf));
  expect({ ...input }).toMatchObject(JSON.parse(JSON.stringify(RECIPE)) as object);
  expect(missing).toEqual([]);
  expect(recipeJson(RECIPE, nameOf)).not.toContain(FEATHER);
});

test('its parts come back from a table, commas in names and decimal commas with them', () => {
  const csv = recipeCsv(RECIPE, nameOf);
  expect(csv.split(/\r?\n/)).toEqual(['material,amount,unit', 'Feather Meal,4,part', '"Bone Meal, steamed",1.5,kg']);
  expect(again(csv).input.parts.map((p) => ({ ...p }))).toEqual(RECIPE.parts);
  const german = readRecipeFile('Beete.csv', 'Material;Amount;Unit\nfeather meal;2,5;\n', BAGS);
  expect(german.ok && [german.input.name, german.input.parts[0]?.parts]).toEqual(['Beete', 2.5]);
});

test('a material that no bag here is called by is named, and a rule about it left out', () => {
  const { input, missing } = again(recipeJson(RECIPE, (id) => (id === BONE ? 'Moon dust' : nameOf(id))));
  expect(missing).toEqual(['Moon dust']);
  expect(input.parts).toHaveLength(1);
  expect(input.rules?.map((r) => r.kind)).toEqual(['keep']);
});

test.each([
  ['', /Read an empty file/],
  ['{"format": ', /expected a recipe that is whole/],
  ['{"format": "something.else"}', /expected one with the format/],
  ['a,b\n1,2', /Read the headings a, b, expected material, amount and unit/],
  ['material,amount\nFeather Meal,lots', /Row 2: .*lots/],
  ['material,amount,unit\nFeather Meal,2,furlong', /Row 2: Read “furlong”/],
  ['x'.repeat(200_001), /Read a file of 201 kB/],
  [recipeJson({ ...RECIPE, batchKg: -3 }, nameOf), /Read batchKg/],
] as const)('what is no recipe is refused in words (%#)', (text, words) => {
  const read = readRecipeFile('x', text, BAGS);
  expect(read.ok ? '' : read.reason).toMatch(words);
});
