import fc from 'fast-check';
import { bag, featherMeal, line, seasonOf } from '../../test/bags.js';
import { unitProblems } from '../figure/index.js';
import { money } from '../quantity/index.js';
import { bagAs, computeProgramme, libraryCrop } from '../season/index.js';
import type { Product } from '../shelf/index.js';
import { balance, buildUp, yearlyBalances } from './balance.js';
import { loggedCost, materialCost } from './cost.js';
import { againstLimits } from './limits.js';
import { metalMeter } from './metals.js';
import { waterBrings } from './waterBrings.js';
import { standing, type LogEntry } from './went.js';

const wheat = libraryCrop('wheat')!;
const entry = (product: Product | undefined, kg: number, given: Partial<LogEntry> = {}): LogEntry => ({
  id: given.id ?? 'e',
  on: '2026-04-01',
  what: 'x',
  areaM2: 900,
  items: product ? [{ product, amount: kg, unit: 'kg' }] : [],
  ...given,
});
const bone = bag({
  id: 'bone',
  name: 'Bone meal',
  analysis: [line('N', 4), line('P', 20, 'P2O5'), line('Cd', 2, 'element', 'mg/kg')],
});

test('45 kg of 13 % N on 900 m² are 65 kg/ha; 200 kg of wheat take their content off again', () => {
  const { rows, without } = balance([entry(featherMeal, 45)], [{ on: '2026-08-01', kg: 200, crop: wheat }], 900);
  const nitrogen = rows.find((r) => r.nutrient === 'N')!;
  expect(nitrogen.brought!.value.mid).toBeCloseTo(65, 9);
  expect(nitrogen.taken!.value.mid).toBeCloseTo((wheat.removedKgPerT.N!.mid * 0.2) / 0.09, 9);
  expect(nitrogen.left!.value.mid).toBeCloseTo(nitrogen.brought!.value.mid - nitrogen.taken!.value.mid, 9);
  for (const figure of [nitrogen.brought!, nitrogen.taken!, nitrogen.left!]) expect(unitProblems(figure)).toEqual([]);
  // Feather meal says nothing of phosphorus: that is told, and is not nothing.
  expect(rows.find((r) => r.nutrient === 'P')!.brought).toBeUndefined();
  expect(without).toEqual(['Feather meal']);
});

test('a salt that cannot hold an element brings none of it, which is known', () => {
  const potash = bag({ id: 'k', name: 'Potash', analysis: [line('K', 50, 'K2O')], derivedFrom: ['potassium sulfate'] });
  const { rows, without } = balance([entry(potash, 9)], [{ on: '2026-08-01', kg: 200, crop: wheat }], 900);
  expect(without).toEqual([]);
  expect(rows[0]!.left!.value.mid).toBeCloseTo(-rows[0]!.taken!.value.mid, 9);
});

test('half of the plot gets half: the balance is over all of it', () => {
  const { rows } = balance([entry(featherMeal, 22.5, { areaM2: 450 })], [], 900);
  expect(rows[0]!.brought!.value.mid).toBeCloseTo(32.5, 9);
});

test('a corrected entry gives way to what corrects it, and that to the next', () => {
  const chain = [
    entry(featherMeal, 45, { id: 'a' }),
    entry(featherMeal, 30, { id: 'b', corrects: 'a' }),
    entry(featherMeal, 9, { id: 'c', corrects: 'b' }),
  ];
  expect(standing(chain).map((e) => e.id)).toEqual(['c']);
  expect(balance(chain, [], 900).rows[0]!.brought!.value.mid).toBeCloseTo(13, 9);
});

test('what is brought is the log times its content, whatever was logged', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.01, max: 500, noNaN: true }), { minLength: 1, maxLength: 20 }), (kgs) => {
      const entries = kgs.map((kg, i) => entry(featherMeal, kg, { id: `${i}` }));
      const all = kgs.reduce((a, b) => a + b, 0);
      expect(balance(entries, [], 900).rows[0]!.brought!.value.mid).toBeCloseTo((all * 0.13) / 0.09, 6);
    }),
  );
});

test('years add up to a build-up of phosphorus', () => {
  const years = yearlyBalances(
    [entry(bone, 9, { id: 'a', on: '2024-04-01' }), entry(bone, 9, { id: 'b', on: '2026-04-01' })],
    [{ on: '2025-08-01', kg: 100, crop: wheat }],
    900,
  );
  expect(years.map((y) => y.year)).toEqual([2024, 2025, 2026]);
  const p = (9 * 0.2) / 2.2914 / 0.09;
  const built = buildUp(years, 'P');
  expect(built[0]!.kgPerHa).toBeCloseTo(p, 2);
  // A year with a harvest and nothing brought takes off; what is left is not known only where neither is.
  expect(built[1]!.kgPerHa).toBeLessThan(built[0]!.kgPerHa);
  expect(built[2]!.kgPerHa).toBeCloseTo(built[1]!.kgPerHa + p, 2);
});

test('metals: 9 kg of 2 mg/kg cadmium on 900 m² are 0.2 g/ha; silence is unknown; years to the limit', () => {
  const { loads, silent } = metalMeter([entry(bone, 9), entry(featherMeal, 9, { id: 'f' })], 900, {
    Cd: { mgPerKg: 0.3, limitMgPerKg: 1 },
  });
  expect(loads).toHaveLength(1);
  expect(loads[0]!.metal).toBe('Cd');
  expect(loads[0]!.perHa.value.mid).toBeCloseTo(0.2, 9);
  expect(loads[0]!.yearsToLimit!.value.mid).toBeCloseTo((0.7 * 1.95e6) / 1000 / 0.2, 6);
  expect(silent).toEqual(['Feather meal']);
  expect(metalMeter([entry(bone, 9)], 900).loads[0]!.yearsToLimit).toBeUndefined();
  const yearsOf = (mgPerKg: number, ...topsoil: Parameters<typeof metalMeter>[3][]) =>
    metalMeter([entry(bone, 9)], 900, { Cd: { mgPerKg, limitMgPerKg: 1 } }, ...topsoil).loads[0]!.yearsToLimit!.value;
  // At the limit or past it no years are left; half the soil is full in half the time.
  expect([yearsOf(1).mid, yearsOf(1.2).mid, yearsOf(0.999).mid > 0]).toEqual([0, 0, true]);
  expect(yearsOf(0.3, { low: 0.5e6, mid: 0.975e6, high: 1.95e6 })).toEqual({
    low: expect.closeTo((0.7 * 0.5e6) / 200, 6),
    mid: expect.closeTo((0.7 * 0.975e6) / 200, 6),
    high: expect.closeTo((0.7 * 1.95e6) / 200, 6),
  });
  expect(yearsOf(0.3).high).toBeLessThanOrEqual(10_000);
});

test('a limit is passed by what is done, or once what is planned is done too', () => {
  const [planned] = computeProgramme(
    [
      {
        application: {
          amount: { kind: 'rate', rate: { amount: 50, unit: 'g', per: { amount: 1, unit: 'm²' } } },
          when: { kind: 'date', on: '2026-05-01' },
          where: { kind: 'surface' },
          part: { share: 0.5 },
        },
        given: bagAs(featherMeal),
      },
    ],
    { areaM2: 900 },
    seasonOf('wheat', '2026-03-15'),
    [],
  ).rows.flatMap((r) => (r.applied.kind === 'applied' ? [r.applied] : []));
  const use = (kgPerHa: number) =>
    againstLimits([entry(featherMeal, 45)], [planned!], 900, [{ analyte: 'N', kgPerHa }])[0]!;
  // 65 kg/ha are done, and half of 65 are planned.
  expect(use(60)).toMatchObject({ over: 'done' });
  expect(use(80)).toMatchObject({ over: 'planned', withPlan: { value: { mid: expect.closeTo(97.5, 9) } } });
  expect(use(170).over).toBe('no');
  expect(unitProblems(use(170).withPlan!)).toEqual([]);
  expect(againstLimits([], [], 900, [{ analyte: 'N', kgPerHa: 170 }])[0]).toMatchObject({
    done: undefined,
    over: 'no',
  });
});

test('material costs what its kilograms do, each bag by its own price; one without a price is named', () => {
  const feather = {
    ...featherMeal,
    offers: [{ size: 20, unit: 'kg', price: money('34.00', 'EUR'), seenOn: undefined }],
  };
  const { figure, unpriced } = materialCost([entry(feather, 45), entry(bone, 9, { id: 'b' })], 'EUR');
  expect(figure!.value.mid).toBeCloseTo(45 * 1.7, 9);
  expect(unitProblems(figure!)).toEqual([]);
  expect(unpriced).toEqual(['Bone meal']);
  expect(materialCost([], 'EUR')).toEqual({ figure: undefined, unpriced: [] });
});

test('120 mm of water with 8 mg of nitrate N in a litre bring 9.6 kg/ha on top of what went on', () => {
  const water = waterBrings({ N: 8, Ca: 60 }, { irrigationMm: Array.from({ length: 12 }, () => 10) });
  expect(water.N!.value.mid).toBeCloseTo(9.6, 9);
  expect(unitProblems(water.N!)).toEqual([]);
  const { rows } = balance([entry(featherMeal, 45)], [], 900, water);
  expect(rows[0]!.brought!.value.mid).toBeCloseTo(65 + 9.6, 9);
  expect(unitProblems(rows[0]!.brought!)).toEqual([]);
  // Calcium comes with the water alone.
  expect(rows.find((r) => r.nutrient === 'Ca')!.brought!.value.mid).toBeCloseTo(72, 9);
  expect(waterBrings({ N: 8 }, undefined)).toEqual({});
  expect(waterBrings({}, { irrigationMm: [10] })).toEqual({});
});

test('18 kg of meal at 1.20, 2.00 of haulage for 100 kg and 90 minutes at 16.00 cost 21.60, 0.36 and 24.00', () => {
  const meal = bag({
    ...featherMeal,
    offers: [{ size: 5, unit: 'kg', price: money('6.00', 'EUR'), seenOn: undefined }],
    handling: { haulagePer100Kg: 2 },
  });
  const entries = [entry(meal, 18, { minutes: 90 }), entry(undefined, 0, { id: 'w' })];
  const hour = { amount: 16, currency: 'EUR' };
  const cost = loggedCost(entries, 'EUR', hour);
  expect(cost.material!.value.mid).toBeCloseTo(21.6, 9);
  expect(cost.haulage!.value.mid).toBeCloseTo(0.36, 9);
  expect(cost.work!.value.mid).toBeCloseTo(24, 9);
  expect(cost.all!.value.mid).toBeCloseTo(45.96, 9);
  expect(unitProblems(cost.all!)).toEqual([]);
  expect(cost.untimed).toBe(1);
  // Without an hour's price, in other money, or untimed, work is not known.
  expect(loggedCost(entries, 'EUR', undefined)).toMatchObject({ work: undefined, untimed: 0 });
  expect(loggedCost(entries, 'EUR', { amount: 16, currency: 'USD' }).work).toBeUndefined();
  expect(loggedCost([entry(meal, 18)], 'EUR', hour).work).toBeUndefined();
});
