import { KEEPINGS, keepingWords, typedNumber, type BlendRule } from '@wheat-ledger/core';
import { fromRule, toRule, whenTyped, type Reader, type RecipeRuleInput } from '@wheat-ledger/contract';

/** A rule as a person types it; which fields count depends on its kind. */
export interface RuleText {
  kind: BlendRule['kind'];
  on: boolean;
  what: string;
  productId: string;
  of: string;
  low: string;
  high: string;
  most: string;
  km: string;
}

const BLANK: RuleText = {
  kind: 'keep',
  on: true,
  what: '',
  productId: '',
  of: 'salt',
  low: '',
  high: '',
  most: '',
  km: '',
};

/** What can be added to the rules, by what the list of them says. */
export const ADDABLE: readonly (readonly [key: string, words: string, rule: Partial<RuleText>])[] = [
  ...KEEPINGS.map((what) => [what, keepingWords(what), { kind: 'keep', what }] as const),
  ['apart', 'nothing that must not meet', { kind: 'apart' }],
  ['stock', 'what is at hand first', { kind: 'stock' }],
  ['packages', 'packages bought whole', { kind: 'packages' }],
  ['leaveOut', 'without a bag', { kind: 'leaveOut' }],
  ['limit', 'salt, lime, an element or a form of nitrogen between bounds', { kind: 'limit' }],
  ['share', 'so much of one bag', { kind: 'share' }],
  ['kinds', 'at most so many materials', { kind: 'kinds', most: '4' }],
];

/** A new rule, to be filled in. @param localKm how far away is near by */
export function newRule(key: string, localKm: number): RuleText | undefined {
  const [, , rule] = ADDABLE.find(([k]) => k === key) ?? [];
  return rule && { ...BLANK, ...rule, km: rule.what === 'local' ? typedNumber(localKm) : '' };
}

export const ruleText = (rule: RecipeRuleInput): RuleText => ({
  ...BLANK,
  kind: rule.kind,
  on: rule.on,
  what: rule.what ?? '',
  productId: rule.productId ?? '',
  of: rule.of ?? 'salt',
  low: typedNumber(rule.low),
  high: typedNumber(rule.high),
  most: typedNumber(rule.most),
  km: typedNumber(rule.km),
});
export const ruleTextOf = (rule: BlendRule, on = true): RuleText => ruleText(fromRule(rule, on));

/** Reads a typed rule; undefined fields are those that nothing was typed in. */
export function readRule(read: Reader, path: string, text: RuleText): RecipeRuleInput {
  const number = (key: 'low' | 'high' | 'most' | 'km'): number | undefined =>
    whenTyped(text[key], () => read.number(`${path}.${key}`, text[key]));
  const { kind, on } = text;
  const bounds = { low: number('low'), high: number('high') };
  const fields: Readonly<Record<BlendRule['kind'], Partial<RecipeRuleInput>>> = {
    keep: { what: text.what as NonNullable<RecipeRuleInput['what']>, km: number('km') },
    leaveOut: { productId: text.productId },
    limit: { of: text.of as NonNullable<RecipeRuleInput['of']>, ...bounds },
    share: { productId: text.productId, ...bounds },
    kinds: { most: number('most') },
    apart: {},
    stock: {},
    packages: {},
  };
  const told = Object.entries(fields[kind]).filter(([, v]) => v !== undefined && v !== '');
  return { kind, on, ...Object.fromEntries(told) };
}

/** A rule that holds: switched on and whole. */
export const held = (input: RecipeRuleInput): BlendRule | undefined => (input.on ? toRule(input) : undefined);
