import { NUTRIENTS, type CompoundBasis, type Nutrient } from '../nutrient/index.js';
import { findUnit, measuresNamed, parseNumber, unitOf, type DecimalMark } from '../quantity/index.js';
import { unitAt, type FigureUnit } from './units.js';
import { meaningsOf, MOST_WORDS, plainWord, unitWord, type Meaning } from './words/lookup.js';

interface At {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}
/** A piece of a line, with where it stands. */
export type Token = At &
  (
    | {
        readonly kind: 'number';
        /** What it can mean: one value, or two a factor of a thousand apart. None where it is no number. */
        readonly readings: readonly number[];
        /** A space parts its thousands: it may be two numbers. */
        readonly spaced: boolean;
      }
    | {
        /** A measure of a package: kg, fl oz. */
        readonly kind: 'unit';
        /** Symbols of the measures it can name; more than one where countries differ. */
        readonly units: readonly string[];
      }
    | {
        /** A unit that figures are told in: %, mg/kg; undefined for one that tells no content. */
        readonly kind: 'content';
        readonly unit: FigureUnit | undefined;
        readonly factor: number;
        readonly of: Nutrient | CompoundBasis | undefined;
      }
    | { readonly kind: 'word'; readonly means: ReadonlySet<Meaning> }
    | { readonly kind: 'sign'; readonly sign: string }
  );
export type NumberToken = Extract<Token, { kind: 'number' }>;
export type UnitToken = Extract<Token, { kind: 'unit' }>;
export type ContentToken = Extract<Token, { kind: 'content' }>;
export type WordToken = Extract<Token, { kind: 'word' }>;

/** A number as papers print it, with marks or spaces between thousands. */
const NUMBER = /(?:\d{1,3}(?:[ \u00a0\u202f']\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)*|[½¼¾⅓⅔⅛]|\.\d+)(?!\d)/y;
const FRACTION = /(?:\d+\s+)?\d\/\d(?!\d|\/)/y;
const WORD = /\p{L}[\p{L}\p{M}\p{N}]*/uy;
/** What may stand between the words of a phrase. */
const GAP = /(?:\.? |[-‐‑'’.])(?=\p{L})/uy;
/** The longest name of a unit has three words: "cu. ft.", "fl oz", "US fl oz". */
const MOST_UNIT_WORDS = 3;
const UNIT_WORD = /\p{L}[\p{L}\p{M}.'’²³]*\d?/uy;
/** The mark of an estimated quantity stands behind what a package holds. */
const ESTIMATED = '℮';
/** Letters behind a unit that tell its basis: dry matter. */
const DRY_BEHIND = /\s?\(?(?:i\.?\s?d\.?\s?)?(?:DM|DW|DS|TS|TM|MS|SS|d\.m\.?|s\.s\.?|ds|ts|tm|dm)(?![\p{L}\d])\)?/uy;

const match = (pattern: RegExp, line: string, at: number): string | undefined => {
  pattern.lastIndex = at;
  return pattern.exec(line)?.[0];
};

function numberAt(line: string, at: number, mark: DecimalMark | undefined): Token | undefined {
  if (/[\p{L}_]/u.test(line[at - 1] ?? '')) return undefined;
  const text = match(FRACTION, line, at) ?? match(NUMBER, line, at);
  if (text === undefined) return undefined;
  const read = parseNumber(text.replace(/'/g, ' '), mark);
  const end = at + text.length;
  // Digits that run on into letters, such as 1O, are no number, unless a unit begins there.
  const runsOn =
    /\p{L}/u.test(line[end] ?? '') && !/[x]/i.test(line[end] ?? '') && !unitAt(line, end) && !measureAt(line, end);
  // "N0.5 %" has its first digit in a word: what is left of it is not the number.
  const broken = /\p{L}\d+[.,]?$/u.test(line.slice(Math.max(0, at - 12), at));
  const readings = runsOn || broken ? [] : read.ok ? [read.value] : (read.readings ?? []);
  const spaced = /\d[ \u00a0\u202f]\d{3}/.test(text);
  return { kind: 'number', text, start: at, end, readings, spaced };
}

function measureAt(line: string, at: number): Token | undefined {
  let found: Token | undefined;
  let end = at;
  for (let words = 1; words <= MOST_UNIT_WORDS; words++) {
    const gap = words === 1 ? '' : line[end] === ' ' ? ' ' : undefined;
    const word = gap === undefined ? undefined : match(UNIT_WORD, line, end + gap.length);
    if (gap === undefined || word === undefined) break;
    end += gap.length + word.length;
    const text = line.slice(at, end);
    const bare = text.replace(/\.+$/, '');
    // On a paper "3.5 Mg" is magnesium, not a tonne.
    if (bare === 'Mg') break;
    const symbol = findUnit(bare)?.symbol ?? unitWord(plainWord(bare));
    const units = measuresNamed(bare) ?? (symbol === undefined ? undefined : [symbol]);
    if (units) found = { kind: 'unit', text, start: at, end, units };
  }
  return found;
}

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

/** The word, or the longest phrase that tells something, at a place. */
function wordAt(line: string, at: number): Token | undefined {
  const first = match(WORD, line, at);
  if (first === undefined) return undefined;
  let phrase = plainWord(first);
  let end = at + first.length;
  let best = { end, means: meaningsOf(phrase) };
  for (let words = 2; words <= MOST_WORDS; words++) {
    const gap = match(GAP, line, end);
    const word = gap === undefined ? undefined : match(WORD, line, end + gap.length);
    if (gap === undefined || word === undefined) break;
    end += gap.length + word.length;
    phrase += ` ${plainWord(word)}`;
    const means = meaningsOf(phrase);
    if (means.size > 0) best = { end, means };
  }
  return { kind: 'word', text: line.slice(at, best.end), start: at, end: best.end, means: best.means };
}

const isPlainWord = (token: Token | undefined): boolean => token?.kind === 'word' && token.means.size === 0;

const STRICT: readonly Nutrient[] = ['As', 'Co', 'Se', 'Si'];
/** Whether a word of one or two letters is the symbol of an element here: no unknown word stands beside it. */
function isSymbol(token: WordToken, symbol: Nutrient, before: Token | undefined, behind: Token | undefined): boolean {
  const beside = [before, behind];
  const touches = (other: Token | undefined): boolean =>
    other !== undefined && (other.end === token.start || other.start === token.end) && isPlainWord(other);
  const among = beside.some((t) => isSign(t, '&') || isPlainWord(t) || touches(t));
  const small = token.text !== symbol && token.text === token.text.toLowerCase();
  if (small && beside.some((t) => t?.kind === 'word')) return false;
  const strict = token.text !== symbol || token.text.length === 1 || STRICT.includes(symbol);
  return !(strict && among);
}

/** Words of one or two letters that are symbols. Hydrogen is told only as a share of the exchange. */
function withSymbols(tokens: readonly Token[], line: string): readonly Token[] {
  const capitals = line === line.toUpperCase();
  return tokens.map((token, i) => {
    if (token.kind !== 'word' || token.text.length > 2) return token;
    const [before, behind] = [tokens[i - 1], tokens[i + 1]];
    if (token.text === 'H' && !isPlainWord(before) && !isPlainWord(behind))
      return { ...token, means: new Set<Meaning>(['of.saturation']) };
    const symbol = symbolOf(token.text, capitals);
    const found = symbol !== undefined && isSymbol(token, symbol, before, behind);
    return found ? { ...token, means: new Set<Meaning>([`el.${symbol}`]) } : token;
  });
}

/** Lines read last: a paper is read again with every key that is typed, and most of its lines are the same. */
const remembered = new Map<string, readonly Token[]>();
const MOST_REMEMBERED = 1000;

/**
 * A line in pieces: numbers with what they can mean, units, words with what they tell, and signs. A measure such as g is one only behind a number,
 * so that "G" of a name is none.
 * @param mark the decimal mark of the whole paper, where it is known
 * @example tokenize('Net Wt. 50 LB (22.7 kg)') // word net, number 50, unit lb, sign (, number 22.7, unit kg, sign )
 */
export function tokenize(line: string, mark?: DecimalMark): readonly Token[] {
  const key = `${mark ?? ''}|${line}`;
  const known = remembered.get(key);
  if (known) return known;
  const tokens: Token[] = [];
  let at = 0;
  while (at < line.length) {
    if (/\s/.test(line[at] ?? '')) {
      at++;
      continue;
    }
    const token = tokenAt(line, at, tokens, mark);
    tokens.push(token);
    at = token.end;
  }
  const read = forAmount(withSymbols(tokens, line), line);
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(key, read);
  return read;
}

/** Grams or millilitres of a measure that names one thing only, of that kind; nothing else. */
function amountOf(token: Token | undefined, dimension: 'mass' | 'volume'): number {
  const [symbol, other] = token?.kind === 'unit' ? token.units : [];
  if (symbol === undefined || other !== undefined) return 0;
  const unit = unitOf(symbol);
  return unit.dimension === dimension ? unit.factor * 1000 : 0;
}
const CONTAINS =
  /\b(?:contains?|enth[aä]lt|enthalten|contient|contiennent|contiene|contengono|bevat|zawiera|inneh[aå]ller|indeholder|cont[eé]m)\b|^\s*(?:per|pro|par|por|je|na)\s/i;

/** A mass as a share of so many grams or millilitres. */
function shareOf(token: Token, grams: number, millilitres: number): Token {
  const mass = amountOf(token, 'mass');
  if (mass === 0) return token;
  const { text, start, end } = token;
  const small = mass < 1;
  const told = (unit: FigureUnit, factor: number): Token => ({
    kind: 'content',
    text,
    start,
    end,
    unit,
    factor: Number(factor.toPrecision(9)),
    of: undefined,
  });
  if (grams > 0) return small ? told('mg/kg', (mass / grams) * 1e6) : told('%', (mass / grams) * 100);
  return small ? told('mg/L', (mass / millilitres) * 1e6) : told('% w/v', (mass / millilitres) * 100);
}

/** "Each 100 g contains: nitrogen 4 g": masses are told for an amount, so that each is a share of it. */
function forAmount(tokens: readonly Token[], line: string): readonly Token[] {
  const at = tokens.findIndex((t) => t.kind === 'number');
  const [number, unit] = [tokens[at], tokens[at + 1]];
  if (number?.kind !== 'number' || unit?.kind !== 'unit' || at > 3 || !CONTAINS.test(line)) return tokens;
  const amount = number.readings[0] ?? 0;
  const [grams, millilitres] = [amount * amountOf(unit, 'mass'), amount * amountOf(unit, 'volume')];
  const rest = tokens.slice(at + 2);
  if (grams + millilitres <= 0 || !rest.some((t) => amountOf(t, 'mass') > 0)) return tokens;
  const text = line.slice(number.start, unit.end);
  const lead: Token = { kind: 'word', text, start: number.start, end: unit.end, means: new Set<Meaning>(['per']) };
  return [...tokens.slice(0, at), lead, ...rest.map((t) => shareOf(t, grams, millilitres))];
}

/** "mg/kg DM": letters behind a unit that put it on dry matter. */
function dryAt(line: string, at: number, last: Token | undefined): Token | undefined {
  const dry = last?.kind === 'content' ? match(DRY_BEHIND, line, last.end) : undefined;
  const end = (last?.end ?? 0) + (dry?.length ?? 0);
  return dry === undefined || at >= end
    ? undefined
    : { kind: 'word', text: line.slice(at, end), start: at, end, means: new Set<Meaning>(['basis.dry']) };
}

function contentAt(line: string, at: number): Token | undefined {
  const found = unitAt(line, at);
  if (!found) return undefined;
  const { end, unit, factor, of } = found;
  return { kind: 'content', text: line.slice(at, end), start: at, end, unit, factor, of };
}

function tokenAt(line: string, at: number, before: readonly Token[], mark: DecimalMark | undefined): Token {
  const char = line[at] ?? '';
  const last = before.at(-1);
  const behindNumber = last?.kind === 'number' || line[at - 1] === '-';
  return (
    (/[\d½¼¾⅓⅔⅛.]/.test(char) ? numberAt(line, at, mark) : undefined) ??
    contentAt(line, at) ??
    dryAt(line, at, last) ??
    (behindNumber ? measureAt(line, at) : undefined) ??
    (char === ESTIMATED ? undefined : wordAt(line, at)) ?? {
      kind: 'sign',
      text: char,
      start: at,
      end: at + 1,
      sign: char,
    }
  );
}

/** Everything the words of a line tell. @example meaningsIn('Batch 12345') // reference */
export const meaningsIn = (line: string): ReadonlySet<Meaning> =>
  new Set(tokenize(line).flatMap((token) => (token.kind === 'word' ? [...token.means] : [])));

/** Whether a token is a word that tells a thing. */
export const tells = (token: Token | undefined, ...meanings: readonly Meaning[]): boolean =>
  token?.kind === 'word' && meanings.some((m) => token.means.has(m));
/** Whether a token is one of these signs. */
export const isSign = (token: Token | undefined, signs: string): boolean =>
  token?.kind === 'sign' && signs.includes(token.sign);
