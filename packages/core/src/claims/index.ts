export { type Answer, ANSWER_WORDS, CHECKS } from './checks.js';
export { type Claim } from './claim.js';
export { contentCheck } from './content.js';
export { shareOfNeed, yearlyRate } from './dose.js';
export { elementChecklist, type ElementMark, type ElementRow, loadPerHa, MARK_WORDS } from './elementChecklist.js';
export { judge, type Judgement, type Verdict } from './verdict.js';
