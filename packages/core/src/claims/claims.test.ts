import { bag, direction, line } from '../../test/bags.js';
import { libraryCrop } from '../season/index.js';
import { assumptionsIn } from '../figure/index.js';
import { libraryEntry, typicalProduct, type Direction, type Product } from '../shelf/index.js';
import type { Around, Claim } from './claim.js';
import { contentCheck } from './content.js';
import { doseCheck, yearlyRate } from './dose.js';
import { CHECKS } from './checks.js';
import { judge } from './verdict.js';

const claim = (product: Partial<Product>, needs: Claim['needs'], crop = 'wheat'): Claim => ({
  statement: 'it works',
  product: bag(product),
  needs,
  crop: libraryCrop(crop)!,
});

test('content: held is supported with the figure', () => {
  const check = contentCheck(claim({ analysis: [line('Mg', 16, 'MgO')] }, ['Mg']));
  expect(check.answer).toBe('supports');
  expect(check.figures[0]?.value.mid).toBeCloseTo(16 / 1.6583, 3);
});
test('content: not declared and in none of the known ingredients is against', () =>
  expect(contentCheck(claim({ derivedFrom: ['urea'], analysis: [line('N', 46)] }, ['Ca'])).answer).toBe('against'));
test('content: not declared is not the same as none', () => {
  expect(contentCheck(claim({ analysis: [line('N', 46)] }, ['Ca'])).answer).toBe('cannotTell');
  expect(contentCheck(claim({ derivedFrom: ['gypsum'] }, ['Ca'])).text).toMatch(
    /calcium from gypsum \(usually 18–23 % Ca\), but the label gives no figure/,
  );
});
test('content: below detection is left to the dose, and a mechanism without nutrients is not judged by them', () => {
  expect(contentCheck(claim({ analysis: [line('P', { below: 20 }, 'element', 'mg/kg')] }, ['P'])).answer).toBe(
    'cannotTell',
  );
  expect(contentCheck(claim({}, [])).answer).toBe('notRelevant');
});

test('dose: 0.4 mL/m² three times of 10 % w/v silicon is 0.12 g/m² against 6–18: about 1 % of need', () => {
  const check = doseCheck(
    claim(
      { densityKgPerL: 1.25, analysis: [line('Si', 10, 'element', '% w/v')], directions: [direction('0.4 mL/m²', 3)] },
      ['Si'],
    ),
  );
  expect(check.answer).toBe('against');
  expect(check.figures[0]?.value).toEqual({
    low: expect.closeTo(12 / 18, 6),
    mid: expect.closeTo(12 / 11, 6),
    high: expect.closeTo(2, 6),
  });
});
test('dose: 150 g/m² twice of 4 % N is 12 g/m² against 8–15: 80–150 % of need', () => {
  const check = doseCheck(claim({ analysis: [line('N', 4)], directions: [direction('150 g/m²', 2)] }, ['N']));
  expect(check.answer).toBe('supports');
  expect(check.figures[0]?.value.low).toBeCloseTo(80, 6);
});
test('dose: between too little and enough it cannot tell', () =>
  expect(doseCheck(claim({ analysis: [line('N', 4)], directions: [direction('40 g/m²', 1)] }, ['N'])).answer).toBe(
    'cannotTell',
  ));
test('dose: without a rate, a density or a known need there is no number', () => {
  expect(doseCheck(claim({ analysis: [line('N', 4)] }, ['N'])).text).toMatch(/gives no rate/);
  expect(doseCheck(claim({ analysis: [line('N', 4)], directions: [direction('1 L/ha', 1)] }, ['N'])).text).toMatch(
    /density/,
  );
  expect(doseCheck(claim({ analysis: [line('Co', 4)], directions: [direction('1 g/m²', 1)] }, ['Co'])).text).toMatch(
    /not known here/,
  );
});
const yearly = (...directions: readonly Direction[]): number | string => {
  const rate = yearlyRate(bag({ directions }));
  return rate.kind === 'figure' ? rate.figure.value.high : rate.why;
};
test('label rates in pounds and acres come out in kg/m²: 40 lb/acre is 4.48 g/m²', () =>
  expect(yearly(direction('40 lb/acre', 1))).toBeCloseTo(0.0044834, 7));
test('of several rates for ground the one that brings most in a year counts: 30 g three times is more than 50 g once', () => {
  expect(
    yearly(direction('50 g/m²', 1, 'new beds'), direction('20–30 g/m²', 3, 'roses'), direction('1 kg/plant', 9)),
  ).toBeCloseTo(0.09, 12);
});
test('how often nobody says is an assumption of once, named in the working', () => {
  const rate = yearlyRate(bag({ directions: [direction('50 g/m²')] }));
  expect(rate.kind === 'figure' && assumptionsIn(rate.figure).map((f) => [f.label, f.value.mid])).toEqual([
    ['applications a year', 1],
  ]);
});
test('rates by plant or water alone give no dose for a square metre, and that is said', () => {
  expect(yearly(direction('20 g/plant', 1), direction('5 mL/L', 6))).toBe(
    'The label gives rates by the plant and by the water it is fed with only, and none for a square metre, so no dose can be worked out.',
  );
  expect(yearly()).toBe('The label gives no rate, so no dose can be worked out.');
});

test.each([
  [
    'a missing element does not stand',
    { derivedFrom: ['urea'], analysis: [line('N', 46)] },
    ['Ca'],
    'Does not stand',
    ['content'],
  ],
  [
    'a tiny dose does not stand',
    { analysis: [line('N', 4)], directions: [direction('1 g/m²', 1)] },
    ['N'],
    'Does not stand',
    ['dose'],
  ],
  [
    'enough stands where it is short',
    { analysis: [line('N', 4)], directions: [direction('150 g/m²', 2)] },
    ['N'],
    'Stands where …',
    ['content', 'dose'],
  ],
  ['no figure is not shown', { analysis: [] }, ['N'], 'Not shown', ['content', 'dose']],
  ['an effect without a study is not shown', {}, [], 'Not shown', ['evidence', 'confounder']],
] as const)('%s', (_name, product, needs, verdict, decidedBy) => {
  const judgement = judge(claim(product, needs));
  expect([judgement.verdict, judgement.decidedBy]).toEqual([verdict, decidedBy]);
  expect(judgement.reason.length * judgement.wouldChange.length).toBeGreaterThan(0);
});

test('all nine checks are there, each with words; without a plot the timing is not yet looked at', () => {
  const { checks } = judge(claim({ analysis: [line('N', 4)] }, ['N']));
  expect(checks.map((c) => c.check)).toEqual(CHECKS.map((c) => c.key));
  for (const { text } of checks) expect(text.length).toBeGreaterThan(10);
  expect(checks.filter((c) => c.answer === 'notYet').map((c) => c.check)).toEqual(['timing']);
});

test('what is being worked out of the timing is not told as a plot that is missing', () => {
  const timing = (around?: Around) =>
    judge(claim({ analysis: [line('N', 4)] }, ['N']), around).checks.find((c) => c.check === 'timing');
  expect(timing()?.text).toMatch(/needs a plot and a season/);
  expect(timing({ arrives: 'underway' })).toMatchObject({
    answer: 'notYet',
    text: expect.stringMatching(/worked out/),
  });
});

test.each([
  ['alfalfa meal', 'P'],
  ['blood meal', 'S'],
  ['poultry manure', 'Zn'],
] as const)('%s without a figure for %s does not fall: it holds some', (ingredient, nutrient) => {
  const judged = judge(claim({ derivedFrom: [ingredient], analysis: [line('N', 5)] }, [nutrient]));
  expect(judged.verdict).toBe('Not shown');
  expect(judged.checks[0]!.answer).toBe('cannotTell');
});
test('urea that supplies potassium falls: none of it is there', () =>
  expect(judge(claim({ derivedFrom: ['urea'], analysis: [line('N', 46)] }, ['K']))).toMatchObject({
    verdict: 'Does not stand',
    decidedBy: ['content'],
  }));

test('below detection is judged by the dose at the limit: 20 mg/kg of P at 100 g/m² is too little, 20 % is not settled', () => {
  const at = (limit: number, unit: '%' | 'mg/kg') =>
    judge(
      claim({ analysis: [line('P', { below: limit }, 'element', unit)], directions: [direction('100 g/m²', 1)] }, [
        'P',
      ]),
    );
  expect(at(20, 'mg/kg')).toMatchObject({ verdict: 'Does not stand', decidedBy: ['dose'] });
  expect(at(20, '%')).toMatchObject({ verdict: 'Not shown' });
});

test('granite dust does not supply potassium by its total', () => {
  const dust = typicalProduct(libraryEntry('granite dust')!);
  const judged = judge(claim({ ...dust, directions: [direction('500 g/m²', 1)] }, ['K']));
  expect(judged.verdict).not.toBe('Stands where …');
  expect(judged.checks[1]!.figures[0]!.value.high).toBeLessThan(40);
});

test('why it is not surer is told: what is not settled of a figure, and of an effect what its studies, what came along and who says it take away', () => {
  const figure = judge(claim({ analysis: [line('N', 6)], directions: [direction('100 g/m²', 1)] }, ['N']));
  expect(figure.lessSure).toEqual(['the timing is not settled']);
  const wet = bag({ form: 'liquid' });
  const effect = judge({ ...claim(wet, []), product: wet, interest: 'seller' });
  expect(effect.lessSure).toEqual([
    'no study',
    'something else that came along could do it',
    'those who say it earn by it',
  ]);
});

test('a check can be answered otherwise with a reason: the verdict follows, and the program’s own answer is kept', () => {
  const full = claim({ analysis: [line('N', 6)], directions: [direction('200 g/m²', 1)] }, ['N']);
  const before = judge(full);
  expect(before.checks[1]).toMatchObject({ check: 'dose', answer: 'supports', note: undefined });
  const note = { check: 'dose', answer: 'against', reason: 'half of it blows away' } as const;
  const after = judge({ ...full, notes: [note, { check: 'content', reason: 'seen on the sack' }] });
  expect(after.verdict).toBe('Does not stand');
  expect(after.checks[1]).toMatchObject({ answer: 'supports', note });
  expect(after.checks[0]).toMatchObject({ answer: 'supports', note: { reason: 'seen on the sack' } });
});
