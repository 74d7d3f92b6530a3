import fc from 'fast-check';
import { decimalMarkIn, parseNumber, typedNumber, writtenPlainly } from './parseNumber.js';

const value = (text: string): number | string => {
  const read = parseNumber(text);
  return read.ok ? read.value : read.reason;
};

test.each([
  ['1-1/2', 1.5],
  ['12,5', 12.5],
  ['1,2500', 1.25],
  ['1.250,5', 1250.5],
  ['1,250.5', 1250.5],
  ['0,250', 0.25],
  ['2,5', 2.5],
  ['.5', 0.5],
  ['12e-3', 0.012],
  ['1/2', 0.5],
  ['1 1/2', 1.5],
  ['½', 0.5],
  ['2½', 2.5],
  ['1 250', 1250],
  ["1'250", 1250],
  ['1.250.000', 1250000],
  ['-3', -3],
  ['−3', -3],
  ['+4', 4],
  ['0', 0],
  ['-0', 0],
])('reads %s as people mean it', (text, expected) => expect(value(text)).toBe(expected));

test.each(['', 'five', '1,2,3', '1.2.3', '1/0', '--1', '12kg', '1e999', '9'.repeat(50), 'NaN', 'Infinity', '1,25,0'])(
  'refuses %j with what was read',
  (text) => {
    const read = parseNumber(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.reason).toContain('expected a number');
  },
);

test('counts the significant figures typed', () => {
  expect(parseNumber('5')).toMatchObject({ digits: 1 });
  expect(parseNumber('5.0000')).toMatchObject({ digits: 5 });
  expect(parseNumber('0.0120')).toMatchObject({ digits: 3 });
});

test('any number printed plainly reads back as itself', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (n) => {
      const text = typedNumber(n);
      const read = parseNumber(text);
      expect(read.ok && read.value).toBe(n === 0 ? 0 : n);
    }),
  );
});

test('no text makes it throw or yield something that is not a finite number', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 60 }), (text) => {
      const read = parseNumber(text);
      expect(read.ok ? Number.isFinite(read.value) : read.reason.length > 0).toBe(true);
    }),
  );
});

test.each([
  ['2,500', 2.5, 2500],
  ['12.500', 12.5, 12500],
  ['1.250', 1.25, 1250],
  ['-1,200', -1.2, -1200],
])('%s could be two numbers a factor of a thousand apart: asked, and told by the mark', (text, small, large) => {
  expect(parseNumber(text)).toMatchObject({ ok: false, readings: [small, large] });
  const decimal = text.includes(',') ? 'comma' : 'point';
  expect(parseNumber(text, decimal)).toMatchObject({ ok: true, value: small });
  expect(parseNumber(text, decimal === 'comma' ? 'point' : 'comma')).toMatchObject({ ok: true, value: large });
});
test.each(['0,250', '0.125', '1,25', '1.2500', '1,250.5', '1.250.000', '1 250', '1000.250'])(
  '%s is asked about no more',
  (text) => expect(parseNumber(text).ok).toBe(true),
);
test('a number printed into a form can be read one way only', () => {
  expect([1.125, -12.375, 0.125, 1250, 1.25, 1000.125].map(typedNumber)).toEqual([
    '1.1250',
    '-12.3750',
    '0.125',
    '1250',
    '1.25',
    '1000.125',
  ]);
});
test('a text’s other numbers tell its decimal mark, when they agree', () => {
  expect(decimalMarkIn('1.250\n6.4')).toBe('point');
  expect(decimalMarkIn('1.250\n6,4')).toBe('comma');
  expect(decimalMarkIn('1,250.5')).toBe('point');
  expect(decimalMarkIn('1.250\n12')).toBeUndefined();
  expect(decimalMarkIn('6.4\n6,4')).toBeUndefined();
});

test('a text is written plainly by a mark: what can be read two ways, and nothing else', () => {
  expect(writtenPlainly('2,500 kg', 'point')).toBe('2500 kg');
  expect(writtenPlainly('2,500 kg', 'comma')).toBe('2.5 kg');
  expect(writtenPlainly('1.250–1.375', 'point')).toBe('1.25–1.3750');
  expect(writtenPlainly('0,250 of 1,250.5 and 1,250,000', 'comma')).toBe('0,250 of 1,250.5 and 1,250,000');
});
