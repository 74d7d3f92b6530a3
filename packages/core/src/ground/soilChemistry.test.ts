import fc from 'fast-check';
import { cationExchange, exchangeableSodium, gypsumNeed, limeNeed, PH_BUFFERING, sodiumAdsorptionRatio, soilMass, soilStock, sulfurNeed } from './soilChemistry.js';

const exactSoil = soilMass(0.15, { low: 1.3, mid: 1.3, high: 1.3 });

test('SAR: 230 mg/L Na, 80 Ca, 24 Mg are 10.0, 3.99 and 1.98 mmol_c/L: 10.0 ÷ √2.98 = 5.79', () => expect(sodiumAdsorptionRatio({ Na: 230, Ca: 80, Mg: 24 })?.value.mid).toBeCloseTo(10.004 / Math.sqrt((3.992 + 1.975) / 2), 2));
test('SAR without calcium and magnesium has no number', () => expect(sodiumAdsorptionRatio({ Na: 230, Ca: 0, Mg: 0 })).toBeUndefined());
test('ESP at SAR 13 is 15.1 % by Handbook 60: 100 × 0.17915 ÷ 1.17915', () => {
  const sar = sodiumAdsorptionRatio({ Na: 13 * 22.99, Ca: 20.04, Mg: 12.15 })!;
  expect(sar.value.mid).toBeCloseTo(13, 9);
  expect(exchangeableSodium(sar).value.mid).toBeCloseTo(17.915 / 1.17915, 6);
});
test('ESP is never negative', () => expect(exchangeableSodium(sodiumAdsorptionRatio({ Na: 1, Ca: 200, Mg: 100 })!).value.mid).toBe(0));

test('a 15 cm layer at 1.3 kg/L weighs 195 kg/m²', () => expect(exactSoil.value.mid).toBeCloseTo(195, 9));

test('gypsum: ESP 20 → 5 at CEC 20 on 195 kg/m²: 0.15 × 20 × 0.01 × 195 × 0.08609 = 0.504 kg/m²', () => {
  const esp = exchangeableSodium(sodiumAdsorptionRatio({ Na: 13 * 22.99, Ca: 20.04, Mg: 12.15 })!);
  const twenty = { ...esp, value: { low: 20, mid: 20, high: 20 } };
  expect(gypsumNeed(twenty, 5, 20, exactSoil).value.mid).toBeCloseTo(0.15 * 20 * 0.01 * 195 * 0.08609, 9);
  expect(gypsumNeed(twenty, 25, 20, exactSoil).value.mid).toBe(0);
});

test('sulfur: one pH on loam over 195 kg/m²: 35 × 195 ÷ 2 × 32.06e-6 = 0.109 kg/m²; 1 % free lime eats 0.62 kg/m² more', () => {
  expect(sulfurNeed(7.5, 6.5, 'loam', exactSoil).value.mid).toBeCloseTo((35 * 195 * 32.06e-6) / 2, 9);
  expect(sulfurNeed(7.5, 6.5, 'loam', exactSoil, 0.01).value.mid - sulfurNeed(7.5, 6.5, 'loam', exactSoil).value.mid).toBeCloseTo(0.01 * 195 * 0.32, 9);
});
test('lime: one pH on clay at neutralising value 0.9: 60 × 195 × 50.04e-6 ÷ 0.9', () => expect(limeNeed(5.5, 6.5, 'clay', exactSoil, 0.9).value.mid).toBeCloseTo((60 * 195 * 50.04e-6) / 0.9, 9));
test('ranges stay ranges, and sand needs less than clay', () => {
  const sand = limeNeed(5.5, 6.5, 'sand', exactSoil);
  expect(sand.value.low).toBeLessThan(sand.value.mid);
  expect(sand.value.high).toBeLessThan(limeNeed(5.5, 6.5, 'clay', exactSoil).value.mid);
  for (const r of Object.values(PH_BUFFERING)) expect(r.low < r.mid && r.mid < r.high).toBe(true);
});

test('CEC from cations: 2004 mg/kg Ca, 243 Mg, 391 K, 23 Na are 10 + 2 + 1 + 0.1 cmol_c/kg', () => {
  const { cec, saturation } = cationExchange({ Ca: 2004, Mg: 243, K: 391, Na: 22.99 }, 1.9);
  expect(cec.value.mid).toBeCloseTo(15, 6);
  expect(saturation.Ca.value.mid).toBeCloseTo((100 * 10) / 15, 6);
});
test('base saturations and acidity make up the whole', () => {
  const mg = fc.double({ min: 0, max: 5000, noNaN: true });
  fc.assert(fc.property(mg, mg, mg, mg, (Ca, Mg, K, Na) => {
    fc.pre(Ca + Mg + K + Na > 1);
    const { saturation } = cationExchange({ Ca, Mg, K, Na });
    expect(Object.values(saturation).reduce((s, f) => s + f.value.mid, 0)).toBeCloseTo(100, 6);
  }));
});
test('soil stock: 25 mg/kg P in 195 kg/m² is 4.9 g/m²', () => expect(soilStock('phosphorus', 25, exactSoil).value.mid).toBeCloseTo(4.875, 9));
