import { asFed, FRUIT_SET_SHARE } from './fed.js';
import { daysToStage } from './demand.js';
import { groundDemand, sharingGround } from './groundDemand.js';
import { libraryCrop } from './library/index.js';
import { cropUptake } from './uptake.js';

const DAYS = 182;
const warmth = (_from: string, days: number): number[] => Array.from({ length: days }, () => 16);
const grown = (key: string, from: string, share = 1, to?: string) => ({ crop: libraryCrop(key)!, from, share, to });
const wheat = grown('wheat', '2026-03-15');
const demand = (season: typeof wheat, ...also: (typeof wheat)[]): readonly number[] =>
  groundDemand({ season, also }, DAYS, warmth).kgPerHa!;

test('alone, a season’s demand is that of its crop, from nothing to all of it', () => {
  const alone = demand(wheat);
  expect(alone).toHaveLength(DAYS + 1);
  expect(alone[0]).toBe(0);
  expect(alone.at(-1)).toBeCloseTo(wheat.crop.uptakeKgPerHa.N!.mid, 9);
});

test('two crops on the same ground feed from it one after the other: their demands add', () => {
  const lettuce = grown('lettuce', '2026-04-01', 1, '2026-06-01');
  const leek = grown('leek', '2026-06-05');
  const both = demand(lettuce, leek);
  expect(both[60]).toBeCloseTo(demand(lettuce)[60]!, 9);
  // Cleared on the first of June: no more after that day.
  expect(demand(lettuce)[100]).toBe(demand(lettuce)[61]);
  expect(both[150]! - demand(lettuce)[150]!).toBeCloseTo(demand(leek)[150 - 65]!, 9);
});

test('a crop on half of the ground asks half as much of a hectare of it, and what stood before has its earlier share behind it', () => {
  const half = grown('maize', '2026-05-01', 0.5);
  const added = demand(wheat, half)[DAYS]! - demand(wheat)[DAYS]!;
  expect(added).toBeCloseTo(0.5 * demand(grown('maize', '2026-05-01'))[DAYS - 47]!, 9);
  const older = grown('maize', '2026-02-15');
  expect(demand(wheat, older)[0]).toBe(0);
  expect(demand(wheat, older)[DAYS]! - demand(wheat)[DAYS]!).toBeLessThan(older.crop.uptakeKgPerHa.N!.mid);
});

test('what was cleared before the first day asks for nothing', () => {
  expect(demand(wheat, grown('garlic', '2024-10-12', 1, '2025-07-14'))).toEqual(demand(wheat));
  expect(demand(wheat, grown('leek', '2027-06-01'))).toEqual(demand(wheat));
});

test('seasons that fit side by side do not share ground', () => {
  const [left, right, after] = [
    grown('wheat', '2026-03-15', 0.5),
    grown('maize', '2026-05-01', 0.5),
    grown('leek', '2026-09-01'),
  ];
  expect(sharingGround(left, [right, after])).toEqual([after]);
});

test('a crop whose uptake is not known is named, not counted as one that takes nothing', () => {
  const unknown = { ...grown('maize', '2026-05-01'), crop: { ...libraryCrop('maize')!, course: undefined } };
  const found = groundDemand({ season: wheat, also: [unknown] }, DAYS, warmth);
  expect(found.without).toEqual([unknown.crop.name]);
  expect(found.kgPerHa).toEqual(demand(wheat));
  expect(groundDemand({ season: unknown, also: [wheat] }, DAYS, warmth).kgPerHa).toBeUndefined();
});

test('fed until fruit set a crop asks for half, follows the same course till then, and is done earlier', () => {
  const tomato = grown('tomato', '2026-05-01');
  const stopped = { ...tomato, crop: asFed(tomato.crop, { until: 'fruitSet' }) };
  const [whole, part] = [demand(tomato), demand(stopped)];
  const at = whole.findIndex((n) => n >= FRUIT_SET_SHARE * whole.at(-1)!);
  expect(part[at - 1]).toBeCloseTo(whole[at - 1]!, 9);
  expect(part.at(-1)).toBeCloseTo(FRUIT_SET_SHARE * tomato.crop.uptakeKgPerHa.N!.mid, 9);
  const days = warmth('', 400);
  expect(daysToStage(stopped.crop, 'end', tomato.from, days)).toBe(daysToStage(tomato.crop, 'half', tomato.from, days));
  expect(cropUptake(stopped.crop, 'K')).toMatchObject({
    figure: { label: expect.stringContaining('until fruit set') },
  });
});

test('a lawn has no fruit set; an own figure of nitrogen replaces the crop’s, and says whose it is', () => {
  const lawn = libraryCrop('lawn-cool')!;
  expect(asFed(lawn, { until: 'fruitSet' })).toBe(lawn);
  const own = asFed(wheat.crop, { until: 'end', nitrogenKgPerHa: 210 });
  expect(demand({ ...wheat, crop: own }).at(-1)).toBeCloseTo(210, 9);
  expect(cropUptake(own, 'N')).toMatchObject({ figure: { value: { mid: 210 }, how: { provenance: 'chosen' } } });
  expect(cropUptake(own, 'P')).toEqual(cropUptake(wheat.crop, 'P'));
});
