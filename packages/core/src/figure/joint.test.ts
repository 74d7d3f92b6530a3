import fc from 'fast-check';
import { between, exact, inCurrency, measure, per } from '../quantity/index.js';
import { assumption, computed, identified, literal, spreadAs, type Figure, type Powers } from './figure.js';
import { compareFigures, whatMoves } from './compare.js';
import { difference, inPercent, product, quotient, sum } from './operations.js';

const EUR = inCurrency('EUR');
const uncertain = (label: string, low: number, mid: number, high: number, unit: string | typeof EUR = 'kg'): Figure =>
  literal(label, between(low, mid, high), unit, 'guess', 'test');

const ranges = fc
  .tuple(fc.double({ min: 0.1, max: 100, noNaN: true }), fc.double({ min: 1.01, max: 3, noNaN: true }))
  .map(([mid, spread]) => between(mid / spread, mid, mid * spread));

test('a figure less itself is nothing, over itself one, however uncertain', () => {
  fc.assert(
    fc.property(ranges, ranges, (a, b) => {
      const x = quotient('x', '', literal('a', a, '', 'guess', ''), literal('b', b, '', 'guess', ''))!;
      expect(difference('none', '', x, x).value).toEqual(exact(0));
      const one = quotient('one', '', x, x)!.value;
      for (const end of [one.low, one.mid, one.high]) expect(end).toBeCloseTo(1, 12);
    }),
  );
});

test('two figures with the same name are one quantity, without a name they are two', () => {
  const price = (): Figure => uncertain('price', 10, 12, 16, EUR);
  expect(difference('d', EUR, price(), price()).value).toEqual(between(-6, 0, 6));
  const named = (): Figure => identified(price(), 'bag price');
  expect(difference('d', EUR, named(), named()).value).toEqual(exact(0));
});

test('what both sides rest on cancels: the same uncertain price over 2 and over 3 kg, 10–16 EUR × (1/2 − 1/3)', () => {
  const price = uncertain('price', 10, 12, 16, EUR);
  const perKg = (kg: number): Figure =>
    quotient('c', per(EUR, measure('kg')), price, literal('m', kg, 'kg', 'label', ''))!;
  const apart = difference('d', per(EUR, measure('kg')), perKg(2), perKg(3));
  expect(apart.value.low).toBeCloseTo(10 / 6, 12);
  expect(apart.value.high).toBeCloseTo(16 / 6, 12);
  expect(apart.spread).toEqual({ kind: 'bounds' });
  expect(compareFigures(perKg(2), perKg(3)).order).toBe('more');
  expect(compareFigures(perKg(3), perKg(2)).order).toBe('less');
  // Their ranges overlap all the same: 5–8 and 3.3–5.3.
  expect(perKg(3).value.high).toBeGreaterThan(perKg(2).value.low);
});

test('corners are exact: x·y − x rises with both where y stays above 1', () => {
  const x = uncertain('x', 1, 2, 3, '');
  const y = uncertain('y', 1.5, 2, 4, '');
  expect(difference('d', '', product('p', '', [x, y]), x).value).toEqual(between(0.5, 2, 9));
});

test('the ends lie at the opposite corners where it falls: x − x·y with y above 1', () => {
  const x = uncertain('x', 1, 2, 3, '');
  const y = uncertain('y', 1.5, 2, 4, '');
  expect(difference('d', '', x, product('p', '', [x, y])).value).toEqual(between(-9, -2, -0.5));
});

test('where it moves both ways seeded draws tell, the same every time, and inside the plain bounds', () => {
  const x = uncertain('x', 0, 1, 2, '');
  const square = product('x²', '', [x, x]);
  const first = difference('x² − x', '', square, x);
  expect(first.spread).toEqual({ kind: 'draws', share: 0.8 });
  expect(difference('x² − x', '', square, x).value).toEqual(first.value);
  // Between 0 and 2, x² − x runs from −0.25 to 2, and plain intervals would say −2 to 4.
  expect(first.value.low).toBeGreaterThanOrEqual(-0.25);
  expect(first.value.high).toBeLessThanOrEqual(2);
  expect(first.value.high).toBeGreaterThan(0.3);
});

test('a computation that can be done again is looked through; one that cannot is a quantity of its own', () => {
  const x = uncertain('x', 1, 2, 4, '');
  const doubled = (again?: Powers): Figure => computed('2x', between(2, 4, 8), '', 'double', 'twice', [x], again);
  expect(difference('d', '', doubled(), x).value).toEqual(between(-2, 2, 7));
  expect(difference('d', '', doubled({ scale: 2, of: [1] }), x).value).toEqual(between(1, 2, 4));
});

test('over an operand a computation falls as that rises: 6/x − x from 6 to −2.5, exactly', () => {
  const x = uncertain('x', 1, 2, 4, '');
  const inverse = computed('6/x', between(1.5, 3, 6), '', 'over', 'six over it', [x], { scale: 6, of: [-1] });
  expect(difference('d', '', inverse, x).value).toEqual(between(-2.5, 1, 5));
});

test('figures are plain data, so that another thread can have them', () => {
  const share = inPercent('%', '%', 'as per cent', uncertain('x', 0.1, 0.125, 0.25));
  expect(share.value).toEqual(between(10, 12.5, 25));
  expect(JSON.parse(JSON.stringify(share))).toEqual(share);
});

test('what can be nothing is a tie, also at its edge', () => {
  expect(compareFigures(uncertain('a', 1, 2, 3), uncertain('b', 3, 4, 5)).order).toBe('tie');
  expect(compareFigures(uncertain('a', 1, 2, 2.9), uncertain('b', 3, 4, 5)).order).toBe('less');
});

test('two estimates are judged on their difference: 10 ± 2 and 13 ± 2 overlap, and 3 ± √8 is above nothing', () => {
  const estimate = (mid: number): Figure =>
    spreadAs(uncertain(`e${mid}`, mid - 2, mid, mid + 2), { kind: 'confidence', level: 0.95 });
  const found = compareFigures(estimate(13), estimate(10));
  expect(found.order).toBe('more');
  expect(found.difference.value.low).toBeCloseTo(3 - Math.sqrt(8), 12);
  expect(found.difference.spread).toEqual({ kind: 'confidence', level: 0.95 });
  expect(compareFigures(estimate(12.5), estimate(10)).order).toBe('tie');
});

test('unlike units are not compared', () =>
  expect(() => compareFigures(uncertain('a', 1, 2, 3), uncertain('b', 1, 2, 3, EUR))).toThrow('Cannot compare kg'));

test('what kind a range is goes with it: one uncertain part hands its own on, several kinds are mixed', () => {
  const draws = spreadAs(uncertain('d', 1, 2, 3), { kind: 'draws', share: 0.8 });
  const bounds = uncertain('b', 1, 2, 3);
  const plain = literal('p', 2, 'kg', 'label', '');
  expect(sum('s', 'kg', [draws, plain]).spread).toEqual({ kind: 'draws', share: 0.8 });
  expect(sum('s', 'kg', [bounds, bounds]).spread).toEqual({ kind: 'bounds' });
  expect(sum('s', 'kg', [bounds, draws]).spread).toEqual({ kind: 'mixed' });
  expect(sum('s', 'kg', [draws, draws]).spread).toEqual({ kind: 'mixed' });
});

test('what moves a figure most comes first, what is exact or cancels not at all', () => {
  const price = uncertain('price', 9, 10, 11, EUR);
  const share = assumption('nitrogen', between(0.05, 0.1, 0.2), 'kg/kg', 'typical');
  const cost = quotient(
    'c',
    per(EUR, measure('kg')),
    price,
    product('n', 'kg', [literal('m', 20, 'kg', 'label', ''), share]),
  )!;
  expect(whatMoves(cost).map((m) => m.figure.label)).toEqual(['nitrogen', 'price']);
  expect(whatMoves(cost)[0]).toMatchObject({ atLow: 10, atHigh: 2.5 });
  expect(whatMoves(difference('none', EUR, price, price))).toEqual([]);
  expect(whatMoves(price)).toEqual([]);
});
