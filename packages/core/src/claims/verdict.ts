import { alternativeCheck } from './alternative.js';
import { CHECKS, type Answer, type CheckKey } from './checks.js';
import { joinAnswers, type Around, type CheckResult, type Claim } from './claim.js';
import { contentCheck } from './content.js';
import { doseCheck } from './dose.js';
import { evidenceOf, SURENESS, type Evidence, type Sureness } from './evidence.js';
import { harmCheck } from './harm.js';
import type { ClaimAbout } from './kinds.js';
import { conditionCheck, confounderCheck, interestCheck, kindOfClaim, timingCheck } from './surroundings.js';

/** From the worst to the best. */
export const VERDICTS = ['Does not stand', 'Not shown', 'Stands where …', 'Stands'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Whether it helps this grower, whatever its truth. */
export const USES = ['useful here', 'another way is cheaper', 'no use here', 'cannot tell'] as const;
export type Use = (typeof USES)[number];

/** What the rules ask of an answer: these, or anything where it is missing. */
type Asked = readonly Answer[];
/** One row of the verdict table: the first row that fits decides. */
export interface VerdictRule {
  readonly about: ClaimAbout;
  /** Of content, dose and timing together: one against outweighs, one unknown leaves it open. */
  readonly mechanism?: Asked;
  readonly evidence?: Asked;
  readonly condition?: Asked;
  readonly verdict: Verdict;
  readonly decidedBy: readonly CheckKey[];
  readonly reason: string;
  readonly wouldChange: string;
}

const MET: Asked = ['supports', 'notRelevant'];
const MORE_TRIALS = 'Trials with a fair control.';
/**
 * The rules, in order. A figure that the program reckons is decided without a study; an effect without a study is not shown, whatever its mechanism.
 */
export const VERDICT_RULES: readonly VerdictRule[] = [
  {
    about: 'figure',
    mechanism: ['against'],
    verdict: 'Does not stand',
    decidedBy: ['content', 'dose', 'timing'],
    reason: 'The figures speak against it: what it takes is not in it, is too little, or comes at the wrong time.',
    wouldChange: 'A laboratory report, or a rate, that says otherwise.',
  },
  {
    about: 'figure',
    evidence: ['against'],
    verdict: 'Does not stand',
    decidedBy: ['evidence'],
    reason: 'Trials speak against it.',
    wouldChange: MORE_TRIALS,
  },
  {
    about: 'figure',
    mechanism: ['cannotTell'],
    evidence: ['supports'],
    verdict: 'Stands where …',
    decidedBy: ['evidence', 'content'],
    reason: 'Trials found it, though its figures do not settle it.',
    wouldChange: 'The missing figure.',
  },
  {
    about: 'figure',
    mechanism: ['cannotTell'],
    verdict: 'Not shown',
    decidedBy: ['content', 'dose'],
    reason: 'What is known of it does not settle it.',
    wouldChange: 'A figure for what it must bring, a label rate, or a narrower crop need.',
  },
  {
    about: 'figure',
    mechanism: ['supports'],
    condition: MET,
    verdict: 'Stands',
    decidedBy: ['content', 'dose'],
    reason: 'It holds what it takes in an amount that matters, and the ground is one where that counts.',
    wouldChange: 'A laboratory report that finds less, or a soil test that shows there is enough already.',
  },
  {
    about: 'figure',
    mechanism: ['supports'],
    verdict: 'Stands where …',
    decidedBy: ['content', 'dose'],
    reason: 'It holds what it takes in an amount that matters: true where the soil is short of it.',
    wouldChange: 'A soil test showing there is enough already, or a release too slow for the crop.',
  },
  {
    about: 'figure',
    evidence: ['supports'],
    condition: MET,
    verdict: 'Stands',
    decidedBy: ['evidence', 'condition'],
    reason: 'Trials found it, in ground like this.',
    wouldChange: MORE_TRIALS,
  },
  {
    about: 'figure',
    evidence: ['supports'],
    verdict: 'Stands where …',
    decidedBy: ['evidence', 'condition'],
    reason: 'Trials found it, where the ground is as they had it.',
    wouldChange: 'A soil test of what it depends on.',
  },
  {
    about: 'figure',
    verdict: 'Not shown',
    decidedBy: ['content', 'dose'],
    reason: 'No figure bears on it; only trials could.',
    wouldChange: MORE_TRIALS,
  },
  {
    about: 'effect',
    evidence: ['against'],
    verdict: 'Does not stand',
    decidedBy: ['evidence', 'confounder'],
    reason: 'Trials looked for what is promised, and it was not there.',
    wouldChange: MORE_TRIALS,
  },
  {
    about: 'effect',
    mechanism: ['against'],
    evidence: ['supports'],
    verdict: 'Stands where …',
    decidedBy: ['evidence', 'content'],
    reason: 'Trials found it, but it cannot work in the way that is said.',
    wouldChange: 'Trials that tell by what it works.',
  },
  {
    about: 'effect',
    evidence: ['supports'],
    condition: MET,
    verdict: 'Stands',
    decidedBy: ['evidence', 'condition'],
    reason: 'Trials found it, in ground like this.',
    wouldChange: MORE_TRIALS,
  },
  {
    about: 'effect',
    evidence: ['supports'],
    verdict: 'Stands where …',
    decidedBy: ['evidence', 'condition'],
    reason: 'Trials found it, where the ground is as they had it.',
    wouldChange: 'A soil test of what it depends on.',
  },
  {
    about: 'effect',
    mechanism: ['against'],
    verdict: 'Not shown',
    decidedBy: ['evidence', 'content'],
    reason: 'It cannot work in the way that is said, and no trial shows that it works at all.',
    wouldChange: MORE_TRIALS,
  },
  {
    about: 'effect',
    verdict: 'Not shown',
    decidedBy: ['evidence', 'confounder'],
    reason: 'It is an effect, and no trial that counts shows it.',
    wouldChange: MORE_TRIALS,
  },
];

const MECHANISM: readonly CheckKey[] = ['content', 'dose', 'timing'];
/** The answers that a verdict is made of. */
export type Answers = Readonly<Record<CheckKey, Answer>>;
const settled = (answer: Answer): Answer => (answer === 'notYet' ? 'cannotTell' : answer);
/** Content, dose and timing as one; what was not looked at is left open, and makes it less sure. */
const mechanismOf = ({ content, dose, timing }: Answers): Answer =>
  joinAnswers([content, dose, timing].filter((a) => a !== 'notRelevant' && a !== 'notYet'));

/**
 * The rule that decides.
 * @throws never: the last row of each kind fits everything
 */
export function ruleFor(about: ClaimAbout, answers: Answers): VerdictRule {
  const found = {
    mechanism: mechanismOf(answers),
    evidence: settled(answers.evidence),
    condition: settled(answers.condition),
  };
  const fits = (rule: VerdictRule): boolean =>
    rule.about === about &&
    (['mechanism', 'evidence', 'condition'] as const).every((part) => rule[part]?.includes(found[part]) ?? true);
  const rule = VERDICT_RULES.find(fits);
  if (!rule) throw new RangeError('The verdict table has no closing row.');
  return rule;
}

/** How sure it must be for the ends of the scale: less sure, and they move towards “Not shown”. */
export function tempered(verdict: Verdict, sure: Sureness): Verdict {
  switch (sure) {
    case 'very low':
      return 'Not shown';
    case 'low':
      return verdict === 'Stands' ? 'Stands where …' : verdict === 'Does not stand' ? 'Not shown' : verdict;
    case 'moderate':
    case 'high':
      return verdict;
  }
}
/** A verdict from answers and how sure they are. @example verdictOf('effect', answers, 'high') // 'Not shown' */
export const verdictOf = (about: ClaimAbout, answers: Answers, sure: Sureness): Verdict =>
  tempered(ruleFor(about, answers).verdict, sure);

const step = (sure: Sureness, by: number): Sureness =>
  SURENESS[Math.max(0, Math.min(SURENESS.length - 1, SURENESS.indexOf(sure) + by))] ?? 'very low';
/** How sure: what is reckoned is moderately so; what trials found as sure as they are, a step less where something else could do it, or only those who earn by it say so. */
export function surenessOf(about: ClaimAbout, answers: Answers, evidence: Sureness): Sureness {
  if (about === 'figure') {
    const mechanism = mechanismOf(answers);
    const open = [answers.content, answers.dose, answers.timing].includes('notYet');
    if (mechanism === 'cannotTell' || (mechanism === 'supports' && open)) return 'low';
    return mechanism === 'notRelevant' ? evidence : 'moderate';
  }
  const lowered = (answers.confounder === 'against' ? 1 : 0) + (answers.interest === 'against' ? 1 : 0);
  return step(evidence, -lowered);
}

/** Why it is not surer, in the words that stand beside it: the same that lower it. */
function lessSure(about: ClaimAbout, answers: Answers, evidence: Evidence): readonly string[] {
  if (about === 'figure') {
    const open = CHECKS.filter(({ key }) => MECHANISM.includes(key) && ['notYet', 'cannotTell'].includes(answers[key]));
    return open.map(({ name }) => `the ${name.toLowerCase()} is not settled`);
  }
  return [
    ...evidence.reasons,
    ...(answers.confounder === 'against' ? ['something else that came along could do it'] : []),
    ...(answers.interest === 'against' ? ['those who say it earn by it'] : []),
  ];
}

/** Truth is one thing, use to this grower another. */
export function useOf(verdict: Verdict, answers: Answers): Use {
  if (verdict === 'Does not stand' || answers.condition === 'against' || answers.dose === 'against')
    return 'no use here';
  if (answers.alternative === 'against') return 'another way is cheaper';
  return verdict === 'Stands' ? 'useful here' : 'cannot tell';
}

export interface Judgement {
  readonly verdict: Verdict;
  /** The two checks that decided. */
  readonly decidedBy: readonly CheckKey[];
  readonly sure: Sureness;
  /** Each reason for which it is less sure than it could be. */
  readonly lessSure: readonly string[];
  readonly reason: string;
  readonly wouldChange: string;
  /** Stands beside the scale, not on it. */
  readonly couldHarm: boolean;
  readonly use: Use;
  readonly evidence: Evidence;
  /** All nine, in order. */
  readonly checks: readonly CheckResult[];
}

/**
 * The two checks that decided: those of content, dose and timing that gave what the rule asks of them together, and what else it names. A check that is not
 * relevant decides nothing.
 */
export function decidedBy(rule: VerdictRule, answers: Answers): readonly CheckKey[] {
  const mechanism = MECHANISM.filter((check) => rule.mechanism?.includes(answers[check]));
  const named = rule.decidedBy.flatMap((check) =>
    MECHANISM.includes(check) && mechanism.length > 0 ? mechanism : check,
  );
  return [...new Set(named)].filter((check) => answers[check] !== 'notRelevant').slice(0, 2);
}

/** The checks that decided, in words. @example decidedWords(judgement) // 'content and dose' */
export const decidedWords = ({ decidedBy }: Pick<Judgement, 'decidedBy'>): string =>
  decidedBy.map((k) => CHECKS.find((c) => c.key === k)?.name.toLowerCase() ?? k).join(' and ') ||
  'no check that answered';

/**
 * Judges a claim by all nine checks and the table above.
 * @param around the plot, how its nitrogen arrives, and the bags it is compared with; what is missing cannot be told
 * @example judge({ statement: 'supplies calcium', needs: ['Ca'], product: kelp, crop }).verdict // 'Does not stand'
 */
export function judge(claim: Claim, around: Around = {}): Judgement {
  const evidence = evidenceOf(
    claim.studies ?? [],
    claim.searches ?? [],
    claim.promise ?? { gain: undefined, less: false },
  );
  const { about } = kindOfClaim(claim);
  const found: Readonly<Record<CheckKey, CheckResult>> = {
    content: contentCheck(claim),
    dose: doseCheck(claim),
    timing: timingCheck(claim, around),
    condition: conditionCheck(claim, around),
    confounder: confounderCheck(claim),
    evidence: { check: 'evidence', answer: evidence.answer, text: evidence.text, figures: [] },
    harm: harmCheck(claim),
    alternative: alternativeCheck(claim, around),
    interest: interestCheck(claim),
  };
  const notes = new Map((claim.notes ?? []).map((n) => [n.check, n]));
  const checks = CHECKS.map(({ key }): CheckResult => ({ ...found[key], note: notes.get(key) }));
  const answers = Object.fromEntries(checks.map((c) => [c.check, c.note?.answer ?? c.answer])) as Answers;
  const rule = ruleFor(about, answers);
  const sure = surenessOf(about, answers, evidence.sure);
  const verdict = tempered(rule.verdict, sure);
  return {
    verdict,
    decidedBy: decidedBy(rule, answers),
    sure,
    lessSure: lessSure(about, answers, evidence),
    reason: rule.reason,
    wouldChange: rule.wouldChange,
    couldHarm: answers.harm === 'against',
    use: useOf(verdict, answers),
    evidence,
    checks,
  };
}
