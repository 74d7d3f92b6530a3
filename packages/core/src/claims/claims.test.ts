import { bag, line } from '../../test/bags.js';
import { cropOf } from '../ground/index.js';
import type { Product } from '../shelf/index.js';
import type { Claim } from './claim.js';
import { contentCheck } from './content.js';
import { doseCheck, yearlyRate } from './dose.js';
import { judge, VERDICT_RULES } from './verdict.js';

const claim = (product: Partial<Product>, needs: Claim['needs'], crop = 'wheat'): Claim => ({ statement: 'it works', product: bag(product), needs, crop: cropOf(crop) });

test('content: held is supported with the figure', () => {
  const check = contentCheck(claim({ analysis: [line('Mg', 16, 'MgO')] }, ['Mg']));
  expect(check.answer).toBe('supports');
  expect(check.figures[0]?.value.mid).toBeCloseTo(16 / 1.6583, 3);
});
test('content: not declared and in none of the known ingredients is against', () => expect(contentCheck(claim({ derivedFrom: ['urea'], analysis: [line('N', 46)] }, ['Ca'])).answer).toBe('against'));
test('content: not declared is not the same as none', () => {
  expect(contentCheck(claim({ analysis: [line('N', 46)] }, ['Ca'])).answer).toBe('cannotTell');
  expect(contentCheck(claim({ derivedFrom: ['gypsum'] }, ['Ca'])).text).toMatch(/gypsum contains calcium, but the label gives no figure/);
});
test('content: below detection is against, and a mechanism without nutrients is not judged by them', () => {
  expect(contentCheck(claim({ analysis: [line('P', { below: 20 }, 'element', 'mg/kg')] }, ['P'])).answer).toBe('against');
  expect(contentCheck(claim({}, [])).answer).toBe('notRelevant');
});

test('dose: 0.4 mL/m² three times of 10 % w/v silicon is 0.12 g/m² against 6–18: about 1 % of need', () => {
  const check = doseCheck(claim({ densityKgPerL: 1.25, analysis: [line('Si', 10, 'element', '% w/v')], labelRate: { amount: 0.4, unit: 'mL/m²', perYear: 3 } }, ['Si']));
  expect(check.answer).toBe('against');
  expect(check.figures[0]?.value).toEqual({ low: expect.closeTo(12 / 18, 6), mid: expect.closeTo(12 / 11, 6), high: expect.closeTo(2, 6) });
});
test('dose: 150 g/m² twice of 4 % N is 12 g/m² against 8–15: 80–150 % of need', () => {
  const check = doseCheck(claim({ analysis: [line('N', 4)], labelRate: { amount: 150, unit: 'g/m²', perYear: 2 } }, ['N']));
  expect(check.answer).toBe('supports');
  expect(check.figures[0]?.value.low).toBeCloseTo(80, 6);
});
test('dose: between too little and enough it cannot tell', () => expect(doseCheck(claim({ analysis: [line('N', 4)], labelRate: { amount: 40, unit: 'g/m²', perYear: 1 } }, ['N'])).answer).toBe('cannotTell'));
test('dose: without a rate, a density or a known need there is no number', () => {
  expect(doseCheck(claim({ analysis: [line('N', 4)] }, ['N'])).text).toMatch(/gives no rate/);
  expect(doseCheck(claim({ analysis: [line('N', 4)], labelRate: { amount: 1, unit: 'L/ha', perYear: 1 } }, ['N'])).text).toMatch(/density/);
  expect(doseCheck(claim({ analysis: [line('Co', 4)], labelRate: { amount: 1, unit: 'g/m²', perYear: 1 } }, ['Co'])).text).toMatch(/not known here/);
});
test('label rates in pounds and acres come out in kg/m²: 40 lb/acre is 4.48 g/m²', () => expect(yearlyRate(bag({ labelRate: { amount: 40, unit: 'lb/acre', perYear: 1 } }))?.value.mid).toBeCloseTo(0.0044834, 7));

test.each([
  ['a missing element does not stand', { derivedFrom: ['urea'], analysis: [line('N', 46)] }, ['Ca'], 'Does not stand', ['content']],
  ['a tiny dose does not stand', { analysis: [line('N', 4)], labelRate: { amount: 1, unit: 'g/m²', perYear: 1 } }, ['N'], 'Does not stand', ['dose']],
  ['enough stands where it is short', { analysis: [line('N', 4)], labelRate: { amount: 150, unit: 'g/m²', perYear: 2 } }, ['N'], 'Stands where …', ['content', 'dose']],
  ['no figure is not shown', { analysis: [] }, ['N'], 'Not shown', ['content']],
  ['no mechanism of supply is not shown', {}, [], 'Not shown', ['content', 'dose']],
] as const)('%s', (_name, product, needs, verdict, decidedBy) => {
  const judgement = judge(claim(product, needs));
  expect([judgement.verdict, judgement.decidedBy]).toEqual([verdict, decidedBy]);
  expect(judgement.reason.length * judgement.wouldChange.length).toBeGreaterThan(0);
});

test('the seven checks not worked are listed as not yet looked at, so nothing is ever surer than moderate', () => {
  const { checks } = judge(claim({ analysis: [line('N', 4)] }, ['N']));
  expect(checks).toHaveLength(9);
  expect(checks.slice(2).every((c) => c.answer === 'notYet')).toBe(true);
  expect(VERDICT_RULES.some((r) => r.sure === 'high' || r.verdict === 'Stands')).toBe(false);
  expect(VERDICT_RULES.at(-1)?.when).toEqual({});
});
