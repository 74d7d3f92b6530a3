import { bag, featherMeal, line, seasonOf, straw, urea, wheatStrip } from '../../test/bags.js';
import { bagAs, PLAIN_WATER, computeProgramme, type Application, type Doing, type Where } from '../season/index.js';
import type { Product } from '../shelf/index.js';
import { assumption } from '../figure/index.js';
import { nitrogenPools } from './nitrogenPools.js';
import { numbersFrom, parametersFor } from './parameters.js';
import { productRelease, RELEASE_DAYS, siteDays } from './productRelease.js';
import { programmeRelease } from './programmeRelease.js';
import { soilNitrogen } from './soilNitrogen.js';
import { follow, followDays, nitrogenBalance, startRun, toDose, type DatedDose } from './simulate.js';

const cool = { ...wheatStrip, medium: 'mineralSoil' } as const;
const giving = (
  product: Product,
  kgNPerHa: number,
  days: number,
  where: Where = { kind: 'workedIn', depthM: 0.15 },
): Doing => {
  const reading = nitrogenPools(product);
  if (reading.kind === 'unknown') throw new Error(reading.why);
  const application: Application = {
    amount: {
      kind: 'rate',
      rate: { amount: kgNPerHa / reading.nitrogenFraction, unit: 'kg', per: { amount: 1, unit: 'ha' } },
    },
    when: { kind: 'afterPlanting', days },
    where,
    part: { share: 1 },
  };
  return { application, given: bagAs(product) };
};
const released = (doings: readonly Doing[], site = cool) =>
  programmeRelease(computeProgramme(doings, { areaM2: site.areaM2 }, site.season, []), site);
const single = (product: Product, kgNPerHa: number, site = cool, daysOnSurface = 0) => {
  const found = productRelease(product, site, { daysOnSurface, doseKgPerHa: kgNPerHa });
  if (found.kind === 'unknown') throw new Error(found.why);
  return found.run;
};

test.each([featherMeal, urea])('one dose of a programme is what the product alone gives, in kg', (product) => {
  const one = single(product, 100);
  const { run } = released([giving(product, 100, 0)]);
  for (const day of [0, 1, 7, 60, RELEASE_DAYS]) {
    expect(run.available[day]!).toBeCloseTo(100 * one.available[day]!, 9);
    expect(run.takenUp[day]!).toBeCloseTo(100 * one.takenUp[day]!, 9);
  }
});

test('two doses are the sum of both where nothing interacts: no crop, no shortage, no water', () => {
  const bare = { ...cool, season: { ...cool.season, crop: { ...cool.season.crop, course: undefined } } };
  const both = released([giving(featherMeal, 60, 0), giving(urea, 40, 30)], bare).run;
  const first = released([giving(featherMeal, 60, 0)], bare).run;
  const second = released([giving(urea, 40, 30)], bare).run;
  for (const name of ['available', 'urea', 'undecomposed', 'microbial', 'humus', 'nitrate'] as const)
    for (const day of [0, 29, 30, 31, 100, RELEASE_DAYS])
      expect(both[name][day]!).toBeCloseTo(first[name][day]! + second[name][day]!, 9);
});

test('doses share the debt: straw given before takes the nitrogen of a later urea, and gives some back', () => {
  const alone = released([giving(urea, 40, 20)]).run;
  const after = released([giving(straw, 20, 0), giving(urea, 40, 20)]).run;
  expect(after.mineral[15]!).toBeLessThan(0);
  expect(after.available[60]!).toBeLessThan(alone.available[60]!);
});

test('a programme cut in two is the same: the state carries on where it stopped', () => {
  const p = numbersFrom(parametersFor([], 'mineralSoil', 6.4));
  const { temperatureC, demandKgPerHa } = siteDays(cool);
  const around = { temperatureC, lifeEases: false, demand: demandKgPerHa };
  const doses: DatedDose[] = [featherMeal, urea, straw].map((product, i) => {
    const reading = nitrogenPools(product);
    if (reading.kind === 'unknown') throw new Error(reading.why);
    const numbers = numbersFrom(parametersFor(reading.materials, 'mineralSoil', 6.4));
    return { day: 40 * i, dose: toDose(reading.pools, undefined, numbers, 50, 0.15) };
  });
  const whole = follow(doses, around, p, 20);
  const cut = startRun(around, p.rootingM, 20);
  followDays(cut, doses, around, p, 0, 77);
  followDays(cut, doses, around, p, 77, RELEASE_DAYS);
  expect(cut.run).toEqual(whole);
});

test('nothing is made or lost: what was given by a day is all there on that day', () => {
  const { run, given } = released([
    giving(featherMeal, 60, 0),
    giving(urea, 40, 30, { kind: 'surface' }),
    giving(straw, 5, 31),
  ]);
  for (const day of [0, 10, 29, 60, RELEASE_DAYS]) expect(nitrogenBalance(run, day)).toBeCloseTo(given[day]!, 7);
  expect(given[0]).toBeCloseTo(60, 9);
  expect(given[RELEASE_DAYS]).toBeCloseTo(105, 9);
});

test('left on top loses ammonia until it is soaked, watered in it does not', () => {
  const top = released([giving(urea, 80, 10, { kind: 'surface' })]).run;
  const watered = released([giving(urea, 80, 10, { kind: 'wateredIn' })]).run;
  expect(top.volatilised[40]!).toBeGreaterThan(1);
  expect(watered.volatilised[40]!).toBe(0);
  expect(top.volatilised[40]!).toBeCloseTo(top.volatilised[20]!, 6);
});

test('a mix of which it is not known what is in it is named, and plain water is not', () => {
  const { application } = giving(urea, 10, 0);
  const lost = { name: 'A mix', parts: [], unknown: 'A bag of A mix is not here.' };
  const found = released([
    { application, given: lost },
    { application, given: PLAIN_WATER },
  ]);
  expect(found.left).toEqual([{ name: 'A mix', why: 'A bag of A mix is not here.' }]);
});

test('what cannot be followed is named with its reason, and a day before or after the time is not followed', () => {
  const bare = bag({ id: 'z', name: 'No nitrogen', analysis: [line('K', 50)] });
  const none: Doing = { application: giving(urea, 10, 0).application, given: bagAs(bare) };
  const found = released([none, giving(urea, 40, -10), giving(urea, 40, RELEASE_DAYS)]);
  expect(found.left).toEqual([{ name: 'No nitrogen', why: 'no nitrogen is declared' }]);
  expect(found.given[RELEASE_DAYS]).toBe(0);
  const later = { ...cool, season: seasonOf('hay', '2026-03-15') };
  expect(
    released(
      [
        {
          ...giving(urea, 40, 0),
          application: {
            ...giving(urea, 40, 0).application,
            amount: { kind: 'rate', rate: { amount: 5, unit: 'g', per: { amount: 1, unit: 'plant' } } },
          },
        },
      ],
      later,
    ).left[0]?.why,
  ).toContain('spacing');
});

test('nitrate in the water that is given comes with each watering: 10 mg/L in 100 mm is 10 kg N/ha', () => {
  const season = { ...cool.season, crop: { ...cool.season.crop, course: undefined } };
  const watered = {
    ...cool,
    season,
    climate: {
      rainMm: Array.from({ length: 12 }, () => 0),
      irrigationMm: Array.from({ length: 12 }, () => 50),
      etMm: Array.from({ length: 12 }, () => 90),
    },
  };
  const days = siteDays(watered);
  const mm = days.irrigationMm.reduce((a, b) => a + b, 0);
  const at = (mgPerL?: number) => {
    const soil = { ...soilNitrogen(watered, undefined, season.from, mgPerL), mineral: assumption('none', 0, '', '') };
    const found = programmeRelease(computeProgramme([], { areaM2: 1 }, season, []), watered, days, soil);
    return { run: found.run, alone: found.soilAlone! };
  };
  const [without, withNitrate] = [at(), at(10)];
  const all = (run: typeof without.run): number => nitrogenBalance(run, RELEASE_DAYS);
  expect(all(withNitrate.run) - all(without.run)).toBeCloseTo(mm / 10, 6);
  expect(withNitrate.alone.available[RELEASE_DAYS]!).toBeGreaterThan(without.alone.available[RELEASE_DAYS]! + 1);
});
