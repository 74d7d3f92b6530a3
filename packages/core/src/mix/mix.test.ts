import fc from 'fast-check';
import loadHighs from 'highs';
import { bag, boneMeal, featherMeal, grade, line, potash, priced, straw, urea } from '../../test/bags.js';
import { everyFigure, operandsOf } from '../figure/figure.js';
import { compoundPerElement } from '../nutrient/index.js';
import { midFraction, type Grade, type Product } from '../shelf/index.js';
import { blend } from './blend.js';
import type { Blend } from './found.js';
import { conflictsIn } from './incompatible.js';
import type { LpSolver } from '../solve/index.js';
import { commonestCurrency } from '../price/index.js';
import { mixture, readParts } from './mixture.js';
import { weighOut } from './parts.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

const recipe = (found: Blend): Extract<Blend, { kind: 'recipe' }> => {
  if (found.kind !== 'recipe') throw new Error(`${found.kind}: ${found.message}`);
  return found;
};
const percentOf = (products: readonly { product: Product; kg: number }[], total: number, part: Grade[number]): number =>
  (100 *
    products.reduce((s, c) => s + c.kg * midFraction(c.product, part.nutrient) * compoundPerElement(part.basis), 0)) /
  total;

test('0-0-25 from sulfate of potash: half and half with filler, 0.80 EUR/kg', () => {
  const found = recipe(blend([potash], { kind: 'grade', parts: grade('0-0-25'), tolerance: 0 }, solver));
  expect(found.mixture.components).toEqual([{ product: potash, kg: expect.closeTo(0.5, 6) }]);
  expect(found.fillerKg).toBeCloseTo(0.5, 6);
  expect(found.mixture.costPerKg?.value.mid).toBeCloseTo(0.8, 6);
});

test('the cheaper of two equal materials is taken', () => {
  const dear = { ...urea, id: 'dear', name: 'Dear urea', offers: [priced(25, 'kg', '99.00')] };
  expect(
    recipe(blend([dear, urea], { kind: 'grade', parts: grade('23-0-0'), tolerance: 0 }, solver)).mixture.components.map(
      (c) => c.product.id,
    ),
  ).toEqual(['urea']);
});

test('a product without a price is left out and named', () => {
  const found = recipe(
    blend(
      [urea, { ...urea, id: 'x', name: 'Unpriced', offers: [] }],
      { kind: 'grade', parts: grade('23-0-0'), tolerance: 0 },
      solver,
    ),
  );
  expect(found.leftOut).toEqual(['Unpriced']);
  expect(
    recipe(blend([{ ...urea, offers: [] }], { kind: 'grade', parts: grade('23-0-0'), tolerance: 0 }, solver)).minimised,
  ).toBe('mass');
});

test('a grade that needs more than 100 % is refused with the strongest reachable', () => {
  // 30-0-30 from urea (46 %) and sulfate of potash (50 %): 30/46 + 30/50 = 125.2 % of the bag; the strongest is 30 ÷ 1.2522 = 23.96.
  const found = blend([urea, potash], { kind: 'grade', parts: grade('30-0-30'), tolerance: 0 }, solver);
  expect(found).toMatchObject({ kind: 'tooStrong', needsPercent: expect.closeTo(125.217, 2) });
  expect(found.kind === 'tooStrong' && found.strongestGrade.map((p) => p.amount)).toEqual([
    expect.closeTo(23.96, 2),
    0,
    expect.closeTo(23.96, 2),
  ]);
});

test('a ratio leaves the strength free', () => {
  const found = recipe(blend([urea, potash], { kind: 'ratio', parts: grade('2-0-1'), tolerance: 0 }, solver));
  const [n, k] = grade('2-0-1')
    .filter((p) => p.amount > 0)
    .map((p) => percentOf(found.mixture.components, 1, p));
  expect(n! / k!).toBeCloseTo(2, 6);
  expect(found.fillerKg).toBe(0);
});

test('what nothing contains is said, with the nearest mix', () => {
  const found = blend([urea], { kind: 'grade', parts: grade('10-5-0'), tolerance: 0.05 }, solver);
  expect(found).toMatchObject({ kind: 'unreachable' });
  expect(found.kind === 'unreachable' && found.message).toMatch(/Nothing chosen contains P₂O₅/);
  expect(found.kind === 'unreachable' && found.closest?.components[0]?.product.id).toBe('urea');
});
test('what comes along uninvited is said', () => {
  const found = blend([boneMeal], { kind: 'ratio', parts: grade('0-15-0'), tolerance: 0.05 }, solver);
  expect(found.kind === 'unreachable' && found.message).toMatch(/N comes along/);
});
test('nothing chosen, or a target of zeros, is refused in words', () => {
  expect(blend([], { kind: 'grade', parts: grade('5-5-5'), tolerance: 0 }, solver)).toMatchObject({ kind: 'failed' });
  expect(blend([urea], { kind: 'grade', parts: grade('0-0-0'), tolerance: 0 }, solver)).toMatchObject({
    kind: 'failed',
  });
});

const materials = fc
  .uniqueArray(
    fc.record({
      n: fc.integer({ min: 0, max: 40 }),
      p: fc.integer({ min: 0, max: 30 }),
      k: fc.integer({ min: 0, max: 30 }),
      cents: fc.integer({ min: 10, max: 900 }),
    }),
    { minLength: 2, maxLength: 6, selector: (m) => `${m.n}-${m.p}-${m.k}` },
  )
  .map((all) =>
    all.map((m, i) =>
      bag({
        id: `m${i}`,
        name: `m${i}`,
        analysis: [line('N', m.n), line('P', m.p, 'P2O5'), line('K', m.k, 'K2O')],
        offers: [priced(1, 'kg', (m.cents / 100).toFixed(2))],
      }),
    ),
  );
const target = fc
  .tuple(fc.integer({ min: 0, max: 15 }), fc.integer({ min: 0, max: 15 }), fc.integer({ min: 0, max: 15 }))
  .filter(([n, p, k]) => n + p + k > 0);

test('a recipe meets every constraint it claims; a refusal always says something', () => {
  fc.assert(
    fc.property(materials, target, fc.constantFrom('grade', 'ratio'), (products, [n, p, k], kind) => {
      const parts = grade(`${n}-${p}-${k}`);
      const found = blend(products, { kind, parts, tolerance: 0.1 }, solver);
      if (found.kind !== 'recipe') return expect(found.message.length).toBeGreaterThan(10);
      const mass = found.mixture.components.reduce((s, c) => s + c.kg, 0) + found.fillerKg;
      expect(mass).toBeCloseTo(1, 6);
      const room = 0.1 * Math.max(n, p, k);
      const got = parts.map((part) => percentOf(found.mixture.components, 1, part));
      if (kind === 'grade')
        parts.forEach((part, i) => {
          expect(got[i]).toBeGreaterThanOrEqual(part.amount - 1e-5);
          expect(got[i]).toBeLessThanOrEqual(part.amount + room + 1e-5);
        });
      else {
        // A ratio holds when one strength fits all: amount × s ≤ got ≤ (amount + room) × s.
        const least = Math.max(...parts.map((part, i) => got[i]! / (part.amount + room)));
        const most = Math.min(...parts.map((part, i) => (part.amount > 0 ? got[i]! / part.amount : Infinity)));
        expect(least).toBeLessThanOrEqual(most * (1 + 1e-6));
      }
      expect(found.mixture.components.every((c) => c.kg > 0)).toBe(true);
    }),
    { numRuns: 120 },
  );
});

test('no recipe of two materials beats the solver’s by more than rounding', () => {
  fc.assert(
    fc.property(materials, (products) => {
      const parts = grade('5-0-0');
      const found = blend(products, { kind: 'grade', parts: parts.slice(0, 1), tolerance: 1 }, solver);
      if (found.kind !== 'recipe') return;
      const cheapestAlone = Math.min(
        ...products.map((p) => {
          const n = midFraction(p, 'N');
          const need = 0.05 / n;
          return n > 0 && need <= 1 ? need * Number(p.offers[0]!.price!.amount) : Infinity;
        }),
      );
      expect(found.mixture.costPerKg!.value.mid).toBeLessThanOrEqual(cheapestAlone + 1e-6);
    }),
    { numRuns: 60 },
  );
});

test('the analysis of 4 feather meal, 2 bone meal, 1 potash by weight: N (52 + 6) ÷ 7 = 8.29 %, P2O5 30 ÷ 7, K2O 50 ÷ 7, and the calcium nobody asked for', () => {
  const mix = mixture([
    { product: featherMeal, kg: 4 },
    { product: boneMeal, kg: 2 },
    { product: potash, kg: 1 },
  ]);
  const percent = Object.fromEntries(mix.analysis.map((a) => [a.nutrient, a.percent.value.mid]));
  expect(percent['N']).toBeCloseTo(58 / 7, 9);
  expect(percent['P']).toBeCloseTo(30 / 7, 9);
  expect(percent['K']).toBeCloseTo(50 / 7, 9);
  expect(percent['Ca']).toBeCloseTo(44 / 7, 9);
  expect(mix.analysis.find((a) => a.nutrient === 'Ca')?.silent).toEqual(['Feather meal', 'Sulfate of potash']);
  expect(mix.costPerKg?.value.mid).toBeCloseTo((4 * 1.7 + 2 * 1.8 + 1.6) / 7, 9);
});
test('a component without a price leaves the cost unknown and names it', () => {
  const mix = mixture([
    { product: urea, kg: 1 },
    { product: straw, kg: 1 },
  ]);
  expect([mix.costPerKg, mix.unpriced]).toEqual([undefined, ['Straw']]);
});
test('an empty mix is refused', () =>
  expect(() => mixture([{ product: urea, kg: 0 }])).toThrow(/expected at least one part/));

test('parts by volume weigh their density; without one they are asked for', () => {
  expect(readParts([{ product: boneMeal, parts: 2 }], 'volume')).toEqual({
    kind: 'components',
    components: [{ product: boneMeal, kg: 1.7 }],
  });
  expect(readParts([{ product: straw, parts: 1 }], 'volume')).toEqual({ kind: 'needsDensity', products: ['Straw'] });
  expect(readParts([{ product: straw, parts: 1 }], 'weight')).toEqual({
    kind: 'components',
    components: [{ product: straw, kg: 1 }],
  });
});
test('weigh-out of 10 kg: masses, litres, and the smallest part is 1', () => {
  const lines = weighOut(
    mixture([
      { product: urea, kg: 3 },
      { product: potash, kg: 1 },
    ]),
    10,
  );
  expect(lines.map((l) => [l.kg, l.partsByWeight, l.mass.value.mid, l.percent.value.mid])).toEqual([
    [7.5, 3, 7.5, 75],
    [2.5, 1, 2.5, 25],
  ]);
  expect(lines[0]?.litres).toBeCloseTo(10, 9);
  expect(lines.map((l) => l.partsByVolume)).toEqual([expect.closeTo(10 / (2.5 / 1.15), 9), 1]);
});

test.each([
  ['ammonium sulfate', 'limestone', /ammonia/],
  ['urea', 'wood ash', /ammonia/],
  ['urea', 'ammonium nitrate', /liquid/],
  ['urea', 'superphosphate', /sticky/],
  ['calcium nitrate', 'magnesium sulfate', /gypsum/],
  ['calcium nitrate', 'monoammonium phosphate', /precipitate/],
])('%s with %s is warned of, in either order', (a, b, reason) => {
  const [first, second] = [bag({ name: a, derivedFrom: [a] }), bag({ name: b, derivedFrom: [b] })];
  expect(
    conflictsIn([first, second])
      .map((c) => c.reason)
      .join(),
  ).toMatch(reason);
  expect(conflictsIn([second, first])).toHaveLength(conflictsIn([first, second]).length);
});
test('sound neighbours are left in peace', () => expect(conflictsIn([urea, potash, boneMeal])).toEqual([]));

test.each([
  ['urea', 'calcium ammonium nitrate', /turns wet/, false],
  ['poultry manure', 'hydrated lime', /ammonia out of manure/, false],
  ['superphosphate', 'limestone', /hardly get at/, false],
  ['magnesium sulfate', 'monoammonium phosphate', /struvite/, true],
] as const)('%s with %s: told', (one, other, reason, inSolution) =>
  expect(conflictsIn([bag({ derivedFrom: [one] }), bag({ derivedFrom: [other] })])).toContainEqual(
    expect.objectContaining({ reason: expect.stringMatching(reason), inSolution }),
  ),
);

test('a currency is the commonest of its products, and of two alike the first in the alphabet', () => {
  const inCurrency = (currency: string) => bag({ offers: [priced(1, 'kg', '2', currency)] });
  expect(commonestCurrency([inCurrency('USD'), inCurrency('EUR'), inCurrency('USD')])).toBe('USD');
  expect(commonestCurrency([inCurrency('USD'), inCurrency('EUR')])).toBe('EUR');
  expect(commonestCurrency([bag()])).toBeUndefined();
});
test('a cost is never a sum of two currencies: the part without a price in the common one is named', () => {
  const euro = (name: string) => bag({ id: name, name, offers: [priced(1, 'kg', '2')] });
  const mix = mixture([
    { product: euro('a'), kg: 1 },
    { product: euro('b'), kg: 1 },
    { product: bag({ id: 'c', name: 'c', offers: [priced(1, 'kg', '1', 'USD')] }), kg: 1 },
  ]);
  expect(mix.costPerKg).toBeUndefined();
  expect(mix.unpriced).toEqual(['c']);
});

test('what lacks only a price is told as that: the lightest recipe and whose price is missing, not how full the bag would be', () => {
  const unpriced = { ...potash, offers: [] };
  const found = blend([urea, unpriced], { kind: 'grade', parts: grade('10-0-10'), tolerance: 0.1 }, solver);
  expect(found).toMatchObject({ kind: 'needsPrices', without: ['Sulfate of potash'] });
  expect(found.kind === 'needsPrices' && found.message).toMatch(/Sulfate of potash, which has no price/);
});
test('a grade takes no more than the bag holds: 46 % of urea alone is too strong by a third for 60 % N', () =>
  expect(blend([urea], { kind: 'grade', parts: grade('60-0-0'), tolerance: 0.1 }, solver)).toMatchObject({
    kind: 'tooStrong',
    needsPercent: expect.closeTo((60 / 46) * 100, 6),
  }));
test('a mix counts what rock phosphate makes available, so it cannot fill a grade with its total', () => {
  const rock = bag({
    id: 'rock',
    name: 'Rock',
    analysis: [line('P', 28, 'P2O5')],
    derivedFrom: ['rock phosphate'],
    offers: [priced(25, 'kg', '10')],
  });
  const found = blend([rock], { kind: 'grade', parts: grade('0-10-0'), tolerance: 0.1 }, solver);
  expect(found.kind).toBe('tooStrong');
});

test('what the solver weighed out says so, with what was minimised and what holds it; what a person typed does not', () => {
  const found = recipe(blend([urea, potash], { kind: 'grade', parts: grade('10-0-10'), tolerance: 0.1 }, solver));
  const weights = everyFigure(found.mixture.costPerKg!).filter(
    (f) => f.label.startsWith('weight of') && operandsOf(f).length === 0,
  );
  expect(weights.length).toBeGreaterThan(0);
  for (const { how } of weights)
    expect(how).toMatchObject({
      kind: 'solved',
      solver: 'HiGHS',
      objective: 'least cost',
      binds: ['10 N at its least', '10 K₂O at its least'],
    });
  const typed = mixture([{ product: urea, kg: 1 }]);
  expect(everyFigure(typed.costPerKg!).some((f) => f.how.kind === 'solved')).toBe(false);
});

test('parts and amounts side by side need to know what a part is', () => {
  const meal = { ...featherMeal, densityKgPerL: 0.6 };
  const typed = [
    { product: meal, parts: 4 },
    { product: potash, parts: 300, unit: 'g' },
    { product: meal, parts: 2, unit: 'L' },
  ];
  expect(readParts(typed, 'volume')).toEqual({ kind: 'needsPart' });
  const read = readParts(typed, 'volume', { amount: 250, unit: 'mL' });
  if (read.kind !== 'components') throw new Error(read.kind);
  // 4 × 0.25 L × 0.6 kg/L, 0.3 kg, and 2 L × 0.6 kg/L.
  expect(read.components.map((c) => c.kg)).toEqual([
    expect.closeTo(0.6, 12),
    expect.closeTo(0.3, 12),
    expect.closeTo(1.2, 12),
  ]);
  // Amounts alone need no part; one of them by volume without a density does need that.
  expect(readParts([{ product: { ...potash, densityKgPerL: undefined }, parts: 1, unit: 'L' }], 'weight')).toEqual({
    kind: 'needsDensity',
    products: [potash.name],
  });
});
