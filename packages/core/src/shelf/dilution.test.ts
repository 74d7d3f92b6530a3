import { bag, line } from '../../test/bags.js';
import { dilutedMgPerL } from './dilution.js';
import { massFraction } from './massFraction.js';

const feed = bag({ form: 'liquid', densityKgPerL: 1.2, analysis: [line('N', 5), line('Zn', { below: 10 }, 'element', 'mg/kg')], dilution: { amount: 5, unit: 'mL/L' } });
const mid = (product = feed): number | string => { const read = dilutedMgPerL(product, 'N'); return read.kind === 'figure' ? read.figure.value.mid : read.why; };

test('5 mL of 1.2 kg/L at 5 % N: 6 g hold 300 mg, in 1.005 L that is 298.5 mg/L', () => expect(mid()).toBeCloseTo(300 / 1.005, 9));
test('2 g of a salt at 46 % N in a litre: 920 mg/L', () => expect(mid(bag({ analysis: [line('N', 46)], dilution: { amount: 2, unit: 'g/L' } }))).toBeCloseTo(920, 9));
test('without directions, density or figure there is no number, and why is said', () => {
  expect(mid(bag({ ...feed, dilution: undefined }))).toBe('no dilution is given');
  expect(mid(bag({ ...feed, densityKgPerL: undefined }))).toBe('its density is not entered');
  expect(mid(bag({ ...feed, analysis: [] }))).toBe('not declared');
  expect(dilutedMgPerL(feed, 'Zn')).toEqual({ kind: 'unknown', why: 'below detection' });
});
test('what only an extract holds stands in only where no total does', () => {
  const total = line('P', 2);
  const extract = { ...line('P', 0.3, 'element', '%', 'measured'), extract: 'available' as const };
  const fraction = (...analysis: readonly typeof total[]): number | undefined => { const read = massFraction(bag({ analysis }), 'P'); return read.kind === 'figure' ? read.figure.value.mid : undefined; };
  expect(fraction(extract, total)).toBeCloseTo(0.02, 12);
  expect(fraction(extract)).toBeCloseTo(0.003, 12);
});
