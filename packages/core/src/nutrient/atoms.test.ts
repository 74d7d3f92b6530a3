import { ATOMIC_WEIGHT } from './atoms.js';

// Standard atomic weights, IUPAC 2021, abridged to five figures.
test.each([
  ['H', 1.008],
  ['B', 10.81],
  ['C', 12.011],
  ['N', 14.007],
  ['O', 15.999],
  ['Na', 22.99],
  ['Mg', 24.305],
  ['Si', 28.085],
  ['P', 30.974],
  ['S', 32.06],
  ['Cl', 35.45],
  ['K', 39.098],
  ['Ca', 40.078],
  ['Mn', 54.938],
  ['Fe', 55.845],
  ['Co', 58.933],
  ['Ni', 58.693],
  ['Cu', 63.546],
  ['Zn', 65.38],
  ['As', 74.922],
  ['Se', 78.971],
  ['Mo', 95.95],
  ['Cd', 112.41],
  ['Hg', 200.59],
  ['Pb', 207.2],
  ['Cr', 51.996],
] as const)('%s weighs %p', (atom, weight) => expect(ATOMIC_WEIGHT[atom]).toBe(weight));
test('the table above names every atom there is', () => expect(Object.keys(ATOMIC_WEIGHT)).toHaveLength(26));
