import { siteSoilTemperature } from '../ground/index.js';
import { daysToStage, nitrogenDemand } from './demand.js';
import { libraryCrop } from './library/index.js';

const warm = (days: number, t = 10): readonly number[] => Array.from({ length: days }, () => t);

test('demand: nothing at planting, all at the end and no more after, half about half way in its warmth', () => {
  const wheat = libraryCrop('wheat')!;
  const [halfDegreeDays, endDegreeDays] = [950, 1750];
  const demand = nitrogenDemand(wheat, '2026-03-15', warm(200))!;
  expect(demand[0]).toBe(0);
  expect(demand[endDegreeDays / 10]).toBeCloseTo(110, 9);
  expect(demand[200]).toBe(110);
  // By hand: g = ln 19 ÷ 800, L(0) = 1 ÷ (1 + e^(950 g)) = 0.0294, so half of L is (0.5 − 0.0294) ÷ (0.95 − 0.0294) of the uptake.
  expect(demand[halfDegreeDays / 10]! / 110).toBeCloseTo((0.5 - 0.02941) / (0.95 - 0.02941), 3);
});

test('garlic planted in October does not feed through the winter, and is not done in April', () => {
  const [oct, valley] = ['2026-10-15', [3.8, 3.9, 5.8, 8.9, 12.8, 16.2, 18.3, 17.9, 15.1, 11.2, 7.2, 4.7]] as const;
  const demand = nitrogenDemand(
    libraryCrop('garlic')!,
    oct,
    siteSoilTemperature({ temperature: { kind: 'monthly', meansC: valley } }, oct, 270),
  )!;
  const by = (days: number): number => demand[days]! / demand[270]!;
  expect(by(90)).toBeLessThan(0.1);
  expect(by(180)).toBeLessThan(0.35);
  expect(by(250)).toBeGreaterThan(0.9);
});

test('a day below the base adds no warmth and takes none away', () => {
  const wheat = libraryCrop('wheat')!;
  const cold = nitrogenDemand(wheat, '2026-03-15', [...warm(50), ...warm(30, -5), ...warm(50)])!;
  const without = nitrogenDemand(wheat, '2026-03-15', warm(100))!;
  expect(cold[80]).toBe(without[50]);
  expect(cold[130]).toBeCloseTo(without[100]!, 9);
});

test('a lawn follows its months: from 1 January all is in after a year, half of a month’s share in half the month', () => {
  const lawn = libraryCrop('lawn-cool')!;
  const demand = nitrogenDemand(lawn, '2026-01-01', warm(365))!;
  expect(demand[365]).toBeCloseTo(150, 9);
  expect(demand[59]).toBe(0);
  // March has 4 of 100 parts in 31 days.
  expect(demand[59 + 31]).toBeCloseTo(6, 9);
  const summer = nitrogenDemand(lawn, '2026-07-01', warm(31))!;
  expect(summer[31]).toBeCloseTo((9 / 100) * 150, 9);
});

test('what is not known gives no demand, and a steady one is even', () => {
  const pot = libraryCrop('foliage-pot')!;
  expect(nitrogenDemand(pot, '2026-01-01', warm(10))).toBeUndefined();
  const fed = { ...pot, uptakeKgPerHa: { N: { low: 100, mid: 365, high: 400 } } };
  expect(nitrogenDemand(fed, '2026-01-01', warm(10))![10]).toBeCloseTo(10, 9);
  expect(nitrogenDemand({ ...libraryCrop('wheat')!, course: undefined }, '2026-01-01', warm(10))).toBeUndefined();
});

test('growth stages are days in the plot’s warmth: planting on the first, half of wheat’s nitrogen after about 97 days of 10 °C, none of what is not reached', () => {
  const wheat = libraryCrop('wheat')!;
  expect(daysToStage(wheat, 'planting', '2026-03-15', [])).toBe(0);
  const half = daysToStage(wheat, 'half', '2026-03-15', warm(200))!;
  const demand = nitrogenDemand(wheat, '2026-03-15', warm(200))!;
  expect(demand[half]!).toBeGreaterThanOrEqual(55);
  expect(demand[half - 1]!).toBeLessThan(55);
  expect(daysToStage(wheat, 'end', '2026-03-15', warm(200))).toBe(175);
  expect(daysToStage(wheat, 'end', '2026-03-15', warm(100))).toBeUndefined();
  expect(daysToStage({ ...wheat, course: undefined }, 'half', '2026-03-15', warm(200))).toBeUndefined();
});
