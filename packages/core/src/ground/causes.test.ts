import fc from 'fast-check';
import type { Nutrient } from '../nutrient/index.js';
import { CAUSES, CHECK_COSTS, SIGNS, sortCauses } from './causes.js';

const names = (...signs: string[]): string[] => sortCauses(signs).map((s) => s.cause.name);

test('every cause explains signs that exist, has a check, and a first step', () => {
  const known = new Set(SIGNS.map((s) => s.key));
  for (const c of CAUSES) {
    expect(c.signs.filter((s) => !known.has(s))).toEqual([]);
    expect([c.name, c.check.length > 5, c.first.length > 5, CHECK_COSTS[c.cost] !== undefined]).toEqual([
      c.name,
      true,
      true,
      true,
    ]);
  }
});
test('every sign has a cause that is no shortage, or the shortage would be jumped to', () => {
  for (const s of SIGNS)
    expect([s.key, sortCauses([s.key]).some((c) => c.cause.kind !== 'shortage')]).toEqual([s.key, true]);
});
test('cheapest check first, whatever is seen', () => {
  fc.assert(
    fc.property(fc.subarray(SIGNS.map((s) => s.key)), (signs) => {
      const costs = sortCauses(signs).map((s) => s.cause.cost);
      expect(costs).toEqual([...costs].sort((a, b) => a - b));
    }),
  );
});
test('pale old leaves: a look at the lowest leaves comes before any talk of nitrogen', () => {
  const found = names('old-pale');
  expect(found[0]).toBe('only age: the lowest leaves are shaded');
  expect(found.at(-1)).toBe('too little nitrogen');
});
test('among equal costs the one that explains more comes first', () => {
  expect(names('wilting', 'old-edges', 'stunted').indexOf('too dry')).toBeLessThan(
    names('wilting', 'old-edges', 'stunted').indexOf('roots eaten, cut or pot-bound'),
  );
});
/** Nutrients a plant can move from old leaves to new ones; shortage of the others shows on new growth. */
const MOBILE: readonly Nutrient[] = ['N', 'P', 'K', 'Mg'];
const IMMOBILE: readonly Nutrient[] = ['Ca', 'S', 'Fe', 'Mn', 'B', 'Zn', 'Cu'];
test('shortages of mobile nutrients show on old leaves, of immobile ones on new growth', () => {
  for (const c of CAUSES.filter((x) => x.kind === 'shortage')) {
    const element = c.nutrient!;
    const places = c.signs.map((s) => SIGNS.find((x) => x.key === s)!.place);
    expect([element, places.includes('oldLeaves')]).toEqual([element, MOBILE.includes(element)]);
    expect([element, places.some((p) => p === 'newLeaves' || p === 'fruitAndTips')]).toEqual([
      element,
      IMMOBILE.includes(element),
    ]);
  }
});
test('nothing seen, nothing said', () => expect(sortCauses([])).toEqual([]));
