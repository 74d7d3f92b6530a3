import { featherMeal, urea, wheatStrip } from '../../test/bags.js';
import { weatherYears, type DailyLog, type WeatherYear } from '../ground/index.js';
import { bagAs, type Doing } from '../season/index.js';
import type { Product } from '../shelf/index.js';
import { holds, replay, yearsThat, type ReplayedYear } from './replay.js';

const DAYS = 182;
/** A year of even weather. */
function yearOf(year: number, rainMm: number, soilC: number): DailyLog {
  const days = Array.from({ length: 365 }, (_, i) => i);
  return {
    from: `${year}-01-01`,
    series: {
      rainMm: days.map((d) => (d % 5 === 0 ? rainMm * 5 : 0)),
      etMm: days.map(() => 2),
      soilC: days.map(() => soilC),
    },
  };
}
const giving = (product: Product, grams: number, day = 0): Doing => ({
  application: {
    amount: { kind: 'rate', rate: { amount: grams, unit: 'g', per: { amount: 1, unit: 'm²' } } },
    when: { kind: 'afterPlanting', days: day },
    where: { kind: 'workedIn', depthM: 0.1 },
    part: { share: 1 },
  },
  given: bagAs(product),
});
const site = { ...wheatStrip, medium: 'mineralSoil', pH: 6.4, ownFigures: undefined } as const;
const from = site.season.from;
const through = (doings: readonly Doing[], logged: readonly DailyLog[], on = site): readonly ReplayedYear[] =>
  replay(doings, { areaM2: 100 }, on, undefined, weatherYears(logged, from, DAYS))!;

test('a wet year drains what a dry one keeps, and the crop of the wet one goes short', () => {
  const [wet, dry] = through([giving(urea, 26)], [yearOf(2020, 9, 14), yearOf(2021, 2, 14)]);
  expect([wet?.year, dry?.year]).toEqual([2020, 2021]);
  expect(wet!.drained).toBeGreaterThan(20);
  expect(wet).toMatchObject({ drains: true, short: true });
  expect(dry).toMatchObject({ drains: false, short: false });
  expect(dry!.takenUp).toBeGreaterThan(wet!.takenUp);
});

test('nitrogen of a meal comes late in a cold year', () => {
  const [cold, warm] = through([giving(featherMeal, 120)], [yearOf(2020, 2, 6), yearOf(2021, 2, 20)]);
  expect(cold!.behindAtHalf).toBeGreaterThan(warm!.behindAtHalf);
});

test('a year is followed as a site of its own would be: the others change nothing', () => {
  const logs = [yearOf(2020, 9, 14), yearOf(2021, 2, 14), yearOf(2022, 4, 12)];
  const all = through([giving(urea, 20)], logs);
  for (const [i, log] of logs.entries()) {
    const [alone] = through([giving(urea, 20)], [log]);
    expect(all[i]!.takenUp).toBeCloseTo(alone!.takenUp, 1);
  }
});

test('it stops when told, and has no answer where the crop’s uptake is not known', () => {
  const years: readonly WeatherYear[] = weatherYears([yearOf(2020, 3, 14), yearOf(2021, 3, 14)], from, DAYS);
  const heard: number[] = [];
  expect(replay([], { areaM2: 100 }, site, undefined, years, (done) => heard.push(done) < 1)).toBeUndefined();
  expect(heard).toEqual([1]);
  const unknown = { ...site, season: { ...site.season, crop: { ...site.season.crop, course: undefined } } };
  expect(replay([], { areaM2: 100 }, unknown, undefined, years)).toBeUndefined();
});

test('eight years of ten is what holds', () => {
  const year = (short: boolean, i: number): ReplayedYear => ({
    year: 2000 + i,
    demand: 100,
    takenUp: short ? 50 : 100,
    behindAtHalf: 0,
    drained: 0,
    short,
    late: false,
    drains: false,
  });
  const ten = (bad: number): ReplayedYear[] => Array.from({ length: 10 }, (_, i) => year(i < bad, i));
  expect([holds(ten(2)), holds(ten(3)), holds([])]).toEqual([true, false, false]);
  expect(yearsThat(ten(3), 'short')).toBe(3);
});
