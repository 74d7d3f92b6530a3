import fc from 'fast-check';
import { parseDeclared, printDeclared } from './declaredValue.js';
import type { DeclaredValue } from './declaredValue.js';

test.each<[string, DeclaredValue]>([
  ['5', { kind: 'number', value: 5 }],
  ['0,5', { kind: 'number', value: 0.5 }],
  ['0.4–0.7', { kind: 'range', low: 0.4, mid: 0.55, high: 0.7 }],
  ['0.4 to 0.7', { kind: 'range', low: 0.4, mid: 0.55, high: 0.7 }],
  ['1–2.5–4', { kind: 'range', low: 1, mid: 2.5, high: 4 }],
  ['< 20', { kind: 'below', limit: 20 }],
])('reads %s', (text, value) => expect(parseDeclared(text)).toEqual({ ok: true, value }));

test.each(['', 'some', '<', '< some', '5–', '4–2', '1–2–3–4'])('refuses %j', (text) => {
  const read = parseDeclared(text);
  expect(read.ok).toBe(false);
  expect(!read.ok && read.reason).toContain('expected a value');
});

const amounts = fc.integer({ min: 0, max: 100_000 }).map((n) => n / 1000);
const values: fc.Arbitrary<DeclaredValue> = fc.oneof(
  amounts.map((value): DeclaredValue => ({ kind: 'number', value })),
  amounts.map((limit): DeclaredValue => ({ kind: 'below', limit })),
  fc.tuple(amounts, amounts, amounts).map((three): DeclaredValue => {
    const [low = 0, mid = 0, high = 0] = [...three].sort((a, b) => a - b);
    return { kind: 'range', low, mid, high };
  }),
);
test('reading what was printed gives the same value', () => {
  fc.assert(fc.property(values, (value) => expect(parseDeclared(printDeclared(value))).toEqual({ ok: true, value })));
});

test('at most is a range from nothing, below detection is not', () => {
  for (const text of ['≤ 20', '<= 20', 'max 20', 'max. 20', 'up to 20', 'at most 20'])
    expect(parseDeclared(text)).toEqual({ ok: true, value: { kind: 'range', low: 0, mid: 10, high: 20 } });
  expect(parseDeclared('< 20')).toEqual({ ok: true, value: { kind: 'below', limit: 20 } });
});
test('a figure that could be two numbers is asked about, and settled by the mark', () => {
  expect(parseDeclared('1.250')).toMatchObject({ ok: false, readings: [1.25, 1250] });
  expect(parseDeclared('1.250–1.500', 'point')).toMatchObject({ ok: true, value: { low: 1.25, high: 1.5 } });
});
