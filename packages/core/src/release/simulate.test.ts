import fc from 'fast-check';
import { MICROBIAL_CN, SHARED_PARAMETERS } from './defaults.js';
import type { NitrogenPools } from './nitrogenPools.js';
import {
  nitrogenBalance,
  simulate,
  type OrganicNumbers,
  type ReleaseParameters,
  type Surroundings,
} from './simulate.js';

const meal: OrganicNumbers = { share: 1, fastShare: 0.6, kFastPerDay: 0.06, kSlowPerDay: 0.003, carbonToNitrogen: 10 };
const parameters = ({
  organic = meal,
  ...given
}: Partial<Omit<ReleaseParameters, 'organic'>> & { organic?: OrganicNumbers } = {}): ReleaseParameters => ({
  q10: 2,
  coatingQ10: 2,
  nitrificationPerDay: 0.1,
  ureaHydrolysisPerDay: 0.5,
  denitrificationPerDay: 0.05,
  weibullShape: 1.8,
  criticalCN: 20,
  microbialCN: MICROBIAL_CN,
  microbialDeathPerDay: 0.02,
  humified: 0.3,
  volatileShare: 0.1,
  volatileAmmonium: 0,
  biology: 1,
  wetness: 1,
  rootingM: 0.3,
  soilMineralKgPerHa: 1000,
  organic: [organic],
  ...given,
});
const none: NitrogenPools = {
  nitrate: 0,
  ammonium: 0,
  urea: 0,
  coated: 0,
  organic: 0,
  coatedForms: { urea: 1, ammonium: 0, nitrate: 0 },
};
const only = (pool: Exclude<keyof NitrogenPools, 'coatedForms'>): NitrogenPools => ({ ...none, [pool]: 1 });
const around = (given: Partial<Surroundings>): Surroundings => ({
  temperatureC: [],
  daysOnSurface: 0,
  workedInM: 0.15,
  doseKgPerHa: 100,
  lifeEases: false,
  longevity: undefined,
  ...given,
});
const warm = (days: number, given: Partial<Surroundings> = {}): Surroundings =>
  around({ temperatureC: Array.from({ length: days }, () => 25), ...given });

const shares = fc
  .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 })
  .filter((v) => v.reduce((a, b) => a + b, 0) > 0.01)
  .map((v): NitrogenPools => {
    const sum = v.reduce((a, b) => a + b, 0);
    const [nitrate = 0, ammonium = 0, urea = 0, coated = 0, organic = 0] = v.map((x) => x / sum);
    return { nitrate, ammonium, urea, coated, organic, coatedForms: { urea: 0.5, ammonium: 0.3, nitrate: 0.2 } };
  });
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const organicNumbers = fc.record({
  fastShare: between(0, 1),
  kFastPerDay: between(0.005, 0.2),
  kSlowPerDay: between(0.0002, 0.008),
  carbonToNitrogen: between(3, 500),
});
const anyParameters: fc.Arbitrary<ReleaseParameters> = fc.record({
  q10: between(1.6, 3),
  coatingQ10: between(1.5, 2.5),
  nitrificationPerDay: between(0.05, 0.2),
  ureaHydrolysisPerDay: between(0.1, 1.2),
  denitrificationPerDay: between(0.01, 0.2),
  weibullShape: between(1.2, 2.5),
  criticalCN: between(15, 30),
  microbialCN: fc.constant(MICROBIAL_CN),
  microbialDeathPerDay: between(0.01, 0.04),
  humified: between(0.2, 0.4),
  volatileShare: between(0, 0.5),
  volatileAmmonium: between(0, 0.6),
  biology: between(0.2, 10),
  wetness: between(0, 2),
  rootingM: between(0.05, 3),
  soilMineralKgPerHa: between(0, 100),
  organic: fc.tuple(organicNumbers, organicNumbers, between(0, 1)).map(([a, b, t]) => [
    { ...a, share: t },
    { ...b, share: 1 - t },
  ]),
});
const weather = fc.record({
  temperatureC: fc.array(between(-10, 40), { minLength: 1, maxLength: 182 }),
  daysOnSurface: fc.integer({ min: 0, max: 30 }),
  drainedMm: between(0, 40),
  waterFilled: between(0.1, 1),
  uptake: between(0, 3),
});
const surrounded = ({
  temperatureC,
  daysOnSurface,
  drainedMm,
  waterFilled,
  uptake,
}: {
  temperatureC: number[];
  daysOnSurface: number;
  drainedMm: number;
  waterFilled: number;
  uptake: number;
}): Surroundings => {
  const days = <T>(value: T): T[] => temperatureC.map(() => value);
  return around({
    temperatureC,
    daysOnSurface,
    longevity: { days: 150, referenceC: 21 },
    demandKgPerHa: [0, ...temperatureC.map((_, i) => uptake * (i + 1))],
    water: {
      wetness: days(1.2),
      waterFilled: days(waterFilled),
      drainedMm: days(drainedMm),
      storedMm: days(80),
    },
  });
};

test('mass balance closes to 1e-9 at every step, whatever the material, the weather and the assumptions; nothing is ever negative but what is owed', () => {
  fc.assert(
    fc.property(shares, anyParameters, weather, (pools, p, days) => {
      const run = simulate(pools, surrounded(days), p);
      for (let day = 0; day <= days.temperatureC.length; day++) {
        expect(Math.abs(nitrogenBalance(run, day) - 1)).toBeLessThan(1e-9);
        for (const pool of [
          run.nitrate,
          run.urea,
          run.coated,
          run.undecomposed,
          run.microbial,
          run.leached,
          run.takenUp,
        ])
          expect(pool[day]).toBeGreaterThan(-1e-12);
        // Decomposers never owe more than the soil had to lend.
        expect(run.mineral[day]).toBeGreaterThan(-p.soilMineralKgPerHa / 100 - 1e-9);
      }
    }),
    { numRuns: 150 },
  );
});

/** A season as seasons go: warmth that rises and falls. */
const season = fc
  .record({
    meanC: between(-2, 20),
    amplitudeC: between(0, 15),
    days: fc.integer({ min: 90, max: 182 }),
    daysOnSurface: fc.integer({ min: 0, max: 30 }),
    drainedMm: between(0, 8),
    waterFilled: between(0.1, 1),
    uptake: between(0, 2),
  })
  .map(({ meanC, amplitudeC, days, ...rest }) => ({
    ...rest,
    temperatureC: Array.from({ length: days }, (_, i) => meanC + amplitudeC * Math.sin((2 * Math.PI * i) / 365)),
  }));
test('halving the step moves a season’s totals by less than half a per cent of the dose', () => {
  fc.assert(
    fc.property(shares, anyParameters, season, (pools, p, days) => {
      const [whole, half] = [1, 2].map((parts) => simulate(pools, surrounded(days), p, parts));
      const end = days.temperatureC.length;
      for (const key of ['available', 'leached', 'takenUp', 'volatilised', 'undecomposed', 'denitrified'] as const)
        expect(Math.abs(whole![key][end]! - half![key][end]!)).toBeLessThan(0.005);
    }),
    { numRuns: 60 },
  );
});

test('nitrate is all there at once', () => expect(simulate(only('nitrate'), warm(7), parameters()).mineral[0]).toBe(1));

test('urea hydrolyses first order: 1 − e^(−0.5) after a day at 25 °C', () =>
  expect(simulate(only('urea'), warm(1), parameters()).mineral[1]).toBeCloseTo(1 - Math.exp(-0.5), 12));

test('urea left on the surface loses its share as ammonia, worked in it loses none', () => {
  expect(
    simulate(only('urea'), warm(30, { daysOnSurface: 30 }), parameters({ volatileShare: 0.35 })).volatilised[30],
  ).toBeCloseTo(0.35, 5);
  expect(simulate(only('urea'), warm(30), parameters({ volatileShare: 0.35 })).volatilised[30]).toBe(0);
});

test('a coating gives 80 % at its longevity when it lies at its reference temperature', () => {
  const run = simulate(
    only('coated'),
    around({ temperatureC: Array.from({ length: 150 }, () => 21), longevity: { days: 150, referenceC: 21 } }),
    parameters(),
  );
  expect(run.coated[150]).toBeCloseTo(0.2, 10);
});

test('a coating rated at 25 °C is slower in 15 °C soil: half the thermal days with Q10 2', () => {
  const run = simulate(
    only('coated'),
    around({ temperatureC: Array.from({ length: 300 }, () => 15), longevity: { days: 150, referenceC: 25 } }),
    parameters(),
  );
  expect(run.coated[300]).toBeCloseTo(0.2, 10);
});

test('a C:N-80 residue ties nitrogen up before giving it back', () => {
  const { mineral } = simulate(
    only('organic'),
    warm(900),
    parameters({ organic: { ...meal, carbonToNitrogen: 80, fastShare: 0.35, kFastPerDay: 0.02, kSlowPerDay: 0.001 } }),
  );
  const lowest = mineral.indexOf(Math.min(...mineral));
  expect(mineral[lowest]).toBeLessThan(-0.1);
  expect(lowest).toBeGreaterThan(20);
  expect(mineral[900]).toBeGreaterThan(mineral[lowest]! + 0.1);
});

test('a C:N-4 meal gives from the first day, more than half within ten weeks', () => {
  const { mineral } = simulate(
    only('organic'),
    warm(70),
    parameters({ organic: { ...meal, carbonToNitrogen: 4, fastShare: 0.75, kFastPerDay: 0.1 } }),
  );
  expect(mineral[1]).toBeGreaterThan(0);
  expect(mineral[70]).toBeGreaterThan(0.5);
});

test('first net release of one day by hand: C:N 20 is where it turns (r_b ÷ e = 8 ÷ 0.4)', () => {
  const firstDay = (carbonToNitrogen: number): number =>
    simulate(only('organic'), warm(1), parameters({ organic: { ...meal, carbonToNitrogen } })).mineral[1]!;
  // At 20 only what dying decomposers give back within the day is left.
  expect(firstDay(20)).toBeCloseTo(0, 3);
  expect(firstDay(19)).toBeGreaterThan(0.001);
  expect(firstDay(21)).toBeLessThan(-0.001);
});

test('frozen or dry, nothing moves', () => {
  const frozen = simulate(
    only('organic'),
    around({ temperatureC: Array.from({ length: 30 }, () => -2) }),
    parameters(),
  );
  const dry = simulate(only('urea'), warm(30), parameters({ wetness: 0 }));
  expect([frozen.mineral[30], dry.mineral[30]]).toEqual([0, 0]);
});

test('a livelier medium releases faster', () => {
  const after = (biology: number): number =>
    simulate(only('organic'), warm(14), parameters({ biology, organic: { ...meal, carbonToNitrogen: 4 } }))
      .mineral[14]!;
  expect(after(4)).toBeGreaterThan(1.8 * after(1));
  expect(after(0.3)).toBeLessThan(0.6 * after(1));
});

test('ammonium becomes nitrate at its rate', () => {
  const run = simulate(only('ammonium'), warm(10), parameters());
  expect(run.nitrate[10]).toBeCloseTo(1 - Math.exp(-1), 10);
});

test('what drains past the roots is lost: nitrate that a deep root still reaches is gone from a shallow one', () => {
  const rained = (rootingM: number): number => {
    const days = surrounded({
      temperatureC: Array.from({ length: 60 }, () => 12),
      daysOnSurface: 0,
      drainedMm: 3,
      waterFilled: 0.3,
      uptake: 0,
    });
    return simulate(only('nitrate'), days, parameters({ rootingM })).leached[60]!;
  };
  const lost = [0.15, 0.3, 0.6, 1.2].map(rained);
  expect(lost[0]).toBeGreaterThan(0.99);
  // 180 mm through 80 mm of water in the upper 30 cm: two and a quarter fillings, of which a metre needs four.
  expect(lost[1]).toBeGreaterThan(0.95);
  expect(lost[2]! > 0.3 && lost[2]! < 0.9).toBe(true);
  expect(lost[3]).toBeLessThan(0.05);
});

test('every shared parameter lies inside its own range and names a source', () => {
  for (const { range, source, label } of Object.values(SHARED_PARAMETERS)) {
    expect(range.low).toBeLessThan(range.mid + 1e-12);
    expect(range.mid).toBeLessThan(range.high + 1e-12);
    expect(source.length * label.length).toBeGreaterThan(0);
  }
});
