import fc from 'fast-check';
import {
  addRanges,
  divideRanges,
  exact,
  isExact,
  multiplyRanges,
  overlap,
  scaleRange,
  subtractRanges,
} from './range.js';

const range = (low: number, mid: number, high: number) => ({ low, mid, high });

test('an exact number is a range of nothing, and only that is', () => {
  expect(exact(3)).toEqual(range(3, 3, 3));
  expect([isExact(exact(3)), isExact(range(2, 3, 3)), isExact(range(3, 3, 4))]).toEqual([true, false, false]);
});
test('ranges overlap where they share a point, the ends among them', () => {
  const a = range(2, 3, 4);
  expect([range(4, 5, 6), range(0, 1, 2), range(0, 5, 9), range(2.5, 3, 3.5)].map((b) => overlap(a, b))).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect([range(4.01, 5, 6), range(0, 1, 1.99)].map((b) => overlap(a, b))).toEqual([false, false]);
});
test('sum, difference, product and quotient by hand', () => {
  const [a, b] = [range(1, 2, 4), range(2, 5, 8)];
  expect(addRanges(a, b)).toEqual(range(3, 7, 12));
  expect(subtractRanges(a, b)).toEqual(range(-7, -3, 2));
  expect(multiplyRanges(a, b)).toEqual(range(2, 10, 32));
  expect(divideRanges(a, b)).toEqual(range(1 / 8, 2 / 5, 2));
  expect(scaleRange(a, 3)).toEqual(range(3, 6, 12));
  expect(scaleRange(a, -1)).toEqual(range(-4, -2, -1));
});
test('a product with both signs takes its ends from the corners: −2 to 3 times −5 to 4 is −15 to 12', () =>
  expect(multiplyRanges(range(-2, 1, 3), range(-5, 2, 4))).toEqual(range(-15, 2, 12)));
test('a quotient of negative by negative, and none where zero can be divided by', () => {
  expect(divideRanges(range(-4, -2, -1), range(-2, -1, -0.5))).toEqual(range(0.5, 2, 8));
  for (const b of [range(0, 1, 2), range(-1, 0.5, 1), range(-2, -1, 0), exact(0)])
    expect(divideRanges(range(1, 2, 3), b)).toBeUndefined();
});
test('law: what is drawn from two ranges lies in their sum, difference, product and quotient', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const anyRange = fc
    .tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }))
    .map(([low, a, b]) => range(low, low + a, low + a + b));
  fc.assert(
    fc.property(anyRange, anyRange, share, share, (a, b, s, t) => {
      const [x, y] = [a.low + s * (a.high - a.low), b.low + t * (b.high - b.low)];
      const within = (r: ReturnType<typeof range>, value: number): boolean =>
        r.low - 1e-9 <= value && value <= r.high + 1e-9;
      expect(within(addRanges(a, b), x + y)).toBe(true);
      expect(within(subtractRanges(a, b), x - y)).toBe(true);
      expect(within(multiplyRanges(a, b), x * y)).toBe(true);
      const ratio = divideRanges(a, b);
      if (ratio) expect(within(ratio, x / y)).toBe(true);
    }),
  );
});
