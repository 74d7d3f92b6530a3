import fc from 'fast-check';
import { literal, type Figure } from '../figure/index.js';
import { type Measure, NO_UNIT, ofWhat, type Range } from '../quantity/index.js';
import {
  BULK_DENSITY,
  cationExchange,
  exchangeableSodium,
  gypsumNeed,
  limeNeed,
  PH_BUFFERING,
  pHBuffering,
  sodiumAdsorptionRatio,
  soilMass,
  soilStock,
  sulfurNeed,
} from './soilChemistry.js';

const m = (value: number | Range, unit: string | Measure = 'mg/L'): Figure =>
  literal('measured', value, unit, 'measured', 'test');
const exactSoil = soilMass(0.15, 'loam', m(1.3, 'kg/L'));
const sar = (Na: number | Range, Ca: number | Range, Mg: number | Range) =>
  sodiumAdsorptionRatio({ Na: m(Na), Ca: m(Ca), Mg: m(Mg) });
const exchange = (Ca: number | Range, Mg: number, K: number, Na: number | Range, acidity?: number) =>
  cationExchange(
    { Ca: m(Ca), Mg: m(Mg), K: m(K), Na: m(Na) },
    acidity === undefined ? undefined : m(acidity, 'cmol_c/kg'),
  );

test('SAR: 230 mg/L Na, 80 Ca, 24 Mg are 10.0, 3.99 and 1.98 mmol_c/L: 10.0 ÷ √2.98 = 5.79', () =>
  expect(sar(230, 80, 24)?.value.mid).toBeCloseTo(10.004 / Math.sqrt((3.992 + 1.975) / 2), 2));
test('SAR without calcium and magnesium has no number', () => expect(sar(230, 0, 0)).toBeUndefined());
test('ESP at SAR 13 is 15.1 % by Handbook 60: 100 × 0.17915 ÷ 1.17915', () => {
  const thirteen = sar(13 * 22.99, 20.04, 12.15)!;
  expect(thirteen.value.mid).toBeCloseTo(13, 9);
  expect(exchangeableSodium(thirteen).value.mid).toBeCloseTo(17.915 / 1.17915, 6);
});
test('ESP is never negative', () => expect(exchangeableSodium(sar(1, 200, 100)!).value.mid).toBe(0));

test('a 15 cm layer at 1.3 kg/L weighs 195 kg/m²', () => expect(exactSoil.value.mid).toBeCloseTo(195, 9));

test('gypsum: ESP 20 → 5 at CEC 20 on 195 kg/m²: 0.15 × 20 × 0.01 × 195 × 0.08609 = 0.504 kg/m² of the pure, ÷ 0.8 that exchange', () => {
  const esp = exchangeableSodium(sar(13 * 22.99, 20.04, 12.15)!);
  const twenty = { ...esp, value: { low: 20, mid: 20, high: 20 } };
  expect(gypsumNeed(twenty, 5, m(20, 'cmol_c/kg'), exactSoil, m(1, 'kg/kg')).value.mid).toBeCloseTo(
    (0.15 * 20 * 0.01 * 195 * 0.08609) / 0.8,
    9,
  );
  expect(gypsumNeed(twenty, 25, m(20, 'cmol_c/kg'), exactSoil).value.mid).toBe(0);
});

test('sulfur: one pH on loam over 195 kg/m²: 35 × 195 ÷ 2 × 32.06e-6 = 0.109 kg/m²; 1 % free lime eats 0.62 kg/m² more', () => {
  expect(sulfurNeed(m(7.5, ''), 6.5, pHBuffering('loam'), exactSoil).value.mid).toBeCloseTo(
    (35 * 195 * 32.06e-6) / 2,
    9,
  );
  expect(
    sulfurNeed(m(7.5, ''), 6.5, pHBuffering('loam'), exactSoil, m(0.01, 'kg/kg')).value.mid -
      sulfurNeed(m(7.5, ''), 6.5, pHBuffering('loam'), exactSoil).value.mid,
  ).toBeCloseTo(0.01 * 195 * 0.32, 9);
});
test('lime: one pH on clay at neutralising value 0.9: 60 × 195 × 50.04e-6 ÷ 0.9', () =>
  expect(
    limeNeed(m(5.5, ''), 6.5, pHBuffering('clay'), exactSoil, m(0.9, ofWhat(NO_UNIT, 'of pure CaCO₃'))).value.mid,
  ).toBeCloseTo((60 * 195 * 50.04e-6) / 0.9, 9));
test('ranges stay ranges, and sand needs less than clay', () => {
  const sand = limeNeed(m(5.5, ''), 6.5, pHBuffering('sand'), exactSoil);
  expect(sand.value.low).toBeLessThan(sand.value.mid);
  expect(sand.value.high).toBeLessThan(limeNeed(m(5.5, ''), 6.5, pHBuffering('clay'), exactSoil).value.mid);
  for (const r of Object.values(PH_BUFFERING)) expect(r.low < r.mid && r.mid < r.high).toBe(true);
});

test('CEC from cations: 2004 mg/kg Ca, 243 Mg, 391 K, 23 Na are 10 + 2 + 1 + 0.1 cmol_c/kg', () => {
  const { cec, saturation } = exchange(2004, 243, 391, 22.99, 1.9);
  expect(cec.value.mid).toBeCloseTo(15, 6);
  expect(saturation.Ca.value.mid).toBeCloseTo((100 * 10) / 15, 6);
});
test('base saturations and acidity make up the whole', () => {
  const mg = fc.double({ min: 0, max: 5000, noNaN: true });
  fc.assert(
    fc.property(mg, mg, mg, mg, (Ca, Mg, K, Na) => {
      fc.pre(Ca + Mg + K + Na > 1);
      const { saturation } = exchange(Ca, Mg, K, Na);
      expect(Object.values(saturation).reduce((s, f) => s + f.value.mid, 0)).toBeCloseTo(100, 6);
    }),
  );
});
test('soil stock: 25 mg/kg P in 195 kg/m² is 4.9 g/m²', () =>
  expect(soilStock('phosphorus', m(25, 'mg/kg'), exactSoil).value.mid).toBeCloseTo(4.875, 9));

test('what is below detection lies between nothing and the limit: Na < 23 mg/L with 1 + 1 mmol_c/L of Ca and Mg is SAR 0 to 1, and ESP stays a range', () => {
  const censored = sar({ low: 0, mid: 11.495, high: 22.99 }, 20.04, 12.15)!;
  expect(censored.value).toEqual({ low: 0, mid: expect.closeTo(0.5, 9), high: expect.closeTo(1, 9) });
  expect(exchangeableSodium(censored).value).toMatchObject({
    low: 0,
    high: expect.closeTo((100 * 0.00215) / 1.00215, 6),
  });
});
test('a saturation is lowest where its cation is least and the others most: Na 0–229.9 beside 9 cmol_c/kg is 0 to 10 %', () => {
  const { saturation } = exchange(9 * 200.4, 0, 0, { low: 0, mid: 114.95, high: 229.9 });
  expect(saturation.Na.value).toEqual({ low: 0, mid: expect.closeTo(50 / 9.5, 9), high: expect.closeTo(10, 9) });
  expect(saturation.Ca.value).toEqual({
    low: expect.closeTo(90, 9),
    mid: expect.closeTo(900 / 9.5, 9),
    high: expect.closeTo(100, 9),
  });
});
test('peat weighs a quarter of loam, and a measured bulk density replaces the class average', () => {
  expect(soilMass(0.15, 'peat').value.mid).toBeCloseTo(45, 9);
  expect(soilMass(0.2, 'peat', m(0.25, 'kg/L')).value).toEqual({ low: 50, mid: 50, high: 50 });
  for (const r of Object.values(BULK_DENSITY)) expect(r.low < r.mid && r.mid < r.high).toBe(true);
});

test('gypsum by purity and exchange: 0.504 kg/m² of the pure, all exchanged, is 0.504 ÷ 0.9 ÷ 0.8 of the usual', () => {
  const twenty = m(20, '%');
  const pure = 0.15 * 20 * 0.01 * 195 * 0.08609;
  const { low, mid, high } = gypsumNeed(twenty, 5, m(20, 'cmol_c/kg'), exactSoil).value;
  expect([low, mid, high]).toEqual([
    expect.closeTo(pure, 9),
    expect.closeTo(pure / 0.9 / 0.8, 9),
    expect.closeTo(pure / 0.75 / 0.6, 9),
  ]);
});
test('where a pH may be at the goal already, the least lime is none, never less', () =>
  expect(
    limeNeed({ ...m(6.2, ''), value: { low: 5.8, mid: 6.2, high: 6.7 } }, 6.5, pHBuffering('loam'), exactSoil).value
      .low,
  ).toBe(0));
