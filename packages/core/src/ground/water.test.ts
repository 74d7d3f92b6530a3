import fc from 'fast-check';
import { productRelease, nitrogenBalance, RELEASE_DAYS, siteDays } from '../release/index.js';
import { assumptionsIn } from '../figure/index.js';
import { featherMeal } from '../../test/bags.js';
import { condition } from './conditions.js';
import { dailyWater, firstSoaking, loggedDays, siteSoilTemperature, type Climate } from './climate.js';
import { waterImplications } from './irrigationWater.js';
import { JAR_STEPS, dispersionResult, textureResult, triangleClass } from './jarTest.js';
import { readDate, readLogger } from './logger.js';
import { ROOT_LAYER_M, siteWaterBalance, waterBalance, waterYear, WATER_HOLDING } from './waterBalance.js';
import { TEXTURES, type Site } from './site.js';
import { MONTH_LENGTHS, YEAR_DAYS } from './soilTemperature.js';
import { wetness } from './wetness.js';

const site: Site = {
  areaM2: 10,
  crop: 'leek',
  medium: 'mineralSoil',
  texture: 'loam',
  pH: 6.5,
  temperature: { kind: 'monthly', meansC: Array.from({ length: 12 }, () => 15) },
  plantedOn: '2026-04-01',
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
  const release = (given: Partial<Site>) => {
    const found = productRelease(featherMeal, { ...site, ...given }, { daysOnSurface: 0 });
    if (found.kind !== 'release') throw new Error(found.why);
    return found;
  };
  const unknown = release({});
  const wet = release({ climate: { ...climate, rainMm: months(120) } });
  const dry = release({ climate: { ...climate, rainMm: months(0), etMm: months(120) } });
  const end = RELEASE_DAYS;
  expect(unknown.run.leached[end]).toBe(0);
  expect(wet.run.leached[end]).toBeGreaterThan(0.1);
  expect(dry.run.leached[end]).toBe(0);
  expect(dry.run.undecomposed[end]!).toBeGreaterThan(wet.run.undecomposed[end]!);
  for (const { run } of [unknown, wet, dry])
    for (const day of [1, 50, end]) expect(nitrogenBalance(run, day)).toBeCloseTo(1, 9);
  expect(unknown.assumptions.map((a) => a.label)).toContain('how much of the plant-available water is there');
  expect(wet.assumptions.map((a) => a.label)).not.toContain('how much of the plant-available water is there');
  expect(wet.assumptions.map((a) => a.label)).toContain('pore space of loam');
  expect(siteDays(site).water).toBeUndefined();
});

test('a logger’s readings become days: temperatures averaged, rain summed, gaps left unmeasured', () => {
  const read = readLogger([
    ['Timestamp', 'Soil temp 10 cm (°C)', 'Rain (mm)', 'battery'],
    ['2026-05-01 06:00', '9.5', '1.2', '3.3'],
    ['2026-05-01 18:00', '12,5', '0.4', '3.3'],
    ['2026-05-03 06:00', '10', '', '3.2'],
    ['', '', '', ''],
  ]);
  expect(read).toMatchObject({
    kind: 'log',
    days: 2,
    problems: [],
    ignored: ['battery'],
    log: { from: '2026-05-01', series: { soilC: [11, null, 10], rainMm: [1.6, null, null] } },
  });
});

test('°F and inches are turned: 50 °F is 10 °C, half an inch 12.7 mm', () => {
  expect(
    readLogger([
      ['date', 'soil temperature °F', 'rain in'],
      ['14.3.2026', '50', '0.5'],
    ]),
  ).toMatchObject({ log: { from: '2026-03-14', series: { soilC: [10], rainMm: [12.7] } } });
});

test.each([
  ['2026-03-14T06:00', '2026-03-14'],
  ['14.3.2026', '2026-03-14'],
  ['14/3/2026 6:00', '2026-03-14'],
  ['3/14/2026', '2026-03-14'],
  ['3/4/2026', undefined],
  ['2026-02-30', undefined],
  ['soon', undefined],
  ['99.99.2026', undefined],
])('the date %j is read as %j', (text, date) => expect(readDate(text)).toBe(date));

test.each([
  ['no reading', [['date', 'soil °C']], /at least one reading/],
  ['no date', [['soil °C'], ['5']], /expected one that says date/],
  [
    'nothing known',
    [
      ['date', 'mood'],
      ['2026-01-01', 'fine'],
    ],
    /expected one such as soil/,
  ],
  [
    'no date that reads',
    [
      ['date', 'rain'],
      ['soon', '5'],
    ],
    /expected a date such as/,
  ],
  [
    'too long a span',
    [
      ['date', 'rain'],
      ['1990-01-01', '5'],
      ['2026-01-01', '5'],
    ],
    /at most 1200/,
  ],
  [
    'only bad cells',
    [
      ['date', 'rain'],
      ['2026-01-01', '−5000'],
    ],
    /expected 0 to 1000/,
  ],
])('a file with %s is refused in words', (_name, rows, words) =>
  expect(readLogger(rows)).toMatchObject({ kind: 'unreadable', reason: expect.stringMatching(words) }),
);

test('one date that can only be read one way tells how the others of the file are meant; dates that contradict are not guessed', () => {
  const days = (...dates: string[]) => {
    const read = readLogger([['date', 'rain'], ...dates.map((d) => [d, '1'])]);
    return read.kind === 'log' ? [read.log.from, read.days, read.problems.length] : read.reason;
  };
  expect(days('03/04/2026', '13/04/2026')).toEqual(['2026-04-03', 2, 0]);
  expect(days('03/04/2026', '03/13/2026')).toEqual(['2026-03-04', 2, 0]);
  expect(days('03/04/2026', '05/04/2026')).toMatch(/expected a date/);
  expect(days('03/04/2026', '13/04/2026', '04/13/2026')).toEqual(['2026-04-13', 1, 1]);
});
test('what a logger writes above its headings is passed over, a column of times is not taken for the dates, and rows keep their numbers', () => {
  const read = readLogger([
    ['Logger', 'LG-7'],
    ['Site', 'leek bed'],
    ['Time', 'Date', 'Soil temp °C'],
    ['06:00', '2026-05-01', '9'],
    ['06:00', '2026-05-02', 'E4'],
  ]);
  expect(read).toMatchObject({
    kind: 'log',
    log: { from: '2026-05-01', series: { soilC: [9, null] } },
    problems: [{ row: 5 }],
  });
});

test('a bad cell is told by its row and leaves the rest', () => {
  const read = readLogger([
    ['date', 'soil °C'],
    ['2026-05-01', 'E4'],
    ['2026-05-02', '99'],
    ['2026-05-03', '12'],
  ]);
  expect(read).toMatchObject({
    kind: 'log',
    log: { series: { soilC: [null, null, 12] } },
    problems: [{ row: 2 }, { row: 3 }],
  });
});

test('never throws, whatever the cells', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.oneof(fc.string(), fc.constantFrom('date', 'rain', 'soil °C', '2026-05-01', '12'))), {
        maxLength: 6,
      }),
      (rows) => {
        expect(['log', 'unreadable']).toContain(readLogger(rows).kind);
      },
    ),
  );
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

test('heights of 40, 80 and 100 mm are 40 % sand, 40 % silt, 20 % clay: loam, each ± 2 points', () => {
  const read = textureResult({ sandMm: 40, siltMm: 80, allMm: 100 });
  if (typeof read === 'string') throw new Error(read);
  expect([read.sand, read.silt, read.clay].map((f) => f.value)).toEqual([
    { low: 38, mid: 40, high: 42 },
    { low: 38, mid: 40, high: 42 },
    { low: 18, mid: 20, high: 22 },
  ]);
  expect([read.name, read.texture]).toEqual(['loam', 'loam']);
  expect(textureResult({ sandMm: 40, siltMm: 30, allMm: 100 })).toMatch(/do not fall/);
  expect(textureResult({ sandMm: 40 })).toMatch(/Not finished/);
  expect(
    Object.values(JAR_STEPS)
      .flat()
      .every((s) => s.afterMinutes > 0),
  ).toBe(true);
});

// Corners and middles of the triangle, as its published picture has them.
test.each([
  [92, 5, 3, 'sand'],
  [82, 12, 6, 'loamy sand'],
  [65, 25, 10, 'sandy loam'],
  [40, 40, 20, 'loam'],
  [20, 65, 15, 'silt loam'],
  [5, 90, 5, 'silt'],
  [60, 13, 27, 'sandy clay loam'],
  [32, 34, 34, 'clay loam'],
  [10, 56, 34, 'silty clay loam'],
  [52, 8, 40, 'sandy clay'],
  [6, 47, 47, 'silty clay'],
  [20, 20, 60, 'clay'],
])('%i sand, %i silt, %i clay is %s', (sand, silt, clay, name) => expect(triangleClass(sand, silt, clay)).toBe(name));

test('a cloud says dispersive before the day is over; clear water only after it', () => {
  expect(dispersionResult({ cloud2h: 2 }).kind).toBe('dispersive');
  expect(dispersionResult({ cloud2h: 0 }).kind).toBe('unfinished');
  expect(dispersionResult({ cloud2h: 0, cloud24h: 1 }).kind).toBe('slightly');
  expect(dispersionResult({ cloud2h: 0, cloud24h: 0 }).kind).toBe('not');
  expect(condition('dispersive', site, undefined)).toEqual({ answer: 'unknown', test: 'the jar test for dispersion' });
  expect(condition('dispersive', site, undefined, 'US', { cloud2h: 0, cloud24h: 3 })).toMatchObject({ answer: 'yes' });
  expect(condition('dispersive', site, undefined, 'US', { cloud24h: 0 })).toMatchObject({ answer: 'no' });
});
