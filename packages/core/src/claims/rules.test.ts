import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bag, direction, line } from '../../test/bags.js';
import { libraryCrop } from '../season/index.js';
import { ANSWER_WORDS, type Answer } from './checks.js';
import { joinAnswers, type Claim } from './claim.js';
import { DOSE_RULE, doseCheck } from './dose.js';
import { contentCheck } from './content.js';
import { judge, VERDICT_RULES } from './verdict.js';

test('the table of rules is the one that the docs show, row by row', () => {
  const docs = readFileSync(join(__dirname, '../../../../docs/methods.md'), 'utf8');
  const rows = docs
    .slice(docs.indexOf('| about'))
    .split('\n\n', 1)[0]!
    .split('\n')
    .slice(2)
    .map((row) =>
      row
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim()),
    );
  const words: Readonly<Record<Answer, string>> = ANSWER_WORDS;
  const cell = (asked: readonly Answer[] | undefined): string => (asked ?? []).map((a) => words[a]).join(' or ');
  const own = VERDICT_RULES.map((r) => [
    r.about,
    cell(r.mechanism),
    cell(r.evidence),
    cell(r.condition),
    r.verdict,
    r.decidedBy.join(', '),
  ]);
  expect(rows).toEqual(own);
});

/** 100 g/m² a year of a product with so much nitrogen, on wheat that takes 8, 11, 15 g/m². */
const dosed = (percent: number | readonly [number, number, number]): Claim => ({
  statement: 'it feeds',
  product: bag({ analysis: [line('N', percent)], directions: [direction('100 g/m²', 1)] }),
  needs: ['N'],
  crop: libraryCrop('wheat')!,
});
test('the shares that decide: a twentieth of the need and a quarter of it', () =>
  expect(DOSE_RULE).toEqual({ tooLittle: 0.05, material: 0.25 }));
test.each([
  // Brought ÷ the least need (8 g/m²) is what is held against 5 %: 0.4 g/m² is 5 % of it.
  [0.39, 'against'],
  [0.4, 'cannotTell'],
  // Brought ÷ the most need (15 g/m²) is what is held against 25 %: 3.75 g/m² is 25 % of it.
  [3.74, 'cannotTell'],
  [3.75, 'supports'],
] as const)('%p %% nitrogen at 100 g/m² is %s by dose', (percent, answer) =>
  expect(doseCheck(dosed(percent)).answer).toBe(answer),
);
test('the ends of a range decide, not its middle: the high end for too little, the low end for enough', () => {
  expect(doseCheck(dosed([0.1, 0.2, 0.5])).answer).toBe('cannotTell');
  expect(doseCheck(dosed([3, 5, 9])).answer).toBe('cannotTell');
  expect(doseCheck(dosed([4, 5, 9])).answer).toBe('supports');
  expect(doseCheck(dosed([0.1, 0.2, 0.39])).answer).toBe('against');
});

test('one against is against, one that cannot be told is not outvoted, and all have to support', () => {
  expect(joinAnswers(['supports', 'against', 'cannotTell'])).toBe('against');
  expect(joinAnswers(['supports', 'cannotTell', 'supports'])).toBe('cannotTell');
  expect(joinAnswers(['supports', 'supports'])).toBe('supports');
});
test('declared as nil is against; a range from nil upward is held', () => {
  expect(contentCheck(dosed(0)).answer).toBe('against');
  expect(contentCheck(dosed([0, 0, 0.2])).answer).toBe('supports');
});
test('how sure: moderate where a figure decides against, low where it stands or is not stated, very low without any', () => {
  const at = (claim: Claim) => [judge(claim).verdict, judge(claim).sure];
  expect(at(dosed(0))).toEqual(['Does not stand', 'moderate']);
  expect(at(dosed(0.1))).toEqual(['Does not stand', 'moderate']);
  expect(at(dosed(6))).toEqual(['Stands where …', 'low']);
  expect(at(dosed(1))).toEqual(['Not shown', 'low']);
  expect(at({ ...dosed(6), needs: [] })).toEqual(['Not shown', 'very low']);
});
