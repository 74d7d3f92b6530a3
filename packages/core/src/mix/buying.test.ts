import fc from 'fast-check';
import loadHighs from 'highs';
import { bag, grade, line, potash, priced, urea } from '../../test/bags.js';
import { midFraction, type Grade, type Product } from '../shelf/index.js';
import type { LpSolver } from '../solve/index.js';
import { around } from './around.js';
import { blend } from './blend.js';
import { shoppingFor } from './buying.js';
import type { Blend } from './found.js';
import type { BlendTarget, Brief } from './model.js';
import type { BlendRule } from './rules.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

type Recipe = Extract<Blend, { kind: 'recipe' }>;
const recipe = (found: Blend): Recipe => {
  if (found.kind !== 'recipe') throw new Error(`${found.kind}: ${found.message}`);
  return found;
};
const kgOf = (found: Recipe, id: string, batchKg: number): number =>
  (found.mixture.components.find((c) => c.product.id === id)?.kg ?? 0) * batchKg;

const SMALL = bag({ id: 'small', name: 'Small urea', analysis: [line('N', 46)], offers: [priced(1, 'kg', '3.00')] });
const LARGE = bag({ id: 'large', name: 'Large meal', analysis: [line('N', 10)], offers: [priced(25, 'kg', '12.00')] });
const TEN: BlendTarget = { kind: 'grade', parts: grade('10-0-0'), tolerance: 0 };
const brief = (rules: readonly BlendRule[], stockKg: Record<string, number> = {}, kg = 10): Brief => ({
  rules,
  aim: 'cost',
  batch: { kg, stockKg },
});

test('by the kg the meal is cheaper; in whole packages, for a small batch, the small bags are', () => {
  // 10 kg of 10 % N: 10 kg of meal at 0.48, or 2.17 kg of urea at 3.00.
  const byKg = recipe(blend([SMALL, LARGE], TEN, solver, brief([])));
  expect(kgOf(byKg, 'large', 10)).toBeCloseTo(10, 6);
  // Whole: one bag of meal at 12.00 against three of urea at 9.00.
  const whole = recipe(blend([SMALL, LARGE], TEN, solver, brief([{ kind: 'packages' }])));
  expect(kgOf(whole, 'small', 10)).toBeCloseTo(10 / 4.6, 6);
  expect(whole.spent).toBeCloseTo(0.9, 6);
  // Its working names the target it stands at, and no row that only ties unknowns together.
  const [weighed] = whole.mixture.weights;
  const said = JSON.stringify(weighed?.weight);
  expect(said).toContain('10 N');
  expect(said).not.toMatch(/" at its (least|most)"/);
  expect(whole.shopping?.paid).toBeCloseTo(9, 6);
  expect(whole.shopping?.lines[0]?.purchase?.bought.map((b) => b.count)).toEqual([3]);
  expect(whole.shopping?.lines[0]?.leftKg).toBeCloseTo(3 - 10 / 4.6, 6);
});

test('what is at hand without a price is used up, and none of it is bought', () => {
  const rest = bag({ id: 'rest', name: 'Rest of a sack', analysis: [line('N', 20)], offers: [] });
  const found = recipe(blend([LARGE, rest], TEN, solver, brief([{ kind: 'stock' }], { rest: 2 })));
  // 2 kg hold 0.4 of the 1 kg of N; 6 kg of meal bring the rest.
  expect([kgOf(found, 'rest', 10), kgOf(found, 'large', 10)]).toEqual([expect.closeTo(2, 6), expect.closeTo(6, 6)]);
  expect(found.leftOut).toEqual([]);
  // Without the rule, or with nothing of it left, it is left out as before.
  expect(recipe(blend([LARGE, rest], TEN, solver, brief([], { rest: 2 }))).leftOut).toEqual(['Rest of a sack']);
  expect(recipe(blend([LARGE, rest], TEN, solver, brief([{ kind: 'stock' }]))).leftOut).toEqual(['Rest of a sack']);
});

test('what is at hand costs nothing more, and is used first', () => {
  const rule: BlendRule = { kind: 'stock' };
  // 1 kg of urea on the shelf holds 0.46 of the 1 kg of N that is asked; the rest comes from the meal, at 0.48 a kg.
  const found = recipe(blend([SMALL, LARGE], TEN, solver, brief([rule], { small: 1 })));
  expect(kgOf(found, 'small', 10)).toBeCloseTo(1, 6);
  expect(kgOf(found, 'large', 10)).toBeCloseTo(5.4, 6);
  expect(found.spent).toBeCloseTo((5.4 * 0.48) / 10, 6);
  expect(found.shopping?.lines.map((l) => l.fromStockKg)).toEqual([expect.closeTo(1, 6), 0]);
  const enough = recipe(blend([SMALL, LARGE], TEN, solver, brief([rule], { small: 5 })));
  expect(enough.spent).toBeCloseTo(0, 9);
  expect(enough.shopping?.paid).toBe(0);
});

test('whole packages cost what is left over, and what is at hand saves', () => {
  const rules: readonly BlendRule[] = [{ kind: 'packages' }, { kind: 'stock' }];
  const asked = brief(rules, { small: 1 });
  const best = recipe(blend([SMALL, LARGE], TEN, solver, asked));
  // 1 kg of urea is there: two more bags at 3.00 are cheaper than one of meal at 12.00.
  expect(best.spent).toBeCloseTo(0.6, 6);
  const { rulePrices } = around([SMALL, LARGE], TEN, solver, asked, best);
  expect(rulePrices[0]).toBeCloseTo(0.6 - (5.4 * 0.48) / 10, 6);
  expect(rulePrices[1]).toBeCloseTo(0.6 - 0.9, 6);
});

test('amounts of nutrients in all: so many kg of each, whatever they weigh together', () => {
  const parts: Grade = [
    { nutrient: 'N', basis: 'element', amount: 0.46 },
    { nutrient: 'K', basis: 'K2O', amount: 0.5 },
  ];
  const found = recipe(blend([urea, potash], { kind: 'amount', parts, tolerance: 0 }, solver));
  // 1 kg of urea holds 0.46 kg N, 1 kg of sulfate of potash 0.5 kg K₂O.
  expect(found.batchKg).toBeCloseTo(2, 6);
  expect(found.mixture.components.map((c) => c.kg * (found.batchKg ?? 0))).toEqual([
    expect.closeTo(1, 6),
    expect.closeTo(1, 6),
  ]);
  const short = blend([urea], { kind: 'amount', parts, tolerance: 0 }, solver);
  expect(short.kind === 'unreachable' && short.message).toMatch(/These amounts cannot.*Nothing chosen contains K₂O/);
  const over = blend([urea], { kind: 'amount', parts: parts.slice(0, 1), tolerance: 0 }, solver);
  expect(recipe(over).batchKg).toBeCloseTo(1, 6);
});

test('a ratio is bought for at the strength it would have anyway', () => {
  const target: BlendTarget = { kind: 'ratio', parts: grade('1-0-1'), tolerance: 0 };
  const free = recipe(blend([urea, potash], target, solver));
  const bought = recipe(blend([urea, potash], target, solver, brief([{ kind: 'packages' }])));
  expect(bought.batchKg).toBeCloseTo(10, 4);
  for (const { product, kg } of free.mixture.components) expect(kgOf(bought, product.id, 1)).toBeCloseTo(kg, 5);
  expect(bought.shopping?.lines).toHaveLength(2);
});

test('a target that holds at the low end takes more, and what that costs is the difference', () => {
  const ranged = bag({
    id: 'r',
    name: 'Ranged',
    analysis: [line('N', [8, 10, 12])],
    offers: [priced(1, 'kg', '1.00')],
  });
  const target: BlendTarget = { kind: 'grade', parts: grade('4-0-0'), tolerance: 0 };
  const middle = recipe(blend([ranged], target, solver));
  const low = recipe(blend([ranged], target, solver, { rules: [], aim: 'cost', hold: 'low' }));
  expect(middle.mixture.components[0]?.kg).toBeCloseTo(0.4, 6);
  expect(low.mixture.components[0]?.kg).toBeCloseTo(0.5, 6);
  const { lowEnd } = around([ranged], target, solver, { rules: [], aim: 'cost' }, middle);
  expect(lowEnd?.extra).toBeCloseTo(0.1, 6);
  expect(
    around(
      [urea],
      { ...target, parts: grade('23-0-0') },
      solver,
      { rules: [], aim: 'cost' },
      recipe(blend([urea], { ...target, parts: grade('23-0-0') }, solver)),
    ).lowEnd,
  ).toBeUndefined();
});

test('what is fetched: from the shelf first, the rest in the cheapest packages', () => {
  const { lines, paid } = shoppingFor(
    [
      { product: SMALL, kg: 1 },
      { product: LARGE, kg: 3 },
    ],
    { kg: 40, stockKg: { small: 4, large: 100 } },
    4,
  );
  // What is on hand counts to what is left: 100 kg less the 30 that are needed.
  expect(lines[1]!.leftKg).toBe(70);
  expect(lines[0]!.leftKg).toBeCloseTo(4 + lines[0]!.purchase!.kg - 10, 9);
  expect(lines.map((l) => [l.needKg, l.fromStockKg, l.purchase?.paid])).toEqual([
    [10, 4, 18],
    [30, 30, 0],
  ]);
  expect(paid).toBe(18);
  const unpriced = { ...LARGE, id: 'x', offers: [] };
  expect(
    shoppingFor(
      [
        { product: SMALL, kg: 1 },
        { product: unpriced, kg: 1 },
      ],
      { kg: 2, stockKg: {} },
      2,
    ).paid,
  ).toBeUndefined();
});

/** Some bags with nitrogen and potash, each in one or two sizes. */
const shelves = fc
  .array(
    fc.record({
      N: fc.integer({ min: 0, max: 40 }),
      K: fc.integer({ min: 0, max: 40 }),
      size: fc.constantFrom(1, 5, 10, 25),
      price: fc.integer({ min: 1, max: 60 }),
      larger: fc.boolean(),
      stock: fc.constantFrom(0, 0, 0.5, 3),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((bags) => ({
    products: bags.map(({ N, K, size, price, larger }, i) =>
      bag({
        id: `b${i}`,
        name: `Bag ${i}`,
        analysis: [line('N', N), line('K', K)],
        offers: [
          priced(size, 'kg', price.toFixed(2)),
          ...(larger ? [priced(size * 4, 'kg', (price * 3).toFixed(2))] : []),
        ],
      }),
    ),
    stockKg: Object.fromEntries(bags.map(({ stock }, i) => [`b${i}`, stock])),
  }));
/** The least that whole packages of a bag cost for so many kg, by trying all counts. */
function leastPaid({ offers }: Product, kg: number): number {
  // The solver's answer is so exact, and no more.
  const needed = kg - 8e-6;
  if (needed <= 0) return 0;
  const [first, second] = offers.map((o) => ({ kg: o.size, price: Number(o.price?.amount) }));
  if (!first) return Infinity;
  const counts = Array.from({ length: Math.ceil(needed / first.kg) + 1 }, (_, i) => i);
  return Math.min(
    ...counts.map((n) => {
      const left = Math.max(0, needed - n * first.kg);
      const rest = left <= 1e-9 ? 0 : second ? Math.ceil(left / second.kg - 1e-9) * second.price : Infinity;
      return n * first.price + rest;
    }),
  );
}

test('what is all at hand but for the rounding of the solver is not bought again', () => {
  const noSale = bag({ id: 'rest', name: 'Rest of a sack', analysis: [line('N', 20)], offers: [] });
  const { lines, paid } = shoppingFor(
    [{ product: noSale, kg: 0.5000000000000004 }],
    { kg: 8, stockKg: { rest: 0.5 } },
    8,
  );
  expect([lines[0]?.shortKg, paid]).toEqual([0, 0]);
  // A package that is enough but for the rounding is one package; a gram more is two.
  const bags = (kg: number) =>
    shoppingFor([{ product: SMALL, kg }], { kg: 8, stockKg: {} }, 8).lines[0]?.purchase?.bought.map((b) => b.count);
  expect([bags(2.000001), bags(2.001)]).toEqual([[2], [3]]);
});

test('whole packages and what is at hand, on any shelf: the target holds, what is spent is what the packages cost, and buying by the kg costs no more', () => {
  fc.assert(
    fc.property(shelves, fc.boolean(), ({ products, stockKg }, stock) => {
      const rules: readonly BlendRule[] = [{ kind: 'packages' }, ...(stock ? [{ kind: 'stock' as const }] : [])];
      const target: BlendTarget = { kind: 'grade', parts: grade('5-0-0'), tolerance: 0.5 };
      const asked = { rules, aim: 'cost', batch: { kg: 8, stockKg } } as const;
      const found = blend(products, target, solver, asked);
      if (found.kind !== 'recipe') return;
      const { components } = found.mixture;
      const nitrogen = components.reduce((s, c) => s + c.kg * midFraction(c.product, 'N'), 0);
      expect(nitrogen).toBeGreaterThanOrEqual(0.05 - 1e-6);
      expect(nitrogen).toBeLessThanOrEqual(0.075 + 1e-6);
      const paid = components.reduce(
        (s, c) => s + leastPaid(c.product, c.kg * 8 - (stock ? (stockKg[c.product.id] ?? 0) : 0)),
        0,
      );
      expect((found.spent ?? 0) * 8).toBeCloseTo(paid, 4);
      expect(found.shopping?.paid).toBeCloseTo(paid, 4);
      const byKg = recipe(
        blend(products, target, solver, { ...asked, rules: rules.filter((r) => r.kind === 'stock') }),
      );
      const least = byKg.spent ?? byKg.mixture.costPerKg?.value.mid ?? 0;
      expect(least).toBeLessThanOrEqual((found.spent ?? 0) + 1e-6);
    }),
    { numRuns: 60 },
  );
});
