import fc from 'fast-check';
import loadHighs from 'highs';
import { bag, line, priced } from '../../test/bags.js';
import type { LpSolver } from '../solve/index.js';
import type { Product } from '../shelf/index.js';
import { literal } from '../figure/index.js';
import { costArriving } from './arriving.js';
import { preferencePrices } from './preferences.js';
import { cheapestSupply, pricedShelf, type PricedShelf } from './pricedShelf.js';
import { replacementValue } from './replacement.js';
import { referencePrices, residualCost } from './residual.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

const product = (name: string, price: string, n: number, p = 0, k = 0): Product =>
  bag({
    id: name,
    name,
    analysis: [...(n > 0 ? [line('N', n)] : []), ...(p > 0 ? [line('P', p)] : []), ...(k > 0 ? [line('K', k)] : [])],
    offers: [priced(1, 'kg', price)],
  });
const NPK = ['N', 'P', 'K'] as const;
const urea = product('urea', '0.92', 46);
const bone = product('bone', '1.20', 3, 10);
const potash = product('potash', '0.80', 0, 0, 40);
const compound = product('compound', '1.50', 10, 5, 10);
const shelfOf = (...products: readonly Product[]): PricedShelf => pricedShelf(products, 'EUR', NPK);
const valueOf = (shelf: PricedShelf, name: string) => {
  const found = replacementValue(
    shelf,
    shelf.bags.find((b) => b.product.id === name)!,
    solver,
  );
  if (found.kind !== 'value') throw new Error(found.why);
  return found;
};

test('by hand: 10-5-10 from bone, urea and potash: 0.5 kg bone, (0.1 − 0.015) ÷ 0.46 urea, 0.25 potash cost 0.97, 0.53 less than it asks', () => {
  const found = valueOf(shelfOf(urea, bone, potash, compound), 'compound');
  expect(found.bundle.map((b) => [b.bag.product.name, Number(b.kg.toFixed(4))])).toEqual([
    ['urea', 0.1848],
    ['bone', 0.5],
    ['potash', 0.25],
  ]);
  expect(found.value.value.mid).toBeCloseTo(0.5 * 1.2 + (0.085 / 0.46) * 0.92 + 0.25 * 0.8, 9);
  expect(found.premium.value.mid).toBeCloseTo(1.5 - 0.97, 9);
  // What a kg of N costs is urea's 2.00; of K potash's 2.00; of P what bone asks beyond its N: (1.20 − 0.03 × 2) ÷ 0.10.
  expect(found.prices.N).toBeCloseTo(2, 8);
  expect(found.prices.K).toBeCloseTo(2, 8);
  expect(found.prices.P).toBeCloseTo(11.4, 8);
});

test('what nobody else brings is told and not counted; nothing at all is no value', () => {
  const found = valueOf(shelfOf(urea, potash, compound), 'compound');
  expect(found.notReplaceable).toEqual(['P']);
  expect(found.value.value.mid).toBeCloseTo((0.1 / 0.46) * 0.92 + 0.2, 9);
  const shelf = shelfOf(potash, compound);
  const lone = pricedShelf([potash, product('grit', '0.10', 0)], 'EUR', NPK);
  expect(replacementValue(lone, lone.bags[1]!, solver)).toEqual({ kind: 'none', why: 'bringsNothing' });
  expect(replacementValue(lone, lone.bags[0]!, solver)).toEqual({ kind: 'none', why: 'nobodyElse' });
  expect(valueOf(shelf, 'potash').bundle).toEqual([expect.objectContaining({ kg: expect.closeTo(4, 9) })]);
});

test('a range of what it holds is a range of its value, from the least to the most', () => {
  const vague = { ...compound, id: 'vague', name: 'vague', analysis: [line('N', [8, 10, 12]), line('K', 10)] };
  const found = valueOf(shelfOf(urea, potash, vague), 'vague');
  const { low, mid, high } = found.value.value;
  expect([low, mid, high]).toEqual([0.08, 0.1, 0.12].map((n) => expect.closeTo((n / 0.46) * 0.92 + 0.2, 9)));
  expect(found.premium.value.low).toBeLessThan(found.premium.value.mid);
});

const bags = fc.array(
  fc.record({
    price: fc.integer({ min: 10, max: 500 }),
    n: fc.integer({ min: 0, max: 46 }),
    p: fc.integer({ min: 0, max: 20 }),
    k: fc.integer({ min: 0, max: 40 }),
  }),
  { minLength: 3, maxLength: 7 },
);
const named = (list: readonly { price: number; n: number; p: number; k: number }[]) =>
  list.map(({ price, n, p, k }, i) => product(`b${i}`, (price / 100).toFixed(2), n, p, k));
test('the value is what its nutrients are worth at the dual prices, and no bundle that brings as much is cheaper', () =>
  fc.assert(
    fc.property(
      bags,
      fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { minLength: 7, maxLength: 7 }),
      (list, amounts) => {
        const shelf = shelfOf(...named(list));
        const [first, ...others] = shelf.bags;
        const found = first && replacementValue(shelf, first, solver);
        if (!first || found?.kind !== 'value') return;
        const counted = NPK.filter((n) => !found.notReplaceable.includes(n));
        const dual = counted.reduce((s, n) => s + (found.prices[n] ?? 0) * (first.supply[n]?.value.mid ?? 0), 0);
        expect(Math.abs(dual - found.value.value.mid)).toBeLessThan(1e-7);
        // Any bundle of the others, scaled up until it brings as much of everything, costs as much or more.
        const brings = (n: (typeof NPK)[number]): number =>
          others.reduce((s, b, j) => s + (amounts[j] ?? 0) * (b.supply[n]?.value.mid ?? 0), 0);
        const scale = Math.max(0, ...counted.map((n) => (first.supply[n]?.value.mid ?? 0) / brings(n)));
        if (!Number.isFinite(scale) || Number.isNaN(scale)) return;
        const cost = others.reduce((s, b, j) => s + scale * (amounts[j] ?? 0) * b.price.figure.value.mid, 0);
        expect(found.value.value.mid).toBeLessThanOrEqual(cost + 1e-9);
      },
    ),
    { numRuns: 60 },
  ));

test('scaling every price scales what a supply costs', () =>
  fc.assert(
    fc.property(bags, fc.integer({ min: 2, max: 9 }), (list, times) => {
      const wanted = { N: 5, K: 3 };
      const one = cheapestSupply(shelfOf(...named(list)), wanted, solver);
      const more = cheapestSupply(
        shelfOf(...named(list.map((b) => ({ ...b, price: b.price * times })))),
        wanted,
        solver,
      );
      expect(more.kind).toBe(one.kind);
      if (one.kind === 'supply' && more.kind === 'supply') expect(more.cost / one.cost).toBeCloseTo(times, 7);
    }),
    { numRuns: 40 },
  ));

test('without some bags a supply costs as much or more, and lacks what they alone bring', () => {
  const shelf = shelfOf(urea, bone, potash);
  const all = cheapestSupply(shelf, { N: 10 }, solver);
  const plain = cheapestSupply(shelf, { N: 10 }, solver, { without: (b) => b.product.id === 'urea' });
  expect(all).toMatchObject({ kind: 'supply', cost: expect.closeTo(20, 8) });
  expect(plain).toMatchObject({ kind: 'supply', cost: expect.closeTo((10 / 0.03) * 1.2, 6) });
  expect(cheapestSupply(shelf, { N: 10, K: 2 }, solver, { without: (b) => b.product.id === 'potash' })).toEqual({
    kind: 'lacking',
    nutrients: ['K'],
  });
});

test('residual: 1.50 less 0.05 × 12 P and 0.1 × 2 K leaves 0.70 for 0.1 kg N, 7.00 a kg', () => {
  const references = referencePrices([urea, bone, potash], NPK, 'EUR');
  expect(references.N?.value.mid).toBeCloseTo(2, 9);
  expect(references.P?.value.mid).toBeCloseTo(12, 9);
  const question = { nutrient: 'N', basis: 'element', perUnit: 'kg' } as const;
  const found = residualCost(compound, question, references, 'EUR')!;
  expect(found.figure.value.mid).toBeCloseTo(7, 9);
  expect(found.belowZero).toBe(false);
  expect(residualCost(compound, { ...question, perUnit: 'lb' }, references, 'EUR')!.figure.value.mid).toBeCloseTo(
    7 * 0.45359237,
    9,
  );
  expect(residualCost(urea, question, references, 'EUR')!.figure.value.mid).toBeCloseTo(2, 9);
});
test('residual: where the others alone are worth more it is 0, and says so', () => {
  const cheap = product('cheap', '0.50', 10, 5, 10);
  const found = residualCost(
    cheap,
    { nutrient: 'N', basis: 'element', perUnit: 'kg' },
    referencePrices([urea, bone, potash], NPK, 'EUR'),
    'EUR',
  )!;
  expect(found.figure.value.mid).toBe(0);
  expect(found.belowZero).toBe(true);
  expect(residualCost(potash, { nutrient: 'N', basis: 'element', perUnit: 'kg' }, {}, 'EUR')).toBeUndefined();
});

test('a preference costs what the cheapest supply with it costs more: N from bone alone instead of urea', () => {
  const found = preferencePrices(
    shelfOf(urea, bone, potash),
    { N: 10 },
    [
      { name: 'animal', allowed: ['bone'] },
      { name: 'any', allowed: ['urea', 'bone', 'potash'] },
      { name: 'no nitrogen', allowed: ['potash'] },
    ],
    solver,
  );
  expect(found.rules.map((r) => r.extra)).toEqual([expect.closeTo(400 - 20, 6), 0, undefined]);
  expect(found.rules[2]?.found).toEqual({ kind: 'lacking', nutrients: ['N'] });
});

test('arriving: 1.20 a kg with 3 % N of which 60 % comes is 66.67 a kg N; where none comes there is no number', () => {
  const share = (value: number) => literal('share in time', value, '', 'measured', 'test');
  expect(costArriving(bone, share(0.6), 'EUR')).toMatchObject({
    kind: 'cost',
    figure: { value: { mid: expect.closeTo(1.2 / 0.018, 9) } },
  });
  expect(costArriving(bone, share(0), 'EUR')).toEqual({ kind: 'noneArrives' });
  expect(costArriving(bone, share(-0.2), 'EUR')).toEqual({ kind: 'noneArrives' });
  expect(costArriving(potash, share(0.5), 'EUR')).toEqual({ kind: 'unknown' });
  expect(costArriving(bone, share(0.5), 'USD')).toEqual({ kind: 'unknown' });
});
