import fc from 'fast-check';
import { bag, line } from '../../test/bags.js';
import { compoundPerElement } from '../nutrient/index.js';
import { bestLine, declaredNutrients, inBasis, massFraction, midFraction } from './massFraction.js';

const fractionOf = (...args: Parameters<typeof massFraction>): number => {
  const reading = massFraction(...args);
  return reading.kind === 'figure' ? reading.figure.value.mid : Number.NaN;
};

test('8 % P2O5 is 3.49 % P by mass: 0.08 ÷ 2.2914', () =>
  expect(fractionOf(bag({ analysis: [line('P', 8, 'P2O5')] }), 'P')).toBeCloseTo(0.08 / 2.2914, 5));
test('620 mg/kg is 0.062 %', () =>
  expect(fractionOf(bag({ analysis: [line('N', 620, 'element', 'mg/kg')] }), 'N')).toBeCloseTo(0.00062, 10));
test('a litre of a 1.2 kg/L liquid at 5 % w/v holds 50 g in 1200 g', () =>
  expect(fractionOf(bag({ densityKgPerL: 1.2, analysis: [line('N', 5, 'element', '% w/v')] }), 'N')).toBeCloseTo(
    50 / 1200,
    10,
  ));
test('per volume without a density asks for one', () =>
  expect(massFraction(bag({ analysis: [line('N', 50, 'element', 'g/L')] }), 'N').kind).toBe('needsDensity'));

test('a range stays a range', () => {
  const reading = massFraction(bag({ analysis: [line('N', [0.4, 0.5, 0.7])] }), 'N');
  expect(reading.kind === 'figure' && reading.figure.value).toEqual({
    low: expect.closeTo(0.004, 10),
    mid: expect.closeTo(0.005, 10),
    high: expect.closeTo(0.007, 10),
  });
});

test('below detection is neither zero nor the limit, and no presence', () => {
  const slip = bag({ analysis: [line('P', { below: 20 }, 'element', 'mg/kg')] });
  const reading = massFraction(slip, 'P');
  expect(reading.kind).toBe('below');
  expect(reading.kind === 'below' && reading.limit.value).toEqual({
    low: 0,
    mid: expect.closeTo(0.00001, 12),
    high: expect.closeTo(0.00002, 12),
  });
  expect(declaredNutrients(slip)).toEqual([]);
});

test('what is not declared is unknown, not zero', () => expect(massFraction(bag(), 'K').kind).toBe('notDeclared'));
test('a measurement outranks the label, which outranks a textbook', () => {
  const lines = [line('N', 4, 'element', '%', 'typical'), line('N', 5), line('N', 4.6, 'element', '%', 'measured')];
  expect(fractionOf(bag({ analysis: lines }), 'N')).toBeCloseTo(0.046, 10);
  expect(fractionOf(bag({ analysis: lines.slice(0, 2) }), 'N')).toBeCloseTo(0.05, 10);
});
test('total nitrogen is the sum of its forms when only they are declared; the coated footnote is not another form', () => {
  expect(
    fractionOf(bag({ analysis: [line('N.urea', 12), line('N.ammoniacal', 4), line('N.coated', 12)] }), 'N'),
  ).toBeCloseTo(0.16, 10);
});

test('stating a fraction in a basis and declaring it so are inverses', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 40, noNaN: true }),
      fc.constantFrom(['P', 'P2O5'] as const, ['K', 'K2O'] as const, ['Ca', 'CaO'] as const, ['S', 'SO3'] as const),
      (percent, [element, basis]) => {
        const reading = massFraction(bag({ analysis: [line(element, percent, basis)] }), element);
        expect(reading.kind === 'figure' && inBasis(reading.figure, element, basis).value.mid * 100).toBeCloseTo(
          percent,
          9,
        );
        expect(
          midFraction(bag({ analysis: [line(element, percent, basis)] }), element) * compoundPerElement(basis),
        ).toBeCloseTo(percent / 100, 10);
      },
    ),
  );
});

test('of two lines trusted alike the first counts; a more trusted one counts wherever it stands, an extract last', () => {
  const lines = [
    line('K', 1),
    line('K', 2),
    line('K', 3, 'element', '%', 'measured'),
    line('K', 4, 'element', '%', 'measured'),
  ];
  expect(bestLine(lines, 'K')).toBe(lines[2]);
  expect(bestLine(lines.slice(0, 2), 'K')).toBe(lines[0]);
  const extract = { ...line('K', 5, 'element', '%', 'measured'), extract: 'available' as const };
  const guess = line('K', 6, 'element', '%', 'guess');
  expect(bestLine([extract, guess], 'K')).toBe(guess);
  expect(bestLine(lines, 'Ca')).toBeUndefined();
});
