import fc from 'fast-check';
import {
  decimalsOf,
  formatFixed,
  formatGiven,
  formatNumber,
  formatGivenRange,
  formatRange,
  formatTrimmed,
  formatTrimmedRange,
} from './format.js';
import { addMoney, formatMoney, money, scaleMoney } from './money.js';

test('shows so many significant figures, grouped', () => {
  expect(formatNumber(12345.678, 3)).toBe('12\u2009300');
  expect(formatNumber(0.012345, 3)).toBe('0.0123');
  expect(formatNumber(5, 1)).toBe('5');
});

test('shows a given number without adding figures', () => {
  expect([20, 0.3, 0.1 + 0.2, 1250000, -0].map((n) => formatGiven(n))).toEqual([
    '20',
    '0.3',
    '0.3',
    '1\u2009250\u2009000',
    '0',
  ]);
});

test('never shows -0, NaN or Infinity', () => {
  fc.assert(
    fc.property(
      fc.oneof(fc.double(), fc.constantFrom(-0, Number.NaN, Infinity, -Infinity, -1e-9)),
      fc.integer({ min: 1, max: 6 }),
      (n, figures) => {
        for (const text of [formatNumber(n, figures), formatFixed(n, figures), formatGiven(n)])
          expect(text).not.toMatch(/^[−-]0(\.0*)?$|NaN|Infinity/);
      },
    ),
  );
});

test('a range is shown as one, an exact value as one number', () => {
  expect(formatRange({ low: 2, mid: 3, high: 4 }, 1)).toBe('2–4');
  expect(formatRange({ low: 3, mid: 3, high: 3 }, 1)).toBe('3');
  expect(formatRange(undefined)).toBe('–');
});

test.each([
  [4, '4'],
  [1.3092, '1.31'],
  [0.8, '0.8'],
  [1234.5, '1230'],
])('%p is trimmed to %p', (value, text) =>
  expect(formatTrimmedRange({ low: value, mid: value, high: value })).toBe(text),
);
test.each([
  [undefined, '–'],
  [4.0004, '4'],
  [0.061999, '0.062'],
  [-0.0001, '−0.0001'],
  [0, '0'],
])('%p alone is trimmed to %p', (value, text) => expect(formatTrimmed(value)).toBe(text));

test('money adds exactly: 0.10 + 0.20 is 0.30', () =>
  expect(addMoney(money('0.10', 'EUR'), money('0.20', 'EUR')).amount).toBe('0.3'));
test('money of two currencies does not add', () =>
  expect(() => addMoney(money('1', 'EUR'), money('1', 'USD'))).toThrow(/no conversion/));
test('money rounds half up to cents when shown', () =>
  expect(formatMoney(scaleMoney(money('0.05', 'EUR'), 0.5))).toBe('0.03 EUR'));
test.each(['-1', '1.23456', '1e5', '', '12,5'])('an amount of %j is refused', (amount) =>
  expect(() => money(amount, 'EUR')).toThrow(/expected an amount/),
);

test('between the ends of a range from below zero stands a word, since a dash would be read as a minus', () => {
  expect(formatGivenRange({ low: -11.7, mid: -10, high: -9.1 })).toBe('−11.7 to −9.1');
  expect(formatRange({ low: -2, mid: 0, high: 3 }, 1)).toBe('−2 to 3');
  expect(formatGivenRange({ low: 0, mid: 1, high: 2 })).toBe('0–2');
});

test.each([
  [0.98, 2, 2],
  [9.8, 2, 1],
  [98, 2, 0],
  [980, 2, 0],
  [-0.0098, 3, 5],
  [1, 1, 0],
  [1e-20, 3, 12],
])('%p to so many figures (%i) has %i decimals', (value, figures, decimals) =>
  expect(decimalsOf(value, figures)).toBe(decimals),
);
