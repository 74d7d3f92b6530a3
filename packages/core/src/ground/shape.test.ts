import fc from 'fast-check';
import { workingLines } from '../figure/index.js';
import { mediumVolume, plotArea, ringReadings, type Shape } from './shape.js';

const area = (shape: Shape): number => plotArea(shape).value.mid;
const length = fc.double({ min: 0.1, max: 500, noNaN: true });

test.each<[string, Shape, number]>([
  ['12 m × 1.2 m', { kind: 'rectangle', lengthM: 12, widthM: 1.2 }, 14.4],
  ['a circle 2 m across', { kind: 'circle', acrossM: 2 }, Math.PI],
  ['a ring from 0.3 to 0.9 m: π(0.81 − 0.09)', { kind: 'ring', innerM: 0.3, outerM: 0.9 }, Math.PI * 0.72],
  ['a 3-4-5 triangle', { kind: 'triangle', sidesM: [3, 4, 5] }, 6],
  [
    'four sides of a 3 × 4 rectangle with its diagonal of 5',
    { kind: 'polygon', sidesM: [3, 4, 3, 4], diagonalsM: [5] },
    12,
  ],
  ['ten pots 20 cm across: 10 × π × 0.1²', { kind: 'containers', acrossM: 0.2, litres: 5, count: 10 }, Math.PI / 10],
  ['six beds of 10 × 1.2 m', { kind: 'beds', lengthM: 10, widthM: 1.2, count: 6 }, 72],
  ['four rows of 25 m, 0.75 m apart', { kind: 'rows', lengthM: 25, spacingM: 0.75, count: 4 }, 75],
])('%s', (_name, shape, expected) => expect(area(shape)).toBeCloseTo(expected, 10));

test('against independent formulas: coordinates of the corners by the shoelace rule', () => {
  fc.assert(
    fc.property(length, fc.double({ min: 0.1, max: 3, noNaN: true }), length, (a, angle, b) => {
      const [x, y] = [b * Math.cos(angle), b * Math.sin(angle)];
      const c = Math.hypot(a - x, y);
      const shoelace = Math.abs(a * y) / 2;
      expect(area({ kind: 'triangle', sidesM: [a, b, c] })).toBeCloseTo(
        shoelace,
        -Math.log10(1e-5 * Math.max(1, shoelace)) - 1,
      );
    }),
  );
});
test('a ring is its outer circle less its inner one', () => {
  fc.assert(
    fc.property(length, length, (x, y) => {
      const [innerM, outerM] = [Math.min(x, y), Math.max(x, y) + 0.1];
      expect(area({ kind: 'ring', innerM, outerM })).toBeCloseTo(
        area({ kind: 'circle', acrossM: 2 * outerM }) - area({ kind: 'circle', acrossM: 2 * innerM }),
        4,
      );
    }),
  );
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

test('shows its working', () =>
  expect(workingLines(plotArea({ kind: 'rectangle', lengthM: 12, widthM: 1.2 }))[0]?.expression).toBe('12 m × 1.2 m'));

test('law: a polygon’s area by its sides and diagonals is that of its corners (shoelace), for any convex shape', () => {
  // Corners on an ellipse in order are always convex.
  const angles = fc.uniqueArray(fc.integer({ min: 0, max: 359 }), { minLength: 4, maxLength: 12 });
  fc.assert(
    fc.property(
      angles,
      fc.double({ min: 0.5, max: 60, noNaN: true }),
      fc.double({ min: 0.5, max: 60, noNaN: true }),
      (given, a, b) => {
        const corners = [...given]
          .sort((x, y) => x - y)
          .map((deg) => [a * Math.cos((deg * Math.PI) / 180), b * Math.sin((deg * Math.PI) / 180)] as const);
        const apart = (i: number, j: number): number =>
          Math.hypot(
            corners[i]![0] - corners[j % corners.length]![0],
            corners[i]![1] - corners[j % corners.length]![1],
          );
        const shoelace =
          Math.abs(
            corners.reduce(
              (s, [x, y], i) =>
                s + x * corners[(i + 1) % corners.length]![1] - corners[(i + 1) % corners.length]![0] * y,
              0,
            ),
          ) / 2;
        const area = plotArea({
          kind: 'polygon',
          sidesM: corners.map((_, i) => apart(i, i + 1)),
          diagonalsM: Array.from({ length: corners.length - 3 }, (_, i) => apart(0, i + 2)),
        });
        // Slivers lose digits in Heron's formula.
        expect(Math.abs(area.value.mid - shoelace)).toBeLessThan(1e-4 * (a * b));
      },
    ),
  );
});
test.each([
  ['too few sides', { kind: 'polygon', sidesM: [1, 1, 1], diagonalsM: [] }, /Read 3 sides, expected 4 to 12/],
  [
    'a diagonal too few',
    { kind: 'polygon', sidesM: [1, 1, 1, 1, 1], diagonalsM: [1] },
    /Read 1 diagonals for 5 sides, expected 2/,
  ],
  ['no containers', { kind: 'containers', acrossM: 0.2, litres: 5, count: 0 }, /expected a length above zero/],
] as const)('%s is refused in words', (_name, shape, words) => expect(() => plotArea(shape)).toThrow(words));
test('ten pots of 12 L hold 120 L, whatever their surface', () => {
  expect(mediumVolume({ kind: 'containers', acrossM: 0.3, litres: 12, count: 10 })?.value.mid).toBeCloseTo(120, 9);
  expect(mediumVolume({ kind: 'circle', acrossM: 1 })).toBeUndefined();
});
