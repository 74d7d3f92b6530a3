import { CHECKS, type Answer, type CheckKey } from './checks.js';
import type { CheckResult, Claim } from './claim.js';
import { contentCheck } from './content.js';
import { doseCheck } from './dose.js';

export const VERDICTS = ['Stands', 'Stands where …', 'Not shown', 'Does not stand', 'Could do harm'] as const;
export type Verdict = (typeof VERDICTS)[number];
export type Sureness = 'high' | 'moderate' | 'low' | 'very low';

/** One row of the verdict table: the first row whose answers all match decides. */
export interface VerdictRule {
  readonly when: Readonly<Partial<Record<CheckKey, readonly Answer[]>>>;
  readonly verdict: Verdict;
  readonly decidedBy: readonly CheckKey[];
  readonly sure: Sureness;
  readonly reason: string;
  readonly wouldChange: string;
}

/** The rules, in order. With seven checks still open nothing can be more than moderately sure, and nothing simply stands. */
export const VERDICT_RULES: readonly VerdictRule[] = [
  {
    when: { content: ['against'] },
    verdict: 'Does not stand',
    decidedBy: ['content'],
    sure: 'moderate',
    reason: 'It does not hold what the promised effect needs.',
    wouldChange: 'A lab report that finds the missing element in it.',
  },
  {
    when: { dose: ['against'] },
    verdict: 'Does not stand',
    decidedBy: ['dose'],
    sure: 'moderate',
    reason: 'At the label rate it brings too little to matter as a supply.',
    wouldChange: 'A higher label rate, or a mechanism that needs no such amount, with trials to show it.',
  },
  {
    when: { content: ['supports'], dose: ['supports'] },
    verdict: 'Stands where …',
    decidedBy: ['content', 'dose'],
    sure: 'low',
    reason: 'It holds the element in an amount that matters: true where the soil is short of it.',
    wouldChange: 'A soil test showing there is enough already, or a release too slow for the crop.',
  },
  {
    when: { content: ['cannotTell'] },
    verdict: 'Not shown',
    decidedBy: ['content'],
    sure: 'low',
    reason: 'What it holds is not stated.',
    wouldChange: 'A figure for the element the mechanism needs.',
  },
  {
    when: { dose: ['cannotTell'] },
    verdict: 'Not shown',
    decidedBy: ['dose'],
    sure: 'low',
    reason: 'Whether the amount matters cannot be settled from what is known.',
    wouldChange: 'A label rate, a narrower crop need, or a soil test.',
  },
  {
    when: {},
    verdict: 'Not shown',
    decidedBy: ['content', 'dose'],
    sure: 'very low',
    reason: 'Content and dose do not bear on it; only trials could.',
    wouldChange: 'Evidence: a trial with a fair control.',
  },
];

export interface Judgement {
  readonly verdict: Verdict;
  readonly decidedBy: readonly CheckKey[];
  readonly sure: Sureness;
  readonly reason: string;
  readonly wouldChange: string;
  /** All nine, in order; those not yet worked say so. */
  readonly checks: readonly CheckResult[];
}

/**
 * Judges a claim by the checks that can be worked so far and the table above.
 * @example judge({ statement: 'supplies calcium', needs: ['Ca'], product: kelp, crop }).verdict // 'Does not stand'
 */
export function judge(claim: Claim): Judgement {
  const worked: Partial<Record<CheckKey, CheckResult>> = { content: contentCheck(claim), dose: doseCheck(claim) };
  const checks = CHECKS.map(
    ({ key }): CheckResult => worked[key] ?? { check: key, answer: 'notYet', text: '', figures: [] },
  );
  const answers = new Map(checks.map((c) => [c.check, c.answer]));
  const rule = VERDICT_RULES.find(({ when }) =>
    Object.entries(when).every(([check, allowed]) => allowed.includes(answers.get(check as CheckKey) ?? 'notYet')),
  );
  if (!rule) throw new RangeError('The verdict table has no closing row.');
  const { verdict, decidedBy, sure, reason, wouldChange } = rule;
  return { verdict, decidedBy, sure, reason, wouldChange, checks };
}
