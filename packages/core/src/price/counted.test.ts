import { bag, line, priced } from '../../test/bags.js';
import { assumptionsIn, unitProblems, workingLines } from '../figure/index.js';
import { asCounted, handlingCost, handlingPerKg, type Counting } from './counted.js';
import { currentOffers } from './currentOffers.js';
import { pricePerKg } from './pricePerKg.js';
import { rankByCost } from './rank.js';

const HOUR = { amount: 15, currency: 'EUR' };
const counting: Counting = { hour: HOUR, rates: [{ from: 'USD', to: 'EUR', rate: 0.9, on: '2026-03-01' }] };
const nitrogen = { nutrient: 'N', basis: 'element', perUnit: 'kg' } as const;
const meal = bag({ id: 'meal', name: 'meal', analysis: [line('N', 10)], offers: [priced(20, 'kg', '30.00')] });
const free = bag({
  id: 'free',
  name: 'free chips',
  analysis: [line('N', 1)],
  offers: [priced(1000, 'kg', '0')],
  handling: { hoursPer100Kg: 0.5, haulagePer100Kg: 1.2 },
});
const abroad = bag({
  id: 'abroad',
  name: 'abroad',
  analysis: [line('N', 10)],
  offers: [{ ...priced(20, 'kg', '30.00'), price: { amount: '30.00', currency: 'USD' } }],
});

test('a free bag costs its handling: half an hour at 15 and 1.20 for 100 kg is 0.087 a kg', () => {
  expect(handlingPerKg(free, HOUR, 'EUR')?.value.mid).toBeCloseTo(0.5 * 0.15 + 0.012, 12);
  expect(pricePerKg(asCounted(free, counting, true), 'EUR')?.figure.value.mid).toBeCloseTo(0.087, 9);
  expect(handlingCost(free, 500, HOUR, 'EUR')?.value.mid).toBeCloseTo(43.5, 9);
  const ranked = rankByCost([asCounted(meal, counting, true), asCounted(free, counting, true)], nitrogen);
  expect(ranked.byCurrency['EUR']?.rows().map((r) => [r.product.id, r.value.mid])).toEqual([
    ['free', expect.closeTo(8.7, 6)],
    ['meal', expect.closeTo(15, 6)],
  ]);
});

test('what nobody said of its handling is not known; hours without a rate, or in other money, are not counted', () => {
  expect(handlingPerKg(meal, HOUR, 'EUR')).toBeUndefined();
  expect(asCounted(meal, counting, true)).toBe(meal);
  expect(handlingPerKg(free, undefined, 'EUR')?.value.mid).toBeCloseTo(0.012, 12);
  expect(handlingPerKg(free, { amount: 15, currency: 'USD' }, 'EUR')?.value.mid).toBeCloseTo(0.012, 12);
  expect(asCounted(free, { rates: [] }, true)).toBe(free);
  expect(asCounted(free, counting, false)).toBe(free);
});

test('other money is ranked with the rest at a typed rate only, and the working names the rate and its day', () => {
  const separate = rankByCost([meal, abroad], nitrogen);
  expect(Object.keys(separate.byCurrency).sort()).toEqual(['EUR', 'USD']);
  const together = rankByCost([meal, asCounted(abroad, counting, true)], nitrogen);
  expect(Object.keys(together.byCurrency)).toEqual(['EUR']);
  expect(together.byCurrency['EUR']?.rows()[0]).toMatchObject({ product: { id: 'abroad' }, value: { mid: 13.5 } });
  const figure = pricePerKg(asCounted(abroad, counting, true), 'EUR')!.figure;
  expect(figure.value.mid).toBeCloseTo(1.35, 12);
  const words = workingLines(figure).map((l) => `${l.label} ${l.note ?? ''}`);
  expect(words.some((w) => /USD in EUR/.test(w) && /typed for 1 Mar 2026/.test(w))).toBe(true);
  expect([unitProblems(figure), assumptionsIn(figure)]).toEqual([[], []]);
});

test('the newest price of a size still counts, in each money', () => {
  const counted = asCounted({ ...abroad, offers: [...abroad.offers, ...meal.offers] }, counting, true);
  expect(currentOffers(counted).map((o) => o.price?.currency)).toEqual(['EUR']);
});
