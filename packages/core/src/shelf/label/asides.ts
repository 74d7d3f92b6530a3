import { meaningsIn, type Meaning } from '../../reading/index.js';

/** What a feed made of the product holds. */
const IN_USE =
  /^\s*(?:in use\b|in (?:the )?(?:working|feed|final|diluted?) solution|(?:when|once) diluted|diluted (?:feed|solution)|at \d+(?:[.,]\d+)?\s?(?:g|ml)\s?(?:\/|per)\s?l)/i;
const STRENGTH = /\b(?:feed|feeding|use|dilute|irrigat\w*|fertigat\w*|solution|at)\b.{0,20}\b\d+(?:[.,]\d+)?\s*ppm\b/i;
/** Whether a line tells how strong a feed is, and nothing of what is in the product. @example isStrength('feed at 100 ppm N') // true */
export const isStrength = (line: string): boolean => STRENGTH.test(line) || IN_USE.test(line);

const ASIDES: readonly (readonly [Meaning, string])[] = [
  ['date', 'a date'],
  ['reference', 'a number that only names something'],
  ['of.matter', 'what it is made of, no nutrient'],
  ['of.organicMatter', 'what it is made of, no nutrient'],
  ['of.carbon', 'what it is made of, no nutrient'],
  ['covers', 'how far it goes'],
  ['use', 'directions for use, no rate that could be read'],
  ['gross', 'the weight with its wrapping'],
];
/** What a line's numbers are where they are no figures of an analysis and nothing else that is known. */
export function asideOf(line: string): string | undefined {
  const means = meaningsIn(line);
  return ASIDES.find(([meaning]) => means.has(meaning))?.[1];
}
