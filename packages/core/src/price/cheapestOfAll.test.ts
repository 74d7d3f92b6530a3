import fc from 'fast-check';
import loadHighs from 'highs';
import { solve, type LpSolver } from '../solve/index.js';
import { RANKED_NUTRIENTS, type RankedNutrient } from './catalogueFacts.js';
import { cheapestOfAll, reducedCost, type CatalogueColumn, type NutrientPrices } from './cheapestOfAll.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

const product = (
  id: string,
  pricePerKg: number,
  shares: Partial<Record<RankedNutrient, number | [number, number]>>,
): CatalogueColumn => ({
  id,
  name: id,
  pricePerKg,
  fractions: Object.fromEntries(
    Object.entries(shares).map(([n, s]) => [n, Array.isArray(s) ? { low: s[0], high: s[1] } : { low: s, high: s }]),
  ),
});
/** A catalogue that answers with the few best, as the database does. */
const asking =
  (all: readonly CatalogueColumn[], few = 3) =>
  (prices: NutrientPrices) =>
    Promise.resolve(
      [...all]
        .sort((a, b) => reducedCost(a, prices) - reducedCost(b, prices) || a.id.localeCompare(b.id))
        .slice(0, few),
    );

const urea = product('urea', 0.9, { N: 0.46 });
const potash = product('potash', 1.4, { K2O: 0.5, S: 0.18 });
const compound = product('compound', 1.1, { N: 0.12, P2O5: 0.06, K2O: 0.1 });
const meal = product('meal', 1.3, { N: [0.12, 0.14] });

test('10 kg N and 20 kg K2O from urea and potash: 10 ÷ 0.46 × 0.90 + 20 ÷ 0.5 × 1.40 = 75.57', async () => {
  const found = await cheapestOfAll({ atLeast: { N: 10, K2O: 20 } }, solver, asking([meal, compound, urea, potash]));
  expect(found!.cost).toBeCloseTo(75.565, 2);
  expect(found!.parts.map((p) => p.product.id)).toEqual(['potash', 'urea']);
  expect(found!.proven).toBe(true);
  // Another kg of N costs what urea asks for it.
  expect(found!.prices.worth.N).toBeCloseTo(0.9 / 0.46, 6);
});

test('what nothing brings, or only beyond what is allowed, has no recipe', async () => {
  expect(await cheapestOfAll({ atLeast: { Mg: 1 } }, solver, asking([urea, potash]))).toBeUndefined();
  const wanted = { atLeast: { K2O: 10 }, atMost: { S: 1 } };
  expect(await cheapestOfAll(wanted, solver, asking([urea, potash]))).toBeUndefined();
  const found = await cheapestOfAll(wanted, solver, asking([urea, potash, compound]));
  expect(found!.parts.map((p) => p.product.id).sort()).toEqual(['compound', 'potash']);
});

test('a range counts by its low end for at least, and by its high end for at most', async () => {
  const found = await cheapestOfAll({ atLeast: { N: 12 } }, solver, asking([meal]));
  expect(found!.parts[0]!.kg).toBeCloseTo(100, 6);
  expect(await cheapestOfAll({ atLeast: { N: 12 }, atMost: { N: 13.9 } }, solver, asking([meal]))).toBeUndefined();
});

test('it stops where it is told to, and says that it is not proven', async () => {
  const found = await cheapestOfAll({ atLeast: { N: 10 } }, solver, asking([urea, meal], 1), (round) => round < 1);
  expect([found!.rounds, found!.proven]).toEqual([1, false]);
});

const share = fc.double({ min: 0, max: 0.5, noNaN: true }).map((x) => Number(x.toFixed(3)));
const anyCatalogue = fc.array(
  fc.record({ price: fc.double({ min: 0.1, max: 5, noNaN: true }), n: share, p: share, k: share }),
  { minLength: 1, maxLength: 40 },
);

test('asked a few at a time it costs the same as everything at once', async () => {
  await fc.assert(
    fc.asyncProperty(anyCatalogue, fc.integer({ min: 1, max: 5 }), async (rows, few) => {
      const all = rows.map(({ price, n, p, k }, i) => product(`p${i}`, price, { N: n, P2O5: p, K2O: k }));
      const atLeast = { N: 10, P2O5: 5, K2O: 8 };
      const found = await cheapestOfAll({ atLeast, atMost: { K2O: 30 } }, solver, asking(all, few));
      const whole = solve(
        {
          goal: 'least',
          columns: all.map((c) => ({ name: c.id, cost: c.pricePerKg })),
          rows: [
            ...(['N', 'P2O5', 'K2O'] as const).map((n) => ({
              name: n,
              coefficients: all.map((c) => c.fractions[n]!.low),
              low: atLeast[n],
            })),
            { name: 'cap', coefficients: all.map((c) => c.fractions.K2O!.high), high: 30 },
          ],
        },
        solver,
      );
      if (whole.kind !== 'optimal') return expect(found).toBeUndefined();
      expect(found!.proven).toBe(true);
      expect(Math.abs(found!.cost - whole.objective)).toBeLessThanOrEqual(1e-5 * Math.max(1, whole.objective));
      for (const n of RANKED_NUTRIENTS) {
        const brought = found!.parts.reduce((sum, p) => sum + p.kg * (p.product.fractions[n]?.low ?? 0), 0);
        expect(brought).toBeGreaterThanOrEqual(((atLeast as Partial<Record<RankedNutrient, number>>)[n] ?? 0) - 1e-5);
      }
    }),
    { numRuns: 60 },
  );
});
