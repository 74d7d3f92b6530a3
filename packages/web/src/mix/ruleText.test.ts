import { Reader, toRule, type RecipeRuleInput } from '@wheat-ledger/contract';
import { idOf } from '../../test/show';
import { priceWords } from './RulesPart';
import { moreWords } from './AroundPart';
import { ADDABLE, held, newRule, readRule, ruleText } from './ruleText';

const RULES: readonly RecipeRuleInput[] = [
  { kind: 'keep', on: true, what: 'plants' },
  { kind: 'keep', on: false, what: 'local', km: 30 },
  { kind: 'leaveOut', on: true, productId: idOf(3) },
  { kind: 'limit', on: true, of: 'salt', high: 40 },
  { kind: 'limit', on: true, of: 'Cl', low: 0.5, high: 2.25 },
  { kind: 'share', on: true, productId: idOf(4), low: 10 },
  { kind: 'kinds', on: true, most: 4 },
  { kind: 'apart', on: true },
];

test.each(RULES)('a kept rule is typed and read back as it was: %j', (rule) => {
  const read = new Reader();
  expect(readRule(read, 'rules.0', ruleText(rule))).toEqual(rule);
  expect(read.problems).toEqual([]);
});

test('what is typed as no number is refused at its field, and the rule does not hold until it is whole', () => {
  const read = new Reader();
  const text = { ...newRule('limit', 50)!, high: 'lots' };
  expect(held(readRule(read, 'rules.2', text))).toBeUndefined();
  expect(read.problems).toEqual([{ path: 'rules.2.high', message: expect.stringContaining('lots') }]);
  expect(held(readRule(new Reader(), '', newRule('leaveOut', 50)!))).toBeUndefined();
});

test('every rule that can be added is whole, or has a field for what it lacks', () => {
  for (const [key, words] of ADDABLE) {
    const rule = newRule(key, 35)!;
    expect(words.length).toBeGreaterThan(3);
    const whole = toRule(readRule(new Reader(), '', rule)) !== undefined;
    expect([key, whole]).toEqual([key, !['leaveOut', 'limit', 'share'].includes(key)]);
  }
  expect(newRule('local', 35)?.km).toBe('35');
  expect(newRule('no such rule', 35)).toBeUndefined();
});

test('a rule that is off does not hold', () => {
  expect(held({ kind: 'apart', on: false })).toBeUndefined();
  expect(held({ kind: 'apart', on: true })).toEqual({ kind: 'apart' });
});

test('what a rule and a change come to, in words', () => {
  expect([priceWords(undefined, 'EUR per kg'), priceWords(0, 'EUR per kg'), priceWords(0.0316, 'EUR per kg')]).toEqual([
    '',
    'costs nothing here',
    'costs 0.032 EUR per kg',
  ]);
  expect([moreWords(undefined, 'EUR per kg'), moreWords(0.0001, 'x'), moreWords(-0.25, 'EUR per kg')]).toEqual([
    'it cannot be made',
    'it comes to the same',
    'it comes to 0.250 EUR per kg less',
  ]);
});
