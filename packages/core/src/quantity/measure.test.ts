import { inCurrency, manyOf, measure, NO_UNIT, ofWhat, per, PH, productOf, sameKind } from './measure.js';
import { fromCanonical, unitsOf } from './units.js';

test.each([
  ['kg', { kg: 1 }, 1],
  ['g/m²', { kg: 1, m: -2 }, 1e-3],
  ['kg N/ha', { kg: 1, m: -2 }, 1e-4],
  ['mg/L', { kg: 1, m: -3 }, 1e-3],
  ['% w/v', { kg: 1, m: -3 }, 10],
  ['kg/L', { kg: 1, m: -3 }, 1000],
  ['mL/L of water', {}, 1e-3],
  ['% of need', {}, 0.01],
  ['/day', { day: -1 }, 1],
  ['mmol/kg per pH', { mol: 1, kg: -1, pH: -1 }, 1e-3],
  ['mg/L per mS/cm', { kg: 1, m: -3, 'mS/cm': -1 }, 1e-3],
  ['g/m² per kg/ha', {}, 10],
  ['L/m² per mm', {}, 1],
  ['m³/m³', {}, 1],
  ['US gal', { m: 3 }, 3.785411784e-3],
] as const)('%s is a kind and a factor', (notation, powers, factor) => {
  const found = measure(notation);
  expect(found.text).toBe(notation);
  expect(sameKind(found, { text: '', powers, factor: 1 })).toBe(true);
  expect(found.factor).toBeCloseTo(factor, 12);
});

test('what is in no table is no unit', () => {
  expect(() => measure('parsec')).toThrow('No unit is written "parsec"');
  expect(() => measure('kg/parsec')).toThrow('"parsec"');
});

test('measures made while the program runs read as they are said', () => {
  expect(per(inCurrency('EUR'), ofWhat(measure('kg'), 'N')).text).toBe('EUR/kg N');
  expect(per(measure('g/m²'), measure('kg/ha')).text).toBe('g/m² per kg/ha');
  expect(per(measure('lb'), manyOf(1000, measure('ft²'))).text).toBe('lb/1000 ft²');
  expect(per(measure('lb'), manyOf(1, measure('ft²'))).text).toBe('lb/ft²');
  expect(manyOf(1000, measure('ft²')).factor).toBeCloseTo(92.90304, 8);
});

test('kinds are told apart: two currencies, pH and a plain number, plants and nothing', () => {
  expect(sameKind(inCurrency('EUR'), inCurrency('USD'))).toBe(false);
  expect(sameKind(PH, NO_UNIT)).toBe(false);
  expect(sameKind(measure('g/plant'), measure('g'))).toBe(false);
  expect(sameKind(measure('lb'), measure('kg'))).toBe(true);
  expect(inCurrency('EUR').currency).toBe('EUR');
  expect(ofWhat(inCurrency('EUR'), 'a year').currency).toBeUndefined();
});

test('a product of measures cancels what it should: kg/m² × kg/kg × g/kg is g/m²', () => {
  const found = productOf(['kg/m²', 'kg/kg', 'g/kg'].map(measure));
  expect(sameKind(found, measure('g/m²'))).toBe(true);
  expect(found.factor).toBeCloseTo(measure('g/m²').factor, 15);
});

test('there and back again by every unit of weight, volume, area and length', () => {
  for (const dimension of ['mass', 'volume', 'area', 'length'] as const)
    for (const symbol of unitsOf(dimension)) {
      const canonical = { mass: 1, volume: 1e-3, area: 1, length: 1 }[dimension];
      expect((fromCanonical(1, symbol) * measure(symbol).factor) / canonical).toBeCloseTo(1, 12);
    }
});
