import fc from 'fast-check';
import { parseQuantity, parseQuantityRange } from './parseQuantity.js';
import { parseRate } from './rate.js';
import { findUnit, fromCanonical, toCanonical, UNITS, unitOf } from './units.js';

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
test('a short ton is 907.18474 kg, a long one of 2240 lb 1016.0469088', () => {
  expect(toCanonical(1, 'US ton')).toBeCloseTo(907.18474, 8);
  expect(toCanonical(1, 'long ton')).toBeCloseTo(1016.0469088, 7);
  expect(parseQuantity('2 long tons', 'mass', 'kg')).toMatchObject({ ok: true, unit: { symbol: 'long ton' } });
});

test.each([
  ['5 lb.', 'mass', 5, 'lb'],
  ['2 lb 4 oz', 'mass', 2.25, 'lb'],
  ['2 lbs, 4 oz.', 'mass', 2.25, 'lb'],
  [`3'6"`, 'length', 3.5, 'ft'],
  ['3 ft 6 in', 'length', 3.5, 'ft'],
  ['1-1/2 lb', 'mass', 1.5, 'lb'],
  ['40 lb bag', 'mass', 40, 'lb'],
  ['a 40 lb. bag', 'mass', 40, 'lb'],
  ['1 gal (US)', 'volume', 1, 'US gal'],
  ['2 cups (metric)', 'volume', 2, 'metric cup'],
  ['1 Tbs (US)', 'volume', 1, 'US tbsp'],
  ['1 fl. oz (imperial)', 'volume', 1, 'imp fl oz'],
  ['75 cl', 'volume', 75, 'cL'],
  ['5 dl', 'volume', 5, 'dL'],
  ['1 US bu', 'volume', 1, 'US bu'],
  ['2 cu ft', 'volume', 2, 'ft³'],
  ['2 cu. ft. bale', 'volume', 2, 'ft³'],
  ["4' x 8'", 'area', 32, 'ft²'],
  ['4 x 8 ft', 'area', 32, 'ft²'],
  ['1.2 m × 3 m', 'area', 3.6, 'm²'],
  ['5 ozs', 'mass', 5, 'oz'],
  ['32 oz by weight', 'mass', 32, 'oz'],
] as const)('%s is read as people mean it', (text, dimension, value, symbol) => {
  const read = parseQuantity(text, dimension);
  expect(read).toMatchObject({ ok: true, unit: { symbol } });
  expect(read.ok && read.value).toBeCloseTo(value, 9);
});
test.each([
  ['2 Mg', 'mass', ['t', 'mg']],
  ['2 T', 'mass', ['t', 'US ton']],
  ['1 fl. oz', 'volume', ['US fl oz', 'imp fl oz']],
  ['2 Tbs', 'volume', ['US tbsp', 'metric tbsp', 'AU tbsp']],
  ['1 bu', 'volume', ['US bu', 'imp bu']],
] as const)('%s is asked about', (text, dimension, which) =>
  expect(parseQuantity(text, dimension)).toMatchObject({ ok: false, which }),
);
test.each(['2,500 kg', '12.500 g'])('%s is two weights, and is asked about once', (text) => {
  expect(parseQuantity(text, 'mass')).toMatchObject({ ok: false, readings: expect.any(Array) });
  expect(parseQuantity(text, 'mass', undefined, 'point').ok).toBe(true);
});
test.each(['4 oz 2 lb', '2 lb 20 oz', '1.5 lb 4 oz', '2 lb 4', '3 x 4 x 5 m', '4 lb x 3 m'])(
  '%s is refused',
  (text) => {
    expect(parseQuantity(text, 'mass').ok).toBe(false);
    expect(parseQuantity(text, 'area').ok).toBe(false);
  },
);
test('a range of amounts keeps both ends, in the unit of the second', () => {
  expect(parseQuantityRange('2-3 oz', 'mass')).toMatchObject({ ok: true, range: { low: 2, mid: 2.5, high: 3 } });
  expect(parseQuantityRange('500 g to 1 kg', 'mass')).toMatchObject({ range: { low: 0.5, high: 1 } });
  expect(parseQuantityRange('1-1/2 lb', 'mass')).toMatchObject({ range: { low: 1.5, mid: 1.5, high: 1.5 } });
  expect(parseQuantityRange('3-2 oz', 'mass')).toMatchObject({ ok: false, order: true });
  expect(parseQuantity('2-3 oz', 'mass').ok).toBe(false);
});

// Domain 2 and the definitions of the international pound, inch, US and imperial gallon; g, L, m, m², fraction or kg/L each.
test.each([
  ['kg', 1],
  ['g', 0.001],
  ['mg', 1e-6],
  ['t', 1000],
  ['lb', 0.45359237],
  ['US ton', 907.18474],
  ['long ton', 1016.0469088],
  ['oz', 0.028349523125],
  ['L', 1],
  ['dL', 0.1],
  ['cL', 0.01],
  ['mL', 0.001],
  ['m³', 1000],
  ['ft³', 28.316846592],
  ['yd³', 764.554857984],
  ['US gal', 3.785411784],
  ['imp gal', 4.54609],
  ['US bu', 35.23907016688],
  ['imp bu', 36.36872],
  ['US qt', 0.946352946],
  ['imp qt', 1.1365225],
  ['US pt', 0.473176473],
  ['imp pt', 0.56826125],
  ['US fl oz', 0.0295735295625],
  ['imp fl oz', 0.0284130625],
  ['US cup', 0.2365882365],
  ['metric cup', 0.25],
  ['US tbsp', 0.01478676478125],
  ['metric tbsp', 0.015],
  ['AU tbsp', 0.02],
  ['US tsp', 0.00492892159375],
  ['metric tsp', 0.005],
  ['m²', 1],
  ['ha', 10000],
  ['ft²', 0.09290304],
  ['yd²', 0.83612736],
  ['acre', 4046.8564224],
  ['m', 1],
  ['cm', 0.01],
  ['mm', 0.001],
  ['ft', 0.3048],
  ['in', 0.0254],
  ['%', 0.01],
  ['g/kg', 0.001],
  ['mg/kg', 1e-6],
  ['kg/L', 1],
  ['g/L', 0.001],
])('one %s is %p', (symbol, factor) => expect(unitOf(symbol).factor / factor).toBeCloseTo(1, 12));
test('the table above names every unit there is', () => expect(UNITS).toHaveLength(47));
test('a unit is found in any case, with full stops, with its country in front or behind', () => {
  for (const name of ['LB', 'Lbs.', 'lb.', 'pounds']) expect(findUnit(name)?.symbol).toBe('lb');
  for (const name of ['US tablespoons', 'us Tbs', 'Tbs (US)']) expect(findUnit(name)?.symbol).toBe('US tbsp');
  expect(findUnit('uk fluid ounces')?.symbol).toBe('imp fl oz');
});

test.each(['(', '1 % ', '5 g ', '5 g/', '1 to ', '½', '9', '5 lb per ', "3'", '4 x '])(
  'a text of %j 25 000 times over is refused for its length, by every reader of typed amounts',
  (piece) => {
    const text = piece.repeat(25_000);
    for (const read of [parseQuantity(text, 'mass'), parseQuantityRange(text, 'area'), parseRate(text)]) {
      expect(read).toMatchObject({ ok: false });
      expect(!read.ok && read.reason).toMatch(/^Read \d+ characters, expected a (number and a unit|rate) such as/);
    }
  },
);
test('the longest text that is still read has 200 characters', () => {
  const padded = (length: number): string => `5 kg${' '.repeat(length - 4)}`;
  expect(parseQuantity(padded(200), 'mass')).toMatchObject({ ok: true, value: 5 });
  expect(parseQuantity(padded(201), 'mass')).toMatchObject({ ok: false });
});
