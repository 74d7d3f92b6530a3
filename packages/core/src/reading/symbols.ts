import { NUTRIENTS, type Nutrient } from '../nutrient/index.js';
import { isSign, type Token, type WordToken } from './token.js';
import type { Meaning } from './words/lookup.js';

const SYMBOLS: ReadonlyMap<string, Nutrient> = new Map(NUTRIENTS.map((n) => [n, n]));
/** Symbols in small letters that are words too. */
const SMALL_WORDS = new Set(['as', 'co', 'se', 'si', 'in', 'no', 'ca', 'mg']);
const CAPITAL_WORDS = new Set(['AS', 'CO', 'SE', 'NO', 'SI', 'NA']);

/** The element whose symbol a word is, if its neighbours make it one. */
function symbolOf(word: string, capitals: boolean): Nutrient | undefined {
  const exact = SYMBOLS.get(word);
  if (exact) return exact;
  const proper = word.charAt(0).toUpperCase() + word.slice(1).toLowerCase();
  if (word === word.toUpperCase() && capitals && !CAPITAL_WORDS.has(word)) return SYMBOLS.get(proper);
  return word === word.toLowerCase() && word.length <= 2 && !SMALL_WORDS.has(word) ? SYMBOLS.get(proper) : undefined;
}
const isPlainWord = (token: Token | undefined): boolean => token?.kind === 'word' && token.means.size === 0;

const STRICT: readonly Nutrient[] = ['As', 'Co', 'Se', 'Si'];
/** Whether a word of one or two letters is the symbol of an element here: no unknown word stands beside it. */
function isSymbol(
  token: WordToken,
  symbol: Nutrient,
  [before, behind]: readonly [Token | undefined, Token | undefined],
  line: string,
): boolean {
  const beside = [before, behind];
  const touches = (other: Token | undefined): boolean =>
    other !== undefined && (other.end === token.start || other.start === token.end) && isPlainWord(other);
  // "P  K  Ca": symbols side by side are no words beside each other.
  const plain = (other: Token | undefined): boolean => isPlainWord(other) && !SYMBOLS.has(other?.text ?? '');
  const among = beside.some((t) => isSign(t, '&') || plain(t) || touches(t));
  const small = token.text !== symbol && token.text === token.text.toLowerCase();
  if (small && beside.some((t) => t?.kind === 'word')) return false;
  // "PS-2291-B" is a code.
  if (isSign(before, '-') && before?.end === token.start && /(?:^|[\s-])\d+-$/.test(line.slice(0, token.start)))
    return false;
  const strict = token.text !== symbol || token.text.length === 1 || STRICT.includes(symbol);
  return !(strict && among);
}

/** Words of one or two letters that are symbols. Hydrogen is told only as a share of the exchange. */
function withSymbols(tokens: readonly Token[], line: string): readonly Token[] {
  const capitals = line === line.toUpperCase();
  return tokens.map((token, i) => {
    if (token.kind !== 'word' || token.text.length > 2) return token;
    const [before, behind] = [tokens[i - 1], tokens[i + 1]];
    // "H. Dunmore" is a person.
    const initial = isSign(behind, '.') && behind?.start === token.end;
    if (token.text === 'H' && !initial && !isPlainWord(before) && !isPlainWord(behind))
      return { ...token, means: new Set<Meaning>(['of.saturation']) };
    if (token.text === 'Al' && behind?.kind !== 'word') return { ...token, means: new Set<Meaning>(['of.matter']) };
    const symbol = symbolOf(token.text, capitals);
    const found = symbol !== undefined && isSymbol(token, symbol, [before, behind], line);
    return found ? { ...token, means: new Set<Meaning>([`el.${symbol}`]) } : token;
  });
}

/** "ppm H", "mg/kg VL": a letter behind a unit rates the figure, and ends its clause. "% H 8.4" is hydrogen. */
const RATING = /^(?:VH|H|M|ML|L|VL)$/;
const withRatings = (tokens: readonly Token[]): readonly Token[] =>
  tokens.map((token, i) =>
    token.kind === 'word' &&
    RATING.test(token.text) &&
    tokens[i - 1]?.kind === 'content' &&
    tokens[i - 2]?.kind === 'number' &&
    tokens[i + 1]?.kind !== 'number'
      ? { kind: 'sign', text: token.text, start: token.start, end: token.end, sign: ';' }
      : token,
  );

/** "in a dry place" speaks of no dry matter, and "CV-AAS" of no error. */
function withoutChance(tokens: readonly Token[]): readonly Token[] {
  const chance = (token: Token, next: Token | undefined): boolean =>
    (/^dry$/i.test(token.text) && isPlainWord(next)) ||
    (token.text === 'CV' && isSign(next, '-') && next?.start === token.end);
  return tokens.map((token, i) =>
    token.kind === 'word' && chance(token, tokens[i + 1]) ? { ...token, means: new Set<Meaning>() } : token,
  );
}

const isElement = (token: Token | undefined): boolean =>
  token?.kind === 'word' && token.text.length <= 2 && [...token.means].some((m) => m.startsWith('el.'));
/** "Ca:Mg 4.2", "K/Mg": two symbols with a colon or a stroke between them are a ratio; three are the head of a grade. */
function withRatios(tokens: readonly Token[]): readonly Token[] {
  const joins = (i: number): boolean =>
    isSign(tokens[i + 1], ':/') &&
    (isElement(tokens[i]) || tokens[i]?.text === 'C') &&
    isElement(tokens[i + 2]) &&
    tokens[i]?.end === tokens[i + 1]?.start &&
    tokens[i + 1]?.end === tokens[i + 2]?.start;
  const ratio = new Set(tokens.flatMap((_, i) => (joins(i) && !joins(i + 2) && !joins(i - 2) ? [i, i + 2] : [])));
  return tokens.map((t, i) => (ratio.has(i) ? { ...t, kind: 'word', means: new Set<Meaning>(['of.ratio']) } : t));
}

/** Words as their neighbours make them: ratings behind a unit, symbols of elements, ratios of two of them. */
export const asNeighboursTell = (tokens: readonly Token[], line: string): readonly Token[] =>
  withRatios(withSymbols(withRatings(withoutChance(tokens)), line));
