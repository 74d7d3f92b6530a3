import fc from 'fast-check';
import {
  acrossOrOut,
  ageDose,
  ageTableDoubts,
  dilutionReadings,
  mixerParts,
  mlPerCan,
  ringArea,
  shareOfFeed,
  sprayerRate,
  spreaderRate,
  tankPpm,
} from './dose.js';

test('a ring from 20 to 50 cm is π × 0.21 m²; two feet across or out differ fourfold', () => {
  expect(ringArea(0.2, 0.5)).toBeCloseTo(0.6597, 4);
  expect(acrossOrOut(0.6096).timesAsMuch).toBeCloseTo(4, 12);
  expect(() => ringArea(0.5, 0.5)).toThrow(/outer edge beyond the inner/);
});

describe('ages', () => {
  const row = (fromYear: number, toYear: number | undefined, g: number) => ({
    fromYear,
    toYear,
    gPerPlant: { low: g * 0.8, mid: g, high: g * 1.2 },
    innerM: 0.2,
    outerM: 0.6,
  });
  const table = { grade: '10-10-10', rows: [row(1, 1, 100), row(2, 3, 200), row(4, undefined, 400)], capG: 450 };

  test('the row of the age holds, less of a stronger bag, never above the cap', () => {
    expect(ageDose(table, 3)!.gPerPlant.mid).toBe(200);
    expect(ageDose(table, 3, 1.3)!.gPerPlant.mid).toBeCloseTo(153.85, 2);
    expect(ageDose(table, 9)).toMatchObject({ capped: true, gPerPlant: { high: 450 } });
    expect(ageDose(table, 0)).toBeUndefined();
    expect(() => ageDose(table, 3, 0)).toThrow(/above zero/);
  });

  test('a table that overlaps, leaves years out or steps down is asked about', () => {
    expect(ageTableDoubts(table)).toEqual([]);
    expect(ageTableDoubts({ rows: [row(1, 3, 100), row(3, undefined, 200)] })).toEqual([
      'Two rows hold at once from year 3.',
    ]);
    expect(ageTableDoubts({ rows: [row(1, 1, 300), row(4, undefined, 200)] })).toEqual([
      'No row holds between year 1 and 4.',
      'It gives less from year 4 than before.',
    ]);
  });
});

describe('liquids', () => {
  test('1:10 is 100 mL to a litre of water, or 100 mL made up to a litre, which is 111 mL to a litre of water', () => {
    expect(dilutionReadings(10)).toEqual({ toWaterMlPerL: 100, inAllMlPerL: 1000 / 9 });
    expect(mlPerCan(10, 10, 'toWater')).toBeCloseTo(909.09, 2);
    expect(mlPerCan(10, 10, 'inAll')).toBeCloseTo(1000, 9);
    expect(() => dilutionReadings(1)).toThrow(/at least 1:2/);
  });

  test('what is in the can is its share of the feed, whichever way it is meant', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 5000, noNaN: true }),
        fc.double({ min: 0.1, max: 1000, noNaN: true }),
        fc.constantFrom('toWater' as const, 'inAll' as const),
        (parts, can, meant) => {
          const mL = mlPerCan(can, parts, meant);
          expect(mL / 1000 / can).toBeCloseTo(shareOfFeed(parts, meant), 9);
          const water = can - mL / 1000;
          const { toWaterMlPerL, inAllMlPerL } = dilutionReadings(parts);
          expect(mL / water).toBeCloseTo(meant === 'toWater' ? toWaterMlPerL : inAllMlPerL, 6);
        },
      ),
    );
  });

  test('150 mg/L through 1:100 needs 15 150 in the tank', () => {
    expect(tankPpm(150, 100)).toBe(15_150);
  });
});

test('what spreads is measured: 12 g on half a m², 2 L on 50 m², a 20 L bucket with 1 L of product', () => {
  expect(spreaderRate(12, 0.5)).toBe(240);
  expect(sprayerRate(2, 50)).toBe(400);
  expect(mixerParts(20, 1)).toBe(19);
});
