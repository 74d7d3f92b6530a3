import { bag, featherMeal, line, straw, urea, wheatStrip } from '../../test/bags.js';
import { assumptionsIn } from '../figure/index.js';
import { triangular } from '../quantity/index.js';
import { releaseBand } from './band.js';
import { numbersFrom, volatileParameter } from './parameters.js';
import { simulate } from './simulate.js';
import {
  courseFigure,
  courseSum,
  productRelease,
  RELEASE_DAYS,
  weekly,
  type ProductRelease,
} from './productRelease.js';

const run = (...args: Parameters<typeof productRelease>): Extract<ProductRelease, { kind: 'release' }> => {
  const release = productRelease(...args);
  if (release.kind !== 'release') throw new Error(release.why);
  return release;
};
const IN = { daysOnSurface: 0 };

test('runs 26 weeks from the planting date and says what it assumed', () => {
  const release = run(featherMeal, wheatStrip, IN);
  expect(release.run.available).toHaveLength(RELEASE_DAYS + 1);
  expect(weekly(release.run.available)).toHaveLength(27);
  const labels = assumptionsIn(courseFigure(release, 'available', 26)).map((a) => a.label);
  expect(labels).toEqual(expect.arrayContaining(['C:N of the material', 'speed-up per 10 °C (Q10)']));
  expect(labels).not.toContain('urea hydrolysis at 25 °C');
});

test('what the label leaves open is drawn: forms of meal with nitrate, the longevity of a coating', () => {
  const mixed = bag({ id: 'm', analysis: [line('N', 10)], derivedFrom: ['calcium nitrate', 'feather meal'] });
  const prills = bag({
    id: 'p',
    analysis: [line('N', 16), line('N.urea', 16), line('N.coated', 16)],
    derivedFrom: ['urea'],
  });
  for (const [product, label, week] of [
    [mixed, 'share of its nitrogen that is not organic', 1],
    [prills, 'rated longevity of the coating, not entered', 12],
  ] as const) {
    const release = run(product, wheatStrip, IN);
    expect(release.assumptions.map((a) => a.label)).toContain(label);
    const band = releaseBand(release.setup, 200, 7)!;
    expect(band.high[week]! - band.low[week]!).toBeGreaterThan(0.1);
    expect(release.run.available[week * 7]).toBeGreaterThanOrEqual(band.low[week]!);
    expect(release.run.available[week * 7]).toBeLessThanOrEqual(band.high[week]!);
  }
  const known = run({ ...prills, longevity: { days: 120, referenceC: 21 } }, wheatStrip, IN);
  expect(known.assumptions.map((a) => a.label)).not.toContain('rated longevity of the coating, not entered');
  // A typical longevity at its middle gives the same as that longevity entered.
  expect([...known.run.available]).toEqual([...run(prills, wheatStrip, IN).run.available]);
});

test('a warmer site is faster, a potting mix faster than soil', () => {
  const week4 = (site: typeof wheatStrip): number => run(featherMeal, site, IN).run.available[28]!;
  const warm = { ...wheatStrip, temperature: { kind: 'sine', meanC: 20, amplitudeC: 5, warmestDay: 200 } } as const;
  expect(week4(warm)).toBeGreaterThan(week4(wheatStrip));
  expect(week4({ ...wheatStrip, medium: 'organicPotting' })).toBeGreaterThan(week4(wheatStrip));
});

test('surface loss follows soil pH: 10, 20, 35 % at the middle; unknown pH is said to be unknown', () => {
  const lost = (pH: number | undefined): number =>
    run(urea, { ...wheatStrip, pH }, { daysOnSurface: 60 }).run.volatilised[RELEASE_DAYS]!;
  expect([lost(6), lost(7), lost(8)]).toEqual([
    expect.closeTo(0.1, 3),
    expect.closeTo(0.2, 3),
    expect.closeTo(0.35, 3),
  ]);
  const unknown = run(urea, { ...wheatStrip, pH: undefined }, { daysOnSurface: 60 });
  expect(unknown.assumptions.map((a) => a.label)).toContain(
    'share of urea lost as ammonia from the surface, soil pH not known',
  );
});

test('a measured C:N replaces the class average and is no longer an assumption', () => {
  const measured = run({ ...straw, carbonToNitrogen: 25 }, wheatStrip, IN);
  expect(measured.run.available[182]).toBeGreaterThan(run(straw, wheatStrip, IN).run.available[182]!);
  expect(assumptionsIn(courseFigure(measured, 'available', 26)).map((a) => a.label)).not.toContain(
    'C:N of the material',
  );
});

test('straw is below zero in the middle of the season', () =>
  expect(Math.min(...run(straw, wheatStrip, IN).run.available)).toBeLessThan(-0.1));

test('what cannot be followed says why', () =>
  expect(productRelease(bag({ analysis: [line('K', 50)] }), wheatStrip, IN)).toMatchObject({
    kind: 'unknown',
    why: 'no nitrogen is declared',
  }));

test('the band holds the middle course, is the same for the same seed, and narrows to a line without assumptions', () => {
  const { setup, run: middle } = run(featherMeal, wheatStrip, IN);
  const band = releaseBand(setup, 400, 7)!;
  expect(releaseBand(setup, 400, 7)).toEqual(band);
  expect(band.low[26]).toBeLessThan(middle.available[182]!);
  expect(band.high[26]).toBeGreaterThan(middle.available[182]!);
  for (let w = 0; w <= 26; w++) expect(band.low[w]! <= band.median[w]! && band.median[w]! <= band.high[w]!).toBe(true);
  const nitrate = run(bag({ analysis: [line('N', 10), line('N.nitrate', 10)] }), wheatStrip, IN);
  const still = releaseBand(nitrate.setup, 50, 1)!;
  expect([still.low[0], still.high[26]]).toEqual([1, expect.closeTo(1, 12)]);
});

test('a band that is called off yields nothing', () =>
  expect(releaseBand(run(featherMeal, wheatStrip, IN).setup, 2000, 1, () => false)).toBeUndefined());

test('the triangle’s quantiles: ends, and the peak at its share', () => {
  const range = { low: 1, mid: 2, high: 5 };
  expect([triangular(range, 0), triangular(range, 0.25), triangular(range, 1)]).toEqual([1, expect.closeTo(2, 12), 5]);
});

test('straw listed behind feather meal cannot carry half of its nitrogen: the mix gives, a bag of straw ties up', () => {
  const both = bag({ analysis: [line('N', 8), line('N.waterInsoluble', 8)], derivedFrom: ['feather meal', 'straw'] });
  const release = run(both, wheatStrip, IN);
  expect(release.run.available[RELEASE_DAYS]).toBeGreaterThan(0.5);
  const [feather, chaff] = numbersFrom(release.setup.parameters).organic;
  // By mass 75 : 25 at the middle, 13 % and 0.55 % N: straw carries 0.14 of 9.89 parts.
  expect(chaff!.share).toBeCloseTo((0.25 * 0.55) / (0.75 * 13 + 0.25 * 0.55), 9);
  expect(feather!.share + chaff!.share).toBeCloseTo(1, 12);
  const labels = release.assumptions.map((a) => a.label);
  expect(labels).toContain('how far the first organic ingredient listed outweighs the others');
  expect(labels).toContain('C:N of the material, straw');
  expect(release.supposed.join()).toMatch(/weighed by mass/);
});
test('listed the other way round straw may carry more, as a range: equal masses at one end, all straw at the other', () => {
  const mixed = bag({ analysis: [line('N', 1), line('N.waterInsoluble', 1)], derivedFrom: ['straw', 'feather meal'] });
  const { setup } = run(mixed, wheatStrip, IN);
  const strawAt = (end: 'low' | 'high'): number =>
    numbersFrom(setup.parameters, (range) => range[end]).organic[0]!.share;
  expect(strawAt('low')).toBeCloseTo(0.4 / 11.4, 9);
  expect(strawAt('high')).toBe(1);
});

test('biochar gives nothing in a season', () => {
  const char = bag({ analysis: [line('N', 0.6)], derivedFrom: ['biochar'] });
  expect(run(char, wheatStrip, IN).run.undecomposed[RELEASE_DAYS]).toBe(1);
});

test('ammonia of urea left on top stops at the first logged 12 mm, not at 11', () => {
  const lost = (mm: number): number =>
    run(
      urea,
      { ...wheatStrip, pH: 8, logged: [{ from: '2026-03-18', series: { rainMm: [mm] } }] },
      { daysOnSurface: 60 },
    ).run.volatilised[RELEASE_DAYS]!;
  expect(lost(11.9)).toBeCloseTo(0.35, 3);
  expect(lost(12)).toBeLessThan(0.15);
});

test('ammonium salts left on top lose ammonia on limy soil only: above pH 7.5, not at it', () => {
  const sulfate = bag({ analysis: [line('N', 21), line('N.ammoniacal', 21)], derivedFrom: ['ammonium sulfate'] });
  const lost = (pH: number, daysOnSurface = 60): number =>
    run(sulfate, { ...wheatStrip, pH }, { daysOnSurface }).run.volatilised[RELEASE_DAYS]!;
  expect(lost(7.5)).toBe(0);
  expect(lost(7.6)).toBeCloseTo(0.15, 2);
  expect(lost(8, 0)).toBe(0);
});

test('urea on top loses by the class of its soil at the edges: pH 6.5 and 7.5 belong to the middle class', () => {
  const mid = (pH: number): number => volatileParameter(pH).range.mid;
  expect([6.49, 6.5, 7.5, 7.51].map(mid)).toEqual([0.1, 0.2, 0.2, 0.35]);
});

test('manure left on top loses ammonium on any soil', () => {
  const slurry = bag({ analysis: [line('N', 1), line('N.ammoniacal', 1)], derivedFrom: ['cattle manure'] });
  expect(run(slurry, wheatStrip, { daysOnSurface: 60 }).run.volatilised[RELEASE_DAYS]).toBeCloseTo(0.3, 2);
});

test('the band’s edges are the tenth and ninetieth of a hundred, its middle the fiftieth: where one assumption alone moves', () => {
  const { setup } = run(urea, wheatStrip, IN);
  const fixed = Object.fromEntries(
    Object.entries(setup.parameters.shared).map(([key, f]) => [
      key,
      key === 'ureaHydrolysisPerDay' ? f : { ...f, value: { low: f.value.mid, mid: f.value.mid, high: f.value.mid } },
    ]),
  ) as typeof setup.parameters.shared;
  const parameters = { ...setup.parameters, shared: fixed };
  const band = releaseBand({ ...setup, parameters }, 4000, 11)!;
  const hydrolysis = fixed.ureaHydrolysisPerDay.value;
  // The faster the hydrolysis, the more is there in week 1: quantiles pass through.
  const at = (share: number): number =>
    simulate(setup.pools, setup.around, {
      ...numbersFrom(parameters),
      ureaHydrolysisPerDay: triangular(hydrolysis, share),
    }).available[7]!;
  expect([band.low[1], band.median[1], band.high[1]]).toEqual([0.1, 0.5, 0.9].map((q) => expect.closeTo(at(q), 2)));
  expect(at(0.5) - at(0.1)).toBeGreaterThan(0.1);
});
test('a triangle’s draws: a tenth of the way by hand on either side of its peak', () => {
  const range = { low: 0, mid: 1, high: 3 };
  // F(x) = x² ÷ 3 below the peak, 1 − (3 − x)² ÷ 6 above it.
  expect(triangular(range, 0.12)).toBeCloseTo(0.6, 12);
  expect(triangular(range, 1 - 1 / 6)).toBeCloseTo(2, 12);
  expect(triangular({ low: 2, mid: 2, high: 2 }, 0.7)).toBe(2);
});
test('nitrification goes by warmth, and a debt is paid before anything counts as available', () => {
  const salt = bag({ analysis: [line('N', 21), line('N.ammoniacal', 21)], derivedFrom: ['ammonium sulfate'] });
  const nitrate = (meanC: number): number =>
    run(salt, { ...wheatStrip, temperature: { kind: 'sine', meanC, amplitudeC: 0, warmestDay: 0 } }, IN).run
      .nitrate[7]!;
  expect(nitrate(25)).toBeGreaterThan(1.6 * nitrate(15));
  expect(nitrate(0)).toBe(0);
});

test('every place of a week is a figure, and together they are all of the bag’s nitrogen', () => {
  const release = productRelease(featherMeal, wheatStrip, { daysOnSurface: 0 });
  if (release.kind === 'unknown') throw new Error(release.why);
  const at = (place: Parameters<typeof courseFigure>[1]) => courseFigure(release, place, 8).value.mid;
  const { run } = release;
  expect(at('available')).toBeCloseTo(100 * run.available[56]!, 9);
  expect(at('notReleased')).toBeCloseTo(100 * (run.urea[56]! + run.coated[56]! + run.undecomposed[56]!), 9);
  expect(at('inSoil')).toBeCloseTo(100 * (run.microbial[56]! + run.humus[56]!), 9);
  expect(at('gas')).toBeCloseTo(100 * (run.volatilised[56]! + run.denitrified[56]!), 9);
  expect(at('drained')).toBeCloseTo(100 * run.leached[56]!, 9);
  expect(courseSum(release, 8).value.mid).toBeCloseTo(100, 7);
});
