import fc from 'fast-check';
import { productRelease, nitrogenBalance, RELEASE_DAYS, siteDays } from '../release/index.js';
import { assumptionsIn } from '../figure/index.js';
import { featherMeal, seasonOf } from '../../test/bags.js';
import type { SiteInSeason } from '../season/index.js';
import { between } from '../quantity/index.js';
import { dailyWater, firstSoaking, loggedDays, siteSoilTemperature, type Climate } from './climate.js';
import { waterImplications } from './irrigationWater.js';
import { ROOT_LAYER_M, siteWaterBalance, waterBalance, waterYear, WATER_HOLDING } from './waterBalance.js';
import { TEXTURES } from './site.js';
import { MONTH_LENGTHS, YEAR_DAYS } from './soilTemperature.js';
import { wetness } from './wetness.js';

const site: SiteInSeason = {
  areaM2: 10,
  season: seasonOf('leek', '2026-04-01'),
  medium: 'mineralSoil',
  texture: 'loam',
  pH: 6.5,
  temperature: { kind: 'monthly', meansC: Array.from({ length: 12 }, () => 15) },
};
const months = (mm: number): number[] => Array.from({ length: 12 }, () => mm);
const climate: Climate = { rainMm: months(62), irrigationMm: months(0), etMm: months(31) };

test('62 mm of rain in January are six storms of 10.3 mm, 31 mm of evapotranspiration 1 mm a day; the month keeps its sum', () => {
  const water = dailyWater({ climate }, '2026-01-01', 31)!;
  expect(water.rainMm.filter((mm) => mm > 0)).toHaveLength(6);
  for (const mm of water.rainMm) expect([0, 62 / 6]).toContain(mm);
  expect(water.rainMm.reduce((a, b) => a + b, 0)).toBeCloseTo(62, 9);
  expect([...new Set(water.etMm)]).toEqual([1]);
  expect([...new Set(water.irrigationMm)]).toEqual([0]);
});

test('a dry month still has its one shower, and every month of a year keeps its sum', () => {
  const rainMm = [3, 0, 250, 12, 15, 24.9, 7, 88, 61, 40, 33, 5];
  const water = dailyWater({ climate: { ...climate, rainMm } }, '2026-01-01', YEAR_DAYS)!;
  let from = 0;
  MONTH_LENGTHS.forEach((length, m) => {
    const month = water.rainMm.slice(from, from + length);
    expect(month.reduce((a, b) => a + b, 0)).toBeCloseTo(rainMm[m]!, 9);
    from += length;
  });
  expect(water.rainMm.slice(0, 31).filter((mm) => mm > 0)).toEqual([3]);
});

test('the first soaking is the first day with 12 mm of rain and irrigation logged, not a storm nobody measured', () => {
  const logged = [{ from: '2026-04-03', series: { rainMm: [11.9, 7, 12], irrigationMm: [0, 5, 0] } }];
  expect(firstSoaking({ logged }, '2026-04-01', 30)).toBe(3);
  expect(
    firstSoaking({ logged: [{ from: '2026-04-03', series: { rainMm: [11.9, null, 12] } }] }, '2026-04-01', 30),
  ).toBe(4);
  expect(firstSoaking({ logged }, '2026-04-05', 2)).toBe(0);
  expect(firstSoaking({}, '2026-04-01', 30)).toBeUndefined();
});

test('what is not known is not dry: without rain or evapotranspiration there is no balance', () => {
  expect(dailyWater({}, '2026-01-01', 3)).toBeUndefined();
  expect(
    dailyWater(
      { logged: [{ from: '2026-01-01', series: { rainMm: [5, null, 0], etMm: [1, 1, 1] } }] },
      '2026-01-01',
      3,
    ),
  ).toBeUndefined();
  expect(
    dailyWater({ logged: [{ from: '2026-01-01', series: { rainMm: [5, 1, 0], etMm: [1, 1, 1] } }] }, '2026-01-01', 3)
      ?.rainMm,
  ).toEqual([5, 1, 0]);
});

test('a log outranks the usual year on its days, the later log the earlier, and nothing else', () => {
  const logged = [
    { from: '2025-04-02', series: { soilC: [20, null, 22] } },
    { from: '2026-04-02', series: { soilC: [9] } },
  ];
  expect(siteSoilTemperature({ ...site, logged }, '2026-04-01', 5)).toEqual([15, 9, 15, 22, 15]);
  expect(siteSoilTemperature({ ...site, logged: [...logged].reverse() }, '2026-04-01', 3)).toEqual([15, 9, 15]);
  expect(loggedDays(logged, 'soilC')).toBe(2);
  expect(loggedDays(logged, 'rainMm')).toBe(0);
});

test('loam at field capacity, 20 mm of rain, 2 mm given back a day: 18 mm stand in it for a day, 16 drain on the next', () => {
  const days = waterBalance({ rainMm: [20, 0, 0], irrigationMm: [0, 0, 0], etMm: [2, 2, 2] }, 'loam');
  expect(days.drainedMm).toEqual([0, expect.closeTo(16, 9), 0]);
  expect(days.storedMm.map((mm) => mm / 300)).toEqual([
    expect.closeTo(0.28 + 18 / 300, 9),
    expect.closeTo(0.28, 9),
    expect.closeTo(0.28 - 2 / 300, 9),
  ]);
  expect(days.waterFilled[1]).toBeCloseTo(0.28 / 0.46, 9);
  expect(days.wetness[0]).toBeCloseTo(1 + 18 / 300 / 0.18, 9);
  expect(days.wetness[1]).toBeCloseTo(1, 9);
});
test('what the pores cannot hold drains at once: 200 mm on loam of 138 mm pores', () => {
  const day = waterBalance({ rainMm: [200], irrigationMm: [0], etMm: [0] }, 'loam');
  expect([day.storedMm[0], day.drainedMm[0]]).toEqual([expect.closeTo(138, 9), expect.closeTo(146, 9)]);
});

test('plants take water freely down to half of what is available, and half of what they ask for at a quarter', () => {
  const loam = { wilting: 0.12, fieldCapacity: 0.28, saturation: 0.46 };
  const given = (share: number): number =>
    waterBalance({ rainMm: [0], irrigationMm: [0], etMm: [4] }, 'loam', loam, 300 * (0.12 + 0.16 * share))
      .evaporatedMm[0]!;
  expect([1, 0.5, 0.25, 0].map(given)).toEqual([4, expect.closeTo(4, 9), expect.closeTo(2, 9), 0]);
});

test('every texture at its own field capacity works at full speed: sand is not held back', () => {
  for (const texture of TEXTURES) {
    const held = WATER_HOLDING[texture];
    expect(
      wetness(held.fieldCapacity.mid, {
        wilting: held.wilting.mid,
        fieldCapacity: held.fieldCapacity.mid,
        saturation: held.saturation.mid,
      }),
    ).toBe(1);
  }
});

test('a balance starts from what the months before leave: dry after a dry winter, full after a wet one', () => {
  const start = (rainMm: number[]): number =>
    siteWaterBalance({ ...site, climate: { ...climate, rainMm, etMm: months(60) } }, '2026-04-01', 1)!.balance
      .wetness[0]!;
  expect(start([5, 5, 5, 5, 30, 30, 30, 30, 30, 5, 5, 5])).toBeLessThan(0.4);
  expect(start(months(150))).toBeGreaterThan(0.9);
});

test('a year on loam: 744 mm of rain, 372 mm asked for, all of it given back, 372 mm drain; each opens to what it rests on', () => {
  const year = waterYear({
    climate: { ...climate, rainMm: months(62), etMm: months(31) },
    texture: 'loam',
    medium: 'mineralSoil',
  })!;
  expect([year.rain, year.irrigation, year.evaporated, year.drained].map((f) => Math.round(f.value.mid))).toEqual([
    744, 0, 372, 372,
  ]);
  expect(assumptionsIn(year.drained).map((a) => a.label)).toEqual([
    'water left in loam when plants wilt',
    'water loam holds against gravity',
    'pore space of loam',
  ]);
  expect(waterYear({ texture: 'loam', medium: 'mineralSoil' })).toBeUndefined();
  expect(waterYear({ climate, texture: 'peat', medium: 'organicPotting' })).toBeUndefined();
});

test('irrigation nobody tells of is an assumption of none; a log of part of a year says what the rest was taken as', () => {
  const year = Array.from({ length: YEAR_DAYS }, () => 2);
  const logged = { from: '2025-01-01', series: { rainMm: year, etMm: year } };
  const site = { texture: 'loam', medium: 'mineralSoil' } as const;
  expect(waterYear({ ...site, logged: [logged] })!.irrigation.how.kind).toBe('assumption');
  expect(assumptionsIn(waterYear({ ...site, logged: [logged] })!.drained).map((a) => a.label)).toContain('irrigation');
  const some = { from: '2025-06-01', series: { irrigationMm: [10, 10, 10] } };
  expect(waterYear({ ...site, logged: [logged, some] })!.irrigation).toMatchObject({
    value: { mid: 30 },
    how: { text: 'logged on 3 days, taken as none on the others' },
  });
  expect(waterYear({ ...site, climate, logged: [some] })!.irrigation.how).toMatchObject({
    text: 'logged on 3 days, the usual year on the others',
  });
});

test('where a soil dries out, how much it keeps is a range, and so is what drains; release of a potting mix takes no water of the field', () => {
  const dry = waterYear({
    climate: { ...climate, etMm: [5, 10, 30, 60, 100, 120, 130, 110, 70, 30, 10, 5] },
    texture: 'sand',
    medium: 'mineralSoil',
  })!;
  for (const figure of [dry.evaporated, dry.drained]) {
    expect(figure.value.low).toBeLessThan(figure.value.mid);
    expect(figure.value.high).toBeGreaterThan(figure.value.mid);
  }
  expect(siteDays({ ...site, climate }).water).toBeDefined();
  expect(siteDays({ ...site, climate, medium: 'organicPotting' }).water).toBeUndefined();
});

test('law: water in is what was stored, given back and drained, for any weather and texture', () => {
  const mm = fc.array(fc.double({ min: 0, max: 80, noNaN: true }), { minLength: 40, maxLength: 40 });
  fc.assert(
    fc.property(
      mm,
      mm,
      fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 40, maxLength: 40 }),
      fc.constantFrom(...TEXTURES),
      (rainMm, irrigationMm, etMm, texture) => {
        const { storedMm, drainedMm, evaporatedMm, waterFilled } = waterBalance(
          { rainMm, irrigationMm, etMm },
          texture,
        );
        const start = WATER_HOLDING[texture].fieldCapacity.mid * ROOT_LAYER_M * 1000;
        const wilting = WATER_HOLDING[texture].wilting.mid * ROOT_LAYER_M * 1000;
        const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
        expect(start + sum(rainMm) + sum(irrigationMm)).toBeCloseTo(
          storedMm[39]! + sum(evaporatedMm) + sum(drainedMm),
          6,
        );
        for (const stored of storedMm) expect(stored).toBeGreaterThanOrEqual(wilting - 1e-9);
        for (const filled of waterFilled) expect(filled).toBeLessThanOrEqual(1);
      },
    ),
  );
});

test('release takes the plot’s water: wet ground leaches nitrate, dry ground holds decomposition back, and nitrogen still adds up', () => {
  const release = (given: Partial<SiteInSeason>) => {
    const found = productRelease(featherMeal, { ...site, ...given }, { daysOnSurface: 0 });
    if (found.kind !== 'release') throw new Error(found.why);
    return found;
  };
  const unknown = release({});
  const wet = release({ climate: { ...climate, rainMm: months(120) } });
  const dry = release({ climate: { ...climate, rainMm: months(0), etMm: months(120) } });
  const end = RELEASE_DAYS;
  expect(unknown.run.leached[end]).toBe(0);
  expect(wet.run.leached[end]).toBeGreaterThan(0.05);
  // Of 30 cm more is lost than of the whole depth that leeks root to.
  const { season } = site;
  const shallow = release({
    climate: { ...climate, rainMm: months(120) },
    season: { ...season, crop: { ...season.crop, rootingM: between(0.25, 0.3, 0.35) } },
  });
  expect(shallow.run.leached[end]!).toBeGreaterThan(1.15 * wet.run.leached[end]!);
  expect(dry.run.leached[end]).toBe(0);
  expect(dry.run.undecomposed[end]!).toBeGreaterThan(wet.run.undecomposed[end]!);
  for (const { run } of [unknown, wet, dry])
    for (const day of [1, 50, end]) expect(nitrogenBalance(run, day)).toBeCloseTo(1, 9);
  expect(unknown.assumptions.map((a) => a.label)).toContain('how much of the plant-available water is there');
  expect(wet.assumptions.map((a) => a.label)).not.toContain('how much of the plant-available water is there');
  expect(wet.assumptions.map((a) => a.label)).toContain('pore space of loam');
  expect(siteDays(site).water).toBeUndefined();
});

test('250 mg/L of alkalinity in 200 mm bring 50 g/m² of lime, which 16.0 g of sulfur neutralise', () => {
  const [, salt, lime, sulfur, nitrate] = waterImplications(
    { alkalinityMgPerL: 250, ecMsPerCm: 1, nitrateNMgPerL: 10 },
    200,
  );
  expect(lime?.figure?.value.mid).toBeCloseTo(50, 9);
  expect(sulfur?.figure?.value.mid).toBeCloseTo((50 * 32.06) / 100.09, 6);
  expect(salt?.figure?.value).toEqual({ low: 110, mid: 128, high: expect.closeTo(150, 9) });
  expect(nitrate?.figure?.value.mid).toBeCloseTo(2, 9);
  const [sar, ...rest] = waterImplications({ sodiumMgPerL: 230, calciumMgPerL: 80, magnesiumMgPerL: 24 }, undefined);
  expect(sar?.figure?.value.mid).toBeCloseTo(5.8, 1);
  for (const { figure, lacks } of rest)
    expect([figure, /EC|alkalinity|nitrate/.test(lacks)]).toEqual([undefined, true]);
});
