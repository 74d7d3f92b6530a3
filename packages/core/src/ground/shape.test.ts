import fc from 'fast-check';
import { workingLines } from '../figure/index.js';
import { polygonPlan } from './polygon.js';
import { mediumVolume, plotArea, type Shape } from './shape.js';

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

type Corners = readonly (readonly [number, number])[];
const L: Corners = [
  [0, 0],
  [4, 0],
  [4, 2],
  [2, 2],
  [2, 4],
  [0, 4],
];
const U: Corners = [
  [0, 0],
  [6, 0],
  [6, 5],
  [4, 5],
  [4, 2],
  [2, 2],
  [2, 4],
  [0, 4],
];
/** A bed as a tape finds it, going round from one of its corners. */
function taped(corners: Corners, from: number) {
  const at = (i: number) => corners[(from + i) % corners.length]!;
  const apart = (i: number, j: number): number => Math.hypot(at(i)[0] - at(j)[0], at(i)[1] - at(j)[1]);
  const turnsIn = (i: number): boolean => {
    const [[ax, ay], [bx, by], [cx, cy]] = [at(i + corners.length - 1), at(i), at(i + 1)];
    return (bx - ax) * (cy - by) - (by - ay) * (cx - bx) < 0;
  };
  const n = corners.length;
  return {
    kind: 'polygon',
    sidesM: corners.map((_, i) => apart(i, i + 1)),
    diagonalsM: Array.from({ length: n - 3 }, (_, i) => apart(0, i + 2)),
    inward: corners.flatMap((_, i) => (turnsIn(i) ? [i] : [])),
  } as const;
}

test.each([
  ...L.map((_, from) => ['an L', 12, L, from] as const),
  ...U.map((_, from) => ['a U', 22, U, from] as const),
])(
  '%s of %p m² is among its outlines, measured from any corner, its true corners turning in',
  (_name, area, corners, from) => {
    const shape = taped(corners, from);
    const { outlines } = polygonPlan(shape);
    const plans = Array.from({ length: outlines }, (_, outline) => polygonPlan({ ...shape, outline }));
    for (const plan of plans) expect(plan.asSaid).toBe(true);
    const right = plans.findIndex((plan) => Math.abs(plan.areaM2 - area) < 1e-9);
    expect(right).toBeGreaterThanOrEqual(0);
    expect(plotArea({ ...shape, outline: right }).value.mid).toBeCloseTo(area, 9);
  },
);
test('an L measured from its far corner has one outline; from the corner beside the bend two, to choose from by looking', () => {
  expect(polygonPlan(taped(L, 0)).outlines).toBe(1);
  expect([0, 1].map((outline) => polygonPlan({ ...taped(L, 2), outline }).areaM2.toFixed(6))).toEqual(
    expect.arrayContaining(['12.000000', '8.000000']),
  );
});
test('unsaid, every corner is supposed to turn out where it can: the L from its end is a third too large, and says so', () => {
  const shape = { ...taped(L, 2), inward: [] };
  expect(plotArea(shape).value.mid).toBeCloseTo(16, 9);
  expect(polygonPlan(shape).inward).toEqual([false, false, false, false, false, false]);
  const told = plotArea(taped(L, 2));
  expect(told.how).toMatchObject({ kind: 'operation', sign: '−' });
});
test('sides that cross however the corners turn are refused', () =>
  expect(() => plotArea({ kind: 'polygon', sidesM: [2, 2.909, 1.932, 1.932, 1], diagonalsM: [1, 1] })).toThrow(
    /sides would cross/,
  ));
test('any quadrilateral measured with its true corners has the area of its corners', () => {
  const point = fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }));
  fc.assert(
    fc.property(fc.array(point, { minLength: 4, maxLength: 4 }), (corners) => {
      const cross = (a: readonly number[], b: readonly number[], c: readonly number[]): number =>
        (b[0]! - a[0]!) * (c[1]! - a[1]!) - (b[1]! - a[1]!) * (c[0]! - a[0]!);
      const [a, b, c, d] = corners as [[number, number], [number, number], [number, number], [number, number]];
      // No three in a line, and no two sides that cross.
      fc.pre([cross(a, b, c), cross(b, c, d), cross(c, d, a), cross(d, a, b)].every((x) => Math.abs(x) > 20));
      const across = (p: number[], q: number[], r: number[], s: number[]): boolean =>
        cross(p, q, r) * cross(p, q, s) < 0 && cross(r, s, p) * cross(r, s, q) < 0;
      fc.pre(!across(a, b, c, d) && !across(b, c, d, a));
      const area =
        corners.reduce((s, [x, y], i) => s + x * corners[(i + 1) % 4]![1] - corners[(i + 1) % 4]![0] * y, 0) / 2;
      const facing = area > 0 ? corners : [...corners].reverse();
      expect(plotArea(taped(facing, 0)).value.mid).toBeCloseTo(Math.abs(area), 6);
    }),
  );
});

test('a ring from its middle on is a circle; one that starts before the middle, or where it ends, is none', () => {
  expect(plotArea({ kind: 'ring', innerM: 0, outerM: 1 }).value.mid).toBeCloseTo(Math.PI, 12);
  for (const [innerM, outerM] of [
    [-0.1, 1],
    [1, 1],
    [2, 1],
    [NaN, 1],
  ] as const)
    expect(() => plotArea({ kind: 'ring', innerM, outerM })).toThrow(/expected less than the outer edge at 1 m/);
  for (const outerM of [0, -1])
    expect(() => plotArea({ kind: 'ring', innerM: 0, outerM })).toThrow(/expected a length above zero/);
});
