import type { TrialOutcome } from '@wheat-ledger/core';
import { pasted, readValue, valueText } from './sheetText';

const outcome = (kind: TrialOutcome['kind']): TrialOutcome => ({ key: 'x', name: 'x', kind, unit: '', better: 'more' });

test.each([
  ['number', '12,5', { unit: 3, value: 12.5 }],
  ['number', '-2', { unit: 3, value: -2 }],
  ['timed', '>15', { unit: 3, value: 15, notOver: true }],
  ['score', '4', { unit: 3, value: 4 }],
  ['count', '0', { unit: 3, value: 0 }],
  ['number', '', undefined],
  ['harvest', '-', undefined],
] as const)('%s “%s” is read', (kind, text, value) => {
  expect(readValue(outcome(kind), 3, text)).toEqual(value);
});

test.each([
  ['number', 'tall', /tall/],
  ['number', '>15', /expected a number/],
  ['score', '6', /expected 1 to 5/],
  ['count', '2.5', /whole number/],
  ['harvest', '-1', /below zero/],
] as const)('%s “%s” is refused with what was read', (kind, text, why) => {
  expect(readValue(outcome(kind), 3, text)).toMatch(why);
});

test('a value typed again is the same; a column is pasted from a unit on', () => {
  for (const value of [{ value: 15, notOver: true }, { value: 12.25 }])
    expect(readValue(outcome('timed'), 1, valueText(value))).toEqual({ unit: 1, ...value });
  expect(pasted('12\r\n13\tx\r\n\r\n15\r\n', 4)).toEqual({ 4: '12', 5: '13', 6: '', 7: '15' });
});
