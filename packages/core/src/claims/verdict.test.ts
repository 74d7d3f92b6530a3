import { CHECKS, type Answer, type CheckKey } from './checks.js';
import { SURENESS, type Sureness } from './evidence.js';
import type { ClaimAbout } from './kinds.js';
import {
  decidedBy,
  decidedWords,
  ruleFor,
  tempered,
  useOf,
  VERDICT_RULES,
  verdictOf,
  VERDICTS,
  type Answers,
  type Verdict,
} from './verdict.js';

const ANSWERS: readonly Answer[] = ['supports', 'against', 'cannotTell', 'notRelevant', 'notYet'];
const RISING: readonly Answer[] = ['against', 'cannotTell', 'supports'];
const ABOUT: readonly ClaimAbout[] = ['figure', 'effect'];
const DECIDING: readonly CheckKey[] = ['content', 'dose', 'timing', 'condition', 'evidence'];
const BESIDE: readonly CheckKey[] = ['confounder', 'harm', 'alternative', 'interest'];
const rank = (v: Verdict): number => VERDICTS.indexOf(v);

const blank = Object.fromEntries(CHECKS.map(({ key }) => [key, 'notRelevant'])) as Answers;
/** Every combination of answers to the checks that decide. */
function* combinations(answers: readonly Answer[]): Generator<Answers> {
  const over = function* (at: number, so: Answers): Generator<Answers> {
    const check = DECIDING[at];
    if (check === undefined) yield so;
    else for (const answer of answers) yield* over(at + 1, { ...so, [check]: answer });
  };
  yield* over(0, blank);
}

test('the table is total: every combination of answers has exactly one verdict, and every row decides some', () => {
  const used = new Set<unknown>();
  for (const about of ABOUT)
    for (const answers of combinations(ANSWERS)) {
      const rule = ruleFor(about, answers);
      used.add(rule);
      expect(VERDICTS).toContain(rule.verdict);
      expect(rule.about).toBe(about);
    }
  expect(used.size).toBe(VERDICT_RULES.length);
});

test('a check that is not relevant decides nothing', () => {
  let named = 0;
  for (const about of ABOUT)
    for (const answers of combinations(ANSWERS)) {
      const by = decidedBy(ruleFor(about, answers), answers);
      named += by.length;
      for (const check of by) expect(answers[check]).not.toBe('notRelevant');
    }
  expect(named).toBeGreaterThan(1000);
  expect(decidedWords({ decidedBy: ['content', 'evidence'] })).toBe('content and evidence');
  expect(decidedWords({ decidedBy: [] })).toBe('no check that answered');
});

test('a step up in one answer, the others held, never lowers the verdict', () => {
  const steps = [...combinations(['against', 'cannotTell', 'supports', 'notRelevant'])].flatMap((answers) =>
    DECIDING.flatMap((check) => {
      const at = RISING.indexOf(answers[check]);
      const next = RISING[at + 1];
      return at < 0 || next === undefined ? [] : [{ answers, risen: { ...answers, [check]: next } }];
    }),
  );
  expect(steps.length).toBeGreaterThan(2000);
  for (const about of ABOUT)
    for (const sure of SURENESS)
      for (const { answers, risen } of steps)
        expect(rank(verdictOf(about, risen, sure))).toBeGreaterThanOrEqual(rank(verdictOf(about, answers, sure)));
});

test('what stands beside the scale moves no verdict: harm, alternative, confounder and interest', () => {
  const beside = BESIDE.flatMap((check) => ANSWERS.map((answer) => ({ [check]: answer })));
  for (const about of ABOUT)
    for (const answers of combinations(RISING))
      for (const other of beside)
        expect(verdictOf(about, { ...answers, ...other }, 'high')).toBe(verdictOf(about, answers, 'high'));
});

test('less sure, both ends move towards “Not shown”, and no further', () => {
  const order: readonly Sureness[] = ['high', 'moderate', 'low', 'very low'];
  const table = order.map((sure) => VERDICTS.map((v) => tempered(v, sure)));
  expect(table).toEqual([
    ['Does not stand', 'Not shown', 'Stands where …', 'Stands'],
    ['Does not stand', 'Not shown', 'Stands where …', 'Stands'],
    ['Not shown', 'Not shown', 'Stands where …', 'Stands where …'],
    ['Not shown', 'Not shown', 'Not shown', 'Not shown'],
  ]);
});

test('an effect without a study is not shown, even where its mechanism cannot work; a figure needs none', () => {
  const against: Answers = { ...blank, content: 'against', evidence: 'cannotTell' };
  expect(verdictOf('effect', against, 'high')).toBe('Not shown');
  expect(ruleFor('effect', against).reason).toMatch(/cannot work in the way that is said/);
  expect(verdictOf('figure', against, 'moderate')).toBe('Does not stand');
  expect(verdictOf('figure', { ...blank, content: 'supports', dose: 'supports' }, 'moderate')).toBe('Stands');
});

test('truth is one thing and use another', () => {
  expect(useOf('Stands', blank)).toBe('useful here');
  expect(useOf('Stands', { ...blank, condition: 'against' })).toBe('no use here');
  expect(useOf('Stands', { ...blank, alternative: 'against' })).toBe('another way is cheaper');
  expect(useOf('Does not stand', blank)).toBe('no use here');
  expect(useOf('Not shown', blank)).toBe('cannot tell');
});
