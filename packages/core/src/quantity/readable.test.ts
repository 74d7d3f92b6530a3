import { measure, ofWhat } from './measure.js';
import { exact } from './range.js';
import { readable } from './readable.js';

test.each([
  ['% Cu', 0.000096, 0.96, 'mg/kg Cu'],
  ['%', 0.0099, 99, 'mg/kg'],
  ['%', 0.01, 0.01, '%'],
  ['%', 0, 0, '%'],
  ['kg', 1, 1, 'kg'],
  ['kg', 0.999, 999, 'g'],
  ['kg N', 0.001, 1, 'g N'],
  ['kg', 0.0009, 900, 'mg'],
  ['kg/m²', 0.04, 40, 'g/m²'],
  ['kg/m²', 1.2, 1200, 'g/m²'],
  ['kg/m²', 0, 0, 'g/m²'],
  ['kg/ha', 0.04, 0.04, 'kg/ha'],
  ['L', 0.25, 250, 'mL'],
  ['°C', 0.5, 0.5, '°C'],
])('%s: %p is read as %p %s', (unit, value, number, shown) => {
  const read = readable(exact(value), measure(unit));
  expect(read.unit).toBe(shown);
  expect(read.value.mid).toBeCloseTo(number, 9);
});
test('the larger end of a range decides, and a debt is read as its size', () => {
  expect(readable({ low: 0.0001, mid: 0.005, high: 0.02 }, ofWhat(measure('%'), 'B')).unit).toBe('% B');
  expect(readable({ low: -0.4, mid: -0.2, high: 0.1 }, measure('kg'))).toEqual({
    value: { low: -400, mid: -200, high: 100 },
    unit: 'g',
  });
});
