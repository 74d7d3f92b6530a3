import { bag, direction, line, potash, urea } from '../../test/bags.js';
import { cautionsOf } from './cautions.js';
import { readLabel } from './label/index.js';
import { labelChecks, type LabelFacts } from './labelChecks.js';

const codes = (label: Partial<LabelFacts>): string[] => labelChecks(bag(label)).map((f) => f.code);
const message = (label: Partial<LabelFacts>, code: string): string =>
  labelChecks(bag(label)).find((f) => f.code === code)?.message ?? '';

test('a sound label passes without a word', () => {
  expect(labelChecks(urea)).toEqual([]);
  expect(labelChecks(potash)).toEqual([]);
});

test('nitrogen forms that do not add to the total are told with the difference: 4 + 9 against 16', () => {
  expect(message({ analysis: [line('N', 16), line('N.ammoniacal', 4), line('N.urea', 9)] }, 'nitrogen.parts')).toMatch(
    /13 %.*16 %: 3 % apart/,
  );
});
test.each([
  // Half of the last digit printed for each of two parts and the total: 0.5 × 3 = 1.5 %, 0.05 × 3 = 0.15 %, 0.005 × 3 = 0.015 %.
  [16, 4, 10.5, true],
  [16, 4, 11, false],
  [16.1, 4.1, 11.8, true],
  [16.1, 4.1, 11.9, false],
  [16, 4, 11.98, true],
  [16, 4, 11.99, false],
])('total %p of %p and %p: told %p', (total, ammoniacal, urea, told) =>
  expect(
    codes({ analysis: [line('N', total), line('N.ammoniacal', ammoniacal), line('N.urea', urea)] }).includes(
      'nitrogen.parts',
    ),
  ).toBe(told),
);
test('a coated part of its own counts with the others, a footnote does not', () => {
  expect(codes({ analysis: [line('N', 16), line('N.urea', 4), line('N.coated', 12)] })).not.toContain('nitrogen.parts');
  expect(codes({ analysis: [line('N', 16), line('N.urea', 16), line('N.coated', 12)] })).not.toContain(
    'nitrogen.parts',
  );
  expect(codes({ analysis: [line('N', 16), line('N.urea', 9), line('N.coated', 12)] })).toContain('nitrogen.parts');
});
test('a grade of more than the whole bag is a contradiction', () => {
  expect(message({ grade: '46-50-20', analysis: [] }, 'grade.over100')).toMatch(/116 %/);
  expect(codes({ grade: '0-52-34', analysis: [] })).not.toContain('grade.over100');
});
test('the coated footnote is part of the forms above it', () =>
  expect(
    codes({ analysis: [line('N', 16), line('N.ammoniacal', 4), line('N.urea', 12), line('N.coated', 12)] }),
  ).not.toContain('nitrogen.parts'));

test('a grade that differs from the analysis is told with both figures', () =>
  expect(message({ grade: '12-0-0', analysis: [line('N', 10)] }, 'grade.differs')).toMatch(/12 % N.*10 %/));
test('3.5 % declared as P2O5 beside a grade of 8 is elemental P', () =>
  expect(
    message(
      { grade: '5-8-4', analysis: [line('N', 5), line('P', 3.5, 'P2O5'), line('K', 4, 'K2O')] },
      'basis.elemental',
    ),
  ).toMatch(/elemental P.*8 % P₂O₅/));
test('a grade that counts elements is told as that: 4.6 % P and 17.6 % K under 11-5-18', () => {
  const nordic = { grade: '11-5-18', analysis: [line('N', 11), line('P', 4.6), line('K', 17.6)] };
  expect(codes(nordic)).toEqual(expect.arrayContaining(['grade.elements']));
  expect(codes(nordic)).not.toContain('grade.differs');
});
test('an ambiguous grade line is asked about', () =>
  expect(codes({ grade: '5-3-4-2', analysis: [] })).toContain('grade.several'));

test('40 % N with 30 % K2O cannot be', () =>
  expect(codes({ analysis: [line('N', 40), line('K', 30, 'K2O')] })).toContain('carriers.over100'));
test('46 % N as urea can be', () =>
  expect(codes({ analysis: [line('N', 46), line('N.urea', 46)] })).not.toContain('carriers.over100'));

test('an element no listed material contains is questioned; with an unknown ingredient it is not', () => {
  expect(codes({ analysis: [line('P', 5, 'P2O5')], derivedFrom: ['urea'] })).toContain('ingredient.missing');
  expect(codes({ analysis: [line('P', 5, 'P2O5')], derivedFrom: ['urea', 'ground moonstone'] })).not.toContain(
    'ingredient.missing',
  );
});
test('muriate brings chloride that nobody declared', () =>
  expect(
    message({ analysis: [line('K', 60, 'K2O')], derivedFrom: ['muriate of potash'] }, 'ingredient.silent'),
  ).toMatch(/chloride/));
test('elemental potassium is restated as oxide', () =>
  expect(message({ analysis: [line('K', 10)] }, 'basis.note')).toMatch(/12 % K₂O/));

test('impossible values are marked so, with the place', () => {
  const findings = labelChecks(bag({ analysis: [line('N', -1), line('P', 101, 'P2O5'), line('K', [3, 2, 1])] }));
  expect(findings.filter((f) => f.severity === 'impossible').map((f) => f.path)).toEqual([
    'analysis.0.value',
    'analysis.1.value',
    'analysis.2.value',
  ]);
});

test('cautions stand beside what they concern, each once', () => {
  const words = cautionsOf([
    bag({ derivedFrom: ['bone meal'] }),
    bag({ derivedFrom: ['feather meal', 'poultry manure'] }),
  ]);
  expect(words.map((w) => w.split(':')[0])).toEqual(['Dusty', 'Manures and home ferments carry germs']);
  expect(cautionsOf([urea])).toEqual([]);
});

test('a bracket that is not the oxides as elements is told: 2 % P₂O₅ ÷ 2.2913 is 0.873 % P, not 1.7; 4 % K₂O ÷ 1.2046 is 3.32 % K', () => {
  expect(message({ grade: '8-2-4 (1.7 P, 3.3 K)', analysis: [] }, 'grade.bracket')).toBe(
    '2 % P₂O₅ is 0.873 % P, but the bracket says 1.7.',
  );
  expect(codes({ grade: '8-4-4 (1.7 P, 3.3 K)', analysis: [] })).not.toContain('grade.bracket');
});
test('a pasted grade line keeps its bracket, and its contradiction stands among the findings', () => {
  const read = readLabel('Ridgeway Feed 8-2-4 (1.7 P, 3.3 K)\nApply 3 lbs per 1,000 sq ft');
  expect(read.grade).toBe('8-2-4 (1.7 P, 3.3 K)');
  expect(read.findings.map((f) => f.code)).toContain('grade.bracket');
  expect(read.directions).toEqual([direction('3 lb/1000 ft²')]);
});

test.each([
  ['Cd', 20, '%', true],
  ['Cd', 1000, 'mg/kg', false],
  ['Cd', 1001, 'mg/kg', true],
  ['Pb', 5, '%', false],
  ['Pb', 5.1, '%', true],
  ['Zn', 20, '%', false],
] as const)('%s %p %s is more than anything holds: %p', (analyte, value, unit, refused) => {
  const found = labelChecks({
    grade: undefined,
    analysis: [line(analyte, value, 'element', unit)],
    derivedFrom: [],
    densityKgPerL: undefined,
  }).filter((f) => f.code === 'value.metal');
  expect(found.map((f) => f.severity)).toEqual(refused ? ['impossible'] : []);
});
