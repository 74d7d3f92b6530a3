/** The nine checks of a claim, in the order they are worked. */
export const CHECKS = [
  { key: 'content', name: 'Content', question: 'Does the analysis hold what the mechanism needs?' },
  { key: 'dose', name: 'Dose', question: 'At the label rate, how much of the crop’s need is it?' },
  { key: 'timing', name: 'Timing', question: 'Does it arrive in the time promised?' },
  { key: 'condition', name: 'Condition', question: 'Is it true only in some soils, and is this one of them?' },
  { key: 'confounder', name: 'Confounder', question: 'What else came along that could do the same?' },
  { key: 'evidence', name: 'Evidence', question: 'What did trials find?' },
  { key: 'harm', name: 'Harm', question: 'Salt, sodium, metals, runoff?' },
  { key: 'alternative', name: 'Alternative', question: 'What is the cheapest way to the same end?' },
  { key: 'interest', name: 'Interest', question: 'Who says it, and what do they earn by it?' },
] as const;
export type CheckKey = (typeof CHECKS)[number]['key'];
export type Answer = 'supports' | 'against' | 'cannotTell' | 'notRelevant' | 'notYet';

export const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
  supports: 'supports',
  against: 'against',
  cannotTell: 'cannot tell',
  notRelevant: 'not relevant',
  notYet: 'not yet looked at',
};
