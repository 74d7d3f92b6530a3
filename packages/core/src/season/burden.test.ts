import { bag, line, priced, wheatStrip } from '../../test/bags.js';
import { programmeCost, type Carriage } from '../price/index.js';
import { organicMatterAdded, programmeCase } from '../release/index.js';
import type { Product } from '../shelf/index.js';
import type { When } from './application.js';
import { productsOf, programmeBurden, saltIndexOf } from './burden.js';
import { bagAs } from './given.js';
import { computeProgramme, type Doing } from './programme.js';

const urea = bag({
  id: 'urea',
  name: 'urea',
  analysis: [line('N', 46), line('N.urea', 46)],
  derivedFrom: ['urea'],
  offers: [priced(25, 'kg', '24.00')],
});
const meal = bag({
  id: 'meal',
  name: 'meal',
  analysis: [line('N', 13)],
  derivedFrom: ['feather meal'],
  offers: [priced(5, 'kg', '12.00'), priced(20, 'kg', '34.00')],
});
const site = { ...wheatStrip, medium: 'mineralSoil' } as const;
const giving = (product: Product, gPerM2: number, when: When): Doing => ({
  application: {
    amount: { kind: 'rate', rate: { amount: gPerM2, unit: 'g', per: { amount: 1, unit: 'm²' } } },
    when,
    where: { kind: 'surface' },
    part: { share: 1 },
  },
  given: bagAs(product),
});
const numbersOf = (...doings: readonly Doing[]) => computeProgramme(doings, { areaM2: 1000 }, site.season, []);
const day = (days: number): When => ({ kind: 'afterPlanting', days });
const twice: When = { kind: 'repeat', from: site.season.from, to: site.season.from, everyDays: 14 };

test('passes are days, not rows; what is carried is every time: 20 g/m² on 1000 m² twice and 40 once is 80 kg', () => {
  const found = programmeBurden(
    numbersOf(giving(urea, 20, day(0)), giving(urea, 20, day(30)), giving(meal, 40, day(0))),
  );
  expect(found.passes).toBe(2);
  expect(found.carried?.value.mid).toBeCloseTo(80, 9);
  expect(programmeBurden(numbersOf())).toEqual({ passes: 0, carried: undefined, salt: undefined, saltUnknown: [] });
  expect(programmeBurden(numbersOf(giving(urea, 20, twice))).carried?.value.mid).toBeCloseTo(20, 9);
});

test('the saltiest dose: 20 g/m² of urea with an index of 75 is 15 g of sodium nitrate’s worth; a declared index goes first', () => {
  expect(saltIndexOf(urea)?.value.mid).toBeCloseTo(75, 0);
  expect(programmeBurden(numbersOf(giving(urea, 20, day(0)), giving(urea, 5, day(9)))).salt?.value.mid).toBeCloseTo(
    (20 * saltIndexOf(urea)!.value.mid) / 100,
    9,
  );
  expect(saltIndexOf({ ...urea, saltIndex: 50 })?.value.mid).toBe(50);
  const unknown = { ...urea, derivedFrom: ['urea', 'moon dust'] };
  expect(saltIndexOf(unknown)).toBeUndefined();
  expect(programmeBurden(numbersOf(giving(unknown, 20, day(0)))).saltUnknown).toEqual(['urea']);
});

test('products in all, and what they cost in whole packages with carriage for each order', () => {
  const inNumbers = numbersOf(giving(urea, 20, day(0)), giving(urea, 10, day(30)), giving(meal, 9, day(0)));
  expect([...productsOf(inNumbers).values()].map((p) => [p.product.name, Number(p.kg.toFixed(6))])).toEqual([
    ['urea', 30],
    ['meal', 9],
  ]);
  const cost = programmeCost(inNumbers, 'EUR', { carriage: { other: { amount: 4 } } });
  // Two bags of urea 48, two small of meal 24, carriage 8; 20 of 50 kg and 1 of 10 kg are left.
  expect(cost.paid).toBeCloseTo(48 + 24 + 8, 9);
  expect(cost.usedUp).toBeCloseTo((48 * 30) / 50 + (24 * 9) / 10 + 8, 9);
  // Both of one seller are one order, and 72 of it are free from 72 on, not from 72.01.
  const oneSeller = numbersOf(
    giving({ ...urea, seller: 'Quernlow' }, 30, day(0)),
    giving({ ...meal, seller: 'Quernlow' }, 9, day(0)),
  );
  const paid = (terms: Carriage): number => programmeCost(oneSeller, 'EUR', { carriage: terms }).paid;
  expect(paid({ other: { amount: 4 } })).toBeCloseTo(72 + 4, 9);
  expect(paid({ other: { amount: 4, freeFrom: 72 } })).toBeCloseTo(72, 9);
  expect(paid({ other: { amount: 4, freeFrom: 72.01 } })).toBeCloseTo(76, 9);
  expect(paid({ other: { amount: 4 }, sellers: { Quernlow: { amount: 9 } } })).toBeCloseTo(81, 9);
  expect(programmeCost(inNumbers, 'USD').unpriced).toEqual(['urea', 'meal']);
});
test('a programme split in two brings the same and costs as much or less', () => {
  const whole = numbersOf(giving(urea, 40, day(0)));
  const split = numbersOf(giving(urea, 15, day(0)), giving(urea, 25, day(40)));
  const nitrogen = (n: typeof whole): number => n.totals.find((t) => t.analyte === 'N')!.figure.value.mid;
  expect(nitrogen(split)).toBeCloseTo(nitrogen(whole), 9);
  expect(programmeCost(split, 'EUR').paid).toBeCloseTo(programmeCost(whole, 'EUR').paid, 9);
});

test('organic matter of 400 kg/ha meal at 13 % N: 52 kg N × C:N 4 ÷ 0.55 is 378 kg/ha; of urea none', () => {
  const found = organicMatterAdded(programmeCase(numbersOf(giving(meal, 40, day(0))), site));
  expect(found?.value.mid).toBeCloseTo((52 * 4) / 0.55, 6);
  expect(organicMatterAdded(programmeCase(numbersOf(giving(urea, 20, day(0))), site))).toBeUndefined();
});
