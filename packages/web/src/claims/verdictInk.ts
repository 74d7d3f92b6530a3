import type { Answer, Verdict } from '@wheat-ledger/core';

const INKS: Readonly<Record<Verdict, string>> = {
  Stands: 'text-moss',
  'Stands where …': 'text-moss',
  'Not shown': 'text-slate',
  'Does not stand': 'text-beet',
};
export const verdictInk = (verdict: Verdict): string => INKS[verdict];

const ANSWER_INKS: Readonly<Record<Answer, string>> = {
  supports: 'text-moss',
  against: 'text-beet',
  cannotTell: 'text-slate',
  notRelevant: 'text-faint',
  notYet: 'text-faint',
};
export const answerInk = (answer: Answer): string => ANSWER_INKS[answer];
