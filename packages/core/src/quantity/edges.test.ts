import { parseDay, readDate, slashOrder } from './day.js';
import { formatFixed, formatGiven, formatNumber, formatTrimmed, formatGivenRange } from './format.js';
import { addMoney, formatMoney, money, moneyValue, scaleMoney } from './money.js';
import { decimalMarkIn, parseNumber, twoReadings, typedNumber, writtenPlainly } from './parseNumber.js';
import { parseQuantity, parseQuantityRange } from './parseQuantity.js';
import { parseRate, rateBasis, rateFactor, rateRange } from './rate.js';
import { findUnit, unitOf } from './units.js';
import { capital } from './words.js';

test.each([
  [undefined, '–'],
  [NaN, '–'],
  [-Infinity, '–'],
  [0, '0'],
  [1e-6, '0.00000100'],
  [9.99e-7, '9.99 × 10^−7'],
  [9.99e15, '9\u2009990\u2009000\u2009000\u2009000\u2009000'],
  [1e16, '1.00 × 10^16'],
  [-1234, '−1230'],
  [-12345, '−12\u2009300'],
  [9.999, '10.0'],
])('formatNumber(%p) is %j', (value, text) => expect(formatNumber(value)).toBe(text));
test.each([
  [undefined, '–'],
  [NaN, '–'],
  [1e15, '1.00000000 × 10^15'],
  [999_999_999_999_000, '1\u2009000\u2009000\u2009000\u2009000\u2009000'],
  [-2e15, '−2.00000000 × 10^15'],
  [1234.5, '1234.5'],
])('formatGiven(%p) is %j', (value, text) => expect(formatGiven(value)).toBe(text));
test.each([
  [undefined, '–'],
  [Infinity, '–'],
  [1e15, '1.00 × 10^15'],
  [999_999_999_999_999, '999\u2009999\u2009999\u2009999\u2009999.0'],
  [-1e15, '−1.00 × 10^15'],
  [2.345, '2.3'],
])('formatFixed(%p, 1) is %j', (value, text) => expect(formatFixed(value, 1)).toBe(text));
test('nothing and ranges are trimmed as single numbers are', () => {
  expect(formatTrimmed(undefined)).toBe('–');
  expect(formatTrimmed(1234.5)).toBe('1230');
  expect(formatGivenRange({ low: 1, mid: 1, high: 1 })).toBe('1');
  expect(formatGivenRange({ low: 1, mid: 1, high: 2 })).toBe('1–2');
  expect(formatNumber(5, 1)).toBe('5');
  expect(formatNumber(5e20, 1)).toBe('5 × 10^20');
});

test('money: what is no amount and what is no currency say so at their field; sums keep their decimals', () => {
  for (const amount of ['1.23456', '1234567890', '-1', '1,5', '.5', '5.', 'x'])
    expect(() => money(amount, 'EUR')).toThrow(
      expect.objectContaining({
        code: 'money.amount',
        path: 'amount',
        message: `Read "${amount}", expected an amount such as 24.90.`,
      }),
    );
  for (const currency of ['eur', 'EURO', 'EU', 'xEUR'])
    expect(() => money('1', currency)).toThrow(
      expect.objectContaining({
        code: 'money.currency',
        path: 'currency',
        message: `Read "${currency}", expected a currency code such as EUR.`,
      }),
    );
  expect(() => addMoney(money('1', 'EUR'), money('1', 'GBP'))).toThrow(
    expect.objectContaining({ code: 'money.mixed', message: 'Cannot add GBP to EUR: no conversion rate is kept.' }),
  );
  expect(addMoney(money('0.1', 'EUR'), money('0.2', 'EUR'))).toEqual({ amount: '0.3', currency: 'EUR' });
  expect(scaleMoney(money('10', 'EUR'), 1 / 3)).toEqual({ amount: '3.3333333333', currency: 'EUR' });
  expect(moneyValue(money('24.90', 'EUR'))).toBe(24.9);
  expect(formatMoney(money('0.125', 'EUR'))).toBe('0.13 EUR');
});

const value = (text: string, mark?: 'point' | 'comma'): number | string => {
  const read = parseNumber(text, mark);
  return read.ok ? read.value : 'refused';
};
test.each([
  ['.5', 0.5],
  [',5', 0.5],
  ['5.', 5],
  ['0,250', 0.25],
  ['1.250,5', 1250.5],
  ['1,250.5', 1250.5],
  ['1,250.5.5', 'refused'],
  ['12,50.5', 'refused'],
  ['1.250.000', 1250000],
  ['1,250,000', 1250000],
  ['1 250', 1250],
  ["1'250", 1250],
  ['1 25', 'refused'],
  ['1 1/2', 1.5],
  ['1-1/2', 1.5],
  ['3/2', 1.5],
  ['1 3/2', 'refused'],
  ['1 2/2', 'refused'],
  ['1/0', 'refused'],
  ['-1/2', -0.5],
  ['- 5', -5],
  ['+5', 5],
  ['−5', -5],
  ['½', 0.5],
  ['1½', 1.5],
  ['12e-3', 0.012],
  ['1e400', 'refused'],
  ['1e', 'refused'],
  ['', 'refused'],
  ['  ', 'refused'],
  ['-0', 0],
  ['5 kg', 'refused'],
  ['9'.repeat(40), 1e40],
  ['9'.repeat(41), 'refused'],
])('%j is the number %p', (text, expected) => expect(value(text)).toBe(expected));
test('a mark that is known settles what could be two numbers, and only that', () => {
  expect([value('2,500', 'comma'), value('2,500', 'point'), value('2.500', 'comma'), value('2.500', 'point')]).toEqual([
    2.5, 2500, 2500, 2.5,
  ]);
  expect(value('-2,500', 'comma')).toBe(-2.5);
  const asked = parseNumber('-2,500');
  expect(asked).toEqual({
    ok: false,
    reason: '"2,500" could be 2500 or 2.5: say which, or write it plainly.',
    readings: [-2.5, -2500],
  });
  expect(parseNumber('x')).toMatchObject({ reason: expect.stringContaining('Read "x"') });
  expect([typedNumber(undefined), typedNumber(1.125), typedNumber(-1.125), typedNumber(1125)]).toEqual([
    '',
    '1.1250',
    '-1.1250',
    '1125',
  ]);
  expect(writtenPlainly('2,500 kg and 3.5', 'point')).toBe('2500 kg and 3.5');
  expect([
    decimalMarkIn('62.4'),
    decimalMarkIn('6,5'),
    decimalMarkIn('62.4 and 6,5'),
    decimalMarkIn('2,500'),
    decimalMarkIn('1,250.5'),
  ]).toEqual(['point', 'comma', undefined, undefined, 'point']);
  expect(
    [parseNumber('0.0120'), parseNumber('0'), parseNumber('12e-3'), parseNumber('1/2')].map((n) => n.ok && n.digits),
  ).toEqual([3, 1, 2, 3]);
});

const amount = (text: string, dimension: 'mass' | 'area' | 'length' | 'volume' = 'mass'): string => {
  const read = parseQuantity(text, dimension);
  return read.ok ? `${Number(read.value.toPrecision(9))} ${read.unit.symbol} ${read.digits}` : read.reason;
};
test.each([
  ['  50 lb  ', 'mass', '50 lb 2'],
  ['40 lb bag', 'mass', '40 lb 2'],
  ['a 5 kg sack', 'mass', '5 kg 1'],
  ['an 80 lb bale', 'mass', '80 lb 2'],
  ['2 lb 4 oz', 'mass', '2.25 lb 3'],
  ['12 lb, 12 oz', 'mass', '12.75 lb 4'],
  ['2 lb and 4 oz', 'mass', '2.25 lb 3'],
  ['2 lb 16 oz', 'mass', 'Read the unit "lb 16 oz", expected one such as 20 kg or 50 lb.'],
  ['2 oz 1 lb', 'mass', 'Read the unit "oz 1 lb", expected one such as 20 kg or 50 lb.'],
  ['2.5 lb 4 oz', 'mass', 'Read the unit "lb 4 oz", expected one such as 20 kg or 50 lb.'],
  ['3 ft 6 in', 'length', '3.5 ft 3'],
  ['3\'6"', 'length', '3.5 ft 3'],
  ["4' x 8'", 'area', '32 ft² 1'],
  ['4 x 8 ft', 'area', '32 ft² 1'],
  ['1.25 m × 3 m', 'area', '3.75 m² 1'],
  ['4 ft x 2 m', 'area', '2.4384 m² 1'],
  ['4 m x y', 'area', 'Read "y", expected a number and a unit such as 1.2 m or 4 ft.'],
  ['5', 'mass', 'Read 5 with no unit, expected one such as 20 kg or 50 lb.'],
  ['5 m', 'mass', 'm measures length, expected mass such as 20 kg or 50 lb.'],
  ['heavy', 'mass', 'Read "heavy", expected a number and a unit such as 20 kg or 50 lb.'],
  ['5 spoonfuls', 'mass', 'Read the unit "spoonfuls", expected one such as 20 kg or 50 lb.'],
] as const)('%j as %s is %s', (text, dimension, expected) => expect(amount(text, dimension)).toBe(expected));
test.each([
  ['2-3 oz', [2, 2.5, 3, 'oz']],
  ['2 – 3 oz', [2, 2.5, 3, 'oz']],
  ['2 to 3 oz', [2, 2.5, 3, 'oz']],
  ['8 oz to 1 lb', [0.5, 0.75, 1, 'lb']],
  ['1-1/2 lb', [1.5, 1.5, 1.5, 'lb']],
  ['1-1/2 to 2 lb', [1.5, 1.75, 2, 'lb']],
  ['3-3 oz', [3, 3, 3, 'oz']],
  ['0-3 oz', [0, 1.5, 3, 'oz']],
] as const)('%j is a range', (text, [low, mid, high, unit]) => {
  const read = parseQuantityRange(text, 'mass');
  expect(read).toMatchObject({ ok: true, unit: { symbol: unit } });
  expect(read.ok && [read.range.low, read.range.mid, read.range.high].map((n) => Number(n.toPrecision(9)))).toEqual([
    low,
    mid,
    high,
  ]);
});
test('the least behind the most is refused by its order; an end that cannot be read says so', () => {
  expect(parseQuantityRange(' 3-2 oz ', 'mass')).toEqual({
    ok: false,
    reason: 'Read "3-2 oz", expected the least before the most.',
    order: true,
  });
  expect(parseQuantityRange('2-3 spoons', 'mass')).toMatchObject({
    ok: false,
    reason: expect.stringContaining('"spoons"'),
  });
});
test.each([
  ['50 g/m²', { amount: 50, unit: 'g', per: { amount: 1, unit: 'm²' } }],
  ['1 lb N per 1,000 sq ft', { amount: 1, unit: 'lb', per: { amount: 1000, unit: 'ft²' } }],
  ['2 kg of potash/100 m²', { amount: 2, unit: 'kg', per: { amount: 100, unit: 'm²' } }],
  ['10 g per pot', { amount: 10, unit: 'g', per: { amount: 1, unit: 'plant' } }],
  ['5 mL/L', { amount: 5, unit: 'mL', per: { amount: 1, unit: 'L of water' } }],
] as const)('%j is read as a rate', (text, rate) => expect(parseRate(text)).toMatchObject({ ok: true, rate }));
test.each([
  ['1 lb N per 1,000 sq ft', 'N'],
  ['2 kg of potash/100 m²', 'K2O'],
  ['2 kg phosphate/100 m²', 'P2O5'],
  ['2 kg K₂O/100 m²', 'K2O'],
  ['2 kg P₂O₅/100 m²', 'P2O5'],
  ['2 kg/100 m²', undefined],
])('%j is told of %s', (text, nutrient) => {
  const read = parseRate(text);
  expect(read.ok && read.nutrient).toBe(nutrient);
});
test.each([
  ['5 g per 0 m²', 'Read a rate for each 0, expected more than nothing.'],
  ['5 g per m', 'Read "m", expected a square measure such as m², or "m of row".'],
  ['1:200', '"1:200" is one part in, or one part to, so many of water: say it as mL in each litre, such as 5 mL/L.'],
  ['0 g/m²', 'Read "0 g", expected more than nothing, the least before the most.'],
])('%j is refused: %s', (text, reason) => expect(parseRate(text)).toMatchObject({ ok: false, reason }));
test('a rate without a least is exact; with one its middle is between', () => {
  const rate = { amount: 50, unit: 'g', per: { amount: 1, unit: 'm²' } };
  expect(rateRange(rate)).toEqual({ low: 50, mid: 50, high: 50 });
  expect(rateRange({ ...rate, least: 30 })).toEqual({ low: 30, mid: 40, high: 50 });
});

test('the order of day and month is told by dates that can be read one way only', () => {
  expect(slashOrder(['3/4/2026', '13/4/2026'])).toBe('day');
  expect(slashOrder(['3/4/2026', '4/13/2026'])).toBe('month');
  expect(slashOrder(['12/12/2026', '1/2/2026'])).toBeUndefined();
  expect(slashOrder(['13/4/2026', '4/13/2026'])).toBeUndefined();
  expect(slashOrder(['soon'])).toBeUndefined();
  expect([
    readDate('3/4/2026', 'day'),
    readDate('3/4/2026', 'month'),
    readDate('12/12/2026'),
    readDate('3/12/2026'),
    readDate('12/3/2026'),
  ]).toEqual(['2026-04-03', '2026-03-04', '2026-12-12', undefined, undefined]);
  expect([
    readDate('on 2026-03-14'),
    readDate('on 14.3.2026'),
    readDate('4.12.2026'),
    readDate('14.3.20261'),
    readDate('on 14 Mar 2026'),
    readDate('5  May  2026'),
    readDate('May  5, 2026'),
  ]).toEqual([undefined, undefined, '2026-12-04', undefined, undefined, '2026-05-05', '2026-05-05']);
  expect(parseDay(' tomorrow ')).toEqual({ ok: false, reason: 'Read "tomorrow", expected a day such as 14 Mar 2026.' });
});

test.each([
  ['gal (US)', 'US gal'],
  ['gal (U.S.)', 'US gal'],
  ['gal (USA)', 'US gal'],
  ['gal (UK)', 'imp gal'],
  ['gal (imp)', 'imp gal'],
  ['gal (imp.)', 'imp gal'],
  ['gal (imperial)', 'imp gal'],
  ['tbsp (AU)', 'AU tbsp'],
  ['tbsp (Australian)', 'AU tbsp'],
  ['cup (metric)', 'metric cup'],
  ['uk fl oz', 'imp fl oz'],
  ['  Square  feet ', 'ft²'],
  ['sq. m', 'm²'],
  ['lb.', 'lb'],
  ['furlong', undefined],
  ['gal', undefined],
])('the unit %j is %s', (word, symbol) => expect(findUnit(word)?.symbol).toBe(symbol));
test('a unit that is not in the table is refused by its symbol', () =>
  expect(() => unitOf('furlong')).toThrow('No unit is called "furlong".'));
test('measures that differ by country are asked about wherever they stand', () => {
  const which = (text: string): readonly string[] | undefined => {
    const read = parseQuantity(text, 'volume');
    return read.ok ? undefined : read.which;
  };
  expect(which('2 cups')).toEqual(['US cup', 'metric cup']);
  expect(which('1 L 2 cups')).toEqual(['US cup', 'metric cup']);
  expect(which('1 L 2 spoons')).toBeUndefined();
  expect(which(' 2  cups ')).toEqual(['US cup', 'metric cup']);
  expect(parseQuantity('2 cups', 'volume')).toMatchObject({
    reason: '"cups" differs by country: say US cup or metric cup.',
  });
  expect(parseQuantity('2 T', 'mass')).toMatchObject({
    reason: expect.stringMatching(/^"T" is not the same weight to everybody: say /),
  });
  expect(parseQuantityRange('3 to 2 cups', 'volume')).toMatchObject({ which: ['US cup', 'metric cup'] });
  expect(parseQuantityRange('1 cup to 2 L', 'volume')).toMatchObject({ ok: false, which: ['US cup', 'metric cup'] });
});
test('what is refused is told in its own words, without the blanks around it', () => {
  expect(parseRate(`   ${'x'.repeat(50)}   `)).toMatchObject({
    reason: expect.stringMatching(/^Read "x{40}", expected a rate/),
  });
  expect(parseRate('  5 spoons  per  m²')).toMatchObject({
    reason: expect.stringMatching(/^Read "5 spoons", expected a weight or a volume/),
  });
  expect(parseRate('5 g per   furlong  ')).toMatchObject({
    reason: expect.stringMatching(/^Read "furlong" behind the stroke/),
  });
  expect(parseQuantity('   ', 'mass')).toMatchObject({
    reason: expect.stringMatching(/^Read "", expected a number and a unit/),
  });
  expect(parseQuantityRange('  5-2 kg', 'mass')).toMatchObject({
    reason: expect.stringMatching(/^Read "5-2 kg", expected/),
  });
});
test('a rate told by what is no rate has no basis and no factor', () => {
  const rate = { amount: 1, unit: 'g', per: { amount: 1, unit: 'furlong' } };
  expect(() => rateBasis(rate)).toThrow('No rate is told by "furlong".');
  expect(rateFactor(rate)).toBeNaN();
});
test('a name at the start of a sentence', () => expect([capital('urea'), capital('')]).toEqual(['Urea', '']));

test('inches by feet are square feet; a text of thousands with a decimal comma shows its mark', () => {
  expect(amount('18 in x 4 ft', 'area')).toBe('6 ft² 1');
  expect(decimalMarkIn('1.250,5')).toBe('comma');
  expect(twoReadings('2.500')).toEqual([2.5, 2500]);
  expect(twoReadings('0.500')).toBeUndefined();
});
