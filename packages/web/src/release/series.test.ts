import { productRelease, type Band } from '@wheat-ledger/core';
import { toProduct, toSeason, toSite } from '@wheat-ledger/contract';
import { weekPoints, type Course } from './series';

const season = toSeason({ crop: 'wheat', from: '2026-04-01', share: 1 });
const bare = toSite({
  name: 'Bed',
  areaM2: 1,
  medium: 'mineralSoil',
  texture: 'loam',
  temperature: { kind: 'sine', meanC: 15, amplitudeC: 0, warmestDay: 0 },
});
const site = { ...bare, season };
const nitrate = toProduct(
  {
    name: 'Saltpetre',
    seller: '',
    form: 'crystal',
    derivedFrom: ['potassium nitrate'],
    offers: [],
    note: '',
    analysis: [
      {
        analyte: 'N.nitrate',
        basis: 'element',
        value: { kind: 'number', value: 13 },
        unit: '%',
        provenance: 'label',
        source: '',
      },
    ],
  },
  'kno3',
);
const course = productRelease(nitrate, site, { daysOnSurface: 0, doseKgPerHa: 80 }) as Course;
const band: Band = {
  low: Array.from({ length: 27 }, () => 0.9),
  median: [],
  high: Array.from({ length: 27 }, () => 1),
};

test('so far: the dose times what is available, beside the crop’s own line', () => {
  const points = weekPoints([course], { kno3: band }, 'cumulative');
  expect(points).toHaveLength(27);
  expect(points[0]).toMatchObject({ week: 0, 'line-kno3': 80, 'band-kno3': [72, 80] });
  expect(points[26]?.demand).toBeGreaterThan(100);
});
test('each week: gains add up to the whole, and bands are not drawn', () => {
  const points = weekPoints([course], { kno3: band }, 'weekly');
  const soFar = weekPoints([course], { kno3: band }, 'cumulative');
  expect(points.slice(1).reduce((s, p) => s + p.demand!, 0)).toBeCloseTo(soFar[26]!.demand! - soFar[0]!.demand!, 9);
  expect(points.every((p) => !('band-kno3' in p))).toBe(true);
});

test('a crop whose uptake is not known has no line of its own, and the bags are drawn all the same', () => {
  const potted = { ...bare, season: toSeason({ crop: 'foliage-pot', from: '2026-04-01', share: 1 }) };
  const unknown = productRelease(nitrate, potted, { daysOnSurface: 0, doseKgPerHa: 80 }) as Course;
  const points = weekPoints([unknown], {}, 'cumulative');
  expect(points).toHaveLength(27);
  expect(points[26]).not.toHaveProperty('demand');
  expect(points[0]?.['line-kno3']).toBe(80);
});
