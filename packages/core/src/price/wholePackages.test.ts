import fc from 'fast-check';
import { bag, priced } from '../../test/bags.js';
import { cheapestPurchase, crossings, packagesOf, paysFrom, type Package } from './wholePackages.js';

const pack = (kg: number, price: number): Package => ({ kg, price, offer: priced(kg, 'kg', price.toFixed(2)) });
const bought = (packages: readonly Package[], need: number) =>
  cheapestPurchase(packages, need)?.bought.map((b) => [b.count, b.package.kg]);

test('9 kg from bags of 5 at 10 and 25 at 30: two small ones for 20; 11 kg: one large one for 30 rather than three small', () => {
  const packages = [pack(5, 10), pack(25, 30)];
  expect(bought(packages, 9)).toEqual([[2, 5]]);
  expect(cheapestPurchase(packages, 9)).toMatchObject({ paid: 20, kg: 10, leftKg: 1 });
  expect(bought(packages, 11)).toEqual([[1, 25]]);
  expect(cheapestPurchase(packages, 30)).toMatchObject({ paid: 40, leftKg: 0 });
  expect(cheapestPurchase(packages, 0)).toMatchObject({ paid: 0, leftKg: 0 });
  expect(cheapestPurchase([], 9)).toBeUndefined();
});
test('rounding does not buy one more: 3 × 0.1 kg for 0.30000000000000004', () =>
  expect(bought([pack(0.1, 1)], 0.1 + 0.2)).toEqual([[3, 0.1]]));

/** Every way up to so many of each, by counting. */
function byCounting(packages: readonly Package[], need: number): number {
  const [first, ...rest] = packages;
  if (need <= 1e-9) return 0;
  if (!first) return Number.POSITIVE_INFINITY;
  let best = Number.POSITIVE_INFINITY;
  for (let n = 0; n <= Math.ceil(need / first.kg); n++)
    best = Math.min(best, n * first.price + byCounting(rest, need - n * first.kg));
  return best;
}
test('no way of buying enough is cheaper', () =>
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 40 })), {
        minLength: 1,
        maxLength: 3,
      }),
      fc.integer({ min: 1, max: 40 }),
      (sizes, need) => {
        const packages = sizes.map(([kg, price]) => pack(kg, price));
        const found = cheapestPurchase(packages, need)!;
        expect(found.kg).toBeGreaterThanOrEqual(need - 1e-9);
        expect(found.paid).toBeCloseTo(byCounting(packages, need), 9);
      },
    ),
  ));

test('a large one pays from the need at which as many small ones cost no less', () => {
  // 25 kg at 30 against 5 kg at 12: two small ones cost 24, three 36: from just over 10 kg on.
  expect(paysFrom([pack(5, 12), pack(25, 30)])[0]?.fromKg).toBe(10);
  // At 36 three small ones cost the same: still from just over 10 kg on; at 37 the fourth decides.
  expect(paysFrom([pack(5, 12), pack(25, 36)])[0]?.fromKg).toBe(10);
  expect(paysFrom([pack(5, 12), pack(25, 37)])[0]?.fromKg).toBe(15);
  // Dearer by weight it never pays; no dearer at all it always does.
  expect(paysFrom([pack(5, 12), pack(25, 80)])[0]?.fromKg).toBeUndefined();
  expect(paysFrom([pack(5, 12), pack(25, 12)])[0]?.fromKg).toBe(0);
});

test('packages of one currency, by weight, the newest price of each; a volume needs a density', () => {
  const offers = [priced(25, 'kg', '30.00'), priced(5, 'kg', '10.00'), priced(1, 'L', '9.00')];
  expect(packagesOf(bag({ offers }), 'EUR').map((p) => p.kg)).toEqual([5, 25]);
  expect(packagesOf(bag({ offers, densityKgPerL: 1.2 }), 'EUR').map((p) => p.kg)).toEqual([1.2, 5, 25]);
  expect(packagesOf(bag({ offers }), 'USD')).toEqual([]);
});

test('break-even: 2x against 10 + x cross at 10, the second cheaper beyond; steps cross where they jump', () => {
  const [only, more] = crossings(
    (x) => 2 * x,
    (x) => 10 + x,
    [0, 40],
  );
  expect(only).toEqual({ at: expect.closeTo(10, 9), cheaper: 'second' });
  expect(more).toBeUndefined();
  expect(
    crossings(
      (x) => Math.ceil(x / 5) * 12,
      () => 30,
      [0.1, 24],
    ),
  ).toEqual([{ at: expect.closeTo(10, 6), cheaper: 'second' }]);
  expect(
    crossings(
      (x) => x,
      () => undefined,
      [0, 1],
    ),
  ).toEqual([]);
});
