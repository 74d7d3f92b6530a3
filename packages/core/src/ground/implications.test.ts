import { wheatStrip } from '../../test/bags.js';
import { assumptionsIn, literal } from '../figure/index.js';
import { NO_UNIT, ofWhat } from '../quantity/index.js';
import { condition } from './conditions.js';
import { soilImplications } from './implications.js';
import type { SoilReport } from './soilReport.js';
import { readSoilSlip } from './slip/index.js';

const report = (text: string): SoilReport => ({
  sampledOn: '2026-02-01',
  depthM: 0.15,
  figures: readSoilSlip(text).flatMap((l) => (l.figure ? [l.figure] : [])),
});
const find = (text: string, start: string, pHGoal: number | undefined = 6.5, school: 'US' | 'Australia' = 'US') =>
  soilImplications(report(text), wheatStrip, pHGoal, school).find((r) => r.name.startsWith(start));

test('an empty report lacks everything, and each line says what it needs', () => {
  const rows = soilImplications(report(''), { ...wheatStrip, pH: undefined }, 6.5, 'US');
  expect(rows.every((r) => r.figure === undefined && r.lacks.length > 1)).toBe(true);
});
test('below the goal it is lime, above it sulfur, at it neither', () => {
  expect(find('pH 5.5', 'Pure lime to pH 6.5')?.figure?.unit.text).toBe('kg/m²');
  expect(find('pH 7.5', 'Elemental sulfur to pH 6.5')?.figure?.value.mid).toBeGreaterThan(0);
  expect(find('pH 6.5', 'Elemental sulfur')?.figure).toBeUndefined();
  expect(
    soilImplications(report('pH 5.5'), wheatStrip, undefined, 'US').find((r) => r.name.startsWith('Elemental sulfur'))
      ?.lacks,
  ).toMatch(/a pH to reach/);
});
test('without a pH in the report the plot’s own is taken: 6.4 to 6.5 is 0.1 × 35 × 195 × 50.04e-6', () => {
  expect(find('', 'Pure lime')?.figure?.value.mid).toBeCloseTo(0.1 * 35 * 195 * 50.04e-6, 9);
});
test('gypsum follows the school: SAR 8 is ESP 9.5, which only the Australian one calls too much', () => {
  const sodium = 'CEC 20 cmol/kg\nsaturated paste\nNa 183.9 mg/L\nCa 20.04 mg/L\nMg 12.15 mg/L';
  expect(find(sodium, 'Gypsum', 6.5, 'US')?.figure?.value.mid).toBe(0);
  expect(find(sodium, 'Gypsum', 6.5, 'Australia')?.figure?.value.mid).toBeGreaterThan(0);
});
test('saturations stand only where all four cations were measured', () => {
  expect(
    find('ammonium acetate, mg/kg\nCalcium 2004\nMagnesium 243\nPotassium 391\nSodium 23', 'Ca saturation')?.figure
      ?.value.mid,
  ).toBeCloseTo(1000 / 13.1, 1);
  expect(find('ammonium acetate, mg/kg\nCalcium 2004', 'Ca saturation')).toBeUndefined();
});
test('free lime eats sulfur first: 2 % of 195 kg/m² is 3.9 kg of lime, 1.25 kg of sulfur on top', () => {
  const [bare, limy] = ['pH 7.5', 'pH 7.5\nFree lime 2 %'].map(
    (text) => find(text, 'Elemental sulfur')?.figure?.value.mid ?? 0,
  );
  expect(limy! - bare!).toBeCloseTo(0.02 * 195 * 0.32, 9);
});
test('every nutrient in mg/kg has its stock, once by each method; what is below detection is a range from nothing', () => {
  const rows = soilImplications(
    report('Olsen\nP 20 mg/kg\nP (Mehlich-3) 40 mg/kg\nZn < 2 mg/kg\nCa 2000 mg/kg\nNa 46 mg/L'),
    wheatStrip,
    6.5,
    'US',
  ).filter((r) => r.name.includes('in the layer'));
  expect(rows.map((r) => [r.name, r.figure ? Number(r.figure.value.mid.toFixed(3)) : r.lacks])).toEqual([
    // 195 kg/m²: 20 mg/kg are 3.9 g/m².
    ['phosphorus in the layer, Olsen', 3.9],
    ['phosphorus in the layer, Mehlich-3', 7.8],
    ['potassium in the layer', 'potassium in mg/kg'],
    ['calcium in the layer', 390],
    ['magnesium in the layer', 'magnesium in mg/kg'],
    ['sulfur in the layer', 'sulfur in mg/kg'],
    ['zinc in the layer', 0.195],
  ]);
  expect(rows.at(-1)?.figure?.value.low).toBe(0);
});
test('a bulk density in the report replaces the class average: 0.5 kg/L over 15 cm is 75 kg/m², 20 mg/kg are 1.5 g/m² exactly', () => {
  expect(find('Bulk density 0.5 kg/L\nP (Olsen) 20 mg/kg', 'phosphorus')?.figure?.value).toEqual({
    low: expect.closeTo(1.5, 9),
    mid: expect.closeTo(1.5, 9),
    high: expect.closeTo(1.5, 9),
  });
});
test('a lime at hand is needed in the measure of its neutralising value, and on the whole plot by its area: ÷ 0.5, × 900 m²', () => {
  const lime = {
    name: 'Wood ash',
    neutralisingValue: literal('neutralising value', 0.5, ofWhat(NO_UNIT, 'of pure CaCO₃'), 'label', 'bag'),
  };
  const pure = find('pH 5.5', 'Pure lime')!;
  const ash = soilImplications(report('pH 5.5'), wheatStrip, 6.5, 'US', lime).find(
    (r) => r.name === 'Wood ash to pH 6.5',
  )!;
  expect(ash.figure!.value.mid).toBeCloseTo(2 * pure.figure!.value.mid, 9);
  expect(ash.whole!.value.mid).toBeCloseTo(900 * ash.figure!.value.mid, 9);
  expect(find('pH 7.5', 'Elemental sulfur')?.whole?.unit.text).toBe('kg');
});
test('on peat the soil is lighter: lime for 195 × 0.3 ÷ 1.3 kg/m²', () => {
  const lime = soilImplications(report('pH 5.5'), { ...wheatStrip, texture: 'peat' }, 6.5, 'US').find((r) =>
    r.name.startsWith('Pure lime'),
  );
  expect(lime?.figure?.value.mid).toBeCloseTo(100 * 45 * 50.04e-6, 9);
});

test('a pH in calcium or potassium chloride is not one in water: 0.6 (0.3 to 1.0) is added, and it says so', () => {
  const inWater = find('pH (water) 5.9', 'Pure lime')!.figure!;
  const inSalt = find('pH (CaCl2) 5.4', 'Pure lime')!.figure!;
  const taken = find('pH (water) 5.4', 'Pure lime')!.figure!;
  expect(inSalt.value.mid).toBeCloseTo(0.5 * 35 * 195 * 50.04e-6, 9);
  expect(inSalt.value.mid).toBeLessThan(inWater.value.mid);
  expect(taken.value.mid / inSalt.value.mid).toBeCloseTo(1.1 / 0.5, 9);
  expect(assumptionsIn(inSalt).map((a) => a.label)).toContain('how much lower pH reads in calcium chloride');
  expect(find('pH (KCl) 5.4', 'Pure lime')!.figure!.value).toEqual(inSalt.value);
  // Both measured: the one in water counts.
  expect(find('pH (CaCl2) 5.4\npH (water) 6.1', 'Pure lime')!.figure!.value.mid).toBeCloseTo(
    0.4 * 35 * 195 * 50.04e-6,
    9,
  );
});
test('conditions too go by the pH in water: 4.6 in calcium chloride may or may not be below 5, 4.9 is not', () => {
  expect(condition('acidBelow5', wheatStrip, report('pH (CaCl2) 4.6'))).toMatchObject({ answer: 'unknown' });
  expect(condition('acidBelow5', wheatStrip, report('pH (CaCl2) 4.9'))).toMatchObject({ answer: 'no' });
  expect(condition('acidBelow5', wheatStrip, report('pH (CaCl2) 3.9'))).toMatchObject({ answer: 'yes' });
});
test('pH 5 is not below 5, and 7.5 not above 7.5', () => {
  expect(condition('acidBelow5', wheatStrip, report('pH 5')).answer).toBe('no');
  expect(condition('acidBelow5', wheatStrip, report('pH 4.9')).answer).toBe('yes');
  expect(condition('alkalineAbove75', wheatStrip, report('pH 7.5')).answer).toBe('no');
  expect(condition('alkalineAbove75', wheatStrip, report('pH 7.6')).answer).toBe('yes');
});
test('a measured buffering outranks the texture’s class average', () => {
  const measured: SoilReport = {
    ...report('pH 5.5'),
    figures: [
      ...report('pH 5.5').figures,
      { analyte: 'pHBuffering', value: { kind: 'number', value: 20 }, unit: 'mmol/kg per pH', method: 'notSaid' },
    ],
  };
  const lime = soilImplications(measured, wheatStrip, 6.5, 'US').find((r) => r.name.startsWith('Pure lime'))!.figure!;
  expect(lime.value.mid).toBeCloseTo(1 * 20 * 195 * 50.04e-6, 9);
  expect(assumptionsIn(lime).map((a) => a.label)).not.toContain('pH buffering of loam');
});
test.each(['organicPotting', 'halfPotting', 'inertPotting'] as const)(
  'no lime is worked out for %s as if it were field soil',
  (medium) => {
    const row = soilImplications(report('pH 5.5'), { ...wheatStrip, medium }, 6.5, 'US').find(
      (r) => r.name === 'Lime or sulfur',
    )!;
    expect(row.figure).toBeUndefined();
    expect(row.lacks).toMatch(/potting medium/);
  },
);
