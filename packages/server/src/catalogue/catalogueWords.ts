import { RANKED_NUTRIENTS, type RankedNutrient } from '@wheat-ledger/core';
import { columnOf, type Where } from './catalogueRows.js';

const COSTS = RANKED_NUTRIENTS.map((n) => `${columnOf(n)}_cost`);
/** What stands between the letters of a text: ASCII that is no small letter. The same in the database and here. */
const BETWEEN_LETTERS = '[\\x01-\\x60\\x7b-\\x7f]+';
const LETTERS = /[a-z\u0080-\u{10ffff}]+/gu;

/**
 * Writes down the words of a list anew: of each the cheapest that any product with it sells each nutrient for. All that is cheaper need not be looked at
 * when a word is searched for.
 */
export const noteWords = (ledger: string, list: string): readonly Where[] => [
  { sql: 'delete from catalogue_word where workspace_id = ? and list_id = ?', values: [ledger, list] },
  {
    sql: `insert into catalogue_word (workspace_id, list_id, currency, word, ${COSTS.join(', ')})
      select p.workspace_id, p.list_id, p.currency, w.word, ${COSTS.map((c) => `min(p.${c})`).join(', ')}
      from catalogue_product p, regexp_split_to_table(p.words, '${BETWEEN_LETTERS}') as w (word)
      where p.workspace_id = ? and p.list_id = ? and p.currency is not null and w.word <> ''
      group by 1, 2, 3, 4`,
    values: [ledger, list],
  },
];

/** The letters of what is searched for, piece by piece: what holds a word of it holds each piece in one of its own words. */
const piecesOf = (words: string): readonly string[] => [
  ...new Set(
    words
      .toLowerCase()
      .split(/\s+/)
      .flatMap((word) => word.match(LETTERS) ?? []),
  ),
];

/**
 * What a kg of a nutrient costs at the least where some words are held: a statement with a row of `least` for each piece of them, null where nothing
 * holds it. What holds them all costs no less than the dearest of these.
 * @returns undefined where the words have no letters to go by
 */
export function leastOf(
  words: string,
  by: RankedNutrient,
  currency: string,
  ledgers: readonly string[],
): Where | undefined {
  const pieces = piecesOf(words);
  if (pieces.length === 0) return undefined;
  const least = `select min(${columnOf(by)}_cost) as least from catalogue_word
    where workspace_id in (${ledgers.map(() => '?').join(', ')}) and currency = ? and word like ?`;
  return {
    sql: pieces.map(() => least).join(' union all '),
    values: pieces.flatMap((p) => [...ledgers, currency, `%${p}%`]),
  };
}
