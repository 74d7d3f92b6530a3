import fc from 'fast-check';
import { featherMeal, straw, urea, wheatStrip } from '../../test/bags.js';
import type { SoilReport } from '../ground/index.js';
import { percentileOf, uniformDraws } from '../quantity/index.js';
import { bagAs, computeProgramme, type Application, type Doing } from '../season/index.js';
import type { Product } from '../shelf/index.js';
import { nitrogenPools } from './nitrogenPools.js';
import { followCase, givenByDay, programmeCase } from './programmeCase.js';
import { firstOrderShare, programmeBand } from './programmeBand.js';
import { RELEASE_DAYS, siteDays } from './productRelease.js';
import { nitrogenBalance } from './simulate.js';
import { soilNitrogen, yearlyRate } from './soilNitrogen.js';
import { findSplits, USUAL_WEIGHTS, type SplitQuestion } from './splitFinder.js';

const site = { ...wheatStrip, medium: 'mineralSoil' } as const;
const giving = (product: Product, kgNPerHa: number, days: number): Doing => {
  const reading = nitrogenPools(product);
  if (reading.kind === 'unknown') throw new Error(reading.why);
  const amount = kgNPerHa / reading.nitrogenFraction;
  const application: Application = {
    amount: { kind: 'rate', rate: { amount, unit: 'kg', per: { amount: 1, unit: 'ha' } } },
    when: { kind: 'afterPlanting', days },
    where: { kind: 'workedIn', depthM: 0.15 },
    part: { share: 1 },
  };
  return { application, given: bagAs(product) };
};
const report: SoilReport = {
  sampledOn: site.season.from,
  depthM: 0.15,
  figures: [
    { analyte: 'nitrateN', value: { kind: 'number', value: 10 }, unit: 'mg/kg', method: 'KCl' },
    { analyte: 'organicMatter', value: { kind: 'number', value: 3 }, unit: '%', method: 'notSaid' },
    { analyte: 'bulkDensity', value: { kind: 'number', value: 1.3 }, unit: 'kg/L', method: 'notSaid' },
  ],
};
const soil = soilNitrogen(site, report, site.season.from);
const caseOf = (doings: readonly Doing[], withSoil = true) =>
  programmeCase(
    computeProgramme(doings, { areaM2: site.areaM2 }, site.season, []),
    site,
    siteDays(site),
    withSoil ? soil : undefined,
  );

test('the soil: 10 mg/kg nitrate N in 30 cm of 1.3 kg/L is 39 kg/ha; 3 % organic matter in 15 cm holds 0.03 × 195 × 10 000 × 0.58 ÷ 11 = 3085', () => {
  expect(soil.mineral.value.mid).toBeCloseTo(39, 9);
  expect(soil.organic.value.mid).toBeCloseTo(3084.5, 0);
  expect(soil.organic.value.low).toBeLessThan(soil.organic.value.mid);
});
test('the soil: a test of another year says nothing of its nitrate; without a test all is an open range', () => {
  const old = soilNitrogen(site, { ...report, sampledOn: '2020-03-01' }, site.season.from);
  expect(old.mineral.value).toEqual({ low: 10, mid: 40, high: 100 });
  expect(old.organic.value.mid).toBeCloseTo(3084.5, 0);
  expect(soilNitrogen(site, undefined, site.season.from).organic.value.high).toBeGreaterThan(5000);
});
test('the soil’s rate gives its share in a year of the plot’s own climate: ∫k·f is the share', () => {
  expect(yearlyRate(0.02, 120) * 120).toBeCloseTo(0.02, 12);
  expect(yearlyRate(0.02, 0)).toBe(0);
});

const programmes = fc.array(
  fc.tuple(
    fc.constantFrom(featherMeal, urea, straw),
    fc.integer({ min: 5, max: 90 }),
    fc.integer({ min: 0, max: 170 }),
  ),
  { maxLength: 5 },
);
test('what the soil had, what was given and where all of it is adds up, on any day of any programme', () =>
  fc.assert(
    fc.property(programmes, fc.integer({ min: 0, max: RELEASE_DAYS }), (list, day) => {
      const c = caseOf(list.map(([product, kg, days]) => giving(product, kg, days)));
      const run = followCase(c);
      const start = soil.mineral.value.mid + soil.organic.value.mid;
      // A dose is in from the morning of its day on.
      const given = day === 0 ? 0 : (givenByDay(c)[day - 1] ?? 0);
      const dayZero = list.filter(([, , d]) => d === 0).reduce((s, [, kg]) => s + kg, 0);
      expect(nitrogenBalance(run, day) / (start + (day === 0 ? dayZero : given))).toBeCloseTo(1, 9);
    }),
    { numRuns: 25 },
  ));

test('with the soil counted a crop takes up more, and the soil alone is nothing given', () => {
  const given = [giving(featherMeal, 60, 0)];
  const [bare, counted] = [followCase(caseOf(given, false)), followCase(caseOf(given))];
  expect(counted.takenUp.at(-1)!).toBeGreaterThan(bare.takenUp.at(-1)!);
  const alone = followCase(caseOf(given), undefined, []);
  expect(alone.takenUp.at(-1)!).toBeLessThan(counted.takenUp.at(-1)!);
  expect(followCase(caseOf([])).available.at(-1)!).toBeCloseTo(alone.available.at(-1)!, 9);
});

test('the band holds the middle, comes in pictures that double, and is the same for the same seed', () => {
  const c = caseOf([giving(featherMeal, 60, 0), giving(urea, 40, 30)]);
  const pictures: number[] = [];
  const band = programmeBand(c, 300, 7, ({ draws }) => pictures.push(draws) > 0)!;
  expect(pictures).toEqual([25, 50, 100, 200]);
  expect(band.draws).toBe(300);
  const { low, median, high } = band.bands.takenUp;
  for (const w of [4, 12, 26]) {
    expect(low[w]!).toBeLessThanOrEqual(median[w]!);
    expect(median[w]!).toBeLessThanOrEqual(high[w]!);
  }
  expect(programmeBand(c, 300, 7)!.bands).toEqual(band.bands);
  expect(programmeBand(c, 300, 8)!.bands).not.toEqual(band.bands);
  expect(programmeBand(c, 300, 7, () => false)).toBeUndefined();
});
test('what moves the answer most stands first, and all that is told was uncertain', () => {
  const band = programmeBand(caseOf([giving(featherMeal, 60, 0)]), 600, 7)!;
  const shares = band.influences.map((i) => i.share);
  expect([...shares].sort((a, b) => b - a)).toEqual(shares);
  expect(shares[0]!).toBeGreaterThan(0.1);
  expect(band.influences.every((i) => i.figure.value.low < i.figure.value.high)).toBe(true);
});
test('quantiles of draws are those of the law they come from: a uniform number, 10th, 50th and 90th', () => {
  const uniform = uniformDraws(3);
  const draws = Float64Array.from({ length: 20_000 }, () => uniform()).sort();
  for (const share of [0.1, 0.5, 0.9]) expect(percentileOf(draws, share)).toBeCloseTo(share, 1.9);
});
test('first-order share: y = 3 a + b of two uniform numbers is 9 ÷ 10 by a, 1 ÷ 10 by b, nothing by another', () => {
  const uniform = uniformDraws(11);
  const column = () => Float64Array.from({ length: 4000 }, () => uniform());
  const [a, b, other] = [column(), column(), column()];
  const y = a.map((v, i) => 3 * v + b[i]!);
  expect(firstOrderShare(a, y)).toBeCloseTo(0.9, 1);
  expect(firstOrderShare(b, y)).toBeCloseTo(0.1, 1);
  expect(firstOrderShare(other, y)).toBeLessThan(0.02);
  expect(
    firstOrderShare(
      a,
      a.map(() => 1),
    ),
  ).toBe(0);
});

const question = (given: Partial<SplitQuestion> = {}): SplitQuestion => ({
  product: urea,
  nitrogenKgPerHa: 110,
  lastWeek: 14,
  mostDoses: 3,
  weights: USUAL_WEIGHTS,
  workedInM: 0.1,
  ...given,
});
test('splits: each further dose is no worse than one fewer; all doses add to the whole and keep to the last week', () => {
  const found = findSplits(caseOf([giving(urea, 110, 0)]), question())!;
  expect(found).toHaveLength(3);
  found.forEach((split, i) => {
    expect(split.shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    expect(Math.max(...split.weeks)).toBeLessThanOrEqual(14);
    if (i > 0) expect(split.score).toBeLessThanOrEqual(found[i - 1]!.score + 1e-9);
  });
});
test('one dose is put on the best week there is, whichever that is', () => {
  const c = caseOf([giving(urea, 110, 0)]);
  const [best] = findSplits(c, question({ mostDoses: 1 }))!;
  for (let week = 0; week <= 14; week++) {
    const [only] = findSplits(c, question({ mostDoses: 1, lastWeek: week }))!;
    expect(best!.score).toBeLessThanOrEqual(only!.score + 1e-9);
  }
});
test('a stopped search gives nothing, and what cannot be followed has no splits', () => {
  expect(findSplits(caseOf([giving(urea, 110, 0)]), question(), () => false)).toBeUndefined();
  expect(findSplits(caseOf([]), question())).toEqual([]);
});
