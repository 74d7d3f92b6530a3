import { JAR_STEPS, dispersionResult, textureResult, triangleClass } from './jarTest.js';
import { condition } from './conditions.js';
import { wheatStrip } from '../../test/bags.js';

test('heights of 40, 80 and 100 mm are 40 % sand, 40 % silt, 20 % clay: loam, each ± 2 points', () => {
  const read = textureResult({ sandMm: 40, siltMm: 80, allMm: 100 });
  if (typeof read === 'string') throw new Error(read);
  expect([read.sand, read.silt, read.clay].map((f) => f.value)).toEqual([
    { low: 38, mid: 40, high: 42 },
    { low: 38, mid: 40, high: 42 },
    { low: 18, mid: 20, high: 22 },
  ]);
  expect([read.name, read.texture]).toEqual(['loam', 'loam']);
  expect(textureResult({ sandMm: 40, siltMm: 30, allMm: 100 })).toMatch(/do not fall/);
  expect(textureResult({ sandMm: 40 })).toMatch(/Not finished/);
  expect(
    Object.values(JAR_STEPS)
      .flat()
      .every((s) => s.afterMinutes > 0),
  ).toBe(true);
});

// Corners and middles of the triangle, as its published picture has them.
test.each([
  [92, 5, 3, 'sand'],
  [82, 12, 6, 'loamy sand'],
  [65, 25, 10, 'sandy loam'],
  [40, 40, 20, 'loam'],
  [20, 65, 15, 'silt loam'],
  [5, 90, 5, 'silt'],
  [60, 13, 27, 'sandy clay loam'],
  [32, 34, 34, 'clay loam'],
  [10, 56, 34, 'silty clay loam'],
  [52, 8, 40, 'sandy clay'],
  [6, 47, 47, 'silty clay'],
  [20, 20, 60, 'clay'],
])('%i sand, %i silt, %i clay is %s', (sand, silt, clay, name) => expect(triangleClass(sand, silt, clay)).toBe(name));

test('a cloud says dispersive before the day is over; clear water only after it', () => {
  expect(dispersionResult({ cloud2h: 2 }).kind).toBe('dispersive');
  expect(dispersionResult({ cloud2h: 0 }).kind).toBe('unfinished');
  expect(dispersionResult({ cloud2h: 0, cloud24h: 1 }).kind).toBe('slightly');
  expect(dispersionResult({ cloud2h: 0, cloud24h: 0 }).kind).toBe('not');
  expect(condition('dispersive', wheatStrip, undefined)).toEqual({
    answer: 'unknown',
    test: 'the jar test for dispersion',
  });
  expect(condition('dispersive', wheatStrip, undefined, 'US', { cloud2h: 0, cloud24h: 3 })).toMatchObject({
    answer: 'yes',
  });
  expect(condition('dispersive', wheatStrip, undefined, 'US', { cloud24h: 0 })).toMatchObject({ answer: 'no' });
});
