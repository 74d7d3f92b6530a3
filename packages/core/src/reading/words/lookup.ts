import { MARK_WORDS, type MarkMeaning } from './markWords.js';
import { NAME_WORDS, type NameMeaning } from './nameWords.js';
import { PACKAGE_WORDS, UNIT_WORDS, type WordRole } from './packageWords.js';
import type { Words } from './languages.js';

/** Everything a word on a paper can tell. */
export type Meaning = WordRole | NameMeaning | MarkMeaning;

/** Letters that no accent explains. */
const LETTERS: Readonly<Record<string, string>> = { ł: 'l', ø: 'o', æ: 'ae', œ: 'oe', ß: 'ss' };

/** A word made comparable: small letters without accents or full stops. @example plainWord('Nettofüllmenge.') // 'nettofullmenge' */
export const plainWord = (word: string): string =>
  word
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[łøæœß]/g, (letter) => LETTERS[letter] ?? letter)
    .replace(/[.'’]/g, ' ')
    .trim();

const byPhrase = new Map<string, Set<Meaning>>();
const add = (meaning: Meaning, words: Words): void => {
  for (const phrases of Object.values(words))
    for (const phrase of phrases.split('|'))
      byPhrase.set(phrase, (byPhrase.get(phrase) ?? new Set<Meaning>()).add(meaning));
};
for (const [meaning, words] of Object.entries(PACKAGE_WORDS)) add(meaning as WordRole, words);
for (const [meaning, words] of NAME_WORDS) add(meaning, words);
for (const [meaning, words] of MARK_WORDS) add(meaning, words);

/** Words of the longest phrase there is. */
export const MOST_WORDS = Math.max(...[...byPhrase.keys()].map((phrase) => phrase.split(' ').length));

const NONE: ReadonlySet<Meaning> = new Set();
/** Shorter words are not taken apart, nor are parts shorter than this. */
const LEAST_COMPOUND = 9;
const LEAST_PART = 3;
const LONGEST_COMPOUND = 40;

/** Words that are parts of longer ones without telling anything of their own. */
const LINKS = new Set(['gehalt', 'wert', 'anteil', 'haltig', 'dunger', 'loslich', 'losliches', 'gehalte', 'form']);

const compounds = new Map<string, ReadonlySet<Meaning>>();
/** A word of several that are written together, taken apart: "gesamtstickstoff" is total and nitrogen. */
function takenApart(word: string): ReadonlySet<Meaning> {
  if (word.length < LEAST_COMPOUND || word.length > LONGEST_COMPOUND) return NONE;
  const known = compounds.get(word);
  if (known) return known;
  const from = (at: number): readonly Meaning[] | undefined => {
    if (at === word.length) return [];
    for (let end = word.length; end >= at + LEAST_PART; end--) {
      const part = word.slice(at, end);
      const means = byPhrase.get(part) ?? (LINKS.has(part) ? NONE : undefined);
      if (!means || end - at === word.length) continue;
      const rest = from(end) ?? (word[end] === 's' ? from(end + 1) : undefined);
      if (rest) return [...means, ...rest];
    }
    return undefined;
  };
  const found = new Set(from(0) ?? []);
  if (compounds.size < 5000) compounds.set(word, found);
  return found;
}

/** What a phrase of plain words tells, in any of the languages. @example meaningsOf('peso neto') // net */
export const meaningsOf = (phrase: string): ReadonlySet<Meaning> =>
  byPhrase.get(phrase) ?? (phrase.includes(' ') ? NONE : takenApart(phrase));

const unitsByWord = new Map(
  Object.entries(UNIT_WORDS).flatMap(([symbol, words]) => words.split('|').map((word) => [word, symbol] as const)),
);
/** The unit that a word of another language names. @example unitWord('litri') // 'L' */
export const unitWord = (phrase: string): string | undefined => unitsByWord.get(phrase);
