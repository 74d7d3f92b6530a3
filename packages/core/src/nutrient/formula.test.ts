import fc from 'fast-check';
import { compoundPerElement } from './nutrients.js';
import { looksLikeFormula, readFormula } from './formula.js';

const percent = (formula: string, element: 'N' | 'K' | 'Mg' | 'S' | 'Ca' | 'P' | 'B' | 'Na' | 'Fe'): number =>
  100 * (readFormula(formula).fractions[element] ?? 0);

/** Worked from atomic weights: element × count ÷ molar mass. */
test.each([
  ['MgSO4·7H2O', 'Mg', 9.861],
  ['MgSO4·7H2O', 'S', 13.007],
  ['MgSO4·H2O', 'Mg', 17.564],
  ['MgSO4', 'Mg', 20.191],
  ['CaSO4·2H2O', 'Ca', 23.278],
  ['CaSO4.2H2O', 'S', 18.621],
  ['(NH4)2SO4', 'N', 21.2],
  ['(NH4)2SO4', 'S', 24.26],
  ['K2SO4·2MgSO4', 'K', 18.84],
  ['K2SO4·2MgSO4', 'Mg', 11.71],
  ['CO(NH2)2', 'N', 46.646],
  ['NH4NO3', 'N', 34.998],
  ['KNO3', 'K', 38.67],
  ['Ca(NO3)2·4H2O', 'N', 11.863],
  ['KH2PO4', 'P', 22.76],
  ['Na2B4O7·10H2O', 'B', 11.338],
  ['FeSO₄·7H₂O', 'Fe', 20.088],
] as const)('%s is %s %p %%', (formula, element, expected) =>
  expect(percent(formula, element)).toBeCloseTo(expected, 2),
);

test('as oxide: Epsom salt is 16.35 % MgO, sulfate of potash 54.06 % K2O', () => {
  expect(percent('MgSO4·7H2O', 'Mg') * compoundPerElement('MgO')).toBeCloseTo(16.352, 2);
  expect(percent('K2SO4', 'K') * compoundPerElement('K2O')).toBeCloseTo(54.06, 2);
});

test('the wrong hydrate shows: heptahydrate holds 7 waters, and more than half its weight is water', () => {
  const { water, molarMass } = readFormula('MgSO4·7H2O');
  expect([water, (7 * 18.015) / molarMass > 0.5]).toEqual([7, true]);
});

test('CO is carbon monoxide’s letters, Co is cobalt', () =>
  expect(readFormula('CO2').composition).toEqual({ C: 1, O: 2 }));

test.each(['', 'MgSO4·', 'Xy2', '(NH4', 'NH4)', 'mgso4', '2', 'MgSO4·0H2O', 'H99999', '('.repeat(50), 'MgSO4;DROP'])(
  'refuses %j in words',
  (text) => expect(() => readFormula(text)).toThrow(/expected a formula/),
);

test('no text does worse than be refused, and fractions never exceed the whole', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ maxLength: 30 }),
        fc
          .array(fc.constantFrom('Mg', 'S', 'O', '4', '·', '7', 'H2O', '(', ')', 'N', 'K', '2'), { maxLength: 14 })
          .map((p) => p.join('')),
      ),
      (text) => {
        try {
          const sum = Object.values(readFormula(text).fractions).reduce((a, b) => a + b, 0);
          expect(sum).toBeLessThanOrEqual(1 + 1e-9);
        } catch (error) {
          expect((error as { code?: string }).code).toBe('formula.unread');
        }
      },
    ),
  );
});

test('tells a formula from a name', () => {
  expect(['MgSO4·7H2O', '(NH4)2SO4', 'KNO3'].every(looksLikeFormula)).toBe(true);
  expect(['Urea', 'feather meal', '5-3-4', 'N', 'Nitrogen 5 %'].some(looksLikeFormula)).toBe(false);
});

const atoms = (formula: string): object => readFormula(formula).composition;
test('counts, brackets in brackets and spaces are read as chemists write them', () => {
  expect(atoms('  Mg SO4 · 7 H2O ')).toEqual({ Mg: 1, S: 1, O: 11, H: 14 });
  expect(atoms('Ca10(PO4)6(OH)2')).toEqual({ Ca: 10, P: 6, O: 26, H: 2 });
  expect(atoms('(((NH4)2)1)3')).toEqual({ N: 6, H: 24 });
  expect(atoms('2MgSO4*K2SO4')).toEqual({ Mg: 2, S: 3, O: 12, K: 2 });
  expect(atoms('MgO∙H2O')).toEqual(atoms('MgO•H2O'));
  expect(readFormula('MgSO4·7H2O·2H2O').water).toBe(9);
  expect(readFormula('2MgSO4').water).toBe(0);
});
test('the edges of what is read: 1000 of one atom, 1000 parts, five brackets deep, 60 characters', () => {
  expect(atoms('H1000')).toEqual({ H: 1000 });
  expect(() => readFormula('H1001')).toThrow(/expected a formula/);
  expect(atoms('1000H2O')).toEqual({ H: 2000, O: 1000 });
  expect(() => readFormula('1001H2O')).toThrow(/expected a formula/);
  expect(() => readFormula('0H2O')).toThrow(/expected a formula/);
  expect(() => readFormula('H0')).toThrow(/expected a formula/);
  expect(atoms(`${'('.repeat(5)}H${')'.repeat(5)}`)).toEqual({ H: 1 });
  expect(() => readFormula(`${'('.repeat(6)}H${')'.repeat(6)}`)).toThrow(/expected a formula/);
  expect(atoms('H'.repeat(60))).toEqual({ H: 60 });
  expect(() => readFormula('H'.repeat(61))).toThrow(/expected a formula/);
  expect(() => readFormula('MgSO4··H2O')).toThrow(/expected a formula/);
  expect(() => readFormula('(NH4}2')).toThrow(/expected a formula/);
  expect(() => readFormula('NaXe')).toThrow(/Read "NaXe", expected a formula such as MgSO4·7H2O or \(NH4\)2SO4\./);
});
test.each([
  ['MgSO4·7H2O', true],
  [' MgSO4 ', true],
  ['FeSO₄·7H₂O', true],
  ['KNO₃', true],
  ['(NH4)2SO4', true],
  ['NaCl', false],
  ['K2', false],
  ['mgSO4', false],
  ['Epsom salt, MgSO4', false],
  ['MgSO4 7', false],
  ['Urea 46', false],
])('%j looks like a formula: %s', (text, looks) => expect(looksLikeFormula(text)).toBe(looks));
