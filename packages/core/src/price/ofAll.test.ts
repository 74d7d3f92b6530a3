import fc from 'fast-check';
import loadHighs from 'highs';
import { asking, cheapest, compound, listed, meal, potash, urea } from '../../test/catalogue.js';
import { workingLines } from '../figure/index.js';
import { solve, type LpSolver } from '../solve/index.js';
import { RANKED_NUTRIENTS, type RankedNutrient } from './catalogueFacts.js';
import { cheapestOfAll, type CatalogueColumn, type HeldEnd } from './cheapestOfAll.js';
import { replacementOfAll } from './replacementOfAll.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

test('10 kg N and 20 kg K2O from urea and potash: 10 ÷ 0.46 × 0.90 + 20 ÷ 0.5 × 1.40 = 75.57', async () => {
  const found = cheapest(
    await cheapestOfAll({ atLeast: { N: 10, K2O: 20 } }, solver, asking([meal, compound, urea, potash])),
  );
  expect(found.cost).toBeCloseTo(75.565, 2);
  expect(found.parts.map((p) => p.product.id)).toEqual(['potash', 'urea']);
  expect(found.proven).toBe(true);
  // Another kg of N costs what urea asks for it.
  expect(found.prices.worth.N).toBeCloseTo(0.9 / 0.46, 6);
});

test('what nothing brings, or only beyond what is allowed, has no recipe', async () => {
  expect(await cheapestOfAll({ atLeast: { N: 5, Mg: 1 } }, solver, asking([urea, potash]))).toEqual({
    kind: 'none',
    missing: ['Mg'],
  });
  const wanted = { atLeast: { K2O: 10 }, atMost: { S: 1 } };
  expect((await cheapestOfAll(wanted, solver, asking([urea, potash]))).kind).toBe('none');
  const found = cheapest(await cheapestOfAll(wanted, solver, asking([urea, potash, compound])));
  expect(found.parts.map((p) => p.product.id).sort()).toEqual(['compound', 'potash']);
});

test('a range counts by its low end for at least, and by its high end for at most', async () => {
  const kgOf = async (held?: HeldEnd) =>
    cheapest(await cheapestOfAll({ atLeast: { N: 12 }, ...(held ? { held } : {}) }, solver, asking([meal]))).parts[0]!
      .kg;
  expect(await kgOf()).toBeCloseTo(100, 6);
  expect(await kgOf('mid')).toBeCloseTo(12 / 0.13, 6);
  expect(await kgOf('high')).toBeCloseTo(12 / 0.14, 6);
  const bounded = { atLeast: { N: 12 }, atMost: { N: 13.9 } };
  expect((await cheapestOfAll(bounded, solver, asking([meal]))).kind).toBe('none');
  expect((await cheapestOfAll({ ...bounded, held: 'mid' }, solver, asking([meal]))).kind).toBe('found');
});

test('it stops where it is told to, and says that it is not proven', async () => {
  const found = cheapest(
    await cheapestOfAll({ atLeast: { N: 10 } }, solver, asking([urea, meal], 1), (round) => round < 1),
  );
  expect([found.rounds, found.proven]).toEqual([1, false]);
});

const share = fc.double({ min: 0, max: 0.5, noNaN: true }).map((x) => Number(x.toFixed(3)));
const anyCatalogue = fc.array(
  fc.record({ price: fc.double({ min: 0.1, max: 5, noNaN: true }), n: share, p: share, k: share }),
  { minLength: 1, maxLength: 40 },
);

test('asked a few at a time it costs the same as everything at once', async () => {
  await fc.assert(
    fc.asyncProperty(anyCatalogue, fc.integer({ min: 1, max: 5 }), async (rows, few) => {
      const all = rows.map(({ price, n, p, k }, i) => listed(`p${i}`, price, { N: n, P2O5: p, K2O: k }));
      const atLeast = { N: 10, P2O5: 5, K2O: 8 };
      const answer = await cheapestOfAll({ atLeast, atMost: { K2O: 30 } }, solver, asking(all, few));
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
      if (whole.kind !== 'optimal') return expect(answer.kind).toBe('none');
      const found = cheapest(answer);
      expect(found.proven).toBe(true);
      expect(Math.abs(found.cost - whole.objective)).toBeLessThanOrEqual(1e-5 * Math.max(1, whole.objective));
      for (const n of RANKED_NUTRIENTS) {
        const brought = found.parts.reduce((sum, p) => sum + p.kg * (p.product.fractions[n]?.low ?? 0), 0);
        expect(brought).toBeGreaterThanOrEqual(((atLeast as Partial<Record<RankedNutrient, number>>)[n] ?? 0) - 1e-5);
      }
    }),
    { numRuns: 60 },
  );
});

describe('replacement value', () => {
  const ask = (all: readonly CatalogueColumn[]) => asking(all, 4);
  test('a kg of compound by urea, rock and potash: 0.12 ÷ 0.46 × 0.9 + 0.06 ÷ 0.28 × 0.7 + 0.1 ÷ 0.5 × 1.4 = 0.665', async () => {
    const rock = listed('rock', 0.7, { P2O5: 0.28 });
    const all = [compound, urea, potash, rock];
    const found = await replacementOfAll(compound, 'EUR', ['N', 'P2O5', 'K2O'], solver, ask(all));
    if (found.kind !== 'value') throw new Error(found.why);
    expect(found.value.value.mid).toBeCloseTo(0.66478, 4);
    expect(found.premium.value.mid).toBeCloseTo(1.1 - 0.66478, 4);
    expect(found.bundle.map((p) => p.product.id).sort()).toEqual(['potash', 'rock', 'urea']);
    expect(workingLines(found.value).length).toBeGreaterThan(2);
    const noPhosphate = await replacementOfAll(
      compound,
      'EUR',
      ['N', 'P2O5', 'K2O'],
      solver,
      ask([compound, urea, potash]),
    );
    if (noPhosphate.kind !== 'value') throw new Error(noPhosphate.why);
    expect(noPhosphate.notReplaceable).toEqual(['P2O5']);
    expect(noPhosphate.value.value.mid).toBeCloseTo((0.12 / 0.46) * 0.9 + (0.1 / 0.5) * 1.4, 5);
  });
  test('between two ends it is a range: 12 to 14 % N by urea at 0.90', async () => {
    const found = await replacementOfAll(meal, 'EUR', ['N'], solver, ask([meal, urea]));
    if (found.kind !== 'value') throw new Error(found.why);
    const { low, mid, high } = found.value.value;
    expect([low, mid, high].map((x) => Number(x.toFixed(4)))).toEqual(
      [0.12, 0.13, 0.14].map((x) => Number(((x / 0.46) * 0.9).toFixed(4))),
    );
  });
  test('a bag is not replaced by its own entry in a list, but by the same name of another seller', async () => {
    const entry = (id: string, seller: string, price: number) => ({
      ...listed(id, price, { N: 0.46 }),
      name: 'Urea',
      seller,
    });
    const bag = { ...listed('bag', 0.9, { N: 0.46 }), name: 'urea ', sellers: ['Brindle', ''] };
    const [own, unsigned, others] = [entry('1', 'brindle', 0.5), entry('2', '', 0.6), entry('3', 'Quill', 0.8)];
    const found = await replacementOfAll(bag, 'EUR', ['N'], solver, ask([own, unsigned, others]));
    if (found.kind !== 'value') throw new Error(found.why);
    expect(found.bundle.map((p) => p.product.id)).toEqual(['3']);
    expect(await replacementOfAll(bag, 'EUR', ['N'], solver, ask([own, unsigned]))).toMatchObject({
      why: 'nobodyElse',
    });
  });
  test('what brings nothing that counts, or is alone, has none', async () => {
    expect(await replacementOfAll(urea, 'EUR', ['K2O'], solver, ask([urea, potash]))).toEqual({
      kind: 'none',
      why: 'bringsNothing',
    });
    expect(await replacementOfAll(urea, 'EUR', ['N'], solver, ask([urea, potash]))).toEqual({
      kind: 'none',
      why: 'nobodyElse',
    });
  });
});
