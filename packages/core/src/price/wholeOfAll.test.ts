import fc from 'fast-check';
import loadHighs from 'highs';
import { asking, cheapest, compound, listed, packed, potash, urea } from '../../test/catalogue.js';
import { unitProblems, workingLines } from '../figure/index.js';
import { solve, type LpSolver } from '../solve/index.js';
import { cheapestOfAll, type CatalogueColumn } from './cheapestOfAll.js';
import { costOfAll } from './ofAllFigures.js';
import { wholeOfAll, type CataloguePackage, type MoreOfAll } from './wholeOfAll.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

const share = fc.double({ min: 0, max: 0.5, noNaN: true }).map((x) => Number(x.toFixed(3)));
const bag = (of: CatalogueColumn, kg: number): CataloguePackage => ({ product: of, kg, price: of.pricePerKg * kg });

describe('whole packages', () => {
  const wanted = { atLeast: { N: 10, K2O: 20 } };
  test('21.7 kg of urea and 40 kg of potash are one bag of 25 and two of 25: 0.9 × 25 + 2 × 1.4 × 25 = 92.50', async () => {
    const linear = cheapest(await cheapestOfAll(wanted, solver, asking([urea, potash, compound])));
    const found = await wholeOfAll(
      wanted,
      linear,
      { packages: true },
      solver,
      packed([bag(urea, 25), bag(potash, 25), bag(compound, 25)]),
    );
    expect(found!.cost).toBeCloseTo(92.5, 6);
    expect(found!.parts.map((p) => [p.product.id, p.bought])).toEqual([
      ['potash', [{ kg: 25, price: 35, count: 2 }]],
      ['urea', [{ kg: 25, price: 22.5, count: 1 }]],
    ]);
    expect([found!.proven, found!.bound]).toEqual([true, found!.cost]);
  });

  const anyBags = fc.array(
    fc.record({
      price: fc.double({ min: 0.1, max: 5, noNaN: true }),
      n: share,
      k: share,
      sizes: fc.uniqueArray(fc.constantFrom(1, 5, 10, 25), { minLength: 1, maxLength: 2 }),
    }),
    { minLength: 2, maxLength: 12 },
  );
  test('they cost the same as all packages solved at once; where a part is asked, no less than the bound', async () => {
    await fc.assert(
      fc.asyncProperty(anyBags, fc.integer({ min: 3, max: 30 }), fc.boolean(), async (rows, few, capped) => {
        const all = rows.map(({ price, n, k }, i) => listed(`p${i}`, price, { N: n, K2O: k }));
        const packages = all.flatMap((p, i) =>
          rows[i]!.sizes.map((kg, nth) => ({ product: p, kg, price: p.pricePerKg * kg * (1 + nth / 10) })),
        );
        const question = { atLeast: { N: 3, K2O: 2 }, ...(capped ? { atMost: { K2O: 4 } } : {}) };
        const linear = await cheapestOfAll(question, solver, asking(all));
        if (linear.kind === 'none') return;
        const whole = solve(
          {
            goal: 'least',
            columns: [
              ...all.map((p) => ({ name: p.id, cost: 0 })),
              ...packages.map((p) => ({ name: '', cost: p.price, integer: true })),
            ],
            rows: [
              ...(['N', 'K2O'] as const).map((n) => ({
                name: n,
                coefficients: [...all.map((p) => p.fractions[n]!.low), ...packages.map(() => 0)],
                low: question.atLeast[n],
                ...(capped && n === 'K2O' ? { high: 4 } : {}),
              })),
              ...all.map((p, j) => ({
                name: '',
                coefficients: [
                  ...all.map((_, i) => (i === j ? 1 : 0)),
                  ...packages.map((of) => (of.product === p ? -of.kg : 0)),
                ],
                high: 0,
              })),
            ],
          },
          solver,
        );
        if (whole.kind !== 'optimal') throw new Error(whole.kind);
        const rules = { packages: true };
        const found = await wholeOfAll(question, linear, rules, solver, packed(packages));
        expect(found!.cost).toBeCloseTo(whole.objective, 4);
        expect(found!.proven).toBe(true);
        for (const n of ['N', 'K2O'] as const) {
          const brought = found!.parts.reduce((sum, p) => sum + p.kg * p.product.fractions[n]!.low, 0);
          expect(brought).toBeGreaterThanOrEqual(question.atLeast[n] - 1e-5);
          if (capped && n === 'K2O') expect(brought).toBeLessThanOrEqual(4 + 1e-5);
        }
        const some = await wholeOfAll(question, linear, rules, solver, packed(packages, few));
        if (!some) return;
        expect(some.cost).toBeGreaterThanOrEqual(whole.objective - 1e-4);
        expect(some.bound).toBeGreaterThanOrEqual(linear.cost - 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  test('stopped by its time a look at more packages proves nothing, however good the first was', async () => {
    const many = Array.from({ length: 90 }, (_, i) => listed(`m${i}`, 1 + i / 2000, { N: 0.3 }));
    const question = { atLeast: { N: 1 } };
    const linear = cheapest(await cheapestOfAll(question, solver, asking(many, 30)));
    let solved = 0;
    const impatient: LpSolver = {
      solve: (problem, options) => {
        const found = solver.solve(problem, options);
        if (!problem.includes('General')) return found;
        solved += 1;
        return solved === 1 ? found : { ...found, Status: 'Time limit reached' };
      },
    };
    const packages = many.map((p, i) => ({ product: p, kg: 4 + (i % 3), price: p.pricePerKg * (4 + (i % 3)) }));
    const found = await wholeOfAll(question, linear, { packages: true }, impatient, packed(packages));
    expect(solved).toBe(2);
    expect([found!.proven, found!.bound]).toEqual([false, linear.cost]);
    expect(found!.cost).toBeGreaterThan(linear.cost);
  });

  test('two products at most cost the same as the best of every two', async () => {
    await fc.assert(
      fc.asyncProperty(anyBags, async (rows) => {
        const all = rows.slice(0, 6).map(({ price, n, k }, i) => listed(`p${i}`, price, { N: n, K2O: k }));
        const packages = all.flatMap((p, i) => rows[i]!.sizes.map((kg) => bag(p, kg)));
        const question = { atLeast: { N: 3, K2O: 2 } };
        const linear = await cheapestOfAll(question, solver, asking(all));
        if (linear.kind === 'none') return;
        const found = await wholeOfAll(question, linear, { packages: true, kinds: 2 }, solver, packed(packages));
        let least = Infinity;
        for (const a of all)
          for (const b of all) {
            const two = await cheapestOfAll(question, solver, asking([a, b]));
            if (two.kind === 'none') continue;
            const some = packed(packages.filter((p) => p.product === a || p.product === b));
            const best = await wholeOfAll(question, two, { packages: true }, solver, some);
            least = Math.min(least, best?.cost ?? Infinity);
          }
        expect(found?.cost ?? Infinity).toBeCloseTo(least, 4);
      }),
      { numRuns: 15 },
    );
  });

  test('what is left out by its price cannot be in a cheaper recipe: of hundreds of bags the best is proven', async () => {
    const many = Array.from({ length: 400 }, (_, i) =>
      listed(`m${i}`, 0.5 + ((i * 7919) % 400) / 100, { N: 0.05 + ((i * 31) % 40) / 100 }),
    );
    const question = { atLeast: { N: 7 } };
    const linear = cheapest(await cheapestOfAll(question, solver, asking(many, 30)));
    const packages = many.map((p, i) => bag(p, [1, 5, 10, 25][i % 4]!));
    let asked = 0;
    const counted: MoreOfAll = {
      ...packed(packages),
      packages: (prices, most, within) => {
        asked += 1;
        return packed(packages).packages(prices, most, within);
      },
    };
    const found = await wholeOfAll(question, linear, { packages: true }, solver, counted);
    expect(found!.proven).toBe(true);
    expect(asked).toBeLessThanOrEqual(2);
    expect(found!.cost).toBeGreaterThanOrEqual(linear.cost);
    const brought = found!.parts.reduce((sum, p) => sum + p.kg * p.product.fractions.N!.low, 0);
    expect(brought).toBeGreaterThanOrEqual(7 - 1e-6);
  });
});

test('the cost of a recipe opens to its parts: 2 × 35 + 22.50, or kg at the price of a kg', () => {
  const parts = [
    { product: potash, kg: 40, bought: [{ kg: 25, price: 35, count: 2 }] },
    { product: urea, kg: 21.7, bought: [{ kg: 25, price: 22.5, count: 1 }] },
  ];
  const figure = costOfAll(parts, 'EUR');
  expect(figure.value.mid).toBeCloseTo(92.5, 9);
  expect(unitProblems(figure)).toEqual([]);
  expect(workingLines(figure).map((l) => l.label)).toContain('price of 25 kg of potash');
  const byTheKg = costOfAll([{ product: urea, kg: 10 }], 'EUR');
  expect(byTheKg.value.mid).toBeCloseTo(9, 9);
  expect(unitProblems(byTheKg)).toEqual([]);
  const both = [{ product: urea, kg: 30, bought: [...parts[1]!.bought, { kg: 5, price: 6, count: 2 }] }];
  expect(costOfAll(both, 'EUR').value.mid).toBeCloseTo(34.5, 9);
});

describe('few products', () => {
  const wanted = { atLeast: { N: 12, P2O5: 6, K2O: 10 } };
  const rock = listed('rock', 0.7, { P2O5: 0.28 });
  const all = [urea, potash, compound, rock];
  const linear = async () => cheapest(await cheapestOfAll(wanted, solver, asking(all)));
  const withAlone: MoreOfAll = { ...packed([]), alone: () => Promise.resolve([compound]) };

  test('one product brings all: 100 kg of the compound for 110, beside the bound of many', async () => {
    const few = await wholeOfAll(wanted, await linear(), { packages: false, kinds: 1 }, solver, withAlone);
    expect(few!.parts.map((p) => p.product.id)).toEqual(['compound']);
    expect(few!.cost).toBeCloseTo(110, 6);
    expect(few!.bound).toBeCloseTo((await linear()).cost, 6);
    expect(few!.proven).toBe(false);
  });
  test('as many as the cheapest has are proven, and none at all brings nothing', async () => {
    const enough = await wholeOfAll(wanted, await linear(), { packages: false, kinds: 3 }, solver, withAlone);
    expect(enough!.proven).toBe(true);
    const none = await wholeOfAll(wanted, await linear(), { packages: false, kinds: 0 }, solver, withAlone);
    expect(none).toBeUndefined();
  });
  test('few products in whole packages: two at most', async () => {
    const found = await wholeOfAll(
      wanted,
      await linear(),
      { packages: true, kinds: 2 },
      solver,
      packed(all.map((p) => bag(p, 10))),
    );
    expect(found!.parts.length).toBeLessThanOrEqual(2);
    expect(found!.proven).toBe(true);
    const each = await wholeOfAll(
      wanted,
      await linear(),
      { packages: true },
      solver,
      packed(all.map((p) => bag(p, 10))),
    );
    expect(each!.cost).toBeLessThanOrEqual(found!.cost + 1e-9);
  });
});
