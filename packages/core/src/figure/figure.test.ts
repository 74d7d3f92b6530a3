import fc from 'fast-check';
import { inCurrency, per, measure } from '../quantity/index.js';
import { assumption, assumptionsIn, computed, constant, literal, type Figure } from './figure.js';
import { difference, product, quotient, sum } from './operations.js';
import { workingLines } from './working.js';

const price = literal('price', 24, inCurrency('EUR'), 'label', 'seen 2026-02-20');
const mass = literal('mass', 20, 'kg', 'label', 'bag');
const fraction = literal('nitrogen', { low: 0.1, mid: 0.12, high: 0.14 }, 'kg/kg', 'typical', 'textbook');

test('a quotient carries value, range and operands: 24 EUR ÷ (20 kg × 0.12) = 10 EUR/kg', () => {
  const cost = quotient(
    'cost',
    per(inCurrency('EUR'), measure('kg N')),
    price,
    product('N', 'kg N', [mass, fraction]),
  )!;
  expect(cost.value.mid).toBeCloseTo(10, 10);
  expect(cost.value.low).toBeCloseTo(24 / 2.8, 10);
  expect(cost.value.high).toBeCloseTo(12, 10);
  expect(workingLines(cost).map((l) => [l.depth, l.label, l.expression])).toEqual([
    [0, 'cost', '24.00 EUR ÷ 2–2.8 kg N'],
    [1, 'price', ''],
    [1, 'N', '20 kg × 0.1–0.14 kg/kg'],
    [2, 'mass', ''],
    [2, 'nitrogen', ''],
  ]);
});

test('dividing by what may be zero gives no number', () => {
  expect(quotient('x', '', price, literal('maybe', { low: 0, mid: 1, high: 2 }, 'kg', 'guess', ''))).toBeUndefined();
});

test('what was read stays as it was read; sources are told', () => {
  const [head] = workingLines(literal('declared', 13, '%', 'label', 'bag label'));
  expect(head).toMatchObject({ result: '13 %', note: 'label: bag label' });
});

test('assumptions below a figure are found once each', () => {
  const a = assumption('Q10', { low: 1.6, mid: 2, high: 3 }, '×', 'source');
  const tree = computed('available', 5, '%', 'run', 'text', [a, sum('s', '', [a, constant('c', 2, '', 'def')])]);
  expect(assumptionsIn(tree)).toEqual([a]);
});

const figures: fc.Arbitrary<Figure> = fc
  .tuple(fc.double({ min: 0.1, max: 50, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }))
  .map(([mid, spread]) => literal('x', { low: mid / (1 + spread), mid, high: mid * (1 + spread) }, '', 'guess', ''));

test('every operation keeps low ≤ mid ≤ high', () => {
  fc.assert(
    fc.property(figures, figures, (a, b) => {
      for (const f of [
        sum('s', '', [a, b]),
        difference('d', '', a, b),
        product('p', '', [a, b]),
        quotient('q', '', a, b)!,
      ]) {
        expect(Object.values(f.value).every(Number.isFinite)).toBe(true);
        expect(f.value.low).toBeLessThanOrEqual(f.value.mid + 1e-9);
        expect(f.value.mid).toBeLessThanOrEqual(f.value.high + 1e-9);
      }
    }),
  );
});
