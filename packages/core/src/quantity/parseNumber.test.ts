import fc from 'fast-check';
import { parseNumber } from './parseNumber.js';

const value = (text: string): number | string => {
  const read = parseNumber(text);
  return read.ok ? read.value : read.reason;
};

test.each([
  ['1,250', 1250],
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
  expect(parseNumber('5.000')).toMatchObject({ digits: 4 });
  expect(parseNumber('0.0120')).toMatchObject({ digits: 3 });
});

test('any number printed plainly reads back as itself', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (n) => {
      const text = String(n);
      fc.pre(!/[.]\d{3}$/.test(text) || text.includes('.'));
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
