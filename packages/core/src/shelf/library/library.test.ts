import { compoundPerElement } from '../../nutrient/index.js';
import { findMaterial, MATERIALS } from '../materials.js';
import { labelChecks } from '../labelChecks.js';
import { LIBRARY, libraryEntry, OTHER_SALT_INDEX, searchLibrary, typicalProduct } from './index.js';

test('holds at least seventy materials, each once, each known by name on a "derived from" line', () => {
  expect(LIBRARY.length).toBeGreaterThanOrEqual(70);
  expect(new Set(LIBRARY.map((e) => e.name)).size).toBe(LIBRARY.length);
  for (const entry of LIBRARY) expect([entry.name, findMaterial(entry.name)?.name]).toEqual([entry.name, entry.name]);
});

test.each(LIBRARY.map((e) => [e.name, e] as const))(
  '%s: ranges in order, below the whole, and its label holds together',
  (_name, entry) => {
    for (const { percent } of entry.analysis)
      expect(0 <= percent.low && percent.low <= percent.mid && percent.mid <= percent.high && percent.high <= 100).toBe(
        true,
      );
    const { low, mid, high } = entry.densityKgPerL;
    expect(0.02 < low && low <= mid && mid <= high && high < 3).toBe(true);
    // Silence on chloride or sodium is a warning that a typical analysis may earn; contradictions are not.
    expect(
      labelChecks(typicalProduct(entry))
        .filter((f) => f.severity !== 'note' && f.code !== 'ingredient.silent')
        .map((f) => `${f.code}: ${f.message}`),
    ).toEqual([]);
  },
);

test('salts come from their chemistry: urea 45.9 %, sulfate of potash 51.3 % K2O, Epsom salt 16.1 % MgO at the middle', () => {
  const mid = (name: string, analyte: string): number =>
    libraryEntry(name)!.analysis.find((f) => f.analyte === analyte)!.percent.mid;
  expect(mid('urea', 'N')).toBeCloseTo(45.9, 1);
  expect(mid('sulfate of potash', 'K') * compoundPerElement('K2O')).toBeCloseTo(51.3, 1);
  expect(mid('epsom salt', 'Mg') * compoundPerElement('MgO')).toBeCloseTo(16.1, 1);
});

test('a salt index names its table, and the one the tables disagree on shows both', () => {
  expect(libraryEntry('sodium nitrate')?.saltIndex).toEqual({ value: 100, table: 'Rader, White & Whittaker 1943' });
  expect([libraryEntry('ammonium sulfate')?.saltIndex?.value, OTHER_SALT_INDEX['ammonium sulfate']?.value]).toEqual([
    69, 88.3,
  ]);
});

test('liming has the right sign', () => {
  for (const [name, sign] of [
    ['limestone', 1],
    ['wood ash', 1],
    ['ammonium sulfate', -1],
    ['urea', -1],
    ['elemental sulfur', -1],
    ['calcium nitrate', 1],
  ] as const)
    expect(Math.sign(libraryEntry(name)!.limingPer100Kg!.mid)).toBe(sign);
  for (const neutral of ['gypsum', 'potassium sulfate', 'potassium chloride', 'magnesium sulfate', 'kieserite'])
    expect([neutral, libraryEntry(neutral)?.limingPer100Kg?.mid]).toEqual([neutral, 0]);
});

test('is found by other names, by group and by element', () => {
  expect(searchLibrary('castings').map((e) => e.name)).toEqual(['worm compost']);
  expect(searchLibrary('manure').length).toBeGreaterThan(5);
  expect(searchLibrary('Mo').map((e) => e.name)).toContain('sodium molybdate');
  expect(searchLibrary('')).toHaveLength(LIBRARY.length);
  expect(searchLibrary('moon dust')).toEqual([]);
});

test('every known material has aliases of its own: no name means two things', () => {
  const names = MATERIALS.flatMap((m) => [...new Set([m.name, ...m.aliases])]);
  expect(names.filter((n, i) => names.indexOf(n) !== i)).toEqual([]);
});

test.each([
  ['Sulphate of Potash', 'potassium sulfate'],
  ['SOP', 'potassium sulfate'],
  ['M.O.P.', 'potassium chloride'],
  ['Epsom Salts', 'magnesium sulfate'],
  ['bonemeal', 'bone meal'],
  ['hoof & horn', 'horn meal'],
  ['Flowers of Sulphur', 'elemental sulfur'],
  ['ag lime', 'limestone'],
  ['worm-castings', 'worm compost'],
  ['leaf mold', 'leaf mould'],
  ['chicken manures', 'poultry manure'],
])('the trade word %s is %s', (word, name) => expect(findMaterial(word)?.name).toBe(name));
