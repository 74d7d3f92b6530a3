import fc from 'fast-check';
import { SHARED_PARAMETERS } from './defaults.js';
import type { NitrogenPools } from './nitrogenPools.js';
import { nitrogenBalance, simulate, type ReleaseParameters, type Surroundings } from './simulate.js';

const parameters = (given: Partial<ReleaseParameters> = {}): ReleaseParameters => ({
  q10: 2,
  nitrificationPerDay: 0.1,
  ureaHydrolysisPerDay: 0.5,
  weibullShape: 1.8,
  carbonUse: 0.4,
  microbialCN: 8,
  microbialDeathPerDay: 0.02,
  humified: 0.3,
  volatileShare: 0.1,
  fastShare: 0.6,
  kFastPerDay: 0.06,
  kSlowPerDay: 0.003,
  carbonToNitrogen: 10,
  biology: 1,
  waterFilled: 0.6,
  ...given,
});
const only = (pool: keyof NitrogenPools): NitrogenPools => ({
  nitrate: 0,
  ammonium: 0,
  urea: 0,
  coated: 0,
  organic: 0,
  [pool]: 1,
});
const warm = (days: number, given: Partial<Surroundings> = {}): Surroundings => ({
  temperatureC: Array.from({ length: days }, () => 25),
  daysOnSurface: 0,
  longevity: undefined,
  ...given,
});

const shares = fc
  .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 })
  .filter((v) => v.reduce((a, b) => a + b, 0) > 0.01)
  .map((v): NitrogenPools => {
    const sum = v.reduce((a, b) => a + b, 0);
    const [nitrate = 0, ammonium = 0, urea = 0, coated = 0, organic = 0] = v.map((x) => x / sum);
    return { nitrate, ammonium, urea, coated, organic };
  });
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyParameters: fc.Arbitrary<ReleaseParameters> = fc.record({
  q10: between(1.6, 3),
  nitrificationPerDay: between(0.05, 0.2),
  ureaHydrolysisPerDay: between(0.1, 1.2),
  weibullShape: between(1.2, 2.5),
  carbonUse: between(0.2, 0.6),
  microbialCN: between(5, 12),
  microbialDeathPerDay: between(0.01, 0.04),
  humified: between(0.2, 0.4),
  volatileShare: between(0, 0.5),
  fastShare: between(0, 1),
  kFastPerDay: between(0.005, 0.2),
  kSlowPerDay: between(0.0002, 0.008),
  carbonToNitrogen: between(3, 500),
  biology: between(0.2, 4),
  waterFilled: between(0.1, 1),
});

test('mass balance closes to 1e-9 at every step, whatever the material, the weather and the assumptions', () => {
  fc.assert(
    fc.property(
      shares,
      anyParameters,
      fc.array(between(-10, 40), { minLength: 1, maxLength: 182 }),
      fc.integer({ min: 0, max: 30 }),
      (pools, p, temperatureC, daysOnSurface) => {
        const run = simulate(pools, { temperatureC, daysOnSurface, longevity: { days: 150, referenceC: 21 } }, p);
        for (let day = 0; day <= temperatureC.length; day++)
          expect(Math.abs(nitrogenBalance(run, day) - 1)).toBeLessThan(1e-9);
      },
    ),
    { numRuns: 150 },
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
    { temperatureC: Array.from({ length: 150 }, () => 21), daysOnSurface: 0, longevity: { days: 150, referenceC: 21 } },
    parameters(),
  );
  expect(run.coated[150]).toBeCloseTo(0.2, 10);
});

test('a coating rated at 25 °C is slower in 15 °C soil: half the thermal days with Q10 2', () => {
  const run = simulate(
    only('coated'),
    { temperatureC: Array.from({ length: 300 }, () => 15), daysOnSurface: 0, longevity: { days: 150, referenceC: 25 } },
    parameters(),
  );
  expect(run.coated[300]).toBeCloseTo(0.2, 10);
});

test('a C:N-80 residue ties nitrogen up before giving it back', () => {
  const { mineral } = simulate(
    only('organic'),
    warm(900),
    parameters({ carbonToNitrogen: 80, fastShare: 0.35, kFastPerDay: 0.02, kSlowPerDay: 0.001 }),
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
    parameters({ carbonToNitrogen: 4, fastShare: 0.75, kFastPerDay: 0.1 }),
  );
  expect(mineral[1]).toBeGreaterThan(0);
  expect(mineral[70]).toBeGreaterThan(0.5);
});

test('first net release of one day by hand: C:N 20 is where it turns (r_b ÷ e = 8 ÷ 0.4)', () => {
  const firstDay = (carbonToNitrogen: number): number =>
    simulate(only('organic'), warm(1), parameters({ carbonToNitrogen })).mineral[1]!;
  expect(firstDay(20)).toBeCloseTo(0, 12);
  expect(firstDay(19)).toBeGreaterThan(0);
  expect(firstDay(21)).toBeLessThan(0);
});

test('frozen or dry, nothing moves', () => {
  const frozen = simulate(
    only('organic'),
    { temperatureC: Array.from({ length: 30 }, () => -2), daysOnSurface: 0, longevity: undefined },
    parameters(),
  );
  const dry = simulate(only('urea'), warm(30), parameters({ waterFilled: 0.12 }));
  expect([frozen.mineral[30], dry.mineral[30]]).toEqual([0, 0]);
});

test('a livelier medium releases faster', () => {
  const after = (biology: number): number =>
    simulate(only('organic'), warm(14), parameters({ biology, carbonToNitrogen: 4 })).mineral[14]!;
  expect(after(4)).toBeGreaterThan(1.8 * after(1));
  expect(after(0.3)).toBeLessThan(0.6 * after(1));
});

test('ammonium becomes nitrate at its rate', () => {
  const run = simulate(only('ammonium'), warm(10), parameters());
  expect(run.nitrate[10]).toBeCloseTo(1 - Math.exp(-1), 10);
});

test('every shared parameter lies inside its own range and names a source', () => {
  for (const { range, source, label } of Object.values(SHARED_PARAMETERS)) {
    expect(range.low).toBeLessThan(range.mid + 1e-12);
    expect(range.mid).toBeLessThan(range.high + 1e-12);
    expect(source.length * label.length).toBeGreaterThan(0);
  }
});
