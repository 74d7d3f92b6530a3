import { bag, direction, line } from '../../test/bags.js';
import { dilutedMgPerL } from './dilution.js';
import { massFraction } from './massFraction.js';

const feed = bag({
  form: 'liquid',
  densityKgPerL: 1.2,
  analysis: [line('N', 5), line('Zn', { below: 10 }, 'element', 'mg/kg')],
});
const diluted = (rate: string, product = feed) => {
  const read = dilutedMgPerL(product, direction(rate), 'N');
  return read.kind === 'figure' ? read.figure.value : read.why;
};
const mid = (rate: string, product = feed): number | string => {
  const value = diluted(rate, product);
  return typeof value === 'string' ? value : value.mid;
};

test('5 mL of 1.2 kg/L at 5 % N: 6 g hold 300 mg, in 1.005 L that is 298.5 mg/L', () =>
  expect(mid('5 mL/L')).toBeCloseTo(300 / 1.005, 9));
test('2 g of a salt at 46 % N in a litre: 920 mg/L', () =>
  expect(mid('2 g/L of water', bag({ analysis: [line('N', 46)] }))).toBeCloseTo(920, 9));
test('2 metric tsp, 10 mL, in a US gallon are 2.6417 mL in a litre: 3.17 g hold 158.5 mg', () =>
  expect(mid('2 metric tsp/US gal')).toBeCloseTo(
    ((10 / 3.785411784) * 1.2 * 0.05 * 1000) / (1 + 0.01 / 3.785411784),
    9,
  ));
test('a range of rates stays a range', () => {
  const salt = bag({ analysis: [line('N', 46)] });
  expect(diluted('1–2 g/L of water', salt)).toEqual({
    low: expect.closeTo(460, 9),
    mid: expect.closeTo(690, 9),
    high: expect.closeTo(920, 9),
  });
});
test('without density or figure there is no number, and why is said', () => {
  expect(mid('5 mL/L', bag({ ...feed, densityKgPerL: undefined }))).toBe('its density is not entered');
  expect(mid('5 mL/L', bag({ ...feed, analysis: [] }))).toBe('not declared');
  expect(dilutedMgPerL(feed, direction('5 mL/L'), 'Zn')).toEqual({ kind: 'unknown', why: 'below detection' });
});
test('what only an extract holds stands in only where no total does', () => {
  const total = line('P', 2);
  const extract = { ...line('P', 0.3, 'element', '%', 'measured'), extract: 'available' as const };
  const fraction = (...analysis: readonly (typeof total)[]): number | undefined => {
    const read = massFraction(bag({ analysis }), 'P');
    return read.kind === 'figure' ? read.figure.value.mid : undefined;
  };
  expect(fraction(extract, total)).toBeCloseTo(0.02, 12);
  expect(fraction(extract)).toBeCloseTo(0.003, 12);
});
