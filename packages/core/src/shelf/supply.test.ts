import { bag, line } from '../../test/bags.js';
import { libraryEntry, typicalProduct } from './library/index.js';
import { midSupply, supplyFraction } from './supply.js';

const P2O5 = 2.29133;
const K2O = 1.20459;
const supply = (product: Parameters<typeof supplyFraction>[0], nutrient: 'P' | 'K' | 'N' = 'P') => {
  const found = supplyFraction(product, nutrient);
  if (found.kind !== 'figure') throw new Error(found.kind);
  const { low, mid, high } = found.figure.value;
  const oxide = nutrient === 'P' ? P2O5 : nutrient === 'K' ? K2O : 1;
  return { counted: found.counted, percent: [low, mid, high].map((x) => Number((100 * oxide * x).toFixed(2))) };
};

test('library rocks and bone count what is available, not what a digest finds', () => {
  expect(supply(typicalProduct(libraryEntry('rock phosphate')!))).toEqual({ counted: 'available', percent: [1, 3, 8] });
  expect(supply(typicalProduct(libraryEntry('bone meal')!))).toEqual({ counted: 'available', percent: [8, 13, 18] });
  expect(supply(typicalProduct(libraryEntry('granite dust')!), 'K').percent[2]).toBeLessThan(0.5);
});

test('a rock phosphate bag that says 28 % is read as its total: the usual share of it counts, and is an assumption', () => {
  const rock = bag({ analysis: [line('P', 28, 'P2O5')], derivedFrom: ['rock phosphate'] });
  // Available 1–3–8 of a total of 28 at the middle of the library.
  expect(supply(rock)).toEqual({ counted: 'estimated', percent: [1, 3, 8] });
  const found = supplyFraction(rock, 'P');
  expect(found.kind === 'figure' && found.figure.how.kind === 'operation' && found.figure.how.of[1]!.how.kind).toBe(
    'assumption',
  );
});

test('a rock phosphate bag that guarantees 3 % available is taken at its word, at the edge of 8 % too, and not above', () => {
  const rock = (percent: number) => bag({ analysis: [line('P', percent, 'P2O5')], derivedFrom: ['rock phosphate'] });
  expect(supply(rock(3))).toEqual({ counted: 'declared', percent: [3, 3, 3] });
  expect(supply(rock(8)).counted).toBe('declared');
  expect(supply(rock(8.1)).counted).toBe('estimated');
});

test('an extract outranks everything; below detection stays below', () => {
  const both = bag({ analysis: [line('P', 28, 'P2O5'), { ...line('P', 4, 'P2O5'), extract: 'available' }] });
  expect(supply(both)).toEqual({ counted: 'available', percent: [4, 4, 4] });
});

test('salts and mixed bags count as declared; a measured total of nobody knows what says it is a total', () => {
  expect(supply(bag({ analysis: [line('K', 50, 'K2O')], derivedFrom: ['potassium sulfate'] }), 'K').counted).toBe(
    'declared',
  );
  expect(
    supply(bag({ analysis: [line('P', 12, 'P2O5')], derivedFrom: ['rock phosphate', 'poultry manure'] })).counted,
  ).toBe('declared');
  const tested = bag({ analysis: [line('P', 12, 'P2O5', '%', 'measured')] });
  expect(supply(tested).counted).toBe('total');
  expect(supply(bag({ analysis: [line('N', 10, 'element', '%', 'measured')] }), 'N').counted).toBe('declared');
});

test('a solver gets the middle, and nothing where nothing is declared', () => {
  expect(midSupply(bag({ analysis: [line('P', 10, 'P2O5')] }), 'P') * P2O5).toBeCloseTo(0.1, 6);
  expect(midSupply(bag(), 'P')).toBe(0);
});
