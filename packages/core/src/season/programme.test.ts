import { bag, featherMeal, line, seasonOf } from '../../test/bags.js';
import { unitProblems } from '../figure/index.js';
import type { Application, When } from './application.js';
import { bagAs, PLAIN_WATER } from './given.js';
import { datesOf } from './dates.js';
import { computeProgramme, productGiven } from './programme.js';

const season = seasonOf('wheat', '2026-03-15');
const giving = (when: When, grams = 50, share = 1): Application => ({
  amount: { kind: 'rate', rate: { amount: grams, unit: 'g', per: { amount: 1, unit: 'm²' } } },
  when,
  where: { kind: 'surface' },
  part: { share },
});
const everyTwoWeeks: When = { kind: 'repeat', from: '2026-05-01', to: '2026-05-31', everyDays: 14 };

test('days: a date, days from planting, a repeat with both its ends, a stage in the plot’s warmth', () => {
  expect(datesOf({ kind: 'date', on: '2026-05-01' }, season, [])).toEqual(['2026-05-01']);
  expect(datesOf({ kind: 'afterPlanting', days: 20 }, season, [])).toEqual(['2026-04-04']);
  expect(datesOf({ kind: 'afterPlanting', days: -20 }, season, [])).toEqual(['2026-02-23']);
  expect(datesOf(everyTwoWeeks, season, [])).toEqual(['2026-05-01', '2026-05-15', '2026-05-29']);
  expect(datesOf({ ...everyTwoWeeks, to: '2026-05-15' }, season, [])).toHaveLength(2);
  expect(datesOf({ ...everyTwoWeeks, to: '2026-04-01' }, season, [])).toEqual([]);
  const warm = Array.from({ length: 200 }, () => 10);
  expect(datesOf({ kind: 'stage', stage: 'end' }, season, warm)).toEqual(['2026-09-06']);
  expect(datesOf({ kind: 'stage', stage: 'end' }, season, [])).toBeUndefined();
});

test('a programme brings each row so often on its part: 65 + 3 × 65 ÷ 2 kg N/ha', () => {
  const given = bagAs(featherMeal);
  const { totals, without } = computeProgramme(
    [
      { application: giving({ kind: 'afterPlanting', days: 0 }), given },
      { application: giving(everyTwoWeeks, 50, 0.5), given },
    ],
    { areaM2: 900 },
    season,
    [],
  );
  const nitrogen = totals.find((t) => t.analyte === 'N')!;
  expect(nitrogen.figure.value.mid).toBeCloseTo(65 + (3 * 65) / 2, 9);
  expect(unitProblems(nitrogen.figure)).toEqual([]);
  expect(without).toEqual([]);
});

test('what is not known is left out and named; plain water is not', () => {
  const loose = bag({ id: 'x', name: 'Loose', analysis: [line('N', 5)] });
  const byVolume: Application = {
    ...giving(everyTwoWeeks),
    amount: { kind: 'layer', thicknessM: { low: 0.01, mid: 0.01, high: 0.01 } },
  };
  const { totals, without, rows } = computeProgramme(
    [
      { application: byVolume, given: bagAs(loose) },
      { application: giving({ kind: 'stage', stage: 'half' }), given: bagAs(featherMeal) },
      { application: giving(everyTwoWeeks), given: PLAIN_WATER },
    ],
    { areaM2: 900 },
    season,
    [],
  );
  expect(totals).toEqual([]);
  expect(without).toEqual(['Loose', 'Feather meal']);
  expect(rows[2]?.dates).toHaveLength(3);
});

test('what is in it not being known is told, and is no plain water', () => {
  const lost = { name: 'A mix', parts: [], unknown: 'A bag of A mix is not here.' };
  const { rows, without } = computeProgramme(
    [{ application: giving(everyTwoWeeks), given: lost }],
    { areaM2: 900 },
    season,
    [],
  );
  expect(rows[0]?.applied).toEqual({ kind: 'unknown', why: 'A bag of A mix is not here.' });
  expect(without).toEqual(['A mix']);
});

test('of one product a programme gives so much in all, alone and in a mix: 500 + 3 × 500 ÷ 2 × 0.4 kg/ha', () => {
  const mixed = {
    name: 'Mix',
    parts: [
      { product: featherMeal, share: 0.4 },
      { product: bag({ id: 'other' }), share: 0.6 },
    ],
  };
  const computed = computeProgramme(
    [
      { application: giving({ kind: 'afterPlanting', days: 0 }), given: bagAs(featherMeal) },
      { application: giving(everyTwoWeeks, 50, 0.5), given: mixed },
    ],
    { areaM2: 900 },
    season,
    [],
  );
  const found = productGiven(computed, featherMeal.id)!;
  expect(found.value.mid).toBeCloseTo(500 + (3 * 500 * 0.4) / 2, 9);
  expect(unitProblems(found)).toEqual([]);
  expect(productGiven(computed, 'absent')).toBeUndefined();
});
