import fc from 'fast-check';
import { parseQuantity } from './parseQuantity.js';
import { fromCanonical, toCanonical, UNITS, unitOf } from './units.js';

test('reads a number with its unit', () => {
  expect(parseQuantity('50 lb', 'mass')).toMatchObject({ ok: true, value: 50, unit: { symbol: 'lb' } });
  expect(parseQuantity('2,5kg', 'mass')).toMatchObject({ ok: true, value: 2.5, unit: { symbol: 'kg' } });
  expect(parseQuantity('1/2 US cup', 'volume')).toMatchObject({ ok: true, value: 0.5, unit: { symbol: 'US cup' } });
});

test('a bare number takes the assumed unit, and none without one', () => {
  expect(parseQuantity('12', 'area', 'm²')).toMatchObject({ ok: true, unit: { symbol: 'm²' } });
  expect(parseQuantity('12', 'area')).toMatchObject({ ok: false });
});

test('never says cup without saying whose', () => {
  const read = parseQuantity('1 cup', 'volume');
  expect(read).toMatchObject({ ok: false, which: ['US cup', 'metric cup'] });
});

test('a unit of another kind is named in the refusal', () => {
  const read = parseQuantity('5 kg', 'volume');
  expect(read).toMatchObject({ ok: false });
  expect(!read.ok && read.reason).toMatch(/kg measures mass, expected volume/);
});

test.each([
  ['lb', 0.45359237],
  ['US gal', 3.785411784],
  ['US cup', 0.2365882365],
  ['metric cup', 0.25],
  ['US tbsp', 0.01478676478125],
  ['AU tbsp', 0.02],
  ['imp gal', 4.54609],
  ['acre', 4046.8564224],
  ['ft³', 28.316846592],
  ['yd³', 764.554857984],
])('one %s is %p in canonical units', (symbol, factor) => expect(unitOf(symbol).factor).toBeCloseTo(factor, 12));

test('converting there and back is the identity for every unit', () => {
  fc.assert(
    fc.property(fc.constantFrom(...UNITS), fc.double({ min: 1e-6, max: 1e6, noNaN: true }), (unit, x) => {
      expect(fromCanonical(toCanonical(x, unit.symbol), unit.symbol)).toBeCloseTo(x, 6 - Math.ceil(Math.log10(x)));
    }),
  );
});

test('every alias of every unit is understood, or asks which is meant', () => {
  for (const unit of UNITS)
    for (const name of [unit.symbol, ...unit.aliases]) {
      const read = parseQuantity(`3 ${name}`, unit.dimension);
      expect([name, read.ok ? read.unit.symbol : read.which]).toEqual([
        name,
        read.ok ? unit.symbol : expect.any(Array),
      ]);
    }
});

test.each([
  ['12 sq m', 'm²'],
  ['12 m2', 'm²'],
  ['100 square feet', 'ft²'],
  ['100 sq ft', 'ft²'],
  ['100 ft2', 'ft²'],
  ['2 hectares', 'ha'],
  ['3 acres', 'acre'],
])('an area is read as it is said: %s', (text, symbol) =>
  expect(parseQuantity(text, 'area')).toMatchObject({ ok: true, unit: { symbol } }),
);
test.each([
  ['1 ton', 'mass', ['t', 'US ton']],
  ['2 qt', 'volume', ['US qt', 'imp qt']],
] as const)('%s could be two things and is asked about', (text, dimension, which) => {
  expect(parseQuantity(text, dimension)).toMatchObject({ ok: false, which });
  for (const symbol of which)
    expect(parseQuantity(`1 ${symbol}`, dimension)).toMatchObject({ ok: true, unit: { symbol } });
});
test('a short ton is 907.18474 kg', () => expect(toCanonical(1, 'US ton')).toBeCloseTo(907.18474, 8));
