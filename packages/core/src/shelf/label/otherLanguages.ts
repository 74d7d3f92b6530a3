import { FOREIGN_NAMES, type NameTerm } from '../../reading/index.js';
import { is, type NamedAnalyte } from './named.js';

const named = ({ means }: NameTerm): NamedAnalyte =>
  'other' in means ? { kind: means.other } : is(means.analyte, means.basis);

/** Names in other languages, each term with all its words, in the order of the dictionary. */
export const OTHER_LANGUAGES: readonly (readonly [RegExp, NamedAnalyte])[] = FOREIGN_NAMES.map((name) => [
  // "Azoto (N) nitrico" has its symbol between the words.
  new RegExp(`\\b(?:${Object.values(name.words).join('|').replaceAll(' ', '(?: n)? ')})\\b`),
  named(name),
]);
