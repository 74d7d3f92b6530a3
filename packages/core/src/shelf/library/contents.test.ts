import { findMaterial, MATERIALS } from '../materials.js';
import { materialHolds, typicalNitrogen } from './contents.js';
import { LIBRARY } from './entries.js';

const holds = (name: string, element: Parameters<typeof materialHolds>[1]) =>
  materialHolds(findMaterial(name)!, element).kind;

test.each([
  ['alfalfa meal', 'P', 'typical'],
  ['blood meal', 'S', 'amountUnknown'],
  ['poultry manure', 'Zn', 'amountUnknown'],
  ['wood chips', 'N', 'typical'],
  ['sawdust', 'N', 'typical'],
  ['urea', 'K', 'none'],
  ['potassium sulfate', 'Zn', 'none'],
  ['superphosphate', 'N', 'none'],
  ['superphosphate', 'Zn', 'amountUnknown'],
  ['gypsum', 'K', 'none'],
  ['granite dust', 'Mn', 'amountUnknown'],
  ['wood ash', 'N', 'none'],
  ['water', 'Ca', 'none'],
  ['sugar', 'N', 'none'],
] as const)('does %s hold %s? %s', (name, element, answer) => expect(holds(name, element)).toBe(answer));

test('every known material but water has its analysis in the library', () =>
  expect(MATERIALS.filter((m) => !LIBRARY.some((e) => e.name === m.name)).map((m) => m.name)).toEqual(['water']));

test('every material that decomposes has a nitrogen figure of its own to be weighed by', () => {
  for (const material of MATERIALS.filter((m) => m.organic))
    expect([material.name, materialHolds(material, 'N').kind]).toEqual([material.name, 'typical']);
  expect(typicalNitrogen(findMaterial('feather meal')!)).toEqual({ low: 11, mid: 13, high: 14 });
});

test('the library has the kitchen, wet and dried grain, fresh and diluted urine, MAP as bags are', () => {
  const percent = (name: string, analyte: string) =>
    LIBRARY.find((e) => e.name === name)!.analysis.find((f) => f.analyte === analyte)!.percent;
  expect(percent('monoammonium phosphate', 'N').mid).toBe(11);
  expect(percent('monoammonium phosphate', 'P').mid).toBe(52);
  expect(percent('dried brewers grain', 'N').mid).toBeGreaterThan(3 * percent('spent brewers grain', 'N').high * 0.9);
  expect(percent('urine', 'N').mid).toBeCloseTo(10 * percent('diluted urine', 'N').mid, 9);
  for (const name of ['yeast', 'milk', 'sugar', 'eggshell', 'bones', 'banana peel'])
    expect(LIBRARY.find((e) => e.name === name)?.group).toBe('kitchen');
  for (const name of ['yeast', 'milk', 'bones', 'banana peel']) {
    const { low, high } = percent(name, 'N');
    expect(low).toBeLessThan(high);
  }
});

test('what is available is never more than the total', () => {
  const sparing = LIBRARY.filter((e) => e.analysis.some((f) => f.extract));
  expect(sparing.map((e) => e.name)).toEqual(
    expect.arrayContaining(['rock phosphate', 'bone meal', 'granite dust', 'greensand', 'basalt dust']),
  );
  for (const entry of sparing)
    for (const available of entry.analysis.filter((f) => f.extract)) {
      const total = entry.analysis.find((f) => f.analyte === available.analyte && !f.extract)!;
      for (const end of ['low', 'mid', 'high'] as const)
        expect(available.percent[end]).toBeLessThanOrEqual(total.percent[end]);
    }
});
