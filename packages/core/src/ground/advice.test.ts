import { parseAdvice } from './advice.js';

const mids = (text: string) => {
  const read = parseAdvice(text);
  if (!read.ok) return read.reason;
  return Object.fromEntries(Object.entries(read.advice).map(([n, r]) => [n, Number(r.mid.toPrecision(4))]));
};

test.each([
  ['N 120, P2O5 60, K2O 80 kg/ha', { N: 120, P: 26.19, K: 66.41 }],
  ['N 120', { N: 120 }],
  ['N: 100 lb/acre; P₂O₅ 50 lb/acre', { N: 112.1, P: 24.46 }],
  ['N 100-120 kg/ha', { N: 110 }],
  ['N 12 g/m²\nMgO 3 g/m²', { N: 120, Mg: 18.09 }],
  ['K2O 1,5 kg per 100 m²', { K: 124.5 }],
  ['', {}],
])('%j is kg of the element per ha', (text, expected) => expect(mids(text)).toEqual(expected));

test.each([
  ['plenty of potash', 'expected such as N 120'],
  ['N lots', 'expected a rate'],
  ['N 5 g/L', 'expected a weight for an area'],
  ['N 100, N 20', 'Read N twice'],
  ['constructor 5', 'expected such as N 120'],
])('%j is refused with what was expected', (text, words) => expect(mids(text)).toContain(words));

test('a range keeps both its ends', () => {
  const read = parseAdvice('K2O 60-90 kg/ha');
  expect(read.ok && read.advice.K!.high / read.advice.K!.low).toBeCloseTo(1.5, 9);
});
