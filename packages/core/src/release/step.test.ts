import fc from 'fast-check';
import { drainCells } from './cascade.js';
import { passedOn, passedOnTwice } from './exponentials.js';
import { coatedRelease } from './responses.js';
import { add, emptyLayer, nitrateIn, type Dose, type NitrogenState } from './state.js';
import { step, type Day, type Laws } from './step.js';

const laws: Laws = {
  q10: 2,
  coatingQ10: 2,
  weibullShape: 1.8,
  nitrificationPerDay: 0.1,
  ureaHydrolysisPerDay: 0.5,
  denitrificationPerDay: 0.05,
  criticalCN: 20,
  microbialCN: 8,
  microbialDeathPerDay: 0.02,
  humified: 0.3,
  volatileShare: 0.2,
};
const warm: Day = {
  temperatureC: 25,
  wetness: 1,
  waterFilled: 0,
  biology: 1,
  settles: false,
  drainedMm: 0,
  cellMm: 14,
  uptake: 0,
};
const dose = (given: Partial<Dose>): Dose => ({
  nitrate: 0,
  ammonium: 0,
  urea: 0,
  coated: 0,
  coatedForms: { urea: 1, ammonium: 0, nitrate: 0 },
  longevity: undefined,
  organic: [],
  volatileAmmonium: 0,
  workedInM: 0.15,
  ...given,
});
const layerOf = (...doses: Dose[]): NitrogenState => {
  const state = emptyLayer(0.3, 100);
  doses.forEach((d) => add(state, d));
  return state;
};

/** The same laws by many small Runge–Kutta steps: urea on top and below, ammonium, nitrate, decomposers, then fast and slow carbon of each material. */
function integrate(state: NitrogenState, p: Laws, days: number, life = 1): readonly number[] {
  const e = p.microbialCN / p.criticalCN;
  const pools = state.organic.flatMap((o) => [
    { k: o.kFastPerDay * life, cn: o.carbonToNitrogen, c: o.fastC },
    { k: o.kSlowPerDay * life, cn: o.carbonToNitrogen, c: o.slowC },
  ]);
  const rate = ([top = 0, urea = 0, ammonium = 0, , microbes = 0, ...carbon]: readonly number[]): number[] => {
    const eaten = pools.map(({ k }, i) => k * (carbon[i] ?? 0));
    const died = p.microbialDeathPerDay * life * microbes;
    const freed = pools.reduce((s, { cn }, i) => s + eaten[i]! * (1 / cn - e / p.microbialCN), 0);
    const hydrolysed = p.ureaHydrolysisPerDay * (urea + (1 - p.volatileShare) * top);
    const nitrified = p.nitrificationPerDay * ammonium;
    return [
      -p.ureaHydrolysisPerDay * top,
      -p.ureaHydrolysisPerDay * urea,
      hydrolysed + freed + ((1 - p.humified) * died) / p.microbialCN - nitrified,
      nitrified,
      e * eaten.reduce((a, b) => a + b, 0) - died,
      ...eaten.map((x) => -x),
    ];
  };
  let y = [state.surfaceUrea, state.urea, state.ammonium, nitrateIn(state), state.microbialC, ...pools.map((o) => o.c)];
  const n = 400 * days;
  const h = days / n;
  const plus = (a: readonly number[], b: readonly number[], f: number): number[] => a.map((x, i) => x + f * b[i]!);
  for (let i = 0; i < n; i++) {
    const k1 = rate(y);
    const k2 = rate(plus(y, k1, h / 2));
    const k3 = rate(plus(y, k2, h / 2));
    const k4 = rate(plus(y, k3, h));
    y = y.map((x, j) => x + (h / 6) * (k1[j]! + 2 * k2[j]! + 2 * k3[j]! + k4[j]!));
  }
  return y;
}
const asList = (s: NitrogenState): readonly number[] => [
  s.surfaceUrea,
  s.urea,
  s.ammonium,
  nitrateIn(s),
  s.microbialC,
  ...s.organic.flatMap((o) => [o.fastC, o.slowC]),
];

const rates = fc.double({ min: 1e-4, max: 1.5, noNaN: true });
test('ten days in closed form are ten days in small steps, to 1e-9: urea, ammonium, nitrate, decomposers, two materials', () => {
  fc.assert(
    fc.property(
      rates,
      rates,
      rates,
      rates,
      rates,
      fc.double({ min: 4, max: 60, noNaN: true }),
      (u, n, b, k1, k2, cn) => {
        const p = { ...laws, ureaHydrolysisPerDay: u, nitrificationPerDay: n, microbialDeathPerDay: b };
        const organic = [
          { nitrogen: 20, fastShare: 0.7, kFastPerDay: k1, kSlowPerDay: 0.003, carbonToNitrogen: cn },
          { nitrogen: 5, fastShare: 0.4, kFastPerDay: k2, kSlowPerDay: 0.001, carbonToNitrogen: 12 },
        ];
        const doses = [
          dose({ nitrate: 50, ammonium: 60, urea: 30, organic }),
          dose({ urea: 10, workedInM: 'surface' }),
        ];
        const state = layerOf(...doses);
        const exact = integrate(layerOf(...doses), p, 10);
        for (let day = 0; day < 10; day++) {
          step(state, warm, p);
          // Ammonium that runs out on any day changes what nitrifies from then on.
          fc.pre(state.lent === 0 && state.ammonium > 0);
        }
        asList(state).forEach((x, i) => expect(Math.abs(x - exact[i]!)).toBeLessThan(1e-9 * 150));
      },
    ),
    { numRuns: 25 },
  );
});

test('where two rates are the same the closed form still holds', () => {
  const p = { ...laws, ureaHydrolysisPerDay: 0.1, nitrificationPerDay: 0.1, microbialDeathPerDay: 0.1 };
  const organic = [{ nitrogen: 20, fastShare: 0.7, kFastPerDay: 0.1, kSlowPerDay: 0.1, carbonToNitrogen: 6 }];
  const state = layerOf(dose({ urea: 30, organic }));
  const exact = integrate(layerOf(dose({ urea: 30, organic })), p, 5);
  for (let day = 0; day < 5; day++) step(state, warm, p);
  asList(state).forEach((x, i) => expect(x).toBeCloseTo(exact[i]!, 9));
});

test('one step of any length is what many make of it, while nothing runs short', () => {
  const organic = [{ nitrogen: 20, fastShare: 0.7, kFastPerDay: 0.08, kSlowPerDay: 0.004, carbonToNitrogen: 5 }];
  const [once, often] = [layerOf(dose({ urea: 30, organic })), layerOf(dose({ urea: 30, organic }))];
  step(once, warm, laws, 6);
  for (let i = 0; i < 48; i++) step(often, warm, laws, 1 / 8);
  asList(once).forEach((x, i) => expect(x).toBeCloseTo(asList(often)[i]!, 10));
});

test('passing on: e^−a where rates meet, continuous there, and by hand elsewhere', () => {
  expect(passedOn(0.5, 0.5)).toBeCloseTo(Math.exp(-0.5), 14);
  expect(passedOn(0.1, 0.6)).toBeCloseTo((Math.exp(-0.1) - Math.exp(-0.6)) / 0.5, 14);
  expect(passedOnTwice(0, 0, 0)).toBeCloseTo(0.5, 14);
  expect(passedOnTwice(0, 1, 2)).toBeCloseTo((1 - 2 * Math.exp(-1) + Math.exp(-2)) / 2, 14);
  for (const gap of [0.99e-4, 1.01e-4])
    expect(passedOnTwice(0.3, 0.3 + gap, 0.3 + gap / 2)).toBeCloseTo(
      Math.exp(-0.3 - gap / 2) * (0.5 + gap ** 2 / 96),
      11,
    );
});

test('a coating feeds evenly over the day: day one of a 150-day coating, urea left by hand', () => {
  const state = layerOf(dose({ coated: 100, longevity: { days: 150, referenceC: 25 } }));
  step(state, warm, laws);
  const out = 100 * coatedRelease(1, 150, 1.8);
  expect(state.coated[0]!.released).toBeCloseTo(out, 12);
  expect(state.urea).toBeCloseTo((out * (1 - Math.exp(-0.5))) / 0.5, 12);
});

test('what a coating holds comes out as what it is', () => {
  const forms = { urea: 0, ammonium: 0.5, nitrate: 0.5 };
  const state = layerOf(dose({ coated: 100, coatedForms: forms, longevity: { days: 30, referenceC: 25 } }));
  for (let day = 0; day < 30; day++) step(state, warm, { ...laws, nitrificationPerDay: 0 });
  expect([state.urea, state.ammonium, nitrateIn(state)]).toEqual([0, expect.closeTo(40, 9), expect.closeTo(40, 9)]);
});

test('straw without mineral nitrogen decomposes only as fast as nitrogen comes in, and never owes more than there is', () => {
  const straw = { nitrogen: 30, fastShare: 0.35, kFastPerDay: 0.02, kSlowPerDay: 0.001, carbonToNitrogen: 80 };
  const rich = emptyLayer(0.3, 1000);
  const poor = emptyLayer(0.3, 2);
  for (const state of [rich, poor]) {
    add(state, dose({ organic: [straw] }));
    for (let day = 0; day < 60; day++) step(state, warm, laws);
  }
  expect(poor.lent).toBeCloseTo(2, 6);
  expect(rich.lent).toBeGreaterThan(8);
  expect(poor.organic[0]!.fastC).toBeGreaterThan(1.5 * rich.organic[0]!.fastC);
});

test('a second dose pays what the first has borrowed: doses share the debt', () => {
  const straw = { nitrogen: 30, fastShare: 0.35, kFastPerDay: 0.02, kSlowPerDay: 0.001, carbonToNitrogen: 80 };
  const state = layerOf(dose({ organic: [straw] }));
  for (let day = 0; day < 20; day++) step(state, warm, laws);
  const owed = state.lent;
  expect(owed).toBeGreaterThan(1);
  add(state, dose({ nitrate: owed + 5 }));
  step(state, warm, laws);
  expect(state.lent).toBe(0);
  expect(nitrateIn(state) + state.ammonium).toBeLessThan(5);
  expect(nitrateIn(state) + state.ammonium).toBeGreaterThan(4);
});

test('doses one after the other are doses together: microbes and leaching are shared', () => {
  const meal = { nitrogen: 20, fastShare: 0.7, kFastPerDay: 0.08, kSlowPerDay: 0.004, carbonToNitrogen: 5 };
  const one = layerOf(dose({ nitrate: 20, organic: [{ ...meal, nitrogen: 40 }] }));
  const two = layerOf(dose({ nitrate: 12, organic: [meal] }), dose({ nitrate: 8, organic: [meal] }));
  for (const state of [one, two]) for (let d = 0; d < 9; d++) step(state, { ...warm, drainedMm: 5 }, laws);
  expect(two.leached).toBeCloseTo(one.leached, 10);
  expect(two.microbialC).toBeCloseTo(one.microbialC, 10);
});

test('ammonia stops at the first soaking: urea and ammonium on top go into the soil', () => {
  const state = layerOf(dose({ urea: 40, ammonium: 20, volatileAmmonium: 0.3, workedInM: 'surface' }));
  step(state, warm, laws);
  // By hand: a fifth of the urea hydrolysed, and of six exposed kilograms of ammonium what a day at 0.3 /d takes.
  const lost = 0.2 * 40 * (1 - Math.exp(-0.5)) + 6 * (1 - Math.exp(-0.3));
  expect(state.volatilised).toBeCloseTo(lost, 12);
  step(state, { ...warm, settles: true }, laws);
  expect([state.volatilised, state.surfaceUrea, state.exposedAmmonium]).toEqual([expect.closeTo(lost, 12), 0, 0]);
});

test('nitrate goes off as gas only where more than four fifths of the pores are full, faster the fuller', () => {
  const lost = (waterFilled: number): number => {
    const state = layerOf(dose({ nitrate: 100 }));
    step(state, { ...warm, waterFilled }, laws);
    return state.denitrified;
  };
  expect(lost(0.8)).toBe(0);
  expect(lost(0.9)).toBeCloseTo(100 * (1 - Math.exp(-0.025)), 10);
  expect(lost(1)).toBeCloseTo(100 * (1 - Math.exp(-0.05)), 10);
});

test('the crop takes what it wants while there is some, and that is no longer there to drain', () => {
  const [bare, cropped] = [layerOf(dose({ nitrate: 30 })), layerOf(dose({ nitrate: 30 }))];
  step(bare, { ...warm, drainedMm: 20 }, laws);
  step(cropped, { ...warm, drainedMm: 20, uptake: 12 }, laws);
  expect(cropped.takenUp).toBe(12);
  // Six of thirty are taken before the water goes through, six after.
  expect(cropped.leached).toBeCloseTo(bare.leached * 0.8, 10);
  step(cropped, { ...warm, uptake: 500 }, laws);
  expect(nitrateIn(cropped) + cropped.ammonium).toBeCloseTo(0, 10);
});

test('leaching: one cell keeps e^(−q/V); two cells by hand; a cascade is the same in one go and in parts', () => {
  const one = Float64Array.of(1);
  expect(drainCells(one, 10, 20)).toBeCloseTo(1 - Math.exp(-0.5), 12);
  const two = Float64Array.of(1, 0);
  drainCells(two, 10, 20);
  expect([...two]).toEqual([expect.closeTo(Math.exp(-0.5), 12), expect.closeTo(0.5 * Math.exp(-0.5), 12)]);
  const [whole, parts] = [Float64Array.of(1, 2, 0, 4, 0, 0), Float64Array.of(1, 2, 0, 4, 0, 0)];
  const left = drainCells(whole, 30, 14);
  const inParts = [7, 11, 12].reduce((s, mm) => s + drainCells(parts, mm, 14), 0);
  expect(inParts).toBeCloseTo(left, 12);
  whole.forEach((x, i) => expect(parts[i]).toBeCloseTo(x, 12));
});
test('no water drains nothing, much water drains nearly all, and a thin layer has one cell', () => {
  const cells = Float64Array.of(3, 3);
  expect([drainCells(cells, 0, 14), ...cells]).toEqual([0, 3, 3]);
  expect(drainCells(cells, 1000, 14)).toBeCloseTo(6, 9);
  expect([emptyLayer(0.02, 0).nitrate.length, emptyLayer(0.3, 0).nitrate.length]).toEqual([1, 6]);
});

test('the same material given often is one pool, of another speed another', () => {
  const organic = [
    { nitrogen: 2, fastShare: 0.5, kFastPerDay: 0.1, kSlowPerDay: 0.01, carbonToNitrogen: 10 },
    { nitrogen: 1, fastShare: 0.5, kFastPerDay: 0.2, kSlowPerDay: 0.01, carbonToNitrogen: 10 },
  ];
  const state = layerOf(dose({ organic }), dose({ organic }), dose({ organic }));
  expect(state.organic.map((o) => [o.kFastPerDay, o.fastC, o.slowC])).toEqual([
    [0.1, 30, 30],
    [0.2, 15, 15],
  ]);
});
