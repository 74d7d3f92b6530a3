import { bag, featherMeal, line, straw, urea, wheatStrip } from '../../test/bags.js';
import { assumptionsIn } from '../figure/index.js';
import { releaseBand, triangular } from './band.js';
import { productRelease, RELEASE_DAYS, weekly, type ProductRelease } from './productRelease.js';

const run = (...args: Parameters<typeof productRelease>): Extract<ProductRelease, { kind: 'release' }> => {
  const release = productRelease(...args);
  if (release.kind !== 'release') throw new Error(release.why);
  return release;
};
const IN = { daysOnSurface: 0 };

test('runs 26 weeks from the planting date and says what it assumed', () => {
  const release = run(featherMeal, wheatStrip, IN);
  expect(release.run.mineral).toHaveLength(RELEASE_DAYS + 1);
  expect(weekly(release.run.mineral)).toHaveLength(27);
  const labels = assumptionsIn(release.available).map((a) => a.label);
  expect(labels).toEqual(expect.arrayContaining(['C:N of the material', 'speed-up per 10 °C (Q10)']));
  expect(labels).not.toContain('urea hydrolysis at 25 °C');
});

test('a warmer site is faster, a potting mix faster than soil', () => {
  const week4 = (site: typeof wheatStrip): number => run(featherMeal, site, IN).run.mineral[28]!;
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
  expect(measured.run.mineral[182]).toBeGreaterThan(run(straw, wheatStrip, IN).run.mineral[182]!);
  expect(assumptionsIn(measured.available).map((a) => a.label)).not.toContain('C:N of the material');
});

test('straw is below zero in the middle of the season', () =>
  expect(Math.min(...run(straw, wheatStrip, IN).run.mineral)).toBeLessThan(-0.1));

test('what cannot be followed says why', () =>
  expect(productRelease(bag({ analysis: [line('K', 50)] }), wheatStrip, IN)).toMatchObject({
    kind: 'unknown',
    why: 'no nitrogen is declared',
  }));

test('the band holds the middle course, is the same for the same seed, and narrows to a line without assumptions', () => {
  const { setup, run: middle } = run(featherMeal, wheatStrip, IN);
  const band = releaseBand(setup, 400, 7)!;
  expect(releaseBand(setup, 400, 7)).toEqual(band);
  expect(band.low[26]).toBeLessThan(middle.mineral[182]!);
  expect(band.high[26]).toBeGreaterThan(middle.mineral[182]!);
  for (let w = 0; w <= 26; w++) expect(band.low[w]! <= band.median[w]! && band.median[w]! <= band.high[w]!).toBe(true);
  const nitrate = run(bag({ analysis: [line('N', 10), line('N.nitrate', 10)] }), wheatStrip, IN);
  const still = releaseBand(nitrate.setup, 50, 1)!;
  expect([still.low[0], still.high[26]]).toEqual([1, 1]);
});

test('a band that is called off yields nothing', () =>
  expect(releaseBand(run(featherMeal, wheatStrip, IN).setup, 2000, 1, () => false)).toBeUndefined());

test('the triangle’s quantiles: ends, and the peak at its share', () => {
  const range = { low: 1, mid: 2, high: 5 };
  expect([triangular(range, 0), triangular(range, 0.25), triangular(range, 1)]).toEqual([1, expect.closeTo(2, 12), 5]);
});
