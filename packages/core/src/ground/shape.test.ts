import fc from 'fast-check';
import { workingLines } from '../figure/index.js';
import { plotArea, ringReadings, type Shape } from './shape.js';

const area = (shape: Shape): number => plotArea(shape).value.mid;
const length = fc.double({ min: 0.1, max: 500, noNaN: true });

test.each<[string, Shape, number]>([
  ['12 m × 1.2 m', { kind: 'rectangle', lengthM: 12, widthM: 1.2 }, 14.4],
  ['a circle 2 m across', { kind: 'circle', acrossM: 2 }, Math.PI],
  ['a ring from 0.3 to 0.9 m: π(0.81 − 0.09)', { kind: 'ring', innerM: 0.3, outerM: 0.9 }, Math.PI * 0.72],
  ['a 3-4-5 triangle', { kind: 'triangle', sidesM: [3, 4, 5] }, 6],
  ['four sides of a 3 × 4 rectangle with its diagonal of 5', { kind: 'fourSides', sidesM: [3, 4, 3, 4], diagonalM: 5 }, 12],
  ['six beds of 10 × 1.2 m', { kind: 'beds', lengthM: 10, widthM: 1.2, count: 6 }, 72],
  ['four rows of 25 m, 0.75 m apart', { kind: 'rows', lengthM: 25, spacingM: 0.75, count: 4 }, 75],
])('%s', (_name, shape, expected) => expect(area(shape)).toBeCloseTo(expected, 10));

test('against independent formulas: coordinates of the corners by the shoelace rule', () => {
  fc.assert(fc.property(length, fc.double({ min: 0.1, max: 3, noNaN: true }), length, (a, angle, b) => {
    const [x, y] = [b * Math.cos(angle), b * Math.sin(angle)];
    const c = Math.hypot(a - x, y);
    const shoelace = Math.abs(a * y) / 2;
    expect(area({ kind: 'triangle', sidesM: [a, b, c] })).toBeCloseTo(shoelace, -Math.log10(1e-5 * Math.max(1, shoelace)) - 1);
  }));
});
test('a ring is its outer circle less its inner one', () => {
  fc.assert(fc.property(length, length, (x, y) => {
    const [innerM, outerM] = [Math.min(x, y), Math.max(x, y) + 0.1];
    expect(area({ kind: 'ring', innerM, outerM })).toBeCloseTo(area({ kind: 'circle', acrossM: 2 * outerM }) - area({ kind: 'circle', acrossM: 2 * innerM }), 4);
  }));
});
test('two feet across or two feet out is a fourfold difference', () => {
  const { across, out } = ringReadings(0.6096);
  expect(area({ kind: 'circle', acrossM: 2 * out }) / area({ kind: 'circle', acrossM: 2 * across })).toBeCloseTo(4, 10);
});

test.each<[string, Shape, RegExp]>([
  ['sides that do not meet', { kind: 'triangle', sidesM: [1, 2, 9] }, /do not meet/],
  ['a ring inside out', { kind: 'ring', innerM: 2, outerM: 1 }, /expected less than the outer/],
  ['no length', { kind: 'rectangle', lengthM: 0, widthM: 3 }, /above zero/],
  ['a length that is no number', { kind: 'beds', lengthM: Number.NaN, widthM: 3, count: 2 }, /above zero/],
])('%s are refused in words', (_name, shape, words) => expect(() => plotArea(shape)).toThrow(words));

test('shows its working', () => expect(workingLines(plotArea({ kind: 'rectangle', lengthM: 12, widthM: 1.2 }))[0]?.expression).toBe('12 m × 1.2 m'));
