import fc from 'fast-check';
import { parseGrade, printGrade, type Grade } from './grade.js';

const shown = (text: string): string | string[] => {
  const parsed = parseGrade(text);
  switch (parsed.kind) {
    case 'one':
      return printGrade(parsed.grade);
    case 'several':
      return parsed.readings.map(printGrade);
    case 'none':
      return parsed.reason;
  }
};

test.each([
  ['5-3-4', '5-3-4'],
  ['5:3:4', '5-3-4'],
  ['5/3/4', '5-3-4'],
  ['12 0 0', '12-0-0'],
  ['5–3–4', '5-3-4'],
  ['NPK 5-3-4', '5-3-4'],
  ['3,5-1-2', '3.5-1-2'],
  ['10-4-6 + 2Mg', '10-4-6 + 2 Mg'],
  ['2:0:1 + 0.5 Mg', '2-0-1 + 0.5 Mg'],
  ['10-4-6 + 3 MgO', '10-4-6 + 3 MgO'],
  ['8-2-4 (1.7 P, 3.3 K)', '8-2-4'],
])('reads %s as %s', (text, grade) => expect(shown(text)).toBe(grade));

test('run-together digits are split only where one reading is possible', () => {
  expect(shown('502')).toBe('5-0-2');
  expect(shown('0050')).toBe('0-0-50');
  expect(shown('1200')).toEqual(['12-0-0', '1-20-0']);
  expect(shown('1055')).toEqual(['10-5-5', '1-0-55']);
});

test('a fourth number is never guessed', () => expect(shown('5-3-4-2')).toEqual(['5-3-4 + 2 S', '5-3-4 + 2 Mg']));

test.each(['', 'urea', '5-3', '5-3-4-2-1', '5--3-4', '5-3-4 + 2 Xx', '999999999', '5-3-4'.repeat(40)])(
  'refuses %j and says so',
  (text) => expect(shown(text)).toContain('expected a grade'),
);

test('printing a grade and reading it gives the same grade', () => {
  const amount = fc.integer({ min: 0, max: 600 }).map((n) => n / 10);
  fc.assert(
    fc.property(amount, amount, amount, fc.option(amount.filter((n) => n > 0)), (n, p, k, mg) => {
      const grade: Grade = [
        { nutrient: 'N', basis: 'element', amount: n },
        { nutrient: 'P', basis: 'P2O5', amount: p },
        { nutrient: 'K', basis: 'K2O', amount: k },
        ...(mg === null ? [] : [{ nutrient: 'Mg', basis: 'element', amount: mg } as const]),
      ];
      expect(parseGrade(printGrade(grade))).toEqual({ kind: 'one', grade });
    }),
  );
});

test('no text makes it throw', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 200 }), (text) =>
      expect(['one', 'several', 'none']).toContain(parseGrade(text).kind),
    ),
  );
});

test('a bracket restates the oxides as elements, by name or as a second triple; words in it are no elements', () => {
  const elements = (text: string): unknown => {
    const read = parseGrade(text);
    return read.kind === 'one' ? read.elements?.map((p) => `${p.amount} ${p.nutrient} ${p.basis}`) : read.kind;
  };
  expect(elements('8-4-4 (1.7 P, 3.3 K)')).toEqual(['1.7 P element', '3.3 K element']);
  expect(elements('12–8–16 (12-3,5-13.3)')).toEqual(['12 N element', '3.5 P element', '13.3 K element']);
  expect(elements('5-3-4 (organic, 20 kg)')).toBeUndefined();
  expect(elements('5-3-4 (P2O5)')).toBeUndefined();
  expect(elements('5-3-4')).toBeUndefined();
});

test.each([
  ['21-0-0-24S', '21-0-0 + 24 S'],
  ['21-0-0-24 S', '21-0-0 + 24 S'],
  ['10.10.10', '10-10-10'],
  ['12-5-8-2Mg', '12-5-8 + 2 Mg'],
])('%s is read as %s', (typed, printed) => {
  const read = parseGrade(typed);
  expect(read.kind === 'one' && printGrade(read.grade)).toBe(printed);
});

test('a grade of 25 000 brackets is refused for its length', () => {
  expect(parseGrade('('.repeat(25_000))).toEqual({
    kind: 'none',
    reason: 'Read 25000 characters, expected a grade such as 5-3-4.',
  });
});
