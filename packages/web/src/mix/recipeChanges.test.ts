import type { RecipeInput } from '@wheat-ledger/contract';
import type { Product } from '@wheat-ledger/core';
import { recipeChanges } from './recipeChanges';

const input = (change: Partial<RecipeInput> = {}): RecipeInput => ({
  name: 'Leek feed',
  target: '6-3-5',
  strength: 'grade',
  tolerance: 0.1,
  by: 'weight',
  parts: [],
  batchKg: 10,
  ...change,
});
const bag = (name: string): Product => ({ id: name, name }) as Product;
const [meal, potash] = [bag('Seed meal'), bag('Potash')];
const of = (kg: readonly [number, number], change?: Partial<RecipeInput>) => ({
  input: input(change),
  components: [
    { product: meal, kg: kg[0] },
    { product: potash, kg: kg[1] },
  ].filter((c) => c.kg > 0),
});
const nameOf = (): string => 'a bag';

test('twice the same differs in nothing, whatever the parts add up to', () => {
  expect(recipeChanges(of([3, 1]), of([6, 2]), nameOf)).toEqual([]);
});

test('shares of the weight, a bag that came or went, the target, the batch and the rules are told', () => {
  expect(
    recipeChanges(
      of([3, 1], { rules: [{ kind: 'kinds', on: true, most: 4 }] }),
      of([1, 0], { target: '6-0-0', batchKg: 25, rules: [{ kind: 'kinds', on: false, most: 4 }] }),
      nameOf,
    ),
  ).toEqual([
    { what: 'Seed meal', before: '75 % of the weight', after: '100 % of the weight' },
    { what: 'Potash', before: '25 % of the weight', after: '' },
    { what: 'meant to be', before: '6-3-5', after: '6-0-0' },
    { what: 'batch', before: '10 kg', after: '25 kg' },
    { what: 'rule: at most 4 materials', before: 'holds', after: 'off' },
  ]);
});

test('a version whose parts have no weight tells the rest', () => {
  expect(recipeChanges({ input: input(), components: undefined }, of([1, 0]), nameOf)).toEqual([
    { what: 'Seed meal', before: '', after: '100 % of the weight' },
  ]);
});
