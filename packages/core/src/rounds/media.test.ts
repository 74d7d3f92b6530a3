import fc from 'fast-check';
import { unitProblems } from '../figure/index.js';
import { bagsFor, baleLitres, byParts, layerLitres, pourVerdicts, starterWeeks, USUAL_POUR_BAND } from './media.js';

const exact = (n: number) => ({ low: n, mid: n, high: n });

test('2 cm on 8 m² are 160 L, four bags of 40; a litre more is a fifth', () => {
  const layer = layerLitres(8, 0.02);
  expect(layer.value.mid).toBeCloseTo(160, 9);
  expect(unitProblems(layer)).toEqual([]);
  expect(bagsFor(layer.value, exact(40))).toEqual({ least: 4, most: 4 });
  expect(bagsFor(exact(161), exact(40)).most).toBe(5);
  expect(() => bagsFor(exact(1), exact(0))).toThrow(/above zero/);
});

test('a bale of 107 L grows to between 171 and 246 L, to its own figure where it is known', () => {
  const loose = baleLitres(107);
  expect([loose.value.low, loose.value.mid, loose.value.high].map((n) => Math.round(n))).toEqual([171, 214, 246]);
  expect(unitProblems(loose)).toEqual([]);
  expect(baleLitres(107, 1.8).value).toEqual(expect.objectContaining({ mid: 107 * 1.8 }));
  // A range of litres is a range of bales.
  expect(bagsFor(exact(400), loose.value)).toEqual({ least: 2, most: 3 });
});

test('1 to 3 of 80 L are 20 and 60; parts always add to the whole', () => {
  expect(byParts([1, 3], 80)).toEqual([20, 60]);
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.1, max: 50, noNaN: true }), { minLength: 1, maxLength: 6 }),
      fc.double({ min: 0.1, max: 1e4, noNaN: true }),
      (parts, all) => {
        const found = byParts(parts, all);
        expect(found.reduce((a, b) => a + b, 0)).toBeCloseTo(all, 6);
        expect(found[0]! / all).toBeCloseTo(parts[0]! / parts.reduce((a, b) => a + b, 0), 9);
      },
    ),
  );
  expect(() => byParts([1, 0], 80)).toThrow(/parts above zero/);
});

test('below the band a pot is fed, above it flushed, within it left; from week to week it is told how it moves', () => {
  const band = USUAL_POUR_BAND;
  const verdicts = pourVerdicts(
    [
      { on: '2026-06-15', ecMsPerCm: 2.7, pH: 7.4 },
      { on: '2026-06-01', ecMsPerCm: 0.9, pH: 6 },
      { on: '2026-06-22', ecMsPerCm: band.high, pH: undefined },
    ],
    band,
    { low: 5.5, high: 6.5 },
  );
  expect(verdicts.map((v) => v.advice)).toEqual(['feed', 'flush', 'leave']);
  expect(verdicts[0]!.perWeek).toBeUndefined();
  expect(verdicts[1]!.perWeek).toBeCloseTo(0.9, 9);
  expect(verdicts[2]!.perWeek).toBeCloseTo(-0.1, 9);
  expect(verdicts.map((v) => v.pHWords)).toEqual(['', 'pH above the 5.5 to 6.5 of this crop', '']);
  expect(pourVerdicts([{ on: '2026-06-01', ecMsPerCm: band.low, pH: 4 }], band, undefined)[0]).toEqual({
    advice: 'leave',
    perWeek: undefined,
    pHWords: '',
  });
});

test('a starter charge lasts what its bag says, or a typical while', () => {
  expect(starterWeeks(6).value.mid).toBe(6);
  expect(starterWeeks().value).toEqual({ low: 3, mid: 5, high: 8 });
});
