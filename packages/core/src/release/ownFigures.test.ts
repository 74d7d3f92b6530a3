import { featherMeal, urea, wheatStrip } from '../../test/bags.js';
import { exact } from '../quantity/index.js';
import type { Product } from '../shelf/index.js';
import { inEachMedium } from './comparisons.js';
import { BAG_FIGURES, ownBounds, PLOT_FIGURES } from './ownBounds.js';
import { numbersFrom } from './parameters.js';
import { productRelease } from './productRelease.js';
import { soilNitrogen } from './soilNitrogen.js';

const IN = { daysOnSurface: 0 };
const run = (product: Product, site = wheatStrip) => {
  const found = productRelease(product, site, IN);
  if (found.kind === 'unknown') throw new Error(found.why);
  return found;
};
const own = (key: string, value: number, source = 'three jars') => ({ key, value: exact(value), source });
const slow = { ...featherMeal, ownFigures: [own('kFastPerDay of feather meal', 0.01)] };

test('a bag’s own rate stands in the class average’s place and is listed with what is usual', () => {
  const usual = run(featherMeal);
  const mine = run(slow);
  expect(mine.run.available[28]!).toBeLessThan(0.7 * usual.run.available[28]!);
  expect(numbersFrom(mine.setup.parameters).organic[0]?.kFastPerDay).toBe(0.01);
  expect(mine.assumptions.find((f) => f.label.startsWith('decomposition of the fast'))?.how).toEqual({
    kind: 'assumption',
    source: 'three jars',
    key: 'kFastPerDay of feather meal',
    usual: { low: 0.03, mid: 0.08, high: 0.2 },
  });
});

test('a plot’s own figure holds for every bag on it, and another plot’s for none', () => {
  const site = { ...wheatStrip, ownFigures: [own('q10', 3), own('kFastPerDay of feather meal', 0.5)] };
  expect(numbersFrom(run(featherMeal, site).setup.parameters)).toMatchObject({ q10: 3 });
  expect(run(featherMeal, site).setup.parameters.organic[0]?.kFastPerDay.value.mid).toBe(0.08);
  expect(run(urea, site).setup.parameters.shared.q10.value).toEqual(exact(3));
  expect(run(urea).setup.parameters.shared.q10.value.mid).toBe(2);
});

test('the life measured in one medium is not carried into another', () => {
  const lively = { ...wheatStrip, ownFigures: [own('biology', 4)] };
  const courses = (site: typeof wheatStrip) => inEachMedium(featherMeal, site, IN)!.map((c) => c.weeks[4]!);
  const [before, after] = [courses(wheatStrip), courses(lively)];
  expect(after[0]!).toBeGreaterThan(before[0]! * 1.2);
  expect(after.slice(1)).toEqual(before.slice(1));
});

test('the soil’s own supply takes the plot’s figures', () => {
  const plot = { ...wheatStrip, ownFigures: [own('soilMineralKgPerHa', 85), own('yearlyShare', 0.03)] };
  const soil = soilNitrogen(plot, undefined, '2026-03-15');
  expect([soil.mineral.value.mid, soil.yearlyShare.value.mid]).toEqual([85, 0.03]);
});

test('every assumption of a run can be replaced, and lies between its bounds', () => {
  const { shared, organic, listing } = run(featherMeal).setup.parameters;
  for (const [figures, bounds] of [
    [Object.values(shared), PLOT_FIGURES],
    [[...organic.flatMap(({ name: _name, massShare: _share, ...rest }) => Object.values(rest)), listing], BAG_FIGURES],
  ] as const)
    for (const { how, value, label } of figures) {
      const within = how.kind === 'assumption' && how.key ? ownBounds(how.key, bounds) : undefined;
      expect({ label, within: within && within.least <= value.low && value.high <= within.most }).toEqual({
        label,
        within: true,
      });
    }
});
