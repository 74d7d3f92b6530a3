import { daysBetween } from '../quantity/index.js';
import type { Application, When } from './application.js';
import { scaledAmount } from './change.js';

/** Ways of giving the same total. */
export const SCHOOLS = ['oftener', 'seldomer', 'stopAt'] as const;
export type School = (typeof SCHOOLS)[number];
export const SCHOOL_WORDS: Readonly<Record<School, string>> = {
  oftener: 'half as strong, twice as often',
  seldomer: 'twice as strong, half as often',
  stopAt: 'stop at fruit set',
};

type Repeat = Extract<When, { kind: 'repeat' }>;
/** How often a repeat falls due. @example timesOf({ kind: 'repeat', from: '2026-05-01', to: '2026-05-29', everyDays: 14 }) // 3 */
export const timesOf = ({ from, to, everyDays }: Repeat): number => {
  const span = daysBetween(from, to);
  return span < 0 ? 0 : Math.floor(span / Math.max(1, Math.round(everyDays))) + 1;
};

/** The same total in another rhythm, to three figures: what is given each time changes as the number of times does. */
function inRhythm(application: Application, when: Repeat): Application {
  if (application.when.kind !== 'repeat') return application;
  const [before, after] = [timesOf(application.when), timesOf(when)];
  if (before === 0 || after === 0) return application;
  return { ...application, when, amount: scaledAmount(application.amount, before / after) };
}

/**
 * An application as a school would give it, with the same total over the season. What has no rhythm, as one dose has none, stays as it is.
 * @param fruitSet the day feeding stops at, where it does
 * @example asSchool(every14days, 'oftener') // every 7 days, half of it each time
 */
export function asSchool(application: Application, school: School, fruitSet?: string): Application {
  const { when } = application;
  if (when.kind !== 'repeat') return application;
  if (school === 'stopAt')
    return fruitSet && fruitSet >= when.from && fruitSet < when.to
      ? inRhythm(application, { ...when, to: fruitSet })
      : application;
  const everyDays = Math.max(1, Math.round(school === 'oftener' ? when.everyDays / 2 : when.everyDays * 2));
  return inRhythm(application, { ...when, everyDays });
}
