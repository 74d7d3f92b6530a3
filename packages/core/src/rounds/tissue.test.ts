import fc from 'fast-check';
import { literal, unitProblems } from '../figure/index.js';
import { exact } from '../quantity/index.js';
import { libraryCrop } from '../season/index.js';
import { judgeTissue, nextRate, placeInBand, tissueDoubts, type TissueTest } from './tissue.js';

const tomato = libraryCrop('tomato')!;
const band = tomato.tissue.find((b) => b.nutrient === 'N')!;
const test_ = (percent: number, given: Partial<TissueTest> = {}): TissueTest => ({
  on: '2026-07-01',
  part: band.part,
  samples: 30,
  found: [{ nutrient: 'N', percent }],
  ...given,
});
const rate = literal('nitrogen this year', exact(120), 'kg/ha', 'chosen', 'the log');

test('2.4 % N in a tomato leaf is below the band from 2.8 %: 120 kg/ha become 132; 5 % is above, and they become 108', () => {
  const [low] = judgeTissue(tomato, test_(2.4));
  expect(low).toMatchObject({ standing: 'below', factor: 1.1 });
  const next = nextRate(low!, rate)!;
  expect(next.value.mid).toBeCloseTo(132, 9);
  expect(unitProblems(next)).toEqual([]);
  const [high] = judgeTissue(tomato, test_(5));
  expect(high).toMatchObject({ standing: 'above', factor: 0.9 });
  expect(nextRate(high!, rate)!.value.mid).toBeCloseTo(108, 9);
});

test('both edges lie within the band, and within nothing is moved', () => {
  for (const percent of [band.lowPercent, band.highPercent, 3.5]) {
    const [result] = judgeTissue(tomato, test_(percent), 25);
    expect(result).toMatchObject({ standing: 'within', factor: 1 });
    expect(nextRate(result!, rate)).toBe(rate);
  }
  expect(judgeTissue(tomato, test_(band.lowPercent - 0.001), 25)[0]!.factor).toBe(1.25);
  expect(judgeTissue(tomato, test_(band.highPercent + 0.001), 25)[0]!.factor).toBe(0.75);
});

test('an element without a band is not known, and moves nothing', () => {
  const [result] = judgeTissue(tomato, test_(0, { found: [{ nutrient: 'Mo', percent: 0.0001 }] }));
  expect(result).toMatchObject({ standing: 'unknown', factor: undefined, band: undefined });
  expect(nextRate(result!, rate)).toBeUndefined();
});

test('a step of nothing or of all is refused', () => {
  for (const step of [0, 100, -5, Number.NaN])
    expect(() => judgeTissue(tomato, test_(3), step)).toThrow(/expected one above 0 and below 100/);
});

test('another part than the band is for, and few plants, are told; twenty are enough', () => {
  expect(tissueDoubts(tomato, test_(3))).toEqual([]);
  expect(tissueDoubts(tomato, test_(3, { part: ` ${band.part.toUpperCase()} ` }))).toEqual([]);
  expect(tissueDoubts(tomato, test_(3, { part: 'petiole' }))).toEqual([expect.stringContaining(band.part)]);
  expect(tissueDoubts(tomato, test_(3, { samples: 19 }))).toEqual([expect.stringContaining('19')]);
  expect(tissueDoubts(tomato, test_(3, { samples: 20 }))).toEqual([]);
  expect(tissueDoubts(tomato, test_(3, { samples: undefined }))).toHaveLength(1);
});

test('the place in the band is 0 at its low edge and 1 at its high one, and rises with what was found', () => {
  expect([placeInBand(band.lowPercent, band), placeInBand(band.highPercent, band)]).toEqual([0, 1]);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 50, noNaN: true }),
      fc.double({ min: 0.01, max: 5, noNaN: true }),
      (p, more) => {
        expect(placeInBand(p + more, band)).toBeGreaterThan(placeInBand(p, band));
      },
    ),
  );
  expect(() => placeInBand(1, { ...band, highPercent: band.lowPercent })).toThrow(RangeError);
});
