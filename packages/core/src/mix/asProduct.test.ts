import { massFraction, libraryEntry, typicalProduct, type AnalysisFigure, type Product } from '../shelf/index.js';
import { costPerUnit } from '../price/costPerUnit.js';
import { mixAsProduct } from './asProduct.js';
import { mixture } from './mixture.js';

const line = (analyte: AnalysisFigure['analyte'], value: number, basis: AnalysisFigure['basis'] = 'element') => ({
  analyte,
  basis,
  value: { kind: 'number' as const, value },
  unit: '%' as const,
  provenance: 'label' as const,
  source: 'label',
});
const bag = (name: string, analysis: readonly AnalysisFigure[], given: Partial<Product> = {}): Product => ({
  id: name,
  name,
  form: 'granule',
  densityKgPerL: undefined,
  grade: undefined,
  analysis,
  derivedFrom: [],
  offers: [{ size: 10, unit: 'kg', price: { amount: '20.00', currency: 'EUR' }, seenOn: undefined }],
  directions: [],
  longevity: undefined,
  carbonToNitrogen: undefined,
  ...given,
});
const urea = bag('urea', [line('N', 46), line('N.urea', 46)], { derivedFrom: ['urea'] });
const potash = bag('potash', [line('K', 50, 'K2O')], { derivedFrom: ['sulfate of potash'] });
const asBag = (parts: readonly (readonly [Product, number])[]): Product =>
  mixAsProduct('mix', 'Mix', mixture(parts.map(([product, kg]) => ({ product, kg }))));
const fraction = (product: Product, analyte: AnalysisFigure['analyte']): number => {
  const reading = massFraction(product, analyte);
  return reading.kind === 'figure' ? reading.figure.value.mid : Number.NaN;
};

test('1 kg of urea and 3 kg of potash: 11.5 % N, all of it urea N, and 37.5 % K2O', () => {
  const mix = asBag([
    [urea, 1],
    [potash, 3],
  ]);
  expect(fraction(mix, 'N')).toBeCloseTo(0.115, 12);
  expect(fraction(mix, 'N.urea')).toBeCloseTo(0.115, 12);
  expect(mix.analysis.find((l) => l.analyte === 'K')).toMatchObject({ basis: 'K2O', value: { value: 37.5 } });
  expect(mix.derivedFrom).toEqual(['sulfate of potash', 'urea']);
});
test('its price is what its parts cost: 2.00 EUR per kg at 11.5 % N are 17.391 EUR per kg N', () => {
  const mix = asBag([
    [urea, 1],
    [potash, 3],
  ]);
  expect(mix.offers[0]?.price).toEqual({ amount: '2.00', currency: 'EUR' });
  const cost = costPerUnit(mix, { nutrient: 'N', basis: 'element', perUnit: 'kg' });
  expect(cost.kind === 'cost' && cost.figure.value.mid).toBeCloseTo(2 / 0.115, 9);
});
test('a part without a price leaves the mix without one', () =>
  expect(
    asBag([
      [urea, 1],
      [bag('free?', [line('K', 50)], { offers: [] }), 1],
    ]).offers,
  ).toEqual([]));
test('a form that one part does not name is not made up for the whole', () => {
  const meal = bag('meal', [line('N', 13)]);
  const mix = asBag([
    [urea, 1],
    [meal, 1],
  ]);
  expect(mix.analysis.filter((l) => l.analyte.startsWith('N.'))).toEqual([]);
  expect(fraction(mix, 'N')).toBeCloseTo(0.295, 12);
});
test('ranges stay ranges, and one coated part keeps its longevity', () => {
  const typical = typicalProduct(libraryEntry('feather meal')!);
  const coated = bag('coated', [line('N', 40)], { longevity: { days: 90, referenceC: 21 } });
  const mix = asBag([
    [typical, 1],
    [coated, 1],
  ]);
  expect(mix.analysis.find((l) => l.analyte === 'N')?.value.kind).toBe('range');
  expect(mix.longevity).toEqual({ days: 90, referenceC: 21 });
  expect(
    asBag([
      [coated, 1],
      [bag('other', [], { longevity: { days: 180, referenceC: 21 } }), 1],
    ]).longevity,
  ).toBeUndefined();
});
test('a form that is declared as a range stays one: 8–12 % urea N, one part in two, is 4–6 %', () => {
  const ranged = bag('ranged', [
    line('N', 12),
    { ...line('N.urea', 0), value: { kind: 'range', low: 8, mid: 10, high: 12 } },
  ]);
  const mix = asBag([
    [ranged, 1],
    [potash, 1],
  ]);
  expect(mix.analysis.find((l) => l.analyte === 'N.urea')?.value).toEqual({ kind: 'range', low: 4, mid: 5, high: 6 });
});
