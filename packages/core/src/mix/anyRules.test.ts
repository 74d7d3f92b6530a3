import fc from 'fast-check';
import loadHighs from 'highs';
import { bag, line, priced } from '../../test/bags.js';
import { compoundPerElement } from '../nutrient/index.js';
import { keeps, midSupply } from '../shelf/index.js';
import { meets, solve, type LpSolver } from '../solve/index.js';
import { blend } from './blend.js';
import type { Blend } from './found.js';
import { apartIn } from './incompatible.js';
import { blendModel, costing, type BlendTarget, type Brief } from './model.js';
import { allows, reached, ruleWords, type BlendRule } from './rules.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});
const cheapest = (rules: readonly BlendRule[]): Brief => ({ rules, aim: 'cost' });
const made = (found: Blend): Extract<Blend, { kind: 'recipe' }> => {
  if (found.kind !== 'recipe') throw new Error(`${found.kind}: ${found.message}`);
  return found;
};

/** Any shelf whose bags say all that rules ask. */
const percent = fc.double({ min: 0, max: 40, noNaN: true }).map((n) => Number(n.toFixed(2)));
const anyShelf = fc
  .array(
    fc.record({
      N: percent,
      K: percent,
      Cl: fc.double({ min: 0, max: 20, noNaN: true }).map((n) => Number(n.toFixed(2))),
      salt: fc.integer({ min: 5, max: 120 }),
      price: fc.integer({ min: 20, max: 400 }),
      plant: fc.boolean(),
    }),
    { minLength: 2, maxLength: 6 },
  )
  .map((all) =>
    all.map(({ N, K, Cl, salt, price, plant }, i) =>
      bag({
        id: `b${i}`,
        name: `Bag ${i}`,
        // The first brings nitrogen and the second potash, so that much can be made.
        analysis: [line('N', i === 0 ? 10 + N : N), line('K', i === 1 ? 10 + K : K, 'K2O'), line('Cl', Cl)],
        saltIndex: salt,
        origins: [plant ? 'plant' : 'synthetic'],
        offers: [priced(1, 'kg', (price / 100).toFixed(2))],
      }),
    ),
  );
const anyRule: fc.Arbitrary<BlendRule> = fc.oneof(
  fc.constant({ kind: 'keep', what: 'plants' } as const),
  fc.integer({ min: 0, max: 5 }).map((i) => ({ kind: 'leaveOut', productId: `b${i}` }) as const),
  fc.integer({ min: 1, max: 60 }).map((high) => ({ kind: 'limit', of: 'salt', high }) as const),
  fc.integer({ min: 0, max: 10 }).map((high) => ({ kind: 'limit', of: 'Cl', high }) as const),
  fc.integer({ min: 1, max: 30 }).map((low) => ({ kind: 'share', productId: 'b0', low }) as const),
  fc.integer({ min: 1, max: 3 }).map((most) => ({ kind: 'kinds', most }) as const),
);
const rulesOf = (rule: typeof anyRule, minLength = 0, maxLength = 3) =>
  fc.uniqueArray(rule, { minLength, maxLength, selector: (r) => JSON.stringify(r) });
const anyRules = rulesOf(anyRule);
const anyTarget = fc
  .record({
    N: fc.integer({ min: 0, max: 8 }),
    K: fc.integer({ min: 1, max: 10 }),
    kind: fc.constantFrom('grade' as const, 'ratio' as const),
  })
  .map(({ N, K, kind }): BlendTarget => ({
    kind,
    parts: [
      { nutrient: 'N', basis: 'element', amount: N },
      { nutrient: 'K', basis: 'K2O', amount: K },
    ],
    tolerance: 0.5,
  }));

/** Whether a recipe meets a rule, reckoned from its parts alone. */
function meetsRule(rule: BlendRule, { mixture }: Extract<Blend, { kind: 'recipe' }>, allowance = 1e-5): boolean {
  const products = mixture.components.map((c) => c.product);
  const kg = mixture.components.map((c) => c.kg);
  if (products.some((p) => allows(rule, p) !== true)) return false;
  const found = reached(rule, products, kg, mixture.totalKg);
  switch (rule.kind) {
    case 'limit':
    case 'share':
      return found! <= (rule.high ?? Infinity) + allowance * 100 && found! >= (rule.low ?? -Infinity) - allowance * 100;
    case 'kinds':
      return found! <= rule.most;
    case 'keep':
      return products.every((p) => keeps(p, rule.what) === true);
    case 'leaveOut':
      return products.every((p) => p.id !== rule.productId);
    // What is bought is checked in its own tests.
    case 'stock':
    case 'packages':
      return true;
    case 'apart':
      return apartIn(products).every((a) => a.inSolution);
  }
}

test('every recipe meets every rule and its target; another rule never makes it cheaper', () => {
  fc.assert(
    fc.property(anyShelf, anyTarget, anyRules, (shelf, wanted, rules) => {
      const found = blend(shelf, wanted, solver, cheapest(rules));
      if (found.kind !== 'recipe') return;
      for (const rule of rules)
        expect([ruleWords(rule, String), meetsRule(rule, found)]).toEqual([ruleWords(rule, String), true]);
      const { mixture } = found;
      const brought = wanted.parts.map((part) =>
        mixture.components.reduce(
          (s, c) => s + c.kg * midSupply(c.product, part.nutrient) * compoundPerElement(part.basis),
          0,
        ),
      );
      // A ratio is told by how strong its last part came out.
      const strength = wanted.kind === 'grade' ? 1 : brought[1]! / (wanted.parts[1]!.amount / 100);
      const room = (0.5 * Math.max(...wanted.parts.map((p) => p.amount))) / 100;
      wanted.parts.forEach((part, i) => {
        const low = part.amount / 100;
        const most = (wanted.parts[1]!.amount / 100 + room) / (wanted.parts[1]!.amount / 100);
        expect(brought[i]!).toBeGreaterThan((low * strength) / (wanted.kind === 'grade' ? 1 : most) - 1e-6);
        if (wanted.kind === 'grade') expect(brought[i]!).toBeLessThan(low + room + 1e-6);
      });
      if (wanted.kind === 'ratio') return;
      const without = blend(shelf, wanted, solver, cheapest(rules.slice(1)));
      expect(made(without).mixture.costPerKg!.value.mid).toBeLessThanOrEqual(
        mixture.costPerKg!.value.mid * (1 + 1e-5) + 1e-9,
      );
    }),
    { numRuns: 120 },
  );
});

test('rules that cannot hold together: the set cannot be met, and with any one of it gone it can; each change offered helps', () => {
  let seen = 0;
  fc.assert(
    fc.property(anyShelf, anyTarget, rulesOf(anyRule, 1), (shelf, wanted, rules) => {
      const found = blend(shelf, wanted, solver, cheapest(rules));
      if (found.kind !== 'ruledOut') return;
      seen++;
      const model = blendModel(costing(shelf, 'cost'), wanted, cheapest(rules));
      const inSet = model.rows.filter((r) => r.name === '' || found.between.includes(r.name));
      expect(solve({ ...model, rows: inSet }, solver).kind).toBe('infeasible');
      for (const gone of found.between)
        expect(solve({ ...model, rows: inSet.filter((r) => r.name !== gone) }, solver).kind).toBe('optimal');
      for (const set of found.others)
        expect(
          solve({ ...model, rows: model.rows.filter((r) => r.name === '' || set.includes(r.name)) }, solver).kind,
        ).toBe('infeasible');
      for (const { rule, become, part, amount } of found.changes) {
        const eased = rules.flatMap((r, i) => (i === rule ? (become ?? []) : r));
        const parts = wanted.parts.map((p, i) => (i === part ? { ...p, amount: amount! } : p));
        expect(blend(shelf, { ...wanted, parts }, solver, cheapest(eased)).kind).toBe('recipe');
      }
    }),
    { numRuns: 150 },
  );
  expect(seen).toBeGreaterThan(5);
});

/** The cheapest corner of a model in which no bags are counted: every choice of as many rows that bind as there are bags. */
function cheapestCorner(model: ReturnType<typeof blendModel>): number | undefined {
  const n = model.columns.length;
  const planes = [
    ...model.rows.flatMap((r) => [
      ...(r.low === undefined ? [] : [[...r.coefficients, r.low]]),
      ...(r.high === undefined ? [] : [[...r.coefficients, r.high]]),
    ]),
    ...Array.from({ length: n }, (_, j) => Array.from({ length: n + 1 }, (__, k) => (k === j ? 1 : 0))),
  ];
  let best: number | undefined;
  const choose = (from: number, picked: number[][]): void => {
    if (picked.length === n) {
      const x = solved(picked);
      if (x && meets(model, x, 1e-7)) {
        const cost = model.columns.reduce((s, c, j) => s + c.cost * x[j]!, 0);
        if (best === undefined || cost < best) best = cost;
      }
      return;
    }
    for (let i = from; i < planes.length; i++) choose(i + 1, [...picked, planes[i]!]);
  };
  choose(0, []);
  return best;
}
/** Gauss with pivots; undefined where the planes do not cross in a point. */
function solved(planes: readonly (readonly number[])[]): number[] | undefined {
  const rows = planes.map((p) => [...p]);
  const n = rows.length;
  for (let j = 0; j < n; j++) {
    const at = rows.slice(j).reduce((m, r, i) => (Math.abs(r[j]!) > Math.abs(rows[m]![j]!) ? i + j : m), j);
    if (Math.abs(rows[at]![j]!) < 1e-10) return undefined;
    [rows[j], rows[at]] = [rows[at]!, rows[j]!];
    for (let i = 0; i < n; i++) {
      if (i === j) continue;
      const f = rows[i]![j]! / rows[j]![j]!;
      for (let k = j; k <= n; k++) rows[i]![k]! -= f * rows[j]![k]!;
    }
  }
  return rows.map((r, j) => r[n]! / r[j]!);
}

test('the cheapest is the cheapest of all corners, worked out another way', () => {
  const noCounting = rulesOf(
    anyRule.filter((r) => r.kind !== 'kinds'),
    0,
    2,
  );
  let seen = 0;
  fc.assert(
    fc.property(
      anyShelf.filter((s) => s.length <= 4),
      anyTarget,
      noCounting,
      (shelf, wanted, rules) => {
        const model = blendModel(costing(shelf, 'cost'), wanted, cheapest(rules));
        const outcome = solve(model, solver);
        const corner = cheapestCorner(model);
        if (outcome.kind === 'optimal') {
          seen++;
          expect(corner! / outcome.objective).toBeCloseTo(1, 5);
        } else expect(corner).toBeUndefined();
      },
    ),
    { numRuns: 150 },
  );
  expect(seen).toBeGreaterThan(5);
});
