import fc from 'fast-check';
import {
  ANALYTES,
  basesOf,
  COMPOUND_BASES,
  compoundPerElement,
  elementOf,
  formulaText,
  oxideIn,
  symbolIn,
} from './nutrients.js';

/** Domain 3: factors from standard atomic weights, to 1e-4. */
test.each([
  ['P2O5', 2.2913],
  ['K2O', 1.2046],
  ['CaO', 1.3992],
  ['MgO', 1.6583],
  ['SO3', 2.4971],
  ['Na2O', 1.348],
  ['NO3', 4.4266],
  ['NH4', 1.2879],
  ['CaCO3', 2.4973],
] as const)('%s is %p times its element', (basis, factor) =>
  expect(Math.abs(compoundPerElement(basis) - factor)).toBeLessThan(1.1e-4),
);

test('oxide to element and back is the identity', () => {
  fc.assert(
    fc.property(fc.constantFrom(...COMPOUND_BASES), fc.double({ min: 0, max: 100, noNaN: true }), (basis, x) => {
      expect((x / compoundPerElement(basis)) * compoundPerElement(basis)).toBeCloseTo(x, 10);
    }),
  );
});

test('every analyte may be declared as its element, and only in compounds of it', () => {
  for (const analyte of ANALYTES) expect(basesOf(analyte)[0]).toBe('element');
  expect(basesOf('P')).toEqual(['element', 'P2O5', 'PO4']);
  expect(basesOf('N.nitrate')).toEqual(['element', 'NO3']);
  expect(basesOf('N')).toEqual(['element']);
  expect(elementOf('N.coated')).toBe('N');
});

test('formulas are printed with small figures', () => {
  expect(formulaText('P2O5')).toBe('P₂O₅');
  expect(symbolIn('K', 'K2O')).toBe('K₂O');
  expect(symbolIn('K', 'element')).toBe('K');
});
test('an oxide is found by its formula, of the elements asked for, and not inside a word', () => {
  expect(oxideIn('Phosphor (P2O5)', ['P'])).toEqual({ basis: 'P2O5', element: 'P' });
  expect(oxideIn('potash k2o', ['K', 'P'])).toEqual({ basis: 'K2O', element: 'K' });
  expect(oxideIn('magnesium mgo', ['K', 'P'])).toBeUndefined();
  expect(oxideIn('cacao shells', ['Ca'])).toBeUndefined();
});
