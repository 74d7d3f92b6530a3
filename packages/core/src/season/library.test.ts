import { compoundPerElement } from '../nutrient/index.js';
import type { Range } from '../quantity/index.js';
import { CROP_LIBRARY, libraryCrop } from './library/index.js';
import { CROP_NAMES } from './library/names.js';
import { CROP_GROUPS } from './crop.js';
import { cropFacts } from './facts.js';
import { cropRemoval, cropUptake } from './uptake.js';

const ordered = ({ low, mid, high }: Range): boolean => low > 0 && low <= mid && mid <= high;

test('there are at least sixty, under their own names, in every group', () => {
  expect(CROP_LIBRARY.length).toBeGreaterThanOrEqual(60);
  expect(new Set(CROP_LIBRARY.map((c) => c.name)).size).toBe(CROP_LIBRARY.length);
  expect(new Set(CROP_LIBRARY.map((c) => c.group))).toEqual(new Set(CROP_GROUPS));
  expect(libraryCrop('no such')).toBeUndefined();
  expect(Object.keys(CROP_NAMES).sort()).toEqual(CROP_LIBRARY.map((c) => c.key).sort());
  expect(libraryCrop('leek')?.name).toBe('Leeks');
});

test.each(CROP_LIBRARY.map((c) => [c.name, c] as const))('%s is sane', (_name, crop) => {
  const ranges = [
    ...Object.values(crop.uptakeKgPerHa),
    ...Object.values(crop.removedKgPerT),
    ...(crop.yieldTPerHa ? [crop.yieldTPerHa] : []),
    ...(crop.rootingM ? [crop.rootingM] : []),
    ...crop.harvestUnits.map((u) => u.kg),
    ...(crop.ages?.rows.map((r) => r.gPerPlant) ?? []),
  ];
  for (const range of ranges) expect(ordered(range)).toBe(true);
  if (crop.course?.kind === 'warmth') {
    expect(crop.course.halfDegreeDays).toBeGreaterThan(0);
    expect(crop.course.endDegreeDays).toBeGreaterThan(crop.course.halfDegreeDays);
  }
  if (crop.course?.kind === 'yearly') {
    expect(crop.course.months).toHaveLength(12);
    expect(crop.course.months.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  }
  if (crop.pH) expect(3.5 < crop.pH.low && crop.pH.low < crop.pH.high && crop.pH.high < 9).toBe(true);
  for (const { lowPercent, highPercent } of crop.tissue)
    expect(0 < lowPercent && lowPercent < highPercent && highPercent < 12).toBe(true);
  // What the harvest takes away was taken up first.
  for (const [nutrient, content] of Object.entries(crop.removedKgPerT)) {
    const uptake = crop.uptakeKgPerHa[nutrient as 'N'];
    expect(crop.yieldTPerHa!.mid * content.mid).toBeLessThanOrEqual(uptake!.mid);
  }
  // Ages follow each other without a gap or a step down, inside the cap, each ring outside its own inner edge.
  crop.ages?.rows.forEach((row, i, rows) => {
    expect(row.innerM).toBeLessThan(row.outerM);
    expect(row.gPerPlant.mid).toBeLessThanOrEqual(crop.ages!.capG);
    const next = rows[i + 1];
    if (!next) return expect(row.toYear).toBeUndefined();
    expect(next.fromYear).toBe(row.toYear! + 1);
    expect(next.gPerPlant.mid).toBeGreaterThanOrEqual(row.gPerPlant.mid);
  });
});

// Maas & Hoffman (1977), threshold in mS/cm of a saturated paste and per cent of yield for each mS/cm above it.
test.each([
  ['barley', 8, 5],
  ['wheat', 6, 7.1],
  ['soybean', 5, 20],
  ['maize', 1.7, 12],
  ['sweetcorn', 1.7, 12],
  ['field-bean', 1.6, 9.6],
  ['beetroot', 4, 9],
  ['broccoli', 2.8, 9.2],
  ['tomato', 2.5, 9.9],
  ['cucumber', 2.5, 13],
  ['spinach', 2, 7.6],
  ['cabbage', 1.8, 9.7],
  ['potato', 1.7, 12],
  ['sweet-potato', 1.5, 11],
  ['pepper', 1.5, 14],
  ['lettuce', 1.3, 13],
  ['radish', 1.2, 13],
  ['onion', 1.2, 16],
  ['carrot', 1, 14],
  ['french-bean', 1, 19],
  ['strawberry', 1, 33],
  ['grape', 1.5, 9.6],
  ['plum', 1.5, 18],
  ['peach', 1.7, 21],
  ['orange', 1.7, 16],
  ['lucerne', 2, 7.3],
  ['red-clover', 1.5, 12],
  ['vetch', 3, 11],
  ['lawn-cool', 5.6, 7.6],
  ['lawn-warm', 6.9, 6.4],
] as const)('%s stands salt up to %p mS/cm and loses %p %% a step', (key, threshold, slope) =>
  expect(libraryCrop(key)?.salt).toEqual({ thresholdMsPerCm: threshold, slopePercent: slope }),
);

test('what is known of a crop is told in words, and what is not is told as that', () => {
  const words = (key: string) => Object.fromEntries(cropFacts(libraryCrop(key)!).map((f) => [f.name, f.words]));
  expect(words('blueberry')).toEqual({
    pH: '4.2 to 5.5',
    'Nitrogen it prefers': 'ammonium',
    Chloride: 'sensitive',
    Boron: undefined,
    Salt: undefined,
    Spacing: 'rows 3 m, 1.2 m in the row',
    'Roots down to': '0.2–0.5 m',
    Mycorrhiza: 'ericoid',
    'Last nitrogen': '90 days before the first frost',
    'Takes up readily': undefined,
    'By age': 'of 10-10-10, at most 230 g a plant and year',
  });
  expect(words('lettuce')).toMatchObject({
    Salt: 'yield falls from 1.3 mS/cm, 13 % for each more',
    'Last nitrogen': '21 days before harvest',
    'Takes up readily': 'cadmium',
  });
  expect(words('lettuce')).not.toHaveProperty('By age');
});

test('families are told apart: cabbages and beets host no mycorrhiza, heaths theirs, a hazel its own', () => {
  const hosts = (key: string) => libraryCrop(key)?.mycorrhiza;
  expect(['cabbage', 'oilseed-rape', 'spinach', 'beetroot', 'rhubarb', 'buckwheat'].map(hosts)).toEqual(
    Array.from({ length: 6 }, () => 'none'),
  );
  expect(['blueberry', 'rhododendron'].map(hosts)).toEqual(['ericoid', 'ericoid']);
  expect(hosts('hazelnut')).toBe('ecto');
  expect(hosts('wheat')).toBe('arbuscular');
});

test('a figure nobody has is not known, with its reason; a trace is that of crops in general', () => {
  const pot = libraryCrop('foliage-pot')!;
  expect(cropUptake(pot, 'N')).toEqual({
    kind: 'unknown',
    why: 'The uptake of nitrogen is not known here for potted foliage plants.',
  });
  const zinc = cropUptake(pot, 'Zn');
  expect(zinc.kind === 'figure' && zinc.figure.label).toBe('crops in general, uptake of zinc');
  expect(cropRemoval(libraryCrop('phacelia')!, 'N').kind).toBe('unknown');
  const noYield = { ...libraryCrop('wheat')!, yieldTPerHa: undefined };
  expect(cropRemoval(noYield, 'N')).toEqual({
    kind: 'unknown',
    why: 'The yield is not known here for heritage bread wheat.',
  });
});

test('what a harvest takes away is yield × content: 3.5 t of wheat × 20 kg N, and P as oxide from it', () => {
  const removed = cropRemoval(libraryCrop('wheat')!, 'N');
  expect(removed.kind === 'figure' && removed.figure.value.mid).toBeCloseTo(70, 9);
  const p = cropRemoval(libraryCrop('wheat')!, 'P');
  expect(p.kind === 'figure' && p.figure.value.mid * compoundPerElement('P2O5')).toBeCloseTo(12.25 * 2.2914, 2);
});
